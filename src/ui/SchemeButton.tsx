import Moon from 'lucide-react-native/icons/moon';
import Sun from 'lucide-react-native/icons/sun';
import Sunset from 'lucide-react-native/icons/sunset';
import { IconButton } from './Button';
import { BRIGHTNESSES, useBrightness, useInks, type Brightness } from './theme';

const ICONS = { day: Sun, dusk: Sunset, hide: Moon } as const;
const LABELS: Readonly<Record<Brightness, string>> = {
  day: 'Show by day',
  dusk: 'Show for the dusk',
  hide: 'Show dark, for the hide',
};

/** Turns the page from day paper to slate for the dusk, to amber on black for the hide, and back. */
export function SchemeButton() {
  const { brightness, choose } = useBrightness();
  const inks = useInks();
  const next = BRIGHTNESSES[(BRIGHTNESSES.indexOf(brightness) + 1) % BRIGHTNESSES.length] ?? 'day';
  const Icon = ICONS[next];
  return (
    <IconButton label={LABELS[next]} onPress={() => choose(next)}>
      <Icon color={inks.ink} size={22} />
    </IconButton>
  );
}
