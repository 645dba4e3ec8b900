import { memo, useState } from 'react';
import { View } from 'react-native';
import { LAMP_LEVELS_LUX, WINDOW_SHARES, type LampLevel, type Sky, type Windows } from '@/core';
import type { Update } from '@/features/shoot/edits';
import { LAMPS, lampLabel } from '@/presets/lamps';
import { hourAt, WEATHERS, type Forecast, type Weather } from '@/records/forecast';
import type { Shoot } from '@/records/shoot';
import { localMinuteOf, msOf, type ShootHours } from '@/records/times';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Picker } from '@/ui/Picker';
import { Simulated } from '@/ui/Simulated';
import { Slider } from '@/ui/Slider';
import { Text } from '@/ui/Text';
import { fetchForecast } from './forecast-client';
import { degrees, written } from '@/ui/units';

const SKIES: readonly { readonly value: Sky; readonly label: string }[] = [
  { value: 'clear', label: 'Clear' },
  { value: 'partly', label: 'Partly' },
  { value: 'overcast', label: 'Overcast' },
];

const ROOFS = [
  { value: 'sky', label: 'Open sky' },
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

const FROM = [
  { value: 'hand', label: 'Set by hand' },
  { value: 'forecast', label: 'By the forecast' },
] as const;

const WEATHER_NAMES: Readonly<Record<Weather, string>> = {
  settled: 'Settled',
  changeable: 'Changeable',
  overcast: 'Overcast',
  rain: 'Rain',
  mist: 'Mist',
  snow: 'Snow',
};

const LAMP_OPTIONS = LAMPS.map((lamp) => ({ value: lamp.id, label: lampLabel(lamp) }));

type Light = Shoot['light'];

const MINUTE_MS = 60_000;

interface SkyProps {
  readonly shoot: Pick<Shoot, 'light' | 'place' | 'startLocal'>;
  readonly hours: ShootHours;
  readonly clock: (ms: number) => string;
  readonly atMs: number;
  readonly update: Update;
}

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

/** "clear", "by the simulated forecast, changeable", "a roof over the ground". */
export function skyInWords({ indoors, windowShare, sky, skyFrom, forecast }: Light): string {
  if (indoors && windowShare === undefined) return 'a roof over the ground';
  const roof = indoors ? 'a roof with windows; ' : '';
  const over =
    skyFrom === 'forecast' && forecast
      ? `${WEATHER_NAMES[forecast.weather].toLowerCase()}, by the simulated forecast`
      : `${SKIES.find(({ value }) => value === sky)?.label.toLowerCase() ?? sky}, set by hand`;
  return roof + over;
}

/** "Club, 250 lx", "none". */
export function lampsInWords({ lampLux }: Light): string {
  const level = LAMPS.find(({ id }) => LAMP_LEVELS_LUX[id] === lampLux);
  if (lampLux <= 0) return 'none';
  return level ? lampLabel(level) : `${lampLux} lx, as measured`;
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
        value={light.indoors ? 'roof' : 'sky'}
        options={ROOFS}
        onChange={(over) => changeLight(() => ({ indoors: over === 'roof' }))}
      />
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

const WEATHER_OPTIONS = WEATHERS.map((weather) => ({
  value: weather,
  label: WEATHER_NAMES[weather],
}));

const percent = (share: number) => Math.round(share * 100);

/** The hour's weather in one line. */
export function weatherInWords(forecast: Forecast, atMs: number): string {
  const hour = hourAt(forecast, atMs);
  if (!hour) return 'The forecast has no such hour: the sky set by hand counts.';
  const { cloudLow, cloud, cloudHigh, temperatureC, windMs, humidityPct, rainMmH } = hour;
  return [
    `cloud ${percent(cloud)} % (${percent(cloudLow)} to ${percent(cloudHigh)})`,
    degrees(temperatureC),
    `wind ${written(windMs, 'm/s', 0)}`,
    `humidity ${humidityPct} %`,
    rainMmH > 0 ? `rain ${rainMmH} mm/h` : 'dry',
    `seeing ${written(hour.visibilityKm, 'km', 0)}`,
  ].join(', ');
}

/** Asks for a forecast, and shows the one that is kept. */
function ForecastControls({ shoot, clock, atMs, update }: SkyProps) {
  const { forecast } = shoot.light;
  const { latitudeDeg, longitudeDeg } = shoot.place;
  const date = shoot.startLocal.slice(0, 10);
  const [weather, setWeather] = useState<Weather>(forecast?.weather ?? 'changeable');
  const [state, setState] = useState<{ readonly busy: boolean; readonly trouble?: string }>({
    busy: false,
  });
  const ask = () => {
    setState({ busy: true });
    fetchForecast({ latitudeDeg, longitudeDeg, date, weather }).then(
      (came) => {
        update((current) => ({
          ...current,
          light: { ...current.light, forecast: came, skyFrom: 'forecast' },
        }));
        setState({ busy: false });
      },
      (error: Error) => setState({ busy: false, trouble: error.message }),
    );
  };
  const stale = forecast && forecast.date !== date;
  return (
    <Simulated what="forecast">
      {forecast ? (
        <>
          <Text kind="small">
            <Text kind="label">{`${clock(atMs)}: `}</Text>
            {weatherInWords(forecast, atMs)}
          </Text>
          {stale ? (
            <Text kind="small" role="alert">
              {`This forecast is for ${forecast.date}; the shoot is on ${date}. Ask again.`}
            </Text>
          ) : null}
        </>
      ) : null}
      <Picker
        label="Simulated weather"
        value={weather}
        options={WEATHER_OPTIONS}
        onChange={setWeather}
      />
      <Button
        label={forecast ? 'Ask for it again' : 'Get a simulated forecast'}
        disabled={state.busy}
        onPress={ask}
      />
      <Text kind="small" ink="quiet" aria-live="polite">
        {state.busy
          ? 'Asking'
          : 'Made up by this app from place, day and the weather named. It is kept with the shoot and needs no network once here.'}
      </Text>
      {state.trouble ? (
        <Text kind="small" role="alert">
          {state.trouble}
        </Text>
      ) : null}
    </Simulated>
  );
}
