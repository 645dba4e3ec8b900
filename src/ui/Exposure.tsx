import { View } from 'react-native';
import { Text } from './Text';

const SIZES = {
  large: { main: '', numerator: 'text-[26px] leading-[34px]', word: 'text-[15px]' },
  small: {
    main: 'text-[24px] leading-[28px]',
    numerator: 'text-[15px] leading-[19px]',
    word: 'text-[12px]',
  },
} as const;

/** "1/1250" with a small raised numerator, so that the figure that matters is the largest. */
function Shutter({ label, size }: { readonly label: string; readonly size: keyof typeof SIZES }) {
  const { main, numerator } = SIZES[size];
  const fraction = /^1\/(\d+)$/.exec(label);
  if (!fraction) {
    return (
      <Text kind="headline" className={main}>
        {label}
      </Text>
    );
  }
  return (
    <View className="flex-row items-start">
      <Text kind="headline" className={numerator}>
        1
      </Text>
      <Text kind="headline" className={main}>
        /{fraction[1]}
      </Text>
    </View>
  );
}

/** Shutter, aperture and ISO as the page's headline, read out as one line. */
export function Exposure({
  shutter,
  aperture,
  iso,
  size = 'large',
}: {
  /** As engraved: "1/1250", "f/2.8", "ISO 3200". */
  readonly shutter: string;
  readonly aperture: string;
  readonly iso: string;
  readonly size?: keyof typeof SIZES;
}) {
  const { main, word } = SIZES[size];
  return (
    <View
      role="img"
      aria-label={`${shutter}, ${aperture}, ${iso}`}
      className="flex-row items-end justify-between"
    >
      <Shutter label={shutter} size={size} />
      <Text kind="headline" className={main}>
        <Text kind="headline" className={`${main} font-normal italic`}>
          f
        </Text>
        /{aperture.replace('f/', '')}
      </Text>
      <Text kind="headline" className={main}>
        <Text kind="label" className={word}>
          ISO{' '}
        </Text>
        {iso.replace('ISO ', '')}
      </Text>
    </View>
  );
}
