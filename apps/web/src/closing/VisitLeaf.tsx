import { useState } from 'react';
import { View } from 'react-native';
import { formatAir, formatTemperature } from '@cordel/core';
import { type VisitRecord, roundsOf, testTask } from '@cordel/core/close';
import { closingShared as shared } from '@cordel/text/pages/closing/shared';
import { visitLeaf as t } from '@cordel/text/pages/closing/VisitLeaf';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Leaf } from '@/ui/Leaf';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { RoundRecord } from './RoundRecord';
import { Signed } from './Signed';
import { circuitWords } from './circuitWords';
import type { Closing, ClosingHook } from './useClosing';
import { PURPOSE_WORDS } from './VisitForm';

interface VisitLeafProps {
  record: VisitRecord;
  closing: Closing;
  write: ClosingHook['write'];
}

/** A visit: who, when, in what weather, what was done; its tests and signatures open below. */
export function VisitLeaf({ record, closing, write }: VisitLeafProps) {
  const [open, setOpen] = useState(false);
  const { visit } = record;
  const { moment, clock } = useClock();
  const { units } = useProjectView().project;
  const air = [
    !visit || visit.air.temperature === null
      ? ''
      : formatTemperature(visit.air.temperature, units.temperature),
    !visit || visit.air.pressure === null ? '' : formatAir(visit.air.pressure, units),
    visit?.sky ?? '',
  ].filter(Boolean);
  const made = [
    record.retired > 0 ? t('splicesRemoved', { splices: record.retired }) : '',
    record.spliced > 0 ? t('attempts', { attempts: record.spliced }) : '',
    record.measured > 0 ? shared('readings', { readings: record.measured }) : '',
    record.looked > 0 ? t('pointsChecked', { points: record.looked }) : '',
    record.rounds > 0 ? t('pressureTests', { pressureTests: record.rounds }) : '',
    ...record.signatures.map((entry) => t('signedByRole', { by: entry.by, role: entry.role })),
  ].filter(Boolean);
  return (
    <Leaf style={{ gap: 4 }}>
      <Txt kind="strong">{`${moment(record.from)}: ${visit ? PURPOSE_WORDS[visit.purpose] : 'work'}`}</Txt>
      {visit?.why ? <Txt>{visit.why}</Txt> : null}
      <Txt>{`${record.people.join(', ')}${air.length > 0 ? ` · ${air.join(', ')}` : ''}`}</Txt>
      <Txt ink="ink2">{made.join(' · ')}</Txt>
      {visit && visit.instruments.length > 0 ? (
        <Txt ink="ink2">{t('withInstruments', { instruments: visit.instruments.join(', ') })}</Txt>
      ) : null}
      {record.cutOvers.flatMap(({ entry, circuits }) =>
        circuits
          .filter(({ downAt }) => downAt !== null)
          .map((circuit) => (
            <Txt key={`${entry.id} ${circuit.name}`}>
              {`${circuit.name}: ${circuitWords(circuit, clock)}`}
            </Txt>
          )),
      )}
      {record.done.map((words) => (
        <Txt key={words}>{words}</Txt>
      ))}
      {record.rounds + record.signatures.length > 0 ? (
        <Press
          label={open ? t('closeTestsAndSignatures') : t('itsTestsAndSignatures')}
          aria-expanded={open}
          onPress={() => setOpen(!open)}
        />
      ) : null}
      {open ? <Kept record={record} closing={closing} write={write} /> : null}
    </Leaf>
  );
}

function Kept({ record, closing, write }: VisitLeafProps) {
  const { leakLimit } = useProjectView().project.practice;
  return (
    <View style={{ gap: 12, paddingTop: 8 }}>
      {roundsOf(record.closing, testTask(closing.hardware, leakLimit), closing.entries).map(
        (pressed, index) => (
          <RoundRecord
            key={pressed.round.id}
            pressed={pressed}
            number={index + 1}
            closing={closing}
            write={write}
          />
        ),
      )}
      {record.signatures.map((entry) => (
        <Signed key={entry.id} entry={entry} />
      ))}
    </View>
  );
}
