import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Heading } from '@/ui/Text';
import { useShape } from '@/ui/use-shape';
import { AnswerLine } from './AnswerLine';
import { StepNav } from './StepNav';
import { TimeFoot } from './TimeFoot';
import { TopBar } from './TopBar';

export interface PhoneFrameProps {
  /** What the step is about: read out, and where focus lands. */
  readonly title: string;
  /** The step's own picture, from edge to edge: it takes what height is left. */
  readonly picture?: ReactNode;
  /** The step's own work: it scrolls, and begins at its top when `contentKey` changes. */
  readonly children?: ReactNode;
  readonly contentKey?: string;
  /** What comes after, or beside it on a phone held level. */
  readonly second?: ReactNode;
  /** Over the foot, under the thumb. */
  readonly tools?: ReactNode;
  /** Whether the answer stands in its line; not where the step itself shows it large. */
  readonly answer?: boolean;
  /** The hours; `null` for none. */
  readonly foot?: ReactNode;
  /** Without undo and cautions in the head. */
  readonly bare?: boolean;
}

/**
 * A step on a phone. Upright: head, the step's picture and work, and at the foot the answer in one line, the
 * hours and the way through the steps. Held level: picture and hours left, all else right.
 */
export function PhoneFrame(props: PhoneFrameProps) {
  return useShape() === 'level' ? <Level {...props} /> : <Upright {...props} />;
}

/** The step's name for those who hear the page; where focus lands when the step is opened. */
function StepHeading({ title }: { readonly title: string }) {
  return (
    <Heading level={2} tabIndex={-1} className="sr-only">
      {title}
    </Heading>
  );
}

function Upright({
  title,
  picture,
  children,
  contentKey,
  second,
  tools,
  answer = true,
  foot = <TimeFoot />,
  bare = false,
}: PhoneFrameProps) {
  const work = (
    <>
      {children}
      {second}
    </>
  );
  return (
    <View className="absolute inset-0 bg-paper">
      <TopBar bare={bare} />
      <View role="main" className="min-h-0 flex-1">
        <StepHeading title={title} />
        {picture ? (
          <>
            <View className="min-h-[160px] flex-1">{picture}</View>
            <View className="max-h-[45%] shrink border-t border-ink">
              <ScrollView key={contentKey} tabIndex={0} keyboardShouldPersistTaps="handled">
                {work}
              </ScrollView>
            </View>
          </>
        ) : (
          <ScrollView
            key={contentKey}
            tabIndex={0}
            className="flex-1"
            keyboardShouldPersistTaps="handled"
          >
            {work}
          </ScrollView>
        )}
        {tools}
      </View>
      {answer ? <AnswerLine /> : null}
      {foot}
      <StepNav />
    </View>
  );
}

function Level({
  title,
  picture,
  children,
  contentKey,
  second,
  tools,
  answer = true,
  foot = <TimeFoot />,
  bare = false,
}: PhoneFrameProps) {
  return (
    <View className="absolute inset-0 flex-row bg-paper">
      <View className="min-w-0 flex-[55] border-r border-ink">
        <TopBar bare={bare} />
        <View className="min-h-0 flex-1">
          {picture ?? (
            <ScrollView tabIndex={0} className="flex-1" keyboardShouldPersistTaps="handled">
              {children}
            </ScrollView>
          )}
        </View>
        {foot}
      </View>
      <View className="min-w-0 flex-[45]">
        <View role="main" className="min-h-0 flex-1">
          <StepHeading title={title} />
          <ScrollView
            key={contentKey}
            tabIndex={0}
            className="flex-1"
            keyboardShouldPersistTaps="handled"
          >
            {picture ? children : null}
            {second}
          </ScrollView>
          {tools}
        </View>
        {answer ? <AnswerLine /> : null}
        <StepNav />
      </View>
    </View>
  );
}
