import { type Recolor, Recolorer } from '@core/color/recolor';
import { expose, transfer } from 'comlink';

/** How often it says how far it is, ms; and how many pixels it works between two looks at the clock. */
const TELL_MS = 100;
const STRETCH = 50_000;

let latest = 0;

/**
 * Recolors a picture's pixels.
 * @returns the pixels; null where another picture was asked for meanwhile
 */
async function recolor(buffer: ArrayBuffer, how: Recolor, tell: (share: number) => void): Promise<ArrayBuffer | null> {
  latest += 1;
  const mine = latest;
  const pixels = new Uint8ClampedArray(buffer);
  const recolorer = new Recolorer(how);
  const count = pixels.length / 4;
  let told = performance.now();
  for (let from = 0; from < count; from += STRETCH) {
    recolorer.recolor(pixels, from, Math.min(count, from + STRETCH));
    if (performance.now() - told > TELL_MS) {
      told = performance.now();
      tell(Math.min(1, from / count));
      // A turn of the loop, so that a newer question is heard.
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (mine !== latest) return null;
    }
  }
  return transfer(buffer, [buffer]);
}

const work = { recolor };
export type RecolorWork = typeof work;
expose(work);
