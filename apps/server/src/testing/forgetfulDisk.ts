import { execFileSync } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { cp, mkdir, open, readFile, readdir, rm, truncate, writeFile } from 'node:fs/promises';
import { dirname, join, relative } from 'node:path';
import type { Attributes, DiskWatch, NodeFileSystem, Stream } from '../db/embedded/syncedFolder.ts';

/** What was done to the disk, in order; files are numbered, for names change. */
type Step =
  | { kind: 'write'; file: number; at: number; bytes: Uint8Array }
  | { kind: 'cut'; file: number; size: number }
  | { kind: 'name'; name: string; file: number }
  | { kind: 'unname'; name: string }
  | { kind: 'folder'; name: string }
  | { kind: 'sync'; file: number }
  | { kind: 'sync names'; folder: string };

/** How much of a write lasts or is lost together. */
const BLOCK = 4096;

/**
 * A disk that forgets. It follows all that is done to a folder, and can say what a power cut at any moment may have
 * left of it: what was synced is there; of all else any block, and of changes of names any first part, may be there
 * or not, as a file system with a journal of names has it.
 */
export class ForgetfulDisk implements DiskWatch {
  readonly steps: Step[] = [];
  private readonly folder: string;
  private readonly base: string;
  private readonly files = new Map<string, number>();
  private readonly baseFiles = new Map<number, string>();
  private count = 0;
  private renewed: string | null = null;
  private renewedAt = 0;

  private constructor(folder: string, base: string) {
    this.folder = folder;
    this.base = base;
  }

  /**
   * @param folder of the database, closed and synced
   * @param base where a copy of it is kept
   */
  static async of(folder: string, base: string): Promise<ForgetfulDisk> {
    const disk = new ForgetfulDisk(folder, base);
    await cp(folder, base, { recursive: true });
    for (const entry of await readdir(folder, { recursive: true, withFileTypes: true }))
      if (entry.isFile()) {
        const name = relative(folder, join(entry.parentPath, entry.name));
        disk.baseFiles.set(disk.fileAt(name), name);
      }
    return disk;
  }

  wrap(files: NodeFileSystem): void {
    const { write, setattr } = files.stream_ops;
    const { mknod, rename, unlink, setattr: setattrOf } = files.node_ops;
    const nameOf = (node: Stream['node']) => relative(this.folder, files.realPath(node));
    const cut = (node: Stream['node'], { size }: Attributes) => {
      if (size !== undefined)
        this.steps.push({ kind: 'cut', file: this.fileAt(nameOf(node)), size });
    };
    files.stream_ops.write = (stream, buffer, offset, length, position) => {
      const written = write(stream, buffer, offset, length, position);
      const bytes = buffer.slice(offset, offset + written);
      this.steps.push({
        kind: 'write',
        file: this.fileAt(nameOf(stream.node)),
        at: position,
        bytes,
      });
      return written;
    };
    files.stream_ops.setattr = (stream, attributes) => {
      setattr(stream, attributes);
      cut(stream.node, attributes);
    };
    files.node_ops.setattr = (node, attributes) => {
      setattrOf(node, attributes);
      cut(node, attributes);
    };
    files.node_ops.mknod = (parent, own, mode, device) => {
      const node = mknod(parent, own, mode, device);
      const name = nameOf(node);
      if ((mode & 0o170000) === 0o040000) this.steps.push({ kind: 'folder', name });
      else this.steps.push({ kind: 'name', name, file: this.fileAt(name) });
      return node;
    };
    files.node_ops.rename = (node, folder, own) => {
      const from = nameOf(node);
      rename(node, folder, own);
      const to = join(nameOf(folder), own);
      const file = this.fileAt(from);
      this.files.delete(from);
      this.files.set(to, file);
      this.steps.push({ kind: 'name', name: to, file }, { kind: 'unname', name: from });
    };
    files.node_ops.unlink = (folder, own) => {
      unlink(folder, own);
      const name = join(nameOf(folder), own);
      this.files.delete(name);
      this.steps.push({ kind: 'unname', name });
    };
  }

  synced(path: string): void {
    const name = relative(this.folder, path);
    const file = this.files.get(name);
    this.steps.push(
      file === undefined ? { kind: 'sync names', folder: name } : { kind: 'sync', file },
    );
  }

