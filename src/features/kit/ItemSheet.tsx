import { useState } from 'react';
import { View } from 'react-native';
import { BODIES } from '@/presets/bodies';
import { LENSES } from '@/presets/lenses';
import { basedOn, withItem, withoutItem } from '@/records/edit-kit';
import { kitItemSchema, type ItemOfKind, type KitItem } from '@/records/kit';
import { firstProblem } from '@/records/parse';
import { MOST_ON_SHELF } from '@/records/shelf';
import { SHELF } from '@/records/singles';
import { useSingle } from '@/records/use-single';
import { useEdits } from '@/features/shoot/open-shoot';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { NumberField } from '@/ui/NumberField';
import { Picker } from '@/ui/Picker';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Text } from '@/ui/Text';
import { useToast } from '@/ui/Toast';
import { KIND_NAMES, USE_OPTIONS } from './item-words';
import { useChangeKit } from './use-kit';

const SUPPORTS = [
  { value: 'monopod', label: 'Monopod' },
  { value: 'beanBag', label: 'Bean bag' },
  { value: 'tripod', label: 'Tripod' },
] as const;
const FACTORS = [
  { value: 1.4, label: '1.4x' },
  { value: 2, label: '2x' },
] as const;

/** A thing of the bag: its name and its figures. It goes onto the shelf too, for the next bag. */
export function ItemSheet({
  item,
  fresh,
  onClose,
}: {
  readonly item: KitItem;
  readonly fresh: boolean;
  readonly onClose: () => void;
}) {
  const { undo } = useEdits();
  const change = useChangeKit();
  const { change: changeShelf } = useSingle(SHELF);
  const say = useToast();
  const [draft, setDraft] = useState(item);
  const [trouble, setTrouble] = useState<string>();
  const save = () => {
    const checked = kitItemSchema.safeParse(draft);
    if (!checked.success) {
      setTrouble(firstProblem(checked.error));
      return;
    }
    const kept = checked.data;
    change((now) => withItem(now, kept));
    changeShelf((shelf) => {
      const known = shelf.items.some(({ id }) => id === kept.id);
      if (!known && shelf.items.length >= MOST_ON_SHELF) return shelf;
      return {
        ...shelf,
        items: known
          ? shelf.items.map((old) => (old.id === kept.id ? kept : old))
          : [...shelf.items, kept],
      };
    });
    onClose();
  };
  const nameless = draft.name.trim() === '';
  return (
    <Sheet title={fresh ? KIND_NAMES[item.kind] : item.name} open onClose={onClose}>
      <Field
        label="What you call it"
        value={draft.name}
        maxLength={60}
        onChangeText={(name) => setDraft((now) => ({ ...now, name }))}
        error={trouble && nameless ? 'give it a name, such as “Old 300”' : undefined}
      />
      <Figures draft={draft} onChange={setDraft} />
      {trouble && !nameless ? (
        <Text role="alert" ink="signal">{`Change this: ${trouble}`}</Text>
      ) : null}
      <View className="gap-2">
        <Button label={fresh ? 'Put it in' : 'Save'} kind="primary" onPress={save} />
        {fresh ? null : (
          <Button
            label="Take it out of the bag"
            onPress={() => {
              change((now) => withoutItem(now, item.id));
              say({
                text: `Took “${item.name}” out of the bag`,
                action: { label: 'Undo', onPress: undo },
              });
              onClose();
            }}
          />
        )}
      </View>
    </Sheet>
  );
}

interface FiguresProps<T extends KitItem> {
  readonly draft: T;
  readonly onChange: (draft: KitItem) => void;
}

function Figures({ draft, onChange }: FiguresProps<KitItem>) {
  switch (draft.kind) {
    case 'body':
      return <BodyFigures draft={draft} onChange={onChange} />;
    case 'lens':
      return <LensFigures draft={draft} onChange={onChange} />;
    case 'converter':
      return (
        <Choice
          label="Factor"
          value={draft.factor}
          options={FACTORS}
          onChange={(factor) => onChange({ ...draft, factor })}
        />
      );
    case 'support':
      return (
        <Choice
          label="Kind"
          value={draft.support}
          options={SUPPORTS}
          onChange={(support) => onChange({ ...draft, support })}
        />
      );
    case 'card':
      return (
        <>
          <NumberField
            label="Holds"
            unit="GB"
            value={draft.gb}
            min={1}
            max={16_000}
            onChange={(gb) => onChange({ ...draft, gb })}
          />
          <NumberField
            label="Writes"
            unit="MB a second"
            value={draft.writeMbS}
            min={1}
            max={6000}
            onChange={(writeMbS) => onChange({ ...draft, writeMbS })}
          />
          <HowMany count={draft.count} onChange={(count) => onChange({ ...draft, count })} />
        </>
      );
    case 'filter':
      return (
        <NumberField
          label="Takes"
          unit="stops of light"
          value={draft.stops}
          min={0.5}
          max={20}
          onChange={(stops) => onChange({ ...draft, stops })}
        />
      );
    case 'battery':
      return <HowMany count={draft.count} onChange={(count) => onChange({ ...draft, count })} />;
    case 'other':
      return (
        <>
          <Choice
            label="What for"
            value={draft.use}
            options={USE_OPTIONS}
            onChange={(use) => onChange({ ...draft, use })}
          />
          <HowMany count={draft.count} onChange={(count) => onChange({ ...draft, count })} />
        </>
      );
  }
}

