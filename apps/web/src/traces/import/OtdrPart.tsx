import { useRef, useState } from 'react';
import { View } from 'react-native';
import { type Direction, fiberCount } from '@cordel/core';
import { answerOf } from '@cordel/client';
import { otdrPart as t } from '@cordel/text/pages/traces/OtdrPart';
import { tracesShared as shared } from '@cordel/text/pages/traces/shared';
import { common } from '@cordel/text/pages/common';
import { errorText } from '@cordel/text/record';
import { api } from '@/data/api';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { useCircuitEnds } from '../queries';

const WAVELENGTHS = [1310, 1490, 1550, 1625] as const;
const FAULTS = [
  'launchFiberIncluded',
  'wrongGroupIndex',
  'rangeTooShort',
  'unplugged',
  'brokenHalfway',
] as const;

/** A set of keys of which any number may be down. */
function Toggles<Key extends string | number>({
  label,
  all,
  on,
  wordOf = String,
  onChange,
}: {
  label: string;
  all: readonly Key[];
  on: readonly Key[];
  wordOf?(key: Key): string;
  onChange(keys: Key[]): void;
}) {
  return (
    <View role="group" aria-label={label} style={{ gap: 6 }}>
      <Text color="ink2">{label}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {all.map((key) => (
          <Button
            key={key}
            label={wordOf(key)}
            look={on.includes(key) ? 'dark' : 'plain'}
            aria-pressed={on.includes(key)}
            onPress={() =>
              onChange(on.includes(key) ? on.filter((other) => other !== key) : [...on, key])
            }
          />
        ))}
      </View>
    </View>
  );
}

/** Fibers as they are typed: 1-12, 17. */
function fibersOf(text: string, most: number): number[] | null {
  const fibers = new Set<number>();
  for (const part of text.split(/[\s,;]+/).filter(Boolean)) {
    const range = /^(\d+)(?:-(\d+))?$/.exec(part);
    const [first, last] = [Number(range?.[1]), Number(range?.[2] ?? range?.[1])];
    if (!range || first < 1 || last < first || last > most) return null;
    for (let fiber = first; fiber <= last; fiber++) fibers.add(fiber);
  }
  return fibers.size > 0 ? [...fibers] : null;
}

/** Shoots circuits with the simulated OTDR; its files come in like any others. */
export function OtdrPart({
  add,
  isOnReel,
  disabled,
}: {
  add(files: File[]): Promise<void>;
  /** The cable is on its reel yet. */
  isOnReel: boolean;
  disabled: boolean;
}) {
  const { project, cables } = useProjectView();
  const [cableId, setCable] = useState(cables[0]?.id ?? '');
  const [text, setText] = useState('1-12');
  const [directions, setDirections] = useState<Direction[]>(['AB', 'BA']);
  const [wavelengths, setWavelengths] = useState<(typeof WAVELENGTHS)[number][]>([1310, 1550]);
  const [pulse, setPulse] = useState('100');
  const [averages, setAverages] = useState('8192');
  const [faults, setFaults] = useState<(typeof FAULTS)[number][]>([]);
  const [progress, setProgress] = useState('');
  const [problem, setProblem] = useState('');
  const stopped = useRef(false);
  const cable = cables.find(({ id }) => id === cableId);
  const most = cable ? fiberCount(cable.makeUp) : 0;
  const fibers = fibersOf(text, most);
  const ends = useCircuitEnds(project.id, cableId, fibers?.[0] ?? 0);
  const shoot = async () => {
    setProblem('');
    stopped.current = false;
    const tasks = (fibers ?? []).flatMap((fiber) =>
      directions.flatMap((direction) =>
        wavelengths.map((wavelengthNm) => ({ fiber, direction, wavelengthNm })),
      ),
    );
    const files: File[] = [];
    try {
      for (const task of tasks) {
        if (stopped.current) break;
        setProgress(t('shootingFilesOfTasks', { files: files.length + 1, tasks: tasks.length }));
        const shot = await answerOf(
          api.POST('/api/projects/{projectId}/standin/otdr', {
            params: { path: { projectId: project.id } },
            body: {
              cableId,
              ...task,
              pulseNs: Number(pulse),
              averages: Number(averages),
              isOnReel,
              faults,
            },
          }),
        );
        const bytes = Uint8Array.from(atob(shot.bytes), (letter) => letter.charCodeAt(0));
        files.push(new File([bytes], shot.name));
      }
    } catch (error) {
      setProblem(errorText(error as Error));
    }
    setProgress('');
    if (files.length > 0) await add(files);
  };
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {shared('simulatedOtdr')}
      </Text>
      <Notice word={t('laserLight')}>{t('aRealOtdrSendsInvisibleLight')}</Notice>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap', alignItems: 'center' }}>
        <Select
          label={t('cableToShoot')}
          value={cableId}
          options={cables.map(({ id, name }) => ({
            value: id,
            label: shared('cableName', { name }),
          }))}
          onChange={setCable}
        />
        <TextField
          label={common('fibers')}
          value={text}
          hint={fibers ? t('ofMost', { most }) : t('suchAs11217At', { most })}
          onChange={setText}
        />
      </View>
      <Toggles
        label={common('from')}
        all={['AB', 'BA'] as const}
        on={directions}
        wordOf={(key) => ends?.[key === 'AB' ? 0 : 1] ?? shared(key === 'AB' ? 'endA' : 'endB')}
        onChange={setDirections}
      />
      <Toggles
        label={t('wavelengthsNm')}
        all={WAVELENGTHS}
        on={wavelengths}
        onChange={setWavelengths}
      />
      <Choice
        label={t('pulseNsShortTellsCloseEvents')}
        value={pulse}
        options={['30', '100', '300', '1000'].map((value) => ({ value, label: value }))}
        onChange={setPulse}
      />
      <Choice
        label={t('averagesFourTimesAsManyHalf')}
        value={averages}
        options={['512', '2048', '8192', '32768'].map((value) => ({ value, label: value }))}
        onChange={setAverages}
      />
      <Toggles
        label={t('faultsToSimulate')}
        all={FAULTS}
        on={faults}
        wordOf={t}
        onChange={setFaults}
      />
      {problem ? (
        <Notice word={t('notShot')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
      {progress ? (
        <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
          <Text kind="strong" aria-live="polite">
            {progress}
          </Text>
          <Button label={common('stop')} onPress={() => (stopped.current = true)} />
        </View>
      ) : (
        <Button
          label={t('shoot')}
          look="next"
          disabled={disabled || !fibers || directions.length === 0 || wavelengths.length === 0}
          onPress={() => void shoot()}
        />
      )}
    </Card>
  );
}