  private fileAt(name: string): number {
    const file = this.files.get(name) ?? this.count++;
    this.files.set(name, file);
    return file;
  }

  /**
   * Writes what a power cut may have left.
   * @param moment how many steps had been done
   * @param lasting the chance of what was not synced to be there all the same
   */
  async leave(moment: number, to: string, random: () => number, lasting: number): Promise<void> {
    const done = this.steps.slice(0, moment);
    const lastSync = new Map<number, number>();
    let namesFor = -1;
    done.forEach((step, index) => {
      if (step.kind === 'sync') lastSync.set(step.file, index);
      // A journal of names is written in order: what is synced takes along all before it.
      if (step.kind === 'sync names' || step.kind === 'sync') namesFor = index;
    });
    const journal = namesFor + Math.floor(random() * (moment - namesFor) * (lasting > 0 ? 1 : 0));
    const names = new Map([...this.baseFiles].map(([file, name]) => [name, file]));
    const folders: string[] = [];
    const changes = new Map<number, Step[]>();
    done.forEach((step, index) => {
      if (step.kind === 'write' || step.kind === 'cut') {
        const own = changes.get(step.file) ?? [];
        const isSynced = index < (lastSync.get(step.file) ?? -1);
        own.push(...(isSynced ? [step] : partOf(step, random, lasting)));
        changes.set(step.file, own);
      } else if (index <= journal) {
        if (step.kind === 'name') names.set(step.name, step.file);
        if (step.kind === 'unname') names.delete(step.name);
        if (step.kind === 'folder') folders.push(step.name);
      }
    });
    await this.restore(to, names, folders, changes);
  }

  /** Makes a folder what the base is; of the last one made only what has changed is copied again. */
  private renew(to: string): void {
    if (this.renewed !== to) {
      rmSync(to, { recursive: true, force: true });
      mkdirSync(dirname(to), { recursive: true });
      execFileSync('cp', ['-R', this.base, to]);
    } else {
      const there = readdirSync(to, { recursive: true, withFileTypes: true });
      for (const entry of there.filter((one) => one.isFile())) {
        const path = join(entry.parentPath, entry.name);
        if (statSync(path).ctimeMs < this.renewedAt) continue;
        const before = join(this.base, relative(to, path));
        if (existsSync(before)) copyFileSync(before, path);
        else rmSync(path);
      }
      for (const name of this.baseFiles.values())
        if (!existsSync(join(to, name))) copyFileSync(join(this.base, name), join(to, name));
    }
    this.renewed = to;
    // Files that were touched just now are copied once more: clocks of file systems are coarse.
    this.renewedAt = Date.now() - 50;
  }

  private async restore(
    to: string,
    names: ReadonlyMap<string, number>,
    folders: readonly string[],
    changes: ReadonlyMap<number, Step[]>,
  ): Promise<void> {
    this.renew(to);
    for (const name of folders) await mkdir(join(to, name), { recursive: true });
    for (const name of this.baseFiles.values())
      if (!names.has(name)) await rm(join(to, name), { force: true });
    for (const [name, file] of names) {
      const own = changes.get(file) ?? [];
      const before = this.baseFiles.get(file);
      if (before === name && own.length === 0) continue;
      const path = join(to, name);
      await mkdir(dirname(path), { recursive: true });
      await writeFile(path, before === undefined ? '' : await readFile(join(this.base, before)));
      const handle = await open(path, 'r+');
      for (const step of own) {
        if (step.kind === 'write') await handle.write(step.bytes, 0, step.bytes.length, step.at);
        if (step.kind === 'cut') await truncate(path, step.size);
      }
      await handle.close();
    }
  }
}

/** What of a step may be there though it was not synced: any of its blocks. */
function partOf(step: Step, random: () => number, lasting: number): Step[] {
  if (step.kind !== 'write') return random() < lasting ? [step] : [];
  const parts: Step[] = [];
  for (let start = 0; start < step.bytes.length; start += BLOCK)
    if (random() < lasting)
      parts.push({
        ...step,
        at: step.at + start,
        bytes: step.bytes.subarray(start, start + BLOCK),
      });
  return parts;
}
