import { useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import type { FallbackProps } from 'react-error-boundary';
import { ScrollView, View } from 'react-native';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { useShootTasks } from './use-shoot-tasks';
import type { Shoot } from '@/records/shoot';
import { Button, IconButton } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { useInks } from '@/ui/theme';
import { useLooked } from './open-shoot';
import { StepFrame } from './StepFrame';
import { UndoButtons } from './UndoButtons';

/** What the core refuses says what to change; any other fault only why. */
function adviceFor(error: unknown): string {
  const why = error instanceof Error ? error.message : String(error);
  return error instanceof RangeError
    ? `Undo the last change, or change this: ${why}.`
    : `Undo the last change, or try again. Why: ${why}.`;
}

/** A fault of the page of a shoot: nothing is lost, and there are four ways on. */
export function ShootTrouble({
  shoot,
  error,
  resetErrorBoundary,
}: FallbackProps & { readonly shoot: Shoot }) {
  const router = useRouter();
  const inks = useInks();
  return (
    <View className="flex-1 bg-paper">
      <View role="banner" className="flex-row items-center border-b border-ink">
        <IconButton label="All shoots" onPress={() => router.navigate('/')}>
          <ArrowLeft color={inks.ink} size={24} />
        </IconButton>
        <Heading level={1} kind="place" numberOfLines={6} className="shrink grow">
          {shoot.title}
        </Heading>
        <UndoButtons always />
      </View>
      <ScrollView role="main" contentContainerClassName="mx-auto w-full max-w-[560px] gap-4 p-4">
        <TroubleWords what="This shoot can’t be shown as it is now." advice={adviceFor(error)} />
        <TroubleWays shoot={shoot} onRetry={resetErrorBoundary} />
      </ScrollView>
    </View>
  );
}

/**
 * A fault of the step that is open: title, undo, plan and the other steps are still there. It is tried again
 * when the shoot changes, as it does with an undo.
 */
export function StepTrouble({ error, resetErrorBoundary: retry }: FallbackProps) {
  const { shoot } = useLooked('shoot');
  const met = useRef(shoot);
  useEffect(() => {
    if (met.current === shoot) return;
    met.current = shoot;
    retry();
  }, [shoot, retry]);
  return (
    <StepFrame title="Problem">
      <View className="gap-4 p-4">
        <TroubleWords what="This step can’t be shown as it is now." advice={adviceFor(error)} />
        <TroubleWays shoot={shoot} onRetry={retry} />
      </View>
    </StepFrame>
  );
}

/** A step whose code could not be fetched: what is here already goes on. */
export function UnfetchedStep() {
  const { shoot } = useLooked('shoot');
  return (
    <StepFrame title="Problem">
      <View className="gap-4 p-4">
        <TroubleWords
          what="This step could not be fetched."
          advice="Try again when there is a network; the steps that were open before go on without."
        />
        <TroubleWays shoot={shoot} onRetry={() => window.location.reload()} />
      </View>
    </StepFrame>
  );
}

function TroubleWords({ what, advice }: { readonly what: string; readonly advice: string }) {
  return (
    <View role="alert" className="gap-1 border-2 border-signal p-3">
      <Text kind="strong">{what}</Text>
      <Text>{`Nothing is lost. ${advice}`}</Text>
    </View>
  );
}

function TroubleWays({ shoot, onRetry }: { readonly shoot: Shoot; readonly onRetry: () => void }) {
  const { exportFile } = useShootTasks();
  return (
    <View className="gap-2">
      <Button label="Try again" kind="primary" onPress={onRetry} />
      <Button label="Export as a file" onPress={() => exportFile(shoot)} />
    </View>
  );
}
