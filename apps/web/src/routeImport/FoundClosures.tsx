import { View } from 'react-native';
import { type SameName, formatDistance, formatMeters, meantBy } from '@cordel/core';
import type { FoundRoute } from '@cordel/core/geo';
import { common } from '@cordel/text/pages/common';
import { foundClosures as t } from '@cordel/text/pages/routeImport/FoundClosures';
import { useProjectView } from '@/projects/context';
import { Text } from '@/ui/Text';

/** How far a closure may stand off its line before it is asked about, meters. */
const FAR = 200;
/** How many closures are named before the rest is counted. */
const SHOWN = 60;

interface FoundClosuresProps {
  found: FoundRoute['closures'];
  /** Where the line begins, tenths of a millimeter. */
  start: number;
  sameNames: readonly SameName[];
}

/** The closures of a route file: what each gets and what that replaces; those it adds, and those it does not know. */
export function FoundClosures({ found, start, sameNames }: FoundClosuresProps) {
  const { project, closures } = useProjectView();
  const unit = project.units.distance;
  const known = new Map(closures.map((closure) => [closure.name, closure]));
  const meant = meantBy(sameNames);
  const inFile = new Set(found.map(({ name }) => meant(name)));
  const missing = closures.filter(({ name }) => !inFile.has(name));
  const distance = (tenths: number) => formatDistance(tenths, unit);
  /** What becomes of a closure's distance. */
  const changeOf = (before: number | null, after: number | null): string => {
    if (after === null)
      return before === null
        ? common('noDistance')
        : t('staysAtDistance', { distance: distance(before) });
    if (before === null || before === after) return distance(after);
    return t('distanceReplaces', {
      distance: distance(after),
      before: distance(before),
    });
  };
  return (
    <View style={{ gap: 4 }}>
      {found.slice(0, SHOWN).map(({ name, along }) => {
        const here = known.get(meant(name));
        const after = along ? start + Math.round(along.meters * 10_000) : null;
        const far = along !== null && along.off > FAR;
        const off = along
          ? t('offTheLine', {
              off: formatMeters(along.off, unit),
              far: far ? t('isItOnThisLine') : '',
            })
          : t('onNoLine');
        return (
          <Text key={name} color={far ? 'accent' : 'ink'}>
            <Text kind="strong">{here?.name ?? name}</Text>
            {`: ${changeOf(here?.distance ?? null, after)}; ${off} · ${here ? t('hereAlready') : t('newIsAdded')}`}
          </Text>
        );
      })}
      {found.length > SHOWN ? (
        <Text>{t('andFoundMore', { found: found.length - SHOWN })}</Text>
      ) : null}
      {missing.length > 0 ? (
        <Text>
          <Text kind="strong">{t('notInTheFileClosures', { closures: missing.length })}</Text>
          {`${missing
            .slice(0, SHOWN)
            .map((closure) => `${closure.name} (${changeOf(closure.distance, null)})`)
            .join(
              ', ',
            )}${missing.length > SHOWN ? t('andMissingMore', { missing: missing.length - SHOWN }) : ''}.`}
        </Text>
      ) : null}
    </View>
  );
}
