import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { EntryOf } from '@cordel/core/close';
import { pointText, recordChangeText, signingBlockText } from '@cordel/text/close';
import { signPart as t } from '@cordel/text/pages/closing/SignPart';
import { closingShared } from '@cordel/text/pages/closing/shared';
import { errorText } from '@cordel/text/record';
import { accounts } from '@cordel/text/pages/accounts/accounts';
import { useConfirm } from '@/accounts/useConfirm';
import { useMay, usePerson } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { useOpening } from '@/prep/useOpening';
import { useClock } from '@/projects/useClock';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Toggle } from '@/ui/Toggle';
import { Text } from '@/ui/Text';
import { pointStateText, readOf } from './pointWords';
import { SignaturePad } from './SignaturePad';
import { Signed } from './Signed';
import type { Closing, ClosingHook } from './useClosing';

type Role = EntryOf<'sign'>['role'];

const ROLES: Role[] = ['technician', 'lead'];

/** Signatures, and what they stand under: a digest that any later change shows against. */
export function SignPart({ closing, write }: { closing: Closing; write: ClosingHook['write'] }) {
  const { state, signed } = closing;
  const { project } = useProjectView();
  const router = useRouter();
  const opening = useOpening(closing.closure.id);
  // Kept here: the form goes while its signature is on the way.
  const [problem, setProblem] = useState('');
  const last = signed.at(-1);
  const due = ROLES.filter((role) => !state.signatures.some((own) => own.role === role));
  return (
    <View style={{ gap: 16 }}>
      {state.blocks.length > 0 ? (
        <Notice word={t('notReadyToBeSigned')} color="accent">
          {state.blocks.map((block) => signingBlockText(block)).join(' ')}
        </Notice>
      ) : null}
      {opening.steps > 0 && opening.done < opening.steps && due.length > 0 ? (
        <Notice word={t('prepNotRecorded')}>
          {t('prepSteps', { done: opening.done, steps: opening.steps })}
        </Notice>
      ) : null}
      {state.signatures.map((entry) => (
        <Signed key={entry.id} entry={entry} />
      ))}
      {last ? <Frozen last={last} /> : null}
      {state.stage === 'signed' ? (
        <Button
          label={t('handItOver')}
          look="next"
          onPress={() =>
            router.push(`/p/${project.id}/kit/handover?closure=${closing.closure.id}` as never)
          }
        />
      ) : null}
      {state.blocks.length === 0 && due.length > 0 ? (
        <SignForm key={due[0]} due={due} closing={closing} write={write} onProblem={setProblem} />
      ) : null}
      {problem ? (
        <Notice word={t('notSigned')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
    </View>
  );
}

/** What was signed, whether it is whole, and what changed since. */
function Frozen({ last }: { last: Closing['signed'][number] }) {
  return (
    <Card style={{ gap: 8 }}>
      <Text kind="name" heading={2}>
        {t('whatIsSigned')}
      </Text>
      <Text>{last.whole ? t('theRecordThatWasSignedIs') : t('theRecordThatIsKeptIs')}</Text>
      <Text kind="small" style={{ fontFamily: 'monospace' }} selectable>
        {(last.digest.match(/.{16}/g) ?? []).join(' ')}
      </Text>
      {last.changes.length === 0 ? (
        <Notice word={t('unchangedSince')} color="green">
          {t('theClosuresRecordIsAsIt')}
        </Notice>
      ) : (
        <Notice word={t('changedSince')} color="accent">
          {last.changes.map((change) => recordChangeText(change)).join(' ')}
        </Notice>
      )}
    </Card>
  );
}

function SignForm({
  due,
  closing,
  write,
  onProblem,
}: {
  due: readonly Role[];
  closing: Closing;
  write: ClosingHook['write'];
  onProblem(words: string): void;
}) {
  const { project } = useProjectView();
  const { clock } = useClock();
  const [person, , isSignedIn] = usePerson();
  const router = useRouter();
  const mayLead = useMay(project.id, 'decide');
  const mayRecord = useMay(project.id, 'record');
  const offered = due.filter((one) => (one === 'lead' ? mayLead : mayRecord));
  const [chosen, setRole] = useState<Role>(due[0]!);
  const role = offered.includes(chosen) ? chosen : offered[0];
  const [typed, setName] = useState(due[0] === 'technician' ? person : '');
  // Where people sign in, they sign as themselves.
  const name = isSignedIn ? person : typed;
  const { field: confirmField, isFilled, confirm } = useConfirm();
  const [strokes, setStrokes] = useState<number[][]>([]);
  // Who cannot draw, with gloves or a keyboard alone, types; the record says so.
  const [isTyped, setTyped] = useState(false);
  // What stood here when the person began to sign: what comes in meanwhile they have not checked.
  const [seen, setSeen] = useState<string | null>(null);
  const draw = (drawn: number[][]) => {
    setStrokes(drawn);
    setSeen(drawn.length === 0 ? null : (seen ?? closing.seal()));
  };
  if (role === undefined)
    return (
      <Card style={{ gap: 12 }}>
        <Text kind="name" heading={2}>
          {t('sign')}
        </Text>
        <Text>{t('anotherSigns', { role: due[0]! })}</Text>
        <Button label={accounts('switchPerson')} onPress={() => router.push('/you' as never)} />
      </Card>
    );
  const sign = async () => {
    onProblem('');
    const digest = seen ?? closing.seal();
    try {
      await confirm();
    } catch (error) {
      return onProblem(errorText(error as Error));
    }
    const outcome = await write(
      [
        {
          kind: 'sign',
          role,
          by: name.trim(),
          digest,
          strokes: isTyped ? [] : strokes,
          ...(isTyped && { isTyped }),
          read: [
            readOf({ code: 'statement' }, t('youSignWhatIsRecordedOf')),
            ...closing.state.points.map((looked) =>
              readOf(
                { ...looked.point.message, state: looked.state },
                `${pointText(looked.point.message, project.units)}: ${pointStateText(looked, clock)}`,
              ),
            ),
          ],
        },
      ],
      t('signedByName', { name: name.trim() }),
    );
    if (!('refused' in outcome)) return;
    onProblem(errorText(outcome.refused));
    // Who was told what changed signs it as it is now.
    setSeen(null);
  };
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('sign')}
      </Text>
      <Text>{t('youSignWhatIsRecordedOf')}</Text>
      <Choice<Role>
        label={t('as')}
        value={role}
        options={offered.map((value) => ({ value, label: closingShared(value) }))}
        onChange={setRole}
      />
      {isSignedIn ? (
        <Text>{accounts('signedInAs', { name })}</Text>
      ) : (
        <TextField label={t('name')} value={name} onChange={setName} />
      )}
      {isTyped ? (
        <Text>{t('typingCounts')}</Text>
      ) : (
        <SignaturePad label={t('fieldToSignIn')} onChange={draw} />
      )}
      <Toggle
        label={t('typeTheName')}
        isOn={isTyped}
        onChange={(isOn) => {
          setTyped(isOn);
          setStrokes([]);
          setSeen(isOn ? closing.seal() : null);
        }}
      />
      {confirmField}
      <Button
        label={t('saveTheSignature')}
        look="next"
        disabled={name.trim() === '' || (strokes.length === 0 && !isTyped) || !isFilled}
        onPress={() => void sign()}
      />
    </Card>
  );
}
