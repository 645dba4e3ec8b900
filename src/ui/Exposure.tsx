import { memo } from 'react';
import { View } from 'react-native';
import { Text } from './Text';
import { useWidth } from './use-width';

/** Mean width of a figure, the raised 1, the word ISO and the gaps, in ems of the headline. */
const FIGURE_EM = 0.56;
const BESIDE_FIGURES_EM = 2.3;

/** The largest size at which shutter, aperture and ISO stand on one line. */
export function headlinePx(labels: readonly string[], widthPx: number, largestPx: number): number {
  const figures = labels.join('').replace(/^1\/|f|ISO |\s/g, '').length;
  return Math.min(largestPx, Math.floor(widthPx / (figures * FIGURE_EM + BESIDE_FIGURES_EM)));
}

/** "1/1250" with a small raised numerator, so that the figure that matters is the largest. */
function Shutter({ label, px }: { readonly label: string; readonly px: number }) {
  const size = { fontSize: px, lineHeight: px * 1.1 };
  const fraction = /^1\/(\d+)$/.exec(label);
  if (!fraction) {
    return (
      <Text kind="headline" style={size}>
        {label}
      </Text>
    );
  }
  return (
    <View className="flex-row items-start">
      <Text kind="headline" style={{ fontSize: px * 0.58, lineHeight: px * 0.72 }}>
        1
      </Text>
      <Text kind="headline" style={size}>
        /{fraction[1]}
      </Text>
    </View>
  );
}

/** Shutter, aperture and ISO as the page's headline, read out as one line. */
export const Exposure = memo(function Exposure({
  shutter,
  aperture,
  iso,
  largestPx = 46,
  stacked = false,
}: {
  /** As engraved: "1/1250", "f/2.8", "ISO 3200". */
  readonly shutter: string;
  readonly aperture: string;
  readonly iso: string;
  readonly largestPx?: number;
  /** To be read at arm's length: the shutter over the other two, each as large as it goes. */
  readonly stacked?: boolean;
}) {
  const { widthPx, onLayout } = useWidth(`dials ${largestPx} ${String(stacked)}`, 340);
  const px = headlinePx(stacked ? [aperture, iso] : [shutter, aperture, iso], widthPx, largestPx);
  const size = { fontSize: px, lineHeight: px * 1.1 };
  const shutterPx = stacked ? headlinePx([shutter], widthPx, largestPx * 1.6) : px;
  return (
    <View
      role="img"
      aria-label={`${shutter}, ${aperture}, ${iso}`}
      onLayout={onLayout}
      className="flex-row flex-wrap items-end justify-between"
    >
      <View className={stacked ? 'w-full' : ''}>
        <Shutter label={shutter} px={shutterPx} />
      </View>
      <Text kind="headline" className="whitespace-nowrap" style={size}>
        <Text kind="headline" className="font-normal italic" style={size}>
          f
        </Text>
        /{aperture.replace('f/', '')}
      </Text>
      <Text kind="headline" className="whitespace-nowrap" style={size}>
        <Text kind="label" style={{ fontSize: Math.max(11, px * 0.33) }}>
          ISO{' '}
        </Text>
        {iso.replace('ISO ', '')}
      </Text>
    </View>
  );
});
