import type { Swatch } from '@core/color/palette';
import { wrap } from 'comlink';
import type { PaletteWork } from '../workers/palette.worker';
import { endWithPage, endWorker } from './endWithPage';

/** The colors of the thing in the middle of a photo, most of it first; found in a worker that ends with the answer. */
export async function colorsOfPhoto(photo: Blob, count = 4): Promise<Swatch[]> {
  const thread = endWithPage(new Worker(new URL('../workers/palette.worker.ts', import.meta.url), { type: 'module' }));
  try {
    const { swatches } = await wrap<PaletteWork>(thread).palette(photo, count, true);
    return [...swatches].sort((a, b) => b.share - a.share);
  } finally {
    endWorker(thread);
  }
}
