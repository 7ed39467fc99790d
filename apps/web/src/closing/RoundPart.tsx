import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { clockOf, formatTemperature } from '@cordel/core';
import {
  BUBBLES_SEEN,
  type BubblesSeen,
  type PressureRound,
  formatGauge,
  gaugeAt,
  leakCause,
  likelyUnit,
  parseGauge,
  readingsOf,
} from '@cordel/core/close';
import { CONDITIONS, type Condition } from '@cordel/standin/gauge';
import { leakCauseText, leakRemedyText, roundReasonText } from '@cordel/text/close';
import { measureProblemText } from '@cordel/text/measure';
import { roundPart as t } from '@cordel/text/pages/closing/RoundPart';
import { closingShared as shared } from '@cordel/text/pages/closing/shared';
import { errorText } from '@cordel/text/record';
import { v7 as uuid } from 'uuid';
import { api } from '@/data/api';
import { queryClient } from '@/data/client';
import { personNow } from '@/data/session';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { useProjectView } from '@/projects/context';
import { FaceDrawing } from './FaceDrawing';
import { GaugeChart } from './GaugeChart';
import { overWords, readTemperature } from './readings';
import { BEFORE, estimateWords } from './roundWords';
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
            'under way': t('pressureIsOn'),
            passed: pressed.origin === 'simulated' ? t('passedSimulated') : shared('passed'),
            failed: t('failed'),
            over: t('overTheLimit'),
          }[state]
        }
        color={state === 'passed' ? 'green' : state === 'under way' ? 'ink' : 'accent'}
        live
      >
        {t('releaseItBeforeOpeningRepairingOr', { roundReason: roundReasonText(pressed.reason) })}
      </Notice>
      <Card style={{ gap: 12 }}>
        <View
          style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'baseline' }}
        >
          <Clock since={round.at} />
          <Text kind="strong">
            {t('limit', { limit: formatGauge(round.limitPa, round.unit, 'down') })}
          </Text>
        </View>
        <GaugeChart pressed={pressed} unit={round.unit} />
        <Calculated pressed={pressed} />
        <ReadingPart {...props} />
      </Card>
      <BubblesPart {...props} />
      <Button
        label={t('releaseThePressure')}
        look={state === 'under way' ? 'plain' : 'next'}
        onPress={() => setReleasing(true)}
      />
      <Sheet
        title={t('releaseThePressure')}
        visible={releasing}
        onClose={() => setReleasing(false)}
      >
        <Text>{t('openTheValveSlowlyAwayFrom')}</Text>
        {(['mending', 'opening', 'leaving'] as const).map((before) => (
          <Button
            key={before}
            label={t('itShowsZeroReleasedBefore', { before: BEFORE[before] })}
            look={before === (state === 'passed' ? 'leaving' : 'mending') ? 'next' : 'plain'}
            onPress={() => {
              setReleasing(false);
              void write(
                [{ kind: 'release', roundId: round.id, before }],
                t('pressureReleasedBefore', { before: BEFORE[before] }),
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
  return <Text kind="figure">{clockOf(seconds)}</Text>;
}

/** What the readings say, and what the gauge would show by temperature alone. */
function Calculated({ pressed }: { pressed: PressureRound }) {
  const { units } = useProjectView().project;
  const temperatureUnit = units.temperature;
  const { round } = pressed;
  const list = readingsOf(round, pressed.readings).filter(
    ({ temperature }) => temperature !== null,
  );
  const [first, last] = [list[0], list.at(-1)];
  return (
    <View style={{ gap: 4 }}>
      {first && last && first !== last ? (
        <Text>
          {t('fromToATightClosureWould', {
            before: formatTemperature(first.temperature!, temperatureUnit),
            after: formatTemperature(last.temperature!, temperatureUnit),
            gaugeBefore: formatGauge(first.gaugePa, round.unit),
            gaugeTight: formatGauge(
              Math.round(
                gaugeAt(first.gaugePa, round.airPa, first.temperature!, last.temperature!),
              ),
              round.unit,
            ),
            gaugeShown: formatGauge(last.gaugePa, round.unit),
          })}
        </Text>
      ) : null}
      <Text kind="strong">{estimateWords(pressed, round.unit)}</Text>
      {pressed.origin ? (
        <Text color="ink2">
          {t('readingsOrigin', { readings: pressed.readings.length, origin: pressed.origin })}
        </Text>
      ) : null}
    </View>
  );
}

function ReadingPart({ pressed, write }: RoundPartProps) {
  const { units } = useProjectView().project;
  const temperatureUnit = units.temperature;
  const { round } = pressed;
  const [shown, setShown] = useState('');
  const [temperature, setTemperature] = useState('');
  const [problem, setProblem] = useState('');
  const last = pressed.readings.at(-1)?.gaugePa ?? round.targetPa;
  const keep = (gaugePa: number, celsius: number | null) => {
    setShown('');
    setProblem(gaugePa > round.limitPa ? overWords(gaugePa, round.limitPa, round.unit) : '');
    void write(
      [
        {
          kind: 'gauge',
          roundId: round.id,
          gaugePa,
          temperature: celsius,
          minute: null,
          origin: 'typed',
        },
      ],
      t('gauge', { gauge: formatGauge(gaugePa, round.unit) }),
    );
  };
  const take = () => {
    const read = parseGauge(shown, round.unit);
    const celsius = readTemperature(temperature, temperatureUnit);
    if (!read.ok) return setProblem(measureProblemText(read.error, units));
    if (!celsius.ok) return setProblem(measureProblemText(celsius.error, units));
    const meant = likelyUnit(read.value, round.unit, last);
    if (meant)
      return setProblem(
        t('isFarFromBeforeItThe', {
          gauge: formatGauge(read.value, round.unit),
          last: formatGauge(last, round.unit),
          meant,
          shown: shown.trim(),
          unit: meant,
        }),
      );
    if (read.value > 70_000 || read.value < -5000)
      return setProblem(t('isNoReadingOfThisTest', { gauge: formatGauge(read.value, round.unit) }));
    keep(read.value, celsius.value);
  };
  return (
    <View style={{ gap: 10 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField label={t('gaugeUnit', { unit: round.unit })} value={shown} onChange={setShown} />
        <TextField
          label={t('surfaceTemperature')}
          hint={t('inWhereNoUnitIsTyped', { temperatureUnit })}
          value={temperature}
          onChange={setTemperature}
        />
      </View>
      {problem ? (
        <Notice word={t('check')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
      <Button
        label={t('saveThisReading')}
        look="next"
        disabled={shown.trim() === ''}
        onPress={take}
      />
      <StandinPart pressed={pressed} />
    </View>
  );
}

/** Plays the gauge in a practice project. The server makes its readings and marks them as simulated. */
function StandinPart({ pressed }: Pick<RoundPartProps, 'pressed'>) {
  const { project } = useProjectView();
  const { round } = pressed;
  const [open, setOpen] = useState(false);
  const [condition, setCondition] = useState<Condition>('tight, cooling');
  const [problem, setProblem] = useState('');
  const [running, setRunning] = useState(false);
  if (!project.practiceOnly) return null;
  if (!open)
    return (
      <Button label={t('noGaugeAtHandSimulateOne')} look="bare" onPress={() => setOpen(true)} />
    );
  const goOn = async () => {
    setRunning(true);
    setProblem('');
    try {
      await api.POST('/api/closures/{closureId}/simulated-gauge', {
        params: { path: { closureId: round.closureId } },
        body: { id: uuid(), roundId: round.id, condition, by: personNow() },
      });
      await queryClient.invalidateQueries({ queryKey: ['closing', round.closureId] });
    } catch (error) {
      setProblem(errorText(error as Error));
    }
    setRunning(false);
  };
  return (
    <View style={{ gap: 8 }}>
      <Choice<Condition>
        label={t('theSimulatedClosure')}
        value={condition}
        options={CONDITIONS.map((value) => ({ value, label: value }))}
        onChange={setCondition}
      />
      <Button
        label={t('runTheSimulatedGaugeOnBy')}
        disabled={running}
        onPress={() => void goOn()}
      />
      {problem ? (
        <Notice word={t('notRun')} color="accent">
          {problem}
        </Notice>
      ) : null}
    </View>
  );
}

const SEEN_LABELS: Record<BubblesSeen, string> = {
  bubbles: t('bubbles'),
  none: t('noBubbles'),
  'not checked': t('notChecked'),
};

/** What is seen at each place under soapy water, said by a control of its own; where bubbles are says the cause. */
function BubblesPart({ pressed, closing, write }: RoundPartProps) {
  const { hardware } = closing;
  const { round, bubbles, looked } = pressed;
  const [chosen, setChosen] = useState<string | null>(null);
  if (!hardware) return null;
  const unchecked = looked.flatMap(({ place, seen }) => (seen === 'not checked' ? [place] : []));
  const say = (places: string[], seen: BubblesSeen) =>
    void write(
      [{ kind: 'bubbles', roundId: round.id, places, seen }],
      `${SEEN_LABELS[seen].toLowerCase()}: ${places.join(', ')}`,
    );
  const here = looked.find(({ place }) => place === chosen) ?? null;
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('soapyWaterOnEveryPortAnd')}
      </Text>
      <Text>
        {t('ofPlacesCheckedChooseAPlace', {
          checked: looked.length - unchecked.length,
          places: looked.length,
        })}
      </Text>
      <FaceDrawing hardware={hardware} bubbling={bubbles} onPress={setChosen} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {looked.map(({ place, seen }) => (
          <Button
            key={place}
            label={`${SEEN_MARKS[seen]} ${place}`}
            aria-label={`${place}: ${SEEN_LABELS[seen].toLowerCase()}`}
            aria-pressed={place === chosen}
            look={place === chosen ? 'dark' : 'plain'}
            style={seen === 'bubbles' ? { borderWidth: 4 } : undefined}
            onPress={() => setChosen(place)}
          />
        ))}
      </View>
      {here ? (
        <View
          role="radiogroup"
          aria-label={t('seenAtPlace', { place: here.place })}
          style={{ gap: 6 }}
        >
          <Text kind="strong">{`${here.place}:`}</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {BUBBLES_SEEN.map((seen) => (
              <Button
                key={seen}
                role="radio"
                aria-checked={here.seen === seen}
                label={SEEN_LABELS[seen]}
                look={here.seen === seen ? 'dark' : 'plain'}
                onPress={() => say([here.place], seen)}
              />
            ))}
          </View>
        </View>
      ) : null}
      {bubbles.map((place) => {
        const cause = leakCause(hardware, place);
        return (
          <Notice key={place} word={`${place}:`} color="accent">
            {t('leakCauseReleaseFirstLeakRemedy', {
              leakCause: leakCauseText(cause),
              leakRemedy: leakRemedyText(cause),
            })}
          </Notice>
        );
      })}
      {unchecked.length > 0 ? (
        <Button
          label={
            unchecked.length === looked.length
              ? t('noBubblesAnywhereAllPlacesChecked')
              : t('noBubblesAtTheOthers', { unchecked: unchecked.length })
          }
          onPress={() => say(unchecked, 'none')}
        />
      ) : null}
    </Card>
  );
}

/** A mark for each word, so that it is read without colour. */
const SEEN_MARKS: Record<BubblesSeen, string> = { bubbles: '○', none: '✓', 'not checked': '–' };
