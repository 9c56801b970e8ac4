import { guessCutOut } from '@core/arrange/cutOut/guessCutOut';
import { cutOutBox, type ThingPicture } from '@core/arrange/look/thingView';
import { edgeInk, type PhotoShape } from '@core/arrange/photo/photoShapes';
import { closeArea } from '@core/color/closeArea';
import { hexFromLab, type Lab } from '@core/color/lab';
import { maskOf, recolorArea } from '@core/color/recolorArea';
import { boxOf, type Outline, type Point } from '@core/surface/outline';
import { grown } from '@core/surface/polygons';
import { expose } from 'comlink';

/** A marked thing that gets another color, or is taken away where it has none; px. */
export interface PhotoMark {
  points: readonly Point[];
  lab: Lab | null;
}

/** A picture that pieces are cut from. */
export interface CutSource {
  photoId: string;
  bitmap: ImageBitmap;
}

/** A guess needs no more than this of a picture, and looks at even less. */
const GUESS_PX = 640;
const SHADOW = 0.28;

type Context = OffscreenCanvasRenderingContext2D;

function canvasOf(width: number, height: number): { canvas: OffscreenCanvas; context: Context } {
  const canvas = new OffscreenCanvas(Math.max(1, Math.round(width)), Math.max(1, Math.round(height)));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('no canvas');
  return { canvas, context };
}

/** Draws a picture with what is marked recolored or taken away, and with shapes over it, at its full size; gives the bytes of a PNG. */
async function compose(
  picture: ImageBitmap,
  marks: readonly PhotoMark[],
  shapes: readonly PhotoShape[],
  sources: readonly CutSource[],
): Promise<Blob> {
  const { canvas, context } = canvasOf(picture.width, picture.height);
  context.drawImage(picture, 0, 0);
  picture.close();
  // What is taken away goes first: what gets a color may stand before it.
  for (const mark of [...marks].sort((a, b) => Number(a.lab !== null) - Number(b.lab !== null)))
    applyMark(context, mark);
  for (const shape of shapes) draw(context, shape, sources);
  for (const { bitmap } of sources) bitmap.close();
  return canvas.convertToBlob({ type: 'image/png' });
}

/** A piece cut from its picture, with nothing around it; gives the bytes of a PNG. */
async function cut(picture: ImageBitmap, how: ThingPicture, longestPx: number): Promise<Blob> {
  const canvas = cutCanvas(picture, how, longestPx);
  picture.close();
  return canvas.convertToBlob({ type: 'image/png' });
}

/** The guessed edge of the piece that a picture shows; null where nothing stands out. See {@link guessCutOut}. */
function guess(picture: ImageBitmap, taps: readonly Point[]): Point[][] | null {
  const scale = Math.min(1, GUESS_PX / Math.max(picture.width, picture.height));
  const { canvas, context } = canvasOf(picture.width * scale, picture.height * scale);
  context.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  return guessCutOut({ pixels: data, widthPx: canvas.width, heightPx: canvas.height }, taps);
}

function cutCanvas(picture: ImageBitmap, { rings, recoloredTo }: ThingPicture, longestPx: number): OffscreenCanvas {
  const box = cutOutBox(rings);
  const [wide, high] = [box.width * picture.width, box.height * picture.height];
  const scale = Math.min(1, longestPx / Math.max(wide, high));
  const { canvas, context } = canvasOf(wide * scale, high * scale);
  const at = ({ x, y }: { x: number; y: number }): Point => [
    ((x - box.left) / box.width) * canvas.width,
    ((y - box.top) / box.height) * canvas.height,
  ];
  context.clip(pathOf(rings.map((ring) => ring.map(at))), 'evenodd');
  context.drawImage(
    picture,
    -box.left * picture.width * (canvas.width / wide),
    -box.top * picture.height * (canvas.height / high),
    picture.width * (canvas.width / wide),
    picture.height * (canvas.height / high),
  );
  if (recoloredTo) {
    const part = context.getImageData(0, 0, canvas.width, canvas.height);
    const mask = Uint8Array.from({ length: canvas.width * canvas.height }, (_, n) => (part.data[n * 4 + 3] ? 1 : 0));
    recolorArea(part.data, mask, recoloredTo);
    context.putImageData(part, 0, 0);
  }
  return canvas;
}

