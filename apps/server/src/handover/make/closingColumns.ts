import type { Hardware } from '@cordel/core';
import { type ClosingEntry, formatGauge } from '@cordel/core/close';
import { closingColumns as say } from '@cordel/text/handover/closingColumns';
import type { Column } from '../../exchange/columns.ts';
import { answersText } from './prepRows.ts';
import { utc } from './words.ts';

/** An entry of closing with its closure. */
export interface ClosingRow {
  closure: string;
  entry: ClosingEntry;
  /** What it was built with: its procedure says what was asked. */
  hardware: Hardware | null;
}

export const CLOSING: Column<ClosingRow>[] = [
  { title: 'closure', width: 22, cell: (row) => row.closure },
  { title: 'entry', cell: ({ entry }) => entry.kind },
  {
    title: 'at (UTC)',
    width: 22,
    format: 'yyyy-mm-dd hh:mm:ss',
    cell: ({ entry }) => new Date(entry.at),
  },
  { title: 'by', width: 14, cell: ({ entry }) => entry.by },
  { title: 'what', width: 60, cell: ({ entry }) => closingWords(entry) },
  {
    // Torques, and whatever else a point asks for.
    title: 'written down',
    width: 30,
    cell: ({ entry, hardware }) =>
      entry.kind === 'point' && entry.answers
        ? answersText({ answers: entry.answers }, hardware)
        : '',
  },
  {
    title: say('gaugeKpa'),
    format: '0.000',
    cell: ({ entry }) => (entry.kind === 'gauge' ? entry.gaugePa / 1000 : null),
  },
  {
    title: 'origin',
    width: 12,
    cell: ({ entry }) => (entry.kind === 'gauge' ? entry.origin : null),
  },
  {
    title: 'temperature C',
    cell: ({ entry }) =>
      entry.kind === 'gauge'
        ? entry.temperature
        : entry.kind === 'visit'
          ? entry.air.temperature
          : null,
  },
];

function closingWords(entry: ClosingEntry): string {
  switch (entry.kind) {
    case 'visit':
      return `${entry.purpose}: ${entry.crew.join(', ')}${entry.why ? `; ${entry.why}` : ''}`;
    case 'leave':
      return entry.done;
    case 'point':
      return `${entry.point}: ${entry.verdict}${entry.slots.length > 0 ? say('slotSlots', { slots: entry.slots.join(', ') }) : ''}${entry.why ? `; ${entry.why}` : ''}`;
    case 'round':
      return say('targetLimitLimit', {
        target: formatGauge(entry.targetPa, entry.unit),
        limit: formatGauge(entry.limitPa, entry.unit, 'down'),
      });
    case 'gauge':
      return entry.minute === null
        ? ''
        : say('minuteOfTheSimulatedClock', { minute: entry.minute });
    case 'bubbles':
      return `${entry.seen}: ${entry.places.join(', ')}`;
    case 'release':
      return say('beforeBefore', { before: entry.before });
    case 'mend':
      return `${entry.place}: ${entry.what}`;
    case 'cut-over':
      return say('sleevesFirstBreak', {
        sleeves: entry.sleeves.length,
        utc: utc(entry.start),
        circuits: entry.circuits.map(({ name }) => name).join(', '),
      });
    case 'circuit':
      return `${entry.circuit}: ${entry.state}`;
    case 'sign':
      return `${entry.role}${entry.isTyped ? `, ${say('signedByTyping')}` : ''}: ${entry.digest}`;
  }
}
