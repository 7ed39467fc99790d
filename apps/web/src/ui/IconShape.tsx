import Svg, { Path } from 'react-native-svg';
import { ICON_PATHS } from './iconPaths';

/** An icon by its name, drawn from its outline: no font is loaded for it. */
export function IconShape({
  name,
  color = 'currentColor',
  size,
}: {
  name: string;
  color?: string;
  size: number;
}) {
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path d={ICON_PATHS[name] ?? ''} fill={color} />
    </Svg>
  );
}
