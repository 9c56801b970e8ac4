import type { AirLimits } from '../../calendar/weather/coatingHours';
import type { CoatRange } from '../../color/coatsUntilHidden';
import { commonPractice } from '../../kernel/source';
import { ML_PER_US_FLUID_OUNCE, ML_PER_US_GALLON, ML_PER_US_PINT, ML_PER_US_QUART } from '../../kernel/units';
import type { AllowedInterval } from '../../state/joint';
import type { Coating, PackSize } from '../coating';
import { type Figure, figure } from '../figure';

/** Fewest, typical and most, as the sheet of coatings prints them. */
export type Three = readonly [low: number, usual: number, high: number];

const three = ([low, usual, high]: Three): Figure => figure(low, usual, high);
const coats = ([minimum, typical, maximum]: Three): CoatRange => ({ minimum, typical, maximum });

/** Air and humidity while brushing and drying. */
export const brushWeather = (maximumHumidity: number, minimumC = 10, maximumC = 32): AirLimits => ({
  minimumC,
  maximumC,
  maximumHumidity,
  dewSpreadC: null,
  nightMinimumC: null,
  windLimitMPerS: null,
});

/** Weather for an aerosol: 10 to 32 °C, 3 °C over the dew point, wind to 10 mph (4.47 m/s). */
export const sprayWeather: AirLimits = {
  minimumC: 10,
  maximumC: 32,
  maximumHumidity: 65,
  dewSpreadC: 3,
  nightMinimumC: 10,
  windLimitMPerS: 4.47,
};

type Estimate = [low: number, likely: number, high: number];

const pack = (id: string, name: string, size: number, market: 'us' | 'metric', estimate: Estimate): PackSize => {
  const [low, likely, high] = estimate;
  return { id, name, size, market, estimate: { low, likely, high } };
};

const around = (likely: number): Estimate => [Math.round(likely * 0.75), Math.round(likely), Math.round(likely * 1.35)];

/** Tins of paint from a sample to a gallon, and the metric ones; prices follow the quart's. */
export const tins = (pricePerQuart: number): PackSize[] => [
  pack('sample', 'sample, 8 oz', 8 * ML_PER_US_FLUID_OUNCE, 'us', around(pricePerQuart * 0.42)),
  pack('pint', 'pint', ML_PER_US_PINT, 'us', around(pricePerQuart * 0.62)),
  pack('quart', 'quart', ML_PER_US_QUART, 'us', around(pricePerQuart)),
  pack('gallon', 'gallon', ML_PER_US_GALLON, 'us', around(pricePerQuart * 2.6)),
  pack('ml250', '250 ml', 250, 'metric', around(pricePerQuart * 0.42)),
  pack('ml500', '500 ml', 500, 'metric', around(pricePerQuart * 0.64)),
  pack('l1', '1 liter', 1000, 'metric', around(pricePerQuart)),
  pack('l2_5', '2.5 liters', 2500, 'metric', around(pricePerQuart * 2)),
];

/** Bottles as craft paint, medium and colorant are sold. */
export const bottles = (price2oz: number): PackSize[] => [
  pack('oz2', '2 oz bottle', 2 * ML_PER_US_FLUID_OUNCE, 'us', around(price2oz)),
  pack('oz8', '8 oz bottle', 8 * ML_PER_US_FLUID_OUNCE, 'us', around(price2oz * 3)),
  pack('ml59', '59 ml bottle', 59, 'metric', around(price2oz)),
  pack('ml236', '236 ml bottle', 236, 'metric', around(price2oz * 3)),
];

/** Small and middling tins, as stain, wax and clear coats are sold. */
export const smallTins = (pricePerPint: number): PackSize[] => [
  pack('halfPint', 'half pint', ML_PER_US_PINT / 2, 'us', around(pricePerPint * 0.64)),
  pack('pint', 'pint', ML_PER_US_PINT, 'us', around(pricePerPint)),
  pack('quart', 'quart', ML_PER_US_QUART, 'us', around(pricePerPint * 1.6)),
  pack('ml250', '250 ml', 250, 'metric', around(pricePerPint * 0.66)),
  pack('ml500', '500 ml', 500, 'metric', around(pricePerPint)),
  pack('l1', '1 liter', 1000, 'metric', around(pricePerPint * 1.65)),
];

/** Spray cans: the ordinary 12 oz one counts as one can, 400 ml as 0.95 of it. */
export const sprayCans = (likely: number): PackSize[] => [
  pack('can12', '12 oz can', 1, 'us', around(likely)),
  pack('can400', '400 ml can', 0.95, 'metric', around(likely)),
];

/** When the same product may follow itself: from its recoat time, scuffed once the film has closed. */
export const recoat = (fromHours: number, closesHours: number | null): AllowedInterval[] =>
  closesHours === null
    ? [{ fromHours, toHours: null, extraSteps: [] }]
    : [
        { fromHours, toHours: closesHours, extraSteps: [] },
        { fromHours: closesHours, toHours: null, extraSteps: ['scuff'] },
      ];

/** A row as the sheet prints it: the figures that differ, with what is usual filled in. */
export type CoatingSheetRow = Pick<Coating, 'id' | 'name' | 'role' | 'group' | 'film' | 'techniqueId' | 'packs'> &
  Partial<Omit<Coating, 'spreadingRate' | 'hiding' | 'touchHours' | 'recoatHours' | 'handleHours'>> &
  SheetFigures;

interface SheetFigures {
  rate: Three;
  coatsSimilar: Three;
  coatsLightOverDark?: Three;
  coatsDarkOverLight?: Three;
  touch: Three;
  recoatAfter: Three;
  handle: Three;
  cureDays: Three;
  openedMonths: Three;
  /** Hours after which its film must be scuffed before more of it; null when it stays open. */
  closesHours?: number | null;
}

/** Completes one row of the coatings table; every figure is common practice, written from memory. */
export function coating(row: CoatingSheetRow): Coating {
  const {
    rate,
    coatsSimilar,
    coatsLightOverDark = coatsSimilar,
    coatsDarkOverLight = coatsSimilar,
    touch,
    recoatAfter,
    handle,
    cureDays,
    openedMonths,
    closesHours = null,
    ...rest
  } = row;
  return {
    laysAs: [row.group],
    liesAs: [row.group],
    unit: 'mL',
    opacity: null,
    mixedLifeHours: null,
    limits: brushWeather(85),
    sheens: ['matt'],
    outdoors: 'no',
    topcoat: 'never',
    sandBetween: false,
    foodUse: 'displayOnly',
    hazard: 'waterborne',
    cleanUp: 'water',
    primer: null,
    source: commonPractice,
    spreadingRate: three(rate),
    hiding: {
      similar: coats(coatsSimilar),
      lightOverDark: coats(coatsLightOverDark),
      darkOverLight: coats(coatsDarkOverLight),
    },
    touchHours: three(touch),
    recoatHours: three(recoatAfter),
    handleHours: three(handle),
    fullCureDays: three(cureDays),
    openedLifeMonths: three(openedMonths),
    recoatIntervals: recoat(recoatAfter[1], closesHours),
    ...rest,
  };
}
