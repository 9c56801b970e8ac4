import { paletteOf, type Swatch } from '@core/color/palette';
import { expose } from 'comlink';

/** Longest side at which a photo is read for its colors; finer detail changes no palette. */
const READ_PX = 480;

/** Share of a photo's width and height that its middle is: where a photographed thing stands. */
const MIDDLE = 0.5;

/**
 * Colors of a photo, computed away from the page: decoding, shrinking and clustering all happen here.
 * @param middle only the middle is read, where a photographed thing stands and its surroundings do not
 */
async function palette(photo: Blob, count: number, middle = false): Promise<{ swatches: Swatch[]; preview: Blob }> {
  const whole = await createImageBitmap(photo);
  const scale = Math.min(1, READ_PX / Math.max(whole.width, whole.height));
  const width = Math.max(1, Math.round(whole.width * scale));
  const height = Math.max(1, Math.round(whole.height * scale));
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('this browser cannot read a picture');
  context.drawImage(whole, 0, 0, width, height);
  whole.close();
  const [w, h] = middle ? [Math.max(1, width * MIDDLE), Math.max(1, height * MIDDLE)] : [width, height];
  const swatches = paletteOf(context.getImageData((width - w) / 2, (height - h) / 2, w, h).data, count);
  // The page shows the small picture, so that it never decodes the large one.
  return { swatches, preview: await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 }) };
}

const work = { palette };
export type PaletteWork = typeof work;
expose(work);
