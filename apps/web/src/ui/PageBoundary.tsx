import { usePathname } from 'expo-router';
import { Component, type ReactNode } from 'react';
import { View } from 'react-native';
import { pageBoundary as t } from '@cordel/text/pages/ui/PageBoundary';
import { errorText } from '@cordel/text/record';
import { Notice } from './Notice';
import { Button } from './Button';
import { Text } from './Text';

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
  return (
    <View role="main" style={{ padding: 16, gap: 12 }}>
      <Text kind="title" heading={1}>
        {missing ? t('thisPageIsNotHereYet') : t('thisPageCannotBeShown')}
      </Text>
      <Notice word={missing ? t('notLoaded') : t('somethingWentWrong')} color="accent" live>
        {missing ? t('itWasNotOpenedOnThis') : errorText(error)}
      </Notice>
      <Text>{t('whatYouRecordedIsKeptThe')}</Text>
      <Button label={t('loadItAgain')} look="next" onPress={() => window.location.reload()} />
    </View>
  );
}

/** The pages below, each kept from taking the app with it. */
export function PageBoundary({ children }: { children: ReactNode }) {
  return <Boundary path={usePathname()}>{children}</Boundary>;
}
