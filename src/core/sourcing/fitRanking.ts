import { dayNumber } from '../calendar/localDates';
import type { Lab } from '../color/lab';
import type { PieceRow } from '../model/rows';
import { type FitNeed, tellingWords } from './fitNeed';
import { sizeScore, sizeTold, tooLarge } from './fitSizes';
import { pieceKindOf, thingOf } from './pieceKindOf';
import { pieceKinds } from './pieceKinds.data';
import { pieceDifference, type RankedPieces, SAME_COLOR } from './rankedPieces';

/** What of a piece the ranking looks at. */
export interface FitPiece extends RankedFields {
  /** What its name and style say it is, see `tellingWords`; made once, since thousands are looked at again and again. */
  words: readonly string[];
  /** The kind of thing that its name says it is, by id; null where it names none. */
  kindId: string | null;
  /** What it is within its kind, see {@link thingOf}. */
  thing: string | null;
  /** The day of its last use, counted in days, or null. */
  lastUsedDay: number | null;
}

type RankedFields = Pick<
  PieceRow,
  | 'id'
  | 'name'
  | 'widthMm'
  | 'depthMm'
  | 'heightMm'
  | 'color'
  | 'accent'
  | 'roles'
  | 'style'
  | 'season'
  | 'count'
  | 'lastUsedOn'
  | 'fragile'
  | 'borrowedFrom'
  | 'backBy'
  | 'counted'
>;

export const fitAspects = ['size', 'color', 'role', 'words', 'season', 'rest', 'care'] as const;
export type FitAspect = (typeof fitAspects)[number];

/** One aspect of a fit: 0 (not at all) to 1 (wholly), and the figures its sentence needs. */
export interface FitReason {
  aspect: FitAspect;
  code: string;
  score: number;
  weight: number;
  figures: Record<string, string | number>;
}

/** A piece with how well it fits, 0 to 1, and why. */
export interface Fit {
  pieceId: string;
  score: number;
  reasons: FitReason[];
}

/**
 * How much each aspect counts. A modelling choice of our own (no source): a thing of the wrong size is in the way,
 * another kind of thing is seldom what was meant, a wrong color can be painted, and what slept longest is offered first among equals.
 */
export const fitWeights: Record<FitAspect, number> = {
  size: 5,
  color: 3,
  role: 2,
  words: 4,
  season: 1,
  rest: 1,
  care: 1,
};

/** Colors farther than this ΔE00 count as unrelated (modelling choice). */
const UNRELATED = 40;
/** SL of CIEDE2000 at L 0 or 100, its largest value: 1 + 0.015 · 50² ÷ √(20 + 50²). */
const LARGEST_SL = 1 + (0.015 * 2500) / Math.sqrt(2520);
/** A piece that was not used for so many days is asleep. */
export const SLEEPS_AFTER_DAYS = 365;

/** The least color difference between what a piece shows and what is wanted; null where either is unknown. */
function colorDistance(
  need: FitNeed,
  piece: FitPiece,
  differenceTo: (wanted: Lab) => number | null = (wanted) => pieceDifference(piece, wanted),
): number | null {
  if (piece.color === null || need.colors.length === 0) return null;
  let least = Number.POSITIVE_INFINITY;
  for (const wanted of need.colors) {
    // ΔE00 is never less than the difference in lightness over its largest weight: what cannot be nearer is passed over.
    if (piece.accent === null && Math.abs(piece.color.L - wanted.L) >= least * LARGEST_SL) continue;
    least = Math.min(least, differenceTo(wanted) ?? Number.POSITIVE_INFINITY);
    // Nearer than the same is the same.
    if (least <= SAME_COLOR) break;
  }
  return least;
}

function colorScore(need: FitNeed, distance: number | null): number {
  if (need.colors.length === 0) return 0.5;
  if (distance === null) return 0.4;
  return Math.max(0, Math.min(1, (UNRELATED - distance) / (UNRELATED - SAME_COLOR)));
}

/** What of a slot's words a piece answers: the same kind of thing, where both name one; else single words. */
function wordsMatched(need: FitNeed, piece: FitPiece): string[] {
  if (need.words.length === 0 || !isSaid(need, piece)) return [];
  return need.words.filter((word) => piece.words.includes(word));
}

/** A table lamp is no table: where both names say what kind of thing it is, the kinds decide and not their words. */
function isSaid(need: FitNeed, piece: FitPiece): boolean {
  if (need.kindId !== null && piece.kindId !== null)
    return need.kindId === piece.kindId && (need.thing === null || piece.thing === null || need.thing === piece.thing);
  return need.words.some((word) => piece.words.includes(word));
}

