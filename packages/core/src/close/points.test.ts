import fc from 'fast-check';
import { BUILT_IN_HARDWARE } from '../prep/hardware.ts';
import { genericProcedure } from '../prep/procedures/index.ts';
import { hardwareSchema } from '../record/hardware.ts';
import { closureView, hardwareOf } from './closure.testing.ts';
import { faceOf, leakCause } from './face.ts';
import { closingPoints } from './points.ts';

const keysOf = (group: string, view = closureView()) =>
  closingPoints(view)
    .filter((point) => point.group === group)
    .map(({ key }) => key);
const pointOf = (key: string, view = closureView()) =>
  closingPoints(view).find((point) => point.key === key)!;

describe('the list before the cover goes on', () => {
  it('has a point for every port of this hardware, sealed or plugged', () => {
    expect(keysOf('ports')).toEqual([
      'port:Oval',
      'port:Round 1',
      'port:Round 2',
      'port:Round 3',
      'port:Round 4',
      'port:Drop port',
    ]);
    expect(pointOf('port:Oval').message).toMatchObject({
      code: 'portSealed',
      port: 'Oval',
      // Both legs of the express cable fill it.
      cables: ['A'],
      seal: 'Oval seal 2',
      slit: 'yes',
      plugs: 0,
    });
    expect(pointOf('port:Round 1').message).toMatchObject({ code: 'portSealed', cables: ['B'] });
    expect(pointOf('port:Round 2').message).toEqual({
      code: 'portPlugged',
      port: 'Round 2',
      plugs: 1,
    });
    expect(pointOf('port:Drop port').message).toMatchObject({ code: 'portPlugged', plugs: 4 });
  });

  it('has a point for every tray that holds a splice, with its slots', () => {
    expect(keysOf('trays')).toEqual(['tray:1', 'tray:2', 'trays:stack', 'tubes']);
    expect(pointOf('tray:2').slots).toEqual([1, 2]);
  });

  it('asks for a bond only where a cable is armoured, with its caution', () => {
    expect(keysOf('cables')).toEqual([
      'cable:enters A',
      'cable:enters A:out',
      'cable:enters B',
      'bond:enters B',
    ]);
    expect(pointOf('bond:enters B').caution).toBe('qualified');
  });

  it('names bolts in the order of the sheet', () => {
    // Common practice, no source: crosswise on a ring.
    expect(keysOf('bolts').slice(0, 6)).toEqual([1, 4, 2, 5, 3, 6].map((bolt) => `bolt:${bolt}`));
    expect(keysOf('bolts').at(-1)).toBe('bolts:again');
    const gel = closureView({ hardware: hardwareOf('gel-drop') });
    expect(keysOf('bolts', gel)).toEqual([]);
    expect(pointOf('faces', gel).message.code).toBe('gelClean');
  });

  it('holds the plan against what is there', () => {
    const view = closureView();
    const open = { verdict: 'open', redo: false } as const;
    const fail = { verdict: 'fail', redo: true } as const;
    const splices = view.splices.map((one, at) => ({
      ...one,
      judged: at === 1 ? open : at === 3 ? fail : one.judged,
    }));
    const left = closureView({
      splices,
      assembly: { ...view.assembly, entries: view.assembly.entries.slice(0, 1) },
    });
    expect(pointOf('work:spliced', left).found).toEqual({
      ok: false,
      message: {
        code: 'spliced',
        made: 2,
        planned: 4,
        dead: 0,
        open: 1,
        places: { places: [{ tray: 1, slot: 2 }], most: 6 },
      },
    });
    expect(pointOf('work:redo', left).found).toEqual({
      ok: false,
      message: { code: 'toRedo', places: { places: [{ tray: 2, slot: 2 }], most: 6 } },
    });
    expect(pointOf('work:cables', left).found).toEqual({
      ok: false,
      message: { code: 'notEntered', cables: ['B'] },
    });
    expect(pointOf('work:spliced').found!.ok).toBe(true);
  });

  it('says where no hardware is chosen, and where trays are too many', () => {
    expect(pointOf('work:hardware', closureView({ hardware: null })).found!.message).toEqual({
      code: 'noHardware',
    });
    const small = closureView({
      hardware: { ...hardwareOf('dome'), trays: { most: 2, single: 12, mass: 6 } },
    });
    expect(pointOf('work:hardware', small).found!.ok).toBe(false);
  });

  // A hose clamp below the ring cut is a matter of domes and in-line cases (common practice, no source).
  it('asks for a hose clamp only on a form that has one, whatever a copied profile says', () => {
    const clamped = BUILT_IN_HARDWARE.filter((hardware) => {
      const view = closureView({ hardware: { ...hardware, hoseClamp: 64 } });
      const own = closingPoints(view).filter(({ key }) => key.startsWith('cable:'));
      return own.every(({ message }) => message.code === 'cableClamped');
    });
    expect(clamped.map(({ form }) => form)).toEqual(['dome', 'in-line']);
  });

  // Each form has its own list: common practice, no source.
  it.each<[string, string[]]>([
    [
      'dome',
      [
        ...['facesClean', 'gasketGreased', 'domeIn', 'lipCaptured', 'latchClosed', 'collarTight'],
        ...['collarLocked', 'valveCap', 'mounted', 'slackStored', 'labelled'],
      ],
    ],
    [
      'in-line',
      ['facesClean', 'sealant', 'lidOn', 'valveCap', 'mounted', 'slackStored', 'labelled'],
    ],
    [
      'gel-drop',
      ['filmOff', 'gelClean', 'slotsHome', 'tabsLocked', 'mounted', 'slackStored', 'labelled'],
    ],
    ['gland', ['facesClean', 'gasketSeated', 'lidOn', 'mounted', 'slackStored', 'labelled']],
    [
      'wedge',
      [
        ...['strapsOn', 'ringClean', 'domeTurned', 'ringOn', 'latchClosed', 'pinIn', 'valveCap'],
        ...['mounted', 'slackStored', 'labelled'],
      ],
    ],
    ['rack', ['lidOn', 'labelled']],
    ['drop-end', ['lidOn', 'mounted', 'slackStored', 'labelled']],
  ])('closes a %s as its form is closed', (id, codes) => {
    const points = closingPoints(closureView({ hardware: hardwareOf(id) }));
    const groups = ['faces', 'cover', 'after'];
    const own = points.filter(({ group }) => groups.includes(group));
    expect(own.map(({ message }) => message.code)).toEqual(codes);
  });

  it('asks for each wedge, plugged or not, and for a pin in each unused seal', () => {
    const wedge = closureView({ hardware: hardwareOf('wedge') });
    expect(keysOf('ports', wedge).filter((key) => key.startsWith('wedgeLatched'))).toHaveLength(5);
    const inLine = closureView({ hardware: hardwareOf('in-line') });
    expect(keysOf('ports', inLine).filter((key) => key.startsWith('sealPin'))).toEqual([
      'sealPin:Branch 1',
      'sealPin:Branch 2',
    ]);
  });

  it('says the torque of the sheet, and asks for what was used', () => {
    expect(pointOf('bolts:again')).toMatchObject({
      message: { code: 'boltsAgain' },
      asks: [{ key: 'torqueUsed' }],
    });
    const hardware = { ...hardwareOf('dome'), torqueMilliNm: 2800 };
    expect(pointOf('bolts:again', closureView({ hardware })).message).toEqual({
      code: 'boltsToTorque',
      torque: { torqueMilliNm: 2800 },
    });
  });

  it('has the points of a procedure of one’s own, with the figures of its profile', () => {
    const dome = hardwareOf('dome');
    const generic = genericProcedure('dome');
    const own = {
      ...generic.closing[0]!,
      key: 'tag',
      work: null,
      words: 'Tag at {hoseClamp}.',
      group: 'after' as const,
    };
    const procedure = { ...generic, closing: [...generic.closing, own] };
    const view = closureView({ hardware: { ...dome, procedure } });
    expect(closingPoints(view).at(-1)).toMatchObject({
      key: 'tag',
      group: 'after',
      message: {
        code: 'ownWords',
        words: 'Tag at {hoseClamp}.',
        figures: { hoseClamp: { lengthTenthsMm: 64 } },
      },
    });
  });

  it('asks for nothing of a kind of cable that does not enter', () => {
    const dome = hardwareOf('dome');
    const generic = genericProcedure('dome');
    const only = (traits: ('armoured' | 'tracer')[]) => {
      const closing = generic.closing.map((step) =>
        step.key === 'port' ? { ...step, when: { entries: [], traits } } : step,
      );
      return closureView({ hardware: { ...dome, procedure: { ...generic, closing } } });
    };
    // B is armoured; no cable has a tracer.
    expect(keysOf('ports', only(['armoured']))).toHaveLength(6);
    expect(keysOf('ports', only(['tracer']))).toEqual([]);
  });

  it('names each point once', () => {
    for (const hardware of BUILT_IN_HARDWARE) {
      const points = closingPoints(closureView({ hardware }));
      expect(new Set(points.map(({ key }) => key)).size).toBe(points.length);
    }
  });
});

