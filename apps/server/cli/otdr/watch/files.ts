import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { v7 as uuid } from 'uuid';
import { type Direction, fiberCount } from '@cordel/core';
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
import type { Answer, Project, Server } from './server.ts';

/** How fibers are told from the names of files. */
export interface NameSetting {
  /** Name of the cable that fibers are counted in where files do not say. */
  cable: string | null;
  /** How files are named, such as {cable}{fiber}_{dir}_{nm}; proposed from their names where nothing is said. */
  pattern: string | null;
}

/** Files of a folder one after the other, and what they show. */
export class Watched {
  readonly known = new Set<string>();
  private readonly server: Server;
  private readonly project: Project;
  private readonly options: NameSetting;
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
    options: NameSetting,
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
