import Moon from 'lucide-react-native/icons/moon';
import Sun from 'lucide-react-native/icons/sun';
import { IconButton } from './Button';
import { useInks, useScheme } from './theme';

/** Turns between day paper and hide-dark slate. */
export function SchemeButton() {
  const { scheme, toggle } = useScheme();
  const inks = useInks();
  const Icon = scheme === 'dark' ? Sun : Moon;
  return (
    <IconButton
      label={scheme === 'dark' ? 'Show by day' : 'Show dark, for the hide'}
      onPress={toggle}
    >
      <Icon color={inks.ink} size={22} />
    </IconButton>
  );
}
