import { dewPointC, dewSpreadC } from '../../calendar/climate';
import type { RecipeFinding } from '../recipeSentences';
import type { StepBook } from './stepBook';

/** Over this the film blushes and does not dry, whatever the label says (common industrial practice, from memory). */
const DAMPEST_PERCENT = 85;
/** A surface closer to the dew point than 5 °C is worth a second look; under 3 °C it is not coated (ISO 8502-4, from memory). */
const CAREFUL_SPREAD_C = 5;

const round = (value: number): number => Math.round(value * 10) / 10;

/** What the air of the project says against a step: too cold, too hot, too damp, too near the dew point. */
export function weatherFindings(book: StepBook): RecipeFinding[] {
  const { climate } = book;
  const findings: RecipeFinding[] = [];
  const spread = dewSpreadC(climate);
  for (const step of book.steps) {
    const { limits } = step;
    if (!limits) continue;
    const where = { kind: 'step', id: step.id } as const;
    if (climate.airC < limits.minimumC)
      findings.push({
        code: 'weather.tooCold',
        severity: 'stop',
        where,
        figures: { airC: climate.airC, minimumC: limits.minimumC },
      });
    if (climate.airC > limits.maximumC)
      findings.push({
        code: 'weather.tooHot',
        severity: 'stop',
        where,
        figures: { airC: climate.airC, maximumC: limits.maximumC },
      });
    if (climate.humidityPercent > limits.maximumHumidity)
      findings.push({
        code: 'weather.tooDamp',
        severity: climate.humidityPercent > DAMPEST_PERCENT ? 'stop' : 'warn',
        where,
        figures: { humidity: climate.humidityPercent, most: limits.maximumHumidity },
      });
    if (limits.dewSpreadC !== null && spread < CAREFUL_SPREAD_C)
      findings.push({
        code: 'weather.dew',
        severity: spread < limits.dewSpreadC ? 'stop' : 'warn',
        where,
        figures: {
          spreadC: round(spread),
          leastC: limits.dewSpreadC,
          dewPointC: round(dewPointC(climate.airC, climate.humidityPercent)),
        },
      });
  }
  return findings;
}
