import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import {
  type DateOrder,
  type FileRecord,
  NEEDED,
  RECORD_COLUMNS,
  RECORD_TITLES,
  type ReadRecords,
  type RecordFile,
  formatLoss,
  formatMoment,
  readRecordTable,
  recordDateOrder,
} from '@cordel/core';
import { commands } from '@cordel/client';
import { recordFileText } from '@cordel/text/bench';
import { csvProblemText } from '@cordel/text/files';
import { recordsPage as t } from '@cordel/text/pages/bench/RecordsPage';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { common } from '@cordel/text/pages/common';
import { errorText } from '@cordel/text/record';
import { outbox } from '@/data/client';
import { useProjectView } from '@/projects/context';
import { columnName } from '@/ui/ColumnSelect';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { pickFile } from '@/ui/pickFile';
import { AtClosure, type Closeup } from './AtClosure';
import { InOrderPart } from './InOrderPart';
import { NeedsSplicer } from './NeedsSplicer';

/** A file that was chosen; records without a time of their own get the moment it was. */
interface OpenedFile {
  name: string;
  content: RecordFile;
  clock: string;
  /** How its dates are meant, where a person has said so. */
  order: DateOrder | null;
}

/** What a splicer stored, carried over in a file: columns matched, problems shown, all or nothing. */
export const RecordsPage = () => <AtClosure>{(at) => <FromFile {...at} />}</AtClosure>;

function FromFile({ closure, base, bench, station, setup }: Closeup) {
  const { project } = useProjectView();
  const router = useRouter();
  const { splicer } = setup;
  const [file, setFile] = useState<OpenedFile | null>(null);
  const [error, setError] = useState('');
  const [feedback, setFeedback] = useState('');
  const choose = async () => {
    const picked = await pickFile('.csv,.txt,.json,.jsonl,.ndjson');
    if (!picked) return;
    setFeedback('');
    const { decodeText, openRecordFile } = await import('@cordel/core/csv');
    const text = decodeText(new Uint8Array(await picked.arrayBuffer()));
    const content = text.ok ? openRecordFile(text.value.text) : text;
    if (!content.ok) {
      setFile(null);
      return setError(`${picked.name}: ${csvProblemText(content.error)}`);
    }
    setError('');
    const clock = new Date().toISOString();
    setFile({ name: picked.name, content: content.value, clock, order: null });
  };
  const found =
    file?.content.kind === 'table' ? recordDateOrder(file.content.rows, file.content.match) : null;
  const usual: DateOrder = project.units.length === 'in' ? 'mdy' : 'dmy';
  const order = file?.order ?? (found === 'either' || found === null ? usual : found);
  const read: ReadRecords | null = !file
    ? null
    : file.content.kind === 'lines'
      ? file.content.read
      : readRecordTable(file.content, {
          clock: file.clock,
          timeZone: project.units.timeZone,
          order,
        });
  const runImport = async (list: readonly FileRecord[]) => {
    const { fileRecordId } = await import('@cordel/core/csv');
    const records = list.map((record) => ({
      ...record,
      id: fileRecordId(project.id, splicer!.id, record, record.at !== file!.clock),
      projectId: project.id,
      splicerId: splicer!.id,
      isFromFile: true,
    }));
    setFeedback(t('beingImported'));
    let fresh = 0;
    for (let start = 0; start < records.length; start += 500) {
      const outcome = await outbox.add(
        commands.importSplicerRecords,
        { projectId: project.id, records: records.slice(start, start + 500) },
        t('recordsOfName', { records: records.length, name: splicer!.name }),
      );
      if ('refused' in outcome) return setError(errorText(outcome.refused));
      fresh += outcome.answer.fresh;
    }
    setFeedback(
      t('newRecordsHereAlreadyTheBench', { newRecords: fresh, records: records.length - fresh }),
    );
    setFile(null);
  };
  if (!splicer)
    return (
      <NeedsSplicer
        title={shared('recordsFromAFile')}
        closure={closure}
        base={base}
        why={t('theRecordsBelongToASplicer')}
      />
    );
  return (
    <Page title={shared('recordsFromAFile')} above={`${closure} · ${splicer.name}`} back={base}>
      <Text>{t('csvOrJsonWithARecord')}</Text>
      <Button
        label={common('chooseAFile')}
        look={file ? 'plain' : 'next'}
        onPress={() => void choose()}
      />
      {error ? (
        <Notice word={common('notRead')} color="accent" live>
          {error}
        </Notice>
      ) : null}
      {feedback ? (
        <Notice word={common('imported')} color="green" live>
          {feedback}
        </Notice>
      ) : null}
      {file?.content.kind === 'table' ? (
        <Matching content={file.content} onChange={(content) => setFile({ ...file, content })} />
      ) : null}
      {file && found === 'either' ? (
        <Choice
          label={t('dates')}
          value={order}
          options={[
            { value: 'mdy', label: t('monthFirst') },
            { value: 'dmy', label: t('dayFirst') },
          ]}
          onChange={(chosen) => setFile({ ...file, order: chosen as DateOrder })}
        />
      ) : null}
      {file?.content.kind === 'table' && file.content.titlesRow > 1 ? (
        <Notice>{t('theTitlesAreInRow', { row: file.content.titlesRow })}</Notice>
      ) : null}
      {read ? (
        <>
          <Text kind="strong">
            {t('nameRecordsProblems', {
              name: file!.name,
              records: read.records.length,
              problems: read.problems.length,
            })}
          </Text>
          {read.problems.slice(0, 20).map(({ row, column, message }) => (
            <Notice
              key={`${row} ${column} ${message.code}`}
              word={t('rowColumn', { row, column: column ? `, ${column}` : '' })}
              color="accent"
            >
              {recordFileText(message)}
            </Notice>
          ))}
          {read.records.slice(0, 5).map((record) => (
            <Text key={record.number}>{lineOf(record, project.units.timeZone)}</Text>
          ))}
          <Button
            label={t('importRecords', { records: read.records.length })}
            look="next"
            disabled={read.problems.length > 0 || read.records.length === 0}
            onPress={() => void runImport(read.records)}
          />
        </>
      ) : null}
      <InOrderPart bench={bench} closure={closure} splicerId={splicer.id} station={station} />
      <Button label={shared('backToTheBench')} onPress={() => router.replace(base as never)} />
    </Page>
  );
}

