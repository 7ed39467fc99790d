import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import {
  type FileRecord,
  NEEDED,
  RECORD_COLUMNS,
  RECORD_TITLES,
  type ReadRecords,
  type RecordFile,
  formatLoss,
  readRecordTable,
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
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { pickFile } from '@/ui/pickFile';
import { AtClosure, type Closeup } from './AtClosure';
import { NeedsSplicer } from './NeedsSplicer';

/** A file that was chosen; records without a time of their own get the moment it was. */
interface OpenedFile {
  name: string;
  content: RecordFile;
  clock: string;
}

/** What a splicer stored, carried over in a file: columns matched, problems shown, all or nothing. */
export const RecordsPage = () => <AtClosure>{(at) => <FromFile {...at} />}</AtClosure>;

function FromFile({ closure, base, setup }: Closeup) {
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
    setFile({ name: picked.name, content: content.value, clock: new Date().toISOString() });
  };
  const read: ReadRecords | null = !file
    ? null
    : file.content.kind === 'lines'
      ? file.content.read
      : readRecordTable(file.content.rows, file.content.match, file.clock);
  const runImport = async (list: readonly FileRecord[]) => {
    const { fileRecordId } = await import('@cordel/core/csv');
    const records = list.map((record) => ({
      ...record,
      id: fileRecordId(project.id, splicer!.id, record, record.at !== file!.clock),
      projectId: project.id,
      splicerId: splicer!.id,
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
            <Text key={record.number}>{lineOf(record)}</Text>
          ))}
          <Button
            label={t('importRecords', { records: read.records.length })}
            look="next"
            disabled={read.problems.length > 0 || read.records.length === 0}
            onPress={() => void runImport(read.records)}
          />
        </>
      ) : null}
      <Button label={shared('backToTheBench')} onPress={() => router.replace(base as never)} />
    </Page>
  );
}

const lineOf = ({ number, fibers }: FileRecord): string =>
  t('numberFibersDb', {
    number,
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
            ...header.map((title, index) => ({ value: String(index), label: title })),
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
