import { useRouter } from 'expo-router';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ScrollView, TextInput, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { GROUP_VERDICTS, SPLICE_STAGES, LEDGER_SORTS } from '@cordel/core';
import { groupVerdictText, spliceStateText } from '@cordel/text/loss/states';
import { ledgerPage as t } from '@cordel/text/pages/ledger/LedgerPage';
import { common } from '@cordel/text/pages/common';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { useSummary } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Select } from '@/ui/Select';
import { Text } from '@/ui/Text';
import { useKeys } from '@/ui/keys';
import { FONTS, useColors } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { lossWords } from '@/ui/words';
import { ExportSheet } from './ExportSheet';
import { FoundList } from './FoundList';
import { LedgerList } from './LedgerList';
import { OpenRecord } from './OpenRecord';
import {
  CLOSURE_SORTS,
  type LedgerFilter,
  type LedgerSort,
  type LedgerView,
  VIEWS,
  useLedgerParams,
} from './useLedgerParams';

const VIEW_LABELS: Record<LedgerView, string> = {
  closures: t('closures'),
  trays: common('trays'),
  fibers: common('fibers'),
  splices: t('splices'),
  redo: t('redo'),
};
const SORT_LABELS: Record<LedgerSort, string> = {
  route: t('routeOrder'),
  worst: t('worstFirst'),
  mean: t('highestMean'),
  verdict: t('needsWorkFirst'),
  name: t('byName'),
  done: t('leastDoneFirst'),
  redo: t('mostRedoFirst'),
  trays: t('mostTraysFirst'),
};

const sortsOf = (view: LedgerView): readonly LedgerSort[] =>
  view === 'closures' ? CLOSURE_SORTS : LEDGER_SORTS;

/** What rows are filtered by: splices by their state, groups by their verdict. */
const filtersOf = (view: LedgerView): { value: LedgerFilter; label: string }[] =>
  view === 'splices'
    ? SPLICE_STAGES.map((value) => ({ value, label: spliceStateText(value) }))
    : GROUP_VERDICTS.map((value) => ({ value, label: groupVerdictText(value) }));

/** Proof: fibers, trays, closures and splices against the limits, and what to redo. */
export function LedgerPage() {
  const colors = useColors();
  const wide = useWide();
  const { params, go } = useLedgerParams();
  const list = (
    <View style={{ flex: 1, minWidth: 0 }}>
      <LedgerHead />
      {params.found ? <FoundList /> : <LedgerList />}
    </View>
  );
  if (!wide) {
    return (
      <View role="main" style={{ flex: 1, backgroundColor: colors.paper }}>
        {params.open ? <OpenRecord key={params.open} onClose={() => go({ open: '' })} /> : list}
      </View>
    );
  }
  return (
    <View role="main" style={{ flex: 1, flexDirection: 'row', backgroundColor: colors.paper }}>
      {list}
      <View style={{ width: '46%', maxWidth: 640, borderLeftWidth: 2, borderColor: colors.ink }}>
        {params.open ? (
          <OpenRecord key={params.open} />
        ) : (
          <View style={{ padding: 24 }}>
            <Text color="ink2">{t('chooseARowItsRecordOpens')}</Text>
          </View>
        )}
      </View>
    </View>
  );
}

