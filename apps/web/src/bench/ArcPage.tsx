import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  type Air,
  arcCount,
  type InstrumentEntry,
  type Origin,
  type Units,
  clockOf,
  countedTemperature,
  formatAir,
  formatTemperature,
  parsePressure,
  parseTemperature,
} from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { answerOf } from '@cordel/client';
import { arcReasonText } from '@cordel/text/bench';
import { measureProblemText } from '@cordel/text/measure';
import { arcPage as t } from '@cordel/text/pages/bench/ArcPage';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { common } from '@cordel/text/pages/common';
import { errorText } from '@cordel/text/record';
import { api } from '@/data/api';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { AtClosure, type Closeup } from './AtClosure';
import { NamePanel } from './NamePanel';
import { NeedsSplicer } from './NeedsSplicer';
import { useArc } from './useArc';
import { TimerBar } from './TimerBar';
import { logInstrument } from './useStation';
import { useTimers } from './useTimers';
import { usePerson } from '@/data/session';

/** Whether the arc is to be checked and why; the check, round by round. */
export const ArcPage = () => <AtClosure>{(at) => <ArcCheck {...at} />}</AtClosure>;

/** How long a cold splicer and its heater stand before the first arc, s; set by us. */
const WARM_UP = 300;

type ArcRound = Extract<InstrumentEntry, { kind: 'arc check' }>;

const STATES = {
  due: { word: t('due'), ink: 'accent' },
  soon: { word: t('soon'), ink: 'ink' },
  good: { word: shared('good'), ink: 'green' },
} as const;

