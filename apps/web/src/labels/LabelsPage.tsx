import { useLocalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  LABEL_KINDS,
  LABEL_SHEETS,
  type WordedLabel,
  type LabelKind,
  labelSvg,
  labelTask,
  labelsOf,
  shortCode,
} from '@cordel/core/close';
import { wordedLabel } from '@cordel/text/close';
import { common } from '@cordel/text/pages/common';
import { labelsPage as t } from '@cordel/text/pages/labels/LabelsPage';
import { useWork } from '@/data/queries';
import { usePersisted } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { Card } from '@/ui/Card';
import { Empty, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { saveFile } from '@/ui/saveFile';
import { savePng } from './savePng';

const WORDS: Record<LabelKind, string> = {
  closure: common('closure'),
  tray: common('trays'),
  cable: common('cables'),
};

/** Chosen in place of a closure: sheets of all of them. */
const ALL = 'all';

/** Labels of a closure with a code that opens it: on sheets, or one by one. */
export function LabelsPage() {
  const { closure: wanted } = useLocalSearchParams<{ closure?: string }>();
  const { project, closures, cables, devices, assemblies } = useProjectView();
  const wide = useWide();
  const [chosen, setChosen] = useState(wanted ?? closures[0]?.id ?? '');
  const [kinds, setKinds] = useState<readonly LabelKind[]>(LABEL_KINDS);
  const usual = LABEL_SHEETS.find(({ paper }) => paper === project.units.paper) ?? LABEL_SHEETS[0]!;
  // Sheets on hand are a matter of the device; until one is chosen, those of the project's paper.
  const [sheetId, setSheet] = usePersisted('cordel.labels.sheet', '');
  const [skip, setSkip] = useState('');
  const work = useWork(chosen === ALL ? '' : chosen);
  const closure = closures.find(({ id }) => id === chosen);
  const sheet = LABEL_SHEETS.find(({ id }) => id === sheetId) ?? usual;
  const labels = useMemo(() => {
    if (!closure || !work.data) return null;
    const assembly = assemblies.find(({ closureId }) => closureId === closure.id) ?? null;
    const { origin } = window.location;
    return labelsOf(
      labelTask(origin, project, closure, work.data.splices, assembly, [...cables, ...devices]),
      kinds,
    ).map((label) => wordedLabel(label, project.units));
  }, [closure, work.data, assemblies, project, cables, devices, kinds]);
  const isAll = chosen === ALL;
  const printAt = `/api/projects/${project.id}/labels.pdf?${new URLSearchParams({
    ...(isAll ? {} : { closure: chosen }),
    kinds: kinds.join(','),
    sheet: sheet.id,
    skip: String(Number(skip) || 0),
    origin: window.location.origin,
  })}`;
  if (closures.length === 0)
    return (
      <Page title={common('labels')} above={project.name} back={`/p/${project.id}/kit`}>
        <Empty title={t('noClosuresYet')}>{t('importASpliceListOrAdd')}</Empty>
      </Page>
    );
  const turn = (kind: LabelKind) =>
    setKinds(
      LABEL_KINDS.filter((one) => (one === kind ? !kinds.includes(one) : kinds.includes(one))),
    );
  return (
    <Page title={common('labels')} above={project.name} back={`/p/${project.id}/kit`}>
      <Card style={{ gap: 12 }}>
        <Select
          label={common('closure')}
          value={chosen}
          options={[
            { value: ALL, label: t('allClosures', { closures: closures.length }) },
            ...closures.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={setChosen}
        />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {LABEL_KINDS.map((kind) => (
            <Button
              key={kind}
              role="checkbox"
              aria-checked={kinds.includes(kind)}
              label={WORDS[kind]}
              look={kinds.includes(kind) ? 'dark' : 'plain'}
              onPress={() => turn(kind)}
            />
          ))}
        </View>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'center' }}>
          <Select
            label={t('sheet')}
            value={sheet.id}
            options={LABEL_SHEETS.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setSheet}
          />
          <TextField
            label={t('labelsUsedAlready')}
            hint={t('onASheetThatWasBegun')}
            value={skip}
            onChange={setSkip}
          />
        </View>
        <Button
          label={
            isAll
              ? t('sheetsOfAllPdf', { closures: closures.length })
              : t('sheetOfLabelsPdf', { labels: labels?.length ?? 0 })
          }
          look="next"
          icon="printer-outline"
          disabled={kinds.length === 0 || (!isAll && (!labels || labels.length === 0))}
          onPress={() => window.open(printAt, '_blank')}
        />
        <Text color="ink2">
          {isAll ? t('oneCodeEach') : t('printAt100OnPlainPaper', { shortCode: shortCode(chosen) })}
        </Text>
      </Card>
      {isAll ? null : labels ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
          {labels.map((label) => (
            <View key={`${label.kind} ${label.title}`} style={{ width: wide ? '32%' : '100%' }}>
              <LabelLeaf label={label} sheet={sheet} />
            </View>
          ))}
        </View>
      ) : (
        <Waiting error={work.error} />
      )}
    </Page>
  );
}

function LabelLeaf({ label, sheet }: { label: WordedLabel; sheet: (typeof LABEL_SHEETS)[number] }) {
  const colors = useColors();
  const svg = useMemo(() => labelSvg(label, sheet), [label, sheet]);
  const name = `${label.code}-${label.title.toLowerCase().replace(/[^a-z0-9]+/g, '-')}`;
  return (
    <View style={{ gap: 6 }}>
      <img
        alt={t('titleLinesCode', {
          title: label.title,
          lines: label.lines.join(', '),
          code: label.code,
        })}
        src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`}
        style={{ width: '100%', border: `1px solid ${colors.ink}`, boxSizing: 'border-box' }}
      />
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button
          label={t('svgOfTitle', { title: label.title })}
          textSize={15}
          onPress={() => saveFile(`${name}.svg`, svg, 'image/svg+xml')}
        />
        <Button
          label={t('pngOfTitle', { title: label.title })}
          textSize={15}
          onPress={() => void savePng(`${name}.png`, svg, sheet)}
        />
      </View>
    </View>
  );
}
