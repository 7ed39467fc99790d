import { z } from 'zod';

/** Records that can be deleted while nothing depends on them, and archived at any time. */
export const REMOVABLE_KINDS = [
  'project',
  'closure',
  'cable',
  'hardware',
  'instrument',
  'scheme',
] as const;
export const removableKindSchema = z.enum(REMOVABLE_KINDS);
export type RemovableKind = z.infer<typeof removableKindSchema>;
