import { MOST_ESTIMATE } from '../record/evidence.ts';
import { fromFahrenheit } from '../measure/temperature.ts';
import { formatLoss } from '../measure/loss.ts';
import type { SeenFiber, SplicerError, SplicerRecord } from '../record/splicerRecord.ts';

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

/** What of a record cannot be as it stands, in words; what is doubted is kept and does not count. */
export function recordDoubts(record: SplicerRecord, receivedAt: string): string[] {
  const doubts: string[] = [];
  for (const fiber of record.fibers) {
    const { estimateMdb, position } = fiber;
    if (estimateMdb === null || countedEstimate(fiber) !== null) continue;
    const where = record.fibers.length > 1 ? `Fiber ${position}: ` : '';
    doubts.push(
      `${where}${formatLoss(Math.round(estimateMdb))} dB is no estimate of a splice: it does not count. Type what the screen shows.`,
    );
  }
  const off = Date.parse(receivedAt) - Date.parse(record.at);
  if (Math.abs(off) > CLOCK)
    doubts.push(
      `The splicer’s clock is ${spanWords(Math.abs(off))} ${off > 0 ? 'behind' : 'ahead'}: the time it came in counts.`,
    );
  const { temperature } = record;
  if (temperature !== null && (temperature > 60 || temperature < -50))
    doubts.push(
      temperature > 60 && fromFahrenheit(temperature) <= 60
        ? `${temperature} C is hotter than any site: it is taken as ${temperature} F, ${fromFahrenheit(temperature).toFixed(1)} C.`
        : `${temperature} C is no weather: it does not count.`,
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

/** Such as `1 h 2 min`. */
function spanWords(ms: number): string {
  const minutes = Math.round(ms / 60_000);
  const hours = Math.floor(minutes / 60);
  return hours === 0
    ? `${minutes} min`
    : `${hours} h${minutes % 60 === 0 ? '' : ` ${minutes % 60} min`}`;
}

/** What to do when a splicer stops or complains (common practice, no source). */
export const ERROR_ADVICE: Record<SplicerError, string> = {
  'fiber too long': 'Fiber too long: cleave shorter, or load further back.',
  'past center': 'Fiber past the center: load again, short of the electrodes.',
  'cleave angle': 'Cleave angle high: cleave that side again before it costs an arc and a sleeve.',
  chip: 'Chip on the end: cleave again; if it comes back, turn the blade.',
  dirt: 'Dirt seen: wipe the fiber, brush the groove, load again.',
  offset: 'Offset large: reseat the fiber; clean the grooves.',
  'not in groove': 'A fiber lies outside its groove: lift, comb and seat the ribbon again.',
  gap: 'Gap wrong: reset and load again.',
  tension: 'Tension test failed: the splice is broken. Cut back and make it again.',
  heater: 'The heater stopped: check its program against the sleeve.',
};
