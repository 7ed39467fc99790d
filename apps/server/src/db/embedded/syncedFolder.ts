import { closeSync, fdatasync, fdatasyncSync, fsyncSync, openSync } from 'node:fs';
import { dirname } from 'node:path';
import { promisify } from 'node:util';
import { NodeFS } from '@electric-sql/pglite/nodefs';

/** What of Emscripten's file system over Node's is used here. */
interface FileNode {
  name: string;
  parent: FileNode;
}
export interface Stream {
  node: FileNode;
  nfd: number;
  /** What kind of file it is, found out at the first write. */
  kind?: FileKind;
}
type FileKind = 'log' | 'pages' | 'scratch' | 'other';
export interface Attributes {
  size?: number;
  mode?: number;
}
export interface NodeFileSystem {
  realPath(node: FileNode): string;
  tryFSOperation<Result>(run: () => Result): Result;
  node_ops: {
    mknod(parent: FileNode, name: string, mode: number, device: number): FileNode;
    rmdir(parent: FileNode, name: string): void;
    rename(node: FileNode, folder: FileNode, name: string): void;
    unlink(folder: FileNode, name: string): void;
    setattr(node: FileNode, attributes: Attributes): void;
  };
  stream_ops: {
    write(
      stream: Stream,
      buffer: Uint8Array,
      offset: number,
      length: number,
      position: number,
    ): number;
    setattr(stream: Stream, attributes: Attributes): void;
    fsync?(stream: Stream): number;
  };
}

/** A step on the disk, as a test that plays a power cut follows it. */
export interface DiskWatch {
  /** A file was synced. */
  synced(path: string): void;
  /** The file system as the database gets it, to be wrapped. */
  wrap(files: NodeFileSystem): void;
}

const LOG_FILE = /^[0-9A-F]{24}$/;
const PAGE = 8192;
const syncFile = promisify(fdatasync);

/**
 * A data folder whose writes can be made to last. The embedded database writes its files in the right order, but
 * its file system leaves out every sync: what was acknowledged could be gone after a power cut.
 *
 * - Every file but the log is synced when the database asks for it: when it makes a checkpoint or a new file.
 * - The log is synced by `synced`, once for all who wait, and off the thread that runs the database.
 * - Nothing but the log is written before the log is synced, for a page must never be ahead of it (PostgreSQL
 *   documentation, section 28.3, write-ahead logging).
 */
export class SyncedFolder extends NodeFS {
  /** Files of the log with writes that are not synced, and those that are being synced. */
  private readonly dirty = new Set<string>();
  private syncing: readonly string[] = [];
  private round: Promise<void> | null = null;
  private next: Promise<void> | null = null;
  private readonly watch: DiskWatch | undefined;
  /** Bytes that were written to the log. */
  logBytes = 0;
  /** While the database opens, what an earlier process wrote is synced with all else. */
  private opening = true;

  /** @param onAbort called when the database gives up; it is not to return */
  constructor(
    folder: string,
    private readonly onAbort?: () => void,
    watch?: DiskWatch,
  ) {
    super(folder);
    this.watch = watch;
  }

  override async init(...[pg, options]: Parameters<NodeFS['init']>): ReturnType<NodeFS['init']> {
    const made = await super.init(pg, options);
    const { preRun = [] } = made.emscriptenOpts;
    // Before the folder is mounted: its files take these operations over.
    preRun.unshift((module) => this.hook(module.NODEFS as unknown as NodeFileSystem));
    // A database that gives up would be called again and again.
    return { emscriptenOpts: { ...made.emscriptenOpts, preRun, onAbort: () => this.onAbort?.() } };
  }

  /** To be called once the database is open: from then on the log is synced in rounds. */
  opened(): void {
    this.opening = false;
  }

  /** Resolves once all that was written to the log by now is on the disk. */
  async synced(): Promise<void> {
    if (this.dirty.size === 0) return this.round ?? undefined;
    // Who comes while a round runs waits for the next one, all together.
    this.next ??= this.afterRound();
    return this.next;
  }

