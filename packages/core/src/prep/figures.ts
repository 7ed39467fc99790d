import type { Hardware } from '../record/hardware.ts';
import type { Quantity } from '../record/message.ts';
import type { ProfileFigure } from '../record/procedure.ts';

/** Figures that words of a step may name; null where the sheet's figure is not typed yet. */
export type Figures = Readonly<Record<ProfileFigure, Quantity | null>>;

/**
 * The figures of a profile for the words of its steps.
 * @param sheath what comes off, tenths of a millimeter
 */
export function figuresOf(hardware: Hardware, sheath: number): Figures {
  const length = (lengthTenthsMm: number): Quantity => ({ lengthTenthsMm });
  const { keep, torqueMilliNm, testKpa } = hardware;
  return {
    strength: length(keep.strength),
    sheath: length(sheath),
    aramid: length(keep.aramid),
    ripcord: length(keep.ripcord),
    centralTube: length(keep.centralTube),
    dropTube: length(keep.dropTube),
    window: length(hardware.window),
    clamp: length(hardware.clamp),
    hoseClamp: length(hardware.hoseClamp),
    tubeToTray: length(hardware.tubeToTray),
    access: length(hardware.access),
    torque: torqueMilliNm === null ? null : { torqueMilliNm },
    test: !testKpa ? null : { gaugePa: Math.round(testKpa * 1000), towards: 'down' },
  };
}
