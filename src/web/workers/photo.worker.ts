import type { PhotoShape } from '@core/arrange/photo/photoShapes';
import { edgeInk } from '@core/arrange/photo/photoShapes';
import { hexFromLab, type Lab } from '@core/color/lab';
import { maskOf, recolorArea } from '@core/color/recolorArea';
import { expose } from 'comlink';

/** A marked piece that gets another color; px. */
export interface PhotoMark {
  points: readonly (readonly [number, number])[];
  lab: Lab;
}

/** Draws a picture with marked pieces recolored and with shapes over it, at its full size; gives the bytes of a PNG. */
async function compose(
  picture: ImageBitmap,
  marks: readonly PhotoMark[],
  shapes: readonly PhotoShape[],
): Promise<Blob> {
  const canvas = new OffscreenCanvas(picture.width, picture.height);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.drawImage(picture, 0, 0);
  picture.close();
  for (const { points, lab } of marks) recolorMark(context, points, lab, canvas.width, canvas.height);
  for (const shape of shapes) draw(context, shape);
  return canvas.convertToBlob({ type: 'image/png' });
}

/** Recolors the part of the picture around a mark. */
function recolorMark(
  context: OffscreenCanvasRenderingContext2D,
  points: PhotoMark['points'],
  lab: Lab,
  width: number,
  height: number,
) {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const left = Math.max(0, Math.floor(Math.min(...xs)));
  const top = Math.max(0, Math.floor(Math.min(...ys)));
  const wide = Math.min(width, Math.ceil(Math.max(...xs))) - left;
  const high = Math.min(height, Math.ceil(Math.max(...ys))) - top;
  if (wide < 1 || high < 1) return;
  const part = context.getImageData(left, top, wide, high);
  recolorArea(
    part.data,
    maskOf(
      points.map(([x, y]) => [x - left, y - top] as const),
      wide,
      high,
    ),
    lab,
  );
  context.putImageData(part, left, top);
}

const SHADOW = 0.28;

function draw(context: OffscreenCanvasRenderingContext2D, { kind, points, color, widthPx }: PhotoShape) {
  context.beginPath();
  points.forEach(([x, y], n) => {
    if (n === 0) context.moveTo(x, y);
    else context.lineTo(x, y);
  });
  if (kind === 'line') {
    context.strokeStyle = hexFromLab(color);
    context.lineWidth = widthPx;
    context.lineCap = 'round';
    context.stroke();
    return;
  }
  context.closePath();
  if (kind === 'shadow') {
    context.save();
    context.filter = `blur(${widthPx}px)`;
    context.globalAlpha = SHADOW;
    context.fillStyle = hexFromLab(color);
    context.fill();
    context.restore();
    return;
  }
  context.fillStyle = hexFromLab(color);
  context.fill();
  if (widthPx > 0) {
    context.strokeStyle = hexFromLab(edgeInk);
    context.lineWidth = widthPx;
    context.stroke();
  }
}

const work = { compose };
export type PhotoWork = typeof work;
expose(work);
