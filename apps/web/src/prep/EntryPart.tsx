import { useState } from 'react';
import { View } from 'react-native';
import {
  type AssemblyChange,
  ENTRY_KINDS,
  type EntryKind,
  formatLength,
  hardwareTaking,
} from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import {
  prepCheckText,
  sealNoteText,
  sealProblemText,
  tailText,
  tapeZeroText,
  tubingText,
  wholeText,
} from '@cordel/text/prep';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { CutDrawing } from './CutDrawing';
import { LengthField } from './LengthField';
import { StepList } from './StepList';
import { TubeWays } from './TubeWays';
import type { AssemblyHook, OpenedClosure, OpenedEntry } from './useAssembly';

const KINDS: Record<EntryKind, string> = { end: 'cut end', express: 'express', drop: 'drop' };

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
  const done = steps.filter((step) => entry.done.includes(step.key)).length;
  return (
    <Leaf style={{ gap: 12 }}>
      <Txt kind="name" heading={2}>{`Cable ${cable.name}`}</Txt>
      <Txt ink="ink2">{`${makeUpText(cable.makeUp)} · ${KINDS[entry.kind]}`}</Txt>
      <Seal opened={opened} item={item} />
      <Press
        label={open ? `Close what is known of ${cable.name}` : `Change how ${cable.name} enters`}
        aria-expanded={open}
        onPress={() => setOpen(!open)}
      />
      {open ? <EntryForm hook={hook} opened={opened} item={item} /> : null}
      {plan ? (
        <>
          <Txt kind="strong">{`${formatLength(plan.opening, opened.unit)} of sheath comes off. Tape zero: ${tapeZeroText(plan.zero)}.`}</Txt>
          {plan.whole.map((whole) => (
            <Notice key={whole.code} word="Do not cut." ink="accent">
              {wholeText(whole)}
            </Notice>
          ))}
          <CutDrawing plan={plan} units={units} />
          {plan.tails.map(({ code, length }) => (
            <Txt
              key={code}
            >{`Tail: ${tailText(code)} ${formatLength(length, opened.unit, 'down')}.`}</Txt>
          ))}
          {plan.tubing.map(({ code, count, length }) => (
            <Txt
              key={code}
            >{`${count} x ${formatLength(length, opened.unit)}: ${tubingText(code)}.`}</Txt>
          ))}
          {plan.checks.map((check) => (
            <Notice
              key={check.message.code}
              word={check.ok ? 'OK.' : 'Check.'}
              ink={check.ok ? 'green' : 'accent'}
            >
              {prepCheckText(check.message, units)}
            </Notice>
          ))}
          <Txt kind="strong">{`Steps: ${done} of ${steps.length} done`}</Txt>
          <StepList
            steps={steps}
            done={entry.done}
            onTick={(step, ticked) =>
              hook.change({ kind: 'tick', entryId: entry.id, step, done: ticked })
            }
          />
        </>
      ) : (
        <Txt ink="ink2">Choose the hardware for the cut plan.</Txt>
      )}
    </Leaf>
  );
}

function Seal({ opened, item }: Pick<EntryPartProps, 'opened' | 'item'>) {
  const { hardware, project } = useProjectView();
  const { entry } = item;
  if (!opened.hardware) return null;
  if (entry.diameter === null)
    return (
      <Notice word="Measure.">The diameter chooses the seal, before anything is opened.</Notice>
    );
  const elsewhere = hardwareTaking(hardware, entry.kind, entry.diameter);
  const used = opened.ports.flatMap((use) => use.entries).find((own) => own.entry.id === entry.id);
  if (!used?.seal)
    return (
      <Notice word="No port left." ink="accent">
        {`No free port of ${opened.hardware.name} takes ${formatLength(entry.diameter, opened.unit, 'near')}. ${elsewhere.length === 0 ? 'No hardware here does: measure again.' : `It would fit: ${elsewhere.join(', ')}.`}`}
      </Notice>
    );
  if (!used.seal.ok)
    return (
      <Notice word="Does not fit." ink="accent">
        {sealProblemText(used.seal.error, project.units)}
      </Notice>
    );
  const { port, row, slit, bushing, notes } = used.seal.value;
  const parts = [
    row.seal,
    row.layers > 0 ? `${row.layers} layers` : '',
    row.clip,
    bushing ? 'bushing' : '',
    slit ? 'slit' : 'not slit',
  ].filter(Boolean);
  return (
    <Notice word={`${port}:`}>
      {`${parts.join(', ')}. ${notes.map((note) => sealNoteText(note)).join(' ')}`.trim()}
    </Notice>
  );
}

function EntryForm({ hook, opened, item }: EntryPartProps) {
  const { entry, cable } = item;
  const { unit, hardware } = opened;
  const set = (part: EntryChange) => hook.change({ kind: 'enter', entryId: entry.id, part });
  const field = (label: string, key: 'loop' | 'route' | 'inside') => (
    <LengthField
      label={label}
      value={entry[key]}
      unit={unit}
      most={200_000}
      onChange={(value) => set({ [key]: value })}
    />
  );
  return (
    <View style={{ gap: 12 }}>
      <Choice
        label="Enters as"
        value={entry.kind}
        options={ENTRY_KINDS.map((value) => ({ value, label: KINDS[value] }))}
        onChange={(kind) => set({ kind })}
      />
      <LengthField
        label={`Diameter of ${cable.name}`}
        value={entry.diameter}
        unit={unit}
        least={10}
        most={1000}
        around
        hint="Outside, such as 14.5 mm or 0.57 in; a circumference as “c 45 mm”."
        onChange={(diameter) => set({ diameter })}
      />
      {hardware ? (
        <Choice
          label="Port"
          value={entry.port ?? ''}
          options={[
            { value: '', label: 'first that suits' },
            ...hardware.ports
              .filter((port) => port.takes.includes(entry.kind))
              .map(({ name }) => ({ value: name, label: name })),
          ]}
          onChange={(port) => set({ port: port === '' ? null : port })}
        />
      ) : null}
      <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
        {field('Loop kept outside', 'loop')}
        {hardware?.form === 'rack' ? field('Route to the chassis', 'route') : null}
        {hardware?.form === 'rack' ? field('Inside the chassis', 'inside') : null}
      </View>
      {entry.kind === 'express' ? (
        <TubeWays makeUp={cable.makeUp} tubes={entry.tubes} onChange={(tubes) => set({ tubes })} />
      ) : null}
      <YesNo
        label="Metallic armour"
        value={entry.armoured}
        onChange={(armoured) => set({ armoured })}
      />
      <YesNo label="Tracer wire" value={entry.tracer} onChange={(tracer) => set({ tracer })} />
      <Press
        label={`Take ${cable.name} out of this closure`}
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
      { value: 'no', label: 'no' },
      { value: 'yes', label: 'yes' },
    ]}
    onChange={(next) => onChange(next === 'yes')}
  />
);