describe('the drawing of a closure', () => {
  it.each(BUILT_IN_HARDWARE.map((hardware) => [hardware.id, hardware] as const))(
    '%s: every port, hole and bolt, inside the picture, none on another',
    (_, hardware) => {
      const face = faceOf(hardware);
      expect(face.ports.map(({ name }) => name)).toEqual(hardware.ports.map(({ name }) => name));
      expect(face.bolts.map(({ number }) => number).sort((a, b) => a - b)).toEqual(
        [...hardware.bolts].sort((a, b) => a - b),
      );
      const rounds = [...face.ports, ...face.bolts];
      for (const { x, y, r } of rounds) {
        expect(x - r).toBeGreaterThanOrEqual(0);
        expect(x + r).toBeLessThanOrEqual(face.width);
        expect(y - r).toBeGreaterThanOrEqual(0);
        expect(y + r).toBeLessThanOrEqual(face.height);
      }
      rounds.forEach((one, index) =>
        rounds.slice(index + 1).forEach((other) => {
          expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThan(
            one.r + other.r - 0.01,
          );
        }),
      );
      face.ports.forEach((port, index) => {
        expect(port.holes).toHaveLength(hardware.ports[index]!.holes);
        for (const hole of port.holes)
          expect(Math.hypot(hole.x - port.x, hole.y - port.y) + hole.r).toBeLessThan(port.r + 0.01);
      });
    },
  );

  it('keeps apart the ports of any hardware of up to ten', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 10 }),
        fc.constantFrom('dome', 'gland', 'in-line'),
        (ports, id) => {
          const hardware = hardwareOf(id);
          const many = Array.from({ length: ports }, (_, index) => ({
            ...hardware.ports[index === 0 ? 0 : 1]!,
            name: `P${index}`,
          }));
          const face = faceOf({ ...hardware, ports: many });
          return face.ports.every((one, at) =>
            face.ports
              .slice(at + 1)
              .every(
                (other) => Math.hypot(one.x - other.x, one.y - other.y) > one.r + other.r - 0.01,
              ),
          );
        },
      ),
    );
  });

  it('says what bubbles mean', () => {
    // Common practice, no source: bubbles at a port are a loose cap or a seal of the wrong diameter.
    expect(leakCause(hardwareOf('dome'), 'Oval')).toBe('port');
    expect(leakCause(hardwareOf('dome'), 'Clamp ring')).toBe('seam');
    expect(leakCause(hardwareOf('dome'), 'Air valve')).toBe('valve');
  });
});