function LedgerHead() {
  const { params, set, go } = useLedgerParams();
  const { project, closures } = useProjectView();
  const router = useRouter();
  const summary = useSummary(project.id);
  const [exporting, setExporting] = useState(false);
  const closure = closures.find((entry) => entry.id === params.closure);
  const whole = summary.data?.project;
  return (
    <View style={{ padding: 16, paddingBottom: 8, gap: 10 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <View style={{ flex: 1 }}>
          <Text color="ink2">{project.name}</Text>
          <Text kind="title" heading={1}>
            {t('ledger')}
          </Text>
        </View>
        <Button
          label={common('traces')}
          icon="pulse"
          onPress={() => router.push(`/p/${project.id}/ledger/findings` as never)}
        />
        <Button label={shared('export')} icon="download" onPress={() => setExporting(true)}>
          <></>
        </Button>
      </View>
      {whole ? (
        <Text>
          <Text kind="strong">{shared('doneOfDue', { done: whole.done, due: whole.due })}</Text>
          {t('splicedLoss', { loss: lossWords(whole) })}
          <Text kind="strong" color={whole.redo > 0 ? 'accent' : 'green'}>
            {whole.redo > 0 ? t('redoToRedo', { redo: whole.redo }) : t('noneToRedo')}
          </Text>
        </Text>
      ) : null}
      <View role="tablist" style={{ flexDirection: 'row', gap: 4 }}>
        {VIEWS.map((view) => (
          <Button
            key={view}
            role="tab"
            aria-selected={params.view === view && params.found === ''}
            label={VIEW_LABELS[view]}
            look={params.view === view && params.found === '' ? 'dark' : 'plain'}
            onPress={() => go({ view, open: '', verdict: '', found: '' })}
            textSize={16}
            style={{ paddingHorizontal: 4, flexGrow: 1 }}
          />
        ))}
      </View>
      <Search />
      {
        <ScrollView
          horizontal
          showsHorizontalScrollIndicator={false}
          style={{ marginHorizontal: -16, flexGrow: 0 }}
          contentContainerStyle={{ paddingHorizontal: 16, gap: 6 }}
          tabIndex={0}
          role="group"
          aria-label={t('filterAndSort')}
        >
          <Select
            label={t('order')}
            value={params.sort}
            options={sortsOf(params.view).map((sort) => ({
              value: sort,
              label: t('orderSortLabels', { sortLabels: SORT_LABELS[sort] }),
            }))}
            onChange={(sort) => set({ sort: sort as LedgerSort })}
          />
          {closure ? (
            <Button
              label={t('atName', { name: closure.name })}
              icon="close"
              look="dark"
              onPress={() => set({ closure: '' })}
            />
          ) : null}
          {params.view === 'redo'
            ? null
            : filtersOf(params.view).map(({ value, label }) => (
                <Button
                  key={value}
                  label={label}
                  look={params.verdict === value ? 'dark' : 'plain'}
                  aria-pressed={params.verdict === value}
                  onPress={() => set({ verdict: params.verdict === value ? '' : value, found: '' })}
                />
              ))}
        </ScrollView>
      }
      <ExportSheet visible={exporting} onClose={() => setExporting(false)} />
    </View>
  );
}

/** The search line; it asks once typing has paused. */
function Search() {
  const { params, set } = useLedgerParams();
  const colors = useColors();
  const [text, setText] = useState(params.q);
  const field = useRef<TextInput>(null);
  useEffect(() => {
    if (text === params.q) return;
    // With a filter the list that is open is searched; else all lists are.
    const found = text !== '' && params.verdict === '' ? '1' : '';
    const timer = setTimeout(() => set({ q: text, found }), 250);
    return () => clearTimeout(timer);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- waits for the typing alone
  }, [text]);
  useKeys(
    useCallback((key: string) => {
      if (key !== '/') return false;
      field.current?.focus();
      return true;
    }, []),
  );
  return (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 8,
        paddingLeft: 12,
        minHeight: 52,
        backgroundColor: colors.leaf,
        borderWidth: 2,
        borderColor: colors.ink,
      }}
    >
      <Icon source="magnify" size={24} color={colors.ink2} />
      <TextInput
        ref={field}
        value={text}
        onChangeText={setText}
        placeholder={t('a100712BrownTray')}
        placeholderTextColor={colors.ink2}
        aria-label={t('search')}
        style={{
          flex: 1,
          minWidth: 0,
          minHeight: 48,
          fontFamily: FONTS.regular,
          fontSize: 16,
          color: colors.ink,
        }}
      />
      {text === '' ? null : (
        <Button label={t('clear')} look="bare" icon="close" onPress={() => setText('')}>
          <></>
        </Button>
      )}
    </View>
  );
}
