import Svg, { Polyline } from 'react-native-svg';
import type { EntryOf } from '@cordel/core/close';
import { closingShared as t } from '@cordel/text/pages/closing/shared';
import { useClock } from '@/projects/useClock';
import { Leaf } from '@/ui/Leaf';
import { Txt } from '@/ui/Txt';
import { useInks } from '@/ui/theme';

/** A signature as it was drawn. */
export function Signed({ entry }: { entry: EntryOf<'sign'> }) {
  const inks = useInks();
  const { moment } = useClock();
  return (
    <Leaf style={{ gap: 4 }}>
      <Txt kind="strong">{`${entry.role === 'lead' ? t('lead') : t('technician')}: ${entry.by}`}</Txt>
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
            stroke={inks.ink}
            strokeWidth={2}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </Svg>
      <Txt ink="ink2">{moment(entry.at)}</Txt>
    </Leaf>
  );
}
