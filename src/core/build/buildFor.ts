import type { Build, BuildValues } from './build';

/** A range that a slot asks for, mm; null where it asks for nothing. */
interface Wanted {
  minimumMm: number | null;
  maximumMm: number | null;
}

/** Which of a thing's lengths is its width, its depth and its height, by how they are called. */
const sides = {
  width: ['lengthMm', 'widthMm', 'openWidthMm'],
  depth: ['depthMm'],
  height: ['heightMm', 'openHeightMm'],
} as const;

/**
 * Values for something that is made for a place: as usual, and within what the place asks for in each direction.
 * @returns only what differs from the usual
 */
export function buildFor(build: Build, wanted: Readonly<Record<'width' | 'depth' | 'height', Wanted>>): BuildValues {
  const values: Record<string, number> = {};
  for (const side of ['width', 'depth', 'height'] as const) {
    const range = wanted[side];
    const parameter = build.parameters.find(
      ({ id, kind }) => kind === 'length' && (sides[side] as readonly string[]).includes(id),
    );
    if (!parameter) continue;
    const low = range.minimumMm ?? parameter.minimum;
    const high = range.maximumMm ?? parameter.maximum;
    const value = Math.min(
      parameter.maximum,
      Math.max(parameter.minimum, Math.min(high, Math.max(low, parameter.standard))),
    );
    if (value !== parameter.standard) values[parameter.id] = value;
  }
  return values;
}
