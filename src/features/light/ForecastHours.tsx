import { useState } from 'react';
import { View } from 'react-native';
import { CLOUD_FRACTION, skyNamed, type Sky } from '@/core';
import type { Forecast, ForecastHour } from '@/records/forecast';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { NumberField } from '@/ui/NumberField';
import { RowButton } from '@/ui/RowButton';
import { Text } from '@/ui/Text';
import { hourInShort } from './forecast-words';
import { withHour } from './own-forecast';
import { SKIES, type SkyProps } from './sky-props';

const HOUR_MS = 3_600_000;

type Key = 'windMs' | 'temperatureC' | 'humidityPct' | 'rainMmH';
const FIGURES: readonly {
  readonly key: Key;
  readonly label: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
}[] = [
  { key: 'windMs', label: 'Wind', unit: 'm/s', min: 0, max: 120 },
  { key: 'temperatureC', label: 'Air', unit: '°C', min: -90, max: 60 },
  { key: 'humidityPct', label: 'Humidity', unit: '%', min: 0, max: 100 },
  { key: 'rainMmH', label: 'Rain an hour', unit: 'mm', min: 0, max: 400 },
];

/** The shoot's hours of a real forecast, each a press from being set right. */
export function ForecastHours({
  forecast,
  hours: { startMs, endMs },
  clock,
  update,
}: Pick<SkyProps, 'hours' | 'clock' | 'update'> & { readonly forecast: Forecast }) {
  const [open, setOpen] = useState<string>();
  const shown = forecast.hours
    .map((hour, index) => ({ hour, index, atMs: Date.parse(hour.time) }))
    .filter(({ atMs }) => atMs > startMs - HOUR_MS && atMs <= endMs);
  const change = (index: number, how: Parameters<typeof withHour>[2]) =>
    update((current) => {
      const now = current.light.forecast;
      if (!now) return current;
      return { ...current, light: { ...current.light, forecast: withHour(now, index, how) } };
    });
  return (
    <View role="list" aria-label="Hours of the forecast">
      {shown.map(({ hour, index, atMs }) =>
        hour.time === open ? (
          <View key={hour.time} role="listitem" className="gap-3 border-b border-line py-3">
            <Hour
              at={clock(atMs)}
              hour={hour}
              onChange={(how) => change(index, how)}
              onClose={() => setOpen(undefined)}
            />
          </View>
        ) : (
          <RowButton
            key={hour.time}
            name={clock(atMs)}
            detail={hourInShort(hour)}
            onPress={() => setOpen(hour.time)}
          />
        ),
      )}
    </View>
  );
}

/** One hour: the sky as one sees it by a press, or its figures. */
function Hour({
  at,
  hour,
  onChange,
  onClose,
}: {
  readonly at: string;
  readonly hour: ForecastHour;
  readonly onChange: (how: Parameters<typeof withHour>[2]) => void;
  readonly onClose: () => void;
}) {
  return (
    <>
      <Text kind="strong">{at}</Text>
      <Choice
        label={`Sky at ${at}`}
        value={skyNamed(hour.cloud)}
        options={SKIES}
        onChange={(sky: Sky) => onChange({ cloud: CLOUD_FRACTION[sky] })}
      />
      <View className="flex-row flex-wrap justify-between gap-y-3">
        <View className="w-[48%]">
          <NumberField
            label="Cloud"
            unit="%"
            value={hour.cloud * 100}
            min={0}
            max={100}
            places={0}
            onChange={(percent) => onChange({ cloud: percent / 100 })}
          />
        </View>
        {FIGURES.map(({ key, ...figure }) => (
          <View key={key} className="w-[48%]">
            <NumberField
              {...figure}
              value={hour[key]}
              places={1}
              onChange={(value) => onChange({ [key]: value })}
            />
          </View>
        ))}
      </View>
      <Button label={`Done with ${at}`} onPress={onClose} />
    </>
  );
}
