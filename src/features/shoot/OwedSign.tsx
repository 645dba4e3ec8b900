import { View } from 'react-native';
import { Path, Svg, Circle } from 'react-native-svg';
import { useInks } from '@/ui/theme';
import type { OwedSign as Sign } from './owed-words';

const PX = 20;

/** How a shot stands at a glance: a full disc works, a half one for a part of the hours, an empty one not. */
export function OwedSign({ sign }: { readonly sign: Sign }) {
  const inks = useInks();
  const r = PX / 2 - 2;
  const c = PX / 2;
  return (
    <View aria-hidden style={{ width: PX, height: PX }}>
      <Svg width={PX} height={PX}>
        <Circle
          cx={c}
          cy={c}
          r={r}
          fill={sign === 'works' ? inks.ink : 'none'}
          stroke={sign === 'asking' ? inks.line : inks.ink}
          strokeWidth={2}
        />
        {sign === 'partly' ? (
          <Path d={`M${c} ${c - r}A${r} ${r} 0 0 1 ${c} ${c + r}Z`} fill={inks.ink} />
        ) : null}
        {sign === 'had' ? (
          <Path d={`M${c - 4} ${c}l3 4l6 -8`} fill="none" stroke={inks.ink} strokeWidth={2} />
        ) : null}
      </Svg>
    </View>
  );
}
