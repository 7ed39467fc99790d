import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import {
  CONNECTORS,
  type Cable,
  type MakeUp,
  POLISHES,
  type Ports,
  SPLITTER_OUTPUTS,
  type Splitter,
  USUAL_GLASS,
  USUAL_RUN,
  cableNameSchema,
  formatLoss,
  makeUpSchema,
  parseLoss,
  splitterLossMdb,
} from '@cordel/core';
import { lossProblemText } from '@cordel/text/measure';
import { common } from '@cordel/text/pages/common';
import { devicesPart as t } from '@cordel/text/pages/plan/DevicesPart';
import { issueText } from '@cordel/text/record';
import { useMergedSave } from '@/data/useMergedSave';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { TextField } from '@/ui/TextField';

export type DeviceKind = 'splitter' | 'ports';

interface DeviceFormProps {
  closureId: string;
  /** What is added, where it is new. */
  kind?: DeviceKind;
  device?: Cable;
  onDone(): void;
}

/** Pigtails of a device are in tight buffers. */
const PIGTAILS: Cable['glass'] = { ...USUAL_GLASS, coating: 900 };

/** A splitter or ports: its name and what it is, by thumb but for the name. */
export function DeviceForm({ closureId, kind = 'ports', device, onDone }: DeviceFormProps) {
  const { project, cables, devices, closures } = useProjectView();
  const made = device?.makeUp;
  const isSplitter = made ? made.kind === 'splitter' : kind === 'splitter';
  const [name, setName] = useState(device?.name ?? firstFree(isSplitter ? 'SP' : 'T', devices));
  const [ports, setPorts] = useState(made?.kind === 'ports' ? made : NEW_PORTS);
  const [count, setCount] = useState(String(ports.ports));
  const [splitter, setSplitter] = useState(made?.kind === 'splitter' ? made : NEW_SPLITTER);
  const [tap, setTap] = useState(String(splitter.tapPercent ?? 10));
  const [loss, setLoss] = useState(
    splitter.lossMdb === undefined ? '' : formatLoss(splitter.lossMdb),
  );
  const [problem, setProblem] = useState('');
  const saveMerged = useMergedSave(commands.saveCable, device);
  const read = (): MakeUp | string => {
    if (!isSplitter) {
      if (!/^\d+$/.test(count.trim())) return t('portsWrong');
      return checked({ ...ports, ports: Number(count) });
    }
    const { lossMdb: _loss, tapPercent, ...rest } = splitter;
    const typed = loss.trim() === '' ? null : parseLoss(loss, 30_000);
    if (typed && !typed.ok) return lossProblemText(typed.error);
    if (tapPercent !== undefined && !/^\d+$/.test(tap.trim())) return t('tapWrong');
    return checked({
      ...rest,
      ...(typed && { lossMdb: typed.value }),
      ...(tapPercent !== undefined && { tapPercent: Number(tap) }),
    });
  };
  const save = async () => {
    const named = cableNameSchema.safeParse(name);
    const makeUp = read();
    if (!named.success) return setProblem(t('nameMissing'));
    if (typeof makeUp === 'string') return setProblem(makeUp);
    const taken = [...cables, ...devices].some(
      (other) => other.id !== device?.id && other.name.toLowerCase() === named.data.toLowerCase(),
    );
    if (taken) return setProblem(t('nameTaken', { name: named.data }));
    const closure = closures.find(({ id }) => id === closureId)?.name ?? '';
    const refused = await saveMerged(
      {
        id: device?.id ?? uuid(),
        projectId: project.id,
        name: named.data,
        makeUp,
        closureId,
        schemeId: device?.schemeId ?? project.schemeId,
        glass: device?.glass ?? PIGTAILS,
        run: device?.run ?? USUAL_RUN,
      },
      t('saved', { name: named.data, closure }),
    );
    setProblem(refused);
    if (refused === '') onDone();
  };
  return (
    <View style={{ gap: 12 }}>
      <TextField label={t('name')} value={name} onChange={setName} />
      {isSplitter ? (
        <SplitterFields
          splitter={splitter}
          onChange={setSplitter}
          tap={tap}
          onTap={setTap}
          loss={loss}
          onLoss={setLoss}
        />
      ) : (
        <PortFields ports={ports} onChange={setPorts} count={count} onCount={setCount} />
      )}
      {problem ? <Notice live>{problem}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button label={t('save')} look="next" onPress={() => void save()} style={{ flex: 1 }} />
        <Button label={common('close')} onPress={onDone} />
      </View>
    </View>
  );
}

const NEW_PORTS: Ports = {
  kind: 'ports',
  place: 'terminal',
  ports: 8,
  connector: 'SC',
  polish: 'APC',
};
const NEW_SPLITTER: Splitter = { kind: 'splitter', outputs: 8 };

function checked(draft: MakeUp): MakeUp | string {
  const read = makeUpSchema.safeParse(draft);
  return read.success ? read.data : issueText(read.error.issues[0]!);
}

/** The first name of a row that no device has: T1, T2. */
function firstFree(letters: string, devices: readonly Cable[]): string {
  const taken = new Set(devices.map(({ name }) => name));
  for (let number = 1; ; number++)
    if (!taken.has(`${letters}${number}`)) return `${letters}${number}`;
}

function PortFields({
  ports,
  onChange,
  count,
  onCount,
}: {
  ports: Ports;
  onChange(ports: Ports): void;
  count: string;
  onCount(count: string): void;
}) {
  return (
    <>
      <Choice<Ports['place']>
        label={t('place')}
        value={ports.place}
        options={[
          { value: 'terminal', label: t('terminal') },
          { value: 'panel', label: t('panel') },
          { value: 'module', label: t('module') },
        ]}
        onChange={(place) => onChange({ ...ports, place })}
      />
      <TextField label={t('ports')} value={count} numeric onChange={onCount} />
      <Choice<Ports['connector']>
        label={t('connector')}
        value={ports.connector}
        options={CONNECTORS.map((value) => ({ value, label: value }))}
        onChange={(connector) => onChange({ ...ports, connector })}
      />
      <Choice<Ports['polish']>
        label={t('polish')}
        value={ports.polish}
        options={POLISHES.map((value) => ({ value, label: value }))}
        onChange={(polish) => onChange({ ...ports, polish })}
      />
    </>
  );
}

interface SplitterFieldsProps {
  splitter: Splitter;
  onChange(splitter: Splitter): void;
  tap: string;
  onTap(tap: string): void;
  loss: string;
  onLoss(loss: string): void;
}

function SplitterFields({ splitter, onChange, tap, onTap, loss, onLoss }: SplitterFieldsProps) {
  const isTap = splitter.tapPercent !== undefined;
  const usual = { ...splitter, lossMdb: undefined };
  const options = [
    ...SPLITTER_OUTPUTS.map((outputs) => ({ value: String(outputs), label: `1:${outputs}` })),
    { value: 'tap', label: t('tap') },
  ];
  return (
    <>
      <Choice
        label={t('kindOfSplitter')}
        value={isTap ? 'tap' : String(splitter.outputs)}
        options={options}
        onChange={(value) =>
          onChange(
            value === 'tap'
              ? { kind: 'splitter', outputs: 2, tapPercent: 10 }
              : { kind: 'splitter', outputs: Number(value) },
          )
        }
      />
      {isTap ? (
        <TextField label={t('tapPercent')} unit="%" value={tap} numeric onChange={onTap} />
      ) : null}
      <TextField
        label={t('lossBySheet')}
        unit="dB"
        numeric
        value={loss}
        hint={
          isTap
            ? t('lossTap', { loss: '0.49' })
            : t('lossUsual', {
                loss: formatLoss(splitterLossMdb(usual, 1)),
                outputs: splitter.outputs,
              })
        }
        onChange={onLoss}
      />
    </>
  );
}
