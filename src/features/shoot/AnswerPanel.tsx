import { memo } from 'react';
import { View as Box } from 'react-native';
import type { Settings } from '@/core';
import { LitBall } from '@/figures/LitBall';
import { CautionSign } from '@/ui/CautionSign';
import { Exposure } from '@/ui/Exposure';
import { Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { ballOf, type Answer } from '@/answers/answer';
import { Guesses } from './Guesses';
import { useShown } from './open-shoot';
import type { View } from '@/answers/view';
import { useWarnings } from './use-warnings';
import { bearingInWords, engraved, faceSeen, lightInWords, metres, troubleInWords } from './words';
import { extrasInWords, shutterReason } from './exposure-words';
import { notesOf } from './frame-notes';
import { Brim, LetGo, Overfilled, WaysOut } from './WaysOut';

function Warning({ text }: { readonly text: string }) {
  const inks = useInks();
  return (
    <Box role="alert" className="flex-row items-start gap-2 border-2 border-signal p-2">
      <CautionSign color={inks.signal} />
      <Text kind="strong" className="shrink">
        Caution: {text}
      </Text>
    </Box>
  );
}

/** A figure with its name over it and its reason under it. */
export const Fact = memo(function Fact({
  name,
  value,
  why,
}: {
  readonly name: string;
  readonly value: string;
  readonly why: string;
}) {
  return (
    <Box className="min-w-0 flex-1">
      <Text kind="tiny" ink="quiet">
        {name}
      </Text>
      <Text kind="figure">{value}</Text>
      <Text kind="tiny" ink="quiet">
        {why}
      </Text>
    </Box>
  );
});

function Ball({ view, answer }: { readonly view: View; readonly answer: Answer }) {
  return (
    <LitBall
      sizePx={68}
      label={`Ball lit as the camera sees it: ${lightInWords(answer).toLowerCase()}`}
      light={ballOf(view, answer)}
    />
  );
}

/** What can hurt someone from here: the sun near the frame, a place where one may not stand. */
export function Warnings() {
  return useWarnings().map((text) => <Warning key={text} text={text} />);
}

/** What goes with the three dials: a lift afterwards, a filter. */
export function Extras({ settings }: { readonly settings: Settings }) {
  const extras = extrasInWords(settings);
  return extras.length > 0 ? <Text kind="strong">{extras.join(' · ')}</Text> : null;
}

/** The answer of the page: settings, why, what it costs; then light and framing. */
export function AnswerPanel() {
  const plan = useShown('seen', 'setup');
  const { seen } = plan;
  if (!seen.ok) {
    return (
      <Box className="gap-1" role="alert">
        <Text kind="title">No answer from here</Text>
        <Text>{troubleInWords(seen.trouble)}</Text>
      </Box>
    );
  }
  const { view, answer, sentence } = seen;
  const { ev } = answer.light;
  const spread = ev.high - ev.low;
  return (
    <Box role="region" aria-label="The whole answer" className="gap-2">
      <Overfilled view={view} />
      <Exposure {...engraved(answer.exposure.settings)} />
      <Extras settings={answer.exposure.settings} />
      <Text kind="strong" aria-live="polite">
        {sentence}
      </Text>
      <WaysOut view={view} plan={answer.exposure} />
      <Brim view={view} answer={answer} />
      <LetGo held={plan.setup.choice.held} />
      <Text kind="small">
        {[shutterReason(view, answer.exposure), ...notesOf(view, answer.exposure)]
          .filter(Boolean)
          .join(' ')}
      </Text>
      <Warnings />
      <Guesses />
      <Box className="flex-row items-start gap-3 border-t border-line pt-2">
        <Ball view={view} answer={answer} />
        <Fact
          name="On the face"
          value={`EV ${ev.expected.toFixed(1)}`}
          why={
            spread > 0.2
              ? `${lightInWords(answer)}, EV ${ev.low.toFixed(1)} to ${ev.high.toFixed(1)}`
              : lightInWords(answer)
          }
        />
        <Fact
          name="Frame fill"
          value={`${Math.round(view.fill * 100)} %`}
          why={`${Math.round(view.pixels)} px, ${faceSeen(view.faceOffDeg)}`}
        />
        <Fact
          name="Distance"
          value={metres(view.sight.distanceM)}
          why={`looking ${bearingInWords(view.sight.bearingDeg)}`}
        />
      </Box>
      <Text kind="small" ink="quiet">
        {view.body.name}, {view.lensName} at {Math.round(view.focalMm)} mm. {view.subject.name}.
      </Text>
    </Box>
  );
}
