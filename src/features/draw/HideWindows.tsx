import { View } from 'react-native';
import { heightAtWindow, seatsOf, type Seat } from '@/answers/seats';
import { wallsOf, type HideWindow, type WindowPane } from '@/core';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import { seatInWords, swingInWords } from '@/features/shoot/hide-words';
import { bearingInWords } from '@/features/shoot/words';
import { changeItem } from '@/records/edit-site';
import { MOST_WINDOWS, type Feature } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { Picker } from '@/ui/Picker';
import { Heading, Text } from '@/ui/Text';
import { written } from '@/ui/units';
import { windowMore } from './new-hide';

type Hide = Extract<Feature, { kind: 'hide' }>;

const PANE_WORDS: Readonly<Record<WindowPane, string>> = {
  open: 'Nothing: open',
  net: 'A net with a slit',
  glass: 'Glass, one pane',
  doubleGlass: 'Glass, two panes',
};
const PANES = (Object.keys(PANE_WORDS) as WindowPane[]).map((value) => ({
  value,
  label: PANE_WORDS[value],
}));

/** In the order a tape measures them. */
const FIGURES = [
  { key: 'widthM', label: 'Wide', min: 0.05, max: 100 },
  { key: 'heightM', label: 'High', min: 0.05, max: 50 },
  { key: 'sillM', label: 'Sill over ground', min: 0, max: 100 },
  { key: 'asideM', label: 'Right of the middle', min: -100, max: 100 },
] as const;

/** What was taken away is not kept as nothing. */
const withoutUndefined = ({ curtainM, ...window }: HideWindow): HideWindow =>
  curtainM === undefined ? window : { ...window, curtainM };

/** Brings a camera that looks past its window to the middle of it. */
function ToWindow({ seat }: { readonly seat: Seat }) {
  const { update } = useEdits();
  const heightM = heightAtWindow(seat);
  if (heightM === undefined) return null;
  return (
    <Button
      label={`Camera to the window, ${written(heightM, 'm', 2)}`}
      onPress={() =>
        update((current) =>
          changeItem(current, 'positions', seat.position.id, (position) => ({
            ...position,
            cameraHeightM: heightM,
          })),
        )
      }
    />
  );
}

/** A gap that a lens goes through and a shape does not show in. Common practice, no source. */
const GAP_M = 0.3;

/** A curtain before a window, drawn to a gap. */
function Curtain({
  window,
  change,
}: {
  readonly window: HideWindow;
  readonly change: (more: Partial<HideWindow>) => void;
}) {
  if (window.curtainM === undefined) {
    return (
      <View className="gap-1">
        <Button
          label="Draw a curtain to a gap"
          onPress={() => change({ curtainM: Math.min(GAP_M, window.widthM) })}
        />
        <Text kind="small" ink="quiet">
          Without one your shape shows in it: sit back, in the dark.
        </Text>
      </View>
    );
  }
  return (
    <View className="gap-2">
      <NumberField
        label="Gap in the curtain"
        unit="m"
        value={window.curtainM}
        min={0.05}
        max={100}
        onChange={(curtainM) => change({ curtainM })}
      />
      <Button
        kind="quiet"
        label="Open the curtain"
        onPress={() => change({ curtainM: undefined })}
      />
    </View>
  );
}

/** The windows of a hide: in which wall, how large, what is in them. */
export function HideWindows({ hide }: { readonly hide: Hide }) {
  const { shoot } = useShown('shoot');
  const { update } = useEdits();
  const windows = hide.windows ?? [];
  const put = (next: readonly HideWindow[]) =>
    update((current) =>
      changeItem(current, 'features', hide.id, (entry) => {
        const { windows: _before, ...rest } = entry as Hide;
        return next.length > 0 ? { ...rest, windows: next } : rest;
      }),
    );
  const seats = seatsOf(shoot, hide);
  const walls = wallsOf(hide.points).map(({ looksDeg, lengthM }, wall) => ({
    value: String(wall),
    label: `${bearingInWords(looksDeg)}, ${lengthM.toFixed(1)} m long`,
  }));
  return (
    <View className="gap-3">
      {seats.map((seat) => (
        <View key={seat.position.id} role="group" aria-label={seat.position.name}>
          <Text>{seatInWords(seat)}</Text>
          <ToWindow seat={seat} />
          {seat.swings.length > 0 ? (
            <Text kind="small" ink="quiet">
              {`A lens swings ${seat.swings.map(swingInWords).join('; ')}.`}
            </Text>
          ) : null}
        </View>
      ))}
      {seats.length === 0 ? (
        <Text kind="small" ink="quiet">
          Nobody sits in it: drag a position into it, or add one.
        </Text>
      ) : null}
      {windows.length === 0 ? (
        <Text kind="small" ink="quiet">
          No window yet: from within one sees out all round.
        </Text>
      ) : null}
      {windows.map((window, i) => {
        const change = (more: Partial<HideWindow>) =>
          put(windows.map((old, at) => (at === i ? withoutUndefined({ ...old, ...more }) : old)));
        const name = windows.length > 1 ? `Window ${i + 1}` : 'Window';
        return (
          <View key={i} role="group" aria-label={name} className="gap-3">
            <Heading level={3} kind="label">
              {name}
            </Heading>
            <Picker
              label="In the wall that looks"
              value={String(window.wall)}
              options={walls}
              onChange={(wall) => change({ wall: Number(wall) })}
            />
            <View className="flex-row flex-wrap justify-between gap-y-3">
              {FIGURES.map(({ key, label, min, max }) => (
                <View key={key} className="w-[48%]">
                  <NumberField
                    label={label}
                    unit="m"
                    value={window[key]}
                    min={min}
                    max={max}
                    onChange={(value) => change({ [key]: value })}
                  />
                </View>
              ))}
            </View>
            <Picker
              label="In it"
              value={window.pane}
              options={PANES}
              onChange={(pane) => change({ pane })}
            />
            <Curtain window={window} change={change} />
            <Button
              kind="quiet"
              label={`Take ${name.toLowerCase()} out`}
              onPress={() => put(windows.filter((_, at) => at !== i))}
            />
          </View>
        );
      })}
      <Button
        label={windows.length > 0 ? 'Add another window' : 'Add a window'}
        disabled={windows.length >= MOST_WINDOWS}
        onPress={() => put([...windows, windowMore(hide)])}
      />
    </View>
  );
}
