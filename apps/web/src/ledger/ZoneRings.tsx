import { View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { FACE_ZONES, type FaceGrade, type FaceZone } from '@cordel/core';
import { endFacePages as t } from '@cordel/text/pages/ledger/EndFace';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';

const SIZE = 132;
/** Rings as wide as they are drawn, of the picture's half: true to scale the core and the adhesive would not be seen. */
const DRAWN: Record<FaceZone, number> = { core: 0.24, cladding: 0.6, adhesive: 0.7, contact: 0.97 };

/** The zones of an end face as rings: one that fails is hatched and marked by a cross. */
export function ZoneRings({ zones }: { zones: Record<FaceZone, FaceGrade> }) {
  const colors = useColors();
  const half = SIZE / 2;
  const words = FACE_ZONES.map(({ zone }) => `${t(zone)} ${t(WORDS[zones[zone]])}`);
  return (
    <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center', flexWrap: 'wrap' }}>
      <Svg
        width={SIZE}
        height={SIZE}
        role="img"
        aria-label={t('zonesAre', { zones: words.join(', ') })}
      >
        {[...FACE_ZONES].reverse().map(({ zone }) => (
          <Circle
            key={zone}
            cx={half}
            cy={half}
            r={DRAWN[zone] * half}
            fill={zones[zone] === 'fail' ? colors.accent : colors.leaf}
            stroke={colors.ink}
            strokeWidth={1.5}
          />
        ))}
        {FACE_ZONES.filter(({ zone }) => zones[zone] === 'fail').map(({ zone }) => {
          const at = zone === 'core' ? half : half - (DRAWN[zone] - 0.1) * half;
          return (
            <Path
              key={zone}
              d={`M${half - 5} ${at - 5}l10 10m0 -10l-10 10`}
              stroke={colors.paper}
              strokeWidth={3}
            />
          );
        })}
      </Svg>
      <View>
        {FACE_ZONES.map(({ zone, outerUm }) => (
          <Text key={zone} color={zones[zone] === 'fail' ? 'accent' : 'ink'}>
            {`${t('zoneUpTo', { zone: t(zone), outer: outerUm })}: `}
            <Text kind="strong" color={zones[zone] === 'fail' ? 'accent' : 'ink'}>
              {t(WORDS[zones[zone]])}
            </Text>
          </Text>
        ))}
      </View>
    </View>
  );
}

const WORDS = { pass: 'passes', fail: 'fails' } as const;
