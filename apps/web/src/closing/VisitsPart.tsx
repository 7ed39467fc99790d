import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { type Evidence, emptyAssembly, lengthUnitOf, parsePressure, plural } from '@cordel/core';
import {
  PURPOSES,
  type Purpose,
  REENTRY_STEPS,
  type VisitRecord,
  closingSplices,
  reentryScope,
  visitsOf,
} from '@cordel/core/close';
import { useWork } from '@/data/queries';
import { usePerson } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { TextField } from '@/ui/TextField';
import { Txt } from '@/ui/Txt';
import { CutOverPart } from './CutOverPart';
import { momentOf } from './moments';
import { readTemperature } from './readings';
import type { Closing, ClosingHook } from './useClosing';

const WORDS: Record<Purpose, string> = {
  build: 'first closing',
  mend: 'mend',
  'new drop': 'new drop',
  'cut-over': 'cut-over',
  look: 'look only',
};

interface VisitsPartProps {
  closing: Closing;
  write: ClosingHook['write'];
}

const NONE: Evidence[] = [];

/** Who was here when, and the way to open the closure again. */
export function VisitsPart({ closing, write }: VisitsPartProps) {
  const work = useWork(closing.closure.id);
  const evidence = work.data?.evidence ?? NONE;
  const visits = useMemo(
    () => visitsOf(closing.entries, evidence).reverse(),
    [closing.entries, evidence],
  );
  const { visit } = closing.state;
  return (
    <View style={{ gap: 16 }}>
      {visit && visit.purpose !== 'build' ? <Reentry closing={closing} /> : null}
      {visit?.purpose === 'cut-over' ? <CutOverPart closureId={closing.closure.id} /> : null}
      <VisitForm closing={closing} write={write} />
      <LeaveForm closing={closing} write={write} />
      {visits.map((record) => (
        <VisitLeaf key={record.visit?.id ?? record.from} record={record} />
      ))}
    </View>
  );
}

