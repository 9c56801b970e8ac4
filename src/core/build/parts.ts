import { MM_PER_INCH } from '../kernel/units';
import type { BuildParameter, BuildPart, BuildWork, ChosenMaterial } from './build';

/** A length that is asked for. */
export const length = (
  id: string,
  label: string,
  standard: number,
  minimum: number,
  maximum: number,
): BuildParameter => ({ id, label, kind: 'length', standard, minimum, maximum });

/** A number of pieces. */
export const count = (
  id: string,
  label: string,
  standard: number,
  minimum: number,
  maximum: number,
): BuildParameter => ({ id, label, kind: 'count', standard, minimum, maximum });

/** One of a few. */
export const choice = (
  id: string,
  label: string,
  standard: number,
  choices: readonly { value: number; label: string }[],
): BuildParameter => ({
  id,
  label,
  kind: 'choice',
  standard,
  minimum: Math.min(...choices.map(({ value }) => value)),
  maximum: Math.max(...choices.map(({ value }) => value)),
  choices,
});

/** A part that may be turned as it likes. */
export const part = (
  material: string,
  name: string,
  widthMm: number,
  lengthMm: number,
  times = 1,
  more: Partial<BuildPart> = {},
): BuildPart => ({ material, name, widthMm, lengthMm, count: times, turn: 'free', outline: null, ...more });

/** A work with what is usual: indoors, nothing to wait for. */
export const work = (
  own: Pick<BuildWork, 'id' | 'kind' | 'title' | 'rate' | 'units'> & Partial<BuildWork>,
): BuildWork => ({ hint: '', waitHours: 0, tools: [], place: 'indoors', afterCoats: false, ...own });

/** How thick a material is, mm; 0 where its thickness does not matter. */
export const thicknessOf = ({ kind }: ChosenMaterial): number => kind.thicknessMm ?? 0;

/** The face of a board, mm. */
export const faceOf = ({ stock, kind }: ChosenMaterial): number => stock?.widthMm ?? kind.cut?.widthMm ?? 0;

/** Hours until wood glue may be worked on (common practice, from memory). */
export const GLUE_HOURS = 1;
/** A sixteenth and an eighth of an inch: the play that carpenters leave. */
export const SIXTEENTH_MM = MM_PER_INCH / 16;
export const EIGHTH_MM = MM_PER_INCH / 8;
/** Studs stand 16 in from center to center (common practice, from memory). */
export const STUD_MM = 16 * MM_PER_INCH;
/** What a screw of #8 to #10 holds in a stud, in shear, kg: 80 lb with its safety in it (common practice, from memory). */
export const SCREW_IN_STUD_KG = 36;

/** Studs that a length of wall reaches at least, wherever it begins. */
export const studsBehind = (lengthMm: number): number => Math.floor(lengthMm / STUD_MM + 1e-9);

/** How far a board of three quarters of an inch spans books without sagging: pine 24 in, plywood 30 (common practice, from memory). */
export const SPAN_MM = 24 * MM_PER_INCH;

/** Sawing parts to length, and easing their edges. */
export function sawing(parts: readonly BuildPart[], hint = ''): BuildWork {
  const cuts = parts.reduce((sum, { count: times }) => sum + times, 0);
  return work({
    id: 'saw',
    kind: 'saw',
    title: cuts === 1 ? 'Saw the part to size, ease its edges' : `Saw the ${cuts} parts to size, ease their edges`,
    hint: hint || 'a stop at the saw makes like parts alike; or ask the shop to cut by the list',
    rate: 'sawCut',
    units: cuts,
    tools: ['handSaw', 'sandingBlock', 'square', 'clamps'],
    place: 'ventilated',
  });
}

/** Hanging something on a wall: finding studs, drilling, screwing. */
export function hanging(fixings: number, hint: string): BuildWork {
  return work({
    id: 'hang',
    kind: 'drill',
    title: 'Find the studs, mark, drill and screw it on',
    hint,
    rate: 'wallFixing',
    units: fixings,
    tools: ['drill', 'level', 'studFinder'],
    afterCoats: true,
  });
}

/** What of a sheet can be used, mm; endless where a stock is not cut. */
export function widthAndLength({ stock, kind }: ChosenMaterial): { wideMm: number; highMm: number } {
  const cut = stock ?? kind.cut;
  if (!cut) return { wideMm: Number.POSITIVE_INFINITY, highMm: Number.POSITIVE_INFINITY };
  return {
    wideMm: cut.widthMm - 2 * cut.marginMm,
    highMm: (cut.lengthMm ?? Number.POSITIVE_INFINITY) - 2 * cut.marginMm,
  };
}
