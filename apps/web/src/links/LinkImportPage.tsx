import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  type Direction,
  LINK_COLUMNS,
  LINK_COLUMN_TITLES,
  type LinkColumnMatch,
  NEEDED_LINK_COLUMNS,
  fiberCount,
  matchLinkColumns,
  missingLinkColumns,
  readLinkList,
} from '@cordel/core';
import {
  type CsvProblem,
  type Table,
  type TitledTable,
  decodeText,
  readCsv,
  startAtTitles,
} from '@cordel/core/csv';
import { csvProblemText } from '@cordel/text/files';
import { linkListText } from '@cordel/text/links';
import { common } from '@cordel/text/pages/common';
import { linksPages as t } from '@cordel/text/pages/links/links';
import { commands } from '@cordel/client';
import { newStamp } from '@/bench/record';
import { outbox } from '@/data/client';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { ColumnSelect } from '@/ui/ColumnSelect';
import { Choice } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Text } from '@/ui/Text';
import { pickFile } from '@/ui/pickFile';
import { useLinks } from './useLinks';

interface OpenList {
  name: string;
  table: TitledTable<Table>;
}

/** Problems that are shown; the rest is counted. */
const MOST_SHOWN = 100;
/** Entries that are sent at a time. */
const AT_ONCE = 1000;

/** Imports a meter's list: file, columns, problems, and then all of it or nothing. */
export function LinkImportPage() {
  const { project, cables } = useProjectView();
  const router = useRouter();
  const params = useLocalSearchParams<{ cable?: string }>();
  const cableId = params.cable ?? cables[0]?.id ?? '';
  const { shown } = useLinks(cableId);
  const [list, setList] = useState<OpenList | null>(null);
  const [match, setMatch] = useState<LinkColumnMatch | null>(null);
  const [direction, setDirection] = useState<Direction>('AB');
  const [problem, setProblem] = useState<CsvProblem | null>(null);
  const [recorded, setRecorded] = useState<number | null>(null);
  const links = shown?.links;
  const read = useMemo(() => {
    if (!list || !match) return null;
    const ends = new Map(links?.map(({ fiber, from, to }) => [fiber, [from, to] as const]));
    return readLinkList(list.table, match, {
      projectId: project.id,
      cables: cables.map(({ id, name, makeUp }) => ({ id, name, fibers: fiberCount(makeUp) })),
      cableId,
      direction,
      endsOf: (on, fiber) => (on === cableId ? (ends.get(fiber) ?? null) : null),
      references: shown?.references ?? new Map(),
      stamp: newStamp,
    });
  }, [list, match, direction, links, shown?.references, cables, cableId, project.id]);

  const choose = async () => {
    const file = await pickFile('.csv,.txt,text/csv,text/plain');
    if (!file) return;
    const decoded = decodeText(new Uint8Array(await file.arrayBuffer()));
    const table = decoded.ok ? readCsv(decoded.value.text) : decoded;
    setRecorded(null);
    setProblem(table.ok ? null : table.error);
    setList(null);
    if (!table.ok) return;
    const titled = startAtTitles(table.value, matchLinkColumns);
    setList({ name: file.name, table: titled });
    setMatch(matchLinkColumns(titled.header));
  };
  const runImport = () => {
    const entries = read!.entries;
    for (let start = 0; start < entries.length; start += AT_ONCE)
      void outbox.add(
        commands.recordLinks,
        { projectId: project.id, entries: entries.slice(start, start + AT_ONCE) },
        t('aListOf', { name: list!.name }),
      );
    setRecorded(entries.length);
    setList(null);
  };
  const back = `/p/${project.id}/ledger/links?cable=${cableId}`;
  return (
    <Page title={t('importLinks')} above={project.name} back={back}>
      <Text>{t('aListHas')}</Text>
      <Button
        label={common('chooseAFile')}
        icon="file-upload-outline"
        look={list ? 'plain' : 'next'}
        onPress={() => void choose()}
      />
      {problem ? (
        <Notice word={common('notRead')} color="accent" live>
          {csvProblemText(problem)}
        </Notice>
      ) : null}
      {recorded === null ? null : (
        <>
          <Notice word={common('imported')} color="green" live>
            {t('imported', { count: recorded })}
          </Notice>
          <Button label={t('linkTest')} look="next" onPress={() => router.replace(back as never)} />
        </>
      )}
      {list && match ? (
        <Card style={{ gap: 10 }}>
          <Text kind="name" heading={2}>
            {t('columns')}
          </Text>
          <Text>{t('linesAre', { name: list.name, rows: list.table.rows.length })}</Text>
          {LINK_COLUMNS.map((column) => (
            <ColumnSelect
              key={column}
              title={LINK_COLUMN_TITLES[column]}
              header={list.table.header}
              sample={list.table.rows.slice(0, 3)}
              index={match[column]}
              isOptional={
                !NEEDED_LINK_COLUMNS.includes(column) && !missingLinkColumns(match).includes(column)
              }
              onChange={(index) => setMatch({ ...match, [column]: index })}
            />
          ))}
          {match.direction === null && links?.[0] ? (
            <Choice<Direction>
              label={t('rowsWithoutDirection')}
              value={direction}
              options={[
                { value: 'AB', label: links[0].from },
                { value: 'BA', label: links[0].to },
              ]}
              onChange={setDirection}
            />
          ) : null}
        </Card>
      ) : null}
      {read && read.problems.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Notice word={t('problems', { problems: read.problems.length })} color="accent" live>
            {t('nothingUntilFixed')}
          </Notice>
          {read.problems.slice(0, MOST_SHOWN).map(({ row, column, value, message }) => (
            <View key={`${row} ${column}`}>
              <Text kind="strong">
                {t('rowColumnValue', {
                  row,
                  column,
                  value: value === '' ? '' : t('valueOf', { value }),
                })}
              </Text>
              <Text>{linkListText(message)}</Text>
            </View>
          ))}
          {read.problems.length > MOST_SHOWN ? (
            <Text color="ink2">{t('andMore', { more: read.problems.length - MOST_SHOWN })}</Text>
          ) : null}
        </View>
      ) : null}
      {read && read.problems.length === 0 ? (
        <View style={{ gap: 10 }}>
          <Notice word={t('ready')} color="green" live>
            {t('readyToImport', {
              losses: read.losses,
              returns: read.returnLosses,
              dark: read.dark,
            })}
          </Notice>
          <Button label={t('importThem')} look="next" onPress={runImport} />
        </View>
      ) : null}
    </Page>
  );
}
