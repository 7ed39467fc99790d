import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { answerOf } from '@cordel/client';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { foundList as t } from '@cordel/text/pages/ledger/FoundList';
import { api } from '@/data/api';
import { useProjectView } from '@/projects/context';
import { Empty, Waiting } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { CableLine, ClosureLine, FiberLine, PlanLine, SpliceLine, TrayLine } from './LedgerLines';
import { NamedFibers } from './NamedFibers';
import { type LedgerView, useLedgerParams } from './useLedgerParams';

/** All that a search finds, kind by kind, whichever list is open. */
export function FoundList() {
  const { project } = useProjectView();
  const { params, set } = useLedgerParams();
  const q = params.q.trim();
  const query = useQuery({
    queryKey: ['ledger', project.id, 'search', q, params.closure],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/ledger/search', {
          params: {
            path: { projectId: project.id },
            query: { q, closureId: params.closure || undefined },
          },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  const found = query.data;
  if (!found) {
    return (
      <View style={{ padding: 16 }}>
        <Waiting error={query.error} again={() => void query.refetch()} />
      </View>
    );
  }
  if (Object.values(found).every(({ total }) => total === 0)) {
    return (
      <View style={{ paddingHorizontal: 16 }}>
        <NamedFibers q={q} />
        <Empty
          title={shared('nothingFound')}
          action={
            <Button
              label={shared('showAll')}
              look="next"
              onPress={() => set({ q: '', found: '', closure: '' })}
            />
          }
        >
          {t('searchForAFiberA100')}
        </Empty>
      </View>
    );
  }
  return (
    <ScrollView tabIndex={0}>
      <NamedFibers q={q} />
      <Section of="fibers" view="fibers" page={found.fibers}>
        {found.fibers.rows.map((row) => (
          <FiberLine key={`${row.headCable} ${row.headFiber}`} row={row} />
        ))}
      </Section>
      <Section of="splices" view="splices" page={found.splices}>
        {found.splices.rows.map((row) => (
          <SpliceLine key={row.id} row={row} />
        ))}
      </Section>
      <Section of="trays" view="trays" page={found.trays}>
        {found.trays.rows.map((row) => (
          <TrayLine key={`${row.closureId} ${row.tray}`} row={row} />
        ))}
      </Section>
      <Section of="closures" view="closures" page={found.closures}>
        {found.closures.rows.map((row) => (
          <ClosureLine key={row.closureId} row={row} />
        ))}
      </Section>
      <Section of="cables" view={null} page={found.cables}>
        {found.cables.rows.map((row) => (
          <CableLine key={row.cableId} row={row} />
        ))}
      </Section>
      <Section of="planLines" view={null} page={found.planLines}>
        {found.planLines.rows.map((row) => (
          <PlanLine key={`${row.closureId} ${row.line}`} row={row} />
        ))}
      </Section>
    </ScrollView>
  );
}

interface SectionProps {
  of: Exclude<LedgerView, 'redo'> | 'cables' | 'planLines';
  /** The list that has all of them; null where there is none. */
  view: LedgerView | null;
  page: { rows: readonly unknown[]; total: number };
  children: ReactNode;
}

/** The first rows of a kind, and the way to all of them. */
function Section({ of, view, page, children }: SectionProps) {
  const { go } = useLedgerParams();
  if (page.total === 0) return null;
  const more = page.total > page.rows.length;
  return (
    <View style={{ paddingBottom: 10 }}>
      <Text kind="strong" heading={2} style={{ paddingHorizontal: 16, paddingVertical: 6 }}>
        {shared(of, { count: page.total })}
      </Text>
      {children}
      {more && view ? (
        <Button
          label={t('all', { rows: shared(of, { count: page.total }) })}
          look="bare"
          style={{ alignSelf: 'flex-start', marginLeft: 4 }}
          onPress={() => go({ view, found: '' })}
        />
      ) : null}
    </View>
  );
}
