import { memo } from 'react';
import { View } from 'react-native';
import { Text } from '@/ui/Text';
import { StepLink } from './StepLink';
import { useStepPath } from './step-path';
import { STEPS } from './steps';

/** The way through the steps beside a wide plan: all of them in two rows, or in one where there is width. */
export const StepLinks = memo(function StepLinks({ rows = 2 }: { readonly rows?: 1 | 2 }) {
  const { at: open } = useStepPath();
  return (
    <View role="navigation" aria-label="Steps" className="flex-row flex-wrap border-b border-ink">
      {STEPS.map((step) => {
        const here = step.id === open;
        return (
          <StepLink
            key={step.id}
            step={step.id}
            current={here ? 'page' : undefined}
            className={`min-h-touch min-w-[48px] grow items-center justify-center ${rows === 2 ? 'basis-1/5' : ''} ${here ? 'border-b-4 border-signal pt-1' : ''}`}
          >
            <Text kind={here ? 'label' : 'small'}>{step.name}</Text>
          </StepLink>
        );
      })}
    </View>
  );
});