function seasonScore(need: FitNeed, piece: FitPiece): number {
  return piece.season === 'any' || need.season === null || piece.season === need.season ? 1 : 0;
}

function restScore(need: FitNeed, piece: FitPiece): number {
  // What was never used has slept longest.
  if (piece.lastUsedDay === null) return 1;
  return Math.max(0, Math.min(1, (need.todayDay - piece.lastUsedDay) / SLEEPS_AFTER_DAYS));
}

const careScores = {
  'care.goesBack': 0,
  'care.fragileChild': 0,
  'care.fragilePets': 0.3,
  'care.fragileOutdoors': 0.3,
  'care.tooFew': 0.6,
  'care.notCounted': 0.8,
  'care.fine': 1,
} as const;

function careCode(need: FitNeed, piece: FitPiece): keyof typeof careScores {
  if (piece.borrowedFrom !== '' && piece.backBy !== null && (need.until === null || piece.backBy < need.until))
    return 'care.goesBack';
  if (piece.fragile) {
    if (need.youngestChildYears !== null && need.youngestChildYears < 6) return 'care.fragileChild';
    if (need.pets) return 'care.fragilePets';
    if (need.outdoors) return 'care.fragileOutdoors';
  }
  if (piece.count >= need.quantity) return 'care.fine';
  return piece.counted ? 'care.tooFew' : 'care.notCounted';
}

const careScore = (need: FitNeed, piece: FitPiece) => careScores[careCode(need, piece)];

const total = Object.values(fitWeights).reduce((sum, weight) => sum + weight, 0);

/** A piece as the ranking looks at it. */
export function fitPiece(piece: RankedFields): FitPiece {
  // Not by spreading: where something new follows a spread, the engine of the server makes a shape of its own for every
  // single object, and each look at one of thousands takes forty times as long.
  return Object.assign({}, piece, {
    words: tellingWords(`${piece.name} ${piece.style}`),
    kindId: pieceKindOf(piece.name)?.id ?? null,
    thing: thingOf(piece.name),
    lastUsedDay: piece.lastUsedOn === null ? null : dayNumber(piece.lastUsedOn),
  });
}

/**
 * How well a piece fits, 0 to 1: the weighted mean of its aspects, as `explainFit` lists them. Plain numbers, for thousands at once.
 * @returns the same number as `explainFit` gives as its score
 */
export function fitScore(need: FitNeed, piece: FitPiece): number {
  return withColor(scoreBesideColor(need, piece), colorScore(need, colorDistance(need, piece)));
}

/** What all aspects but the color add up to, weighted. */
function scoreBesideColor(need: FitNeed, piece: FitPiece): number {
  return (
    fitWeights.size * sizeScore(need, piece) +
    fitWeights.role * roleScore(need, piece) +
    fitWeights.words * wordScore(need, piece) +
    fitWeights.season * seasonScore(need, piece) +
    fitWeights.rest * restScore(need, piece) +
    fitWeights.care * careScore(need, piece)
  );
}

/** The score with the color's part, which takes time to compute. It never falls when that part rises. */
const withColor = (besideColor: number, color: number) => (besideColor + fitWeights.color * color) / total;

const roleScore = (need: FitNeed, piece: FitPiece) =>
  need.role === null ? 0.5 : piece.roles.includes(need.role) ? 1 : 0;
const wordScore = (need: FitNeed, piece: FitPiece) => (need.words.length === 0 ? 0.5 : isSaid(need, piece) ? 1 : 0);

