import Svg, { Path, Rect } from 'react-native-svg';
import { QR_QUIET, qrPath, qrSquares } from '@cordel/core/close';

/** A QR code, dark on white whatever the theme: cameras read it so. */
export function QrPicture({ text, label, size }: { text: string; label: string; size: number }) {
  const squares = qrSquares(text);
  const side = squares.length + 2 * QR_QUIET;
  return (
    <Svg
      width={size}
      height={size}
      viewBox={`${-QR_QUIET} ${-QR_QUIET} ${side} ${side}`}
      role="img"
      aria-label={label}
    >
      <Rect x={-QR_QUIET} y={-QR_QUIET} width={side} height={side} fill="#fff" />
      <Path d={qrPath(squares)} fill="#000" />
    </Svg>
  );
}
