import { View } from 'react-native';
import { Grid } from '@/ui/Grid';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { Progress, byteWords, rowWords } from '@/ui/Progress';
import { Txt } from '@/ui/Txt';
import type { ImportUnderWay, Importing } from './useProjectImport';

/** Projects that are coming in: how far each is, and what was wrong with a file. */
export function ImportPart({
  coming: { state, underWay, stopSending, stop },
}: {
  coming: Importing;
}) {
  return (
    <Grid gap={16}>
      {state.stage === 'sending' ? (
        <View aria-busy>
          <Leaf style={{ gap: 8 }}>
            <Txt kind="strong">{`Sending ${state.name}`}</Txt>
            <Progress label={`Sending ${state.name}`} done={state.sent} total={state.size}>
              {state.sent < state.size
                ? `${byteWords(state.sent)} of ${byteWords(state.size)}`
                : 'Received; the server is checking it. It may take a minute.'}
            </Progress>
            <Press label="Stop" onPress={stopSending} />
          </Leaf>
        </View>
      ) : null}
      {underWay.map((one) => (
        <ImportLeaf key={one.projectId} coming={one} onStop={() => void stop(one.projectId)} />
      ))}
      {state.stage === 'failed' || state.stage === 'unanswered' ? (
        <Notice word={state.stage === 'failed' ? 'Not imported.' : 'No answer.'} ink="accent" live>
          {`${state.name}: ${state.message}`}
        </Notice>
      ) : null}
    </Grid>
  );
}

function ImportLeaf({ coming, onStop }: { coming: ImportUnderWay; onStop(): void }) {
  const { name, stage, done, total, problem } = coming;
  if (stage === 'failed')
    return (
      <Leaf style={{ gap: 8 }}>
        <Notice word="Not imported." ink="accent" live>
          {`${name}: ${problem}`}
        </Notice>
        <Press label="Dismiss" onPress={onStop} />
      </Leaf>
    );
  return (
    <Leaf style={{ gap: 8 }}>
      <Txt kind="strong">{`Importing ${name}`}</Txt>
      {stage === 'writing' ? (
        <Progress label={`Importing ${name}`} done={done} total={total}>
          {rowWords(done, total)}
        </Progress>
      ) : (
        <Txt>Stopping: imported rows are being removed.</Txt>
      )}
      <Press label="Stop" disabled={stage !== 'writing'} onPress={onStop} />
    </Leaf>
  );
}
