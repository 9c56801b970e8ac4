import { MM_PER_INCH, type UnitSystem } from '../kernel/units';
import type { Board } from './board';
import type { Drawing } from './drawing';
import type { Zone } from './zone';

/** One measure a template asks for. */
export interface Measure {
  id: string;
  label: string;
  kind: 'length' | 'count';
  /** Millimeters for lengths, a plain number for counts. */
  standard: number;
  minimum: number;
  maximum: number;
  /** Grows with the width or the height of the piece while nobody said: a small pot has a small base. */
  follows?: 'width' | 'height';
}

export type Measures = Record<string, number>;

/**
 * A kind of piece: what it asks for, the zones it gives, how it draws itself, and what else belongs to it.
 * To add one: a file in `templates/` and a line in `templates/index.ts`.
 */
export interface FurnitureTemplate {
  id: string;
  name: string;
  /** Words by which a quick line recognizes it. */
  words: readonly string[];
  measures: readonly Measure[];
  /**
   * Which measures stand for the overall width, depth and height of the piece; null where none does: a bunch is as wide as
   * its stems part, a folding screen as its leaves come to.
   */
  overall: { width: string | null; depth: string | null; height: string };
  /** What “long” is where it is not the width: a curtain hangs so long, a runner lies so long. */
  long?: 'height' | 'depth';
  /** A property that cautions look at: mains wiring, a flame, holding food, being part of the building. */
  traits: readonly ('lamp' | 'shade' | 'storesThings' | 'hangs' | 'fixture')[];
  /** What it is usually made of, and the finish on it, while nobody said (common practice, no source). */
  usual?: { materialId: string; finishId?: string; sheen?: 'matt' };
  /** Fixed small work in minutes at a practiced hand: knobs, drawers. Zero when there is none. */
  hardwareMinutes(measures: Measures): number;
  zones(measures: Measures): Zone[];
  /** How it draws itself to be recognized: from the front, or a little from above so that its zones are seen. */
  draw(measures: Measures): Drawing;
  /** From straight in front, where `draw` shows it lying or otherwise not as it stands in a room. */
  front?(measures: Measures): Drawing;
  /** Boards within it on which things stand, beside its top, the lowest first. */
  boards?(measures: Measures): Board[];
  /** From straight above; a rectangle or a round where nothing is said. */
  above?(measures: Measures): Drawing;
  /** What it is from above: round, or flat against a wall; with corners where nothing is said. */
  plan?: 'round' | 'flat';
}

/** A measure that nobody said: its standard, grown with the width or the height of the piece where it follows one. */
function standardOf(
  template: FurnitureTemplate,
  { standard, minimum, maximum, follows }: Measure,
  known: Measures,
): number {
  const whole = follows === undefined ? null : template.overall[follows];
  const given = whole === null ? undefined : known[whole];
  const usual = template.measures.find(({ id }) => id === whole)?.standard;
  if (given === undefined || usual === undefined) return standard;
  return Math.min(maximum, Math.max(minimum, (standard * given) / usual));
}

/**
 * The measures of a template, filled from what is known of the piece, else from its standard sizes.
 * @returns mm for every measure that the template asks for
 */
export function completeMeasures(template: FurnitureTemplate, known: Measures): Measures {
  const complete: Measures = {};
  for (const measure of template.measures)
    complete[measure.id] = known[measure.id] ?? standardOf(template, measure, known);
  return complete;
}

/** From so much on a second measure of what lies is no thickness, mm. */
const NO_THICKNESS_MM = 100;

/** Measures with “long” as it is meant of this kind, and the second of two as the depth of what lies. */
function asItLies({ long }: FurnitureTemplate, given: Measures): Measures {
  if (long === undefined) return given;
  const { lengthMm, ...said } = given;
  if (lengthMm !== undefined) {
    // Alone it was taken for the width.
    if (said.widthMm === lengthMm && said.depthMm === undefined) delete said.widthMm;
    if (said.depthMm === lengthMm) delete said.depthMm;
    return { ...said, [long === 'height' ? 'heightMm' : 'depthMm']: lengthMm };
  }
  const { heightMm, widthMm, depthMm } = said;
  const isSecond = heightMm !== undefined && heightMm > NO_THICKNESS_MM && depthMm === undefined;
  if (long === 'depth' && isSecond && widthMm !== undefined) {
    const { heightMm: _second, ...rest } = said;
    return { depthMm: heightMm, ...rest };
  }
  return said;
}

/**
 * Measures as somebody said them, by the names that a template has for them: a vase is as wide as its widest. What the
 * template does not ask for is left out.
 * @param given mm, with widthMm, depthMm, heightMm and lengthMm for what was only called wide, deep, tall and long
 */
export function asTemplateAsks(template: FurnitureTemplate, given: Measures): Measures {
  const { width, depth, height } = template.overall;
  const said = asItLies(template, given);
  const asked: Measures = {};
  for (const { id } of template.measures) {
    const own = said[id];
    if (own !== undefined) asked[id] = own;
  }
  for (const [word, id] of [
    ['widthMm', width],
    ['depthMm', depth],
    ['heightMm', height],
  ] as const) {
    const mm = said[word];
    if (mm !== undefined && id !== null && said[id] === undefined) asked[id] = mm;
  }
  return asked;
}

/** Steps to which a usual length is rounded, from so many mm on; what is smaller stays as it is. */
const steps: Readonly<Record<UnitSystem, readonly (readonly [fromMm: number, stepMm: number])[]>> = {
  us: [
    [300, MM_PER_INCH],
    [75, MM_PER_INCH / 2],
    [13, MM_PER_INCH / 4],
  ],
  metric: [
    [100, 10],
    [20, 5],
  ],
};

/**
 * The usual measures of a template as one would say them in a system: 20 in where 50 cm is usual, 40 cm where 16 in is.
 * @returns mm, and counts as they are
 */
export function usualMeasures(template: FurnitureTemplate, units: UnitSystem): Measures {
  const usual: Measures = {};
  for (const { id, kind, standard, minimum, maximum } of template.measures) {
    const step = kind === 'length' ? steps[units].find(([from]) => standard >= from)?.[1] : undefined;
    const rounded = step === undefined ? standard : Math.round(Math.round(standard / step) * step * 100) / 100;
    usual[id] = Math.min(maximum, Math.max(minimum, rounded));
  }
  return usual;
}