/** A mark taken away reaches a little farther: taps are seldom outside of what they go around. */
const BEYOND_SHARE = 0.02;
/** How much around an area tells what is behind it, as a share of its size. */
const AROUND_SHARE = 0.25;

/** Recolors what is marked in a picture, or closes the wall over it. */
function applyMark(context: Context, { points, lab }: PhotoMark) {
  const box = boxOf([points]);
  if (!box) return;
  const { width, height } = context.canvas;
  const size = Math.max(box.right - box.left, box.bottom - box.top);
  const around = lab === null ? AROUND_SHARE * size : 0;
  const left = Math.max(0, Math.floor(box.left - around));
  const top = Math.max(0, Math.floor(box.top - around));
  const wide = Math.min(width, Math.ceil(box.right + around)) - left;
  const high = Math.min(height, Math.ceil(box.bottom + around)) - top;
  if (wide < 1 || high < 1) return;
  const part = context.getImageData(left, top, wide, high);
  const ring = points.map(([x, y]): Point => [x - left, y - top]);
  if (lab) recolorArea(part.data, maskOf(ring, wide, high), lab);
  else {
    const mask = new Uint8Array(wide * high);
    for (const grownRing of grown([ring], BEYOND_SHARE * size))
      maskOf(grownRing, wide, high).forEach((value, n) => {
        if (value === 1) mask[n] = 1;
      });
    closeArea(part.data, mask, wide);
  }
  context.putImageData(part, left, top);
}

function pathOf(rings: Outline): Path2D {
  const path = new Path2D();
  for (const ring of rings) {
    ring.forEach(([x, y], n) => {
      if (n === 0) path.moveTo(x, y);
      else path.lineTo(x, y);
    });
    path.closePath();
  }
  return path;
}

function draw(context: Context, shape: PhotoShape, sources: readonly CutSource[]) {
  switch (shape.kind) {
    case 'line': {
      context.strokeStyle = hexFromLab(shape.color);
      context.lineWidth = shape.widthPx;
      context.lineCap = 'round';
      context.beginPath();
      shape.points.forEach(([x, y], n) => {
        if (n === 0) context.moveTo(x, y);
        else context.lineTo(x, y);
      });
      context.stroke();
      return;
    }
    case 'shadow': {
      context.save();
      context.filter = `blur(${shape.widthPx}px)`;
      context.globalAlpha = SHADOW;
      context.fillStyle = '#000';
      context.fill(pathOf(shape.rings), 'evenodd');
      context.restore();
      return;
    }
    case 'fill': {
      const path = pathOf(shape.rings);
      context.fillStyle = hexFromLab(shape.color);
      context.fill(path, 'evenodd');
      if (shape.widthPx > 0) {
        context.strokeStyle = hexFromLab(edgeInk);
        context.lineWidth = shape.widthPx;
        context.stroke(path);
      }
      return;
    }
    case 'picture': {
      const source = sources.find(({ photoId }) => photoId === shape.picture.photoId);
      if (!source) return;
      const whole = cutCanvas(source.bitmap, shape.picture, Number.POSITIVE_INFINITY);
      for (const { x, y, width, height, matrix } of shape.cells) {
        context.save();
        context.setTransform(...matrix);
        // A hair more than its part, so that no seam shows between two.
        const [moreX, moreY] = [0.5 / Math.hypot(matrix[0], matrix[1]), 0.5 / Math.hypot(matrix[2], matrix[3])];
        const right = Math.min(1, x + width + moreX);
        const below = Math.min(1, y + height + moreY);
        context.drawImage(
          whole,
          x * whole.width,
          y * whole.height,
          (right - x) * whole.width,
          (below - y) * whole.height,
          x,
          y,
          right - x,
          below - y,
        );
        context.restore();
      }
    }
  }
}

const work = { compose, cut, guess };
export type PhotoWork = typeof work;
expose(work);
