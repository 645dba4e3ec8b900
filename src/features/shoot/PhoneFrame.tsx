import { useState, type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Heading } from '@/ui/Text';
import { useShape } from '@/ui/use-shape';
import { AnswerLine } from './AnswerLine';
import { useUndoable } from './open-shoot';
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

/**
 * A picture over its step's work, which is as high as what is in it. While the hand drags the picture stays as high as
 * it was: what is said under it comes and goes, and would have it grow and shrink under the hand.
 */
function OverWork({
  picture,
  children,
}: Pick<PhoneFrameProps, 'picture'> & { readonly children: ReactNode }) {
  const { held } = useUndoable('held');
  const [restPx, setRestPx] = useState<number>();
  const steady = held && restPx !== undefined;
  return (
    <>
      <View
        className={steady ? '' : 'min-h-[160px] flex-1'}
        style={steady && { height: restPx }}
        onLayout={({ nativeEvent }) => {
          if (!held) setRestPx(nativeEvent.layout.height);
        }}
      >
        {picture}
      </View>
      <View className={`border-t border-ink ${steady ? 'min-h-0 flex-1' : 'max-h-[45%] shrink'}`}>
        {children}
      </View>
    </>
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
          <OverWork picture={picture}>
            <ScrollView key={contentKey} tabIndex={0} keyboardShouldPersistTaps="handled">
              {work}
            </ScrollView>
          </OverWork>
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
