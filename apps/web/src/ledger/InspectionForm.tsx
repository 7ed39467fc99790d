import { useState } from 'react';
import {
  type Inspection,
  type Splice,
  type SpliceState,
  gradeFace,
  newInspection,
} from '@cordel/core';
import { inspectionForm as t } from '@cordel/text/pages/ledger/InspectionForm';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { SeenFields } from '@/bench/EndPart';
import { newStamp, recordEvidence } from '@/bench/record';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { EndFacePart, type FaceDetails, NO_DETAILS } from './EndFacePart';
import { usePolish } from './usePolish';

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
  const polish = usePolish(splice);
  const [seen, setSeen] = useState(NOTHING);
  const [details, setDetails] = useState(NO_DETAILS);
  // What was counted is graded by its limits; a grade without marks is a person's.
  const face = details.marks ? gradeFace(details.marks, polish).face : seen.face;
  const change = (next: FaceDetails) => {
    // Marks that are counted no more leave their grade behind as a person's word.
    if (details.marks && !next.marks) setSeen({ ...seen, face: null });
    setDetails(next);
  };
  const save = () => {
    const tryId = spliceState.tries.at(-1)?.tryId ?? null;
    recordEvidence(
      [newInspection(newStamp(), splice.id, tryId, { ...seen, face, ...details })],
      t('seenOf', { fiber: fiberName(splice.cableA, splice.fiberA, splice.legA) }),
    );
    setSeen(NOTHING);
    setDetails(NO_DETAILS);
  };
  const isGraded = face !== null || (details.photoId === null && details.marks === null);
  return (
    <Card style={{ gap: 12 }}>
      <SeenFields
        seen={{ ...seen, face }}
        onLight={(light) => setSeen({ ...seen, light })}
        onFace={(graded) => {
          setSeen({ ...seen, face: graded });
          setDetails({ ...details, marks: null });
        }}
      />
      <EndFacePart
        closureId={splice.closureId}
        polish={polish}
        details={details}
        onChange={change}
      />
      <Button
        label={shared('recordIt')}
        look="next"
        disabled={(face === null && seen.light === null) || !isGraded}
        onPress={save}
      />
    </Card>
  );
}
