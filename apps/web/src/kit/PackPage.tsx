import { useMemo } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { type KitItem, kitList, type Splitter } from '@cordel/core';
import { benchSplices } from '@cordel/core/session';
import { useWorks } from '@/data/queries';
import type { ClosureWork } from '@cordel/client';
import { kitItemText, kitReasonText } from '@cordel/text/kit';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { packPage as t } from '@cordel/text/pages/kit/PackPage';
import { usePersisted } from '@/data/storage';
import { openedOf } from '@/prep/useAssembly';
import { type ProjectView, useProjectView } from '@/projects/context';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { saveFile } from '@/ui/saveFile';
import { useColors } from '@/ui/theme';
import { vanGaps } from './vanGaps';

/** What is packed and in stock, kept on this device. */
interface Van {
  closures: string[];
  stock: Record<string, number>;
  packed: string[];
}

const NO_WORKS: ClosureWork[] = [];

const EMPTY: Van = { closures: [], stock: {}, packed: [] };

/** What a set of closures takes, against what is in stock, as a checklist. */
export function PackPage() {
  const view = useProjectView();
  const { project, closures } = view;
  const [text, setText] = usePersisted(`cordel.van.${project.id}`, '');
  const van = readVan(text);
  const change = (part: Partial<Van>) => setText(JSON.stringify({ ...van, ...part }));
  const chosen = closures.filter((closure) => van.closures.includes(closure.id));
  const { works, error } = useWorks(chosen.map(({ id }) => id));
  const ready = works ?? NO_WORKS;
  const items = useMemo(() => itemsOf(ready, view), [ready, view]);
  const { withoutHardware, skipped } = vanGaps(chosen, view.assemblies, ready, project.limits);
  const toggle = (list: readonly string[], key: string) =>
    list.includes(key) ? list.filter((other) => other !== key) : [...list, key];
  return (
    <Page title={shared('packTheVan')} above={project.name} back={`/p/${project.id}/kit`}>
      <Text color="ink2">{t('forWhichClosures')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {closures
          .filter((closure) => !view.isArchived(closure))
          .map((closure) => {
            const on = van.closures.includes(closure.id);
            return (
              <Button
                key={closure.id}
                role="checkbox"
                aria-checked={on}
                look={on ? 'dark' : 'plain'}
                label={closure.name}
                onPress={() => change({ closures: toggle(van.closures, closure.id) })}
              />
            );
          })}
      </View>
      {chosen.length === 0 ? (
        <Notice>{t('chooseClosuresWhatTheyTakeIs')}</Notice>
      ) : works === null ? (
        // Half of what they take would be packed as the whole.
        <Waiting error={error} />
      ) : (
        <>
          {withoutHardware.length > 0 ? (
            <Notice word={t('hardwareMissing')} color="accent">
              {t('notCountedWithout', { closures: withoutHardware.join(', ') })}
            </Notice>
          ) : null}
          {skipped > 0 ? <Text>{t('skippedCounted', { skipped })}</Text> : null}
          <Text kind="strong">
            {t('forRedosExpected', {
              items: items.length,
              closures: chosen.length,
              redoPercent: project.practice.redoPercent,
            })}
          </Text>
          {(['van', 'store'] as const).map((from) => (
            <View key={from} style={{ gap: 8 }}>
              <Text kind="name" heading={2}>
                {t(from)}
              </Text>
              {items
                .filter((item) => item.from === from)
                .map((item) => (
                  <ItemRow
                    key={item.name}
                    item={item}
                    stock={van.stock[item.name]}
                    packed={van.packed.includes(item.name)}
                    onStock={(count) => change({ stock: { ...van.stock, [item.name]: count } })}
                    onPack={() => change({ packed: toggle(van.packed, item.name) })}
                  />
                ))}
            </View>
          ))}
          <Button
            label={t('saveAsCsv')}
            icon="download"
            look="next"
            onPress={() => void saveCsv(project.name, items, van)}
          />
        </>
      )}
    </Page>
  );
}

/** A thing to pack by its name, under which its stock is kept. */
type NamedItem = KitItem & { name: string };

const counted = (count: number, item: KitItem): string =>
  item.unit === 'ml' ? `${count} ml` : t('pieces', { pieces: count });

interface ItemRowProps {
  item: NamedItem;
  stock: number | undefined;
  packed: boolean;
  onStock(count: number): void;
  onPack(): void;
}

function ItemRow({ item, stock, packed, onStock, onPack }: ItemRowProps) {
  const colors = useColors();
  const short = stock === undefined ? 0 : Math.max(0, item.count - stock);
  return (
    <View
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
        gap: 10,
        alignItems: 'center',
        borderBottomWidth: 1,
        borderColor: colors.rule,
        paddingBottom: 8,
      }}
    >
      <Button
        role="checkbox"
        aria-checked={packed}
        aria-label={t('namePacked', { name: item.name })}
        icon={packed ? 'checkbox-marked-outline' : 'checkbox-blank-outline'}
        onPress={onPack}
      >
        <></>
      </Button>
      <View style={{ flex: 1, minWidth: 150 }}>
        <Text kind="strong">{item.name}</Text>
        <Text color="ink2">{kitReasonText(item)}</Text>
        {short > 0 ? (
          <Text color="accent" kind="strong">
            {t('countedShort', { counted: counted(short, item) })}
          </Text>
        ) : null}
      </View>
      <Text kind="name">{counted(item.count, item)}</Text>
      <TextInput
        mode="outlined"
        label={t('inStock')}
        aria-label={t('nameInStock', { name: item.name })}
        inputMode="numeric"
        value={stock === undefined ? '' : String(stock)}
        onChangeText={(typed) => {
          if (/^\d{1,6}$/.test(typed)) onStock(Number(typed));
        }}
        style={{ width: 110 }}
        outlineStyle={{ borderWidth: 2 }}
      />
    </View>
  );
}

