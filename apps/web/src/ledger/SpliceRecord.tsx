import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  type Evidence,
  type Splice,
  formatHalf,
  formatLoss,
  judgeSplice,
  reasonsFor,
  spliceState,
  standingOf,
} from '@cordel/core';
import { spliceStateText } from '@cordel/text/loss/states';
import { spliceReasonText } from '@cordel/text/loss';
import { colourText, unitText } from '@cordel/text/fiber';
import { useSplice } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { FiberEye } from '@/ui/FiberEye';
import { Notice, Waiting } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { STATE_INKS } from '@/ui/words';
import { useClock } from '@/projects/useClock';
import { EvidenceList } from './EvidenceList';
import { ReadingForm } from './ReadingForm';
import { RulingForm } from './RulingForm';
import { useRecordLevel } from './useRecordLevel';

/** One splice: what it joins, its verdict and why, its figures, everything recorded, what can be added. */
export function SpliceRecord({ spliceId }: { spliceId: string }) {
  const detail = useSplice(spliceId);
  if (!detail.data) return <Waiting error={detail.error} />;
  return <Record splice={detail.data.splice} evidence={detail.data.evidence} />;
}

function Record({ splice, evidence }: { splice: Splice; evidence: Evidence[] }) {
  const view = useProjectView();
  const level = useRecordLevel();
  const router = useRouter();
  const [adding, setAdding] = useState<'reading' | 'ruling' | null>(null);
  const { limits } = view.project;
  const { moment } = useClock();
  const standing = useMemo(() => standingOf(evidence), [evidence]);
  const judgement = judgeSplice(standing, splice.method, limits);
  const reasons = reasonsFor(standing, judgement, splice.method, limits);
  const state = spliceState(judgement);
  const closure = view.closures.find((entry) => entry.id === splice.closureId);
  const missing =
    judgement.missing.length > 0 && state !== 'accepted' && state !== 'dead'
      ? `Missing: ${limits.grade} at ${judgement.missing.join(' and ')} nm.`
      : '';
  return (
    <View style={{ gap: 14 }}>
      <View>
        <Txt ink="ink2">{`${closure?.name ?? ''} · tray ${splice.tray} slot ${splice.slot} · ${splice.method === 'mass' ? 'ribbon' : 'single'}`}</Txt>
        <Txt kind="name" heading={level.title}>
          {`${view.fiberName(splice.cableA, splice.fiberA)} to ${view.fiberName(splice.cableB, splice.fiberB)}`}
        </Txt>
      </View>
      {standing.retired ? (
        <Notice word="Removed." ink="accent">
          {`${moment(standing.retired.at)}, ${standing.retired.by}: ${standing.retired.why.replace(/\.?$/, '.')} What follows is how it lay.`}
        </Notice>
      ) : null}
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <EndWords cable={splice.cableA} fiber={splice.fiberA} />
        <EndWords cable={splice.cableB} fiber={splice.fiberB} />
      </View>
      <Notice
        word={`${spliceStateText(state).replace(/^./, (letter) => letter.toUpperCase())}.`}
        ink={standing.retired ? 'ink2' : STATE_INKS[state]}
      >
        {[...reasons.map((reason) => spliceReasonText(reason)), missing]
          .filter(Boolean)
          .join(' ') || (state === 'open' ? 'Nothing is recorded yet.' : 'Within the limits.')}
      </Notice>
      <View style={{ gap: 2 }}>
        <Txt kind="strong" heading={level.part}>
          What counts
        </Txt>
        {standing.figures.length === 0 ? <Txt ink="ink2">No figure yet.</Txt> : null}
        {standing.figures.map((figure) => (
          <View
            key={`${figure.grade} ${figure.wavelengthNm}`}
            style={{
              flexDirection: 'row',
              justifyContent: 'space-between',
              columnGap: 8,
              flexWrap: 'wrap',
            }}
          >
            <Txt>{`${figure.grade}${figure.wavelengthNm ? ` at ${figure.wavelengthNm} nm` : ''}`}</Txt>
            <Txt kind="strong">{`${formatHalf(figure.half)} dB, ${figure.origin}`}</Txt>
          </View>
        ))}
        {standing.directions.map(({ wavelengthNm, AB, BA }) => (
          <View
            key={wavelengthNm}
            style={{
              flexDirection: 'row',
              justifyContent: 'space-between',
              columnGap: 8,
              flexWrap: 'wrap',
            }}
          >
            <Txt ink="ink2">{`${wavelengthNm} nm one-way`}</Txt>
            <Txt ink="ink2">{`A to B ${AB === null ? 'missing' : formatLoss(AB)} · B to A ${BA === null ? 'missing' : formatLoss(BA)} dB`}</Txt>
          </View>
        ))}
      </View>
      {standing.retired ? null : (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <Press
            label="Add a measured figure"
            look={adding === 'reading' ? 'dark' : 'plain'}
            onPress={() => setAdding(adding === 'reading' ? null : 'reading')}
          />
          <Press
            label={standing.ruling ? 'Take the decision back' : 'Accept, redo, skip or remove'}
            look={adding === 'ruling' ? 'dark' : 'plain'}
            onPress={() => setAdding(adding === 'ruling' ? null : 'ruling')}
          />
          <Press
            label="At the Bench"
            onPress={() =>
              router.push(
                `/p/${view.project.id}/bench/${splice.closureId}?mode=${judgement.redo ? 'redo' : 'splice'}&splice=${splice.id}` as never,
              )
            }
          />
        </View>
      )}
      {adding === 'reading' ? <ReadingForm splice={splice} standing={standing} /> : null}
      {adding === 'ruling' ? (
        <RulingForm splice={splice} standing={standing} onDone={() => setAdding(null)} />
      ) : null}
      <EvidenceList evidence={evidence} />
      <Extra extra={splice.extra} />
    </View>
  );
}

function EndWords({ cable, fiber }: { cable: string; fiber: number }) {
  const view = useProjectView();
  const address = view.address(cable, fiber);
  if (!address) return null;
  return (
    <View style={{ flex: 1, flexDirection: 'row', gap: 8, alignItems: 'center' }}>
      <FiberEye address={address} size={54} />
      <View style={{ flex: 1 }}>
        <Txt kind="strong">{`${view.fiberName(cable, fiber)} ${colourText(address.fiber)}`}</Txt>
        <Txt
          kind="small"
          ink="ink2"
        >{`${[unitText(address), `position ${address.place.position}`, address.fiber.letters].filter(Boolean).join(' · ')}`}</Txt>
      </View>
    </View>
  );
}

function Extra({ extra }: { extra: Record<string, string> }) {
  const level = useRecordLevel();
  const entries = Object.entries(extra);
  if (entries.length === 0) return null;
  return (
    <View>
      <Txt kind="strong" heading={level.part}>
        From the splice list
      </Txt>
      {entries.map(([title, value]) => (
        <Txt key={title}>{`${title}: ${value}`}</Txt>
      ))}
    </View>
  );
}
