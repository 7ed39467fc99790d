import { useState } from 'react';
import { View } from 'react-native';
import {
  GAUGE_UNITS,
  type GaugeUnit,
  type Units,
  formatTemperature,
  parsePressure,
} from '@cordel/core';
import {
  MOST_TYPED_TEST_PA,
  PRESSURE_POINT,
  USUAL_TEST_KPA,
  formatGauge,
  parseGauge,
  spellGauge,
  testLimitPa,
  underPressure,
} from '@cordel/core/close';
import { roundReasonText } from '@cordel/text/close';
import { measureProblemText } from '@cordel/text/measure';
import { testPart as t } from '@cordel/text/pages/closing/TestPart';
import { closingShared as shared } from '@cordel/text/pages/closing/shared';
import { v7 as uuid } from 'uuid';
import { usePersisted } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import type { FormRead } from '@/ui/formRead';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { airHint, overWords, readTemperature } from './readings';
import { RoundPart } from './RoundPart';
import { RoundRecord } from './RoundRecord';
import type { Closing, ClosingHook } from './useClosing';

interface TestPartProps {
  closing: Closing;
  write: ClosingHook['write'];
}

/** The pressure test: a round at a time, each kept. */
export function TestPart({ closing, write }: TestPartProps) {
  const { state, hardware } = closing;
  if (state.test === 'none')
    return (
      <Notice word={t('noPressureTest')}>
        {t('isNotTestedWithAirIts', { name: hardware?.name ?? t('thisHardware') })}
      </Notice>
    );
  const pressed = underPressure(state.rounds);
  const past = state.rounds.filter((one) => one !== pressed);
  const last = past.at(-1);
  return (
    <View style={{ gap: 16 }}>
      {pressed ? (
        <RoundPart pressed={pressed} closing={closing} write={write} />
      ) : (
        <>
          {state.test === 'passed' ? (
            <Notice
              word={
                last?.origin === 'simulated' ? t('passedWithSimulatedReadings') : shared('passed')
              }
              color="green"
            >
              {last ? roundReasonText(last.reason) : null}
            </Notice>
          ) : null}
          {state.test === 'waived' ? (
            <Notice word={t('waived')}>{t('theReasonStandsInTheList')}</Notice>
          ) : null}
          <NextRound closing={closing} write={write} again={past.length > 0} />
        </>
      )}
      {[...past].reverse().map((round) => (
        <RoundRecord
          key={round.round.id}
          pressed={round}
          number={state.rounds.indexOf(round) + 1}
          closing={closing}
          write={write}
        />
      ))}
      {state.test === 'to do' && !pressed ? <WaivePart write={write} /> : null}
    </View>
  );
}

const CAUTIONS = [
  t('regulatedAirOnlySetAtOr'),
  t('pressurizeSlowlyStandBesideThe'),
  t('releaseThePressureBeforeOpening'),
];

/** The way into a round: at once where one is due, a tap away where the test is passed. */
function NextRound(props: TestPartProps & { again: boolean }) {
  const { stage, test } = props.closing.state;
  const [wanted, setWanted] = useState(false);
  if (stage === 'signed') return <Text color="ink2">{t('whatIsSignedStaysAsIt')}</Text>;
  if (test !== 'to do' && !wanted)
    return <Button label={t('testItOnceMore')} onPress={() => setWanted(true)} />;
  return <StartPart {...props} />;
}

