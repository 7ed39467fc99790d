/** A table of a backup, and the order in which its rows can be inserted again. */
interface BackupTable {
  name: string;
  /** What rows are ordered by: a row comes after those of its own table that it names. */
  order: string;
  /** Rows that are read and written at a time: few where each has a file. */
  rows: number;
}

const ROWS = 500;
const FILES = 5;

const table = (name: string, order: string, rows = ROWS): BackupTable => ({ name, order, rows });

/** Tables that a backup has, each after those that its rows name. */
export const BACKUP_TABLES: readonly BackupTable[] = [
  table('schemes', 'id'),
  table('hardware', 'id'),
  table('instruments', 'id'),
  table('projects', 'id'),
  // A closure comes after the one that it branches off.
  table('closures', 'depth, id'),
  table('cables', 'id'),
  table('splices', 'id'),
  table('plans', 'closure_id'),
  table('assemblies', 'closure_id'),
  table('archives', 'kind, id'),
  table('imports', 'id'),
  table('splicer_records', 'seq'),
  table('set_asides', 'seq'),
  table('standins', 'splicer_id'),
  table('standin_joints', 'record_id'),
  table('instrument_log', 'seq'),
  table('link_entries', 'seq'),
  table('traces', 'seq', FILES),
  table('trace_places', 'seq'),
  table('trace_figures', 'trace_id'),
  table('attempts', 'seq'),
  table('readings', 'seq'),
  table('inspections', 'seq'),
  table('rulings', 'seq'),
  table('stale_splices', 'splice_id'),
  table('closing_entries', 'seq'),
  table('photos', 'seq', FILES),
  table('signed_records', 'seq'),
  table('people', 'id'),
  table('credentials', 'id'),
  table('passkeys', 'id'),
  table('pins', 'person_id'),
  table('devices', 'id'),
  table('members', 'project_id, person_id'),
  table('invitations', 'id'),
  table('receipts', 'received_at, entry_id'),
  table('audit', 'seq'),
  table('clock_corrections', 'corrected_at, entry_id'),
  table('dropped_splices', 'id'),
  table('undecided_evidence', 'seq'),
  table('chain', 'project_id, number'),
  table('checkpoints', 'project_id, number'),
];

/**
 * Tables that a backup leaves out: what is under way, the order of changes, which is this database's own, packages,
 * which the same record gives again byte for byte, and what opens the server: its keys and sessions. People sign in anew.
 */
export const LEFT_OUT: readonly string[] = [
  'changes',
  'project_imports',
  'upload_pieces',
  'packages',
  'package_pieces',
  'sessions',
  'verifications',
  'tries',
  'server_keys',
];
