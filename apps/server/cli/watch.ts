import { createHash } from 'node:crypto';
import { readFile, stat } from 'node:fs/promises';
import { basename, resolve } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { type FSWatcher, watch } from 'chokidar';
import { v7 as uuid } from 'uuid';
import { type Cable, type Direction, type Units, fiberCount } from '@cordel/core';
import {
  type Finding,
  type NamedPlace,
  type SorProblem,
  endsKey,
  factsOf,
  proposePattern,
  readSor,
  samplesOf,
  settlePlace,
} from '@cordel/core/otdr';
import type { WatchEvent } from '@cordel/text/otdr/watch';

/** A folder that an instrument writes into, and where its files go. */
export interface WatchOptions {
  folder: string;
  /** Address of the server. */
  server: string;
  /** Name or id of the project; the only one where nothing is said. */
  project: string | null;
  /** Name of the cable that fibers are counted in where files do not say. */
  cable: string | null;
  /** How files are named, such as {cable}{fiber}_{dir}_{nm}; proposed from their names where nothing is said. */
  pattern: string | null;
  /** By whom: needed where the server asks for an account. */
  account: { email: string; password: string } | null;
}

const TRACE_FILE = /\.(sor|trc|msor)$/i;
/** A file is looked at once it has not grown for so long, ms: instruments write slowly. */
const WHOLE_MS = 1000;
const LOOK_MS = 300;
/** Between tries while the server or the folder is away, ms. */
const RETRY_MS = [1000, 2000, 5000, 10_000] as const;

/** What keeps watching from beginning: said once, and nothing is watched. */
export class CannotWatch extends Error {
  readonly event: WatchEvent;

  constructor(event: WatchEvent) {
    super(event.code);
    this.event = event;
  }
}

interface Answer {
  status: number;
  body: unknown;
}

/** Asks the server; the cookies of a sign-in go along. */
class Server {
  private readonly url: string;
  private cookie = '';

  constructor(url: string) {
    this.url = url.replace(/\/$/, '');
  }

  /** @throws TypeError where the server is not reached */
  async ask(path: string, body?: unknown): Promise<Answer> {
    const answer = await fetch(`${this.url}/api${path}`, {
      ...(body !== undefined && { method: 'POST', body: JSON.stringify(body) }),
      headers: {
        'content-type': 'application/json',
        origin: this.url,
        ...(this.cookie && { cookie: this.cookie }),
      },
    });
    const set = answer.headers.getSetCookie().map((one) => one.split(';')[0]);
    if (set.length > 0) this.cookie = set.join('; ');
    return { status: answer.status, body: await answer.json().catch(() => null) };
  }

  /** Asks until the server answers: it may be out of reach for hours. */
  async insist(
    path: string,
    body: unknown,
    tell: (event: WatchEvent) => void,
    signal: AbortSignal,
  ): Promise<Answer> {
    for (let tries = 0; ; tries++) {
      try {
        const answer = await this.ask(path, body);
        if (answer.status < 500) {
          if (tries > 0) tell({ code: 'serverBack' });
          return answer;
        }
      } catch (error) {
        if (!(error instanceof TypeError)) throw error;
      }
      if (tries === 0) tell({ code: 'serverAway' });
      await sleep(RETRY_MS[Math.min(tries, RETRY_MS.length - 1)], undefined, { signal });
    }
  }
}

interface Project {
  id: string;
  name: string;
  units: Units;
  cables: Cable[];
}

async function openProject(server: Server, options: WatchOptions): Promise<Project> {
  if (options.account) {
    const { status } = await server.ask('/session', options.account);
    if (status !== 200) throw new CannotWatch({ code: 'signInFailed' });
  }
  const { status, body } = await server.ask('/projects');
  if (status === 401) throw new CannotWatch({ code: 'signInNeeded' });
  const list = body as { id: string; name: string }[];
  const wanted = options.project;
  const found = list.filter(({ id, name }) => wanted === null || id === wanted || name === wanted);
  if (found.length !== 1)
    throw new CannotWatch({ code: 'whichProject', names: { items: list.map(({ name }) => name) } });
  const { project, cables } = (await server.ask(`/projects/${found[0]!.id}`)).body as {
    project: { units: Units };
    cables: Cable[];
  };
  return { ...found[0]!, units: project.units, cables };
}

