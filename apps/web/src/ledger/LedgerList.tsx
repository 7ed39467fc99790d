import { FlashList } from '@shopify/flash-list';
import { View } from 'react-native';
import {
  type ClosureRow,
  type FiberRow,
  LEDGER_SORTS,
  type RedoRow,
  type SpliceRow,
  type TrayRow,
  URGENCY,
  compareNames,
} from '@cordel/core';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { ledgerList as t } from '@cordel/text/pages/ledger/LedgerList';
import { useLedger, useSummary } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { Empty, Waiting } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { ClosureLine, FiberLine, SpliceLine, TrayLine } from './LedgerLines';
import { type LedgerParams, type LedgerView, useLedgerParams } from './useLedgerParams';

type AnyRow = ClosureRow | TrayRow | FiberRow | SpliceRow | RedoRow;

/** The rows of the Ledger's view; only those in sight are in the page. */
export function LedgerList() {
  const { params, set } = useLedgerParams();
  const { project } = useProjectView();
  const summary = useSummary(project.id);
  const paged = useLedger(project.id, params.view === 'closures' ? 'redo' : params.view, {
    q: params.q.trim() || undefined,
    ...filterOf(params),
    closureId: params.closure || undefined,
    // Sorts of closures alone mean nothing to the other lists.
    sort: LEDGER_SORTS.find((sort) => sort === params.sort) ?? 'route',
  });
  const closures = params.view === 'closures';
  const rows: AnyRow[] = closures
    ? closuresShown(summary.data?.closures ?? [], params)
    : (paged.data?.pages.flatMap((page) => page.rows) ?? []);
  const total = closures ? rows.length : (paged.data?.pages[0]?.total ?? 0);
  const query = closures ? summary : paged;
  if (!query.data) {
    return (
      <View style={{ padding: 16 }}>
        <Waiting error={query.error} again={() => void query.refetch()} />
      </View>
    );
  }
  if (rows.length === 0) return <Nothing />;
  return (
    <FlashList
      key={params.view}
      data={rows}
      keyExtractor={rowKey}
      renderItem={({ item }) => <Row row={item} view={params.view} />}
      onEndReached={() =>
        !closures && paged.hasNextPage && !paged.isFetchingNextPage && void paged.fetchNextPage()
      }
      onEndReachedThreshold={0.6}
      ListHeaderComponent={
        <Text color="ink2" style={{ paddingHorizontal: 16, paddingBottom: 6 }}>
          {params.view === 'redo'
            ? t('splicesToRedo', { splices: total })
            : shared(params.view, { count: total })}
        </Text>
      }
    />
  );

  function Nothing() {
    const asked = params.q !== '' || params.verdict !== '' || params.closure !== '';
    return (
      <View style={{ paddingHorizontal: 16 }}>
        {asked ? (
          <Empty
            title={shared('nothingFound')}
            action={
              <Button
                label={shared('showAll')}
                look="next"
                onPress={() => set({ q: '', verdict: '', closure: '' })}
              />
            }
          >
            {t('noRowFitsTheSearchAnd')}
          </Empty>
        ) : params.view === 'redo' ? (
          <Empty title={t('nothingToRedo')}>{t('noSpliceIsOverItsLimit')}</Empty>
        ) : (
          <Empty title={t('nothingYet')}>{t('importASpliceListInThe')}</Empty>
        )}
      </View>
    );
  }
}

/** Splices are filtered by their state, groups by their verdict. */
function filterOf({ view, verdict }: LedgerParams): Record<string, string | undefined> {
  if (view === 'redo' || verdict === '') return {};
  return view === 'splices' ? { state: verdict } : { verdict };
}

/** Closures are all at hand: filtered and sorted here, as the server does with rows that come in pages. */
function closuresShown(
  rows: readonly ClosureRow[],
  { q, verdict, sort }: LedgerParams,
): ClosureRow[] {
  const words = q.toLowerCase().split(/\s+/).filter(Boolean);
  const shown = rows.filter(
    (row) =>
      (verdict === '' || row.verdict === verdict) &&
      words.every((word) => row.name.toLowerCase().includes(word)),
  );
  const keys: Record<LedgerParams['sort'], (row: ClosureRow) => number> = {
    route: () => 0,
    worst: (row) => -(row.maxHalfMdb ?? -Infinity),
    mean: (row) => (row.figures === 0 ? Infinity : -row.sumHalfMdb / row.figures),
    verdict: (row) => URGENCY[row.verdict],
    name: () => 0,
    done: (row) => (row.due === 0 ? 1 : row.done / row.due),
    redo: (row) => -row.redo,
    trays: (row) => -row.trayCount,
  };
  if (sort === 'name') return shown.sort((a, b) => compareNames(a.name, b.name));
  return shown.sort((a, b) => keys[sort](a) - keys[sort](b) || 0);
}

function rowKey(row: AnyRow): string {
  if ('id' in row) return row.id;
  if ('headFiber' in row) return `${row.headCable} ${row.headFiber}`;
  return 'tray' in row ? `${row.closureId} ${row.tray}` : row.closureId;
}

function Row({ row, view }: { row: AnyRow; view: LedgerView }) {
  switch (view) {
    case 'closures':
      return <ClosureLine row={row as ClosureRow} />;
    case 'trays':
      return <TrayLine row={row as TrayRow} />;
    case 'fibers':
      return <FiberLine row={row as FiberRow} />;
    default:
      return <SpliceLine row={row as SpliceRow} />;
  }
}
