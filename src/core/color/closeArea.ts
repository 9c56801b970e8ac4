/** One size of a picture: three channels a pixel, and whether a pixel is known. */
interface Level {
  widthPx: number;
  heightPx: number;
  channels: Float32Array;
  known: Uint8Array;
}

/** How often each size is smoothed after it was filled from the next smaller one. */
const SWEEPS = 12;

/**
 * Closes an area of a picture over with what lies around it: each pixel becomes the mean of its neighbors, so that the area
 * runs evenly from edge to edge, as a wall does when a picture is taken off it (the membrane of Laplace's equation, over
 * ever smaller copies of the picture). Pixels are changed in place; opacity stays.
 * @param pixels red, green, blue and opacity, 0 to 255 each, row by row
 * @param mask 1 where the area is; where it covers all, nothing is known and nothing changes
 */
export function closeArea(pixels: Uint8ClampedArray, mask: Uint8Array, widthPx: number): void {
  const heightPx = Math.floor(mask.length / Math.max(1, widthPx));
  if (!mask.some((value) => value === 1) || mask.every((value) => value === 1)) return;
  const channels = new Float32Array(mask.length * 3);
  const known = new Uint8Array(mask.length);
  for (let n = 0; n < mask.length; n += 1) {
    known[n] = mask[n] === 1 ? 0 : 1;
    for (let channel = 0; channel < 3; channel += 1)
      channels[n * 3 + channel] = known[n] === 1 ? (pixels[n * 4 + channel] ?? 0) : 0;
  }
  fill({ widthPx, heightPx, channels, known });
  for (let n = 0; n < mask.length; n += 1)
    if (mask[n] === 1)
      for (let channel = 0; channel < 3; channel += 1) pixels[n * 4 + channel] = channels[n * 3 + channel] ?? 0;
}

/** Fills what is not known of a level: first from half its size, filled the same way, then smoothed. */
function fill(level: Level): void {
  const { widthPx, heightPx, channels, known } = level;
  if (known.every((value) => value === 1)) return;
  const half = halved(level);
  fill(half);
  for (let row = 0; row < heightPx; row += 1)
    for (let column = 0; column < widthPx; column += 1) {
      const n = row * widthPx + column;
      if (known[n] === 1) continue;
      for (let channel = 0; channel < 3; channel += 1)
        channels[n * 3 + channel] = between(half, (column - 0.5) / 2, (row - 0.5) / 2, channel);
    }
  for (let sweep = 0; sweep < SWEEPS; sweep += 1) smooth(level, sweep % 2 === 1);
}

/** A level at half its size: each pixel the mean of what is known under it. */
function halved({ widthPx, heightPx, channels, known }: Level): Level {
  const wide = Math.ceil(widthPx / 2);
  const high = Math.ceil(heightPx / 2);
  const half: Level = {
    widthPx: wide,
    heightPx: high,
    channels: new Float32Array(wide * high * 3),
    known: new Uint8Array(wide * high),
  };
  for (let row = 0; row < high; row += 1)
    for (let column = 0; column < wide; column += 1) {
      const sum = [0, 0, 0];
      let count = 0;
      for (let y = 2 * row; y < Math.min(heightPx, 2 * row + 2); y += 1)
        for (let x = 2 * column; x < Math.min(widthPx, 2 * column + 2); x += 1) {
          const from = y * widthPx + x;
          if (known[from] !== 1) continue;
          count += 1;
          for (let channel = 0; channel < 3; channel += 1)
            sum[channel] = (sum[channel] ?? 0) + (channels[from * 3 + channel] ?? 0);
        }
      if (count === 0) continue;
      const n = row * wide + column;
      half.known[n] = 1;
      for (let channel = 0; channel < 3; channel += 1) half.channels[n * 3 + channel] = (sum[channel] ?? 0) / count;
    }
  return half;
}

/** A channel of a level between its pixels; at the edges that of the edge. */
function between({ widthPx, heightPx, channels }: Level, x: number, y: number, channel: number): number {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  const at = (column: number, row: number) =>
    channels[
      (Math.min(heightPx - 1, Math.max(0, row)) * widthPx + Math.min(widthPx - 1, Math.max(0, column))) * 3 + channel
    ] ?? 0;
  const [right, below] = [x - left, y - top];
  return (
    (at(left, top) * (1 - right) + at(left + 1, top) * right) * (1 - below) +
    (at(left, top + 1) * (1 - right) + at(left + 1, top + 1) * right) * below
  );
}

/** Each unknown pixel becomes the mean of its neighbors, forward or backward over the level, the new ones counted at once. */
function smooth({ widthPx, heightPx, channels, known }: Level, isBackward: boolean): void {
  for (let step = 0; step < known.length; step += 1) {
    const n = isBackward ? known.length - 1 - step : step;
    if (known[n] === 1) continue;
    const column = n % widthPx;
    const left = (column > 0 ? n - 1 : n) * 3;
    const right = (column < widthPx - 1 ? n + 1 : n) * 3;
    const above = (n >= widthPx ? n - widthPx : n) * 3;
    const below = (n < (heightPx - 1) * widthPx ? n + widthPx : n) * 3;
    for (let channel = 0; channel < 3; channel += 1) {
      const sum =
        (channels[left + channel] ?? 0) +
        (channels[right + channel] ?? 0) +
        (channels[above + channel] ?? 0) +
        (channels[below + channel] ?? 0);
      channels[n * 3 + channel] = sum / 4;
    }
  }
}
