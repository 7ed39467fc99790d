import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import {
  COLUMN_TITLES,
  LIST_COLUMNS,
  OPTIONAL_COLUMNS,
  type ListColumn,
  type Method,
  unmatchedColumns,
} from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import { listNoteText } from '@cordel/text/files';
import { importPage as t } from '@cordel/text/pages/splices/ImportPage';
import { common } from '@cordel/text/pages/common';
import { MakeUpForm } from '@/kit/MakeUpForm';
import { readMakeUp } from '@/kit/typedMakeUp';
import { useProjectView } from '@/projects/context';
import { ColumnSelect } from '@/ui/ColumnSelect';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { PreviewPart } from './PreviewPart';
import { SameNamesPart } from './SameNamesPart';
import { type Import, useImport } from './useImport';

const EXAMPLE =
  'closure,tray,slot,cable A,fiber A,cable B,fiber B,method\nMill bend,1,1,A,1,B,1,single\nMill bend,1,2,A,tube 1 orange,B,2,single\nMill bend,1,3,A,1/3,B,3,single';

/** Imports a splice list: file, columns, cables, problems, and then all of it or nothing. */
export function ImportPage() {
  const { project } = useProjectView();
  const router = useRouter();
  const flow = useImport();
  return (
    <Page
      title={common('importASpliceList')}
      above={project.name}
      back={`/p/${project.id}/kit`}
      needs="decide"
    >
      <FilePart flow={flow} />
      {flow.file ? <ColumnPart flow={flow} /> : null}
      {flow.file && !flow.result ? <SameNamesPart names={flow.names} /> : null}
      {flow.file && flow.newCables.length > 0 ? <CablePart flow={flow} /> : null}
      {flow.preview ? <PreviewPart flow={flow} /> : null}
      {flow.result ? (
        <Card style={{ gap: 10 }}>
          <Notice word={common('imported')} color="green" live>
            {t('splicesNewClosuresNewCables', {
              splices: flow.result.splices,
              newClosures: flow.result.closures,
              newCables: flow.result.cables,
            })}
          </Notice>
          <Button
            label={t('seeTheRoute')}
            look="next"
            onPress={() => router.replace(`/p/${project.id}/route` as never)}
          />
          <Button
            label={t('setDistancesOfClosures')}
            onPress={() => router.push(`/p/${project.id}/kit/closures` as never)}
          />
        </Card>
      ) : null}
    </Page>
  );
}

const NEEDED = LIST_COLUMNS.filter((column) => !OPTIONAL_COLUMNS.includes(column));
const titlesOf = (columns: readonly ListColumn[]) =>
  columns.map((column) => COLUMN_TITLES[column]).join(', ');

function FilePart({ flow }: { flow: Import }) {
  return (
    <View style={{ gap: 10 }}>
      <Text>
        {t('aListCsvOrXlsxWith', {
          needed: titlesOf(NEEDED),
          optional: titlesOf(OPTIONAL_COLUMNS),
        })}
      </Text>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        <Button
          label={common('chooseAFile')}
          icon="file-upload-outline"
          look={flow.file ? 'plain' : 'next'}
          onPress={() => void flow.choose()}
        />
        <Button label={t('pasteOrType')} icon="clipboard-text-outline" onPress={flow.showPaste} />
        <Button label={t('example')} onPress={() => flow.paste(EXAMPLE)} />
      </View>
      {flow.pasted === null ? null : (
        <>
          <TextInput
            mode="outlined"
            multiline
            label={t('spliceList')}
            aria-label={t('spliceList')}
            value={flow.pasted}
            onChangeText={flow.paste}
            style={{ minHeight: 160 }}
          />
          <Button label={t('readIt')} look="next" onPress={() => void flow.readPasted()} />
        </>
      )}
      {flow.busy ? <Notice live>{flow.busy}</Notice> : null}
      {flow.error && !flow.preview ? (
        <Notice word={common('notRead')} color="accent" live>
          {flow.error}
        </Notice>
      ) : null}
      {flow.file ? (
        <Text kind="strong">{t('nameRows', { name: flow.file.name, rows: flow.file.rows })}</Text>
      ) : null}
    </View>
  );
}

