import { View } from 'react-native';
import { importPart as t } from '@cordel/text/pages/projects/ImportPart';
import { common } from '@cordel/text/pages/common';
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
            <Txt kind="strong">{t('sendingName', { name: state.name })}</Txt>
            <Progress
              label={t('sendingName', { name: state.name })}
              done={state.sent}
              total={state.size}
            >
              {state.sent < state.size
                ? t('bytesOfAll', { bytes: byteWords(state.sent), all: byteWords(state.size) })
                : t('receivedTheServerIsCheckingIt')}
            </Progress>
            <Press label={common('stop')} onPress={stopSending} />
          </Leaf>
        </View>
      ) : null}
      {underWay.map((one) => (
        <ImportLeaf key={one.projectId} coming={one} onStop={() => void stop(one.projectId)} />
      ))}
      {state.stage === 'failed' || state.stage === 'unanswered' ? (
        <Notice
          word={state.stage === 'failed' ? common('notImported') : t('noAnswer')}
          ink="accent"
          live
        >
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
        <Notice word={common('notImported')} ink="accent" live>
          {`${name}: ${problem}`}
        </Notice>
        <Press label={t('dismiss')} onPress={onStop} />
      </Leaf>
    );
  return (
    <Leaf style={{ gap: 8 }}>
      <Txt kind="strong">{t('importingName', { name })}</Txt>
      {stage === 'writing' ? (
        <Progress label={t('importingName', { name })} done={done} total={total}>
          {rowWords(done, total)}
        </Progress>
      ) : (
        <Txt>{t('stoppingImportedRowsAreBeing')}</Txt>
      )}
      <Press label={common('stop')} disabled={stage !== 'writing'} onPress={onStop} />
    </Leaf>
  );
}
