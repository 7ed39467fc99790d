import { useState } from 'react';
import { View } from 'react-native';
import {
  BUILT_IN_HARDWARE,
  type Hardware,
  type SchemaIssue,
  hardwareSchema,
  readNumber,
} from '@cordel/core';
import { parseGauge, spellGauge } from '@cordel/core/pressure';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { measureProblemText } from '@cordel/text/measure';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { hardwarePage as t } from '@cordel/text/pages/kit/HardwarePage';
import { common } from '@cordel/text/pages/common';
import { errorText, issueText } from '@cordel/text/record';
import { outbox } from '@/data/client';
import { useMergedSave } from '@/data/useMergedSave';
import { LengthField } from '@/prep/LengthField';
import { useProjectView } from '@/projects/context';
import { ArchivedList } from '@/removal/ArchivedList';
import { RemovalNotice } from '@/removal/RemovalNotice';
import { RemoveKeys } from '@/removal/RemoveKeys';
import { removable } from '@/removal/removables';
import { useRemoval } from '@/removal/useRemoval';
import { FormActions } from '@/ui/FormActions';
import { Grid, GridRow } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { pickFile } from '@/ui/pickFile';
import { saveFile } from '@/ui/saveFile';
import { type PortProblem, PortsEditor } from './PortsEditor';

const isBuiltIn = (hardware: Hardware) => BUILT_IN_HARDWARE.some(({ id }) => id === hardware.id);

