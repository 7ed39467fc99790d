import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { clockOf } from '@cordel/core';
import {
  type PressureRound,
  faceOf,
  formatGauge,
  gaugeAt,
  leakCause,
  likelyUnit,
  parseGauge,
  readingsOf,
} from '@cordel/core/close';
import { CONDITIONS, type Condition, gaugeWorld, readGauge } from '@cordel/standin/gauge';
import { Choice } from '@/ui/Field';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { Sheet } from '@/ui/Sheet';
import { TextField } from '@/ui/TextField';
import { Txt } from '@/ui/Txt';
import { useProjectView } from '@/projects/context';
import { FaceDrawing } from './FaceDrawing';
import { GaugeChart } from './GaugeChart';
import { overWords, readTemperature } from './readings';
import { estimateWords } from './roundWords';
import type { Closing, ClosingHook } from './useClosing';

interface RoundPartProps {
  pressed: PressureRound;
  closing: Closing;
  write: ClosingHook['write'];
}

/** A round with pressure on: the clock, readings, bubbles, and the release. */
export function RoundPart(props: RoundPartProps) {
  const { pressed, write } = props;
  const [releasing, setReleasing] = useState(false);
  const { round, state } = pressed;
  return (
    <View style={{ gap: 16 }}>
      <Notice
        word={
          {
            'under way': 'Pressure is on.',
            passed: 'Passed.',
            failed: 'Failed.',
            over: 'Over the limit.',
          }[state]
        }
        ink={state === 'passed' ? 'green' : state === 'under way' ? 'ink' : 'accent'}
        live
      >
        {`${pressed.words} Release it before opening, mending or leaving.`}
      </Notice>
      <Leaf style={{ gap: 12 }}>
        <View
          style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline' }}
        >
          <Clock since={round.at} />
          <Txt kind="strong">{`limit ${formatGauge(round.limitPa, round.unit, 'down')}`}</Txt>
        </View>
        <GaugeChart pressed={pressed} />
        <Reckoned pressed={pressed} />
        <ReadingPart {...props} />
      </Leaf>
      <BubblesPart {...props} />
      <Press
        label="Release the pressure"
        look={state === 'under way' ? 'plain' : 'next'}
        onPress={() => setReleasing(true)}
      />
      <Sheet title="Release the pressure" visible={releasing} onClose={() => setReleasing(false)}>
        <Txt>Open the valve slowly, away from your face, until the gauge shows zero.</Txt>
        {(['mending', 'opening', 'leaving'] as const).map((before) => (
          <Press
            key={before}
            label={`It shows zero: released before ${before}`}
            look={before === (state === 'passed' ? 'leaving' : 'mending') ? 'next' : 'plain'}
            onPress={() => {
              setReleasing(false);
              void write(
                [{ kind: 'release', roundId: round.id, before }],
                `pressure released before ${before}`,
              );
            }}
          />
        ))}
      </Sheet>
    </View>
  );
}

/** Time since a moment, ticking. */
function Clock({ since }: { since: string }) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  const seconds = Math.max(0, Math.floor((now - Date.parse(since)) / 1000));
  return <Txt kind="figure">{clockOf(seconds)}</Txt>;
}

/** What the readings say, and what the gauge would show by temperature alone. */
function Reckoned({ pressed }: { pressed: PressureRound }) {
  const { round } = pressed;
  const list = readingsOf(round, pressed.readings).filter(
    ({ temperature }) => temperature !== null,
  );
  const [first, last] = [list[0], list.at(-1)];
  return (
    <View style={{ gap: 4 }}>
      {first && last && first !== last ? (
        <Txt>
          {`From ${first.temperature} to ${last.temperature} C a tight closure would go from ${formatGauge(first.gaugePa, round.unit)} to ${formatGauge(Math.round(gaugeAt(first.gaugePa, round.airPa, first.temperature!, last.temperature!)), round.unit)} once its air has followed; the gauge shows ${formatGauge(last.gaugePa, round.unit)}.`}
        </Txt>
      ) : null}
      <Txt kind="strong">{estimateWords(pressed)}</Txt>
    </View>
  );
}

