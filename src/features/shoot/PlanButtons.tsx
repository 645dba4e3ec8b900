import { View } from 'react-native';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import ZoomIn from 'lucide-react-native/icons/zoom-in';
import ZoomOut from 'lucide-react-native/icons/zoom-out';
import { viewAfter } from '@/figures/plan-scale';
import { IconButton } from '@/ui/Button';
import { useInks } from '@/ui/theme';
import type { PlanLook } from './use-plan-view';

const ZOOM = 1.5;

/** What can point up on the plan, in the order they take turns. */
interface Up {
  readonly name: string;
  readonly deg: number;
}

const sameWay = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180) < 0.05;

/** Closer, wider, whole; and by the north arrow, which way is up. */
export function PlanButtons({
  look,
  ups,
  widthPx,
  heightPx,
}: {
  readonly look: PlanLook;
  readonly ups: readonly Up[];
  readonly widthPx: number;
  readonly heightPx: number;
}) {
  const inks = useInks();
  const { view, framing } = look;
  const zoom = (by: number) => () =>
    look.setOwn(
      viewAfter(
        view,
        {
          about: { x: widthPx / 2, y: heightPx / 2 },
          by: { x: 0, y: 0 },
          zoom: by,
          turnDeg: 0,
        },
        widthPx,
        heightPx,
      ),
    );
  const wayUp = ups.findIndex(({ deg }) => sameWay(deg, view.upDeg));
  const next = ups.slice(wayUp + 1).find(({ deg }) => !sameWay(deg, view.upDeg)) ?? ups[0];
  const whole = framing === 'whole';
  const FrameIcon = whole ? ZoomIn : ZoomOut;
  return (
    <>
      <View className="absolute right-0 top-0">
        <IconButton
          label={`${ups[wayUp]?.name ?? 'Turned by hand'}. Turn the plan: ${next?.name ?? 'North up'}`}
          onPress={() => look.turnTo(next?.deg ?? 0)}
        >
          <View className="h-16 w-12" />
        </IconButton>
      </View>
      <View className="absolute bottom-1 right-1 flex-row">
        <IconButton label="Zoom out" onPress={zoom(1 / ZOOM)}>
          <Minus color={inks.ink} size={22} />
        </IconButton>
        <IconButton label="Zoom in" onPress={zoom(ZOOM)}>
          <Plus color={inks.ink} size={22} />
        </IconButton>
        <IconButton
          label={whole ? 'Look closer at position and mark' : 'Show the whole ground'}
          onPress={() => look.frame(whole ? 'close' : 'whole')}
        >
          <FrameIcon color={inks.ink} size={22} />
        </IconButton>
      </View>
    </>
  );
}
