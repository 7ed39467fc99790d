import type { Loss, Quantity } from '@cordel/core';
import { METRIC, US_CUSTOMARY } from '@cordel/core';
import { catalog } from './catalog.ts';
import { fill } from './fill.ts';
import { listed } from './listed.ts';
import { phrases } from './phrases.ts';

type Told =
  | { code: 'slots'; count: number; names: readonly string[] }
  | { code: 'reach'; length: Quantity }
  | { code: 'over'; loss: Loss };

const say = catalog<Told>()({
  slots: '{count, plural, one {# slot} other {# slots}}: {names}',
  reach: 'It reaches {length}.',
  over: '{loss} is over.',
});
const metric = { ...METRIC, timeZone: 'UTC' };

describe('a catalog', () => {
  // CLDR: English has two plurals; one is for 1 alone.
  it.each([
    [0, '0 slots'],
    [1, '1 slot'],
    [2, '2 slots'],
    [1200, '1,200 slots'],
  ])('counts %i', (count, text) =>
    expect(say({ code: 'slots', count, names: ['A', 'B'] }, metric)).toBe(`${text}: A, B`),
  );

  it('shows a figure in the units of the project', () => {
    const told = { code: 'reach', length: { lengthTenthsMm: 1016 } } as const;
    expect(say(told, metric)).toBe('It reaches 102 mm.');
    expect(say(told, { ...US_CUSTOMARY, timeZone: 'UTC' })).toBe('It reaches 4 in.');
  });

  it('shows a loss exactly', () =>
    expect(say({ code: 'over', loss: { lossHalfMdb: 421 } }, metric)).toBe('0.2105 dB is over.'));

  it('does not compile without a text for each code, or with one that asks for more', () => {
    // @ts-expect-error a code without a text
    catalog<Told>()({ slots: '', reach: '' });
    // @ts-expect-error a code that no message has
    catalog<Told>()({ slots: '', reach: '', over: '', other: '' });
    // @ts-expect-error a parameter that the message lacks
    catalog<Told>()({ slots: '', reach: '{width}', over: '' });
    // @ts-expect-error units are needed where a figure has one
    expect(() => say({ code: 'reach', length: { lengthTenthsMm: 1 } })).toThrow(/units/);
  });
});

describe('phrases', () => {
  const t = phrases({ start: 'Start', of: '{done} of {all} spliced' });

  it('are filled by name', () => {
    expect(t('start')).toBe('Start');
    expect(t('of', { done: 3, all: 12 })).toBe('3 of 12 spliced');
  });

  it('do not compile without what they ask for', () => {
    // @ts-expect-error `all` is missing
    expect(() => t('of', { done: 3 })).toThrow();
    // @ts-expect-error no such key
    expect(() => t('stop')).toThrow();
  });
});

it('quotes, tags and angles stay what they are', () =>
  expect(fill('the cable’s <b>{name}</b> at 5°', { name: 'a < b' })).toBe(
    'the cable’s <b>a < b</b> at 5°',
  ));

it('names the first few of many', () => {
  expect(listed({ items: ['A', 'B', 'C'], most: 2 })).toBe('A, B and 1 more');
  expect(listed({ items: ['A', 'B'], most: 2 })).toBe('A, B');
});
