import type { Hardware, Limits } from '@cordel/core';
import {
  type BubblesSeen,
  type EntryOf,
  type PressureRound,
  faceOf,
  formatGauge,
  gaugeAt,
  readingsOf,
} from '@cordel/core/close';
import { Pyramid, levelsOf, readSor } from '@cordel/core/otdr';
import { drawings as say } from '@cordel/text/handover/drawings';
import type { PackageSplice } from '../messages.ts';
import { ACCENT, INK, RULE, SECOND, type Sheets, WOOD } from './paper.ts';

/** Losses of a closure as bars in tray order, with the limit across them. */
export function lossPicture(
  sheets: Sheets,
  splices: readonly PackageSplice[],
  limits: Limits,
): void {
  const height = 70;
  const known = splices.flatMap(({ lossHalfMdb }) => (lossHalfMdb === null ? [] : [lossHalfMdb]));
  if (known.length === 0) return;
  const limit = limits.splice[limits.grade].single ?? limits.splice[limits.grade].mass;
  const top = Math.max(...known, limit === null ? 0 : limit * 2) * 1.1 || 1;
  sheets.room(height + 26);
  const { doc, left, width } = sheets;
  const base = sheets.y + height;
  const step = width / splices.length;
  for (const [over, ink] of [
    [false, INK],
    [true, ACCENT],
  ] as const) {
    let any = false;
    splices.forEach(({ lossHalfMdb, verdict }, index) => {
      if (lossHalfMdb === null || (verdict === 'fail') !== over) return;
      const tall = Math.max(0.4, (Math.max(0, lossHalfMdb) / top) * height);
      doc.rect(left + index * step, base - tall, Math.max(0.25, step * 0.8), tall);
      any = true;
    });
    if (any) doc.fill(ink);
  }
  doc
    .moveTo(left, base)
    .lineTo(left + width, base)
    .lineWidth(0.8)
    .strokeColor(INK)
    .stroke();
  if (limit !== null) {
    const y = base - ((limit * 2) / top) * height;
    doc
      .moveTo(left, y)
      .lineTo(left + width, y)
      .lineWidth(0.6)
      .dash(4, { space: 3 });
    doc.strokeColor(ACCENT).stroke().undash();
    sheets.put(say('limitLimitDb', { limit: (limit / 1000).toFixed(2) }), left + 2, y - 9, {
      size: 7,
      ink: ACCENT,
    });
  }
  sheets.put(
    say('lossesInTrayOrderTrayTo', {
      from: splices[0]!.tray,
      to: splices.at(-1)!.tray,
      highest: (Math.max(...known) / 2000).toFixed(3),
    }),
    left,
    base + 3,
    { size: 7.5, ink: SECOND },
  );
  sheets.y = base + 18;
}

const SEEN_LABELS: Record<BubblesSeen, string> = {
  bubbles: 'bubbles',
  none: 'no bubbles',
  'not checked': 'not checked',
};

/** A closure’s own ports, with what a round showed at each. */
export function facePicture(
  sheets: Sheets,
  hardware: Hardware,
  looked: PressureRound['looked'],
): void {
  const seenAt = new Map(looked.map(({ place, seen }) => [place, seen]));
  const face = faceOf(hardware);
  const height = 120;
  sheets.room(height + 8);
  const scale = height / face.height;
  const { doc } = sheets;
  const at = (x: number, y: number) => [sheets.left + x * scale, sheets.y + y * scale] as const;
  doc.save().lineWidth(1);
  if ('round' in face.body) {
    const { x, y, r } = face.body.round;
    doc.circle(...at(x, y), r * scale).stroke(INK);
  } else {
    const { x, y, width, height: tall } = face.body.box;
    doc.rect(...at(x, y), width * scale, tall * scale).stroke(INK);
  }
  for (const port of face.ports) {
    const bad = seenAt.get(port.name) === 'bubbles';
    doc
      .circle(...at(port.x, port.y), port.r * scale)
      .fillAndStroke(bad ? WOOD : '#FFFFFF', bad ? ACCENT : INK);
    for (const hole of port.holes) doc.circle(...at(hole.x, hole.y), hole.r * scale).stroke(INK);
  }
  for (const bolt of face.bolts) doc.circle(...at(bolt.x, bolt.y), bolt.r * scale).stroke(INK);
  doc.restore();
  const words = sheets.left + face.width * scale + 14;
  face.ports.forEach((port, index) => {
    const seen = seenAt.get(port.name) ?? 'not checked';
    sheets.put(`${port.name}: ${SEEN_LABELS[seen]}`, words, sheets.y + index * 11, {
      size: 8,
      ink: seen === 'bubbles' ? ACCENT : INK,
    });
  });
  sheets.y += height + 8;
}