const lineOf = ({ number, at, fibers }: FileRecord, timeZone: string): string =>
  t('numberFibersDb', {
    number,
    at: formatMoment(at, timeZone),
    fibers: fibers
      .map(({ estimateMdb }) => (estimateMdb === null ? t('noArc') : formatLoss(estimateMdb)))
      .join(', '),
  });

/** Which column of the file holds what; those that are needed first. */
function Matching({
  content,
  onChange,
}: {
  content: Extract<RecordFile, { kind: 'table' }>;
  onChange(content: Extract<RecordFile, { kind: 'table' }>): void;
}) {
  const [all, setAll] = useState(false);
  const { header, match } = content;
  const shown = RECORD_COLUMNS.filter(
    (column) => all || NEEDED.includes(column) || match[column] !== null,
  );
  return (
    <Card style={{ gap: 10 }}>
      <Text kind="strong">{t('whichColumnHoldsWhat')}</Text>
      {shown.map((column) => (
        <Choice
          key={column}
          label={`${RECORD_TITLES[column]}${NEEDED.includes(column) ? ', needed' : ''}`}
          value={String(match[column] ?? '')}
          options={[
            { value: '', label: t('none') },
            ...header.map((_, index) => ({
              value: String(index),
              label: columnName(header, index),
            })),
          ]}
          onChange={(index) =>
            onChange({
              ...content,
              match: { ...match, [column]: index === '' ? null : Number(index) },
            })
          }
        />
      ))}
      {all ? null : (
        <View>
          <Button label={t('moreColumns')} look="bare" onPress={() => setAll(true)} />
        </View>
      )}
    </Card>
  );
}
