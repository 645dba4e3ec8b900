import { lazy, Suspense, useState } from 'react';
import { View } from 'react-native';
import { CautionSign } from '@/ui/CautionSign';
import { useShown } from '@/features/shoot/open-shoot';
import { chosenMark, chosenPosition } from '@/answers/view';
import { behindOf } from '@/answers/behind';
import { contrastLeft } from '@/answers/mist';
import { contrastInWords } from '@/features/shoot/mist-words';
import { marksInSun, ownShadowOn } from '@/answers/sun-on-ground';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { behindInWords } from './behind-words';
import { FigureRow } from './FigureRow';
import { figuresOf, postShadeInWords, sunInFigures, walkInWords } from './figures';

/** It brings a package that sorts tables. */
const FiguresSheet = lazy(async () => ({ default: (await import('./FiguresSheet')).FiguresSheet }));

/** What the chosen position sees of the chosen mark, and where the sun falls. */
export function FromHere() {
  const { setup, seen, along, atMs } = useShown('setup', 'seen', 'along', 'atMs');
  const inks = useInks();
  if (!seen.ok || !along) return null;
  const { view, answer } = seen;
  const { sun, indoors, daylight } = answer.light;
  const shining = !indoors && daylight.directNormalLux > 0;
  const strip = shining ? postShadeInWords(along.fence, sun) : undefined;
  const against = behindOf(setup, view, along, atMs);
  const left = contrastLeft(setup, view, along.back, atMs);
  const figures = [
    ...figuresOf(view, answer, along),
    ...(against ? [{ name: 'Stands against', value: behindInWords(against) }] : []),
    ...(left ? [{ name: 'Mist', value: contrastInWords(left) }] : []),
    ...(shining ? sunInFigures(setup.marks, marksInSun(setup, setup.features, sun, atMs)) : []),
    ...(strip ? [{ name: 'Shade at the wire', value: strip }] : []),
  ];
  const own = shining && ownShadowOn(chosenPosition(setup), chosenMark(setup), setup.features, sun);
  return (
    <View role="region" aria-label="From here">
      {figures.map((figure) => (
        <FigureRow key={figure.name} {...figure} />
      ))}
      {own ? (
        <View className="flex-row items-center gap-2 py-2">
          <CautionSign color={inks.signal} />
          <Text kind="strong" className="shrink">
            Your own shadow lies on the mark. Stand aside, or crouch.
          </Text>
        </View>
      ) : null}
    </View>
  );
}

/** Walks to the other positions, and the way to all figures of all of them. */
export function FiguresSection() {
  const { setup, shoot } = useShown('setup', 'shoot');
  const [open, setOpen] = useState(false);
  const here = chosenPosition(setup);
  const others = setup.positions.filter(({ id }) => id !== here.id);
  return (
    <View className="gap-3">
      {others.length > 0 ? (
        <View role="region" aria-label="Walks to the others">
          <Text kind="small" ink="quiet">
            To walk from here, straight
          </Text>
          {others.map((to) => (
            <FigureRow key={to.id} name={to.name} value={walkInWords(here, to, shoot.day)} />
          ))}
        </View>
      ) : null}
      <Button label="All positions and marks in figures" onPress={() => setOpen(true)} />
      <Suspense>{open ? <FiguresSheet onClose={() => setOpen(false)} /> : null}</Suspense>
    </View>
  );
}