/** Hardware profiles: those that ship, to be copied, and one's own, to be edited and exchanged. */
export function HardwarePage() {
  const { project, hardware, isArchived } = useProjectView();
  const removal = useRemoval();
  const [open, setOpen] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  const bringIn = async () => {
    setProblem('');
    const file = await pickFile('.json,application/json');
    if (!file) return;
    const outcome = await save(readHardware(await file.text()));
    if (outcome) setProblem(`${file.name}: ${outcome}`);
  };
  return (
    <Page title={shared('hardware')} above={project.name} back={`/p/${project.id}/kit`}>
      <Notice>{t('theSheetThatComesWithThe')}</Notice>
      <RemovalNotice removal={removal} />
      <Grid least={420} gap={16}>
        {hardware
          .filter((entry) => !isArchived(entry))
          .map((entry) =>
            open === entry.id ? (
              <GridRow key={entry.id}>
                <HardwareForm hardware={entry} onDone={() => setOpen(null)} />
              </GridRow>
            ) : (
              <Card key={entry.id} style={{ gap: 8 }}>
                <Text kind="name" heading={2}>
                  {entry.name}
                </Text>
                <Text color="ink2">
                  {t('portsAtMostTraysOfSingle', {
                    ports: entry.ports.length,
                    trays: entry.trays.most,
                    single: entry.trays.single,
                    mass: entry.trays.mass,
                    source: entry.source,
                  })}
                </Text>
                <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
                  {isBuiltIn(entry) ? null : (
                    <Button
                      label={shared('editName', { name: entry.name })}
                      onPress={() => setOpen(entry.id)}
                    />
                  )}
                  <Button
                    label={shared('copyName', { name: entry.name })}
                    onPress={() => {
                      const copy = {
                        ...entry,
                        id: uuid(),
                        name: shared('nameCopy', { name: entry.name }),
                      };
                      void save(copy).then(() => setOpen(copy.id));
                    }}
                  />
                  <Button
                    label={t('exportName', { name: entry.name })}
                    onPress={() => exportJson(entry)}
                  />
                </View>
                {isBuiltIn(entry) ? null : (
                  <RemoveKeys removal={removal} item={removable('hardware', entry)} />
                )}
              </Card>
            ),
          )}
      </Grid>
      {problem ? (
        <Notice word={common('notImported')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
      <Button
        label={t('importAProfileJson')}
        icon="file-upload-outline"
        onPress={() => void bringIn()}
      />
      <ArchivedList
        removal={removal}
        items={hardware.filter(isArchived).map((entry) => removable('hardware', entry))}
      />
    </Page>
  );
}

/** Saves a profile; gives what is wrong in words, or nothing. */
async function save(hardware: Hardware | string): Promise<string> {
  if (typeof hardware === 'string') return hardware;
  const label = t('hardwareName', { name: hardware.name });
  const outcome = await outbox.add(commands.saveHardware, hardware, label);
  return 'refused' in outcome ? errorText(outcome.refused) : '';
}

/** Reads a profile from JSON; words that name the place where it is wrong otherwise. */
function readHardware(text: string): Hardware | string {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return t('thisIsNoJsonExportA');
  }
  const read = hardwareSchema.safeParse(json);
  if (!read.success) {
    const [issue] = read.error.issues;
    return `${issue!.path.join(', ')}: ${issueText(issue!)}`;
  }
  // A profile that ships stays as it is; what is imported under its id becomes one's own.
  return isBuiltIn(read.data) ? { ...read.data, id: uuid() } : read.data;
}

const exportJson = (hardware: Hardware): void =>
  saveFile(`${hardware.name}.json`, JSON.stringify(hardware, null, 2), 'application/json');

type LengthKey = 'tubeToTray' | 'window' | 'clamp' | 'hoseClamp' | 'bushingBelow';

const LENGTHS: [LengthKey, string][] = [
  ['tubeToTray', t('tubeKeptSheathToTray')],
  ['window', t('windowFromTheSheathEdge')],
  ['clamp', t('sheathEndBelowTheClamp')],
  ['hoseClamp', t('hoseClampBelowTheRingCut')],
  ['bushingBelow', t('bushingBelowADiameterOf')],
];

/** How many trays it takes, and how many sleeves a tray. */
const TRAYS: [keyof Hardware['trays'], string][] = [
  ['most', t('traysAtMost')],
  ['single', shared('singleSleevesATray')],
  ['mass', shared('ribbonSleevesATray')],
];

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const GROUPS = [
  ['sheath', t('sheathTakenOff'), { end: t('cutEnd'), express: 'express', drop: 'drop' }],
  [
    'keep',
    t('keptPastTheSheath'),
    {
      strength: t('strengthMember'),
      centralTube: t('centralTube'),
      aramid: 'aramid',
      ripcord: 'ripcord',
      dropTube: t('tubeOfADrop'),
    },
  ],
  ['basket', t('basket'), { width: 'width', length: 'length', depth: 'depth' }],
] as const;

/** What is wrong, with the port and the seal that it is of. */
function placedIssueText(issue: SchemaIssue): string {
  const place = portProblemOf(issue);
  if (!place) return `${issue.path.join(', ')}: ${issueText(issue)}`;
  return place.row === null
    ? t('portProblem', { port: place.port + 1, problem: place.text })
    : t('sealProblem', { port: place.port + 1, seal: place.row + 1, problem: place.text });
}

function portProblemOf(issue: SchemaIssue): PortProblem | null {
  const [list, port, rows, row] = issue.path;
  if (list !== 'ports' || typeof port !== 'number') return null;
  const isRow = rows === 'rows' && typeof row === 'number';
  return { port, row: isRow ? row : null, text: issueText(issue) };
}

function HardwareForm({ hardware, onDone }: { hardware: Hardware; onDone(): void }) {
  const { project } = useProjectView();
  const { units } = project;
  const { length: unit, pressure: gauge } = units;
  const [draft, setDraft] = useState(hardware);
  const saveMerged = useMergedSave(commands.saveHardware, hardware);
  const [portProblem, setPortProblem] = useState<PortProblem | null>(null);
  const [test, setTest] = useState(spellGauge(Math.round(hardware.testKpa * 1000), gauge));
  const [bolts, setBolts] = useState(hardware.bolts.join(', '));
  const [minutes, setMinutes] = useState(String(hardware.testMinutes));
  const [trays, setTrays] = useState({
    most: String(hardware.trays.most),
    single: String(hardware.trays.single),
    mass: String(hardware.trays.mass),
  });
  const [problem, setProblem] = useState('');
  const submit = async () => {
    const testPa = parseGauge(test, gauge);
    if (!testPa.ok)
      return setProblem(
        t('flashTestMeasureProblem', { measureProblem: measureProblemText(testPa.error, units) }),
      );
    const held = readNumber(minutes, 'small');
    if (!held.ok)
      return setProblem(
        t('pressureHeldMeasureProblem', { measureProblem: measureProblemText(held.error, units) }),
      );
    const typed = {
      ...draft,
      testMinutes: held.value,
      trays: Object.fromEntries(
        TRAYS.map(([key]) => [key, trays[key].trim() === '' ? null : Number(trays[key])]),
      ),
      testKpa: testPa.value / 1000,
      bolts: bolts.split(',').flatMap((bolt) => (bolt.trim() === '' ? [] : [Number(bolt)])),
    };
    const read = hardwareSchema.safeParse(typed);
    const issue = read.error?.issues[0];
    setPortProblem(issue ? portProblemOf(issue) : null);
    if (!read.success) return setProblem(placedIssueText(issue!));
    const outcome = await saveMerged(read.data, t('hardwareName', { name: read.data.name }));
    setProblem(outcome);
    if (outcome === '') onDone();
  };
  return (
    <Card style={{ gap: 12 }}>
      <TextField
        label={t('nameOfTheHardware')}
        value={draft.name}
        onChange={(name) => setDraft({ ...draft, name })}
      />
      <TextField
        label={shared('whereItsFiguresComeFrom')}
        value={draft.source}
        onChange={(source) => setDraft({ ...draft, source })}
      />
      {GROUPS.map(([key, title, parts]) => (
        <View key={key} style={{ gap: 6 }}>
          <Text kind="strong">{title}</Text>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
            {Object.entries(parts).map(([part, label]) => (
              <LengthField
                key={part}
                label={capital(label)}
                name={`${title}: ${label}`}
                value={(draft[key] as Record<string, number>)[part]!}
                unit={unit}
                most={200_000}
                onChange={(value) =>
                  setDraft({ ...draft, [key]: { ...draft[key], [part]: value } })
                }
              />
            ))}
          </View>
        </View>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        {LENGTHS.map(([key, label]) => (
          <LengthField
            key={key}
            label={label}
            value={draft[key]}
            unit={unit}
            most={200_000}
            onChange={(value) => setDraft({ ...draft, [key]: value })}
          />
        ))}
      </View>
      <View style={{ gap: 6 }}>
        <Text kind="strong">{common('trays')}</Text>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
          {TRAYS.map(([key, label]) => (
            <TextField
              key={key}
              label={label}
              value={trays[key]}
              onChange={(text) => setTrays({ ...trays, [key]: text })}
            />
          ))}
        </View>
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        <TextField
          label={t('pressureHeldMinutes')}
          hint={t('withTheGaugeReadAtThe')}
          value={minutes}
          onChange={setMinutes}
        />
        <TextField
          label={t('flashTestAtMost')}
          hint={t('suchAs5PsiOr34')}
          value={test}
          onChange={setTest}
        />
        <TextField
          label={t('boltsInTheirOrder')}
          hint={t('asTheyAreTightened14')}
          value={bolts}
          onChange={setBolts}
        />
      </View>
      <Text kind="strong">{t('portsAndSeals')}</Text>
      <Text color="ink2">{t('eachRangeBeginsWhereTheOne')}</Text>
      <PortsEditor
        ports={draft.ports}
        unit={unit}
        problem={portProblem}
        onChange={(ports) => setDraft({ ...draft, ports })}
      />
      <FormActions
        saveLabel={t('saveTheHardware')}
        closeLabel={shared('closeWithoutSaving')}
        problem={problem}
        problemWord={shared('notSaved')}
        onSave={() => void submit()}
        onClose={onDone}
      />
    </Card>
  );
}