/**
 * Sends each trace file of a folder once it is whole, and tells what its traces show to be redone. What the server has is
 * not sent again, so that it may be stopped and begun anew at any time.
 * @throws CannotWatch where the server, the project or the account is not there from the beginning
 */
export async function watchFolder(
  options: WatchOptions,
  tell: (event: WatchEvent) => void,
  signal: AbortSignal,
): Promise<void> {
  const folder = resolve(options.folder);
  const server = new Server(options.server);
  const project = await openProject(server, options).catch((error: unknown) => {
    if (error instanceof TypeError)
      throw new CannotWatch({ code: 'noServer', url: options.server });
    throw error;
  });
  const traces = (await server.ask(`/projects/${project.id}/traces`)).body as { digest: string }[];
  const watched = new Watched(server, project, options, tell, signal);
  for (const { digest } of traces) watched.known.add(digest);
  tell({ code: 'watching', folder, project: project.name, known: traces.length });
  while (!signal.aborted) {
    await untilThere(folder, tell, signal);
    if (signal.aborted) break;
    await whileThere(folder, (path) => watched.add(path), signal);
  }
  await watched.done();
}

async function untilThere(
  folder: string,
  tell: (event: WatchEvent) => void,
  signal: AbortSignal,
): Promise<void> {
  const isThere = () =>
    stat(folder).then(
      (found) => found.isDirectory(),
      () => false,
    );
  if (await isThere()) return;
  tell({ code: 'folderGone', folder });
  while (!(await isThere()))
    try {
      await sleep(RETRY_MS[0], undefined, { signal });
    } catch {
      return;
    }
  tell({ code: 'folderBack', folder });
}

/** Watches until the folder is gone, or it is told to stop. */
async function whileThere(
  folder: string,
  found: (path: string) => void,
  signal: AbortSignal,
): Promise<void> {
  // Shared and removable drives send no notices: they are looked at.
  const watcher: FSWatcher = watch(folder, {
    usePolling: true,
    interval: LOOK_MS,
    depth: 3,
    awaitWriteFinish: { stabilityThreshold: WHOLE_MS, pollInterval: LOOK_MS },
  });
  const onFile = (path: string) => {
    if (TRACE_FILE.test(path)) found(path);
  };
  watcher.on('add', onFile).on('change', onFile);
  while (!signal.aborted) {
    await sleep(RETRY_MS[0], undefined, { signal }).catch(() => undefined);
    if (!(await stat(folder).catch(() => null))) break;
  }
  await watcher.close();
}

/** Files of a folder one after the other, and what they show. */
class Watched {
  readonly known = new Set<string>();
  private readonly server: Server;
  private readonly project: Project;
  private readonly options: WatchOptions;
  private readonly tell: (event: WatchEvent) => void;
  private readonly signal: AbortSignal;
  private readonly names = new Set<string>();
  private readonly ends: Record<string, [string, string]> = {};
  private readonly told = new Set<string>();
  private readonly waiting: string[] = [];
  private working: Promise<void> | null = null;

  constructor(
    server: Server,
    project: Project,
    options: WatchOptions,
    tell: (event: WatchEvent) => void,
    signal: AbortSignal,
  ) {
    this.server = server;
    this.project = project;
    this.options = options;
    this.tell = tell;
    this.signal = signal;
  }

  add(path: string): void {
    if (!this.waiting.includes(path)) this.waiting.push(path);
    this.working ??= this.work()
      .catch((error: unknown) => {
        if (!this.signal.aborted) throw error;
      })
      .finally(() => {
        this.working = null;
      });
  }

  async done(): Promise<void> {
    await this.working;
  }

