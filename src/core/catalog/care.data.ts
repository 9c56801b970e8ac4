import type { Film, Sheen, SurfaceState } from '../state/surfaceState';
import type { Coating, CoatingGroup } from './coating';

/** How a face may be cleaned, the gentlest first. */
export const cleaningWays = ['dust', 'barelyDamp', 'damp'] as const;
export type CleaningWay = (typeof cleaningWays)[number];

/** What is said of each. Common practice, from memory; the label of the can wins. */
export const cleaningTexts: Readonly<Record<CleaningWay, string>> = {
  dust: 'Dust it dry with a soft cloth or brush: water leaves marks.',
  barelyDamp: 'Wipe it with a cloth that is barely damp, and dry it at once. No cleaner.',
  damp: 'Wipe it with a damp cloth and a drop of dish soap, then dry it. Nothing that scours, no ammonia, no alcohol.',
};

/** What a family of coatings asks of whoever lives with it. Common practice, from memory. */
export interface GroupCare {
  /** Null where its film and sheen decide. */
  cleaning: CleaningWay | null;
  /** Whether warmth softens it, wherever in the stack it lies. */
  softens: boolean;
  /** What is done again after a while. */
  again: string;
}

const plain: GroupCare = { cleaning: null, softens: false, again: '' };

/** What families ask for that is not their film's alone. */
const ofGroups: Readonly<Partial<Record<CoatingGroup, GroupCare>>> = {
  waterborneClear: { ...plain, cleaning: 'damp' },
  oilClear: { ...plain, cleaning: 'damp' },
  solventClear: { ...plain, cleaning: 'damp' },
  sealingStain: { ...plain, cleaning: 'damp' },
  oilPaint: { ...plain, cleaning: 'damp' },
  solventPaint: { ...plain, cleaning: 'damp' },
  wax: {
    cleaning: 'dust',
    softens: true,
    again: 'Wax it again every year or two, sooner where hands and cups are. Water is wiped off at once.',
  },
  decoupage: { cleaning: 'barelyDamp', softens: true, again: '' },
  film: {
    cleaning: 'barelyDamp',
    softens: true,
    again: 'An edge of film that lifts is pressed down again, never pulled.',
  },
};

/** What a coating asks for. */
export const careOfCoating = ({ group }: Pick<Coating, 'group'>): GroupCare => ofGroups[group] ?? plain;

const ofFilms: Readonly<Record<Film, CleaningWay>> = {
  none: 'dust',
  wax: 'dust',
  powdery: 'dust',
  waterborne: 'barelyDamp',
  shellac: 'barelyDamp',
  vinyl: 'barelyDamp',
  oil: 'damp',
  solvent: 'damp',
};

const closes: readonly Sheen[] = ['satin', 'gloss'];

/**
 * How a face is cleaned as it lies open: by its coating's family, else by its film; waterborne paint that is satin or
 * glossy takes more water than a matt one, and what drinks takes none.
 * @param coating what made the film; undefined for a bare material or an old finish
 */
export function cleaningOf(state: SurfaceState, coating: Coating | undefined): CleaningWay {
  const own = coating && careOfCoating(coating).cleaning;
  if (own) return own;
  if (state.film === 'waterborne' && closes.includes(state.sheen)) return 'damp';
  if (state.porous && !state.sealed) return 'dust';
  return ofFilms[state.film];
}

/** What a coating that is not made for it says of standing outdoors, the strictest first. */
export const outdoorsOrder: readonly Coating['outdoors'][] = ['no', 'ifSealed', 'ifLabelled', 'yes'];
