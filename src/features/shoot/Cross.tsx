import { Path, Svg } from 'react-native-svg';
import { useInks } from '@/ui/theme';

const ARM_PX = 16;
const GAP_PX = 4;

/** Where a point will be put: the middle of the plan. */
export function Cross({
  widthPx,
  heightPx,
}: {
  readonly widthPx: number;
  readonly heightPx: number;
}) {
  const inks = useInks();
  const half = ARM_PX + 1;
  const arms = [
    `M${half} 1V${half - GAP_PX}`,
    `M${half} ${half + GAP_PX}V${2 * half - 1}`,
    `M1 ${half}H${half - GAP_PX}`,
    `M${half + GAP_PX} ${half}H${2 * half - 1}`,
  ].join('');
  return (
    <Svg
      width={2 * half}
      height={2 * half}
      pointerEvents="none"
      aria-hidden
      style={{ position: 'absolute', left: widthPx / 2 - half, top: heightPx / 2 - half }}
    >
      <Path d={arms} stroke={inks.paper} strokeWidth={5} />
      <Path d={arms} stroke={inks.signal} strokeWidth={2.2} />
    </Svg>
  );
}