  private async afterRound(): Promise<void> {
    await this.round;
    this.next = null;
    this.round = this.syncRound();
    await this.round;
  }

  private async syncRound(): Promise<void> {
    this.syncing = [...this.dirty];
    this.dirty.clear();
    await Promise.all(
      this.syncing.map(async (path) => {
        const file = openSync(path, 'r+');
        try {
          await syncFile(file);
          this.watch?.synced(path);
        } finally {
          closeSync(file);
        }
      }),
    );
    this.syncing = [];
    this.round = null;
  }

  private syncLogNow(): void {
    for (const path of new Set([...this.dirty, ...this.syncing])) {
      withFile(path, fdatasyncSync);
      this.watch?.synced(path);
    }
    this.dirty.clear();
  }

  private hook(files: NodeFileSystem): void {
    this.watch?.wrap(files);
    const { write, setattr } = files.stream_ops;
    const { rename, unlink, setattr: setattrOf } = files.node_ops;
    files.stream_ops.write = (stream, buffer, offset, length, position) => {
      stream.kind ??= kindOf(stream.node);
      if (stream.kind !== 'log') {
        if (stream.kind === 'other' || hasLogPosition(buffer, offset, length, stream.kind))
          files.tryFSOperation(() => this.syncLogNow());
        return write(stream, buffer, offset, length, position);
      }
      const written = write(stream, buffer, offset, length, position);
      this.dirty.add(files.realPath(stream.node));
      this.logBytes += written;
      return written;
    };
    files.stream_ops.fsync = (stream) => {
      if (!this.opening && kindOf(stream.node) === 'log') return 0;
      files.tryFSOperation(() => fsyncSync(stream.nfd));
      this.watch?.synced(files.realPath(stream.node));
      return 0;
    };
    files.stream_ops.setattr = (stream, attributes) => {
      if (attributes.size !== undefined) files.tryFSOperation(() => this.syncLogNow());
      setattr(stream, forOwner(attributes));
    };
    files.node_ops.setattr = (node, attributes) => {
      if (attributes.size !== undefined) files.tryFSOperation(() => this.syncLogNow());
      setattrOf(node, forOwner(attributes));
    };
    files.node_ops.rename = (node, folder, name) => {
      files.tryFSOperation(() => this.syncLogNow());
      rename(node, folder, name);
    };
    files.node_ops.unlink = (folder, name) => {
      files.tryFSOperation(() => this.syncLogNow());
      unlink(folder, name);
    };
  }
}

/** Nobody else on the machine reads what is recorded. */
const forOwner = (attributes: Attributes): Attributes =>
  attributes.mode === undefined ? attributes : { ...attributes, mode: attributes.mode & ~0o077 };

function kindOf({ name, parent }: FileNode): FileKind {
  if (parent.name === 'pg_wal') return LOG_FILE.test(name) ? 'log' : 'scratch';
  if (parent.name === 'pgsql_tmp') return 'scratch';
  return /^\d+(_\w+)?(\.\d+)?$/.test(name) && parent.parent.name === 'base' ? 'pages' : 'other';
}

/** Whether pages name a position in the log that has to be on the disk before them; a fresh page names none. */
function hasLogPosition(
  buffer: Uint8Array,
  offset: number,
  length: number,
  kind: FileKind,
): boolean {
  if (kind === 'scratch') return false;
  if (length % PAGE !== 0) return true;
  for (let page = offset; page < offset + length; page += PAGE)
    if (buffer.subarray(page, page + 8).some((byte) => byte !== 0)) return true;
  return false;
}

function withFile(path: string, run: (file: number) => void, flags = 'r+'): void {
  const file = openSync(path, flags);
  try {
    run(file);
  } finally {
    closeSync(file);
  }
}

/** Syncs a file or a folder, and the folder that names it. */
export function syncPath(path: string): void {
  withFile(path, fsyncSync, 'r');
  withFile(dirname(path), fsyncSync, 'r');
}
