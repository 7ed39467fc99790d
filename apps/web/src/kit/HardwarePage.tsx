import { useState } from 'react';
import { View } from 'react-native';
import { HelperText, TextInput } from 'react-native-paper';
import { BUILT_IN_HARDWARE, type Hardware, hardwareSchema, readNumber, plural } from '@cordel/core';
import { parseGauge, spellGauge } from '@cordel/core/pressure';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { measureProblemText } from '@cordel/text/measure';
import { outbox } from '@/data/client';
import { LengthField } from '@/prep/LengthField';
import { useProjectView } from '@/projects/context';
import { ArchivedList } from '@/removal/ArchivedList';
import { RemovalNotice } from '@/removal/RemovalNotice';
import { RemoveKeys } from '@/removal/RemoveKeys';
import { removable } from '@/removal/removables';
import { useRemoval } from '@/removal/useRemoval';
import { Grid, GridRow } from '@/ui/Grid';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { TextField } from '@/ui/TextField';
import { Txt } from '@/ui/Txt';
import { pickFile } from '@/ui/pickFile';
import { saveFile } from '@/ui/saveFile';

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
    <Page title="Hardware" above={project.name} back={`/p/${project.id}/kit`}>
      <Notice>
        The sheet that comes with the hardware wins. Copy a profile, and set its figures by your
        sheet.
      </Notice>
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
              <Leaf key={entry.id} style={{ gap: 8 }}>
                <Txt kind="name" heading={2}>
                  {entry.name}
                </Txt>
                <Txt ink="ink2">{`${plural(entry.ports.length, 'port')}, at most ${plural(entry.trays.most, 'tray')} of ${entry.trays.single} single or ${entry.trays.mass} ribbon sleeves. ${entry.source}`}</Txt>
                <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
                  {isBuiltIn(entry) ? null : (
                    <Press label={`Edit ${entry.name}`} onPress={() => setOpen(entry.id)} />
                  )}
                  <Press
                    label={`Copy ${entry.name}`}
                    onPress={() => {
                      const copy = { ...entry, id: uuid(), name: `${entry.name}, copy` };
                      void save(copy).then(() => setOpen(copy.id));
                    }}
                  />
                  <Press label={`Export ${entry.name}`} onPress={() => exportJson(entry)} />
                </View>
                {isBuiltIn(entry) ? null : (
                  <RemoveKeys removal={removal} item={removable('hardware', entry)} />
                )}
              </Leaf>
            ),
          )}
      </Grid>
      {problem ? (
        <Notice word="Not imported." ink="accent" live>
          {problem}
        </Notice>
      ) : null}
      <Press
        label="Import a profile (JSON)"
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
  const label = `Hardware “${hardware.name}”`;
  const outcome = await outbox.add(commands.saveHardware, hardware, label);
  return 'refused' in outcome ? outcome.refused.message : '';
}

/** Reads a profile from JSON; words that name the place where it is wrong otherwise. */
function readHardware(text: string): Hardware | string {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return 'This is no JSON: export a profile to see what one looks like.';
  }
  const read = hardwareSchema.safeParse(json);
  if (!read.success) {
    const [issue] = read.error.issues;
    return `${issue!.path.join(', ')}: ${issue!.message}`;
  }
  // A profile that ships stays as it is; what is imported under its id becomes one's own.
  return isBuiltIn(read.data) ? { ...read.data, id: uuid() } : read.data;
}

const exportJson = (hardware: Hardware): void =>
  saveFile(`${hardware.name}.json`, JSON.stringify(hardware, null, 2), 'application/json');

type LengthKey = 'tubeToTray' | 'window' | 'clamp' | 'hoseClamp' | 'bushingBelow';

const LENGTHS: [LengthKey, string][] = [
  ['tubeToTray', 'Tube kept, sheath to tray'],
  ['window', 'Window from the sheath edge'],
  ['clamp', 'Sheath end below the clamp'],
  ['hoseClamp', 'Hose clamp below the ring cut'],
  ['bushingBelow', 'Bushing below a diameter of'],
];

