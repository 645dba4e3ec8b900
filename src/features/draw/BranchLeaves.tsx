import { View } from 'react-native';
import type { FeatureOf } from '@/core';
import { useEdits } from '@/features/shoot/open-shoot';
import { changeItem } from '@/records/edit-site';
import type { Feature } from '@/records/shoot';
import { Picker } from '@/ui/Picker';
import { leafinessOf, LEAFINESS, leavesFor, leavesOf, withLeafiness, withLeaves } from './leaves';

/** How dense a branch's leaves are, and in which months. */
export function BranchLeaves({ branch }: { readonly branch: FeatureOf<'branch'> }) {
  const { update } = useEdits();
  const change = (how: (before: FeatureOf<'branch'>) => FeatureOf<'branch'>) =>
    update((current) =>
      changeItem(current, 'features', branch.id, (entry) =>
        entry.kind === 'branch' ? (how(entry) as Feature & { kind: 'branch' }) : entry,
      ),
    );
  return (
    <View className="gap-3">
      <Picker
        label="Leaves"
        value={leafinessOf(branch)}
        options={LEAFINESS}
        onChange={(leafiness) => change((before) => withLeafiness(before, leafiness))}
      />
      {branch.leafTakes > 0 ? (
        <Picker
          label="In full leaf"
          value={leavesOf(branch)}
          options={leavesFor(branch)}
          onChange={(leaves) => change((before) => withLeaves(before, leaves))}
        />
      ) : null}
    </View>
  );
}
