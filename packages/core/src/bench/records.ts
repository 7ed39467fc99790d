import { MOST_ESTIMATE } from '../record/evidence.ts';
import { fromFahrenheit } from '../measure/temperature.ts';
import type { Loss, TimeSpan } from '../record/message.ts';
import type { SeenFiber, SplicerRecord } from '../record/splicerRecord.ts';

/** The estimate of a fiber as it may count, in thousandths of a dB; null where there is none or it is none. */
export const countedEstimate = ({ estimateMdb }: Pick<SeenFiber, 'estimateMdb'>): number | null =>
  estimateMdb !== null && estimateMdb >= 0 && estimateMdb <= MOST_ESTIMATE
    ? Math.round(estimateMdb)
    : null;

/** The larger of both cleave angles, degrees; null where none was seen. */
export function worstCleave({ cleaveLeft, cleaveRight }: SeenFiber): number | null {
  const angles = [cleaveLeft, cleaveRight].filter((angle): angle is number => angle !== null);
  return angles.length === 0 ? null : Math.max(...angles.map(Math.abs));
}

/** How far a splicer's clock may be off before it is said. */
const CLOCK = 10 * 60_000;

/** What of a record cannot be as it stands. */
export type RecordDoubt =
  /** No estimate of a splice; `fiber` of a ribbon, 0 for a single fiber. */
  | { code: 'noEstimate'; fiber: number; loss: Loss }
  | { code: 'clockBehind' | 'clockAhead'; by: TimeSpan }
  | { code: 'meantFahrenheit'; figure: number; celsius: string }
  | { code: 'noWeather'; figure: number };

/** What of a record cannot be as it stands; what is doubted is kept and does not count. */
export function recordDoubts(record: SplicerRecord, receivedAt: string): RecordDoubt[] {
  const doubts: RecordDoubt[] = [];
  for (const fiber of record.fibers) {
    const { estimateMdb, position } = fiber;
    if (estimateMdb === null || countedEstimate(fiber) !== null) continue;
    doubts.push({
      code: 'noEstimate',
      fiber: record.fibers.length > 1 ? position : 0,
      loss: { lossMdb: Math.round(estimateMdb) },
    });
  }
  const off = Date.parse(receivedAt) - Date.parse(record.at);
  // What is in a file was recorded long before it came in; only a clock that is ahead can be told.
  if (record.isFromFile ? off < -CLOCK : Math.abs(off) > CLOCK)
    doubts.push({
      code: off > 0 ? 'clockBehind' : 'clockAhead',
      by: { spanMs: Math.abs(off) },
    });
  const { temperature } = record;
  if (temperature !== null && (temperature > 60 || temperature < -50))
    doubts.push(
      temperature > 60 && fromFahrenheit(temperature) <= 60
        ? {
            code: 'meantFahrenheit',
            figure: temperature,
            celsius: fromFahrenheit(temperature).toFixed(1),
          }
        : { code: 'noWeather', figure: temperature },
    );
  return doubts;
}

/** Temperature of a record as it may count, degrees C: one that can only be Fahrenheit is taken as that. */
export function countedTemperature({
  temperature,
}: Pick<SplicerRecord, 'temperature'>): number | null {
  if (temperature === null || (temperature >= -50 && temperature <= 60)) return temperature;
  const celsius = fromFahrenheit(temperature);
  return temperature > 60 && celsius <= 60 ? Math.round(celsius * 10) / 10 : null;
}
