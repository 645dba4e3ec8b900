import { useState } from 'react';
import { rollups } from 'd3-array';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { strandNamed } from '@/presets/event-strands';
import type { DayEventRecord } from '@/records/day';
import { withMany, type ManySet } from '@/records/edit-events';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';

const ALL = 'all';
const KEEP = 'keep';
const NONE = 'none';
const WORTHS = [
  { value: KEEP, label: 'As it is' },
  { value: 'must', label: 'Must' },
  { value: 'should', label: 'Should' },
  { value: 'could', label: 'Could' },
] as const;
const TAKEN = [
  { value: KEEP, label: 'As it is' },
  { value: 'in', label: 'Take if it fits' },
  { value: 'out', label: 'Leave out' },
  { value: 'off', label: 'Is off' },
] as const;

/** Said once for a whole strand of the order: its shot, its worth, its place. */
export function ManySheet({ onClose }: { readonly onClose: () => void }) {
  const { shoot, setup } = useShown('shoot', 'setup');
  const { update, undo } = useEdits();
  const say = useToast();
  const [strand, setStrand] = useState(ALL);
  const [worth, setWorth] = useState<(typeof WORTHS)[number]['value']>(KEEP);
  const [taken, setTaken] = useState<(typeof TAKEN)[number]['value']>(KEEP);
  const [gives, setGives] = useState(KEEP);
  const [from, setFrom] = useState(KEEP);
  const strands = rollups(
    shoot.events,
    (same) => same.length,
    ({ name }) => strandNamed(name),
  );
  const meant = ({ name }: DayEventRecord) => strand === ALL || strandNamed(name) === strand;
  const ids = new Set(shoot.events.filter(meant).map(({ id }) => id));
  const shot = setup.shots.find(({ id }) => id === gives);
  const mark = setup.marks.find(({ id }) => id === gives);
  const set: ManySet = {
    ...(worth !== KEEP && { worth }),
    ...(taken !== KEEP && {
      leftOut: taken === 'out' ? true : undefined,
      cancelled: taken === 'off' ? true : undefined,
    }),
    ...(gives === NONE && { shotId: undefined, markId: undefined }),
    ...(shot && { shotId: shot.id, markId: undefined }),
    ...(mark && { shotId: undefined, markId: mark.id }),
    ...(from !== KEEP && { pinnedTo: from === NONE ? undefined : from }),
  };
  const count = `${ids.size} ${ids.size === 1 ? 'event' : 'events'}`;
  const nothing = Object.keys(set).length === 0;
  return (
    <Sheet title="Change many at once" open onClose={onClose}>
      <Picker
        label="Which events"
        value={strand}
        options={[
          { value: ALL, label: `All ${shoot.events.length}` },
          ...strands.map(([name, many]) => ({ value: name, label: `${name}: ${many}` })),
        ]}
        onChange={setStrand}
      />
      <Picker
        label="They give"
        value={gives}
        options={[
          { value: KEEP, label: 'What each gives now' },
          ...setup.shots.map(({ id, name }) => ({ value: id, label: name })),
          ...setup.marks.map(({ id, name }) => ({
            value: id,
            label: `No promised shot, at ${name}`,
          })),
          { value: NONE, label: 'No promised shot' },
        ]}
        onChange={setGives}
      />
      <Choice label="Worth" value={worth} options={WORTHS} onChange={setWorth} />
      <Picker
        label="Shoot them from"
        value={from}
        options={[
          { value: KEEP, label: 'As it is' },
          { value: NONE, label: 'Wherever the day goes best' },
          ...setup.positions.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={setFrom}
      />
      <Choice label="In the plan" value={taken} options={TAKEN} onChange={setTaken} />
      <Button
        label={`Set for ${count}`}
        kind="primary"
        disabled={nothing || ids.size === 0}
        onPress={() => {
          update((current) => withMany(current, ids, set));
          say({ text: `${count} changed`, action: { label: 'Undo', onPress: undo } });
          onClose();
        }}
      />
      {nothing ? (
        <Text kind="small" ink="quiet">
          Choose what to set: what stays “as it is” is not touched.
        </Text>
      ) : null}
    </Sheet>
  );
}
