import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/PortsEditor.tsx`. */
export const portsEditor = phrases({
  bushing: 'bushing',
  bushingOf: 'Bushing, {place}',
  cablesInItsSeal: 'Cables in its seal',
  cablesInTheSealOfPort: 'Cables in the seal of port {number}',
  clip: 'Clip',
  clipOf: 'Clip, {place}',
  cutEnd: 'cut end',
  diameterFrom: 'Diameter from',
  diameterFromOf: 'Diameter from, {place}',
  diameterToOf: 'Diameter to, {place}',
  diametersFromTo: 'Diameters from {from} to {to}',
  drop: 'drop',
  express: 'express',
  layers: 'Layers',
  layersOf: 'Layers, {place}',
  nameOfPort: 'Name of port {number}',
  ofPortSeal: 'port {number}, seal {seal}',
  port: 'Port',
  portName: 'Port {number}',
  portTakesKind: 'Port {number} takes {kind}',
  rangeWithFaults:
    '{range}: {gaps, plural, one {# gap} other {# gaps}}, {overlaps, plural, one {# overlap} other {# overlaps}}. Each range begins where the one before ends.',
  seal: 'Seal',
  sealName: 'Name of the seal, {place}',
  to: 'To',
});