function StartPart({ closing, write, again }: TestPartProps & { again: boolean }) {
  const { project } = useProjectView();
  const { units } = project;
  const [unit, setUnit] = useState<GaugeUnit>(units.pressure);
  const [step, setStep] = usePersisted('cordel.gauge.step', '');
  const [air, setAir] = usePersisted('cordel.gauge.air', '');
  const [shown, setShown] = useState('');
  const [temperature, setTemperature] = useState('');
  const before = closing.state.rounds.at(-1)?.round.limitPa;
  const [sheet, setSheet] = useState(before === undefined ? '' : spellGauge(before, unit));
  const [problem, setProblem] = useState('');
  const { hardware } = closing;
  if (!hardware)
    return <Notice word={t('noHardwareYet')}>{t('chooseItUnderOpenTheCables')}</Notice>;
  const ofProfile = testLimitPa(hardware);
  const start = () => {
    const limit =
      ofProfile === null ? readLimit(sheet, unit) : { ok: true as const, value: ofProfile };
    if (!limit.ok) return setProblem(limit.error);
    const limitPa = limit.value;
    const read = readStart({ unit, step, air, shown, temperature }, limitPa, units);
    if (!read.ok) return setProblem(read.error);
    setProblem('');
    const roundId = uuid();
    const { targetPa, stepPa, airPa, celsius } = read.value;
    void write(
      [
        { kind: 'round', id: roundId, targetPa, limitPa, unit, stepPa, airPa },
        {
          kind: 'gauge',
          roundId,
          gaugePa: targetPa,
          temperature: celsius,
          minute: null,
          origin: 'typed',
        },
      ],
      t('pressureTestWith', { target: formatGauge(targetPa, unit) }),
    );
  };
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {again ? t('anotherRound') : t('pressurize')}
      </Text>
      {ofProfile === null ? (
        <TextField
          label={t('atMostByTheSheet')}
          hint={t('usualAre', {
            least: formatGauge(USUAL_TEST_KPA[0] * 1000, unit),
            most: formatGauge(USUAL_TEST_KPA[1] * 1000, unit),
          })}
          value={sheet}
          onChange={setSheet}
        />
      ) : (
        <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: 10, flexWrap: 'wrap' }}>
          <Text kind="figure">{formatGauge(ofProfile, unit, 'down')}</Text>
          <Text kind="strong">{t('atMostName', { name: hardware.name })}</Text>
        </View>
      )}
      {CAUTIONS.map((caution) => (
        <Text key={caution} color="accent">
          {caution}
        </Text>
      ))}
      <Choice<GaugeUnit>
        label={t('theGaugeShows')}
        value={unit}
        options={GAUGE_UNITS.map((value) => ({ value, label: value }))}
        onChange={setUnit}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField
          label={t('gaugeResolution')}
          hint={t('suchAsUsualStepUnit', { usualStep: USUAL_STEP[unit], unit })}
          value={step}
          onChange={setStep}
        />
        <TextField
          label={t('barometricPressure')}
          hint={t('anAltitudeOrAPressure', { airHint: airHint(units) })}
          value={air}
          onChange={setAir}
        />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField
          label={t('gaugeNowUnit', { unit })}
          hint={t('onceItIsPressurizedAndThe')}
          value={shown}
          onChange={setShown}
        />
        <TextField
          label={t('surfaceTemperatureOfTheClosure')}
          hint={t('suchAsOutOfTheSun', { temperature: formatTemperature(12, units.temperature) })}
          value={temperature}
          onChange={setTemperature}
        />
      </View>
      {problem ? (
        <Notice word={t('notStarted')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
      <Button label={t('pressurizedStartTheClock')} look="next" onPress={start} />
    </Card>
  );
}

/** The most that the sheet of the hardware gives, as it is typed beside the closure. */
function readLimit(text: string, unit: GaugeUnit): FormRead<number> {
  const limit = text.trim() === '' ? null : parseGauge(text, unit);
  if (!limit?.ok) return { ok: false, error: t('typeTheFigureOfTheSheet') };
  return limit.value > 0 && limit.value <= MOST_TYPED_TEST_PA
    ? limit
    : {
        ok: false,
        error: t('atMostForAnySheet', { most: formatGauge(MOST_TYPED_TEST_PA, unit, 'down') }),
      };
}

/** Steps that gauges of a unit commonly have. */
const USUAL_STEP: Record<GaugeUnit, string> = { psi: '0.05', kPa: '0.2', mbar: '2', inH2O: '1' };

function readStart(
  form: { unit: GaugeUnit; step: string; air: string; shown: string; temperature: string },
  limitPa: number,
  units: Units,
): FormRead<{ targetPa: number; stepPa: number; airPa: number; celsius: number | null }> {
  const { unit } = form;
  const step = parseGauge(form.step || USUAL_STEP[unit], unit);
  if (!step.ok || step.value < 1 || step.value > 7000)
    return {
      ok: false,
      error: t('theResolutionOfTheGaugeSuch', { usualStep: USUAL_STEP[unit], unit }),
    };
  const air = parsePressure(form.air || '0 m', units.pressure);
  if (!air.ok)
    return {
      ok: false,
      error: t('airPressureMeasureProblem', {
        measureProblem: measureProblemText(air.error, units),
      }),
    };
  const shown = parseGauge(form.shown, unit);
  if (!shown.ok)
    return {
      ok: false,
      error: t('gaugeNowMeasureProblem', {
        measureProblem: measureProblemText(shown.error, units),
      }),
    };
  if (shown.value > limitPa) return { ok: false, error: overWords(shown.value, limitPa, unit) };
  if (shown.value <= 0) return { ok: false, error: t('gaugeNowThereIsNoPressure') };
  const celsius = readTemperature(form.temperature, units.temperature);
  if (!celsius.ok) return { ok: false, error: measureProblemText(celsius.error, units) };
  return {
    ok: true,
    value: {
      targetPa: shown.value,
      stepPa: step.value,
      airPa: Math.round(air.value * 1000),
      celsius: celsius.value,
    },
  };
}

/** Waives the test with a reason, as a point of the list is. */
function WaivePart({ write }: { write: ClosingHook['write'] }) {
  const [why, setWhy] = useState('');
  return (
    <Card style={{ gap: 8 }}>
      <Text>{t('cannotBeTestedTheReasonStands')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
        <TextField label={t('whyIsThereNoTest')} value={why} onChange={setWhy} />
        <Button
          label={t('waiveTheTest')}
          disabled={why.trim() === ''}
          onPress={() =>
            void write(
              [
                {
                  kind: 'point',
                  point: PRESSURE_POINT,
                  verdict: 'waived',
                  why: why.trim(),
                  slots: [],
                  photos: [],
                },
              ],
              t('pressureTestWaived'),
            )
          }
        />
      </View>
    </Card>
  );
}
