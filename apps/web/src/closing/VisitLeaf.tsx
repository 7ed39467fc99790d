import { useState } from 'react';
import { View } from 'react-native';
import { formatAir, formatTemperature } from '@cordel/core';
import { type VisitRecord, roundsOf, testTask } from '@cordel/core/close';
import { closingShared as shared } from '@cordel/text/pages/closing/shared';
import { hazardText } from '@cordel/text/close';
import { visitLeaf as t } from '@cordel/text/pages/closing/VisitLeaf';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Card } from '@/ui/Card';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
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
    <Card style={{ gap: 4 }}>
      <Text kind="strong">{`${moment(record.from)}: ${visit ? PURPOSE_WORDS[visit.purpose] : 'work'}`}</Text>
      {visit?.why ? <Text>{visit.why}</Text> : null}
      <Text>{`${record.people.join(', ')}${air.length > 0 ? ` · ${air.join(', ')}` : ''}`}</Text>
      <Text color="ink2">{made.join(' · ')}</Text>
      {visit?.hazards ? (
        <Text color="ink2">
          {visit.hazards.length === 0
            ? t('noHazards')
            : t('lookedAfter', { hazards: visit.hazards.map(hazardText).join(', ') })}
        </Text>
      ) : null}
      {visit?.dark ? <Text color="ink2">{t('provenDark', visit.dark)}</Text> : null}
      {visit && visit.instruments.length > 0 ? (
        <Text color="ink2">
          {t('withInstruments', { instruments: visit.instruments.join(', ') })}
        </Text>
      ) : null}
      {record.cutOvers.flatMap(({ entry, circuits }) =>
        circuits
          .filter(({ downAt }) => downAt !== null)
          .map((circuit) => (
            <Text key={`${entry.id} ${circuit.name}`}>
              {`${circuit.name}: ${circuitWords(circuit, clock)}`}
            </Text>
          )),
      )}
      {record.done.map((words) => (
        <Text key={words}>{words}</Text>
      ))}
      {record.rounds + record.signatures.length > 0 ? (
        <Button
          label={open ? t('closeTestsAndSignatures') : t('itsTestsAndSignatures')}
          aria-expanded={open}
          onPress={() => setOpen(!open)}
        />
      ) : null}
      {open ? <Kept record={record} closing={closing} write={write} /> : null}
    </Card>
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