/** How many trays it takes, and how many sleeves a tray. */
const TRAYS: [keyof Hardware['trays'], string][] = [
  ['most', 'Trays at most'],
  ['single', 'Single sleeves a tray'],
  ['mass', 'Ribbon sleeves a tray'],
];

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const GROUPS = [
  ['sheath', 'Sheath taken off', { end: 'cut end', express: 'express', drop: 'drop' }],
  [
    'keep',
    'Kept past the sheath',
    {
      strength: 'strength member',
      centralTube: 'central tube',
      aramid: 'aramid',
      ripcord: 'ripcord',
      dropTube: 'tube of a drop',
    },
  ],
  ['basket', 'Basket', { width: 'width', length: 'length', depth: 'depth' }],
] as const;

function HardwareForm({ hardware, onDone }: { hardware: Hardware; onDone(): void }) {
  const { project } = useProjectView();
  const { units } = project;
  const { length: unit, pressure: gauge } = units;
  const [draft, setDraft] = useState(hardware);
  const [ports, setPorts] = useState(() => JSON.stringify(hardware.ports, null, 1));
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
    if (!testPa.ok) return setProblem(`Flash test: ${measureProblemText(testPa.error, units)}`);
    const held = readNumber(minutes, 'small');
    if (!held.ok) return setProblem(`Pressure held: ${measureProblemText(held.error, units)}`);
    const typed = {
      ...draft,
      testMinutes: held.value,
      trays: Object.fromEntries(
        TRAYS.map(([key]) => [key, trays[key].trim() === '' ? null : Number(trays[key])]),
      ),
      testKpa: testPa.value / 1000,
      bolts: bolts.split(',').flatMap((bolt) => (bolt.trim() === '' ? [] : [Number(bolt)])),
      ports: undefined,
    };
    const outcome = await save(readHardware(`{"ports":${ports},${JSON.stringify(typed).slice(1)}`));
    setProblem(outcome);
    if (outcome === '') onDone();
  };
  return (
    <Leaf style={{ gap: 12 }}>
      <TextField
        label="Name of the hardware"
        value={draft.name}
        onChange={(name) => setDraft({ ...draft, name })}
      />
      <TextField
        label="Where its figures come from"
        value={draft.source}
        onChange={(source) => setDraft({ ...draft, source })}
      />
      {GROUPS.map(([key, title, parts]) => (
        <View key={key} style={{ gap: 6 }}>
          <Txt kind="strong">{title}</Txt>
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
        <Txt kind="strong">Trays</Txt>
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
          label="Pressure held, minutes"
          hint="With the gauge read at the end; 0 where soapy water alone decides"
          value={minutes}
          onChange={setMinutes}
        />
        <TextField
          label="Flash test at most"
          hint="Such as 5 psi or 34.5 kPa; 0 where it is not tested"
          value={test}
          onChange={setTest}
        />
        <TextField
          label="Bolts in their order"
          hint="As they are tightened: 1, 4, 2, 5, 3, 6; none where there are none"
          value={bolts}
          onChange={setBolts}
        />
      </View>
      <TextInput
        mode="outlined"
        multiline
        label="Ports and seals"
        aria-label="Ports and seals"
        value={ports}
        onChangeText={setPorts}
        style={{ minHeight: 200 }}
        outlineStyle={{ borderWidth: 2 }}
      />
      <HelperText type="info" visible padding="none" style={{ fontSize: 14 }}>
        JSON; diameters in tenths of a millimeter. Ranges follow each other without gap or overlap.
      </HelperText>
      {problem ? (
        <Notice word="Not saved." ink="accent" live>
          {problem}
        </Notice>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Press label="Save the hardware" look="next" onPress={() => void submit()} />
        <Press label="Close without saving" onPress={onDone} />
      </View>
    </Leaf>
  );
}
