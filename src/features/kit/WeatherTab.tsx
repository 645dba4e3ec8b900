import { View } from 'react-native';
import { useEdits, useShown } from '@/features/shoot/open-shoot';
import type { Air } from '@/records/day';
import { localMinuteOf } from '@/records/times';
import { Button } from '@/ui/Button';
import { Slider } from '@/ui/Slider';
import { Heading, Text } from '@/ui/Text';
import { degrees, written } from '@/ui/units';
import type { Weather } from './weather';

type Setting = 'temperatureC' | 'humidityPct' | 'windMs' | 'rainMmH' | 'kitC';

const BY_HAND: readonly {
  readonly key: Setting;
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly said: (value: number) => string;
}[] = [
  { key: 'temperatureC', label: 'Air', min: -40, max: 50, step: 1, said: degrees },
  {
    key: 'humidityPct',
    label: 'Humidity',
    min: 5,
    max: 100,
    step: 5,
    said: (value) => `${Math.round(value)} %`,
  },
  {
    key: 'windMs',
    label: 'Wind',
    min: 0,
    max: 30,
    step: 1,
    said: (value) => written(value, 'm/s', 0),
  },
  {
    key: 'rainMmH',
    label: 'Rain',
    min: 0,
    max: 20,
    step: 0.5,
    said: (value) => (value === 0 ? 'dry' : `${value} mm an hour`),
  },
];
const KIT: (typeof BY_HAND)[number] = {
  key: 'kitC',
  label: 'The kit comes from',
  min: -30,
  max: 45,
  step: 1,
  said: degrees,
};

/** Weather on kit and on people. */
export function WeatherTab({ weather }: { readonly weather: Weather }) {
  const plan = useShown('shoot', 'hours');
  const { update } = useEdits();
  const { air, atLocal, place } = plan.shoot;
  const { startMs, endMs } = plan.hours;
  const heardLocal = () => {
    const nowMs = Date.now();
    return nowMs >= startMs && nowMs <= endMs ? localMinuteOf(nowMs, place.timeZone) : atLocal;
  };
  const set = (change: (air: Air) => Air, step?: string) =>
    update((current) => ({ ...current, air: change(current.air) }), step);
  const settings = weather.from === 'forecast' ? [KIT] : [...BY_HAND, KIT];
  return (
    <View className="gap-5">
      <View role="list" aria-label="Weather on kit and people">
        {weather.notes.map(({ id, head, why, act }) => (
          <View
            key={id}
            role="listitem"
            className={`border-b border-line py-2 ${act ? 'border-l-4 border-l-signal pl-2' : ''}`}
          >
            <Text kind="strong">{head}</Text>
            <Text kind="small" ink="quiet">
              {why}
            </Text>
          </View>
        ))}
      </View>
      <View className="gap-2">
        {air.thunderLocal ? (
          <Button
            label="Clear thunder timer"
            onPress={() => set(({ thunderLocal: _heard, ...rest }) => rest)}
          />
        ) : null}
        <Button
          label="I heard thunder now"
          onPress={() => set((now) => ({ ...now, thunderLocal: heardLocal() }))}
        />
        <Text kind="small" ink="quiet">
          Any thunder: leave water, trees, masts and metal, go inside. During the shoot the clock
          counts; before it the time on the ribbon.
        </Text>
      </View>
      <View className="gap-3">
        <Heading level={2} kind="figure">
          The weather there
        </Heading>
        <Text kind="small" ink="quiet">
          {weather.from === 'forecast'
            ? `By the forecast of the Light step${plan.shoot.light.forecast?.simulated ? ', which is simulated' : ''}.`
            : 'Set by hand for all the hours, until the Light step follows a forecast.'}
        </Text>
        {settings.map(({ key, label, min, max, step, said }) => (
          <Slider
            key={key}
            label={label}
            value={air[key]}
            min={min}
            max={max}
            step={step}
            bigStep={step * 5}
            valueText={said(air[key])}
            onChange={(next) => set((now) => ({ ...now, [key]: next(now[key]) }), `air ${key}`)}
          />
        ))}
      </View>
    </View>
  );
}