/** A gauge over its minutes, and what temperature alone would make of its first reading. */
export function gaugePicture(sheets: Sheets, { round, readings: entries }: PressureRound): void {
  const readings = readingsOf(round, entries);
  if (readings.length < 2) return;
  const height = 76;
  sheets.room(height + 22);
  const { doc, width } = sheets;
  const left = sheets.left + 62;
  const wide = Math.min(360, width - 70);
  const [first] = readings;
  const alone = readings.flatMap(({ minutes, temperature }) =>
    temperature === null || first!.temperature === null
      ? []
      : [
          {
            minutes,
            gaugePa: gaugeAt(first!.gaugePa, round.airPa, first!.temperature, temperature),
          },
        ],
  );
  const all = [...readings, ...alone].map(({ gaugePa }) => gaugePa);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const room = Math.max(high - low, 4 * round.stepPa) * 0.12;
  const last = readings.at(-1)!.minutes || 1;
  const x = (minutes: number) => left + (wide * minutes) / last;
  const y = (pa: number) => sheets.y + height * (1 - (pa - low + room) / (high - low + 2 * room));
  doc.rect(left, sheets.y, wide, height).lineWidth(0.8).stroke(INK);
  if (alone.length > 1) {
    alone.forEach((one, at) =>
      at === 0
        ? doc.moveTo(x(one.minutes), y(one.gaugePa))
        : doc.lineTo(x(one.minutes), y(one.gaugePa)),
    );
    doc.lineWidth(0.9).dash(4, { space: 3 }).stroke(SECOND).undash();
  }
  for (const { minutes, gaugePa } of readings) doc.circle(x(minutes), y(gaugePa), 1.6);
  doc.fill(INK);
  sheets.put(formatGauge(Math.round(high), sheets.units.pressure), sheets.left, y(high) - 4, {
    size: 7.5,
  });
  sheets.put(formatGauge(Math.round(low), sheets.units.pressure), sheets.left, y(low) - 4, {
    size: 7.5,
  });
  sheets.put(
    say('minDashedByTemperatureAlone', { last: last.toFixed(1) }),
    left,
    sheets.y + height + 3,
    {
      size: 7.5,
      ink: SECOND,
    },
  );
  sheets.y += height + 16;
}

/** A signature as it was drawn. */
export function signaturePicture(sheets: Sheets, entry: EntryOf<'sign'>): void {
  const [wide, tall] = [190, 52];
  sheets.room(tall + 26);
  const { doc, left } = sheets;
  for (const stroke of entry.strokes) {
    for (let at = 0; at + 1 < stroke.length; at += 2) {
      const x = left + (stroke[at]! / 1000) * wide;
      const y = sheets.y + (stroke[at + 1]! / 1000) * tall;
      if (at === 0) doc.moveTo(x, y);
      else doc.lineTo(x, y);
    }
    doc.lineWidth(1).lineJoin('round').stroke(INK);
  }
  if (entry.isTyped)
    sheets.put(say('typedName', { name: entry.by }), left, sheets.y + tall - 20, { size: 13 });
  doc
    .moveTo(left, sheets.y + tall)
    .lineTo(left + wide, sheets.y + tall)
    .lineWidth(0.6)
    .stroke(RULE);
  sheets.put(
    `${entry.role === 'lead' ? 'Lead' : 'Technician'}: ${entry.by}, ${sheets.moment(entry.at)}`,
    left,
    sheets.y + tall + 4,
    { size: 8.5 },
  );
  sheets.put(say('signedDigest', { digest: entry.digest }), left, sheets.y + tall + 15, {
    size: 6.5,
    ink: SECOND,
  });
  sheets.y += tall + 30;
}

/** Columns of a small trace picture, and how far a column of fiber spreads at most, dB. */
const COLUMNS = 220;
const NARROW = 1.5;

/** A trace in a box: least and most of each column. What cannot be read says so. */
export function tracePicture(
  sheets: Sheets,
  box: { x: number; y: number; width: number; height: number },
  { name, words, bytes }: { name: string; words: string; bytes: Uint8Array },
): void {
  const { doc } = sheets;
  doc.rect(box.x, box.y, box.width, box.height).lineWidth(0.6).stroke(INK);
  const file = readSor(bytes);
  sheets.put(sheets.fitted(name, box.width, 'bold', 7), box.x, box.y + box.height + 2, {
    size: 7,
    face: 'bold',
  });
  sheets.put(sheets.fitted(words, box.width, 'regular', 6.5), box.x, box.y + box.height + 10, {
    size: 6.5,
    ink: SECOND,
  });
  if (!file.ok) return;
  const levels = levelsOf(file.value.data);
  const view = new Pyramid(levels).view(0, levels.length, COLUMNS);
  // Columns of fiber are narrow, those of noise are not: the picture is of the fiber.
  const fiber: number[] = [];
  for (let column = 0; column < COLUMNS; column++) {
    const [least, most] = [view[2 * column]!, view[2 * column + 1]!];
    if (most - least < NARROW) fiber.push(least, most);
  }
  if (fiber.length === 0) return;
  const low = Math.min(...fiber) - 0.5;
  // A reflection at an end is as high as all of the fiber: its top may leave the picture.
  const high = [...fiber].sort((a, b) => a - b)[Math.floor(0.97 * fiber.length)]! + 1;
  const y = (level: number) =>
    box.y +
    box.height * (1 - Math.max(0, Math.min(1, (level - low) / (high - low || 1))) * 0.94 - 0.03);
  const step = box.width / COLUMNS;
  for (let column = 0; column < COLUMNS; column++) {
    const [least, most] = [view[2 * column]!, view[2 * column + 1]!];
    if (Number.isNaN(least)) continue;
    const x = box.x + (column + 0.5) * step;
    doc.moveTo(x, y(least) + 0.2).lineTo(x, y(most) - 0.2);
  }
  doc.lineWidth(Math.max(0.4, step)).stroke(INK);
}
