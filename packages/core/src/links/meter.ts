import { readNumber } from '../measure/number.ts';
import { MOST_LINK_LOSS, type LinkEntryOf, type Reference } from '../record/link.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { Loss, Power } from '../record/message.ts';

/** What a meter is set to show: power, or the loss against a reference that is stored in it. */
export type MeterUnit = 'dBm' | 'dB';

/** Why what a meter shows cannot be taken. */
export type MeterProblem =
  | { code: 'typeFigure' | 'tooManyDecimals' | 'noReference' }
  | { code: 'noFigure'; text: string }
  /** A loss below zero: it is likely a power. */
  | { code: 'dbmForDb' }
  /** A power over the reference: what is typed is likely a loss. */
  | { code: 'dbForDbm'; reference: Power }
  /** A little over the reference. */
  | { code: 'overReference'; gain: Loss }
  | { code: 'lossTooLarge'; loss: Loss; most: Loss };

/** What a link entry has of a meter's reading. */
export type MeterReading = Pick<LinkEntryOf<'loss'>, 'powerMdbm' | 'lossMdb'>;

/** A passive link gives no light: so much over the reference comes from a reference that was taken badly. Thousandths of a dB; common practice, no source. */
const BAD_REFERENCE_MDB = 3000;

/** Reads a figure in dB or dBm as whole thousandths. */
export function parseThousandths(text: string): Parsed<number, MeterProblem> {
  const bare = text.trim().replace(/\s*dbm?$/i, '');
  if (bare === '') return refused({ code: 'typeFigure' });
  const number = readNumber(bare, 'small');
  if (!number.ok) return refused({ code: 'noFigure', text: text.trim() });
  const thousandths = number.value * 1000;
  const whole = Math.round(thousandths);
  if (Math.abs(thousandths - whole) > 1e-6) return refused({ code: 'tooManyDecimals' });
  return parsed(whole === 0 ? 0 : whole);
}

/** The loss of a link by what was read of it, thousandths of a dB: reference less reading. */
export const lossBy = ({ powerMdbm, lossMdb }: MeterReading, reference: Reference): number =>
  lossMdb ?? reference.powerMdbm - powerMdbm!;

/**
 * Reads what a meter shows of a link.
 * @param text as typed; a unit in it counts before what the meter is said to show
 * @param reference what the link is measured against; refused without
 */
export function readMeter(
  text: string,
  shows: MeterUnit,
  reference: Reference | null,
): Parsed<MeterReading, MeterProblem> {
  const number = parseThousandths(text);
  if (!number.ok) return number;
  if (!reference) return refused({ code: 'noReference' });
  const unit = /dbm$/i.test(text.trim()) ? 'dBm' : /db$/i.test(text.trim()) ? 'dB' : shows;
  if (unit === 'dB' && number.value < 0) return refused({ code: 'dbmForDb' });
  const reading: MeterReading =
    unit === 'dB'
      ? { powerMdbm: null, lossMdb: number.value }
      : { powerMdbm: number.value, lossMdb: null };
  const loss = lossBy(reading, reference);
  if (loss < -BAD_REFERENCE_MDB)
    return refused({ code: 'dbForDbm', reference: { powerMdbm: reference.powerMdbm } });
  if (loss < 0) return refused({ code: 'overReference', gain: { lossMdb: -loss } });
  return loss > MOST_LINK_LOSS ? tooLarge(loss) : parsed(reading);
}

/** Reads a return loss, thousandths of a dB. Some write what comes back as a level, below zero. */
export function readReturnLoss(text: string): Parsed<number, MeterProblem> {
  const number = parseThousandths(text);
  if (!number.ok) return number;
  const loss = Math.abs(number.value);
  return loss > MOST_LINK_LOSS ? tooLarge(loss) : parsed(loss);
}

const tooLarge = (lossMdb: number) =>
  refused<MeterProblem>({
    code: 'lossTooLarge',
    loss: { lossMdb },
    most: { lossMdb: MOST_LINK_LOSS },
  });
