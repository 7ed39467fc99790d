import { useRouter } from 'expo-router';
import { useCallback, useRef, useState } from 'react';
import { View } from 'react-native';
import { parseCode } from '@cordel/core/close';
import { shortCodeProblemText } from '@cordel/text/close';
import { scanPage as t } from '@cordel/text/pages/labels/ScanPage';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { useScanner } from './useScanner';

/** The code in what a label says: an address that ends in it, or the code itself. */
function codeIn(text: string): string {
  const [path] = text.split(/[?#]/);
  return path!.split('/').at(-1)!;
}

/** Opens a closure by its label: through the camera, or by its code. */
export function ScanPage() {
  const colors = useColors();
  const router = useRouter();
  const video = useRef<HTMLVideoElement>(null);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const go = useCallback(
    (text: string) => {
      const code = parseCode(codeIn(text));
      if (!code.ok) return setProblem(shortCodeProblemText(code.error));
      router.replace(`/c/${code.value}` as never);
    },
    [router],
  );
  const noCamera = useScanner(video, go);
  return (
    <Page title={t('openByLabel')} back="/projects">
      {noCamera ? (
        <Notice>{noCamera}</Notice>
      ) : (
        <video
          ref={video}
          muted
          playsInline
          aria-label={t('theCamerasPicture')}
          style={{
            width: '100%',
            maxWidth: 480,
            aspectRatio: '4 / 3',
            objectFit: 'cover',
            background: colors.ink,
            border: `2px solid ${colors.ink}`,
            boxSizing: 'border-box',
          }}
        />
      )}
      <Text>{t('holdTheLabelBeforeTheCamera')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
        <TextField label={t('code')} value={typed} onChange={setTyped} />
        <Button
          label={t('open')}
          look="next"
          disabled={typed.trim() === ''}
          onPress={() => go(typed)}
        />
      </View>
      {problem ? (
        <Notice word={t('notOpened')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
    </Page>
  );
}
