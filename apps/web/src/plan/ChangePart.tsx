import { View } from 'react-native';
import { type Placed, type Present, type WeighedPlan } from '@cordel/core';
import { obstacleText } from '@cordel/text/plan';
import { changePart as t } from '@cordel/text/pages/plan/ChangePart';
import { usePerson } from '@/data/storage';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { TextField } from '@/ui/TextField';
import { Txt } from '@/ui/Txt';
import type { PlanHook } from './usePlan';

/** How many splices of each kind are named before the rest is counted. */
const SHOWN = 4;

/** What the plan would change, before it changes anything, and the key that applies it. */
export function ChangePart({ plan, weighed }: { plan: PlanHook; weighed: WeighedPlan<Present> }) {
  const { change, errors, obstacles } = weighed;
  const { added, moved, dropped, retired } = change;
  const count = added.length + moved.length + dropped.length + retired.length;
  const [person] = usePerson();
  const unsaid =
    retired.length > 0 && ((plan.draft?.retire ?? '').trim() === '' || person.trim() === '');
  const blocked = errors.length + obstacles.length > 0;
  return (
    <Leaf style={{ gap: 10 }}>
      <Txt kind="name" heading={2}>
        {t('whatItChanges')}
      </Txt>
      <Txt>
        {t('splicesPlannedOfThemHereAlready', {
          splices: weighed.expanded.joints.length,
          kept: change.kept.length,
        })}
      </Txt>
      <Some word={t('adds')} list={added} />
      <Some word={t('moves')} list={moved.map(({ to }) => to)} />
      <Some word={t('drops')} list={dropped} />
      <Some word={t('removes')} list={retired} />
      {obstacles
        .slice(0, SHOWN)
        .map((obstacle) => obstacleText(obstacle))
        .map((message) => (
          <Notice key={message} word={t('inTheWay')} ink="accent">
            {message}
          </Notice>
        ))}
      {obstacles.length > SHOWN ? (
        <Txt>{t('andObstaclesMore', { obstacles: obstacles.length - SHOWN })}</Txt>
      ) : null}
      <CutAway plan={plan} weighed={weighed} />
      {errors.length > 0 ? (
        <Txt ink="accent">{t('linesToFixFirst', { lines: errors.length })}</Txt>
      ) : null}
      <Sending plan={plan} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Press
          look="next"
          label={count === 0 ? t('saveThePlan') : t('applyChanges', { changes: count })}
          disabled={blocked || unsaid || !plan.edited || plan.sent.state === 'sending'}
          onPress={() => void plan.carryOut()}
        />
        {plan.edited ? <Press label={t('backToThePlanAsIt')} onPress={plan.discard} /> : null}
      </View>
    </Leaf>
  );
}

/** Asks before splices that are made are removed, and who says so and why. */
function CutAway({ plan, weighed }: { plan: PlanHook; weighed: WeighedPlan<Present> }) {
  const [person, setPerson] = usePerson();
  const { change } = weighed;
  const why = plan.draft?.retire ?? null;
  const waiting = change.refused.filter(({ cut }) => cut).length;
  if (why === null)
    return waiting === 0 ? null : (
      <Press
        label={t('removeSplicesThatMade', {
          splices: waiting,
          waiting: waiting === 1 ? 'is' : 'are',
        })}
        icon="content-cut"
        onPress={() => plan.change({ retire: '' })}
      />
    );
  return (
    <Leaf style={{ gap: 10 }}>
      <Txt kind="strong">{t('splicesToBeRemoved', { splices: change.retired.length })}</Txt>
      <Txt>{t('whatIsRecordedOfThemStays')}</Txt>
      <Txt ink="accent">{t('ifLightIsOnThemAgree')}</Txt>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField
          label={t('whyTheyAreRemoved')}
          hint={t('suchAsCutOverToCable')}
          value={why}
          onChange={(text) => plan.change({ retire: text })}
        />
        <TextField label={t('decidedBy')} value={person} onChange={setPerson} />
      </View>
      <Press label={t('leaveThemAsTheyAre')} onPress={() => plan.change({ retire: null })} />
    </Leaf>
  );
}

function Some({ word, list }: { word: string; list: readonly Placed[] }) {
  if (list.length === 0) return null;
  const named = list.slice(0, SHOWN).map((splice) =>
    t('toTraySlot', {
      cableA: splice.cableA,
      fiberA: splice.fiberA,
      cableB: splice.cableB,
      fiberB: splice.fiberB,
      tray: splice.tray,
      slot: splice.slot,
    }),
  );
  const rest = list.length - named.length;
  return (
    <Txt>
      <Txt kind="strong">{`${word} ${list.length}. `}</Txt>
      {`${named.join('; ')}${rest > 0 ? t('andRestMore', { rest }) : ''}.`}
    </Txt>
  );
}

function Sending({ plan }: { plan: PlanHook }) {
  const { sent } = plan;
  if (sent.state === 'sending') return <Notice live>{t('beingApplied')}</Notice>;
  if (sent.state === 'refused')
    return (
      <Notice word={t('notApplied')} ink="accent" live>
        {sent.message}
      </Notice>
    );
  if (sent.state === 'done')
    return (
      <Notice word={t('applied')} ink="green" live>
        {t('addedMovedDropped', {
          added: sent.added,
          moved: sent.moved,
          dropped: sent.dropped,
          retired: sent.retired > 0 ? t('retiredRemoved', { retired: sent.retired }) : '',
        })}
      </Notice>
    );
  return null;
}