function HowMany({
  count,
  onChange,
}: {
  readonly count: number;
  readonly onChange: (count: number) => void;
}) {
  return (
    <Stepper
      label="How many"
      value={count}
      min={1}
      max={50}
      valueText={String(count)}
      onStep={(clicks) => onChange(count + clicks)}
    />
  );
}

/** One of two, as a yes or a no. */
function EitherWay({
  label,
  value,
  yes,
  no,
  onChange,
}: {
  readonly label: string;
  readonly value: boolean;
  readonly yes: string;
  readonly no: string;
  readonly onChange: (value: boolean) => void;
}) {
  return (
    <Choice
      label={label}
      value={value ? 'yes' : 'no'}
      options={[
        { value: 'yes', label: yes },
        { value: 'no', label: no },
      ]}
      onChange={(taken) => onChange(taken === 'yes')}
    />
  );
}

const BODY_FIGURES = [
  { key: 'framesPerS', label: 'Frames', unit: 'a second', min: 1, max: 240 },
  { key: 'bufferMb', label: 'Buffer', unit: 'MB', min: 10, max: 64_000 },
  { key: 'rawMb', label: 'A raw file', unit: 'MB', min: 1, max: 400 },
  { key: 'jpegMb', label: 'A JPEG', unit: 'MB', min: 0.5, max: 200 },
  { key: 'writeMbS', label: 'Writes', unit: 'MB a second', min: 1, max: 6000 },
  { key: 'framesPerBattery', label: 'Frames on a battery', unit: 'at 20 °C', min: 10, max: 20_000 },
  { key: 'isoGood', label: 'Clean to', unit: 'ISO', min: 50, max: 409_600 },
  { key: 'isoUsable', label: 'Used to', unit: 'ISO', min: 50, max: 409_600 },
] as const;

function BodyFigures({ draft, onChange }: FiguresProps<ItemOfKind<'body'>>) {
  return (
    <>
      <Picker
        label="Like"
        value={draft.basedOn}
        options={BODIES.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => onChange(basedOn(draft, id))}
      />
      {BODY_FIGURES.map(({ key, ...field }) => (
        <NumberField
          key={key}
          {...field}
          value={draft[key]}
          onChange={(value) => onChange({ ...draft, [key]: value })}
        />
      ))}
      <EitherWay
        label="Weather"
        value={draft.sealed}
        yes="Sealed against rain"
        no="Not sealed"
        onChange={(sealed) => onChange({ ...draft, sealed })}
      />
    </>
  );
}

function LensFigures({ draft, onChange }: FiguresProps<ItemOfKind<'lens'>>) {
  const { focals } = draft;
  const end = (at: 'first' | 'last', next: Partial<(typeof focals)[number]>) => {
    const index = at === 'first' ? 0 : focals.length - 1;
    const changed = focals.map((stop, i) => (i === index ? { ...stop, ...next } : stop));
    const [first, last] = [changed[0], changed.at(-1)];
    // What a zoom does between its ends is kept while it still lies between them.
    const between = ({ focalMm }: (typeof focals)[number]) =>
      focalMm > (first?.focalMm ?? 0) && focalMm < (last?.focalMm ?? 0);
    onChange({
      ...draft,
      focals: changed.filter((stop) => stop === first || stop === last || between(stop)),
    });
  };
  const ends = focals.length > 1 ? (['first', 'last'] as const) : (['first'] as const);
  const names = {
    first: focals.length > 1 ? 'Shortest' : 'Focal length',
    last: 'Longest',
  };
  return (
    <>
      <Picker
        label="Like"
        value={draft.basedOn}
        options={LENSES.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(id) => onChange(basedOn(draft, id))}
      />
      {ends.map((at) => {
        const stop = at === 'first' ? focals[0] : focals.at(-1);
        return stop ? (
          <View key={at} className="flex-row gap-3">
            <View className="flex-1">
              <NumberField
                label={names[at]}
                unit="mm"
                value={stop.focalMm}
                min={4}
                max={2000}
                onChange={(focalMm) => end(at, { focalMm })}
              />
            </View>
            <View className="flex-1">
              <NumberField
                label="Widest there"
                unit="f/"
                value={stop.widestAperture}
                min={0.7}
                max={32}
                onChange={(widestAperture) => end(at, { widestAperture })}
              />
            </View>
          </View>
        ) : null;
      })}
      <NumberField
        label="Focuses from"
        unit="m"
        value={draft.nearestFocusM}
        min={0.05}
        max={30}
        onChange={(nearestFocusM) => onChange({ ...draft, nearestFocusM })}
      />
      <EitherWay
        label="Converter"
        value={draft.takesConverter}
        yes="Takes a converter"
        no="Takes none"
        onChange={(takesConverter) => onChange({ ...draft, takesConverter })}
      />
      <EitherWay
        label="Weather"
        value={draft.sealed}
        yes="Sealed against rain"
        no="Not sealed"
        onChange={(sealed) => onChange({ ...draft, sealed })}
      />
    </>
  );
}
