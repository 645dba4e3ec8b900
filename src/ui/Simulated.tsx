import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from './Text';

/** What a stand-in says, apart from what is measured: in a broken frame, under its own name. */
export function Simulated({
  what,
  children,
}: {
  /** What is made up: "meter", "forecast". */
  readonly what: string;
  readonly children: ReactNode;
}) {
  return (
    <View
      role="group"
      aria-label={`Simulated ${what}`}
      className="gap-2 border-2 border-dashed border-quiet p-3"
    >
      <Text kind="label" ink="quiet">{`Simulated ${what}`}</Text>
      {children}
    </View>
  );
}
