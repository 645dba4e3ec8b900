import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { demoShoots } from '@/demo/seed';
import { ShootSketch } from '@/figures/ShootSketch';
import { readKnown, type Known } from '@/records/last-answer';
import { Text } from '@/ui/Text';
import { useShape } from '@/ui/use-shape';
import { AnswerRow } from './AnswerRow';

/** The shoot that an address is of, if it is of one. */
const shootAt = (path: string): string | undefined => {
  const id = /^\/shoot\/([^/]+)/.exec(path)?.[1];
  return id === undefined ? undefined : decodeURIComponent(id);
};

/** What was read last: a page that opens in parts shows it in each without waiting for it again. */
let lastRead: Known | undefined;

async function readOf(id: string): Promise<Known | undefined> {
  lastRead = await readKnown(id, demoShoots);
  return lastRead;
}

/** Reads what is known of the shoot that the page opens on, while the app is still being put together. */
export function readAhead(): void {
  const id = shootAt(window.location.pathname);
  // The page reads the record itself, and says what it lacks.
  if (id !== undefined) void readOf(id).catch(() => undefined);
}

/** What is known of a shoot before its page has been fetched; nothing yet, or nothing at all. */
function useKnown(id: string | undefined): Known | undefined {
  const [known, setKnown] = useState(lastRead);
  useEffect(() => {
    if (id === undefined) return undefined;
    let left = false;
    void readOf(id).then(
      (found) => (left ? undefined : setKnown(found)),
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [id]);
  return known?.summary.id === id ? known : undefined;
}

/**
 * A page's outline while its code and its record are fetched. Of a shoot: its title, its ground, and what it
 * answered when it was last looked at, where the page itself will have them.
 */
export function Opening() {
  const id = shootAt(window.location.pathname);
  const known = useKnown(id);
  const wide = useShape() === 'wide';
  const { summary, answer } = known ?? {};
  return (
    <View role="main" className="absolute inset-0 bg-paper">
      <View
        role="progressbar"
        aria-label={id === undefined ? 'Opening the page' : 'Opening the shoot'}
        className="absolute"
      />
      <View className="min-h-[56px] justify-center border-b border-ink pl-12 pr-3">
        {summary ? (
          <Text kind="place" numberOfLines={2}>
            {summary.title}
          </Text>
        ) : (
          <View className="h-6 w-2/3 bg-line" />
        )}
      </View>
      <View className="min-h-0 flex-1 items-center justify-center overflow-hidden">
        {summary ? <ShootSketch sketch={summary.sketch} sizePx={wide ? 480 : 340} /> : null}
      </View>
      {answer ? (
        <View
          role="region"
          aria-label="Answer as it was last seen"
          className="min-h-touch flex-row items-center gap-2 border-t border-ink bg-sheet px-3 py-1"
        >
          <AnswerRow exposure={answer} until={[answer.now, answer.then]} />
        </View>
      ) : null}
      <View className="h-[54px] border-t border-line" />
      <View className="h-[59px] border-t border-line" />
    </View>
  );
}
