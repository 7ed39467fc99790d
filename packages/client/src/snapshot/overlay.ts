import { type Rows, type Snapshot, type TableName, type Tables, keyOf } from './snapshot.ts';

/** Rows of one kind by their keys, in their order. */
type Table<Name extends TableName> = Map<string, Rows[Name]>;

/**
 * A snapshot with changes laid over it, of which the snapshot itself knows nothing. Only tables that are
 * written to are copied, and each once, however many changes there are. Tables that a snapshot does not
 * hold take no changes.
 */
export class Overlay<Base extends Snapshot = Snapshot> {
  private readonly base: Base;
  private readonly changed = new Map<TableName, Map<string, unknown>>();

  constructor(base: Base) {
    this.base = base;
  }

  /** Whether its rows may be of this project. */
  isOf(projectId: string): boolean {
    return this.base.projectId === undefined || this.base.projectId === projectId;
  }

  /** Whether its rows may be of this closure. */
  isAt(closureId: string): boolean {
    return this.base.closureId === undefined || this.base.closureId === closureId;
  }

  get<Name extends TableName>(name: Name, key: string): Rows[Name] | undefined {
    const changed = this.changed.get(name) as Table<Name> | undefined;
    return changed ? changed.get(key) : this.rows(name)?.find((row) => keyOf(row) === key);
  }

  /** Puts a row in the place of the one with its key, or at the end. */
  put<Name extends TableName>(name: Name, row: Rows[Name]): void {
    this.table(name)?.set(keyOf(row), row);
  }

  /** Adds rows that are not there yet: what was appended is never changed. */
  append<Name extends TableName>(name: Name, rows: readonly Rows[Name][]): void {
    const table = this.table(name);
    for (const row of rows) if (table && !table.has(keyOf(row))) table.set(keyOf(row), row);
  }

  remove(name: TableName, key: string): void {
    this.table(name)?.delete(key);
  }

  /** The snapshot with the changes; tables that did not change are the same as before. */
  result(): Base {
    const changed = [...this.changed].map(([name, table]) => [name, [...table.values()]] as const);
    return { ...this.base, ...Object.fromEntries(changed) };
  }

  private rows<Name extends TableName>(name: Name): readonly Rows[Name][] | undefined {
    const tables: Tables = this.base;
    return tables[name];
  }

  /** A table to write to, copied at the first time; none where the snapshot does not hold it. */
  private table<Name extends TableName>(name: Name): Table<Name> | undefined {
    const rows = this.rows(name);
    if (!rows) return undefined;
    const known = this.changed.get(name) as Table<Name> | undefined;
    const table = known ?? new Map(rows.map((row) => [keyOf(row), row] as const));
    this.changed.set(name, table);
    return table;
  }
}
