import { View } from 'react-native';
import {
  type Evidence,
  type ReceivedRecord,
  type Ruling,
  formatLoss,
  worstCleave,
} from '@cordel/core';
import { recordEvidence, takeBack } from '@/bench/record';
import { useSplicerRecords } from '@/bench/useStation';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { useInks } from '@/ui/theme';
import { useRecordLevel } from './useRecordLevel';

/** Everything recorded of a splice, the newest first. What was taken back stays in sight. */
export function EvidenceList({ evidence }: { evidence: readonly Evidence[] }) {
  const inks = useInks();
  const { moment } = useClock();
  const level = useRecordLevel();
  const { project } = useProjectView();
  const byItself = evidence.some((entry) => entry.type === 'attempt' && entry.recordId !== null);
  const records = useSplicerRecords(project.id, byItself).data;
  const superseded = new Map<string, Evidence>();
  for (const entry of evidence)
    if (entry.type !== 'ruling' && entry.supersedes) superseded.set(entry.supersedes, entry);
  const tries = evidence.filter((entry) => entry.type === 'attempt' && entry.supersedes === null);
  return (
    <View style={{ gap: 2 }}>
      <Txt kind="strong" heading={level.part}>
        Recorded
      </Txt>
      {evidence.length === 0 ? <Txt ink="ink2">Nothing yet.</Txt> : null}
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
              borderColor: inks.rule,
              minHeight: 48,
            }}
          >
            <View style={{ flex: 1, paddingVertical: 4 }}>
              <Txt style={over ? { textDecorationLine: 'line-through' } : undefined}>
                {entryWords(entry, tries)}
              </Txt>
              {entry.type === 'attempt' && entry.recordId !== null ? (
                <Txt kind="small">
                  {recordWords(
                    records?.find(({ id }) => id === entry.recordId),
                    entry.recordPosition,
                  )}
                </Txt>
              ) : null}
              <Txt kind="small" ink="ink2">
                {`${moment(entry.at)} · ${entry.by}${over ? ` · taken back: ${over.why ?? ''}` : ''}`}
              </Txt>
            </View>
            {can ? (
              <Press
                label="Take back"
                look="bare"
                onPress={() =>
                  recordEvidence(
                    [takeBack(entry, 'Recorded by mistake, taken back in the Ledger.')],
                    'An entry taken back',
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
  if (!record) return 'By the splicer’s record.';
  const fiber = record.fibers.find((seen) => seen.position === position);
  const cleave = fiber ? worstCleave(fiber) : null;
  return [
    `By the splicer’s record number ${record.number}`,
    record.fibers.length > 1 ? `place ${position}` : '',
    cleave === null ? '' : `cleave ${cleave.toFixed(1)}°`,
    fiber?.offset == null ? '' : `offset ${fiber.offset.toFixed(1)} um`,
    record.tension === null ? '' : `tension test ${record.tension}`,
    `${record.arcs} arcs`,
  ]
    .filter(Boolean)
    .join(' · ');
}

const RULINGS: Record<Ruling['kind'], string> = {
  dead: 'Called dead',
  skip: 'Skipped',
  redo: 'Sent to redo',
  waive: 'Accepted by the lead',
  reopen: 'Taken back',
  retire: 'Removed',
};

function entryWords(entry: Evidence, tries: readonly Evidence[]): string {
  if (entry.type === 'ruling') return `${RULINGS[entry.kind]}: ${entry.why}`;
  if (entry.void) return `Taken back: ${entry.why ?? ''}`;
  if (entry.type === 'attempt') {
    const count = tries.findIndex((first) => first.id === entry.tryId) + 1;
    return `Attempt ${count}: ${entry.estimateMdb === null ? 'no estimate' : `estimate ${formatLoss(entry.estimateMdb)} dB`}, ${entry.origin}`;
  }
  const what =
    entry.direction === null ? entry.grade : entry.direction === 'AB' ? 'A to B' : 'B to A';
  return `${what} at ${entry.wavelengthNm} nm: ${formatLoss(entry.lossMdb)} dB${entry.traceId === null ? '' : ', from a trace'}, ${entry.origin}`;
}
