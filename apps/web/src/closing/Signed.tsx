import Svg, { Polyline } from 'react-native-svg';
import type { EntryOf } from '@cordel/core/close';
import { closingShared as t } from '@cordel/text/pages/closing/shared';
import { useClock } from '@/projects/useClock';
import { Card } from '@/ui/Card';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';

/** A signature as it was drawn, or typed. */
export function Signed({ entry }: { entry: EntryOf<'sign'> }) {
  const colors = useColors();
  const { moment } = useClock();
  return (
    <Card style={{ gap: 4 }}>
      <Text kind="strong">{`${entry.role === 'lead' ? t('lead') : t('technician')}: ${entry.by}`}</Text>
      {entry.isTyped ? (
        <Text kind="name">{t('typedInPlace', { name: entry.by })}</Text>
      ) : (
        <Svg
          width="100%"
          height={90}
          viewBox="0 0 1000 1000"
          preserveAspectRatio="none"
          role="img"
          aria-label={t('signatureOfBy', { by: entry.by })}
          style={{ maxWidth: 420 }}
        >
          {entry.strokes.map((stroke, index) => (
            <Polyline
              key={index}
              points={stroke.join(' ')}
              fill="none"
              stroke={colors.ink}
              strokeWidth={2}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </Svg>
      )}
      <Text color="ink2">{moment(entry.at)}</Text>
    </Card>
  );
}
