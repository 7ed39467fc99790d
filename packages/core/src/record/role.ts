import { z } from 'zod';
import type { ClosingEntry } from './closing.ts';
import type { Evidence } from './evidence.ts';

/** What a person is in a project, from most to least rights. */
export const ROLES = ['owner', 'lead', 'technician', 'inspector', 'reader'] as const;

export const roleSchema = z.enum(ROLES);

export type Role = (typeof ROLES)[number];

/**
 * What may be done in a project.
 * - `read`: see all of it.
 * - `inspect`: add what was measured and seen: readings, inspections, traces, photos.
 * - `record`: add what was done: splices, closing, preparation, instruments.
 * - `decide`: change plan, cables, closures and limits; accept what is over a limit; sign as the lead.
 * - `manage`: give and take roles, invite, remove.
 */
export const RIGHTS = ['read', 'inspect', 'record', 'decide', 'manage'] as const;

export type Right = (typeof RIGHTS)[number];

/** The least of the roles that has a right; all before it in ROLES have it too. */
export const LEAST_ROLE: Record<Right, Role> = {
  read: 'reader',
  inspect: 'inspector',
  record: 'technician',
  decide: 'lead',
  manage: 'owner',
};

/** Whether a role has a right. */
export const may = (role: Role, right: Right): boolean =>
  ROLES.indexOf(role) <= ROLES.indexOf(LEAST_ROLE[right]);

/** The right that includes all others of a list. */
export const mostOf = (rights: readonly Right[]): Right =>
  rights.reduce<Right>(
    (most, right) => (RIGHTS.indexOf(right) > RIGHTS.indexOf(most) ? right : most),
    'read',
  );

/** What a person needs to add an entry of evidence. */
export function rightForEvidence(entry: Evidence): Right {
  switch (entry.type) {
    case 'attempt':
      return 'record';
    case 'reading':
    case 'inspection':
      return 'inspect';
    case 'ruling':
      return entry.kind === 'waive' || entry.kind === 'retire' ? 'decide' : 'record';
  }
}

/** What a person needs to add an entry of closing. */
export function rightForClosing(entry: ClosingEntry): Right {
  const isLeads =
    (entry.kind === 'sign' && entry.role === 'lead') ||
    (entry.kind === 'point' && entry.verdict === 'waived');
  return isLeads ? 'decide' : 'record';
}
