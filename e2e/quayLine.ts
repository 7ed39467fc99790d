import { type Server, makeProject, newId, readApi, writeApi } from './app.ts';

interface Setting {
  cables: { id: string; name: string }[];
  closures: { id: string; name: string }[];
}

/** A project of three cables through two closures, with its lengths. */
export interface QuayLine {
  project: string;
  setting(): Promise<Setting>;
  cableId(name: string): Promise<string>;
  closureId(name: string): Promise<string>;
  /** A trace file of the simulated OTDR, shot into a fiber of cable A. */
  shoot(
    fiber: number,
    direction: string,
    wavelengthNm: number,
    faults?: string[],
  ): Promise<{ name: string; bytes: Buffer }>;
}

/** The closures, and where they lie on the route, km. */
const CLOSURES = { 'Lock gate': 2.1, 'Quay steps': 5.3 };
const ENDS = { A: ['Harbour office', 0], C: ['Light house', 8.2] } as const;

/**
 * Makes the project with every splice made.
 * @param estimates thousandths of a dB that the splicer estimated, by closure and fiber, such as "Lock gate 3"; 20 otherwise
 */
export async function makeQuayLine(
  server: Server,
  estimates: Readonly<Record<string, number>> = {},
): Promise<QuayLine> {
  const tubes = { kind: 'loose-tube', tubes: 1, fibersPerTube: 12 };
  const rows = Array.from({ length: 12 }, (_, index) => index + 1).flatMap((fiber) => [
    `Lock gate,1,${fiber},A,${fiber},B,${fiber},single`,
    `Quay steps,1,${fiber},B,${fiber},C,${fiber},single`,
  ]);
  const project = await makeProject(server, 'Quay line', { A: tubes, B: tubes, C: tubes }, rows);
  const { cables, closures } = await readApi<{
    cables: { id: string; name: string; run: object }[];
    closures: { id: string; name: string }[];
  }>(server, `/projects/${project}`);
  for (const closure of closures)
    await writeApi(server, 'PUT', `/closures/${closure.id}`, {
      ...closure,
      distance: Math.round(CLOSURES[closure.name as keyof typeof CLOSURES] * 1e7),
    });
  for (const cable of cables) {
    const end = ENDS[cable.name as keyof typeof ENDS];
    if (end)
      await writeApi(server, 'PUT', `/cables/${cable.id}`, {
        ...cable,
        run: {
          ...cable.run,
          end: { name: end[0], distance: Math.round(end[1] * 1e7), mark: null, coil: 0 },
        },
      });
  }
  for (const { id, name } of closures) {
    const { splices } = await readApi<{ splices: { id: string; fiberA: number }[] }>(
      server,
      `/closures/${id}/work`,
    );
    await writeApi(server, 'POST', '/evidence', {
      entries: splices.map((splice) => {
        const own = newId();
        return {
          type: 'attempt',
          id: own,
          spliceId: splice.id,
          by: 'Crew',
          at: '2026-05-04T20:15:00.000Z',
          tryId: own,
          estimateMdb: estimates[`${name} ${splice.fiberA}`] ?? 20,
          supersedes: null,
          void: false,
          why: null,
        };
      }),
    });
  }
  const setting = () => readApi<Setting>(server, `/projects/${project}`);
  const cableId = async (name: string) =>
    (await setting()).cables.find((one) => one.name === name)!.id;
  return {
    project,
    setting,
    cableId,
    closureId: async (name) => (await setting()).closures.find((one) => one.name === name)!.id,
    shoot: async (fiber, direction, wavelengthNm, faults = []) => {
      const response = await fetch(`${server.url}/api/projects/${project}/standin/otdr`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          cableId: await cableId('A'),
          fiber,
          direction,
          wavelengthNm,
          pulseNs: 100,
          averages: 8192,
          faults,
        }),
      });
      const { name, bytes } = (await response.json()) as { name: string; bytes: string };
      return { name, bytes: Buffer.from(bytes, 'base64') };
    },
  };
}
