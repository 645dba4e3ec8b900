import { memo } from 'react';
import { View } from 'react-native';
import {
  CANOPY_TRANSMITTANCE,
  cloudAt,
  LAMP_LEVELS_LUX,
  skyNamed,
  WINDOW_SHARES,
  type LampLevel,
  type Windows,
} from '@/core';
import type { Update } from '@/features/shoot/edits';
import { LAMPS, lampLabel } from '@/presets/lamps';
import { airAt } from '@/records/air';
import { cloudOf } from '@/records/forecast';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf, msOf } from '@/records/times';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Slider } from '@/ui/Slider';
import { Text } from '@/ui/Text';
import { written } from '@/ui/units';
import { CanopyFields, canopyInWords } from './CanopyFields';
import { ForecastControls } from './ForecastControls';
import { forecastInWords } from './forecast-words';
import { measuredAt, MIST_SIGNS, mistSign, WIND_SIGNS, windSign, type Measured } from './measured';
import { SKIES, type SkyProps } from './sky-props';

const ROOFS = [
  { value: 'sky', label: 'Open sky' },
  { value: 'leaves', label: 'Leaves' },
  { value: 'roof', label: 'A roof' },
] as const;

const WINDOWS: readonly { readonly value: Windows | 'none'; readonly label: string }[] = [
  { value: 'none', label: 'None' },
  { value: 'few', label: 'Few, high up' },
  { value: 'oneSide', label: 'Along one side' },
  { value: 'allRound', label: 'All round' },
];

/** Which windows let in such a share; the nearest of those named. */
function windowsOf({ windowShare }: Light): Windows | 'none' {
  if (windowShare === undefined) return 'none';
  const off = (name: Windows) => Math.abs(Math.log(windowShare / WINDOW_SHARES[name]));
  return (Object.keys(WINDOW_SHARES) as Windows[]).reduce((a, b) => (off(b) < off(a) ? b : a));
}

/** The light of a roof with such windows. */
function withWindows(shoot: Shoot, windows: Windows | 'none'): Shoot {
  const { windowShare: _was, ...light } = shoot.light;
  const share = windows === 'none' ? {} : { windowShare: WINDOW_SHARES[windows] };
  return { ...shoot, light: { ...light, ...share } };
}

/** A shoot with open sky, leaves or a roof over its ground. */
function withOver(shoot: Shoot, over: (typeof ROOFS)[number]['value']): Shoot {
  const { canopyShare: _was, ...light } = shoot.light;
  const leaves = over === 'leaves' ? { canopyShare: CANOPY_TRANSMITTANCE.summerWood } : {};
  return { ...shoot, light: { ...light, indoors: over === 'roof', ...leaves } };
}

const FROM = [
  { value: 'hand', label: 'Set by hand' },
  { value: 'forecast', label: 'By the forecast' },
] as const;

const LAMP_OPTIONS = LAMPS.map((lamp) => ({ value: lamp.id, label: lampLabel(lamp) }));

type Light = Shoot['light'];

const MINUTE_MS = 60_000;

const lightChanger =
  (update: Update) =>
  (change: (light: Light) => Partial<Light>, step?: string): void =>
    update(
      (current) => ({
        ...current,
        light: { ...current.light, ...change(current.light) },
      }),
      step,
    );

/** "clear, set by hand", "changeable, by the simulated forecast", "by garden.json", "a roof over the ground". */
export function skyInWords({
  indoors,
  windowShare,
  canopyShare,
  sky,
  skyFrom,
  forecast,
}: Light): string {
  if (indoors && windowShare === undefined) return 'a roof over the ground';
  const roof = indoors
    ? 'a roof with windows; '
    : canopyShare === undefined
      ? ''
      : `${canopyInWords(canopyShare)}; `;
  const over =
    skyFrom === 'forecast' && forecast
      ? forecastInWords(forecast)
      : `${SKIES.find(({ value }) => value === sky)?.label.toLowerCase() ?? sky}, set by hand`;
  return roof + over;
}

/** "Club, 250 lx", "none". */
export function lampsInWords({ lampLux }: Light): string {
  const level = LAMPS.find(({ id }) => LAMP_LEVELS_LUX[id] === lampLux);
  if (lampLux <= 0) return 'none';
  return level ? lampLabel(level) : `${lampLux} lx, as measured`;
}

