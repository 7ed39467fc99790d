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
  plural,
  readRecordTable,
} from '@cordel/core';
import { commands } from '@cordel/client';
import { recordFileText } from '@cordel/text/bench';
import { csvProblemText } from '@cordel/text/files';
import { outbox } from '@/data/client';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
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
  const [said, setSaid] = useState('');
  const choose = async () => {
    const picked = await pickFile('.csv,.txt,.json,.jsonl,.ndjson');
    if (!picked) return;
    setSaid('');
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
  const bringIn = async (list: readonly FileRecord[]) => {
    const { fileRecordId } = await import('@cordel/core/csv');
    const records = list.map((record) => ({
      ...record,
      id: fileRecordId(project.id, splicer!.id, record, record.at !== file!.clock),
      projectId: project.id,
      splicerId: splicer!.id,
    }));
    setSaid('Being imported …');
    let fresh = 0;
    for (let start = 0; start < records.length; start += 500) {
      const outcome = await outbox.add(
        commands.importSplicerRecords,
        { projectId: project.id, records: records.slice(start, start + 500) },
        `${plural(records.length, 'record')} of ${splicer!.name}`,
      );
      if ('refused' in outcome) return setError(outcome.refused.message);
      fresh += outcome.answer.fresh;
    }
    setSaid(
      `${plural(fresh, 'new record')}, ${records.length - fresh} here already. The Bench asks which splice each belongs to.`,
    );
    setFile(null);
  };
  if (!splicer)
    return (
      <NeedsSplicer
        title="Records from a file"
        closure={closure}
        base={base}
        why="The records belong to a splicer: choose it first."
      />
    );
  return (
    <Page title="Records from a file" above={`${closure} · ${splicer.name}`} back={base}>
      <Txt>
        CSV, or JSON with a record a line, as the splicer’s software stores it. A record that is
        here already is not counted twice.
      </Txt>
      <Press label="Choose a file" look={file ? 'plain' : 'next'} onPress={() => void choose()} />
      {error ? (
        <Notice word="Not read." ink="accent" live>
          {error}
        </Notice>
      ) : null}
      {said ? (
        <Notice word="Imported." ink="green" live>
          {said}
        </Notice>
      ) : null}
      {file?.content.kind === 'table' ? (
        <Matching content={file.content} onChange={(content) => setFile({ ...file, content })} />
      ) : null}
      {read ? (
        <>
          <Txt kind="strong">{`${file!.name}: ${plural(read.records.length, 'record')}, ${plural(read.problems.length, 'problem')}`}</Txt>
          {read.problems.slice(0, 20).map(({ row, column, message }) => (
            <Notice
              key={`${row} ${column} ${message.code}`}
              word={`Row ${row}${column ? `, ${column}` : ''}.`}
              ink="accent"
            >
              {recordFileText(message)}
            </Notice>
          ))}
          {read.records.slice(0, 5).map((record) => (
            <Txt key={record.number}>{lineOf(record)}</Txt>
          ))}
          <Press
            label={`Import ${plural(read.records.length, 'record')}`}
            look="next"
            disabled={read.problems.length > 0 || read.records.length === 0}
            onPress={() => void bringIn(read.records)}
          />
        </>
      ) : null}
      <Press label="Back to the Bench" onPress={() => router.replace(base as never)} />
    </Page>
  );
}

const lineOf = ({ number, fibers }: FileRecord): string =>
  `Number ${number}: ${fibers.map(({ estimateMdb }) => (estimateMdb === null ? 'no arc' : formatLoss(estimateMdb))).join(', ')} dB`;

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
    <Leaf style={{ gap: 10 }}>
      <Txt kind="strong">Which column holds what</Txt>
      {shown.map((column) => (
        <Choice
          key={column}
          label={`${RECORD_TITLES[column]}${NEEDED.includes(column) ? ', needed' : ''}`}
          value={String(match[column] ?? '')}
          options={[
            { value: '', label: 'none' },
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
          <Press label="More columns" look="bare" onPress={() => setAll(true)} />
        </View>
      )}
    </Leaf>
  );
}