/** What a closure that was closed before is opened for: only what changes. */
function Reentry({ closing }: { closing: Closing }) {
  const view = useProjectView();
  const router = useRouter();
  const { closure } = closing;
  const work = useWork(closure.id);
  const assembly =
    view.assemblies.find(({ closureId }) => closureId === closure.id) ?? emptyAssembly(closure.id);
  const scope = reentryScope({
    closure,
    assembly,
    hardware: closing.hardware,
    splices: closingSplices(
      work.data?.splices ?? [],
      work.data?.evidence ?? NONE,
      view.project.limits,
    ),
    cableName: (id) => view.cable(id)?.name ?? id,
    unit: lengthUnitOf(view.project.units.distance),
  });
  const go = (path: string) => router.push(`/p/${view.project.id}/${path}` as never);
  return (
    <Leaf style={{ gap: 8 }}>
      <Txt kind="name" heading={2}>
        Opened again: only what changes
      </Txt>
      <Txt kind="strong">
        {scope.trays.length === 0
          ? `Nothing is to be spliced yet; ${plural(scope.left, 'splice')} stay as they are.`
          : `${[scope.fresh > 0 ? `${scope.fresh} new` : '', scope.redo > 0 ? `${scope.redo} to redo` : ''].filter(Boolean).join(', ')} in tray ${scope.trays.join(', ')}; ${plural(scope.left, 'splice')} stay as they are.`}
      </Txt>
      {scope.ports.length > 0 ? <Txt>{`Ports to open: ${scope.ports.join(', ')}.`}</Txt> : null}
      {REENTRY_STEPS.map((step, index) => (
        <Txt key={step}>{`${index + 1}. ${step}`}</Txt>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Press
          label="Plan what changes"
          look="next"
          onPress={() => go(`route/${closure.id}/plan`)}
        />
        <Press label="Enter a new cable" onPress={() => go(`route/${closure.id}/open`)} />
        <Press label="Go to the Bench" onPress={() => go(`bench/${closure.id}`)} />
      </View>
    </Leaf>
  );
}

function VisitForm({ closing, write }: VisitsPartProps) {
  const [person] = usePerson();
  const closedBefore = closing.state.visit !== null || closing.state.stage === 'signed';
  const [open, setOpen] = useState(false);
  const [purpose, setPurpose] = useState<Purpose>(closedBefore ? 'mend' : 'build');
  const [why, setWhy] = useState('');
  const [crew, setCrew] = useState(person);
  const [temperature, setTemperature] = useState('');
  const [pressure, setPressure] = useState('');
  const [sky, setSky] = useState('');
  const [instruments, setInstruments] = useState('');
  const [problem, setProblem] = useState('');
  if (!open)
    return (
      <Press
        label={closedBefore ? 'Open the closure again' : 'I am here: begin the visit'}
        look={closing.state.visit === null ? 'next' : 'plain'}
        onPress={() => setOpen(true)}
      />
    );
  const begin = () => {
    const celsius = readTemperature(temperature);
    const air = pressure.trim() === '' ? null : parsePressure(pressure);
    if (!celsius.ok) return setProblem(`Temperature: ${celsius.error}`);
    if (air && !air.ok) return setProblem(`Air: ${air.error}`);
    const names = crew.split(',').flatMap((name) => name.trim() || []);
    if (names.length === 0) return setProblem('Say who is here.');
    if (purpose !== 'build' && why.trim() === '')
      return setProblem('Say why the closure is opened again.');
    setOpen(false);
    void write(
      [
        {
          kind: 'visit',
          purpose,
          why: why.trim() || null,
          crew: names,
          air: { temperature: celsius.value, humidity: null, pressure: air?.ok ? air.value : null },
          sky: sky.trim(),
          instruments: instruments.split(',').flatMap((name) => name.trim().slice(0, 60) || []),
        },
      ],
      `visit, ${WORDS[purpose]}`,
    );
  };
  return (
    <Leaf style={{ gap: 12 }}>
      <Choice<Purpose>
        label="What for"
        value={purpose}
        options={PURPOSES.map((value) => ({ value, label: WORDS[value] }))}
        onChange={setPurpose}
      />
      {closedBefore ? (
        <Notice word="A new visit begins the list and the test anew.">
          What was signed stays as it was signed; what changes shows against it.
        </Notice>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField label="Why" value={why} onChange={setWhy} />
        <TextField label="Who is here" hint="Names, with commas" value={crew} onChange={setCrew} />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField
          label="Temperature"
          hint="12 C or 54 F"
          value={temperature}
          onChange={setTemperature}
        />
        <TextField label="Air" hint="450 m or 98.5 kPa" value={pressure} onChange={setPressure} />
        <TextField label="Sky" hint="dry, drizzle, wind" value={sky} onChange={setSky} />
        <TextField
          label="Instruments"
          hint="Splicer, OTDR, gauge, with commas"
          value={instruments}
          onChange={setInstruments}
        />
      </View>
      {problem ? (
        <Notice word="Not begun." ink="accent" live>
          {problem}
        </Notice>
      ) : null}
      <Press label="Begin the visit" look="next" onPress={begin} />
    </Leaf>
  );
}

function LeaveForm({ closing, write }: VisitsPartProps) {
  const [done, setDone] = useState('');
  if (closing.state.visit === null) return null;
  const on = closing.state.blocks.find((block) => block.startsWith('Pressure is on'));
  return (
    <Leaf style={{ gap: 8 }}>
      <Txt kind="strong">Leaving? Say what was done: mounted, labelled, locked.</Txt>
      {on ? (
        <Notice word="Not yet." ink="accent">
          {on}
        </Notice>
      ) : (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
          <TextField label="What was done" value={done} onChange={setDone} />
          <Press
            label="Keep and leave"
            disabled={done.trim() === ''}
            onPress={() => {
              void write([{ kind: 'leave', done: done.trim() }], 'left');
              setDone('');
            }}
          />
        </View>
      )}
    </Leaf>
  );
}

function VisitLeaf({ record }: { record: VisitRecord }) {
  const { visit } = record;
  const air = [
    visit?.air.temperature === null || !visit ? '' : `${visit.air.temperature} C`,
    visit?.air.pressure === null || !visit ? '' : `${visit.air.pressure} kPa`,
    visit?.sky ?? '',
  ].filter(Boolean);
  const made = [
    record.spliced > 0 ? plural(record.spliced, 'try', 'tries') : '',
    record.measured > 0 ? plural(record.measured, 'reading') : '',
    record.looked > 0 ? `${plural(record.looked, 'point')} looked at` : '',
    record.rounds > 0 ? plural(record.rounds, 'pressure round') : '',
    ...record.signatures.map((entry) => `signed by ${entry.by}, ${entry.role}`),
  ].filter(Boolean);
  return (
    <Leaf style={{ gap: 4 }}>
      <Txt kind="strong">{`${momentOf(record.from)}: ${visit ? WORDS[visit.purpose] : 'work'}`}</Txt>
      {visit?.why ? <Txt>{visit.why}</Txt> : null}
      <Txt>{`${record.people.join(', ')}${air.length > 0 ? ` · ${air.join(', ')}` : ''}`}</Txt>
      <Txt ink="ink2">{made.join(' · ')}</Txt>
      {visit && visit.instruments.length > 0 ? (
        <Txt ink="ink2">{`With ${visit.instruments.join(', ')}`}</Txt>
      ) : null}
      {record.done.map((words) => (
        <Txt key={words}>{words}</Txt>
      ))}
    </Leaf>
  );
}
