import type { PrintPaper } from '@core/formats/cutting/printPapers';
import type { PictureBytes, WrittenSheet } from '@core/formats/sheets/writeSheetPdf';
import { picturesOf, type SheetDocument } from '@core/sheets/sheetDocument';
import { type Remote, wrap } from 'comlink';
import { endWithPage } from '../../../app/endWithPage';
import { pictureOfSvg, pngOf, standaloneSvg, whiteCanvas } from '../../../app/svgPicture';
import type { SheetWork } from '../../../workers/sheet.worker';

/** Longer than this no picture on paper has to be, pixels. */
const MOST_PX = 1600;
/** How wide a drawing is made, pixels. */
const DRAWN_PX = 1400;

let worker: Remote<SheetWork> | null = null;
function sheetWorker(): Remote<SheetWork> {
  worker ??= wrap<SheetWork>(
    endWithPage(new Worker(new URL('../../../workers/sheet.worker.ts', import.meta.url), { type: 'module' })),
  );
  return worker;
}

const bytesOf = async (blob: Blob) => new Uint8Array(await blob.arrayBuffer());

/** A photo as it is shown, no larger than paper needs. */
async function photoBytes(image: HTMLImageElement): Promise<PictureBytes> {
  await image.decode();
  const scale = Math.min(1, MOST_PX / Math.max(image.naturalWidth, image.naturalHeight, 1));
  const { canvas, context } = whiteCanvas(image.naturalWidth * scale, image.naturalHeight * scale);
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.88));
  if (!blob) throw new Error('no picture');
  return { type: 'image/jpeg', bytes: await bytesOf(blob) };
}

/** A drawing as it is shown. */
async function drawingBytes(svg: SVGSVGElement): Promise<PictureBytes> {
  const box = svg.getBoundingClientRect();
  const high = (DRAWN_PX * box.height) / Math.max(1, box.width);
  const picture = await pictureOfSvg(await standaloneSvg(svg, DRAWN_PX, high));
  const { canvas, context } = whiteCanvas(DRAWN_PX, high);
  context.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return { type: 'image/png', bytes: await bytesOf(await pngOf(canvas)) };
}

/**
 * A sheet as a PDF, with the pictures as they stand on the page; one that cannot be had is left out.
 * @param shown what the sheet is shown in
 */
export async function pdfOf(sheet: SheetDocument, paper: PrintPaper, shown: HTMLElement): Promise<WrittenSheet> {
  const pictures = new Map<string, PictureBytes>();
  for (const key of picturesOf(sheet)) {
    const figure = shown.querySelector(`[data-picture="${CSS.escape(key)}"]`);
    const drawn = figure?.querySelector('svg');
    const image = figure?.querySelector('img');
    try {
      if (drawn) pictures.set(key, await drawingBytes(drawn));
      else if (image) pictures.set(key, await photoBytes(image));
    } catch {
      // The words are worth having without it.
    }
  }
  return sheetWorker().write(sheet, paper, pictures, Date.now());
}
