import { useShape } from '@/ui/use-shape';
import { PhoneFrame, type PhoneFrameProps } from './PhoneFrame';
import { PlanPicture } from './PlanPicture';
import { WideFrame } from './WideFrame';

/** Something said in a step's place, on any screen. */
export function StepFrame({ title, children }: Pick<PhoneFrameProps, 'title' | 'children'>) {
  return useShape() === 'wide' ? (
    <WideFrame title={title} left={children} middle={<PlanPicture />} />
  ) : (
    <PhoneFrame title={title}>{children}</PhoneFrame>
  );
}
