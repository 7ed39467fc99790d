import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import {
  END_WAYS,
  type EndWay,
  type Leg,
  type LineToPrint,
  type ListCable,
  type MakeUp,
  type Polarity,
  type Run,
  type Verb,
  fiberCount,
  inputOf,
  isDevice,
  isFused,
  parsePlan,
  portSize,
  printLine,
  unitSize,
} from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import { wayText } from '@cordel/text/bench';
import { legText } from '@cordel/text/prep';
import { planMessageText } from '@cordel/text/plan';
import { common } from '@cordel/text/pages/common';
import { planShared as shared } from '@cordel/text/pages/plan/shared';
import { lineBuilder as t } from '@cordel/text/pages/plan/LineBuilder';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { CablePick } from './CablePick';

type CountedBy = 'unit' | 'fiber';

const VERB_LABELS: { value: Verb; label: string }[] = [
  { value: 'splice', label: common('splice') },
  { value: 'terminate', label: t('endAtPorts') },
  { value: 'through', label: shared('through') },
  { value: 'reserve', label: shared('reserve') },
  { value: 'dead', label: t('dead') },
];

interface LineBuilderProps {
  cables: readonly ListCable[];
  /** Names of cables that pass through the closure. */
  express: readonly string[];
  onAdd(line: string): void;
}

/** Makes a line of a plan by thumb. It writes what could be typed. */
export function LineBuilder({ cables, express, onAdd }: LineBuilderProps) {
  const [verb, setVerb] = useState<Verb>('splice');
  const [a, setA] = useState('');
  const [b, setB] = useState('');
  const [leg, setLeg] = useState<Leg | 'none'>('none');
  const [by, setBy] = useState<CountedBy>('unit');
  const [from, setFrom] = useState('1');
  const [to, setTo] = useState('1');
  const [start, setStart] = useState('1');
  const [chosen, setMass] = useState<'single' | 'mass' | null>(null);
  const [reversed, setReversed] = useState<'no' | 'yes'>('no');
  const [end, setEnd] = useState<EndWay>('pigtail');
  const [polarity, setPolarity] = useState<Polarity | 'none'>('none');
  const [side, setSide] = useState<'in' | 'out'>('in');
  const cableA = cables.find((cable) => cable.name === a);
  const cableB = cables.find((cable) => cable.name === b);
  const joins = verb === 'splice' || verb === 'terminate';
  const unit = cableA?.makeUp.kind === 'ribbon' ? 'ribbon' : 'tube';
  const hasUnits =
    cableA !== undefined && cableA.makeUp.kind !== 'drop' && !isDevice(cableA.makeUp);
  const splitter = cableB?.makeUp.kind === 'splitter' ? cableB.makeUp : null;
  const step = by === 'unit' && hasUnits ? unitSize(cableA.makeUp) : 1;
  // As a typed line has it: ribbons onto ribbons are fused by mass unless somebody says otherwise.
  const ribbons =
    by === 'unit' && [cableA, cableB].every((cable) => cable?.makeUp.kind === 'ribbon');
  const fused = verb === 'splice' || isFused(end);
  const wholeRibbons = verb === 'terminate' && by === 'unit' && cableA?.makeUp.kind === 'ribbon';
  const mass = fused ? (chosen ?? (ribbons || wholeRibbons ? 'mass' : 'single')) : 'single';
  const passes = verb !== 'through' && express.includes(a);
  const legA = passes && leg !== 'none' ? leg : null;
  const line = lineOf({
    verb,
    a,
    legA,
    b,
    from,
    to,
    start,
    step,
    mass,
    reversed: verb === 'splice' ? mass === 'mass' && reversed === 'yes' : polarity === 'B',
    end: verb === 'terminate' ? end : null,
    polarity: verb === 'terminate' && polarity !== 'none' ? polarity : null,
    portSize: cableB?.makeUp.kind === 'ports' ? portSize(cableB.makeUp) : 1,
    input: splitter && side === 'in' ? inputOf(splitter) : null,
  });
  const isPorts = ({ makeUp }: ListCable) => makeUp.kind === 'ports';
  const onto = cables.filter((cable) => isPorts(cable) === (verb === 'terminate'));
  const text = line && cableA && (!joins || cableB) ? printLine(line, cables) : null;
  const error = text === null ? null : (parsePlan(text, cables).errors[0]?.message ?? null);
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('buildALine')}
      </Text>
      <Choice
        label={t('what')}
        value={verb}
        options={VERB_LABELS}
        onChange={(value) => setVerb(value)}
      />
      <CablePick
        label={common('cable')}
        value={a}
        cables={cables.filter((cable) => !isPorts(cable))}
        onChange={setA}
      />
      {cableA ? <Text color="ink2">{makeUpText(cableA.makeUp)}</Text> : null}
      {passes ? (
        <Choice<Leg | 'none'>
          label={t('whichLeg')}
          value={leg}
          options={[
            { value: 'none', label: joins ? t('feedSideByItself') : t('bothLegs') },
            { value: 'in', label: legText('in') },
            { value: 'out', label: legText('out') },
          ]}
          onChange={setLeg}
        />
      ) : null}
      {hasUnits ? (
        <Choice
          label={t('countedBy')}
          value={by}
          options={[
            { value: 'unit', label: `${unit}s` },
            { value: 'fiber', label: t('fibers') },
          ]}
          onChange={(value) => setBy(value)}
        />
      ) : null}
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'flex-end' }}>
        <Count label={common('from')} value={from} onChange={setFrom} />
        <Count label={t('to')} value={to} onChange={setTo} />
        <Button
          label={t('all')}
          disabled={!cableA}
          onPress={() => {
            setFrom('1');
            setTo(String(countOf(cableA!.makeUp) / step));
          }}
        />
      </View>
      {joins ? (
        <>
          {onto.length === 0 ? (
            <Text color="ink2">{t('addPortsFirst')}</Text>
          ) : (
            <CablePick label={t('onto')} value={b} cables={onto} onChange={setB} />
          )}
          {verb === 'terminate' ? (
            <EndFields
              end={end}
              onEnd={setEnd}
              polarity={polarity}
              onPolarity={setPolarity}
              byTwelves={step % 12 === 0}
            />
          ) : null}
          {splitter ? (
            <Choice<'in' | 'out'>
              label={t('whichSide')}
              value={side}
              options={[
                { value: 'in', label: t('input') },
                { value: 'out', label: t('outputs') },
              ]}
              onChange={setSide}
            />
          ) : null}
          {splitter && side === 'in' ? null : (
            <Count
              label={
                verb === 'terminate'
                  ? t('firstPort')
                  : step === 1
                    ? t('firstFiberThere')
                    : t('beginsThereAtFiber')
              }
              value={start}
              onChange={setStart}
            />
          )}
          {fused ? (
            <Choice
              label={t('fused')}
              value={mass}
              options={[
                { value: 'single', label: t('oneByOne') },
                { value: 'mass', label: t('byRibbon') },
              ]}
              onChange={(value) => setMass(value)}
            />
          ) : null}
          {mass === 'mass' && verb === 'splice' ? (
            <Choice
              label={t('ribbons')}
              value={reversed}
              options={[
                { value: 'no', label: t('straight') },
                { value: 'yes', label: t('turnedRoundOnPurpose') },
              ]}
              onChange={(value) => setReversed(value)}
            />
          ) : null}
        </>
      ) : null}
      {text === null ? (
        <Text color="ink2">{t('chooseTheCablesAndCountThe')}</Text>
      ) : error ? (
        <Notice word={t('notYet')} color="accent">
          {planMessageText(error)}
        </Notice>
      ) : (
        <Text kind="strong">{text}</Text>
      )}
      <Button
        label={t('addTheLine')}
        look="next"
        disabled={text === null || error !== null}
        onPress={() => onAdd(text!)}
      />
    </Card>
  );
}

