import { consumables } from '../catalog/consumables';
import { MM_PER_INCH } from '../kernel/units';
import type { BuildParameter, BuildPart, BuildRemark, BuildValues, BuildWork, ChosenMaterial } from './build';
import { choice, count, length, part, work } from './parts';

/** Schools of a hem: folded twice, folded once, or left raw and frayed. */
const hems = [
  { value: 0, label: 'folded twice', folds: 2 },
  { value: 1, label: 'folded once', folds: 1 },
  { value: 2, label: 'none, frayed', folds: 0 },
] as const;

/** What the first wash takes of a length, %. */
export const shrinkParameter: BuildParameter = {
  id: 'shrinkPercent',
  label: 'Shrinks along its length, % (0 when it is washed before)',
  kind: 'number',
  standard: 5,
  minimum: 0,
  maximum: 15,
};

/** What a hemmed cloth asks for: how its hem is folded, how wide it is, and what the first wash takes. */
export const hemParameters: readonly BuildParameter[] = [
  choice('hemKind', 'Hem', 0, hems),
  length('hemMm', 'Hem, wide', 0.5 * MM_PER_INCH, 3, 200),
  shrinkParameter,
];

/** How many a seat gets, and how many more there shall be: of eight seats with a tenth more, nine. */
export const seatParameters: readonly BuildParameter[] = [
  count('perSeat', 'For each seat', 1, 1, 12),
  { id: 'sparePercent', label: 'Spares, % more', kind: 'number', standard: 0, minimum: 0, maximum: 200 },
];

/** How many one seat stands for, its share of the spares in it; over all seats they are rounded up to whole ones. */
export const perSeatWithSpares = ({ perSeat = 1, sparePercent = 0 }: BuildValues): number =>
  perSeat * (1 + sparePercent / 100);

/**
 * What a hem adds to one edge, mm: two widths where it is folded twice, so that a cloth is cut 4 widths larger than it
 * is when it is done (common practice, from memory).
 */
export function hemOf({ hemKind = 0, hemMm = 0 }: BuildValues): number {
  return (hems.find(({ value }) => value === hemKind)?.folds ?? 0) * hemMm;
}

/**
 * A length to cut from cloth that was not washed, mm: cotton and linen lose 3 to 8 (5) % of their length in the first
 * wash (common practice, from memory), and little of their width.
 */
export const beforeWash = (washedMm: number, shrinkPercent: number): number => washedMm / (1 - shrinkPercent / 100);

/** How wide a stock is from edge to edge, mm; endless where it is not cut. */
export const widthOf = ({ stock, kind }: ChosenMaterial): number =>
  stock?.widthMm ?? kind.cut?.widthMm ?? Number.POSITIVE_INFINITY;

/** A seam lies half an inch from the edge (common practice, from memory). */
export const SEAM_MM = 0.5 * MM_PER_INCH;

/**
 * Widths of cloth side by side for something wider than its bolt: one whole in the middle and the rest halved beside
 * it, so that no seam runs down the middle; a seam takes its allowance of each edge (common practice, from memory).
 * @param cutWidthMm with its hems
 * @param boltMm of use on the bolt
 */
export function panels(
  material: string,
  name: string,
  cutWidthMm: number,
  cutLengthMm: number,
  boltMm: number,
): BuildPart[] {
  const one = (label: string, widthMm: number, times: number) =>
    part(material, label, widthMm, cutLengthMm, times, { turn: 'half' });
  if (cutWidthMm <= boltMm + 1e-6) return [one(name, cutWidthMm, 1)];
  const whole = boltMm - 2 * SEAM_MM;
  // Whole widths in the middle until what is left fits on both sides of them.
  const middle = Math.max(1, Math.ceil((cutWidthMm - 2 * (boltMm - SEAM_MM)) / whole - 1e-9));
  const side = (cutWidthMm - middle * whole) / 2;
  return side <= SEAM_MM
    ? [one(`${name}, width`, cutWidthMm / middle + 2 * SEAM_MM, middle)]
    : [one(`${name}, middle`, boltMm, middle), one(`${name}, side`, side + SEAM_MM, 2)];
}

/**
 * Says that something is of several pieces side by side, and which cloth would hold it in one.
 * @param kindIds the kinds that it can be made of
 */
export function seamsRemark(pieces: number, cutWidthMm: number, kindIds: readonly string[]): BuildRemark {
  const wider = kindIds
    .map((id) => consumables.get(id))
    .filter(({ cut }) => (cut?.widthMm ?? 0) >= cutWidthMm)
    .sort((a, b) => (a.cut?.widthMm ?? 0) - (b.cut?.widthMm ?? 0))[0];
  return { code: 'build.seams', pieces, wider: wider?.name ?? '' };
}

/** Meters of seam that join panels. */
export const seamMeters = (pieces: readonly BuildPart[]): number => {
  const count = pieces.reduce((sum, { count: times }) => sum + times, 0);
  return (Math.max(0, count - 1) * (pieces[0]?.lengthMm ?? 0)) / 1000;
};

/** Thread that a machine takes for a meter of seam, m: both threads with what the tension takes (common practice, from memory). */
export const THREAD_PER_METER = 2.8;

/** Cutting cloth: with the grain, along drawn lines. */
export function cuttingCloth(pieces: readonly BuildPart[], shrinkPercent: number, hint = ''): BuildWork {
  const meters = pieces.reduce((sum, { widthMm, lengthMm, count: times }) => sum + 2 * (widthMm + lengthMm) * times, 0);
  return work({
    id: 'cut',
    kind: 'cut',
    title: 'Press the cloth, draw and cut the pieces',
    hint:
      hint ||
      (shrinkPercent > 0 ? 'with the grain; longer by what the first wash takes' : 'washed before, with the grain'),
    rate: 'cutMeter',
    units: meters / 1000,
    tools: ['scissors', 'iron', 'pins'],
  });
}

/** Hemming all around. */
export function hemming(meters: number, values: BuildValues): BuildWork[] {
  const isFrayed = hemOf(values) === 0;
  return meters <= 0
    ? []
    : [
        work({
          id: 'hem',
          kind: 'sew',
          title: isFrayed
            ? 'Stitch once around, then pull threads for the fringe'
            : 'Press the hems, miter the corners, stitch',
          hint: isFrayed
            ? 'the stitch stops the fraying'
            : 'press before you stitch; corners folded at 45 degrees lie flat',
          rate: 'hemMeter',
          units: meters,
          tools: ['sewingMachine', 'iron', 'pins'],
        }),
      ];
}

/** Joining panels before anything else is sewn. */
export function joining(pieces: readonly BuildPart[]): BuildWork[] {
  const meters = seamMeters(pieces);
  return meters <= 0
    ? []
    : [
        work({
          id: 'join',
          kind: 'sew',
          title: 'Join the widths, press the seams open',
          hint: 'the whole width in the middle, halves beside it; let a pattern meet',
          rate: 'seamMeter',
          units: meters,
          tools: ['sewingMachine', 'iron', 'pins'],
        }),
      ];
}

/** What fabrics things are sewn from, the usual one first. */
export const anyFabric: readonly string[] = ['fabric', 'fabricWide', 'fabricBack'];
/** What larger things are sewn from. */
export const wideFabric: readonly string[] = ['fabricWide', 'fabric', 'fabricBack'];
