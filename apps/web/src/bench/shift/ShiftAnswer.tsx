import { View } from 'react-native';
import { formatLoss } from '@cordel/core';
import { type ShiftOutcome } from '@cordel/core/shift';
import { shiftUnitText } from '@cordel/text/bench';
import { useClock } from '@/projects/useClock';
import { Leaf } from '@/ui/Leaf';
import { Txt } from '@/ui/Txt';
import { TimelinePicture } from './TimelinePicture';
import type { ShiftAnswer } from './shift.worker';

/** When the work is likely done. */
export function Finish({ outcome, start }: { outcome: ShiftOutcome; start: number }) {
  const { clock } = useClock();
  const at = (seconds: number) => clock(start + seconds * 1000);
  return (
    <View>
      <Txt kind="figure">{at(outcome.finish.p50)}</Txt>
      <Txt>{`Likely finish; eight in ten between ${at(outcome.finish.p10)} and ${at(outcome.finish.p90)}.`}</Txt>
    </View>
  );
}

const POOL_WORDS = {
  people: 'Hands are the bottleneck',
  places: 'Places at the closure are the bottleneck',
  splicers: 'The splicer is the bottleneck',
  heaters: 'The heater is the bottleneck',
  ready: 'Ready ends are the bottleneck',
} as const;

/** What a planned shift comes to: finish, window, last moments, bottleneck, gains, both ways, the picture. */
export function Answer({
  answer,
  start,
  window,
}: {
  answer: ShiftAnswer;
  start: number;
  window: number;
}) {
  const { outcome, gains, ways, timeline } = answer;
  const { clock } = useClock();
  const at = (seconds: number) => clock(start + seconds * 1000);
  const share = Math.round(outcome.inWindow * 100);
  return (
    <View style={{ gap: 14 }}>
      <Leaf hung style={{ gap: 6 }}>
        <Finish outcome={outcome} start={start} />
        <Txt kind="strong" ink={share >= 80 ? 'green' : share >= 40 ? 'ink' : 'accent'}>
          {`${share} % to finish within the window, to ${at(window)}.`}
        </Txt>
        {outcome.lastStart.map(({ unit, at: last }) => (
          <Txt key={shiftUnitText(unit)}>
            {last > 0
              ? `Last safe moment to begin ${shiftUnitText(unit)}: ${at(last)}.`
              : `Too late to begin ${shiftUnitText(unit)} and be done with nine in ten.`}
          </Txt>
        ))}
      </Leaf>
      <Leaf style={{ gap: 6 }}>
        <Txt kind="strong">{`${POOL_WORDS[outcome.bottleneck]}: taken ${Math.round(outcome.used[outcome.bottleneck] * 100)} % of the time.`}</Txt>
        {gains.map(({ what, minutes }) => (
          <Txt
            key={what}
          >{`One more ${what}: ${minutes < 1 ? 'gains nothing' : `${Math.round(minutes)} min sooner`}.`}</Txt>
        ))}
      </Leaf>
      {ways.length > 0 ? <Ways ways={ways} /> : null}
      <TimelinePicture timeline={timeline} start={start} window={window} />
      <Txt
        kind="small"
        ink="ink2"
      >{`From ${outcome.runs.toLocaleString('en')} simulated nights: hands vary, splices are made again, heaters and splicers overlap.`}</Txt>
    </View>
  );
}

const hours = (minutes: number): string =>
  `${Math.floor(minutes / 60)} h ${String(Math.round(minutes % 60)).padStart(2, '0')} min`;

const lossRange = ({ lossMdb: { least, most } }: ShiftAnswer['ways'][number]): string =>
  least === most ? `${formatLoss(least)} dB` : `${formatLoss(least)} to ${formatLoss(most)} dB`;

/** One by one against ribbonizing, side by side. */
function Ways({ ways }: { ways: ShiftAnswer['ways'] }) {
  const [single, ribbonized] = ways as [ShiftAnswer['ways'][number], ShiftAnswer['ways'][number]];
  const better = ribbonized.finish < single.finish - 5;
  const rows: [string, string, string][] = [
    ['Time', hours(single.finish), hours(ribbonized.finish)],
    [
      'Within the window',
      `${Math.round(single.inWindow * 100)} %`,
      `${Math.round(ribbonized.inWindow * 100)} %`,
    ],
    ['Sleeves', `${single.sleeves} single`, `${ribbonized.sleeves} ribbon`],
    ['Adhesive', '0 ml', `${ribbonized.adhesive} ml`],
    ['Applicator pads', '0', String(ribbonized.pads)],
    ['Usual loss a fiber', lossRange(single), lossRange(ribbonized)],
    [
      'Made again',
      `${Math.round(single.redo * 100)} %`,
      `${Math.round(ribbonized.redo * 100)} %, 12 at once`,
    ],
  ];
  return (
    <Leaf style={{ gap: 4 }}>
      <Txt kind="strong">
        {better
          ? `Ribbonizing the loose tubes pays: ${hours(single.finish - ribbonized.finish)} sooner.`
          : 'Ribbonizing the loose tubes does not pay here.'}
      </Txt>
      <View role="table" aria-label="One by one or ribbonized">
        <Row cells={['', 'One by one', 'Ribbonized']} head />
        {rows.map((cells) => (
          <Row key={cells[0]} cells={cells} />
        ))}
      </View>
      <Txt kind="small" ink="ink2">
        A flipped ribbon puts twelve circuits wrong, and every splice reads well: count the colours
        twice.
      </Txt>
    </Leaf>
  );
}

function Row({ cells, head }: { cells: readonly [string, string, string]; head?: boolean }) {
  return (
    <View role="row" style={{ flexDirection: 'row', gap: 8, paddingVertical: 4 }}>
      {cells.map((cell, index) => (
        <View
          key={index}
          role={head ? 'columnheader' : index === 0 ? 'rowheader' : 'cell'}
          style={{ flex: index === 0 ? 1.2 : 1 }}
        >
          <Txt kind={head || index > 0 ? 'strong' : 'body'}>{cell}</Txt>
        </View>
      ))}
    </View>
  );
}
