import type { KitItem, KitThing } from '@cordel/core';
import { catalog } from '../catalog.ts';

const items = catalog<KitThing>()({
  cableTies: 'Cable ties',
  singleSleeves: 'Single-fiber sleeves, {sleeve}',
  pigtails: 'Pigtails, {connector, select, array {array} other {{connector}}} {polish}',
  connectors:
    '{way, select, mechanical {Mechanical} breakout {Breakout} other {Splice-on}} connectors, {connector, select, array {array} other {{connector}}} {polish}',
  splitter:
    '{tapPercent, plural, =0 {Splitters 1:{outputs}} other {Taps of {tapPercent} %}}' as string,
  ribbonSleeves: 'Ribbon sleeves',
  wipes: 'Fiber wipes',
  alcohol: 'Alcohol, 99 %',
  lowerPads: 'Applicator pads, lower',
  upperPads: 'Applicator pads, upper',
  adhesive: 'Ribbonizing adhesive',
  bushings: 'Bushings',
  hoseClamps: 'Hose clamps',
  solvent: 'Gel solvent',
  gelWipes: 'Gel wipes',
  shieldConnectors: 'Shield connectors with bond',
  protectiveSleeves: 'Protective sleeves',
  transportTubes: 'Transport tubes',
  conduit: 'Conduits',
  seal: '{name}',
  clip: '{name}',
  plugs: 'Plugs for {name}',
  closure: '{name}',
  trays: 'Trays for {name}',
  part: '{name}',
  grease: 'Seal grease, tubes',
  sealant: 'Sealant, tubes',
  sealingTape: 'Sealing tape, rolls',
  labels: 'Labels',
});

/** What is packed; hardware may write its parts in small letters. */
export const kitItemText = (thing: KitThing): string =>
  items(thing).replace(/^./, (letter) => letter.toUpperCase());

const reasons = catalog<{ code: KitThing['code']; redoPercent: number }>()({
  cableTies: 'two at each entrance of a tray, both sides',
  singleSleeves: 'with {redoPercent} % for redos',
  pigtails: 'with {redoPercent} % for redos',
  connectors: 'with {redoPercent} % for redos',
  splitter: 'those that the closure holds',
  ribbonSleeves: 'with {redoPercent} % for redos',
  wipes: 'one for each end prepared',
  alcohol: 'half a milliliter an end',
  lowerPads: 'each for two ribbons',
  upperPads: 'each for one ribbon',
  adhesive: 'a milliliter a ribbon',
  bushings: 'for thin cables',
  hoseClamps: 'one a cable',
  solvent: 'ten milliliters a tube or ribbon tube',
  gelWipes: 'four a tube',
  shieldConnectors: 'one an armoured cable',
  protectiveSleeves: 'for ribbons on their way to trays',
  transportTubes: 'for ribbons on their way to trays',
  conduit: 'one a kit',
  seal: 'by the measured diameter',
  clip: 'one a cable',
  plugs: 'every hole that stays empty',
  closure: 'the closure itself',
  trays: 'every tray that is spliced on',
  part: 'by the parts list of its profile',
  grease: 'one a closure',
  sealant: 'one a closure',
  sealingTape: 'one a leg of a cable',
  labels: 'one on the closure, one on each cable',
});

/** What the count of a thing follows from. */
export const kitReasonText = ({ item, redoPercent }: KitItem): string =>
  reasons({ code: item.code, redoPercent });
