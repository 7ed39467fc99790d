import { useState } from 'react';
import { type Inspection, type Splice, type SpliceState, newInspection } from '@cordel/core';
import { inspectionForm as t } from '@cordel/text/pages/ledger/InspectionForm';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { SeenFields } from '@/bench/EndPart';
import { newStamp, recordEvidence } from '@/bench/record';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';

const NOTHING: Pick<Inspection, 'face' | 'light'> = { face: null, light: null };

/** What was seen of an end that is made: its end face, and light through it. */
export function InspectionForm({
  splice,
  spliceState,
}: {
  splice: Splice;
  spliceState: SpliceState;
}) {
  const { fiberName } = useProjectView();
  const [seen, setSeen] = useState(NOTHING);
  const save = () => {
    const tryId = spliceState.tries.at(-1)?.tryId ?? null;
    recordEvidence(
      [newInspection(newStamp(), splice.id, tryId, seen)],
      t('seenOf', { fiber: fiberName(splice.cableA, splice.fiberA, splice.legA) }),
    );
    setSeen(NOTHING);
  };
  return (
    <Card style={{ gap: 12 }}>
      <SeenFields
        seen={seen}
        onLight={(light) => setSeen({ ...seen, light })}
        onFace={(face) => setSeen({ ...seen, face })}
      />
      <Button
        label={shared('recordIt')}
        look="next"
        disabled={seen.face === null && seen.light === null}
        onPress={save}
      />
    </Card>
  );
}
