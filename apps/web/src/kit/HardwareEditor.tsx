import { useState } from 'react';
import { View } from 'react-native';
import {
  HARDWARE_FORMS,
  type Hardware,
  type HardwareForm,
  type SchemaIssue,
  formatTorque,
  genericProcedure,
  hardwareSchema,
  parseTorque,
  readNumber,
} from '@cordel/core';
import { parseGauge, spellGauge } from '@cordel/core/pressure';
import { commands } from '@cordel/client';
import { measureProblemText, torqueProblemText } from '@cordel/text/measure';
import { hardwareFormText } from '@cordel/text/prep';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { hardwarePage as t } from '@cordel/text/pages/kit/HardwarePage';
import { common } from '@cordel/text/pages/common';
import { issueText } from '@cordel/text/record';
import { useMergedSave } from '@/data/useMergedSave';
import { LengthField } from '@/prep/LengthField';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Field';
import { FormActions } from '@/ui/FormActions';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { PartsEditor } from './PartsEditor';
import { type PortProblem, PortsEditor } from './PortsEditor';
import { ProcedureEditor, type StepProblem } from './ProcedureEditor';
import { ProcedurePreview } from './ProcedurePreview';

type LengthKey = 'access' | 'tubeToTray' | 'window' | 'clamp' | 'hoseClamp' | 'bushingBelow';

const LENGTHS: [LengthKey, string][] = [
  ['access', t('cutThatGivesHoldOfTheRipcord')],
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
      strengthAtFirst: t('strengthMemberAtFirst'),
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
  const step = stepProblemOf(issue);
  if (step)
    return step.step < 0
      ? step.text
      : t('stepProblem', { list: step.list, step: step.step + 1, problem: step.text });
  const place = portProblemOf(issue);
  if (!place) return `${issue.path.join(', ')}: ${issueText(issue)}`;
  return place.row === null
    ? t('portProblem', { port: place.port + 1, problem: place.text })
    : t('sealProblem', { port: place.port + 1, seal: place.row + 1, problem: place.text });
}

function stepProblemOf(issue: SchemaIssue): StepProblem | null {
  const [part, list, step] = issue.path;
  if (part !== 'procedure' || (list !== 'opening' && list !== 'closing')) return null;
  return { list, step: typeof step === 'number' ? step : -1, text: issueText(issue) };
}

function portProblemOf(issue: SchemaIssue): PortProblem | null {
  const [list, port, rows, row] = issue.path;
  if (list !== 'ports' || typeof port !== 'number') return null;
  const isRow = rows === 'rows' && typeof row === 'number';
  return { port, row: isRow ? row : null, text: issueText(issue) };
}

/** Everything of a profile, in the units of the project. */
export function HardwareEditor({ hardware, onDone }: { hardware: Hardware; onDone(): void }) {
  const { project } = useProjectView();
  const { units } = project;
  const { length: unit, pressure: gauge } = units;
  const [draft, setDraft] = useState(hardware);
  const saveMerged = useMergedSave(commands.saveHardware, hardware);
  const [portProblem, setPortProblem] = useState<PortProblem | null>(null);
  const [test, setTest] = useState(
    hardware.testKpa === null ? '' : spellGauge(Math.round(hardware.testKpa * 1000), gauge),
  );
  const [torque, setTorque] = useState(
    hardware.torqueMilliNm === null ? '' : formatTorque(hardware.torqueMilliNm, unit),
  );
  const [isPreview, setIsPreview] = useState(false);
  const [stepProblem, setStepProblem] = useState<StepProblem | null>(null);
  const [bolts, setBolts] = useState(hardware.bolts.join(', '));
  const [minutes, setMinutes] = useState(String(hardware.testMinutes));
  const [trays, setTrays] = useState({
    most: String(hardware.trays.most),
    single: String(hardware.trays.single),
    mass: String(hardware.trays.mass),
  });
  const [problem, setProblem] = useState('');
  const submit = async () => {
    const testPa = test.trim() === '' ? null : parseGauge(test, gauge);
    if (testPa && !testPa.ok)
      return setProblem(
        t('flashTestMeasureProblem', { measureProblem: measureProblemText(testPa.error, units) }),
      );
    const held = readNumber(minutes, 'small');
    if (!held.ok)
      return setProblem(
        t('pressureHeldMeasureProblem', { measureProblem: measureProblemText(held.error, units) }),
      );
    const turning = torque.trim() === '' ? null : parseTorque(torque);
    if (turning && !turning.ok)
      return setProblem(t('torqueProblem', { problem: torqueProblemText(turning.error) }));
    const typed = {
      ...draft,
      torqueMilliNm: turning?.value ?? null,
      testMinutes: held.value,
      trays: Object.fromEntries(
        TRAYS.map(([key]) => [key, trays[key].trim() === '' ? null : Number(trays[key])]),
      ),
      testKpa: testPa ? testPa.value / 1000 : null,
      bolts: bolts.split(',').flatMap((bolt) => (bolt.trim() === '' ? [] : [Number(bolt)])),
    };
    const read = hardwareSchema.safeParse(typed);
    const issue = read.error?.issues[0];
    setPortProblem(issue ? portProblemOf(issue) : null);
    setStepProblem(issue ? stepProblemOf(issue) : null);
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
      <Choice<HardwareForm>
        label={t('form')}
        value={draft.form}
        options={HARDWARE_FORMS.map((value) => ({ value, label: hardwareFormText(value) }))}
        onChange={(form) => setDraft({ ...draft, form })}
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
        <TextField
          label={t('torqueOfTheBolts')}
          hint={t('suchAs28NMOr25')}
          value={torque}
          onChange={setTorque}
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
      <PartsEditor parts={draft.parts} onChange={(parts) => setDraft({ ...draft, parts })} />
      <Choice<Hardware['sleeve']>
        label={t('sleevesThatItsTraysHold')}
        value={draft.sleeve}
        options={(['60 mm', '40 mm'] as const).map((value) => ({ value, label: value }))}
        onChange={(sleeve) => setDraft({ ...draft, sleeve })}
      />
      <Text kind="strong">{t('procedure')}</Text>
      {draft.procedure === null ? (
        <>
          <Text color="ink2">
            {t('workedOnAsItsFormIs', { form: hardwareFormText(draft.form) })}
          </Text>
          <Button
            label={t('makeItYourOwnProcedure')}
            onPress={() => setDraft({ ...draft, procedure: genericProcedure(draft.form) })}
            style={{ alignSelf: 'flex-start' }}
          />
        </>
      ) : (
        <>
          <ProcedureEditor
            procedure={draft.procedure}
            problem={stepProblem}
            onChange={(procedure) => {
              setStepProblem(null);
              setDraft({ ...draft, procedure });
            }}
          />
          <Button
            label={t('backToTheGenericProcedure')}
            onPress={() => setDraft({ ...draft, procedure: null })}
            style={{ alignSelf: 'flex-start' }}
          />
        </>
      )}
      <Button
        label={isPreview ? t('closeThePreview') : t('preview')}
        aria-expanded={isPreview}
        onPress={() => setIsPreview(!isPreview)}
        style={{ alignSelf: 'flex-start' }}
      />
      {isPreview ? <ProcedurePreview hardware={draft} /> : null}
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
