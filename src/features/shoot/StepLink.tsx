import { Link } from 'expo-router';
import { Pressable, type PressableProps } from 'react-native';
import { useLooked } from './open-shoot';
import type { StepId } from './steps';
import { useToStep } from './use-to-step';

export interface StepLinkProps extends Pick<PressableProps, 'children' | 'className'> {
  readonly step: StepId;
  /** What is told of the step that is open. */
  readonly current?: 'page' | 'step' | undefined;
  readonly onPressed?: () => void;
}

/** A press that asks for a tab or a window of its own is the browser's. */
function isPlain(event: object): boolean {
  const { metaKey, altKey, ctrlKey, shiftKey } = event as Partial<MouseEvent>;
  return !metaKey && !altKey && !ctrlKey && !shiftKey;
}

/** The way to a step: an address for a tab of its own, and at a plain press the step. */
export function StepLink({ step, current, onPressed, ...look }: StepLinkProps) {
  const { id } = useLooked('shoot').shoot;
  const toStep = useToStep();
  const address = `/shoot/${id}/${step}` as const;
  return (
    <Link href={address} asChild>
      <Pressable
        {...look}
        role="link"
        {...(current && { 'aria-current': current })}
        onPress={(event) => {
          if (!isPlain(event)) return;
          event.preventDefault();
          toStep(address);
          onPressed?.();
        }}
      />
    </Link>
  );
}
