import { parseNumber } from './parseNumber';
import {
  G_PER_OUNCE,
  G_PER_POUND,
  L_PER_CUBIC_FOOT,
  M2_PER_L_PER_FT2_PER_GALLON,
  M2_PER_SQUARE_FOOT,
  M2_PER_SQUARE_INCH,
  ML_PER_US_FLUID_OUNCE,
  ML_PER_US_GALLON,
  ML_PER_US_PINT,
  ML_PER_US_QUART,
  MM_PER_FOOT,
  MM_PER_INCH,
  MM_PER_YARD,
  type UnitSystem,
} from './units';

/** A unit that people write a quantity in: one of it is `factor` of the base, from `zero` of the base on. */
interface QuantityUnit {
  /** As it is shown. */
  label: string;
  /** As it is typed, without spaces, dots and superscripts. */
  words: readonly string[];
  factor: number;
  zero?: number;
}

interface Quantity {
  /** The unit in which it is kept, and those it is shown and meant in where none is typed. */
  us: string;
  metric: string;
  units: readonly QuantityUnit[];
}

const unit = (label: string, factor: number, words: readonly string[], zero = 0): QuantityUnit => ({
  label,
  words: [label.toLowerCase().replace(/[\s.]/g, '').replace(/²/g, '2'), ...words],
  factor,
  zero,
});

const lengths: readonly QuantityUnit[] = [
  unit('m', 1, ['meter', 'meters']),
  unit('cm', 0.01, []),
  unit('mm', 0.001, []),
  unit('ft', MM_PER_FOOT / 1000, ['foot', 'feet', "'"]),
  unit('yd', MM_PER_YARD / 1000, ['yard', 'yards']),
  unit('in', MM_PER_INCH / 1000, ['inch', 'inches', '"']),
];

const weights: readonly QuantityUnit[] = [
  unit('g', 1, ['gram', 'grams']),
  unit('kg', 1000, ['kilo', 'kilos']),
  unit('oz', G_PER_OUNCE, ['ounce', 'ounces']),
  unit('lb', G_PER_POUND, ['lbs', 'pound', 'pounds']),
];

/** Quantities by what they are kept in, with the units they may be typed in (factors: NIST SP 811, from memory). */
const quantities = {
  m2: {
    us: 'ft²',
    metric: 'm²',
    units: [
      unit('m²', 1, ['sqm', 'squaremeter', 'squaremeters']),
      unit('cm²', 1e-4, ['sqcm']),
      unit('ft²', M2_PER_SQUARE_FOOT, ['sqft', 'squarefoot', 'squarefeet', 'sf']),
      unit('in²', M2_PER_SQUARE_INCH, ['sqin', 'squareinch', 'squareinches']),
    ],
  },
  mL: {
    us: 'fl oz',
    metric: 'ml',
    units: [
      unit('ml', 1, ['milliliter', 'milliliters']),
      unit('cl', 10, []),
      unit('dl', 100, []),
      unit('l', 1000, ['liter', 'liters', 'litre', 'litres']),
      unit('fl oz', ML_PER_US_FLUID_OUNCE, ['oz', 'ounce', 'ounces', 'fluidounces']),
      unit('pt', ML_PER_US_PINT, ['pint', 'pints']),
      unit('qt', ML_PER_US_QUART, ['quart', 'quarts']),
      unit('gal', ML_PER_US_GALLON, ['gallon', 'gallons']),
    ],
  },
  // In grams: a supply is told in grams, what a piece weighs in what people weigh pieces in.
  g: { us: 'g', metric: 'g', units: weights },
  weightG: { us: 'lb', metric: 'kg', units: weights },
  // By the meter: cloth, ribbon and tape are sold by the yard, boards by the foot.
  m: { us: 'yd', metric: 'm', units: lengths },
  boardM: { us: 'ft', metric: 'm', units: lengths },
  // Room that a thing takes up, in liters.
  roomL: {
    us: 'ft³',
    metric: 'l',
    units: [
      unit('l', 1, ['liter', 'liters', 'litre', 'litres']),
      unit('m³', 1000, ['m3', 'cubicmeter', 'cubicmeters']),
      unit('ft³', L_PER_CUBIC_FOOT, ['ft3', 'cuft', 'cubicfoot', 'cubicfeet']),
    ],
  },
  celsius: {
    us: '°F',
    metric: '°C',
    units: [unit('°C', 1, ['c', 'celsius']), unit('°F', 5 / 9, ['f', 'fahrenheit'], -160 / 9)],
  },
  m2PerL: {
    us: 'ft²/gal',
    metric: 'm²/L',
    units: [
      unit('m²/L', 1, ['sqm/l', 'm2perl', 'm2perliter', 'm2']),
      unit('ft²/gal', M2_PER_L_PER_FT2_PER_GALLON, ['sqft/gal', 'ft2pergallon', 'sqftpergallon', 'ft2', 'sqft']),
      unit('ft²/qt', M2_PER_L_PER_FT2_PER_GALLON * 4, ['sqft/qt', 'ft2perquart', 'sqftperquart']),
    ],
  },
  m2PerCan: {
    us: 'ft²',
    metric: 'm²',
    units: [unit('m²', 1, ['sqm']), unit('ft²', M2_PER_SQUARE_FOOT, ['sqft', 'squarefeet'])],
  },
  minPerM2: {
    us: 'min/ft²',
    metric: 'min/m²',
    units: [unit('min/m²', 1, ['min']), unit('min/ft²', 1 / M2_PER_SQUARE_FOOT, ['min/sqft'])],
  },
} as const satisfies Record<string, Quantity>;

/** What can be typed in any of its units. */
export type QuantityKind = keyof typeof quantities;

/** Whether a unit of a figure is one that can be typed and shown in several ways. */
export const isQuantity = (name: string): name is QuantityKind => name in quantities;

function shownUnit(kind: QuantityKind, system: UnitSystem): QuantityUnit {
  const quantity: Quantity = quantities[kind];
  const label = quantity[system];
  const found = quantity.units.find((entry) => entry.label === label);
  if (!found) throw new Error(`${kind} has no unit “${label}”`);
  return found;
}

/** The unit that a quantity is shown in, as it stands behind a figure. */
export const quantityUnit = (kind: QuantityKind, system: UnitSystem): string => shownUnit(kind, system).label;

/** A quantity in the unit that it is shown in. */
export function shownQuantity(value: number, kind: QuantityKind, system: UnitSystem): number {
  const { factor, zero = 0 } = shownUnit(kind, system);
  return (value - zero) / factor;
}

/**
 * Reads a quantity in whatever unit it is typed: `30 ft²`, `2.8 sqm`, `250 ml`, `1 qt`, `21 °C`, `400 sq ft/gal`. A bare
 * number is meant in the unit that the project shows.
 * @returns the quantity in what it is kept in (m², mL, g, m, °C, m²/L, min/m²), or null when it cannot be read
 * @example "70 °F" as celsius → 21.11…
 */
export function parseQuantity(text: string, kind: QuantityKind, system: UnitSystem): number | null {
  const match = /^([+-]?[\d.,/ ]*\d)\s*(.*)$/.exec(text.trim().toLowerCase());
  const value = parseNumber(match?.[1] ?? '');
  if (value === null) return null;
  const named = (match?.[2] ?? '').replace(/²|\^2/g, '2').replace(/[\s.]/g, '');
  const units: readonly QuantityUnit[] = quantities[kind].units;
  const meant = named === '' ? shownUnit(kind, system) : units.find((entry) => entry.words.includes(named));
  return meant ? value * meant.factor + (meant.zero ?? 0) : null;
}
