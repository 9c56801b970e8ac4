import { MM_PER_INCH, type UnitSystem } from './units';

function greatestCommonDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestCommonDivisor(b, a % b);
}

/**
 * Shows millimeters in the project's units: inches to the nearest sixteenth as a fraction (`34 1/2 in`),
 * or centimeters to one decimal (`80 cm`).
 * @param withUnit false leaves "in" or "cm" out
 * @example 876.3 mm → "34 1/2 in", or "87.6 cm"
 */
export function formatLength(mm: number, system: UnitSystem, withUnit = true): string {
  if (!Number.isFinite(mm)) return 'unknown';
  if (system === 'metric') {
    const cm = Math.round(mm) / 10;
    return `${cm}${withUnit ? ' cm' : ''}`;
  }
  const sixteenths = Math.round((mm / MM_PER_INCH) * 16);
  const whole = Math.trunc(sixteenths / 16);
  const rest = Math.abs(sixteenths % 16);
  const divisor = greatestCommonDivisor(rest, 16);
  const fraction = rest === 0 ? '' : `${rest / divisor}/${16 / divisor}`;
  const text = whole === 0 && fraction ? fraction : fraction ? `${whole} ${fraction}` : `${whole}`;
  return `${text}${withUnit ? ' in' : ''}`;
}
