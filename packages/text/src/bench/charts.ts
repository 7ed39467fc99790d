import type { HealthSeries, Trouble, TroubleMessage } from '@cordel/core';
import { catalog } from '../catalog.ts';
import { phrases } from '../phrases.ts';

/** The name of a series. */
export const seriesText = catalog<HealthSeries['name']>()({
  estimates: 'Estimates',
  cleaves: 'Cleave angles',
  place: 'Ribbon place {place}',
});

/** What a series shows. */
export const troubleText = catalog<TroubleMessage>()({
  blade: 'Cleave angles rise: about {now} degrees now, {usual} at first.',
  arc: 'Estimates rise: about {now} now, {usual} at first; cleaves are steady.',
  groove:
    '{count, plural, one {# place} other {# places}} of the ribbon high, {places}, the others steady.',
  holder:
    '{count, plural, one {# place} other {# places}} of the ribbon high, {places}, the others steady.',
  dirt: 'One figure jumped to {loss}, its neighbors are steady.',
  'tray bend':
    'Tray {tray}: {bent} of {splices} splices lose {excess} more at the long wavelength.',
});

/** What to do about trouble, by its likely cause. */
export const troubleRemedyText = phrases({
  blade: 'Turn the blade one place and log it; wipe anvil and clamps.',
  arc: 'Run an arc check; if it does not pass, the electrodes are due.',
  holder: 'Edge fibers: seat the ribbon flat in its holder; check the stripper and holder edges.',
  groove: 'The same groove again: brush it out, and lift the lens cover for dirt.',
  dirt: 'Most likely dirt or a chip: clean the groove and splice this one again. Nothing else needs doing.',
  'tray bend':
    'Lift the tray and lay its fibers wider; look for a pinch at its entrance. Do not redo the splices.',
} satisfies Record<Trouble['cause'], string>);