  private async work(): Promise<void> {
    const circuits = new Set<string>();
    for (let path = this.waiting.shift(); path; path = this.waiting.shift()) {
      if (this.signal.aborted) return;
      const place = await this.send(path);
      if (place?.cableId) circuits.add(place.cableId);
      if (this.waiting.length === 0 && circuits.size > 0) {
        await this.tellFindings();
        circuits.clear();
      }
    }
  }

  /** Sends a file; where it belongs, or null where it was not sent. */
  private async send(path: string): Promise<NamedPlace | null> {
    const file = basename(path);
    // It may be gone by now.
    const bytes = await readFile(path).catch(() => null);
    if (!bytes) return null;
    const digest = createHash('sha256').update(bytes).digest('hex');
    if (this.known.has(digest)) return null;
    const read = readSor(bytes);
    if (!read.ok) {
      this.tell({ code: 'notReadable', file, problem: read.error satisfies SorProblem });
      return null;
    }
    const { raw, statedCount } = read.value.data;
    if (raw.length < statedCount) {
      this.tell({ code: 'notWhole', file, samples: raw.length, of: statedCount });
      return null;
    }
    this.names.add(file);
    const facts = factsOf(read.value, samplesOf(read.value));
    const place = await this.placeOf(file, facts);
    const isClear = place.problems.length === 0;
    const id = uuid();
    const by = { id: uuid(), traceId: id, by: 'Watched folder', at: new Date().toISOString() };
    const { cableId, fiber, direction, wavelengthNm } = place;
    const { status, body } = await this.ask(`/projects/${this.project.id}/traces`, {
      id,
      name: file,
      bytes: bytes.toString('base64'),
      place: isClear ? { ...by, cableId, fiber, direction, wavelengthNm, why: null } : null,
    });
    if (status !== 200) {
      this.tell({
        code: 'refused',
        file,
        message: (body as { title?: string } | null)?.title ?? '',
      });
      return null;
    }
    this.known.add(digest);
    if (!isClear) {
      this.tell({ code: 'placeUnclear', file, problems: place.problems });
      return null;
    }
    const cable = this.project.cables.find((one) => one.id === cableId)!.name;
    this.tell({ code: 'sent', file, cable, fiber: fiber!, wavelengthNm: wavelengthNm! });
    return place;
  }

  private async placeOf(
    file: string,
    facts: { cableId: string; fiberId: string; wavelengthNm: number; from: string; to: string },
  ): Promise<NamedPlace> {
    const cables = this.project.cables.map(({ id, name, makeUp }) => ({
      id,
      name,
      fibers: fiberCount(makeUp),
    }));
    const named = (name: string | null) => cables.find((cable) => cable.name === name)?.id ?? null;
    const setting = {
      pattern:
        this.options.pattern ??
        proposePattern(
          [...this.names],
          cables.map(({ name }) => name),
        ) ??
        '',
      cables,
      cableId: named(this.options.cable),
      directions: {} satisfies Record<string, Direction>,
      ends: this.ends,
      // Nobody is there to ask: the instrument was told what it shoots.
      trust: 'file' as const,
    };
    const first = settlePlace(file, facts, setting);
    if (!first.cableId || this.ends[endsKey(first.cableId, 1)]) return first;
    const ends = (
      await this.ask(`/projects/${this.project.id}/cables/${first.cableId}/circuit-ends`)
    ).body as { fiber: number; from: string; to: string }[];
    for (const { fiber, from, to } of ends) this.ends[endsKey(first.cableId, fiber)] = [from, to];
    return settlePlace(file, facts, setting);
  }

  private async tellFindings(): Promise<void> {
    const { body } = await this.ask(`/projects/${this.project.id}/proof`);
    const { findings } = body as { findings: Finding[] };
    for (const finding of findings) {
      if (finding.weight !== 'bad' && finding.cause !== 'splice') continue;
      const key = JSON.stringify([finding.message.code, finding.circuits, finding.spliceIds]);
      if (this.told.has(key)) continue;
      this.told.add(key);
      this.tell({ code: 'finding', finding, units: this.project.units });
    }
  }

  private ask = (path: string, body?: unknown): Promise<Answer> =>
    this.server.insist(path, body, this.tell, this.signal);
}