describe('bolts of a profile', () => {
  const dome = hardwareOf('dome');
  it('are each named once', () => {
    expect(hardwareSchema.safeParse(dome).success).toBe(true);
    expect(hardwareSchema.safeParse({ ...dome, bolts: [1, 3, 2] }).success).toBe(true);
    for (const bolts of [
      [1, 1],
      [2, 3],
      [0, 1],
      [1, 2, 4],
    ])
      expect(hardwareSchema.safeParse({ ...dome, bolts }).success).toBe(false);
  });

  it('may be missing from a profile of before', () => {
    const { bolts: _bolts, ...before } = dome;
    expect(hardwareSchema.parse(before).bolts).toEqual([]);
  });
});

describe('ends at ports', () => {
  const view = closureView();
  const ends = view.splices.map(({ splice, ...rest }, index) => ({
    ...rest,
    judged: { verdict: 'open' as const, redo: false },
    splice: { ...splice, cableB: 'T1', tray: 0, slot: index + 1, end: 'mechanical' as const },
  }));
  const points = closingPoints({ ...view, splices: ends, isDevice: (id) => id === 'T1' });
  const found = (key: string) => points.find((point) => point.key === key);

  test('their ports are no cable that must enter', () =>
    expect(found('work:cables')!.found).toMatchObject({ ok: true }));

  test('are seated and capped before the cover goes on', () =>
    expect(found('ends')).toMatchObject({
      group: 'trays',
      message: { code: 'endsCapped', ends: 4 },
    }));

  test('that are not made are told once, not port by port', () =>
    expect(found('work:spliced')!.found!.message).toMatchObject({
      open: 4,
      places: { places: [{ tray: 0, slot: 0 }] },
    }));
});
