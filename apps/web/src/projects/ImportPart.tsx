import { View } from 'react-native';
import { importPart as t } from '@cordel/text/pages/projects/ImportPart';
import { common } from '@cordel/text/pages/common';
import { Grid } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Progress, byteWords, rowWords } from '@/ui/Progress';
import { Text } from '@/ui/Text';
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
          <Card style={{ gap: 8 }}>
            <Text kind="strong">{t('sendingName', { name: state.name })}</Text>
            <Progress
              label={t('sendingName', { name: state.name })}
              done={state.sent}
              total={state.size}
            >
              {state.sent < state.size
                ? t('bytesOfAll', { bytes: byteWords(state.sent), all: byteWords(state.size) })
                : t('receivedTheServerIsCheckingIt')}
            </Progress>
            <Button label={common('stop')} onPress={stopSending} />
          </Card>
        </View>
      ) : null}
      {underWay.map((one) => (
        <ImportLeaf key={one.projectId} coming={one} onStop={() => void stop(one.projectId)} />
      ))}
      {state.stage === 'failed' || state.stage === 'unanswered' ? (
        <Notice
          word={state.stage === 'failed' ? common('notImported') : t('noAnswer')}
          color="accent"
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
      <Card style={{ gap: 8 }}>
        <Notice word={common('notImported')} color="accent" live>
          {`${name}: ${problem}`}
        </Notice>
        <Button label={t('dismiss')} onPress={onStop} />
      </Card>
    );
  return (
    <Card style={{ gap: 8 }}>
      <Text kind="strong">{t('importingName', { name })}</Text>
      {stage === 'writing' ? (
        <Progress label={t('importingName', { name })} done={done} total={total}>
          {rowWords(done, total)}
        </Progress>
      ) : (
        <Text>{t('stoppingImportedRowsAreBeing')}</Text>
      )}
      <Button label={common('stop')} disabled={stage !== 'writing'} onPress={onStop} />
    </Card>
  );
}
