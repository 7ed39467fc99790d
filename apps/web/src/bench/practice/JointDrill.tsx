import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  ACTIONS,
  type Action,
  type DrillAnswer,
  type FiberAddress,
  REMEDY,
  addressOf,
  formatLoss,
  scoreDrill,
  worstCleave,
} from '@cordel/core';
import { type PracticeJoint, practiceRound } from '@cordel/standin';
import { actionText, faultText } from '@cordel/text/bench';
import { colourText } from '@cordel/text/fiber';
import { jointDrill as t } from '@cordel/text/pages/bench/JointDrill';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import { FiberEye, RibbonBar } from '@/ui/FiberEye';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { FONTS } from '@/ui/theme';

const JOINTS = 8;
/** What can be done before the arc, and after it. */
const BEFORE: readonly Action[] = ACTIONS.filter(
  (action) => action !== 'keep' && action !== 'redo' && action !== 'arc check',
);
const AFTER: readonly Action[] = ACTIONS.filter((action) => action !== 'sleeve on');

/** A round of joints on the simulated splicer, some of them with a fault, scored at its end. */
export function JointDrill() {
  const [seed, setSeed] = useState(() => Date.now() % 1_000_000);
  const round = useMemo(() => practiceRound(seed, JOINTS), [seed]);
  const [answers, setAnswers] = useState<DrillAnswer[]>([]);
  const [told, setTold] = useState<DrillAnswer | null>(null);
  const again = () => {
    setSeed(seed + 1);
    setAnswers([]);
    setTold(null);
  };
  const joint = round[answers.length - (told ? 1 : 0)];
  if (!joint || (answers.length === JOINTS && !told))
    return <Score answers={answers} onAgain={again} />;
  const act = (did: Action) => {
    const answer = { fault: joint.fault, did };
    setAnswers([...answers, answer]);
    setTold(answer);
  };
  return (
    <View style={{ gap: 12 }}>
      <Text kind="strong">
        {t('splicePlaceOfAll', { place: answers.length + (told ? 0 : 1), all: JOINTS })}
      </Text>
      <JointInHand
        key={`${seed} ${answers.length - (told ? 1 : 0)}`}
        joint={joint}
        onAct={act}
        done={told !== null}
      />
      {told ? (
        <>
          <Notice
            word={REMEDY[told.fault] === told.did ? shared('right') : t('missed')}
            color={REMEDY[told.fault] === told.did ? 'green' : 'accent'}
            live
          >
            {faultText(told.fault)}
          </Notice>
          <Button label={t('nextSplice')} look="next" onPress={() => setTold(null)} />
        </>
      ) : null}
    </View>
  );
}

function Score({ answers, onAgain }: { answers: readonly DrillAnswer[]; onAgain(): void }) {
  const { score, right, misses } = scoreDrill(answers);
  return (
    <View style={{ gap: 10 }}>
      <Text kind="figure">{t('scoreOf100', { score })}</Text>
      <Text>{t('ofSplicesRightASwapOr', { right, answers: answers.length })}</Text>
      {misses.map(({ place, fault, did }) => (
        <Notice
          key={place}
          word={t('splicePlaceFault', {
            place,
            fault: fault === 'none' ? shared('noFault') : fault,
          })}
          color="accent"
        >
          {t('youChoseActionFault', {
            action: actionText(did).toLowerCase(),
            fault: faultText(fault),
          })}
        </Notice>
      ))}
      <Button label={t('anotherRound')} look="next" onPress={onAgain} />
    </View>
  );
}

function JointInHand({
  joint,
  onAct,
  done,
}: {
  joint: PracticeJoint;
  onAct(action: Action): void;
  done: boolean;
}) {
  const { schemes, project } = useProjectView();
  const scheme = schemes.find(({ id }) => id === project.schemeId) ?? schemes[0]!;
  const [fired, setFired] = useState(false);
  const makeUp = { kind: 'loose-tube' as const, tubes: 1, fibersPerTube: 12 };
  const at = (place: number) => addressOf(makeUp, scheme, place);
  const { record, count } = joint;
  const stopped = !record.fused;
  const cleaves = record.fibers.flatMap((fiber) => worstCleave(fiber) ?? []);
  const estimates = record.fibers.map(({ estimateMdb }) => estimateMdb ?? 0);
  return (
    <Card style={{ gap: 10 }}>
      <Text>
        {count === 1
          ? t('thePlanFiberOnto', {
              left: String(joint.wanted[0]),
              leftColour: colourText(at(joint.wanted[0]!).fiber),
              right: String(joint.wanted[0]),
              rightColour: colourText(at(joint.wanted[0]!).fiber),
            })
          : t('thePlanRibbon1OntoRibbon')}
      </Text>
      <View style={{ flexDirection: 'row', justifyContent: 'space-around', gap: 8 }}>
        <Side title={t('left')} places={joint.left} at={at} />
        <Side title={t('right')} places={joint.right} at={at} />
      </View>
      <Text kind="strong">{joint.sleeve ? t('sleeveOnTheLeftFiber') : t('sleeveInItsBox')}</Text>
      <Text>
        {t('programFiberWorstCleave', {
          program: joint.program,
          glass: joint.glass,
          degrees: Math.max(...cleaves).toFixed(1),
        })}
      </Text>
      <Text>{t('lastEstimatesDb', { recent: joint.recent.map(formatLoss).join(', ') })}</Text>
      {stopped ? (
        <Notice word={t('theSplicerStopped')} color="accent">
          {t('itShowsBeforeTheArc', {
            error: record.fibers.find(({ error }) => error)?.error ?? 'nothing',
          })}
        </Notice>
      ) : null}
      {fired ? (
        <Text style={{ fontFamily: FONTS.bold, fontSize: 19 }}>
          {t('estimateEstimatesDb', { estimates: estimates.map(formatLoss).join(', ') })}
        </Text>
      ) : null}
      {done ? null : (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {!fired && !stopped ? (
            <Button label={t('startTheSplice')} look="next" onPress={() => setFired(true)} />
          ) : null}
          {(fired ? AFTER : BEFORE).map((action) => (
            <Button key={action} label={actionText(action)} onPress={() => onAct(action)} />
          ))}
        </View>
      )}
    </Card>
  );
}

function Side({
  title,
  places,
  at,
}: {
  title: string;
  places: readonly number[];
  at(place: number): FiberAddress;
}) {
  const first = at(places[0]!);
  return (
    <View style={{ alignItems: 'center', flex: 1 }}>
      <Text color="ink2">{title}</Text>
      {places.length === 1 ? (
        <FiberEye address={{ ...first, tube: null }} size={70} />
      ) : (
        <RibbonBar colours={places.map((place) => at(place).fiber)} marked={1} width={150} />
      )}
      <Text kind="strong">
        {places.length === 1
          ? `${colourText(first.fiber)} · ${first.fiber.letters}`
          : `${at(places[0]!).fiber.letters} … ${at(places.at(-1)!).fiber.letters}`}
      </Text>
    </View>
  );
}
