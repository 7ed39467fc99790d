import { usePathname, useRouter } from 'expo-router';
import { Component, type ReactNode } from 'react';
import { ScrollView } from 'react-native';
import { common } from '@cordel/text/pages/common';
import { pageBoundary as t } from '@cordel/text/pages/ui/PageBoundary';
import { uiShared as shared } from '@cordel/text/pages/ui/shared';
import { errorText } from '@cordel/text/record';
import { ownBuild } from '@/data/updates';
import { Notice } from './Notice';
import { Button } from './Button';
import { Text } from './Text';
import { shareText } from './saveFile';

interface BoundaryProps {
  /** Where the page is: another one is tried anew. */
  path: string;
  children: ReactNode;
}

interface BoundaryState {
  error: Error | null;
  path: string;
}

/** Keeps the app where a page cannot be loaded or shown, and says why. */
class Boundary extends Component<BoundaryProps, BoundaryState> {
  override state: BoundaryState = { error: null, path: this.props.path };

  static getDerivedStateFromError(error: Error): Partial<BoundaryState> {
    return { error };
  }

  static getDerivedStateFromProps(
    { path }: BoundaryProps,
    state: BoundaryState,
  ): Partial<BoundaryState> | null {
    return path === state.path ? null : { error: null, path };
  }

  override render(): ReactNode {
    const { error } = this.state;
    return error ? <Failed error={error} /> : this.props.children;
  }
}

/** The name of what the loader of scripts throws where one does not come. */
const NOT_LOADED = 'AsyncRequireError';

function Failed({ error }: { error: Error }) {
  const missing = error.name === NOT_LOADED;
  const router = useRouter();
  const path = usePathname();
  return (
    <ScrollView role="main" contentContainerStyle={{ padding: 16, gap: 12 }}>
      <Text kind="title" heading={1}>
        {missing ? t('thisPageIsNotHereYet') : t('thisPageCannotBeShown')}
      </Text>
      <Notice word={missing ? t('notLoaded') : t('somethingWentWrong')} color="accent" live>
        {missing ? t('itWasNotOpenedOnThis') : errorText(error)}
      </Notice>
      <Text>{t('whatYouRecordedIsKeptThe')}</Text>
      <Button label={t('reload')} look="next" onPress={() => window.location.reload()} />
      {router.canGoBack() ? <Button label={shared('back')} onPress={() => router.back()} /> : null}
      <Button label={common('allProjects')} onPress={() => router.replace('/projects')} />
      {missing ? null : (
        <Button
          label={t('sendReport')}
          onPress={() => void shareText('cordel-report.txt', reportOf(error, path))}
        />
      )}
    </ScrollView>
  );
}

/** What whoever repairs it needs to know: what failed, where, in which build. Nothing of the record is in it. */
const reportOf = (error: Error, path: string): string =>
  [
    t('build', { build: ownBuild ?? '' }),
    new Date().toISOString(),
    path,
    navigator.userAgent,
    error.stack ?? String(error),
  ].join('\n');

/** The pages below, each kept from taking the app with it. */
export function PageBoundary({ children }: { children: ReactNode }) {
  return <Boundary path={usePathname()}>{children}</Boundary>;
}
