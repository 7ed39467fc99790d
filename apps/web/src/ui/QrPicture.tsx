import Svg, { Path, Rect } from 'react-native-svg';
import { qrPath, qrSquares } from '@cordel/core/close';

/** Squares of quiet zone round a QR code. Source: ISO/IEC 18004. */
const QUIET = 4;

/** A QR code, dark on white whatever the theme: cameras read it so. */
export function QrPicture({ text, label, size }: { text: string; label: string; size: number }) {
  const squares = qrSquares(text);
  const side = squares.length + 2 * QUIET;
  return (
    <Svg
      width={size}
      height={size}
      viewBox={`${-QUIET} ${-QUIET} ${side} ${side}`}
      role="img"
      aria-label={label}
    >
      <Rect x={-QUIET} y={-QUIET} width={side} height={side} fill="#fff" />
      <Path d={qrPath(squares)} fill="#000" />
    </Svg>
  );
}