function ColumnPart({ flow }: { flow: Import }) {
  const { file, match } = flow;
  const [opened, setOpened] = useState(false);
  if (!file || !match) return null;
  const unmatched = unmatchedColumns(match);
  const matched = LIST_COLUMNS.filter((column) => match[column] !== null).length;
  const open = opened || unmatched.length > 0;
  return (
    <Card style={{ gap: 10 }}>
      <Text kind="name" heading={2}>
        {t('columns')}
      </Text>
      {file.notes.map((note) => (
        <Notice key={note.code}>{listNoteText(note)}</Notice>
      ))}
      {file.titlesRow > 1 ? (
        <Notice>{t('theTitlesAreInRowWhat', { titlesRow: file.titlesRow })}</Notice>
      ) : null}
      {file.sheets.length > 1 ? (
        <Choice
          label={t('sheet')}
          value={file.sheet}
          options={file.sheets.map((sheet) => ({ value: sheet, label: sheet }))}
          onChange={flow.chooseSheet}
        />
      ) : null}
      {unmatched.length > 0 ? (
        <Text>{t('chooseWhereToFind', { titles: titlesOf(unmatched) })}</Text>
      ) : (
        <Button
          label={
            open
              ? t('matchedColumnsMatched', { matched })
              : t('columnsMatchedCheckThem', { matched })
          }
          aria-expanded={open}
          onPress={() => setOpened(!open)}
        />
      )}
      {open
        ? LIST_COLUMNS.map((column) => <ColumnChoice key={column} column={column} flow={flow} />)
        : null}
      {open || match.method === null ? (
        <Choice
          label={t('methodWhereARowDoesNot')}
          value={flow.method}
          options={METHODS}
          onChange={(method) => flow.setMethod(method as Method)}
        />
      ) : null}
    </Card>
  );
}

const METHODS = [
  { value: 'single', label: t('single') },
  { value: 'mass', label: common('ribbon') },
];

function ColumnChoice({ column, flow }: { column: ListColumn; flow: Import }) {
  const { file, match } = flow;
  return (
    <ColumnSelect
      title={COLUMN_TITLES[column]}
      header={file!.header}
      sample={file!.sample}
      index={match![column]}
      isOptional={OPTIONAL_COLUMNS.includes(column)}
      onChange={(index) => flow.setMatch({ ...match!, [column]: index })}
    />
  );
}

function CablePart({ flow }: { flow: Import }) {
  const { schemes } = useProjectView();
  return (
    <Card style={{ gap: 16 }}>
      <Text kind="name" heading={2}>
        {t('newCables2')}
      </Text>
      <Text color="ink2">{t('whatEachIsMadeOfProposed')}</Text>
      {flow.newCables.map((cable) => {
        const open = flow.openCable === cable.name;
        const read = readMakeUp(cable.typed);
        return (
          <View key={cable.name} style={{ gap: 8 }}>
            <Button
              aria-expanded={open}
              onPress={() => flow.setOpenCable(open ? null : cable.name)}
              style={{ justifyContent: 'space-between' }}
            >
              <Text kind="strong">{cable.name}</Text>
              <Text color={'error' in read ? 'accent' : 'ink2'}>
                {'error' in read ? read.error : makeUpText(read.makeUp)}
              </Text>
            </Button>
            {open ? (
              <View style={{ gap: 10, paddingLeft: 12 }}>
                <MakeUpForm
                  value={cable.typed}
                  onChange={(typed) => flow.setCable({ ...cable, typed })}
                />
                <Choice
                  label={common('colours')}
                  value={cable.schemeId}
                  options={schemes.map((scheme) => ({ value: scheme.id, label: scheme.name }))}
                  onChange={(schemeId) => flow.setCable({ ...cable, schemeId })}
                />
              </View>
            ) : null}
          </View>
        );
      })}
    </Card>
  );
}
