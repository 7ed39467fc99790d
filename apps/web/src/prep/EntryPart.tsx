import { useState } from 'react';
import { View } from 'react-native';
import {
  type AssemblyChange,
  ENTRY_KINDS,
  type EntryKind,
  formatDiameter,
  formatLength,
  type Leg,
  type OpenedClosure,
  type OpenedEntry,
  fibersSpliced,
  hardwareTaking,
  legsOf,
  namedLeg,
  portOfLeg,
} from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import {
  legText,
  prepCheckText,
  sealNoteText,
  sealProblemText,
  tailText,
  tapeZeroText,
  tubingText,
  wholeText,
} from '@cordel/text/prep';
import { entryPart as t } from '@cordel/text/pages/prep/EntryPart';
import { common } from '@cordel/text/pages/common';
import { useWork } from '@/data/queries';
import { personNow } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { CutDrawing } from './CutDrawing';
import { LengthField } from './LengthField';
import { PlanConflicts } from './PlanConflicts';
import { StepList } from './StepList';
import { TubeWays } from './TubeWays';
import { type AssemblyHook, doneOf } from './useAssembly';

const KINDS: Record<EntryKind, string> = { end: t('cutEnd'), express: 'express', drop: 'drop' };

type EntryChange = Extract<AssemblyChange, { kind: 'enter' }>['part'];

interface EntryPartProps {
  hook: AssemblyHook;
  opened: OpenedClosure;
  item: OpenedEntry;
}

/** One cable that enters: how, through which seal, where it is cut, and what to do in which order. */
export function EntryPart({ hook, opened, item }: EntryPartProps) {
  const { entry, cable, plan, steps } = item;
  const { units } = useProjectView().project;
  const [open, setOpen] = useState(plan === null || entry.diameter === null);
  const done = doneOf(entry, steps);
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('cableName', { name: cable.name })}
      </Text>
      <Text color="ink2">{`${makeUpText(cable.makeUp)} · ${KINDS[entry.kind]}`}</Text>
      {legsOf(entry).map((leg) => (
        <Seal key={leg} opened={opened} item={item} leg={leg} />
      ))}
      <PlanConflicts hook={hook} item={item} closureId={opened.assembly.closureId} />
      <Button
        label={
          open
            ? t('closeWhatIsKnownOf', { name: cable.name })
            : t('changeHowEnters', { name: cable.name })
        }
        aria-expanded={open}
        onPress={() => setOpen(!open)}
      />
      {open ? <EntryForm hook={hook} opened={opened} item={item} /> : null}
      {plan?.missing ? (
        <Notice word={t('lengthMissing')} color="accent">
          {t('sleevesMissing')}
        </Notice>
      ) : plan ? (
        <>
          <Text kind="strong">
            {t('ofSheathComesOffTapeZero', {
              opening: formatLength(plan.opening, units.length),
              tapeZero: tapeZeroText(plan.zero),
            })}
          </Text>
          {plan.whole.map((whole) => (
            <Notice key={whole.code} word={t('doNotCut')} color="accent">
              {wholeText(whole)}
            </Notice>
          ))}
          <CutDrawing plan={plan} units={units} />
          {plan.tails.map(({ code, length }) => (
            <Text key={code}>
              {t('tailLength', {
                tail: tailText(code),
                length: formatLength(length, units.length, 'down'),
              })}
            </Text>
          ))}
          {plan.tubing.map(({ code, count, length }) => (
            <Text
              key={code}
            >{`${count} x ${formatLength(length, units.length)}: ${tubingText(code)}.`}</Text>
          ))}
          {plan.checks.map((check, index) => (
            <Notice
              key={`${check.message.code} ${index}`}
              word={check.ok ? 'OK.' : common('check')}
              color={check.ok ? 'green' : 'accent'}
            >
              {prepCheckText(check.message, units)}
            </Notice>
          ))}
          <Text kind="strong">{t('stepsOfDone', { done, steps: steps.length })}</Text>
          <StepList
            steps={steps}
            done={entry.done}
            closureId={opened.assembly.closureId}
            onTick={(step, tick) =>
              hook.change({
                kind: 'tick',
                entryId: entry.id,
                step,
                done: tick !== null,
                by: personNow() || null,
                at: new Date().toISOString(),
                ...(tick ?? { answers: {}, photos: [], override: null }),
              })
            }
          />
        </>
      ) : (
        <Text color="ink2">{t('chooseTheHardwareForTheCut')}</Text>
      )}
    </Card>
  );
}

