import { useState } from 'react';
import { View } from 'react-native';
import {
  GAUGE_UNITS,
  type GaugeUnit,
  type Units,
  formatTemperature,
  parsePressure,
} from '@cordel/core';
import { PRESSURE_POINT, formatGauge, parseGauge, underPressure } from '@cordel/core/close';
import { roundReasonText } from '@cordel/text/close';
import { measureProblemText } from '@cordel/text/measure';
import { v7 as uuid } from 'uuid';
import { useKept } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import type { FormRead } from '@/ui/formRead';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { TextField } from '@/ui/TextField';
import { Txt } from '@/ui/Txt';
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
      <Notice word="No pressure test.">
        {`${hardware?.name ?? 'This hardware'} is not tested with air: its sheet gives no pressure.`}
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
              word={last?.origin === 'simulated' ? 'Passed, with simulated readings.' : 'Passed.'}
              ink="green"
            >
              {last ? roundReasonText(last.reason) : null}
            </Notice>
          ) : null}
          {state.test === 'waived' ? (
            <Notice word="Waived.">The reason stands in the list.</Notice>
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
  'Regulated air only, set at or below the limit before the hose goes on; never a bottle or a tire line by itself.',
  'Let the air in slowly. Stand beside the closure, not before its cover.',
  'Release the pressure before opening, repairing or leaving. Follow local codes and your company’s practice.',
];

/** The way into a round: at once where one is due, a tap away where the test is passed. */
function NextRound(props: TestPartProps & { again: boolean }) {
  const { stage, test } = props.closing.state;
  const [wanted, setWanted] = useState(false);
  if (stage === 'signed')
    return (
      <Txt ink="ink2">
        What is signed stays as it is: open the closure again under Visits to test it anew.
      </Txt>
    );
  if (test !== 'to do' && !wanted)
    return <Press label="Test it once more" onPress={() => setWanted(true)} />;
  return <StartPart {...props} />;
}

function StartPart({ closing, write, again }: TestPartProps & { again: boolean }) {
  const { project } = useProjectView();
  const { units } = project;
  const [unit, setUnit] = useState<GaugeUnit>(units.pressure);
  const [step, setStep] = useKept('cordel.gauge.step', '');
  const [air, setAir] = useKept('cordel.gauge.air', '');
  const [shown, setShown] = useState('');
  const [temperature, setTemperature] = useState('');
  const [problem, setProblem] = useState('');
  const { hardware } = closing;
  if (!hardware)
    return (
      <Notice word="No hardware yet.">
        Choose it under Open the cables: its sheet gives the limit of the test.
      </Notice>
    );
  const limitPa = Math.round(hardware.testKpa * 1000);
  const start = () => {
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
      `pressure test with ${formatGauge(targetPa, unit)}`,
    );
  };
  return (
    <Leaf style={{ gap: 12 }}>
      <Txt kind="name" heading={2}>
        {again ? 'Another round' : 'Pressurize'}
      </Txt>
      <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: 10, flexWrap: 'wrap' }}>
        <Txt kind="figure">{formatGauge(limitPa, unit, 'down')}</Txt>
        <Txt kind="strong">{`at most: ${hardware.name}`}</Txt>
      </View>
      {CAUTIONS.map((caution) => (
        <Txt key={caution} ink="accent">
          {caution}
        </Txt>
      ))}
      <Choice<GaugeUnit>
        label="The gauge shows"
        value={unit}
        options={GAUGE_UNITS.map((value) => ({ value, label: value }))}
        onChange={setUnit}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField
          label="Its least step"
          hint={`Such as ${USUAL_STEP[unit]} ${unit}`}
          value={step}
          onChange={setStep}
        />
        <TextField
          label="Barometric pressure"
          hint={`An altitude or a pressure: ${airHint(units)}`}
          value={air}
          onChange={setAir}
        />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField
          label={`Gauge now, ${unit}`}
          hint="Once the air is in and the valve is shut"
          value={shown}
          onChange={setShown}
        />
        <TextField
          label="Surface temperature of the closure"
          hint={`Such as ${formatTemperature(12, units.temperature)}, out of the sun`}
          value={temperature}
          onChange={setTemperature}
        />
      </View>
      {problem ? (
        <Notice word="Not started." ink="accent" live>
          {problem}
        </Notice>
      ) : null}
      <Press label="Air is in: start the clock" look="next" onPress={start} />
    </Leaf>
  );
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
      error: `The resolution of the gauge: such as ${USUAL_STEP[unit]} ${unit}.`,
    };
  const air = parsePressure(form.air || '0 m', units.pressure);
  if (!air.ok) return { ok: false, error: `Air pressure: ${measureProblemText(air.error, units)}` };
  const shown = parseGauge(form.shown, unit);
  if (!shown.ok)
    return { ok: false, error: `Gauge now: ${measureProblemText(shown.error, units)}` };
  if (shown.value > limitPa) return { ok: false, error: overWords(shown.value, limitPa, unit) };
  if (shown.value <= 0) return { ok: false, error: 'Gauge now: there is no pressure on yet.' };
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
    <Leaf style={{ gap: 8 }}>
      <Txt>Cannot be tested? The reason stands in the record.</Txt>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
        <TextField label="Why is there no test?" value={why} onChange={setWhy} />
        <Press
          label="Waive the test"
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
              'pressure test waived',
            )
          }
        />
      </View>
    </Leaf>
  );
}
