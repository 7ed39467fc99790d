import { View } from 'react-native';
import {
  type Evidence,
  type ReceivedRecord,
  type Ruling,
  formatLoss,
  worstCleave,
  takeBack,
} from '@cordel/core';
import { evidenceList as t } from '@cordel/text/pages/ledger/EvidenceList';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { newStamp, recordEvidence } from '@/bench/record';
import { useSplicerRecords } from '@/bench/useStation';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { useRecordLevel } from './useRecordLevel';

/** Everything recorded of a splice, the newest first. What was taken back stays in sight. */
export function EvidenceList({ evidence }: { evidence: readonly Evidence[] }) {
  const colors = useColors();
  const { moment } = useClock();
  const level = useRecordLevel();
  const { project } = useProjectView();
  const sentAlone = evidence.some((entry) => entry.type === 'attempt' && entry.recordId !== null);
  const records = useSplicerRecords(project.id, sentAlone).data;
  const superseded = new Map<string, Evidence>();
  for (const entry of evidence)
    if (entry.type !== 'ruling' && entry.supersedes) superseded.set(entry.supersedes, entry);
  const tries = evidence.filter((entry) => entry.type === 'attempt' && entry.supersedes === null);
  return (
    <View style={{ gap: 2 }}>
      <Text kind="strong" heading={level.part}>
        {t('recorded')}
      </Text>
      {evidence.length === 0 ? <Text color="ink2">{t('nothingYet')}</Text> : null}
      {[...evidence].reverse().map((entry) => {
        const over = superseded.get(entry.id);
        const can = entry.type !== 'ruling' && !over && !entry.void;
        return (
          <View
            key={entry.id}
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              gap: 8,
              borderBottomWidth: 1,
              borderColor: colors.rule,
              minHeight: 48,
            }}
          >
            <View style={{ flex: 1, paddingVertical: 4 }}>
              <Text style={over ? { textDecorationLine: 'line-through' } : undefined}>
                {entryWords(entry, tries)}
              </Text>
              {entry.type === 'attempt' && entry.recordId !== null ? (
                <Text kind="small">
                  {recordWords(
                    records?.find(({ id }) => id === entry.recordId),
                    entry.recordPosition,
                  )}
                </Text>
              ) : null}
              <Text kind="small" color="ink2">
                {`${moment(entry.at)} · ${entry.by}${over ? t('takenBackWhy', { why: over.why ?? '' }) : ''}`}
              </Text>
            </View>
            {can ? (
              <Button
                label={t('takeBack')}
                look="bare"
                onPress={() =>
                  recordEvidence(
                    [takeBack(newStamp(), entry, t('recordedByMistakeTakenBackIn'))],
                    t('anEntryTakenBack'),
                  )
                }
              />
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

/** What the splicer recorded with a try, in a line. */
function recordWords(record: ReceivedRecord | undefined, position: number | null): string {
  if (!record) return t('byTheSplicersRecord');
  const fiber = record.fibers.find((seen) => seen.position === position);
  const cleave = fiber ? worstCleave(fiber) : null;
  return [
    t('byTheSplicersRecordNumber', { number: record.number }),
    record.fibers.length > 1 ? t('placePosition', { position: position ?? '' }) : '',
    cleave === null ? '' : t('cleave', { cleave: cleave.toFixed(1) }),
    fiber?.offset == null ? '' : t('offsetUm', { offset: fiber.offset.toFixed(1) }),
    record.tension === null ? '' : t('tensionTestTension', { tension: record.tension }),
    t('arcs', { arcs: record.arcs }),
  ]
    .filter(Boolean)
    .join(' · ');
}

const RULINGS: Record<Ruling['kind'], string> = {
  dead: t('calledDead'),
  skip: t('skipped'),
  redo: t('sentToRedo'),
  waive: t('acceptedByTheLead'),
  reopen: t('takenBack'),
  retire: t('removed'),
};

function entryWords(entry: Evidence, tries: readonly Evidence[]): string {
  if (entry.type === 'ruling') return `${RULINGS[entry.kind]}: ${entry.why}`;
  if (entry.void) return t('takenBackWhy2', { why: entry.why ?? '' });
  if (entry.type === 'attempt') {
    const count = tries.findIndex((first) => first.id === entry.tryId) + 1;
    return t('attemptCountEstimateMdbOrigin', {
      count,
      estimateMdb:
        entry.estimateMdb === null
          ? t('noEstimate')
          : t('estimateDb', { estimate: formatLoss(entry.estimateMdb) }),
      origin: entry.origin,
    });
  }
  if (entry.type === 'inspection')
    return [
      entry.face === null ? '' : t(entry.face === 'pass' ? 'facePasses' : 'faceFails'),
      entry.light === null ? '' : t(entry.light === 'seen' ? 'lightSeen' : 'noLight'),
      entry.origin === 'typed' ? '' : entry.origin,
    ]
      .filter(Boolean)
      .join(' · ');
  const what =
    entry.direction === null
      ? entry.grade
      : entry.direction === 'AB'
        ? shared('aToB')
        : shared('bToA');
  return t('atNmDb', {
    what,
    wavelengthNm: entry.wavelengthNm,
    loss: formatLoss(entry.lossMdb),
    traceId: entry.traceId === null ? '' : t('fromATrace'),
    origin: entry.origin,
  });
}