function ReadingPart({ pressed, write }: RoundPartProps) {
  const { round } = pressed;
  const [shown, setShown] = useState('');
  const [temperature, setTemperature] = useState('');
  const [problem, setProblem] = useState('');
  const last = pressed.readings.at(-1)?.gaugePa ?? round.targetPa;
  const keep = (gaugePa: number, celsius: number | null) => {
    setShown('');
    setProblem(gaugePa > round.limitPa ? overWords(gaugePa, round.limitPa, round.unit) : '');
    void write(
      [{ kind: 'gauge', roundId: round.id, gaugePa, temperature: celsius, simulated: false }],
      `gauge ${formatGauge(gaugePa, round.unit)}`,
    );
  };
  const take = () => {
    const read = parseGauge(shown, round.unit);
    const celsius = readTemperature(temperature);
    if (!read.ok) return setProblem(read.error);
    if (!celsius.ok) return setProblem(celsius.error);
    const meant = likelyUnit(read.value, round.unit, last);
    if (meant)
      return setProblem(
        `${formatGauge(read.value, round.unit)} is far from ${formatGauge(last, round.unit)} before it: the gauge may show ${meant}. Type the unit behind the figure, such as ${shown.trim()} ${meant}.`,
      );
    if (read.value > 70_000 || read.value < -5000)
      return setProblem(
        `${formatGauge(read.value, round.unit)} is no reading of this test: check the unit.`,
      );
    keep(read.value, celsius.value);
  };
  return (
    <View style={{ gap: 10 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField label={`Gauge, ${round.unit}`} value={shown} onChange={setShown} />
        <TextField
          label="Wall, temperature"
          hint="C or F"
          value={temperature}
          onChange={setTemperature}
        />
      </View>
      {problem ? (
        <Notice word="Look:" ink="accent" live>
          {problem}
        </Notice>
      ) : null}
      <Press label="Keep this reading" look="next" disabled={shown.trim() === ''} onPress={take} />
      <StandinPart pressed={pressed} write={write} />
    </View>
  );
}

/** Minutes that the simulated gauge goes on with a press, and its readings in them. */
const GO_ON = 3;
const READINGS = 6;

/** Plays the gauge, for a test without a closure. */
function StandinPart({ pressed, write }: Pick<RoundPartProps, 'pressed' | 'write'>) {
  const { project } = useProjectView();
  const { round } = pressed;
  const [open, setOpen] = useState(false);
  const [condition, setCondition] = useState<Condition>('tight, cooling');
  const gone = useRef(0);
  if (!open)
    return (
      <Press label="No gauge at hand: simulate one" look="bare" onPress={() => setOpen(true)} />
    );
  const list = readingsOf(round, pressed.readings);
  const goOn = () => {
    const seed = parseInt(round.id.slice(-8), 16);
    const world = gaugeWorld(condition, seed, {
      targetPa: round.targetPa,
      airPa: round.airPa,
      stepPa: round.stepPa,
      limit: project.practice.leakLimit,
      temperature: list.find((one) => one.temperature !== null)?.temperature ?? 15,
    });
    // A second press may come before the first one's readings are shown.
    const from = Math.max(gone.current, list.at(-1)?.minutes ?? 0);
    gone.current = from + GO_ON;
    const minutes = Array.from(
      { length: READINGS },
      (_, at) => from + ((at + 1) * GO_ON) / READINGS,
    );
    void write(
      readGauge(world, minutes).map(({ gaugePa, temperature, minutes: minute }) => ({
        kind: 'gauge' as const,
        roundId: round.id,
        gaugePa: Math.min(gaugePa, round.limitPa),
        temperature,
        simulated: true,
        at: new Date(Date.parse(round.at) + Math.round(minute * 60_000)).toISOString(),
      })),
      `simulated gauge, ${GO_ON} min`,
    );
  };
  return (
    <View style={{ gap: 8 }}>
      <Choice<Condition>
        label="The simulated closure"
        value={condition}
        options={CONDITIONS.map((value) => ({ value, label: value }))}
        onChange={setCondition}
      />
      <Press label={`Run the simulated gauge on by ${GO_ON} minutes`} onPress={goOn} />
    </View>
  );
}

/** Bubbles, marked on the closure's own drawing; where they are says the cause. */
function BubblesPart({ pressed, closing, write }: RoundPartProps) {
  const { hardware } = closing;
  const { round } = pressed;
  const places = pressed.bubbles ?? [];
  if (!hardware) return null;
  const face = faceOf(hardware);
  const all = [...face.ports, ...face.seams].map(({ name }) => name);
  const say = (next: string[]) =>
    void write(
      [{ kind: 'bubbles', roundId: round.id, places: next }],
      next.length === 0 ? 'no bubbles' : `bubbles at ${next.join(', ')}`,
    );
  const turn = (place: string) =>
    say(places.includes(place) ? places.filter((one) => one !== place) : [...places, place]);
  return (
    <Leaf style={{ gap: 12 }}>
      <Txt kind="name" heading={2}>
        Soapy water on every port and seam
      </Txt>
      <FaceDrawing hardware={hardware} bubbling={places} onPress={turn} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {all.map((place) => (
          <Press
            key={place}
            label={place}
            aria-label={`Bubbles at ${place}`}
            aria-pressed={places.includes(place)}
            look={places.includes(place) ? 'dark' : 'plain'}
            onPress={() => turn(place)}
          />
        ))}
      </View>
      {places.map((place) => {
        const { cause, mend } = leakCause(hardware, place);
        return (
          <Notice key={place} word={`${place}:`} ink="accent">
            {`${cause} Release first. ${mend}`}
          </Notice>
        );
      })}
      <Press
        label={pressed.bubbles?.length === 0 ? 'No bubbles anywhere: said' : 'No bubbles anywhere'}
        look={pressed.bubbles?.length === 0 ? 'dark' : 'plain'}
        onPress={() => say([])}
      />
    </Leaf>
  );
}