/** Wind, mist and sky of the minute looked at, each by a press. */
function SeenNow({ shoot, atMs, clock, update }: SkyProps) {
  const { light } = shoot;
  const seen = (measured: Measured) => update((current) => measuredAt(current, atMs, measured));
  const { windMs } = airAt(shoot, atMs);
  const of = WIND_SIGNS.map(({ value, label }) => ({ value, label }));
  const cloud = light.forecast && cloudAt(cloudOf(light.forecast), atMs);
  return (
    <View role="group" aria-label="What you see there" className="gap-3">
      <Text kind="small" ink="quiet">
        {light.skyFrom === 'hand'
          ? 'What you see there rules all the hours.'
          : light.forecast?.simulated
            ? 'What you press here is set by hand, and puts the simulated forecast aside.'
            : `What you see at ${clock(atMs)} rules that hour of the forecast.`}
      </Text>
      {light.skyFrom === 'forecast' && cloud ? (
        <Choice
          label="Sky as you see it"
          value={skyNamed(cloud.expected)}
          options={SKIES}
          onChange={(sky) => seen({ sky })}
        />
      ) : null}
      <Choice
        label={`Wind: what moves · ${written(windMs, 'm/s', 1)}`}
        value={windSign(windMs)}
        options={of}
        onChange={(sign) => seen({ windMs: WIND_SIGNS.find((w) => w.value === sign)?.windMs ?? 0 })}
      />
      <Choice
        label="Mist"
        value={mistSign(shoot, atMs)}
        options={MIST_SIGNS.map(({ value, label }) => ({ value, label }))}
        onChange={(sign) =>
          seen({ visibilityKm: MIST_SIGNS.find((m) => m.value === sign)?.visibilityKm ?? 30 })
        }
      />
    </View>
  );
}

/** The sky over the ground: by hand, or by a forecast. */
export const SkyControls = memo(function SkyControls(props: SkyProps) {
  const { shoot, update } = props;
  const { light } = shoot;
  const changeLight = lightChanger(update);
  return (
    <View className="gap-3">
      <Choice
        label="Over the ground"
        value={light.indoors ? 'roof' : light.canopyShare === undefined ? 'sky' : 'leaves'}
        options={ROOFS}
        onChange={(over) => update((current) => withOver(current, over))}
      />
      {light.canopyShare !== undefined && !light.indoors ? (
        <CanopyFields
          share={light.canopyShare}
          onChange={(canopyShare) => changeLight(() => ({ canopyShare }))}
        />
      ) : null}
      {light.indoors ? (
        <>
          <Choice
            label="Windows"
            value={windowsOf(light)}
            options={WINDOWS}
            onChange={(windows) => update((current) => withWindows(current, windows))}
          />
          <Text kind="small" ink="quiet">
            {light.windowShare === undefined
              ? 'Lamps alone light the hall.'
              : `About ${Math.round(light.windowShare * 1000) / 10} % of the sky’s light comes in, evenly. Where the sun falls through a window, take a reading.`}
          </Text>
        </>
      ) : null}
      {light.indoors && light.windowShare === undefined ? null : (
        <>
          {light.forecast ? (
            <Choice
              label="Sky from"
              value={light.skyFrom}
              options={FROM}
              onChange={(skyFrom) => changeLight(() => ({ skyFrom }))}
            />
          ) : null}
          {light.skyFrom === 'hand' ? (
            <Choice
              label="Sky"
              value={light.sky}
              options={SKIES}
              onChange={(sky) => changeLight(() => ({ sky }))}
            />
          ) : null}
          <SeenNow {...props} />
          <ForecastControls {...props} />
        </>
      )}
    </View>
  );
});

/** The lamps of the ground: how bright, and from when. */
export const LampControls = memo(function LampControls({
  shoot,
  hours,
  clock,
  update,
}: Omit<SkyProps, 'atMs'>) {
  const { light } = shoot;
  const { timeZone } = shoot.place;
  const changeLight = lightChanger(update);
  const lampLevel = LAMPS.find(({ id }) => LAMP_LEVELS_LUX[id] === light.lampLux);
  const own = { value: 'own', label: `As measured, ${light.lampLux} lx` };
  return (
    <View className="gap-3">
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
