import { useGlobalSearchParams, useRouter } from 'expo-router';
import { type ReactNode, useEffect } from 'react';
import { ScrollView, View } from 'react-native';
import type { Right } from '@cordel/core';
import { uiShared as t } from '@cordel/text/pages/ui/shared';
import { useMay } from '@/data/session';
import { Button } from './Button';
import { Notice } from './Notice';
import { Text } from './Text';
import { SPACE, useColors } from './theme';

interface PageProps {
  title: string;
  /** A line above the title: where this is. */
  above?: string;
  /** Where the back key goes when there is no page to go back to. */
  back?: string;
  right?: ReactNode;
  /** False where the page holds a list that scrolls by itself. */
  scroll?: boolean;
  /** What a person must be allowed to change what is here: who may not is told before they try. */
  needs?: Right;
  children: ReactNode;
}

/** A page: its place, its title and its matter, no wider than reads well. */
export function Page({ title, above, back, right, scroll = true, needs, children }: PageProps) {
  const colors = useColors();
  useEffect(() => {
    document.title = [title, above, 'Cordel'].filter(Boolean).join(' · ');
  }, [title, above]);
  const reader = needs ? <ReadOnly needs={needs} /> : null;
  const head = (
    <View style={{ flexDirection: 'row', alignItems: 'flex-start', gap: 8 }}>
      {back ? <BackKey to={back} /> : null}
      <View style={{ flex: 1 }}>
        {above ? <Text color="ink2">{above}</Text> : null}
        <Text kind="title" heading={1}>
          {title}
        </Text>
      </View>
      {right}
    </View>
  );
  const box = { padding: SPACE, gap: SPACE, width: '100%', maxWidth: 1200 } as const;
  if (!scroll) {
    return (
      <View role="main" style={[box, { flex: 1, backgroundColor: colors.paper }]}>
        {head}
        {reader}
        {children}
      </View>
    );
  }
  return (
    <ScrollView
      role="main"
      tabIndex={0}
      style={{ flex: 1, backgroundColor: colors.paper }}
      contentContainerStyle={box}
    >
      {head}
      {reader}
      {children}
    </ScrollView>
  );
}

/** Says who may change what is here, to whoever may not. */
function ReadOnly({ needs }: { needs: Right }) {
  const { projectId = '' } = useGlobalSearchParams<{ projectId?: string }>();
  if (useMay(projectId, needs)) return null;
  return <Notice word={t('readOnly')}>{t('onlyWhoMay', { right: needs })}</Notice>;
}

function BackKey({ to }: { to: string }) {
  const router = useRouter();
  const goBack = () => (router.canGoBack() ? router.back() : router.replace(to as never));
  return (
    <Button
      look="bare"
      icon="arrow-left"
      label={t('back')}
      onPress={goBack}
      style={{ paddingHorizontal: 0, marginLeft: -12 }}
    >
      <></>
    </Button>
  );
}
