import { type Lab, labFromRgb, rgbFromLab } from './lab';

/** How a picture is recolored; 0 throughout leaves it as it is. */
export interface Recolor {
  /** Turned around the color circle, degrees, −180 to 180. */
  hueDeg: number;
  /** More or less colorful, percent, −100 (gray) to 100 (twice as much). */
  saturationPercent: number;
  /** Warmer above 0, cooler below, −50 to 50. */
  warmth: number;
  /** Lighter above 0, darker below, −50 to 50; black stays black and white stays white. */
  brightness: number;
}

export const asItIs: Recolor = Object.freeze({ hueDeg: 0, saturationPercent: 0, warmth: 0, brightness: 0 });

/** How far warmth moves a color toward yellow and, a little, toward red (a modelling choice). */
const WARM = { a: 0.12, b: 0.5 } as const;

/**
 * A color recolored in CIELAB: hue and chroma around the gray axis, then warmth, then lightness on a curve that keeps
 * its ends.
 */
export function recoloredLab({ L, a, b }: Lab, { hueDeg, saturationPercent, warmth, brightness }: Recolor): Lab {
  const angle = (hueDeg * Math.PI) / 180;
  const chroma = 1 + saturationPercent / 100;
  // White paper stays white and black ink black: warmth counts most in the middle.
  const middle = 4 * (L / 100) * (1 - L / 100);
  return {
    L: Math.min(100, Math.max(0, L + brightness * middle)),
    a: (a * Math.cos(angle) - b * Math.sin(angle)) * chroma + warmth * WARM.a * middle,
    b: (a * Math.sin(angle) + b * Math.cos(angle)) * chroma + warmth * WARM.b * middle,
  };
}

/** Distinct colors that are remembered while a picture is worked; a photograph has some hundred thousand. */
const MOST_REMEMBERED = 1 << 19;

/** Recolors pixels in place; colors beyond the gamut are clipped into it. One recolorer for one picture. */
export class Recolorer {
  private readonly remembered = new Map<number, number>();
  private readonly how: Recolor;

  constructor(how: Recolor) {
    this.how = how;
  }

  /**
   * @param pixels red, green, blue and opacity, 0 to 255 each, one after the other; opacity stays
   * @param from first pixel, and `to` the one after the last
   */
  recolor(pixels: Uint8ClampedArray, from = 0, to = pixels.length / 4): void {
    for (let n = from * 4; n < to * 4; n += 4) {
      const key = ((pixels[n] ?? 0) << 16) | ((pixels[n + 1] ?? 0) << 8) | (pixels[n + 2] ?? 0);
      let made = this.remembered.get(key);
      if (made === undefined) {
        made = this.make(key);
        if (this.remembered.size >= MOST_REMEMBERED) this.remembered.clear();
        this.remembered.set(key, made);
      }
      pixels[n] = made >> 16;
      pixels[n + 1] = (made >> 8) & 255;
      pixels[n + 2] = made & 255;
    }
  }

  private make(key: number): number {
    const lab = recoloredLab(labFromRgb(key >> 16, (key >> 8) & 255, key & 255), this.how);
    const [red, green, blue] = rgbFromLab(lab).map((value) => Math.round(Math.min(255, Math.max(0, value))));
    return ((red ?? 0) << 16) | ((green ?? 0) << 8) | (blue ?? 0);
  }
}

/** The largest part of a picture that has some proportions, from its middle, pixels; all of it where none are asked. */
export function croppedTo(
  wide: number,
  high: number,
  proportions: { width: number; height: number } | null,
): { x: number; y: number; width: number; height: number } {
  if (!proportions || proportions.width <= 0 || proportions.height <= 0)
    return { x: 0, y: 0, width: wide, height: high };
  const scale = Math.min(wide / proportions.width, high / proportions.height);
  const width = Math.max(1, Math.round(proportions.width * scale));
  const height = Math.max(1, Math.round(proportions.height * scale));
  return { x: Math.floor((wide - width) / 2), y: Math.floor((high - height) / 2), width, height };
}
