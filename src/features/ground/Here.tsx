import { refusalsInWords, scoreWhyInWords } from '@/features/shoot/score-words';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { FLECKS } from '@/core';
import { behindOf } from '@/answers/behind';
import { contrastLeft } from '@/answers/mist';
import { foodInFrame } from '@/answers/perch';
import { contrastInWords } from '@/features/shoot/mist-words';
import { ballOf } from '@/answers/answer';
import { shadedBy } from '@/answers/light-plan';
import { ownShadowOn } from '@/answers/sun-on-ground';
import type { Setup } from '@/answers/view';
import type { Plan } from '@/features/shoot/use-plan';
import { weakest } from '@/answers/search';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { BEFORE_CUTTING, inTheWayInWords } from '@/features/shoot/hide-words';
import { faceSeen, lightInWords, metres, percent, troubleInWords } from '@/features/shoot/words';
import { LitBall } from '@/figures/LitBall';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useIsWide } from '@/ui/use-shape';
import { adviceInWords, followed, nameIn, otherConverters } from './compare';
import { FiguresSection, FromHere } from './FiguresSection';
import { behindInShort } from './behind-words';
import { backdropInShort } from './figures';
import { useHereScored } from './use-here-scored';

type Seen = Extract<Plan['seen'], { ok: true }>;

/** Less contrast than this left on the subject is seen at once. No source. */
const HAZY = 0.9;

/** As many pieces of advice are offered beside the plan; the rest stand in Compare. */
const MOST_ADVICE = 2;

/** Whose shade lies on the mark at this minute: one's own comes first, it can be taken away. */
function shadeNow(setup: Setup, { view, answer }: Seen, atMs: number): string | undefined {
  const { sun, indoors, underLeaves } = answer.light;
  if (indoors || underLeaves) return undefined;
  const { features } = setup;
  if (ownShadowOn(view.position, view.mark, features, sun)) {
    return 'Your own shadow lies on it: stand aside, or crouch.';
  }
  const owner = shadedBy(view.scene, features, atMs);
  if (owner === undefined) return undefined;
  const { sunShare } = answer.light;
  return sunShare > FLECKS.from
    ? `Dappled by ${owner}: ${percent(sunShare)} of the sun.`
    : `In the shade of ${owner}.`;
}

/** The place one stands at: what it gives of the mark, what it is worth, and what would better it most. */
export function Here() {
  const { seen, along, setup, atMs } = useShown('seen', 'along', 'setup', 'atMs');
  const [open, setOpen] = useState(false);
  const wide = useIsWide();
  if (!seen.ok) {
    return (
      <View role="region" aria-label="Where you stand" className="gap-1 px-4 py-3">
        <Text kind="strong" role="alert">
          {wide ? troubleInWords(seen.trouble) : 'No answer from here'}
        </Text>
      </View>
    );
  }
  const { view, answer } = seen;
  const inTheWay = along && inTheWayInWords(along);
  const shade = shadeNow(setup, seen, atMs);
  const [foodIn] = foodInFrame(view, setup);
  const left = contrastLeft(setup, view, along?.back, atMs);
  const behind = along && backdropInShort(view, answer.exposure.settings.aperture, along.back);
  const against = along && behindOf(setup, view, along, atMs);
  return (
    <View role="region" aria-label="Where you stand" className="gap-1 px-3 pb-1">
      <Pressable
        role="button"
        aria-haspopup="dialog"
        onPress={() => setOpen(true)}
        className="min-h-touch flex-row items-center gap-3 active:opacity-60"
      >
        <LitBall
          sizePx={44}
          label={`Ball lit as the camera sees it: ${lightInWords(answer).toLowerCase()}`}
          light={ballOf(view, answer)}
        />
        <View className="min-w-0 flex-1">
          <Text kind="strong">
            {`${metres(view.sight.distanceM)} · fills ${percent(view.fill)}`}
          </Text>
          <Text kind="small" ink="quiet">
            {[lightInWords(answer), faceSeen(view.faceOffDeg)].join(' · ')}
          </Text>
          {inTheWay ? <Text kind="small">{inTheWay}</Text> : null}
          {shade ? <Text kind="small">{shade}</Text> : null}
          {foodIn ? <Text kind="small">{`${foodIn.name} is in the frame.`}</Text> : null}
          {left && left.subject < HAZY ? (
            <Text kind="small">{`Mist: ${contrastInWords(left)}.`}</Text>
          ) : null}
          {behind ? (
            <Text kind="small" ink="quiet">
              {[behind, against ? behindInShort(against) : ''].filter(Boolean).join(', ')}
            </Text>
          ) : null}
        </View>
        <Score />
      </Pressable>
      <Advised />
      {open ? (
        <Sheet
          title={`${view.mark.name} from ${view.position.name}`}
          open
          onClose={() => setOpen(false)}
        >
          <FromHere />
          {wide ? null : <FiguresSection />}
        </Sheet>
      ) : null}
    </View>
  );
}

/** What the place is worth, of a hundred. */
function Score() {
  const { compared } = useHereScored();
  if (!compared) return <Text kind="title">…</Text>;
  const { score } = compared;
  if (score.refusals.length > 0) return <Text kind="label">off limits</Text>;
  return (
    <View className="items-end">
      <Text kind="title">{Math.round(score.total * 100)}</Text>
      <Text kind="tiny" ink="quiet">
        of 100
      </Text>
    </View>
  );
}

/** What would better the place most, each by a press, the best first. */
function Advised() {
  const { shoot, clock } = useShown('shoot', 'clock');
  const { update } = useEdits();
  const { compared, request } = useHereScored();
  // Room for what is coming: the plan keeps its size when it comes.
  if (!compared || !request) return <View className="min-h-touch" />;
  const { score, advice } = compared;
  const [from] = request.positions;
  if (!from) return null;
  const converters = otherConverters(shoot.kit);
  const best = [...advice].sort((a, b) => b.total - a.total).slice(0, MOST_ADVICE);
  if (score.refusals.length > 0) {
    return (
      <View className="min-h-touch justify-center">
        <Text kind="small">{`Off limits: ${refusalsInWords(score.refusals)}.`}</Text>
      </View>
    );
  }
  if (best.length === 0) {
    const [worst] = weakest(score);
    return (
      <View className="min-h-touch justify-center">
        <Text kind="small" ink="quiet">
          {`Nothing near would better it. Weakest: ${worst ? scoreWhyInWords(worst.why) : ''}.`}
        </Text>
      </View>
    );
  }
  return (
    <View role="group" aria-label="What would better it" className="gap-1">
      <View className="flex-row gap-2">
        {best.map((one, i) => {
          const words = adviceInWords(one, from, {
            ...{ converters, clock, atMs: request.timeMs },
            nameOf: nameIn(shoot),
          });
          return (
            <View key={one.lever} className="min-w-0 flex-1">
              <Button
                kind={i === 0 ? 'primary' : 'plain'}
                label={`${words}: ${Math.round(one.total * 100)}`}
                onPress={() => update((current) => followed(current, from.id, one, converters))}
              />
            </View>
          );
        })}
      </View>
      {best.some(({ lever }) => lever === 'cut') ? (
        <Text kind="small">{BEFORE_CUTTING}</Text>
      ) : null}
    </View>
  );
}
