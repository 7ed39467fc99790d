import { useState } from 'react';
import { View } from 'react-native';
import { type Direction } from '@cordel/core';
import { fileRows as t } from '@cordel/text/pages/traces/FileRows';
import { tracesShared as shared } from '@cordel/text/pages/traces/shared';
import { common } from '@cordel/text/pages/common';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { useCircuitEnds } from '../queries';
import type { TraceImport, ImportedFile, OwnPlace } from './useTraceImport';

/** Rows shown of each kind; the rest is counted. */
const SHOWN = 12;

/** The preview: what is to be fixed first, then what is ready. */
export function FileRows({ flow }: { flow: TraceImport }) {
  const { files, ready, busy } = flow;
  const wrong = files.filter(({ state }) =>
    ['unreadable', 'placeUnclear', 'refused'].includes(state),
  );
  const same = files.filter(({ state }) => state === 'known' || state === 'twice');
  return (
    <View style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('filesReadyToFix', { files: files.length, ready: ready.length, wrong: wrong.length })}
      </Text>
      {same.length > 0 ? (
        <Text color="ink2">
          {t('filesLeftOutForTheSame', { files: same.length, names: names(same) })}
        </Text>
      ) : null}
      {wrong.slice(0, SHOWN).map((file) => (
        <WrongRow key={file.key} file={file} flow={flow} />
      ))}
      {wrong.length > SHOWN ? (
        <Text color="ink2">{t('andFilesMoreToFix', { files: wrong.length - SHOWN })}</Text>
      ) : null}
      {ready.length > 0 ? <ReadyTable files={ready} /> : null}
      {ready.length > 0 && !busy ? (
        <Button
          label={t('importTraces', { traces: ready.length })}
          look="next"
          onPress={() => void flow.send()}
        />
      ) : null}
      <Button label={t('clearThisList')} look="bare" icon="close" onPress={flow.clear} />
    </View>
  );
}

function names(files: readonly ImportedFile[]): string {
  const shown = files.slice(0, 3).map(({ name }) => name);
  return files.length > 3
    ? t('shownAndFilesMore', { shown: shown.join(', '), files: files.length - 3 })
    : shown.join(', ');
}

function ReadyTable({ files }: { files: readonly ImportedFile[] }) {
  const colors = useColors();
  const { cable } = useProjectView();
  const shown = [...files.slice(0, SHOWN - 2), ...files.slice(-2)].filter(
    (file, index, all) => all.indexOf(file) === index,
  );
  const left = files.length - shown.length;
  return (
    <View style={{ borderTopWidth: 2, borderColor: colors.ink }}>
      {shown.map(({ key, name, place }, index) => (
        <View key={key}>
          {left > 0 && index === shown.length - 2 ? (
            <Text color="ink2" style={{ paddingVertical: 4 }}>
              {t('leftMore', { left })}
            </Text>
          ) : null}
          <View
            style={{
              flexDirection: 'row',
              gap: 8,
              borderBottomWidth: 1,
              borderColor: colors.rule,
              paddingVertical: 4,
              flexWrap: 'wrap',
            }}
          >
            <Text kind="strong" style={{ minWidth: 170, flexGrow: 1 }}>
              {name}
            </Text>
            <Text>
              {t('nameFiberFromDirectionWavelengthNm', {
                name: cable(place!.cableId!)?.name ?? '?',
                fiber: place!.fiber ?? '?',
                direction: place!.direction === 'AB' ? 'A' : 'B',
                wavelengthNm: place!.wavelengthNm ?? '?',
              })}
            </Text>
          </View>
        </View>
      ))}
    </View>
  );
}

/** A file that does not fit, with what would put it right. */
function WrongRow({ file, flow }: { file: ImportedFile; flow: TraceImport }) {
  const colors = useColors();
  const [open, setOpen] = useState(false);
  return (
    <View style={{ borderLeftWidth: 6, borderColor: colors.accent, paddingLeft: 10, gap: 6 }}>
      <Text kind="strong">{file.name}</Text>
      <Text>{file.words}</Text>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        {file.state === 'placeUnclear' ? (
          <Button label={t('fixIt')} aria-expanded={open} onPress={() => setOpen(!open)} />
        ) : null}
        <Button label={t('leaveItOut')} onPress={() => flow.drop(file.key)} />
      </View>
      {open ? (
        <PlaceForm
          start={file.place}
          onSave={(place) => {
            flow.putRight(file.key, place);
            setOpen(false);
          }}
        />
      ) : null}
    </View>
  );
}

/** Where one trace belongs, typed. */
export function PlaceForm({
  start,
  onSave,
}: {
  start: OwnPlace | null;
  onSave(place: OwnPlace): void;
}) {
  const { project, cables } = useProjectView();
  const [cableId, setCable] = useState(start?.cableId ?? '');
  const [fiber, setFiber] = useState(start?.fiber ? String(start.fiber) : '');
  const [direction, setDirection] = useState<Direction | ''>(start?.direction ?? '');
  const [nm, setNm] = useState(start?.wavelengthNm ? String(start.wavelengthNm) : '');
  const number = Number(fiber);
  const wavelength = Number(nm);
  const ends = useCircuitEnds(project.id, cableId, number);
  const fits =
    cableId !== '' &&
    direction !== '' &&
    Number.isInteger(number) &&
    number > 0 &&
    wavelength >= 600 &&
    wavelength <= 1700;
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap', alignItems: 'center' }}>
        <Select
          label={common('cable')}
          value={cableId}
          wanting={cableId === ''}
          options={[
            { value: '', label: t('cable') },
            ...cables.map(({ id, name }) => ({ value: id, label: shared('cableName', { name }) })),
          ]}
          onChange={setCable}
        />
        <Select
          label={t('direction')}
          value={direction}
          wanting={direction === ''}
          options={[
            { value: '', label: t('shotFrom') },
            {
              value: 'AB',
              label: ends ? shared('fromPlace', { name: ends[0] }) : shared('fromEndA'),
            },
            {
              value: 'BA',
              label: ends ? shared('fromPlace', { name: ends[1] }) : shared('fromEndB'),
            },
          ]}
          onChange={(value) => setDirection(value as Direction)}
        />
      </View>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        <TextField label={common('fiber')} value={fiber} onChange={setFiber} />
        <TextField label={shared('wavelengthNm')} value={nm} onChange={setNm} />
      </View>
      <Button
        label={t('save')}
        look="next"
        disabled={!fits}
        onPress={() =>
          onSave({
            cableId,
            fiber: number,
            direction: direction as Direction,
            wavelengthNm: wavelength,
          })
        }
      />
    </View>
  );
}
