import { View } from 'react-native';
import { type Placed, type Present, type WeighedPlan, plural } from '@cordel/core';
import { obstacleText } from '@cordel/text/plan';
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
        What it changes
      </Txt>
      <Txt>{`${plural(weighed.expanded.joints.length, 'splice')} planned, ${change.kept.length} of them here already.`}</Txt>
      <Some word="Adds" list={added} />
      <Some word="Moves" list={moved.map(({ to }) => to)} />
      <Some word="Drops" list={dropped} />
      <Some word="Removes" list={retired} />
      {obstacles
        .slice(0, SHOWN)
        .map((obstacle) => obstacleText(obstacle))
        .map((message) => (
          <Notice key={message} word="In the way." ink="accent">
            {message}
          </Notice>
        ))}
      {obstacles.length > SHOWN ? <Txt>{`and ${obstacles.length - SHOWN} more`}</Txt> : null}
      <CutAway plan={plan} weighed={weighed} />
      {errors.length > 0 ? (
        <Txt ink="accent">{`${plural(errors.length, 'line')} to fix first.`}</Txt>
      ) : null}
      <Sending plan={plan} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Press
          look="next"
          label={count === 0 ? 'Save the plan' : `Apply: ${plural(count, 'change')}`}
          disabled={blocked || unsaid || !plan.edited || plan.sent.state === 'sending'}
          onPress={() => void plan.carryOut()}
        />
        {plan.edited ? <Press label="Back to the plan as it was" onPress={plan.discard} /> : null}
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
        label={`Remove ${plural(waiting, 'splice')} that ${waiting === 1 ? 'is' : 'are'} made`}
        icon="content-cut"
        onPress={() => plan.change({ retire: '' })}
      />
    );
  return (
    <Leaf style={{ gap: 10 }}>
      <Txt kind="strong">{`${plural(change.retired.length, 'splice')} to be removed`}</Txt>
      <Txt>
        What is recorded of them stays with the closure; their fibers and slots are free for others.
      </Txt>
      <Txt ink="accent">
        If light is on them, agree the time with the owner first, as the company’s practice says,
        and never look into a fiber.
      </Txt>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextField
          label="Why they are removed"
          hint="Such as cut-over to cable D"
          value={why}
          onChange={(text) => plan.change({ retire: text })}
        />
        <TextField label="Who says so" value={person} onChange={setPerson} />
      </View>
      <Press label="Leave them as they are" onPress={() => plan.change({ retire: null })} />
    </Leaf>
  );
}

function Some({ word, list }: { word: string; list: readonly Placed[] }) {
  if (list.length === 0) return null;
  const named = list
    .slice(0, SHOWN)
    .map(
      (splice) =>
        `${splice.cableA} ${splice.fiberA} to ${splice.cableB} ${splice.fiberB}, tray ${splice.tray} slot ${splice.slot}`,
    );
  const rest = list.length - named.length;
  return (
    <Txt>
      <Txt kind="strong">{`${word} ${list.length}. `}</Txt>
      {`${named.join('; ')}${rest > 0 ? `; and ${rest} more` : ''}.`}
    </Txt>
  );
}

function Sending({ plan }: { plan: PlanHook }) {
  const { sent } = plan;
  if (sent.state === 'sending') return <Notice live>Being applied …</Notice>;
  if (sent.state === 'refused')
    return (
      <Notice word="Not applied." ink="accent" live>
        {sent.message}
      </Notice>
    );
  if (sent.state === 'done')
    return (
      <Notice word="Applied." ink="green" live>
        {`${sent.added} added, ${sent.moved} moved, ${sent.dropped} dropped${sent.retired > 0 ? `, ${sent.retired} removed` : ''}.`}
      </Notice>
    );
  return null;
}
