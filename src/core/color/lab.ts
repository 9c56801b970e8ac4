/** A CIELAB color under D65, 2° observer. */
export interface Lab {
  L: number;
  a: number;
  b: number;
}

/** D65 white and the 7-digit sRGB matrix. Source: IEC 61966-2-1 (from memory), matrix inverted numerically once. */
const white = { x: 0.95047, y: 1, z: 1.08883 };
const toXyz = [
  [0.4124564, 0.3575761, 0.1804375],
  [0.2126729, 0.7151522, 0.072175],
  [0.0193339, 0.119192, 0.9503041],
] as const;
const toRgb = [
  [3.2404542, -1.5371385, -0.4985314],
  [-0.969266, 1.8760108, 0.041556],
  [0.0556434, -0.2040259, 1.0572252],
] as const;
const delta = 6 / 29;

function linear(channel: number): number {
  const c = channel / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
}

function companded(value: number): number {
  const c = value <= 0.0031308 ? value * 12.92 : 1.055 * value ** (1 / 2.4) - 0.055;
  return c * 255;
}

function forward(t: number): number {
  return t > delta ** 3 ? Math.cbrt(t) : t / (3 * delta * delta) + 4 / 29;
}

function backward(t: number): number {
  return t > delta ? t ** 3 : 3 * delta * delta * (t - 4 / 29);
}

/**
 * sRGB hex (`#2f5d62` or `2f5d62`) → CIELAB.
 * @throws RangeError when it is not six hex digits
 */
export function labFromHex(hex: string): Lab {
  let lab = known.get(hex);
  if (!lab) {
    lab = Object.freeze(readHex(hex));
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(hex, lab);
  }
  return lab;
}

/** The tables' colors are asked for again and again. */
const known = new Map<string, Lab>();
const MOST_KNOWN = 4096;

function readHex(hex: string): Lab {
  const match = /^#?([0-9a-f]{6})$/i.exec(hex);
  if (!match?.[1]) throw new RangeError(`"${hex}" is not a color of six hex digits`);
  const n = Number.parseInt(match[1], 16);
  return labFromRgb(n >> 16, (n >> 8) & 255, n & 255);
}

/**
 * Eight-bit sRGB channels → CIELAB.
 * @param red 0 to 255, and so are green and blue; they need not be whole
 * @example 255, 255, 255 → L 100, a and b 0 to five decimals
 */
export function labFromRgb(red: number, green: number, blue: number): Lab {
  const rgb = [linear(red), linear(green), linear(blue)] as const;
  const [x, y, z] = toXyz.map((row) => row[0] * rgb[0] + row[1] * rgb[1] + row[2] * rgb[2]) as [number, number, number];
  const fx = forward(x / white.x);
  const fy = forward(y / white.y);
  const fz = forward(z / white.z);
  // White is 100 and black 0, not a rounding error beyond.
  return { L: Math.min(100, Math.max(0, 116 * fy - 16)), a: 500 * (fx - fy), b: 200 * (fy - fz) };
}

/** CIELAB → unrounded 8-bit sRGB channels; out-of-gamut colors fall outside 0 to 255. */
export function rgbFromLab(lab: Lab): [number, number, number] {
  const fy = (lab.L + 16) / 116;
  const x = white.x * backward(fy + lab.a / 500);
  const y = white.y * backward(fy);
  const z = white.z * backward(fy - lab.b / 200);
  return toRgb.map((row) => companded(row[0] * x + row[1] * y + row[2] * z)) as [number, number, number];
}

/** CIELAB → sRGB hex, clipped into the gamut. */
export function hexFromLab(lab: Lab): string {
  return `#${rgbFromLab(lab)
    .map((c) =>
      Math.max(0, Math.min(255, Math.round(c)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

/**
 * The color part of the way from one to another in CIELAB; share 0 is `from`, 1 is `to`.
 * @param share 0 to 1; the mean of numbers, not of paints
 * @example a quarter of the way from L 90 to L 30 → L 75
 */
export function mixLab(from: Lab, to: Lab, share: number): Lab {
  return {
    L: from.L + (to.L - from.L) * share,
    a: from.a + (to.a - from.a) * share,
    b: from.b + (to.b - from.b) * share,
  };
}
