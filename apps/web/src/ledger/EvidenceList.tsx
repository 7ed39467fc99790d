import { View } from 'react-native';
import { type Evidence, formatLoss } from '@cordel/core';
import { recordEvidence, takeBack } from '@/bench/record';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { useInks } from '@/ui/theme';
import { useRecordLevel } from './useRecordLevel';

/** Everything recorded of a splice, the newest first. What was taken back stays in sight. */
export function EvidenceList({ evidence }: { evidence: readonly Evidence[] }) {
  const inks = useInks();
  const level = useRecordLevel();
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
              <Txt kind="small" ink="ink2">
                {`${new Date(entry.at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })} · ${entry.by}${over ? ` · taken back: ${over.why ?? ''}` : ''}`}
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

function entryWords(entry: Evidence, tries: readonly Evidence[]): string {
  if (entry.type === 'ruling')
    return `${{ dead: 'Skipped', waive: 'Waived', reopen: 'Opened again' }[entry.kind]}: ${entry.why}`;
  if (entry.void) return `Taken back: ${entry.why ?? ''}`;
  if (entry.type === 'attempt') {
    const count = tries.findIndex((first) => first.id === entry.tryId) + 1;
    return `Try ${count}: ${entry.estimateMdb === null ? 'no estimate' : `estimate ${formatLoss(entry.estimateMdb)} dB`}`;
  }
  const what =
    entry.direction === null ? entry.grade : entry.direction === 'AB' ? 'A to B' : 'B to A';
  return `${what} at ${entry.wavelengthNm} nm: ${formatLoss(entry.lossMdb)} dB`;
}