/** The same score with each aspect told. */
export function explainFit(need: FitNeed, piece: FitPiece): Fit {
  const size = sizeTold(need, piece);
  const distance = colorDistance(need, piece);
  const matched = wordsMatched(need, piece);
  const care = careCode(need, piece);
  const reason = (aspect: FitAspect, code: string, score: number, figures: FitReason['figures'] = {}): FitReason => ({
    aspect,
    code,
    score,
    weight: fitWeights[aspect],
    figures,
  });
  const reasons = [
    reason('size', size.code, sizeScore(need, piece), { direction: size.direction, byMm: size.byMm }),
    reason(
      'color',
      need.colors.length === 0 ? 'color.notAsked' : distance === null ? 'color.unknown' : `color.${need.colorsFrom}`,
      colorScore(need, distance),
      { deltaE: distance === null ? 0 : Math.round(distance * 10) / 10 },
    ),
    reason(
      'role',
      need.role === null ? 'role.notAsked' : roleScore(need, piece) === 1 ? 'role.does' : 'role.doesNot',
      roleScore(need, piece),
      { role: need.role ?? '' },
    ),
    reason(
      'words',
      need.words.length === 0 ? 'words.notAsked' : wordScore(need, piece) === 1 ? 'words.match' : 'words.none',
      wordScore(need, piece),
      {
        words: matched.join(', ') || (pieceKinds.find((kind) => kind.id === piece.kindId)?.words[0] ?? ''),
      },
    ),
    reason(
      'season',
      need.season === null
        ? 'season.notAsked'
        : piece.season === 'any'
          ? 'season.any'
          : seasonScore(need, piece) === 1
            ? 'season.is'
            : 'season.other',
      seasonScore(need, piece),
      { season: piece.season },
    ),
    reason('rest', piece.lastUsedOn === null ? 'rest.never' : 'rest.days', restScore(need, piece), {
      days: piece.lastUsedDay === null ? 0 : need.todayDay - piece.lastUsedDay,
    }),
    reason('care', care, careScores[care], {
      backBy: piece.backBy ?? '',
      from: piece.borrowedFrom,
      years: need.youngestChildYears ?? 0,
      count: piece.count,
      asked: need.quantity,
    }),
  ];
  return { pieceId: piece.id, score: fitScore(need, piece), reasons };
}

/**
 * Ranks pieces for a slot, best first; equal ones by name. Those that are larger than there is room for stand apart
 * after all that go in, those that are spoken for on the dates after these, whatever their score.
 * @param ranked the pieces; what is computed for them stays there for the next ranking
 * @param taken ids of pieces that are not free
 * @param most how many of the best are wanted; the rest is not put in order
 */
export function rankPieces<P extends FitPiece>(
  need: FitNeed,
  ranked: RankedPieces<P>,
  taken: ReadonlySet<string>,
  most = ranked.pieces.length,
): { piece: P; score: number; free: boolean; fits: boolean }[] {
  const { pieces } = ranked;
  const differences = new Map(need.colors.map((wanted) => [wanted, ranked.differenceTo(wanted)]));
  // What is too large lies two points below what goes in, what is promised four, so that one number puts them in order.
  const lowered = (piece: P) => (taken.has(piece.id) ? 4 : 0) + (tooLarge(need, piece) ? 2 : 0);
  // Color is what takes time. With it taken as perfect every score is at most so high; only what could still be among
  // the best has its color compared.
  const besideColor = new Float64Array(pieces.length);
  const bounds = new Float64Array(pieces.length);
  const noColor = colorScore(need, null);
  for (const [n, piece] of pieces.entries()) {
    const isKnown = piece.color !== null && need.colors.length > 0;
    besideColor[n] = scoreBesideColor(need, piece);
    bounds[n] = withColor(besideColor[n] ?? 0, isKnown ? 1 : noColor) - lowered(piece);
  }
  const wanted = Math.min(most, pieces.length);
  const kth = (values: Float64Array) => values.sort()[values.length - wanted] ?? Number.NEGATIVE_INFINITY;
  const hopeful = kth(bounds.slice());
  const keys = new Float64Array(pieces.length).fill(Number.NEGATIVE_INFINITY);
  const compare = (n: number) => {
    const piece = pieces[n] as P;
    const distance = colorDistance(need, piece, (color) => differences.get(color)?.(n) ?? null);
    keys[n] = withColor(besideColor[n] ?? 0, colorScore(need, distance)) - lowered(piece);
  };
  for (let n = 0; n < pieces.length; n += 1) if ((bounds[n] ?? 0) >= hopeful) compare(n);
  const least = wanted === 0 ? Number.POSITIVE_INFINITY : kth(keys.slice());
  const best: { piece: P; key: number }[] = [];
  for (let n = 0; n < pieces.length; n += 1) {
    if ((bounds[n] ?? 0) < least) continue;
    if (keys[n] === Number.NEGATIVE_INFINITY) compare(n);
    const key = keys[n] ?? 0;
    if (key >= least) best.push({ piece: pieces[n] as P, key });
  }
  return best
    .sort(
      (a, b) =>
        b.key - a.key ||
        (a.piece.name < b.piece.name ? -1 : a.piece.name > b.piece.name ? 1 : a.piece.id < b.piece.id ? -1 : 1),
    )
    .slice(0, most)
    .map(({ piece, key }) => ({
      piece,
      score: key + lowered(piece),
      free: !taken.has(piece.id),
      fits: tooLarge(need, piece) === null,
    }));
}
