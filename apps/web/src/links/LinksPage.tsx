import { FlashList } from '@shopify/flash-list';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Direction } from '@cordel/core';
import { linksPages as t } from '@cordel/text/pages/links/links';
import { tracesShared as traces } from '@cordel/text/pages/traces/shared';
import { CableSelect } from '@/projects/CableSelect';
import { useProjectView } from '@/projects/context';
import { ProofTabs } from '@/traces/ProofTabs';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Field';
import { Empty, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Text } from '@/ui/Text';
import { LinkRow } from './LinkRow';
import { MeasurePart } from './MeasurePart';
import { ReferencePart } from './ReferencePart';
import { type ShownLink, useLinks } from './useLinks';

/** Links measured port to port: the reference, the fiber in hand, and every circuit of a cable against its budget. */
export function LinksPage() {
  const { project, cables } = useProjectView();
  const router = useRouter();
  const params = useLocalSearchParams<{ cable?: string }>();
  const cableId = params.cable ?? cables[0]?.id ?? '';
  const { query, shown } = useLinks(cableId);
  const { wavelengths } = project.limits;
  const [nm, setNm] = useState(wavelengths.at(-1)!);
  const [direction, setDirection] = useState<Direction>('AB');
  const [chosen, setChosen] = useState<number | null>(null);
  const [isOpen, setOpen] = useState(false);
  const [showsAll, setShowsAll] = useState(false);
  const all = shown?.links ?? [];
  // What is not spliced through has no link yet; what was measured all the same stays in sight.
  const links = showsAll
    ? all
    : all.filter(({ isThrough, state }) => isThrough || state.losses.length > 0);
  const reference = shown?.references.get(nm) ?? null;
  const fiber = chosen ?? nextOf(links, nm, direction, 0) ?? links[0]?.fiber ?? 0;
  const link = links.find((one) => one.fiber === fiber);
  const to = (path: string) => router.push(`/p/${project.id}/ledger/${path}` as never);
  const head = (
    <View style={{ gap: 12, paddingBottom: 10 }}>
      <ProofTabs />
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'flex-end', flexWrap: 'wrap' }}>
        <CableSelect
          value={cableId}
          onChange={(id) => {
            setChosen(null);
            router.setParams({ cable: id });
          }}
        />
        <Choice
          label={traces('wavelengthNm')}
          value={String(nm)}
          options={wavelengths.map((value) => ({ value: String(value), label: String(value) }))}
          onChange={(value) => setNm(Number(value))}
        />
        {link ? (
          <Choice
            label={t('sourceAt')}
            value={direction}
            options={[
              { value: 'AB', label: link.from },
              { value: 'BA', label: link.to },
            ]}
            onChange={(value) => setDirection(value as Direction)}
          />
        ) : null}
      </View>
      {shown ? (
        <>
          {link && reference && !isOpen ? (
            <MeasurePart
              key={`${link.key} ${nm} ${direction}`}
              link={link}
              nm={nm}
              direction={direction}
              reference={reference}
              cableId={cableId}
              isLast={nextOf(links, nm, direction, fiber) === null}
              onGo={(by) => setChosen(around(links, fiber, by))}
              onDone={() => setChosen(nextOf(links, nm, direction, fiber) ?? fiber)}
            />
          ) : null}
          <ReferencePart nm={nm} reference={reference} isOpen={isOpen} setOpen={setOpen} />
          <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
            <Button
              label={t('checkByLight')}
              icon="lightbulb-on-outline"
              onPress={() => to(`continuity?cable=${cableId}`)}
            />
            <Button
              label={t('importAList')}
              icon="file-upload-outline"
              onPress={() => to(`link-import?cable=${cableId}`)}
            />
          </View>
          {links.length > 0 ? <Summary links={links} nm={nm} /> : null}
          {links.length < all.length ? (
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
              <Text>{t('notThrough', { fibers: all.length - links.length })}</Text>
              <Button label={t('showAllFibers')} onPress={() => setShowsAll(true)} />
            </View>
          ) : null}
        </>
      ) : cables.length > 0 ? (
        <Waiting error={query.error} again={() => void query.refetch()} />
      ) : null}
    </View>
  );
  return (
    <Page
      title={t('linkTest')}
      above={project.name}
      back={`/p/${project.id}/ledger`}
      scroll={false}
    >
      <View style={{ flex: 1 }}>
        <FlashList
          data={links}
          keyExtractor={({ key }) => key}
          ListHeaderComponent={head}
          ListEmptyComponent={
            cables.length === 0 ? (
              <Empty
                title={t('noCableYet')}
                action={
                  <Button
                    label={t('cablesOfTheProject')}
                    look="next"
                    onPress={() => router.push(`/p/${project.id}/kit/cables` as never)}
                  />
                }
              >
                {t('addACableFirst')}
              </Empty>
            ) : null
          }
          renderItem={({ item }) => (
            <LinkRow
              link={item}
              isChosen={item.fiber === fiber}
              onChoose={() => setChosen(item.fiber)}
            />
          )}
        />
      </View>
    </Page>
  );
}

/** The next fiber behind one that is not measured so; null where all are. */
function nextOf(
  links: readonly ShownLink[],
  nm: number,
  direction: Direction,
  after: number,
): number | null {
  const open = links.filter(({ state, fiber }) => {
    const loss = state.losses.find(({ wavelengthNm }) => wavelengthNm === nm);
    return fiber !== after && !loss?.[direction];
  });
  return (open.find(({ fiber }) => fiber > after) ?? open[0])?.fiber ?? null;
}

/** The fiber before or behind one, without leaving the cable. */
function around(links: readonly ShownLink[], fiber: number, by: 1 | -1): number {
  const at = links.findIndex((link) => link.fiber === fiber) + by;
  return links[Math.min(links.length - 1, Math.max(0, at))]?.fiber ?? fiber;
}

function Summary({ links, nm }: { links: readonly ShownLink[]; nm: number }) {
  const judged = links.flatMap(({ verdict }) =>
    verdict.judgements.filter(({ wavelengthNm }) => wavelengthNm === nm),
  );
  const fails = judged.filter(({ verdict }) => verdict === 'fail').length;
  return (
    <Text aria-live="polite">
      <Text kind="strong">
        {t('measuredOf', {
          measured: judged.filter(({ isTwoWay }) => isTwoWay).length,
          oneWay: judged.filter(({ isTwoWay }) => !isTwoWay).length,
          all: links.length,
          wavelengthNm: nm,
        })}
      </Text>
      {', '}
      <Text kind="strong" color={fails > 0 ? 'accent' : 'ink'}>
        {t('overBudget', { fails })}
      </Text>
      {'.'}
    </Text>
  );
}
