import { Navigator, Slot, useGlobalSearchParams, usePathname, useRouter } from 'expo-router';
import Head from 'expo-router/head';
import { memo, useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { View } from 'react-native';
import { demoShoots } from '@/demo/seed';
import { useShoot } from '@/records/queries';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Heading, Text } from '@/ui/Text';
import { useUnits } from '@/ui/units';
import { Opening } from './Opening';
import { EditsContext, LookContext, ShootContext, useShootEdits } from './ShootContext';
import { ShootTrouble, UnfetchedStep } from './ShootTrouble';
import { useUndoKeys } from './UndoButtons';
import { useEdits } from './use-edits';
import { useLastAnswer } from './use-last-answer';
import { usePaced } from './use-paced';
import { useLook, usePlan, type Look } from './use-plan';
import { FIRST_LOOKING, PlanLookContext } from './use-plan-view';
import { SearchContext, useSearch } from './use-search';
import { useWalk, WalkContext } from './use-walk';

/** One shoot, open: what its steps show and change. They lay themselves out. */
export function ShootScreen() {
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
  return <OpenShoot key={shoot.id} shoot={shoot} />;
}

/**
 * A shoot with what can be undone and the step it is at, which a fault in showing it takes nothing of: the
 * navigator stands over the boundary, and what is in it shows the step that is open.
 */
function OpenShoot({ shoot }: { readonly shoot: Shoot }) {
  const edits = useEdits(shoot.id);
  useUndoKeys(edits);
  return (
    <EditsContext.Provider value={edits}>
      <PageTitle title={shoot.title} />
      <Navigator>
        <ErrorBoundary
          resetKeys={[shoot]}
          fallbackRender={(fault) => <ShootTrouble shoot={shoot} {...fault} />}
        >
          <ShownShoot shoot={shoot} />
        </ErrorBoundary>
      </Navigator>
    </EditsContext.Provider>
  );
}

function ShownShoot({ shoot }: { readonly shoot: Shoot }) {
  const edits = useShootEdits();
  const look = useLook(shoot);
  const paced = usePaced(look, edits.held);
  const { units } = useUnits();
  const search = useSearch();
  const walk = useWalk();
  const looking = useState(FIRST_LOOKING);
  return (
    <LookContext.Provider value={look}>
      <WithPlan key={units} look={paced}>
        <PlanLookContext.Provider value={looking}>
          <SearchContext.Provider value={search}>
            <WalkContext.Provider value={walk}>
              <OpenStep />
            </WalkContext.Provider>
          </SearchContext.Provider>
        </PlanLookContext.Provider>
      </WithPlan>
    </LookContext.Provider>
  );
}

/** What to set for a look, for all that is within. Not asked again while the look is the same. */
const WithPlan = memo(function WithPlan({
  look,
  children,
}: {
  readonly look: Look;
  readonly children: ReactNode;
}) {
  const edits = useShootEdits();
  const plan = usePlan(look);
  useLastAnswer(plan);
  const page = useMemo(() => ({ plan, ...edits }), [plan, edits]);
  return <ShootContext.Provider value={page}>{children}</ShootContext.Provider>;
});

const PageTitle = memo(function PageTitle({ title }: { readonly title: string }) {
  return (
    <Head>
      <title>{`${title} · Bright Perch`}</title>
    </Head>
  );
});

/** It reads what it needs itself, so that a new minute does not redraw it all. */
const OpenStep = memo(function OpenStep() {
  return (
    <View className="flex-1 bg-paper">
      <ErrorBoundary resetKeys={[usePathname()]} FallbackComponent={UnfetchedStep}>
        <Slot />
      </ErrorBoundary>
    </View>
  );
});
