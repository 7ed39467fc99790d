import { circuitOrigins, type JoinedFibers } from './circuitOrigins.ts';

const joint = (
  cableA: string,
  fiberA: number,
  cableB: string,
  fiberB: number,
  order: number,
): JoinedFibers => ({
  cableA,
  fiberA,
  cableB,
  fiberB,
  order,
});

describe('the fiber along the route', () => {
  it('is one chain through every closure, named by its end nearest the start', () => {
    const heads = circuitOrigins([
      joint('B', 40, 'C', 16, 2),
      joint('A', 100, 'B', 40, 1),
      joint('C', 16, 'D', 4, 3),
    ]);
    expect(heads).toEqual(Array(3).fill({ cable: 'A', fiber: 100 }));
  });

  it('does not care which way round a splice is written', () => {
    const heads = circuitOrigins([joint('B', 7, 'A', 7, 1), joint('C', 7, 'B', 7, 2)]);
    expect(heads).toEqual(Array(2).fill({ cable: 'A', fiber: 7 }));
  });

  it('keeps neighbors apart', () => {
    const heads = circuitOrigins([
      joint('A', 1, 'B', 1, 1),
      joint('A', 2, 'B', 2, 1),
      joint('B', 1, 'C', 2, 2),
    ]);
    expect(heads).toEqual([
      { cable: 'A', fiber: 1 },
      { cable: 'A', fiber: 2 },
      { cable: 'A', fiber: 1 },
    ]);
  });

  it('holds a fiber that is tapped on its way together', () => {
    const heads = circuitOrigins([
      joint('A', 5, 'B', 5, 1),
      joint('B', 5, 'E', 1, 2),
      joint('B', 5, 'C', 5, 3),
    ]);
    expect(new Set(heads.map((head) => `${head.cable} ${head.fiber}`))).toEqual(new Set(['A 5']));
  });

  it('names a ring without a free end by its first fiber', () => {
    const heads = circuitOrigins([
      joint('A', 1, 'B', 1, 1),
      joint('B', 1, 'C', 1, 2),
      joint('C', 1, 'A', 1, 3),
    ]);
    expect(heads).toEqual(Array(3).fill({ cable: 'A', fiber: 1 }));
  });

  it('ends where a fiber is cut on the way of its cable, and names what lies behind apart', () => {
    const heads = circuitOrigins([
      { ...joint('F', 1, 'C', 1, 2), legA: 'in' },
      { ...joint('F', 1, 'D', 1, 2), legA: 'out' },
      joint('F', 1, 'B', 1, 3),
      joint('F', 2, 'B', 2, 3),
    ]);
    expect(heads).toEqual([
      { cable: 'F', fiber: 1 },
      { cable: 'D', fiber: 1 },
      { cable: 'D', fiber: 1 },
      { cable: 'F', fiber: 2 },
    ]);
  });

  it('takes 86 400 splices in one pass', () => {
    const joints = Array.from({ length: 86_400 }, (_, index) =>
      joint(
        `C${Math.floor(index / 864)}`,
        (index % 864) + 1,
        `C${Math.floor(index / 864) + 1}`,
        (index % 864) + 1,
        index,
      ),
    );
    const heads = circuitOrigins(joints);
    expect(new Set(heads.map(({ cable }) => cable))).toEqual(new Set(['C0']));
    expect(new Set(heads.map(({ fiber }) => fiber)).size).toBe(864);
  });
});
