import type { Lab } from './lab';

const radians = Math.PI / 180;
const pow25to7 = 25 ** 7;

// Plain products and roots: ** 7 and Math.hypot take most of the time where thousands of colors are compared.
const length = (a: number, b: number) => Math.sqrt(a * a + b * b);
function seventh(x: number): number {
  const cube = x * x * x;
  return cube * cube * x;
}

function hueDegrees(a: number, b: number): number {
  if (a === 0 && b === 0) return 0;
  const hue = Math.atan2(b, a) / radians;
  return hue < 0 ? hue + 360 : hue;
}

/**
 * The color difference ΔE00 with kL = kC = kH = 1. Below 1 is not seen, 2 is noticed side by side.
 * Source: Sharma, Wu and Dalal 2005, Color Research and Application 30, 21–30.
 * @returns 0 for the same color, about 100 between black and white
 * @example the first pair of the published test data: Lab 50, 2.6772, −79.7751 and 50, 0, −82.7485 → 2.0425
 */
export function ciede2000(first: Lab, second: Lab): number {
  const meanC = (length(first.a, first.b) + length(second.a, second.b)) / 2;
  const meanC7 = seventh(meanC);
  const g = 0.5 * (1 - Math.sqrt(meanC7 / (meanC7 + pow25to7)));
  const a1 = first.a * (1 + g);
  const a2 = second.a * (1 + g);
  const c1 = length(a1, first.b);
  const c2 = length(a2, second.b);
  const h1 = hueDegrees(a1, first.b);
  const h2 = hueDegrees(a2, second.b);
  const deltaL = second.L - first.L;
  const deltaC = c2 - c1;
  const achromatic = c1 * c2 === 0;
  let deltaHue = 0;
  if (!achromatic) {
    deltaHue = h2 - h1;
    if (deltaHue > 180) deltaHue -= 360;
    else if (deltaHue < -180) deltaHue += 360;
  }
  const deltaH = 2 * Math.sqrt(c1 * c2) * Math.sin((deltaHue / 2) * radians);
  const L = (first.L + second.L) / 2;
  const C = (c1 + c2) / 2;
  let H = h1 + h2;
  if (!achromatic) {
    if (Math.abs(h1 - h2) <= 180) H /= 2;
    else H = H < 360 ? (H + 360) / 2 : (H - 360) / 2;
  }
  const T =
    1 -
    0.17 * Math.cos((H - 30) * radians) +
    0.24 * Math.cos(2 * H * radians) +
    0.32 * Math.cos((3 * H + 6) * radians) -
    0.2 * Math.cos((4 * H - 63) * radians);
  const sL = 1 + (0.015 * (L - 50) ** 2) / Math.sqrt(20 + (L - 50) ** 2);
  const sC = 1 + 0.045 * C;
  const sH = 1 + 0.015 * C * T;
  const rotation = 30 * Math.exp(-(((H - 275) / 25) ** 2));
  const C7 = seventh(C);
  const rC = 2 * Math.sqrt(C7 / (C7 + pow25to7));
  const rT = -Math.sin(2 * rotation * radians) * rC;
  const l = deltaL / sL;
  const c = deltaC / sC;
  const h = deltaH / sH;
  return Math.sqrt(l * l + c * c + h * h + rT * c * h);
}
