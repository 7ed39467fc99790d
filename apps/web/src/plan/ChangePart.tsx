import { View } from 'react-native';
import { type Placed, type Present, type EvaluatedPlan } from '@cordel/core';
import { obstacleText } from '@cordel/text/plan';
import { changePart as t } from '@cordel/text/pages/plan/ChangePart';
import { usePerson } from '@/data/session';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import type { PlanHook } from './usePlan';

/** How many splices of each kind are named before the rest is counted. */
const SHOWN = 4;

/** What the plan would change, before it changes anything, and the key that applies it. */
export function ChangePart({
  plan,
  evaluated,
}: {
  plan: PlanHook;
  evaluated: EvaluatedPlan<Present>;
}) {
  const { change, errors, obstacles } = evaluated;
  const { added, moved, dropped, retired } = change;
  const count = added.length + moved.length + dropped.length + retired.length;
  const [person] = usePerson();
  const unsaid =
    retired.length > 0 && ((plan.draft?.retire ?? '').trim() === '' || person.trim() === '');
  const blocked = errors.length + obstacles.length > 0;
  return (
    <Card style={{ gap: 10 }}>
      <Text kind="name" heading={2}>
        {t('whatItChanges')}
      </Text>
      <Text>
        {t('splicesPlannedOfThemHereAlready', {
          splices: evaluated.expanded.joints.length,
          kept: change.kept.length,
        })}
      </Text>
      <Some word={t('adds')} list={added} />
      <Some word={t('moves')} list={moved.map(({ to }) => to)} />
      <Some word={t('drops')} list={dropped} />
      <Some word={t('removes')} list={retired} />
      {obstacles
        .slice(0, SHOWN)
        .map((obstacle) => obstacleText(obstacle))
        .map((message) => (
          <Notice key={message} word={t('inTheWay')} color="accent">
            {message}
          </Notice>
        ))}
      {obstacles.length > SHOWN ? (
        <Text>{t('andObstaclesMore', { obstacles: obstacles.length - SHOWN })}</Text>
      ) : null}
      <CutAway plan={plan} evaluated={evaluated} />
      {errors.length > 0 ? (
        <Text color="accent">{t('linesToFixFirst', { lines: errors.length })}</Text>
      ) : null}
      <Sending plan={plan} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          look="next"
          label={count === 0 ? t('saveThePlan') : t('applyChanges', { changes: count })}
          disabled={blocked || unsaid || !plan.edited || plan.sent.state === 'sending'}
          onPress={() => void plan.carryOut()}
        />
        {plan.edited ? <Button label={t('backToThePlanAsIt')} onPress={plan.discard} /> : null}
      </View>
    </Card>
  );
}

/** Asks before splices that are made are removed, and who says so and why. */
function CutAway({ plan, evaluated }: { plan: PlanHook; evaluated: EvaluatedPlan<Present> }) {
  const [person, setPerson, isSignedIn] = usePerson();
  const { change } = evaluated;
  const why = plan.draft?.retire ?? null;
  const waiting = change.refused.filter(({ cut }) => cut).length;
  if (why === null)
    return waiting === 0 ? null : (
      <Button
        label={t('removeSplicesThatMade', {
          splices: waiting,
          waiting: waiting === 1 ? 'is' : 'are',
        })}
        icon="content-cut"
        onPress={() => plan.change({ retire: '' })}
      />
    );
  return (
    <Card style={{ gap: 10 }}>
      <Text kind="strong">{t('splicesToBeRemoved', { splices: change.retired.length })}</Text>
      <Text>{t('whatIsRecordedOfThemStays')}</Text>
      <Text color="accent">{t('ifLightIsOnThemAgree')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField
          label={t('whyTheyAreRemoved')}
          hint={t('suchAsCutOverToCable')}
          value={why}
          onChange={(text) => plan.change({ retire: text })}
        />
        {isSignedIn ? null : (
          <TextField label={t('decidedBy')} value={person} onChange={setPerson} />
        )}
      </View>
      <Button label={t('leaveThemAsTheyAre')} onPress={() => plan.change({ retire: null })} />
    </Card>
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
    <Text>
      <Text kind="strong">{`${word} ${list.length}. `}</Text>
      {`${named.join('; ')}${rest > 0 ? t('andRestMore', { rest }) : ''}.`}
    </Text>
  );
}

function Sending({ plan }: { plan: PlanHook }) {
  const { sent } = plan;
  if (sent.state === 'sending') return <Notice live>{t('beingApplied')}</Notice>;
  if (sent.state === 'refused')
    return (
      <Notice word={t('notApplied')} color="accent" live>
        {sent.message}
      </Notice>
    );
  if (sent.state === 'done')
    return (
      <Notice word={t('applied')} color="green" live>
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
