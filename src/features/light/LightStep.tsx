import { memo } from 'react';
import { View } from 'react-native';
import { LAMP_LEVELS_LUX, type LampLevel, type Sky } from '@/core';
import { useShootPage, type ShootPage } from '@/features/plan/ShootContext';
import { lightInWords, sunInWords } from '@/features/plan/words';
import type { RibbonEvent } from '@/figures/TimeRibbon';
import { LAMPS, lampLabel } from '@/presets/lamps';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf, msOf, type ShootHours } from '@/records/times';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';

const SKIES: readonly { readonly value: Sky; readonly label: string }[] = [
  { value: 'clear', label: 'Clear' },
  { value: 'partly', label: 'Partly' },
  { value: 'overcast', label: 'Overcast' },
];

const ROOFS = [
  { value: 'sky', label: 'Open sky' },
  { value: 'roof', label: 'A roof' },
] as const;

const LAMP_OPTIONS = LAMPS.map((lamp) => ({ value: lamp.id, label: lampLabel(lamp) }));

type Light = Shoot['light'];

const MINUTE_MS = 60_000;

/** Sky and lamps, and what the sun does during the shoot. */
export function LightStep() {
  const { plan, update } = useShootPage();
  const { setup, seen, hours, clock, ribbon } = plan;
  return (
    <View className="gap-3">
      <LightControls
        light={setup.light}
        timeZone={setup.place.timeZone}
        hours={hours}
        clock={clock}
        update={update}
      />
      {seen.ok ? (
        <Text>
          {sunInWords(seen.answer.light.sun)}. {lightInWords(seen.answer)} on {seen.view.mark.name}.
        </Text>
      ) : null}
      <Events events={ribbon.events} clock={clock} />
    </View>
  );
}

const Events = memo(function Events({
  events,
  clock,
}: {
  readonly events: readonly RibbonEvent[];
  readonly clock: (ms: number) => string;
}) {
  return (
    <View role="list" aria-label="Sun during the shoot">
      {events.map((event) => (
        <View
          key={event.name}
          role="listitem"
          className="flex-row justify-between border-b border-line py-2"
        >
          <Text ink="quiet">{event.name}</Text>
          <Text kind="strong">{clock(event.timeMs)}</Text>
        </View>
      ))}
      {events.length === 0 ? (
        <Text ink="quiet" role="listitem">
          No sunrise, sunset or twilight within these hours.
        </Text>
      ) : null}
    </View>
  );
});

const LightControls = memo(function LightControls({
  light,
  timeZone,
  hours,
  clock,
  update,
}: {
  readonly light: Light;
  readonly timeZone: string;
  readonly hours: ShootHours;
  readonly clock: (ms: number) => string;
  readonly update: ShootPage['update'];
}) {
  const changeLight = (change: (light: Light) => Partial<Light>, step?: string) =>
    update(
      (current) => ({
        ...current,
        light: { ...current.light, ...change(current.light) },
      }),
      step,
    );
  const lampLevel = LAMPS.find(({ id }) => LAMP_LEVELS_LUX[id] === light.lampLux);
  const own = { value: 'own', label: `As measured, ${light.lampLux} lx` };
  return (
    <View className="gap-3">
      <Heading level={2} kind="figure">
        The light
      </Heading>
      <Choice
        label="Over the ground"
        value={light.indoors ? 'roof' : 'sky'}
        options={ROOFS}
        onChange={(over) => changeLight(() => ({ indoors: over === 'roof' }))}
      />
      {light.indoors ? null : (
        <Choice
          label="Sky"
          value={light.sky}
          options={SKIES}
          onChange={(sky) => changeLight(() => ({ sky }))}
        />
      )}
      <Picker
        label="Lamps"
        value={lampLevel?.id ?? 'own'}
        options={lampLevel ? LAMP_OPTIONS : [...LAMP_OPTIONS, own]}
        onChange={(level) => {
          if (level !== 'own') {
            const lampLux = LAMP_LEVELS_LUX[level as LampLevel];
            changeLight(() => ({ lampLux }));
          }
        }}
      />
      {light.lampLux > 0 ? (
        <>
          <Slider
            label="Lamps on the subject"
            value={light.lampLux}
            min={5}
            max={2000}
            step={5}
            bigStep={100}
            valueText={`${light.lampLux} lx`}
            onChange={(next) =>
              changeLight(({ lampLux }) => ({ lampLux: next(lampLux) }), 'lamp level')
            }
          />
          <Slider
            label="Lamps on from"
            value={hours.lampsFromMs ?? hours.startMs}
            min={hours.fromMs}
            max={hours.toMs}
            step={5 * MINUTE_MS}
            bigStep={30 * MINUTE_MS}
            valueText={clock(hours.lampsFromMs ?? hours.startMs)}
            onChange={(next) =>
              changeLight(({ lampsFromLocal }) => {
                const from = lampsFromLocal ? msOf(lampsFromLocal, timeZone) : hours.startMs;
                return { lampsFromLocal: localMinuteOf(next(from), timeZone) };
              }, 'lamps from')
            }
          />
        </>
      ) : null}
    </View>
  );
});
