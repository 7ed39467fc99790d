import { View } from 'react-native';
import { readSearch } from '@cordel/core';
import { addressParts } from '@cordel/text/fiber';
import { namedFibers as t } from '@cordel/text/pages/ledger/NamedFibers';
import { useProjectView } from '@/projects/context';
import { FiberEye } from '@/ui/FiberEye';
import { Text } from '@/ui/Text';

/** As many fibers as are shown with their colors; a search for more asks for a list. */
const MOST = 12;

/** The colors of the fibers that a search names, planned or not. */
export function NamedFibers({ q }: { q: string }) {
  const { cables, schemes, address, fiberName } = useProjectView();
  const found = readSearch(q, cables, new Map(schemes.map((scheme) => [scheme.id, scheme])));
  const fibers = [...(found.fibers ?? [])].flatMap(([cableId, numbers]) =>
    numbers.map((number) => ({ cableId, number })),
  );
  if (fibers.length === 0 || fibers.length > MOST) return null;
  return (
    <View style={{ paddingHorizontal: 16, paddingBottom: 10, gap: 6 }}>
      <Text kind="strong" heading={2}>
        {t('colors')}
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        {fibers.map(({ cableId, number }) => {
          const place = address(cableId, number);
          return place ? (
            <View
              key={`${cableId} ${number}`}
              style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}
            >
              <FiberEye address={place} size={44} />
              <View>
                <Text kind="strong">{fiberName(cableId, number)}</Text>
                <Text kind="small">{addressParts(place).join(' · ')}</Text>
              </View>
            </View>
          ) : null;
        })}
      </View>
    </View>
  );
}
