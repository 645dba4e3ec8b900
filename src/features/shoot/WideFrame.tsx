import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Heading } from '@/ui/Text';
import { AnswerPanel } from './AnswerPanel';
import { StepLinks } from './StepLinks';
import { TimeFoot } from './TimeFoot';
import { TopBar } from './TopBar';

/** How much of the page the step's own column takes. */
const LEFT = { column: 'w-[340px]', field: 'w-[520px]', table: 'w-[760px]' } as const;

export interface WideFrameProps {
  /** What the step is about: read out, and where focus lands. */
  readonly title: string;
  /** The step's own work. */
  readonly left: ReactNode;
  readonly leftIs?: keyof typeof LEFT;
  /** Its key when what is in hand changes: the column begins at its top then. */
  readonly contentKey?: string;
  /** The picture that the step wants room for. */
  readonly middle: ReactNode;
  /** Beside it; the whole answer unless the step says otherwise, `null` for nothing. */
  readonly right?: ReactNode;
  readonly foot?: ReactNode;
  readonly bare?: boolean;
}

/** A step on a wide screen: its work left, its picture in the middle, the answer right, the hours at the foot. */
export function WideFrame({
  title,
  left,
  leftIs = 'column',
  contentKey,
  middle,
  right = <AnswerPanel />,
  foot = <TimeFoot />,
  bare = false,
}: WideFrameProps) {
  return (
    <View className="absolute inset-0 bg-paper">
      <View role="main" className="min-h-0 flex-1 flex-row">
        <View className={`${LEFT[leftIs]} border-r border-ink`}>
          <TopBar bare={bare} />
          <StepLinks rows={leftIs === 'column' ? 2 : 1} />
          <ScrollView
            key={contentKey}
            className="flex-1"
            contentContainerClassName="grow pb-4"
            tabIndex={0}
          >
            <Heading level={2} tabIndex={-1} className="sr-only">
              {title}
            </Heading>
            {left}
          </ScrollView>
        </View>
        <View className="min-w-0 flex-1">{middle}</View>
        {right === null ? null : (
          <View className="w-[370px] border-l border-ink">
            <ScrollView tabIndex={0} contentContainerClassName="p-4">
              {right}
            </ScrollView>
          </View>
        )}
      </View>
      {foot}
    </View>
  );
}
