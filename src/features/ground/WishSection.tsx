import { View } from 'react-native';
import type { FaceWanted, LightWanted } from '@/core';
import { Choice, type Option } from '@/ui/Choice';
import { useOpenShoot, useSearch } from '@/features/shoot/open-shoot';

const FACES: readonly Option<FaceWanted>[] = [
  { value: 'front', label: 'Front' },
  { value: 'threeQuarter', label: '¾' },
  { value: 'profile', label: 'Profile' },
  { value: 'any', label: 'Any' },
];
const LIGHTS: readonly Option<LightWanted>[] = [
  { value: 'front', label: 'Front' },
  { value: 'side', label: 'Side' },
  { value: 'back', label: 'Back' },
  { value: 'any', label: 'Any' },
];

/** What the picture should be: of the subject's face, and of the light. */
export function WishSection() {
  const { wish } = useSearch('wish');
  const { setWish } = useOpenShoot().search;
  return (
    <View role="region" aria-label="The picture wanted" className="gap-3 pt-2">
      <Choice
        label="Face wanted"
        value={wish.face}
        options={FACES}
        onChange={(face) => setWish({ ...wish, face })}
      />
      <Choice
        label="Light wanted"
        value={wish.light}
        options={LIGHTS}
        onChange={(light) => setWish({ ...wish, light })}
      />
    </View>
  );
}
