import { BUILT_IN_SCHEMES, METRIC, addressOf } from '@cordel/core';
import { IntlMessageFormat } from 'intl-messageformat';
import * as bench from './bench/index.ts';
import * as close from './close/index.ts';
import { colourText, makeUpText, placeText, unitText } from './fiber/index.ts';
import './files/index.ts';
import './kit/index.ts';
import { spliceReasonText } from './loss/index.ts';
import { lossProblemText } from './measure/index.ts';
import * as otdr from './otdr/index.ts';
import * as plan from './plan/index.ts';
import { prepCheckText, prepStepText } from './prep/index.ts';
import { registered } from './register.ts';

const units = { ...METRIC, timeZone: 'Europe/Lisbon' };
const tia = BUILT_IN_SCHEMES[0]!;
const loose = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 } as const;

describe('every text', () => {
  const all = registered();

  it('is there', () => expect(all.length).toBeGreaterThan(400));

  it('is whole ICU MessageFormat', () => {
    const broken = all.filter(([, text]) => {
      try {
        new IntlMessageFormat(text, 'en', undefined, { ignoreTag: true });
        return false;
      } catch {
        return true;
      }
    });
    expect(broken).toEqual([]);
  });

  // Words that no splicer would use of a splice.
  it.each([/\bmend/i, /\bfellows?\b/i, /\breckon/i, /\bfibre/i, /in the air\b/i])(
    'goes without %s',
    (word) => expect(all.filter(([, text]) => word.test(text))).toEqual([]),
  );
});

describe('sentences as they are read', () => {
  it('places by the standard order', () => {
    // TIA-598-D (from memory): fiber 100 of 144 with 12 a tube lies in tube 9 yellow, 4 brown.
    expect(placeText(addressOf(loose, tia, 100))).toBe('tube 9 yellow, fiber 4 brown');
    const grouped = { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 } as const;
    expect(unitText(addressOf(grouped, tia, 100))).toBe('tube 5 slate, group 1');
    const plain = { kind: 'loose-tube', tubes: 6, fibersPerTube: 24 } as const;
    expect(colourText(addressOf(plain, tia, 16).fiber)).toBe('brown, black tracer');
    expect(unitText(addressOf({ kind: 'drop', fibers: 12 }, tia, 12))).toBe('');
  });

  it.each([
    [loose, '144 fibers: 12 tubes of 12'],
    [
      { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 } as const,
      '144 fibers: 6 tubes of 2 groups of 12',
    ],
    [{ kind: 'ribbon', ribbons: 24 } as const, '288 fibers: 24 ribbons of 12'],
    [{ kind: 'drop', fibers: 1 } as const, '1 fiber: drop'],
  ])('%j', (makeUp, text) => expect(makeUpText(makeUp)).toBe(text));

  it('a loss that cannot be, with what was likely meant', () =>
    expect(
      lossProblemText({
        code: 'noSpliceMeant',
        loss: { lossMdb: 15_000 },
        most: { lossMdb: 5000 },
        meant: { lossMdb: 150 },
      }),
    ).toBe('15.00 dB cannot be a splice; at most 5.00 dB. Did you mean 0.15 dB?'));

  it('why a splice is to be redone', () =>
    expect(
      spliceReasonText({
        code: 'overAt',
        grade: 'two-way',
        loss: { lossHalfMdb: 420 },
        wavelengthNm: 1310,
        limit: { lossMdb: 100 },
      }),
    ).toBe('Two-way average 0.21 dB at 1310 nm is over 0.10 dB.'));

  it('a port of the closing list', () =>
    expect(
      close.pointText(
        {
          code: 'portSealed',
          port: 'Oval',
          cables: ['A', 'B'],
          seal: 'Oval seal 2',
          bushing: 'no',
          slit: 'yes',
          plugs: 1,
        },
        units,
      ),
    ).toBe('Oval: cable A, B in Oval seal 2, slit off the seam, 1 plug'));

  it('a cut plan and its steps', () => {
    const length = (lengthTenthsMm: number) => ({ lengthTenthsMm });
    const slack = { tail: length(3556), needed: length(3000), each: length(400) };
    expect(prepCheckText({ code: 'slack', redos: 1, planned: 3, ...slack }, units)).toBe(
      'Slack for 1 redo of 40 mm: the tail of 356 mm less 300 mm that is needed. 3 planned.',
    );
    expect(
      prepStepText(
        {
          code: 'threadSeal',
          seal: 'Round seal 1',
          port: 'Round 2',
          layers: 0,
          clip: 'none',
          bushing: 'yes',
          slit: 'no',
        },
        units,
      ),
    ).toBe(
      'Thread Round seal 1, with a bushing onto the cable for Round 2, before anything is opened.',
    );
  });

  it('a plan that names a fiber twice, and a place that is taken', () => {
    expect(
      plan.planMessageText({
        code: 'namedTwice',
        cable: 'A',
        runs: '10-12',
        fibers: 3,
        earlier: 1,
      }),
    ).toBe('A 10-12 are named in line 1 already: a fiber has one place in a plan.');
    expect(
      plan.clashText({ code: 'slotUsed', tray: 1, slot: 2, in: { code: 'row', row: 7 } }),
    ).toBe('Tray 1 slot 2 is used in row 7 already; choose a free slot.');
  });

  it('a finding in the traces, and where to go', () => {
    const message = {
      code: 'badSplice',
      label: 'A 3 to B 3',
      loss: { lossDb: 0.21, sigmaDb: 0.004 },
      wavelengthNm: 1550,
      limit: { lossDb: 0.1 },
      circuit: 'A 3',
    } as const;
    expect(otdr.findingTitle(message, units)).toBe('A 3 to B 3 is a bad splice');
    expect(otdr.findingEvidence(message, units)).toMatch(
      /^0\.210 ± 0\.008 dB both ways at 1550 nm/,
    );
    const place = {
      code: 'alongMark',
      cable: 'C',
      from: 'mill',
      toward: 'ford',
      sheath: { tapeM: 412.4, errorM: 3.2 },
      mark: { tapeM: 8412 },
    } as const;
    expect(otdr.whereText([place], units)).toBe(
      'Cable C, 412 ± 3 m of sheath from mill toward ford, at sheath mark 8,412 m.',
    );
  });

  it('a clock that is off, and a check that is due', () => {
    expect(bench.recordDoubtText({ code: 'clockAhead', by: { spanMs: 63 * 60_000 } })).toMatch(
      /is 1 h 3 min ahead/,
    );
    expect(
      bench.arcReasonText(
        {
          code: 'temperature',
          rise: 'down',
          change: { temperatureChangeC: -11 },
          much: { temperatureChangeC: 10 },
        },
        units,
      ),
    ).toBe('Temperature \u221211 C since the last good check; 10 C is much.');
  });

  it('labels of a practice project say so', () => {
    const label = {
      kind: 'closure' as const,
      title: { code: 'closure' as const, name: 'Mill lane' },
      lines: [
        { code: 'practice' as const, name: 'Demo' },
        { code: 'distance' as const, distance: { distanceTenthsMm: 12_400_000 * 10 } },
      ],
      code: '4K7M-Q2ZX',
      url: 'https://x',
    };
    expect(close.wordedLabel(label, units)).toMatchObject({
      title: 'Mill lane',
      lines: ['PRACTICE ONLY: Demo', 'at 12.4 km'],
    });
  });
});