function Seal({ opened, item, leg }: Pick<EntryPartProps, 'opened' | 'item'> & { leg: Leg }) {
  const { hardware, project } = useProjectView();
  const { entry } = item;
  if (!opened.hardware) return null;
  if (entry.diameter === null)
    return leg === 'out' ? null : (
      <Notice word={t('measure')}>{t('theDiameterChoosesTheSealBefore')}</Notice>
    );
  const elsewhere = hardwareTaking(hardware, entry.kind, entry.diameter);
  const used = opened.ports
    .flatMap((use) => use.entries)
    .find((own) => own.entry.id === entry.id && own.leg === leg);
  const named = namedLeg(entry, leg);
  const side = named ? `${legText(named)}: ` : '';
  if (!used?.seal)
    return (
      <Notice word={t('noPortLeft')} color="accent">
        {side}
        {t('noFreePortOfTakes', {
          name: opened.hardware.name,
          diameter: formatDiameter(entry.diameter, project.units.length),
          elsewhere:
            elsewhere.length === 0
              ? t('noHardwareHereDoesMeasureAgain')
              : t('itWouldFit', { elsewhere: elsewhere.join(', ') }),
        })}
      </Notice>
    );
  if (!used.seal.ok)
    return (
      <Notice word={t('doesNotFit')} color="accent">
        {`${side}${sealProblemText(used.seal.error, project.units)}`}
      </Notice>
    );
  const { port, row, slit, bushing, notes } = used.seal.value;
  const parts = [
    row.seal,
    row.layers > 0 ? t('layers', { layers: row.layers }) : '',
    row.clip,
    bushing ? 'bushing' : '',
    slit ? 'slit' : t('notSlit'),
  ].filter(Boolean);
  return (
    <Notice word={`${side}${port}:`}>
      {`${parts.join(', ')}. ${notes.map((note) => sealNoteText(note)).join(' ')}`.trim()}
    </Notice>
  );
}

function EntryForm({ hook, opened, item }: EntryPartProps) {
  const { entry, cable } = item;
  const { hardware } = opened;
  const planned = useWork(opened.assembly.closureId).data?.splices ?? [];
  const { schemes, project } = useProjectView();
  const unit = project.units.length;
  const set = (part: EntryChange) => hook.change({ kind: 'enter', entryId: entry.id, part });
  const field = (label: string, key: 'loop' | 'route' | 'inside' | 'conduit') => (
    <LengthField
      label={label}
      // No loop is a length; a way to the chassis of nothing is one that nobody has measured.
      value={key === 'loop' || entry[key] > 0 ? entry[key] : null}
      unit={unit}
      most={200_000}
      onChange={(value) => set({ [key]: value })}
    />
  );
  return (
    <View style={{ gap: 12 }}>
      <Choice
        label={t('entersAs')}
        value={entry.kind}
        options={ENTRY_KINDS.map((value) => ({ value, label: KINDS[value] }))}
        onChange={(kind) => set({ kind })}
      />
      <LengthField
        label={t('diameterOfName', { name: cable.name })}
        value={entry.diameter}
        unit={unit}
        spell={formatDiameter}
        least={10}
        most={1000}
        around
        hint={t('outsideSuchAs145Mm')}
        onChange={(diameter) => set({ diameter })}
      />
      {hardware
        ? legsOf(entry).map((leg) => (
            <Choice
              key={leg}
              label={entry.kind === 'express' ? t('portOfLeg', { leg: legText(leg) }) : t('port')}
              value={portOfLeg(entry, leg) ?? ''}
              options={[
                { value: '', label: t('firstThatSuits') },
                ...hardware.ports
                  .filter((port) => port.takes.includes(entry.kind))
                  .map(({ name }) => ({ value: name, label: name })),
              ]}
              onChange={(port) =>
                set({ [leg === 'in' ? 'port' : 'portOut']: port === '' ? null : port })
              }
            />
          ))
        : null}
      <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
        {field(t('slackLoopOutside'), 'loop')}
        {hardware?.form === 'rack' ? field(t('routeToTheChassis'), 'route') : null}
        {hardware?.form === 'rack' ? field(t('insideTheChassis'), 'inside') : null}
        {hardware?.form === 'rack' ? field(t('conduitToTheChassis'), 'conduit') : null}
      </View>
      {entry.kind === 'express' ? (
        <TubeWays
          makeUp={cable.makeUp}
          scheme={schemes.find(({ id }) => id === cable.schemeId) ?? null}
          tubes={item.task?.entry.tubes ?? entry.tubes}
          isPlanned={fibersSpliced(cable.id, planned).length > 0}
          onChange={(tubes) => set({ tubes })}
        />
      ) : null}
      <YesNo
        label={t('metallicArmour')}
        value={entry.armoured}
        onChange={(armoured) => set({ armoured })}
      />
      <YesNo label={t('tracerWire')} value={entry.tracer} onChange={(tracer) => set({ tracer })} />
      <Button
        label={t('takeOutOfThisClosure', { name: cable.name })}
        onPress={() => hook.change({ kind: 'remove', entryId: entry.id })}
      />
    </View>
  );
}

const YesNo = ({
  label,
  value,
  onChange,
}: {
  label: string;
  value: boolean;
  onChange(value: boolean): void;
}) => (
  <Choice
    label={label}
    value={value ? 'yes' : 'no'}
    options={[
      { value: 'no', label: t('no') },
      { value: 'yes', label: t('yes') },
    ]}
    onChange={(next) => onChange(next === 'yes')}
  />
);
