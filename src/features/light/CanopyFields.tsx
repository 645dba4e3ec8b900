import { CANOPY_TRANSMITTANCE, type Canopy } from '@/core';
import { canopyByReading } from '@/answers/canopy';
import { useShown } from '@/features/shoot/open-shoot';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';

const NAMES: Readonly<Record<Canopy, string>> = {
  openWood: 'Open wood',
  summerWood: 'Wood in summer leaf',
  conifers: 'Conifers',
  deepForest: 'Deep forest',
};
const CANOPIES = (Object.keys(NAMES) as Canopy[]).map((value) => ({
  value,
  label: `${NAMES[value]}, ${shareInWords(CANOPY_TRANSMITTANCE[value])}`,
}));

/** "8 %", "0.5 %". */
function shareInWords(share: number): string {
  const percent = share * 100;
  return `${percent < 10 ? Number(percent.toFixed(1)) : Math.round(percent)} %`;
}

/** "a canopy that lets 8 % through". */
export const canopyInWords = (share: number): string =>
  `a canopy that lets ${shareInWords(share)} through`;

type Light = Shoot['light'];

/** How much light leaves let through: by what wood it is, or by a reading taken under them. */
export function CanopyFields({
  share,
  onChange,
}: {
  readonly share: number;
  readonly onChange: (canopyShare: Light['canopyShare']) => void;
}) {
  const { setup } = useShown('setup');
  const named = (Object.keys(NAMES) as Canopy[]).find((id) => CANOPY_TRANSMITTANCE[id] === share);
  const own = { value: 'own' as const, label: `As measured, ${shareInWords(share)}` };
  const read = canopyByReading(setup);
  return (
    <>
      <Picker
        label="Leaves over it"
        value={named ?? 'own'}
        options={named ? CANOPIES : [...CANOPIES, own]}
        onChange={(value) => {
          if (value !== 'own') onChange(CANOPY_TRANSMITTANCE[value]);
        }}
      />
      {read !== undefined && Math.abs(Math.log2(read / share)) > 0.1 ? (
        <Button
          label={`By the last reading: ${shareInWords(read)}`}
          onPress={() => onChange(read)}
        />
      ) : null}
      <Text kind="small" ink="quiet">
        No sun but in flecks; the light stays within a stop either way. One test frame under the
        leaves, read in this step, says how much they let through.
      </Text>
    </>
  );
}
