import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type LinkEntryOf, UNCORRECTED, continuityList, isDevice } from '@cordel/core';
import { colourText, unitText } from '@cordel/text/fiber';
import { linksPages as t } from '@cordel/text/pages/links/links';
import { useLive } from '@/data/changes';
import { usePersisted } from '@/data/storage';
import { CableSelect } from '@/projects/CableSelect';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { FiberEye } from '@/ui/FiberEye';
import { Notice, Waiting } from '@/ui/Notice';
import { NumberField } from '@/ui/NumberField';
import { Page } from '@/ui/Page';
import { Progress } from '@/ui/Progress';
import { Text } from '@/ui/Text';
import { FONTS } from '@/ui/theme';
import { type ShownLink, recordLinks, useLinks } from './useLinks';

type Seen = LinkEntryOf<'continuity'>['seen'];
type Part = 'send' | 'look';

/** The right fiber at the right port, found by light: two people with two phones go through a cable together. */
export function ContinuityPage() {
  const { project, cables } = useProjectView();
  const router = useRouter();
  const params = useLocalSearchParams<{ cable?: string }>();
  const cableId = params.cable ?? cables[0]?.id ?? '';
  const { query, shown } = useLinks(cableId);
  const isLive = useLive();
  const [kept, setPart] = usePersisted('cordel.continuity-part', 'look');
  const part = kept as Part;
  // Where somebody wants to be, other than where both are.
  const [wish, setWish] = useState<number | null>(null);
  const [after, setAfter] = useState(0);
  const links = shown?.links ?? [];
  const byFiber = new Map(links.map((link) => [link.fiber, link]));
  const list = continuityList(
    links.map(({ fiber }) => fiber),
    (fiber) => byFiber.get(fiber)?.state,
    after,
  );
  const fiber = wish ?? list.next;
  const link = fiber === null ? undefined : byFiber.get(fiber);
  const say = (seen: Seen, seenFiber: number | null) => {
    recordLinks(
      project.id,
      [
        {
          kind: 'continuity',
          cableId,
          fiber: link!.fiber,
          direction: 'AB',
          seen,
          seenFiber,
          ...UNCORRECTED,
        },
      ],
      t('seenThrough', { fiber: link!.fiber }),
    );
    setAfter(link!.fiber);
    setWish(null);
  };
  return (
    <Page
      title={t('continuity')}
      above={project.name}
      back={`/p/${project.id}/ledger/links?cable=${cableId}`}
    >
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'flex-end', flexWrap: 'wrap' }}>
        <CableSelect
          value={cableId}
          onChange={(id) => {
            setWish(null);
            setAfter(0);
            router.setParams({ cable: id });
          }}
        />
      </View>
      <View role="radiogroup" aria-label={t('continuity')} style={{ flexDirection: 'row', gap: 8 }}>
        <Button
          role="radio"
          aria-checked={part === 'send'}
          label={t('iSend')}
          look={part === 'send' ? 'dark' : 'plain'}
          style={{ flex: 1 }}
          onPress={() => setPart('send')}
        />
        <Button
          role="radio"
          aria-checked={part === 'look'}
          label={t('iLook')}
          look={part === 'look' ? 'dark' : 'plain'}
          style={{ flex: 1 }}
          onPress={() => setPart('look')}
        />
      </View>
      {shown ? (
        <>
          <Text color={isLive ? 'ink2' : 'accent'}>
            {isLive ? t('twoPhones') : t('noConnectionNow')}
          </Text>
          <Progress done={list.right} total={links.length} label={t('continuity')}>
            {t('right', { right: list.right, all: links.length })}
          </Progress>
          {link ? (
            <InHand
              key={link.fiber}
              link={link}
              links={links}
              cableId={cableId}
              part={part}
              onSay={say}
              onLater={() => {
                setAfter(link.fiber);
                setWish(null);
              }}
            />
          ) : (
            <Notice word={`${t('allChecked')}`} color={list.wrong.length > 0 ? 'ink' : 'green'}>
              {t('right', { right: list.right, all: links.length })}
            </Notice>
          )}
          <WrongList list={list} onAgain={setWish} />
        </>
      ) : (
        <Waiting error={query.error} again={() => void query.refetch()} />
      )}
    </Page>
  );
}