/** How fibers end at ports. */
function EndFields({
  end,
  onEnd,
  polarity,
  onPolarity,
  byTwelves,
}: {
  end: EndWay;
  onEnd(end: EndWay): void;
  polarity: Polarity | 'none';
  onPolarity(polarity: Polarity | 'none'): void;
  /** Whether whole groups of twelve end here: only they have a polarity. */
  byTwelves: boolean;
}) {
  return (
    <>
      <Choice<EndWay>
        label={t('endedBy')}
        value={end}
        options={END_WAYS.map((value) => ({ value, label: wayText(value) }))}
        onChange={onEnd}
      />
      {byTwelves ? (
        <Choice<Polarity | 'none'>
          label={t('polarity')}
          value={polarity}
          options={[
            { value: 'none', label: t('asNumbered') },
            { value: 'A', label: t('polarityA') },
            { value: 'B', label: t('polarityB') },
          ]}
          onChange={onPolarity}
        />
      ) : null}
    </>
  );
}

interface Made {
  verb: Verb;
  a: string;
  legA: Leg | null;
  b: string;
  from: string;
  to: string;
  start: string;
  /** Fibers to one count. */
  step: number;
  mass: 'single' | 'mass';
  reversed: boolean;
  end: EndWay | null;
  polarity: Polarity | null;
  /** Fibers behind a port of B. */
  portSize: number;
  /** The splitter's input, where it is fed. */
  input: number | null;
}

/** Fibers that are counted from 1 on: of a splitter its outputs. */
const countOf = (makeUp: MakeUp): number =>
  makeUp.kind === 'splitter' ? makeUp.outputs : fiberCount(makeUp);

function lineOf(made: Made): LineToPrint | null {
  const [from, to, start] = [made.from, made.to, made.start].map((text) =>
    /^\d+$/.test(text.trim()) ? Number(text) : Number.NaN,
  ) as [number, number, number];
  if (Number.isNaN(from) || Number.isNaN(to)) return null;
  const run: Run = [(from - 1) * made.step + 1, to * made.step];
  const joins = made.verb === 'splice' || made.verb === 'terminate';
  if (joins && Number.isNaN(start)) return null;
  const first = made.input ?? (start - 1) * made.portSize + 1;
  return {
    verb: made.verb,
    a: { cable: made.a, leg: made.legA, runs: [run] },
    b: joins ? { cable: made.b, leg: null, runs: [[first, first + run[1] - run[0]]] } : null,
    method: joins ? made.mass : 'single',
    end: made.end,
    polarity: made.polarity,
    reversed: joins && made.reversed,
    note: null,
  };
}

function Count({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange(text: string): void;
}) {
  return (
    <TextInput
      mode="outlined"
      label={label}
      aria-label={label}
      inputMode="numeric"
      value={value}
      onChangeText={onChange}
      style={{ flex: 1, minWidth: 90 }}
      outlineStyle={{ borderWidth: 2 }}
    />
  );
}
