import { View } from 'react-native';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import ZoomIn from 'lucide-react-native/icons/zoom-in';
import ZoomOut from 'lucide-react-native/icons/zoom-out';
import { viewAfter } from '@/figures/plan-scale';
import { IconButton } from '@/ui/Button';
import { useInks } from '@/ui/theme';
import { useSteady } from '@/ui/use-steady';
import type { PlanLook } from './use-plan-view';

const ZOOM = 1.5;

/** What can point up on the plan, in the order they take turns. */
interface Up {
  readonly name: string;
  readonly up: number | 'fitted';
}

const sameWay = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180) < 0.05;

/** Closer, wider, whole; and by the north arrow, which way is up. */
export function PlanButtons({
  look,
  alongDeg,
  sightDeg,
  turns,
  widthPx,
  heightPx,
}: {
  readonly look: PlanLook;
  /** The way the ground lies. */
  readonly alongDeg: number;
  /** Whether the ground is turned to fill the picture. */
  readonly turns: boolean;
  /** Bearing of the line of sight, if there is one. */
  readonly sightDeg: number | undefined;
  readonly widthPx: number;
  readonly heightPx: number;
}) {
  const inks = useInks();
  const { view, framing, fitted } = look;
  const middle = { x: widthPx / 2, y: heightPx / 2 };
  const zoom = (by: number) => () =>
    look.setOwn(
      viewAfter(
        view,
        { about: middle, by: { x: 0, y: 0 }, zoom: by, turnDeg: 0 },
        widthPx,
        heightPx,
      ),
    );
  const ups: readonly Up[] = [
    { name: 'North up', up: 0 },
    // Where north up fills it best there is nothing to turn to.
    ...(turns && !(fitted && sameWay(view.upDeg, 0))
      ? [{ name: 'Turned to fill the picture', up: 'fitted' as const }]
      : []),
    { name: 'Long axis up', up: alongDeg },
    ...(sightDeg === undefined ? [] : [{ name: 'Sight line up', up: sightDeg }]),
  ];
  const isUp = ({ up }: Up) =>
    up === 'fitted'
      ? fitted && !sameWay(view.upDeg, 0)
      : !(turns && fitted && !sameWay(view.upDeg, 0)) && sameWay(up, view.upDeg);
  const wayUp = ups.findIndex(isUp);
  const next = ups[(wayUp + 1) % ups.length] ?? ups[0];
  const whole = framing === 'whole';
  const FrameIcon = whole ? ZoomIn : ZoomOut;
  // While a place is dragged the sight turns with each frame, and none of the buttons.
  const press = useSteady({
    turn: () => look.turnTo(next?.up ?? 0),
    out: zoom(1 / ZOOM),
    in: zoom(ZOOM),
    frame: () => look.frame(whole ? 'close' : 'whole'),
  });
  return (
    <>
      <View className="absolute right-0 top-0">
        <IconButton
          label={`${ups[wayUp]?.name ?? 'Turned by hand'}. Turn the plan: ${next?.name ?? 'North up'}`}
          onPress={press.turn}
        >
          <View className="h-16 w-12" />
        </IconButton>
      </View>
      <View className="absolute bottom-1 right-1 flex-row">
        <IconButton label="Zoom out" onPress={press.out}>
          <Minus color={inks.ink} size={22} />
        </IconButton>
        <IconButton label="Zoom in" onPress={press.in}>
          <Plus color={inks.ink} size={22} />
        </IconButton>
        <IconButton
          label={whole ? 'Look closer at position and mark' : 'Show the whole ground'}
          onPress={press.frame}
        >
          <FrameIcon color={inks.ink} size={22} />
        </IconButton>
      </View>
    </>
  );
}
