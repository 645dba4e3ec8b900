import { useState } from 'react';
import { View } from 'react-native';
import { WEATHERS, type Forecast, type Weather } from '@/records/forecast';
import { Button } from '@/ui/Button';
import { Picker } from '@/ui/Picker';
import { Simulated } from '@/ui/Simulated';
import { Heading, Text } from '@/ui/Text';
import { fetchForecast } from './forecast-client';
import { WEATHER_NAMES, weatherInWords } from './forecast-words';
import { ForecastHours } from './ForecastHours';
import { OwnForecast } from './OwnForecast';
import type { SkyProps } from './sky-props';

const WEATHER_OPTIONS = WEATHERS.map((weather) => ({
  value: weather,
  label: WEATHER_NAMES[weather],
}));

/** The forecast that is kept, a real one to bring in, and the simulated one. */
export function ForecastControls(props: SkyProps) {
  const { shoot, update } = props;
  const { forecast } = shoot.light;
  const take = (came: Forecast) =>
    update((current) => ({
      ...current,
      light: { ...current.light, forecast: came, skyFrom: 'forecast' },
    }));
  return (
    <View className="gap-5">
      <View role="group" aria-label="A forecast of your own" className="gap-2">
        <Heading level={3} kind="label">
          A forecast of your own
        </Heading>
        {forecast && !forecast.simulated ? (
          <>
            <At {...props} forecast={forecast} />
            <ForecastHours {...props} forecast={forecast} />
          </>
        ) : null}
        <OwnForecast shoot={shoot} onTake={take} />
      </View>
      <SimulatedForecast {...props} onTake={take} />
    </View>
  );
}

/** The weather of the minute looked at, and whether it is of this day. */
function At({
  shoot,
  clock,
  atMs,
  forecast,
}: Pick<SkyProps, 'shoot' | 'clock' | 'atMs'> & { readonly forecast: Forecast }) {
  const date = shoot.startLocal.slice(0, 10);
  return (
    <>
      <Text kind="small">
        <Text kind="label">{`${clock(atMs)}: `}</Text>
        {weatherInWords(forecast, atMs)}
      </Text>
      {forecast.date !== date ? (
        <Text kind="small" role="alert">
          {`This forecast is for ${forecast.date}; the shoot is on ${date}. ${forecast.simulated ? 'Ask again' : 'Bring in another'}.`}
        </Text>
      ) : null}
    </>
  );
}

/** Asks for a simulated forecast, and shows the one that is kept. */
function SimulatedForecast({
  onTake,
  ...props
}: SkyProps & { readonly onTake: (forecast: Forecast) => void }) {
  const { shoot } = props;
  const { latitudeDeg, longitudeDeg } = shoot.place;
  const forecast = shoot.light.forecast?.simulated ? shoot.light.forecast : undefined;
  const [weather, setWeather] = useState<Weather>(forecast?.weather ?? 'changeable');
  const [state, setState] = useState<{ readonly busy: boolean; readonly trouble?: string }>({
    busy: false,
  });
  const ask = () => {
    setState({ busy: true });
    const date = shoot.startLocal.slice(0, 10);
    fetchForecast({ latitudeDeg, longitudeDeg, date, weather }).then(
      (came) => {
        onTake(came);
        setState({ busy: false });
      },
      (error: Error) => setState({ busy: false, trouble: error.message }),
    );
  };
  return (
    <Simulated what="forecast">
      {forecast ? <At {...props} forecast={forecast} /> : null}
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
