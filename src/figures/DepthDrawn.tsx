import { memo } from 'react';
import { Circle, G, Line, Rect, Svg } from 'react-native-svg';
import { scaleLinear } from 'd3-scale';
import { useInks } from '@/ui/theme';
import { HaloText } from './HaloText';

export interface DepthDrawnProps {
  /** From the plane of focus towards the camera and away from it, in metres. */
  readonly nearM: number;
  readonly farM: number;
  /** Depth of the subject itself. */
  readonly subjectM: number;
  readonly words: string;
  /** Blur disc and the image of the background's own detail, in mm on the sensor. */
  readonly backdrop?:
    { readonly discMm: number; readonly detailMm: number; readonly words: string } | undefined;
  readonly widthPx: number;
  readonly label: string;
}

const DEPTH_PX = 74;
const BLUR_PX = 84;
const MIDDLE_Y = 34;

/**
 * Depth of field over the subject's own depth, side on, to one scale; under it a dot of the
 * background as the lens blurs it beside a detail of it, to another.
 */
export const DepthDrawn = memo(function DepthDrawn({
  nearM,
  farM,
  subjectM,
  words,
  backdrop,
  widthPx,
  label,
}: DepthDrawnProps) {
  const inks = useInks();
  const reach =
    1.35 * Math.max(subjectM / 2, Math.min(nearM, 4 * subjectM), Math.min(farM, 4 * subjectM));
  const x = scaleLinear()
    .domain([-reach, reach])
    .range([6, widthPx - 6])
    .clamp(true);
  const [near, far] = [x(-nearM), x(farM)];
  return (
    <Svg width={widthPx} height={DEPTH_PX + (backdrop ? BLUR_PX : 0)} role="img" aria-label={label}>
      <Rect
        x={near}
        y={MIDDLE_Y - 20}
        width={Math.max(2, far - near)}
        height={40}
        fill={inks.shade}
        fillOpacity={0.28}
      />
      {[near, far].map((edge, i) => (
        <Line
          key={i}
          x1={edge}
          x2={edge}
          y1={MIDDLE_Y - 24}
          y2={MIDDLE_Y + 24}
          stroke={inks.ink}
          strokeWidth={2}
        />
      ))}
      <Rect
        x={x(-subjectM / 2)}
        y={MIDDLE_Y - 9}
        width={Math.max(2, x(subjectM / 2) - x(-subjectM / 2))}
        height={18}
        rx={9}
        fill={inks.ink}
      />
      <Line
        x1={x(0)}
        x2={x(0)}
        y1={MIDDLE_Y - 26}
        y2={MIDDLE_Y + 26}
        stroke={inks.signal}
        strokeDasharray="3 3"
        strokeWidth={1.5}
      />
      <HaloText
        x={6}
        y={DEPTH_PX - 2}
        text="camera"
        inks={inks}
        anchor="start"
        withinPx={widthPx}
      />
      <HaloText
        x={widthPx / 2}
        y={DEPTH_PX - 2}
        text={words}
        inks={inks}
        strong
        withinPx={widthPx}
      />
      {backdrop ? <Blur {...backdrop} widthPx={widthPx} /> : null}
    </Svg>
  );
});

const LARGEST_PX = 60;

function Blur({
  discMm,
  detailMm,
  words,
  widthPx,
}: NonNullable<DepthDrawnProps['backdrop']> & { readonly widthPx: number }) {
  const inks = useInks();
  const most = Math.max(discMm, detailMm, 1e-6);
  const [disc, detail] = [discMm, detailMm].map((mm) => Math.max(2, (LARGEST_PX * mm) / most));
  const y = DEPTH_PX + BLUR_PX / 2;
  return (
    <G>
      <Circle
        cx={40}
        cy={y}
        r={(disc ?? 2) / 2}
        fill={inks.shade}
        fillOpacity={0.45}
        stroke={inks.ink}
        strokeWidth={1}
      />
      <Rect
        x={104 - (detail ?? 2) / 2}
        y={y - (detail ?? 2) / 2}
        width={detail ?? 2}
        height={detail ?? 2}
        fill="none"
        stroke={inks.ink}
        strokeWidth={1.5}
      />
      <HaloText x={146} y={y + 4} text={words} inks={inks} anchor="start" withinPx={widthPx} />
    </G>
  );
}
