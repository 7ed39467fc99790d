import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/SortableList.tsx`. */
export const sortableList = phrases({ moveName: 'Move: {name}' });
