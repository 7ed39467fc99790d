import type { Write } from './write.ts';

/** A write as pages stored it that had no commands yet. */
export interface OldWrite {
  id: string;
  method: 'PUT' | 'POST' | 'DELETE';
  path: string;
  body: unknown;
  what: string;
  state: Write['state'];
  problem?: string;
  failures?: number;
}

type Ids = readonly string[];
type Read = readonly [
  request: RegExp,
  command: string,
  input?: (body: Record<string, unknown>, ids: Ids) => unknown,
];

const inProject: Read[2] = (body, [projectId]) => ({ projectId, ...body });
const record: Read[2] = (body, [kind, id]) => ({ kind, id, ...body });

/** Which command a request was. Where nothing else is said its input is the body. */
const READS: readonly Read[] = [
  [/^POST \/api\/evidence$/, 'evidence.record'],
  [/^PUT \/api\/projects\/[^/]+$/, 'project.save'],
  [/^PUT \/api\/cables\/[^/]+$/, 'cable.save'],
  [/^PUT \/api\/closures\/[^/]+$/, 'closure.save'],
  [/^PUT \/api\/schemes\/[^/]+$/, 'scheme.save'],
  [/^PUT \/api\/hardware\/[^/]+$/, 'hardware.save'],
  [/^PUT \/api\/instruments\/[^/]+$/, 'instrument.save'],
  [/^PUT \/api\/closures\/[^/]+\/plan$/, 'plan.save'],
  [
    /^POST \/api\/assemblies\/([^/]+)\/changes$/,
    'assembly.change',
    (change, [closureId]) => ({ closureId, change }),
  ],
  [/^DELETE \/api\/records\/([^/]+)\/([^/]+)$/, 'record.delete', record],
  [/^PUT \/api\/records\/([^/]+)\/([^/]+)\/archived$/, 'record.archive', record],
  [/^POST \/api\/projects\/([^/]+)\/instrument-log$/, 'instrument.log', inProject],
  [/^POST \/api\/projects\/([^/]+)\/set-aside$/, 'records.set-aside', inProject],
  [/^POST \/api\/projects\/([^/]+)\/splicer-records$/, 'records.import', inProject],
  [
    /^POST \/api\/closures\/([^/]+)\/closing$/,
    'closing.append',
    (body, [closureId]) => ({ closureId, ...body }),
  ],
  [/^POST \/api\/photos$/, 'photo.add'],
  [/^POST \/api\/projects\/([^/]+)\/trace-places$/, 'traces.place', inProject],
  [/^POST \/api\/projects\/([^/]+)\/proof\/readings$/, 'traces.record-readings', inProject],
  [/^POST \/api\/projects\/([^/]+)\/splice-list$/, 'splice-list.import', inProject],
  [/^POST \/api\/projects\/([^/]+)\/geojson$/, 'route.import', inProject],
  [/^POST \/api\/documents$/, 'document.import', (document) => ({ document })],
  [/^POST \/api\/projects\/([^/]+)\/packages$/, 'package.ask', inProject],
  [
    /^POST \/api\/packages\/([^/]+)\/stop$/,
    'package.stop',
    (_body, [packageId]) => ({ packageId }),
  ],
];

/** Who signed the first entry of a body, where it was signed. */
const signerOf = (body: unknown): string => {
  const { by, entries } = (body ?? {}) as { by?: unknown; entries?: { by?: unknown }[] };
  const signer = by ?? entries?.[0]?.by;
  return typeof signer === 'string' ? signer : '';
};

/** When a UUIDv7 was made, in its first 48 bits as ms since 1970 (RFC 9562, section 5.7). */
const momentOf = (id: string): string =>
  new Date(Number.parseInt(id.replaceAll('-', '').slice(0, 12), 16) || 0).toISOString();

/** The command that an old write is; null where it is none of this page's. */
export function fromOldWrite({ id, method, path, body, what, ...rest }: OldWrite): Write | null {
  for (const [pattern, command, inputOf] of READS) {
    const match = pattern.exec(`${method} ${path}`);
    if (!match) continue;
    const given = (body ?? {}) as Record<string, unknown>;
    const input = inputOf ? inputOf(given, match.slice(1).map(decodeURIComponent)) : given;
    const made = { person: signerOf(body), madeAt: momentOf(id), label: what };
    return { id, command, input, ...made, ...rest };
  }
  return null;
}
