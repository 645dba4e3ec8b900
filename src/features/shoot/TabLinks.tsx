import { Link, type Href } from 'expo-router';
import { Pressable, View } from 'react-native';
import { Text } from '@/ui/Text';
import { useLooked } from './open-shoot';
import { useStepPath } from './step-path';
import type { StepId } from './steps';

/** A part of a step, with an address of its own; the first has the step's. */
export interface StepTab<T extends string = string> {
  readonly id: T;
  readonly name: string;
}

/** Which part of a step an address is of: its first where it names none, or one it does not have. */
export function useTab<T extends string>(tabs: readonly StepTab<T>[]): T {
  const part = useStepPath().path.split('/')[4];
  return (tabs.find(({ id }) => id === part) ?? (tabs[0] as StepTab<T>)).id;
}

/** The parts of a step, a press each. */
export function TabLinks<T extends string>({
  step,
  ...row
}: Omit<TabRowProps<T>, 'hrefOf'> & { readonly step: StepId }) {
  const { id } = useLooked('shoot').shoot;
  const [first] = row.tabs;
  return (
    <TabRow
      {...row}
      hrefOf={(tab) => (tab === first?.id ? `/shoot/${id}/${step}` : `/shoot/${id}/${step}/${tab}`)}
    />
  );
}

interface TabRowProps<T extends string> {
  readonly label: string;
  readonly tabs: readonly StepTab<T>[];
  readonly open: T;
  /** The address of a part. */
  readonly hrefOf: (tab: T) => Href;
}

/** Parts that have addresses, side by side. */
export function TabRow<T extends string>({ label, tabs, open, hrefOf }: TabRowProps<T>) {
  return (
    <View
      role="navigation"
      aria-label={label}
      className="flex-row flex-wrap border-y border-line bg-paper"
    >
      {tabs.map((tab, i) => {
        const here = tab.id === open;
        return (
          <Link key={tab.id} href={hrefOf(tab.id)} replace asChild>
            <Pressable
              role="link"
              {...(here && { 'aria-current': 'page' as const })}
              className={`min-h-touch min-w-fit flex-1 items-center justify-center px-1 ${i > 0 ? 'border-l border-line' : ''} ${here ? 'bg-ink' : ''}`}
            >
              <Text kind="label" className={`min-w-[40px] text-center ${here ? 'text-paper' : ''}`}>
                {tab.name}
              </Text>
            </Pressable>
          </Link>
        );
      })}
    </View>
  );
}