function ArcCheck({ closure, base, bench, station, setup }: Closeup) {
  const { project } = useProjectView();
  const { units } = project;
  const { moment } = useClock();
  const [person] = usePerson();
  const timers = useTimers(project.id, bench.closure);
  const { splicer, kept, cleaver } = setup;
  const last = station.records.findLast((record) => record.splicerId === splicer?.id);
  const lastTemperature = last ? countedTemperature(last) : null;
  const [temperature, setTemperature] = useState('');
  const [pressure, setPressure] = useState('');
  const [humidity, setHumidity] = useState('');
  const [problem, setProblem] = useState('');
  const read = {
    temperature:
      temperature.trim() === '' ? null : parseTemperature(temperature, units.temperature),
    pressure: pressure.trim() === '' ? null : parsePressure(pressure, units.pressure),
  };
  const wet = humidity.trim() === '' ? null : Number(humidity.replace(/\s*%$/, ''));
  const wetWrong = wet !== null && !(wet >= 0 && wet <= 100);
  const wrong = [
    ...[read.temperature, read.pressure].flatMap((one) =>
      one && !one.ok ? [measureProblemText(one.error, units)] : [],
    ),
    ...(wetWrong ? [t('humidityIsAShareFrom0')] : []),
  ];
  const typedTemperature = read.temperature?.ok ? read.temperature.value : null;
  const typedPressure = read.pressure?.ok ? read.pressure.value : null;
  const air = useMemo(
    (): Air => ({
      temperature: typedTemperature,
      humidity: wet !== null && !wetWrong ? wet : null,
      pressure: typedPressure,
    }),
    [typedTemperature, typedPressure, wet, wetWrong],
  );
  const arc = useArc(station, splicer?.id ?? null, air);
  if (person.trim() === '') return <NamePanel />;
  if (!splicer)
    return (
      <NeedsSplicer
        title={t('arcCheck')}
        closure={closure}
        base={base}
        why={t('theCheckBelongsToTheSplicer')}
      />
    );
  const arcsNow = arcCount({
    records: station.records
      .filter((record) => record.splicerId === splicer.id)
      .map((record) => ({ at: record.receivedAt, arcs: record.arcs })),
    log: station.log.filter(({ instrumentId }) => instrumentId === splicer.id),
  });
  const rounds = station.log.filter(
    (entry): entry is ArcRound => entry.kind === 'arc check' && entry.instrumentId === splicer.id,
  );
  const before = rounds.at(-1);
  const open = before && !before.passed ? before : null;
  const round = (open?.round ?? 0) + 1;
  const log = (passed: boolean, arcs: number, origin: Origin) => {
    const entry = {
      kind: 'arc check' as const,
      instrumentId: splicer.id,
      checkId: open?.checkId ?? uuid(),
      round,
      passed,
      origin,
      arcs,
      air: {
        temperature: air.temperature ?? lastTemperature,
        humidity: air.humidity ?? last?.humidity ?? null,
        pressure: air.pressure ?? last?.pressure ?? null,
      },
    };
    logInstrument(project.id, entry, t('arcCheckRound', { round }));
  };
  const path = { projectId: project.id, splicerId: splicer.id };
  const run = async () => {
    setProblem('');
    try {
      const { passed, arcs } = await answerOf(
        api.POST('/api/projects/{projectId}/standins/{splicerId}/check', { params: { path } }),
      );
      log(passed, arcs, 'simulated');
    } catch (error) {
      setProblem(errorText(error as Error));
    }
  };
  const service = async (what: 'electrodes' | 'blade') => {
    let arcs = 0;
    if (kept.standin && project.practiceOnly) {
      try {
        const answer = await answerOf(
          api.POST('/api/projects/{projectId}/standins/{splicerId}/service', {
            params: { path },
            body: { what },
          }),
        );
        arcs = answer.arcs;
      } catch (error) {
        return setProblem(errorText(error as Error));
      }
    }
    if (what === 'electrodes')
      logInstrument(
        project.id,
        { kind: 'electrodes', instrumentId: splicer.id, what: 'replaced', arcs },
        t('electrodesReplaced'),
      );
    else if (cleaver)
      logInstrument(
        project.id,
        { kind: 'blade', instrumentId: cleaver.id, what: 'turned' },
        t('bladeTurned'),
      );
  };
  return (
    <Page title={t('arcCheck')} above={`${closure} · ${splicer.name}`} back={base}>
      {arc ? (
        <Notice word={STATES[arc.state].word} color={STATES[arc.state].ink} live>
          {arc.reasons.map((reason) => arcReasonText(reason, units)).join(' ')}
        </Notice>
      ) : null}
      <Text>{t('useSingleModeFiberEvenWhere')}</Text>
      <Text color="accent">{t('electrodesAreHotAfterAnArc')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        <TextField
          label={common('temperature')}
          value={temperature}
          onChange={setTemperature}
          hint={hintOf(lastTemperature, (c) => formatTemperature(c, units.temperature))}
        />
        <TextField
          label={t('pressureOrAltitude')}
          value={pressure}
          onChange={setPressure}
          hint={hintOf(last?.pressure ?? null, (kpa) => formatAir(kpa, units))}
        />
        <TextField
          label={t('humidity')}
          value={humidity}
          onChange={setHumidity}
          hint={hintOf(last?.humidity ?? null, (share) => `${share} %`)}
        />
      </View>
      {wrong.map((words) => (
        <Notice key={words} word={common('check')} color="accent" live>
          {words}
        </Notice>
      ))}
      {problem ? (
        <Notice word={t('notRun')} color="accent">
          {problem}
        </Notice>
      ) : null}
      <Text kind="name" heading={2}>
        {t('round', { round })}
      </Text>
      {kept.standin && project.practiceOnly ? (
        <Button
          label={t('runARoundOnTheSimulated')}
          look="next"
          disabled={wrong.length > 0}
          onPress={() => void run()}
        />
      ) : (
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Button
            label={t('itDidNotPass')}
            disabled={wrong.length > 0}
            onPress={() => log(false, arcsNow + 1, 'typed')}
            style={{ flex: 1 }}
          />
          <Button
            label={t('itPassed')}
            look="next"
            disabled={wrong.length > 0}
            onPress={() => log(true, arcsNow + 1, 'typed')}
            style={{ flex: 1 }}
          />
        </View>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={t('warmUpClock', { clock: clockOf(WARM_UP) })}
          icon="timer-outline"
          onPress={() => timers.start('warm-up', splicer.name, WARM_UP)}
        />
        <Button
          label={t('electrodesCleaned')}
          onPress={() =>
            logInstrument(
              project.id,
              {
                kind: 'electrodes',
                instrumentId: splicer.id,
                what: 'cleaned',
                arcs: arcsNow,
              },
              t('electrodesCleaned'),
            )
          }
        />
        <Button label={t('electrodesReplaced')} onPress={() => void service('electrodes')} />
        {cleaver ? <Button label={t('bladeTurned')} onPress={() => void service('blade')} /> : null}
      </View>
      <TimerBar timers={timers} heat={null} />
      <Counter
        arcs={arcsNow}
        onCounter={(arcs) =>
          logInstrument(
            project.id,
            { kind: 'counter', instrumentId: splicer.id, arcs },
            t('counterAt', { arcs }),
          )
        }
      />
      <Text kind="name" heading={2}>
        {t('checksSoFar')}
      </Text>
      {rounds.length === 0 ? <Text color="ink2">{t('noneIsLoggedYet')}</Text> : null}
      {[...rounds]
        .reverse()
        .slice(0, 12)
        .map((entry) => (
          <Text key={entry.id}>
            {t('momentRoundPassedOriginAir', {
              moment: moment(entry.at),
              round: entry.round,
              passed: entry.passed ? 'passed' : t('notPassed'),
              origin: entry.origin,
              air: airWords(entry.air, units),
              by: entry.by,
            })}
          </Text>
        ))}
    </Page>
  );
}

/** Arcs as they are counted, and the splicer's own counter, which wins. */
function Counter({ arcs, onCounter }: { arcs: number; onCounter(arcs: number): void }) {
  const [typed, setTyped] = useState('');
  const counter = /^\d{1,6}$/.test(typed.trim()) ? Number(typed) : null;
  return (
    <View style={{ gap: 8 }}>
      <Text>{t('arcsAreCounted', { arcs })}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
        <TextField
          label={t('counterOfTheSplicer')}
          value={typed}
          numeric
          problem={typed.trim() !== '' && counter === null ? t('aWholeNumberOfArcs') : undefined}
          onChange={setTyped}
        />
        <Button
          label={t('saveTheCounter')}
          disabled={counter === null}
          onPress={() => {
            onCounter(counter!);
            setTyped('');
          }}
        />
      </View>
    </View>
  );
}

const hintOf = (figure: number | null, format: (figure: number) => string): string =>
  figure === null ? t('notReadYet') : t('theSplicerReads', { format: format(figure) });

const airWords = ({ temperature, pressure }: Air, units: Units): string =>
  [
    temperature === null ? '' : formatTemperature(temperature, units.temperature),
    pressure === null ? '' : formatAir(pressure, units),
  ]
    .filter(Boolean)
    .join(', ') || t('airNotRead');
