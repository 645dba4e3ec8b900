import { Navigator, useGlobalSearchParams, useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { memo, useCallback, useDeferredValue } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { View } from 'react-native';
import { demoShoots } from '@/demo/seed';
import { useShoot } from '@/records/queries';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { useUnits } from '@/ui/units';
import { OpenShootContext, useOpenShoot, useOpening, useUndoable } from './open-shoot';
import { Opening } from './Opening';
import { OpenStep } from './OpenStep';
import { ShootTrouble } from './ShootTrouble';
import type { StepScreens } from './step-screens';
import { usePublished } from './store';
import { useUndoKeys } from './UndoButtons';
import { useLastAnswer } from './use-last-answer';
import { usePaced } from './use-paced';
import { useLook, usePlan, type Look, type Plan } from './use-plan';

interface WithScreens {
  /** The screens of its steps. */
  readonly screens: StepScreens;
}

/** One shoot, open: what its steps show and change. They lay themselves out. */
export function ShootScreen({ screens }: WithScreens) {
  // The address's own: a layout's local one stays behind when one shoot takes the place of another.
  const { id } = useGlobalSearchParams<{ id: string }>();
  const { data: shoot, isPending } = useShoot(id, demoShoots);
  const router = useRouter();
  // Put together in slices the first time, so that what holds its place can be read and left meanwhile.
  const ready = useDeferredValue(!isPending, false);
  if (isPending || !ready) return <Opening />;
  if (!shoot) {
    return (
      <View className="flex-1 items-start justify-center gap-4 bg-paper p-6">
        <Heading level={1} kind="title">
          No such shoot here
        </Heading>
        <Text>
          It may have been deleted, or it was made on another device. A shoot travels as a file:
          export it there and import it here.
        </Text>
        <Button label="See all shoots" kind="primary" onPress={() => router.replace('/')} />
      </View>
    );
  }
  // Another shoot at the same address is another page: nothing of the one before stays.
  return <OpenedShoot key={shoot.id} id={shoot.id} screens={screens} />;
}

/**
 * A shoot with what can be undone and the step it is at, which a fault in showing it takes nothing of: the
 * navigator stands over the boundary, and what is in it shows the step that is open.
 */
const OpenedShoot = memo(function OpenedShoot({ id, screens }: Pick<Shoot, 'id'> & WithScreens) {
  const open = useOpening(id);
  useUndoKeys(open.edits);
  return (
    <OpenShootContext.Provider value={open}>
      {/* It knows nothing of the shoot: a change would have it make every step anew. */}
      <Navigator>
        <GuardedShoot id={id} screens={screens} />
      </Navigator>
    </OpenShootContext.Provider>
  );
});

function GuardedShoot({ id, screens }: Pick<Shoot, 'id'> & WithScreens) {
  const { data: shoot } = useShoot(id, demoShoots);
  if (!shoot) return null;
  return (
    <>
      <PageTitle title={shoot.title} />
      <ErrorBoundary
        resetKeys={[shoot]}
        fallbackRender={(fault) => <ShootTrouble shoot={shoot} {...fault} />}
      >
        <ShownShoot shoot={shoot} screens={screens} />
      </ErrorBoundary>
    </>
  );
}

/** What the hand moves is drawn with this very frame. */
const atOnce = () => false;

function ShownShoot({ shoot, screens }: { readonly shoot: Shoot } & WithScreens) {
  const { looked } = useOpenShoot();
  const { held } = useUndoable('held');
  const look = useLook(shoot);
  const paced = usePaced(look, held);
  const { units } = useUnits();
  usePublished(looked, look, atOnce);
  return <WithPlan key={units} look={paced} held={held} screens={screens} />;
}

/** What to set for a look, for all that is within. Not asked again while the look is the same. */
const WithPlan = memo(function WithPlan({
  look,
  held,
  screens,
}: {
  readonly look: Look;
  readonly held: boolean;
} & WithScreens) {
  const { shown } = useOpenShoot();
  const plan = usePlan(look);
  useLastAnswer(plan);
  // What a press changed is seen at once; what came of itself, or follows a hand, in slices.
  const inSlices = useCallback(
    (before: Plan) => held || before.shoot === plan.shoot,
    [held, plan.shoot],
  );
  usePublished(shown, plan, inSlices);
  return <OpenStep screens={screens} />;
});

const PageTitle = memo(function PageTitle({ title }: { readonly title: string }) {
  return (
    <Head>
      <title>{`${title} · Bright Perch`}</title>
    </Head>
  );
});