interface InHandProps {
  link: ShownLink;
  links: readonly ShownLink[];
  cableId: string;
  part: Part;
  onSay(seen: Seen, seenFiber: number | null): void;
  onLater(): void;
}

/** The fiber that both have: who puts light in sees where to, who looks says what is seen. */
function InHand({ link, links, cableId, part, onSay, onLater }: InHandProps) {
  const view = useProjectView();
  const [isElsewhere, setElsewhere] = useState(false);
  const [other, setOther] = useState(NaN);
  const address = view.address(cableId, link.fiber);
  const isPort = address !== null && isDevice(view.cable(cableId)!.makeUp);
  const isFiber = links.some(({ fiber }) => fiber === other && fiber !== link.fiber);
  return (
    <Card style={{ gap: 12 }}>
      <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
        {address ? <FiberEye address={address} size={84} /> : null}
        <View style={{ flex: 1 }}>
          <Text>{part === 'send' ? t('lightInto') : t('lookAt')}</Text>
          <Text
            heading={2}
            aria-live="polite"
            style={{ fontFamily: FONTS.bold, fontSize: 32, lineHeight: 40 }}
          >
            {t('fiberNumber', { fiber: link.fiber })}
          </Text>
          {address && !isPort ? (
            <Text kind="strong">
              {[unitText(address), colourText(address.fiber)].filter(Boolean).join(', ')}
            </Text>
          ) : null}
          <Text>{t('atPlace', { place: part === 'send' ? link.from : link.to })}</Text>
        </View>
      </View>
      {part === 'send' ? (
        <Text color="ink2">{t('waitingForOther')}</Text>
      ) : (
        <>
          <Button
            label={t('lightHere')}
            icon="lightbulb-on-outline"
            look="next"
            style={{ minHeight: 72 }}
            onPress={() => onSay('here', null)}
          />
          <View style={{ flexDirection: 'row', gap: 8 }}>
            <Button
              label={t('noLight')}
              icon="lightbulb-off-outline"
              style={{ flex: 1, minHeight: 56 }}
              onPress={() => onSay('none', null)}
            />
            <Button
              label={t('atAnotherPort')}
              icon="swap-horizontal"
              style={{ flex: 1, minHeight: 56 }}
              aria-expanded={isElsewhere}
              onPress={() => setElsewhere(!isElsewhere)}
            />
          </View>
          {isElsewhere ? (
            <View style={{ flexDirection: 'row', gap: 8, alignItems: 'flex-end' }}>
              <NumberField label={t('whichFiber')} value={other} onChange={setOther} />
              <Button
                label={t('record')}
                look="next"
                disabled={!isFiber}
                onPress={() => onSay('elsewhere', other)}
              />
            </View>
          ) : null}
        </>
      )}
      <Button label={t('passOver')} look="bare" onPress={onLater} />
      <Text kind="small" color="ink2">
        {t('redLight')}
      </Text>
    </Card>
  );
}

function WrongList({
  list,
  onAgain,
}: {
  list: ReturnType<typeof continuityList>;
  onAgain(fiber: number): void;
}) {
  if (list.wrong.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text kind="name" heading={2}>
        {t('wrongOnes')}
      </Text>
      {list.swapped.map(([one, other]) => (
        <Notice key={one} word={t('swappedPair', { one, other })} color="accent">
          {''}
        </Notice>
      ))}
      {list.wrong.map(({ id, fiber, seen, seenFiber }) => (
        <View
          key={id}
          style={{ flexDirection: 'row', gap: 8, alignItems: 'center', flexWrap: 'wrap' }}
        >
          <Text color="accent" style={{ flexShrink: 1 }}>
            {seen === 'none'
              ? t('fiberNoLight', { fiber })
              : t('fiberElsewhere', { fiber, seen: seenFiber ?? 0 })}
          </Text>
          <Button label={t('checkAgain', { fiber })} onPress={() => onAgain(fiber)} />
        </View>
      ))}
    </View>
  );
}