function readVan(text: string): Van {
  try {
    return text === '' ? EMPTY : { ...EMPTY, ...(JSON.parse(text) as Partial<Van>) };
  } catch {
    return EMPTY;
  }
}

/** Counts from splices still to be made and from what enters each closure. */
function itemsOf(works: readonly ClosureWork[], view: ProjectView): NamedItem[] {
  const { limits, practice } = view.project;
  const closures = works.map((work) => {
    const opened = openedOf(work.closure, view, work.splices);
    const open = benchSplices(work, limits).filter(
      ({ judgement }) =>
        judgement.verdict === 'open' || judgement.verdict === 'skipped' || judgement.redo,
    );
    return {
      hardware: opened.hardware,
      splices: open,
      splitters: splittersIn(work, view),
      ports: open.length === 0 ? [] : opened.ports,
      entries:
        open.length === 0
          ? []
          : opened.entries.map(({ entry, cable, plan }) => ({ entry, makeUp: cable.makeUp, plan })),
    };
  });
  return kitList(closures, practice, (id) => view.cable(id)?.makeUp)
    .map((item) => ({ ...item, name: kitItemText(item.item) }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** Splitters of a closure that no fiber is spliced to yet. */
const splittersIn = (work: ClosureWork, { devices }: ProjectView): Splitter[] =>
  devices.flatMap(({ id, closureId, makeUp }) => {
    const isIn = benchStarted(work, id);
    return closureId === work.closure.id && makeUp.kind === 'splitter' && !isIn ? [makeUp] : [];
  });

/** Whether a splice of a device was made: it is in the closure. */
function benchStarted({ splices, evidence }: ClosureWork, deviceId: string): boolean {
  const made = new Set(evidence.map(({ spliceId }) => spliceId));
  return splices.some(
    ({ id, cableA, cableB }) => (cableA === deviceId || cableB === deviceId) && made.has(id),
  );
}

async function saveCsv(project: string, items: readonly NamedItem[], van: Van): Promise<void> {
  const { writeCsv } = await import('@cordel/core/csv');
  const text = writeCsv(
    ['item', 'count', 'unit', 'from', t('inStock2'), 'short', 'packed', 'why'],
    items.map((item) => {
      const { name, count, unit, from } = item;
      const stock = van.stock[name] ?? null;
      const short = stock === null ? null : Math.max(0, count - stock);
      const packed = van.packed.includes(name) ? 'yes' : 'no';
      return [name, count, unit, from, stock, short, packed, kitReasonText(item)];
    }),
  );
  saveFile(`${project} kit.csv`, text, 'text/csv');
}
