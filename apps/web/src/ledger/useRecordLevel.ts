import { useWide } from '@/ui/useWide';

/** Heading levels of a record: it is the page itself where it covers the list, else a part of it. */
export const useRecordLevel = (): { title: 1 | 2; part: 2 | 3 } =>
  useWide() ? { title: 2, part: 3 } : { title: 1, part: 2 };
