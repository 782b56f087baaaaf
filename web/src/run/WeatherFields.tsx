import { Box, Button } from '@chakra-ui/react';
import { GROUND_STATES } from '@steady-scatter/core/products';
import { fromSi } from '@steady-scatter/core/quantities';
import { evaluateApplication, blankApplication, type WeatherInput } from '@steady-scatter/core/season';
import { say } from '@steady-scatter/words/walk';
import { useStation } from '../stations/useStation.ts';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';

interface Props {
  weather: WeatherInput;
  /** Pavement is treated: its temperature is asked for. */
  onPavement: boolean;
  onChange(weather: WeatherInput): void;
}

const GROUND = [
  { id: '' as const, label: say('walk.ground.unsaid') },
  ...GROUND_STATES.map((id) => ({ id, label: say('walk.ground.is', { state: id }) })),
];

/** One field's figure from the station, in the units of the fields. */
function useReadings(unit: WeatherInput['unit']) {
  const asked = [useStation('air'), useStation('soil'), useStation('pavement'), useStation('wind'), useStation('rainDue')]; // prettier-ignore
  // With some of it still being asked, those fields would be filled with nothing.
  const station = asked.includes(undefined) ? undefined : asked[0];
  const [air = null, soil = null, pavement = null, wind = null, rain = null] = asked.map(
    (each) => each?.now.value,
  );
  const degrees = (value: number | null) => (value === null ? '' : String(Math.round(fromSi(value, unit))));
  const speed = unit === 'degF' ? 'mph' : 'km/h';
  return {
    station,
    filled: {
      air: degrees(air),
      soil: degrees(soil),
      pavement: degrees(pavement),
      wind: wind === null ? '' : `${Number(fromSi(wind, speed).toPrecision(2))} ${speed}`,
      rain: rain === null ? '' : String(Math.round(rain)),
    },
  };
}

/** What of it cannot be read, by its field. */
const errorsOf = (weather: WeatherInput) =>
  evaluateApplication({ ...blankApplication('us'), weather }).errors.filter(({ field }) =>
    field.startsWith('weather.'),
  );

/** The weather before work begins: typed, or from the station, which says when it is made up. */
export function WeatherFields({ weather, onPavement, onChange }: Props) {
  const { station, filled } = useReadings(weather.unit);
  const errors = errorsOf(weather);
  const degrees = weather.unit === 'degF' ? '°F' : '°C';
  const text = (name: 'wind' | 'rain' | 'air' | 'soil' | 'pavement', label: string, unit: string, placeholder: string) => (
    <LabelledField
      label={label}
      value={weather[name]}
      placeholder={placeholder}
      inputMode={name === 'wind' ? 'text' : 'decimal'}
      minHeight="56px"
      error={errors.find(({ field }) => field === `weather.${name}`)}
      unit={unit === '' ? undefined : <Box as="span">{unit}</Box>}
      onChange={(typed) => onChange({ ...weather, [name]: typed })}
    />
  );
  return (
    <Box display="grid" gap="12px">
      <Box display="grid" gap="12px" gridTemplateColumns="repeat(auto-fill, minmax(150px, 1fr))" alignItems="start">
        {text('wind', say('walk.weather.wind'), '', say('walk.weather.wind.hint'))}
        {text('rain', say('walk.weather.rain'), 'h', '24')}
        {text('air', say('walk.weather.air'), degrees, '62')}
        {onPavement ? text('pavement', say('walk.weather.pavement'), degrees, '30') : text('soil', say('walk.weather.soil'), degrees, '55')}
        <Choice label={say('walk.ground')} value={weather.ground} options={GROUND} onChange={(ground) => onChange({ ...weather, ground })} />
      </Box>
      {station && (
        <Box display="flex" flexWrap="wrap" gap="6px 14px" alignItems="center">
          <Button minHeight="56px" onClick={() => onChange({ ...weather, ...filled, pavement: onPavement ? filled.pavement : '', soil: onPavement ? '' : filled.soil })}>
            {say('walk.weather.station', { name: station.name })}
          </Button>
          {station.isSimulated && <Box fontSize="15px" color="warn">{say('walk.weather.simulated')}</Box>}
        </Box>
      )}
    </Box>
  );
} // prettier-ignore
