import { type Cable, type ColourScheme, addressOf } from '@cordel/core';
import { colourText, deviceFiberText, unitText } from '@cordel/text/fiber';

/** What a fiber is called and where it lies in its cable, in words; a device's has no colour. */
export type DescribeFiber = (
  cableId: string,
  fiber: number,
) => { cable: string; fiber: string; place: string; colour: string };

export function describer(
  cables: readonly Cable[],
  schemes: readonly ColourScheme[],
): DescribeFiber {
  const byId = new Map<string, Cable>(cables.map((cable) => [cable.id, cable]));
  const schemeOf = new Map(schemes.map((scheme) => [scheme.id, scheme]));
  // Each fiber is asked for by sheet, workbook and CSV.
  const known = new Map<string, ReturnType<DescribeFiber>>();
  return (cableId, fiber) => {
    const key = `${cableId} ${fiber}`;
    const held = known.get(key);
    if (held) return held;
    const cable = byId.get(cableId);
    const scheme = cable && schemeOf.get(cable.schemeId);
    const address = scheme && addressOf(cable.makeUp, scheme, fiber);
    const device = cable ? deviceFiberText(cable.makeUp, fiber) : null;
    const said = {
      cable: cable?.name ?? cableId,
      fiber: device ?? String(fiber),
      place: address ? unitText(address) : '',
      colour: address && !device ? colourText(address.fiber) : '',
    };
    known.set(key, said);
    return said;
  };
}
