import type { TemperatureWords } from '@core/schedule/benchWords';
import { useMemo } from 'react';
import { useLocale } from '../../app/projectStore';
import { temperatureWords } from '../../app/words';

const M_PER_S_OF_MPH = 0.44704;

/** Temperatures and wind in the project's units. */
export function useTemperatureWords(): TemperatureWords {
  const { units } = useLocale();
  return useMemo(
    () => ({
      temperature: (celsius) => temperatureWords(celsius, units),
      difference: (celsius) => (units === 'us' ? `${Math.round(celsius * 18) / 10} °F` : `${celsius} °C`),
      wind: (mPerS) =>
        units === 'us' ? `${Math.round(mPerS / M_PER_S_OF_MPH)} mph` : `${Math.round(mPerS * 10) / 10} m/s`,
    }),
    [units],
  );
}
