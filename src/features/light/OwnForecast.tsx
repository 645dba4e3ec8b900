import { useState } from 'react';
import { View } from 'react-native';
import { PasteSheet } from '@/features/files/PasteSheet';
import { ReadingNow } from '@/features/files/ReadingNow';
import { useReading } from '@/features/files/use-reading';
import { LARGEST_FORECAST_BYTES, type ForecastRead } from '@/formats/forecast-file';
import type { Forecast } from '@/records/forecast';
import type { Shoot } from '@/records/shoot';
import { Button } from '@/ui/Button';
import { chooseFile } from '@/ui/files';
import { Text } from '@/ui/Text';
import { readFileApart } from '@/workers/files-client';
import { inALine } from '@/records/day-said';
import { askedOf, PASTED, typedForecast } from './own-forecast';

/** Hours as they begin; what was there before is not gone without a word. */
function typedInWords({ hours }: Forecast, { forecast }: Shoot['light']): string {
  const before = forecast ? ' Undo brings the forecast of before back.' : '';
  return `${hours.length} hours as the sky is set by hand: press one to set it right.${before}`;
}

type Of = Pick<Shoot, 'light' | 'place' | 'startLocal' | 'endLocal' | 'air'>;

/** A real forecast: out of a file, pasted, or typed in by the hour. */
export function OwnForecast({
  shoot,
  onTake,
}: {
  readonly shoot: Of;
  readonly onTake: (forecast: Forecast) => void;
}) {
  const reading = useReading();
  const [pasting, setPasting] = useState(false);
  const [said, setSaid] = useState<{ readonly text: string; readonly isTrouble: boolean }>();
  const take = (read: ForecastRead): void => {
    if (!read.ok) {
      setSaid({ text: `Nothing was brought in: ${read.reason}.`, isTrouble: true });
      return;
    }
    onTake(read.forecast);
    const { filled, forecast } = read;
    const rest =
      filled.length > 0 ? ` Not in it, and as set by hand in Kit: ${inALine(filled)}.` : '';
    setSaid({ text: `${forecast.hours.length} hours were read.${rest}`, isTrouble: false });
  };
  const open = async () => {
    const chosen = await chooseFile('.json,.csv,.tsv,.txt,application/json,text/csv');
    if (!chosen) return;
    const read = await reading.read(chosen, LARGEST_FORECAST_BYTES, async (service, file) =>
      service.forecast(
        await service.text(new Uint8Array(await file.arrayBuffer())),
        askedOf(shoot, chosen.name),
      ),
    );
    if (read.ok) take(read.value);
    else if (read.reason) take({ ok: false, reason: read.reason });
  };
  return (
    <>
      <View className="flex-row flex-wrap gap-2">
        <View className="grow">
          <Button label="Open a forecast file" onPress={() => void open()} />
        </View>
        <View className="grow">
          <Button label="Paste a forecast" onPress={() => setPasting(true)} />
        </View>
        <View className="grow">
          <Button
            label="Type it in by the hour"
            onPress={() => {
              const typed = typedForecast(shoot);
              onTake(typed);
              setSaid({ text: typedInWords(typed, shoot.light), isTrouble: false });
            }}
          />
        </View>
      </View>
      <ReadingNow reading={reading} />
      {said ? (
        <Text kind="small" role={said.isTrouble ? 'alert' : 'status'}>
          {said.text}
        </Text>
      ) : (
        <Text kind="small" ink="quiet">
          JSON or a table with a time and a cloud cover; wind, temperature, humidity and rain where
          it has them. It is read on this phone and goes nowhere.
        </Text>
      )}
      {pasting ? (
        <PasteSheet
          title="Paste a forecast"
          label="Forecast"
          hint="A line of names, such as “time; cloud %; wind km/h; temperature °C”, then a line an hour: “06:00; 40; 11; 8”"
          most={LARGEST_FORECAST_BYTES}
          read={async (text) => {
            const came = await readFileApart<ForecastRead>((service) =>
              service.forecast(text, askedOf(shoot, PASTED)),
            );
            if (!came.ok) return came.reason;
            take(came);
            setPasting(false);
            return undefined;
          }}
          onClose={() => setPasting(false)}
        />
      ) : null}
    </>
  );
}
