import { ciede2000 } from '../color/ciede2000';
import type { Lab } from '../color/lab';
import { MS_PER_DAY } from '../kernel/units';
import type { PieceRow, Season } from '../plan/houseRows';
import type { ProjectRows, SizeRange, SlotRole, SlotRow } from '../plan/rows';

/** What a slot asks of a piece, drawn together from the slot, the brief and the dates. Lengths in mm. */
export interface FitNeed {
  width: SizeRange;
  depth: SizeRange;
  height: SizeRange;
  /** Lab colors it should be near to: the slot's own, else the palette's. */
  colors: readonly Lab[];
  colorsFrom: 'slot' | 'palette' | 'none';
  role: SlotRole | null;
  /** Words of the slot's name. */
  words: readonly string[];
  season: Exclude<Season, 'any'> | null;
  quantity: number;
  from: string | null;
  until: string | null;
  /** Years of the youngest child, or null. */
  youngestChildYears: number | null;
  pets: boolean;
  outdoors: boolean;
  /** Today, counted in days. */
  todayDay: number;
}

/** What of a piece the ranking looks at. */
export interface FitPiece extends RankedFields {
  /** What its name and style say it is, see `tellingWords`; made once, since thousands are looked at again and again. */
  words: readonly string[];
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
  | 'seenOn'
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

/** Colors nearer than this ΔE00 count as the same in a room, farther than the second as unrelated (modelling choice). */
const SAME = 6;
const UNRELATED = 40;
/** SL of CIEDE2000 at L 0 or 100, its largest value: 1 + 0.015 · 50² ÷ √(20 + 50²). */
const LARGEST_SL = 1 + (0.015 * 2500) / Math.sqrt(2520);
/** A size is forgiven down to nothing at a quarter beyond the range (modelling choice). */
const FORGIVEN = 0.25;
/** A piece that was not used for so many days is asleep. */
export const SLEEPS_AFTER_DAYS = 365;

const dayNumber = (date: string) =>
  Date.UTC(Number(date.slice(0, 4)), Number(date.slice(5, 7)) - 1, Number(date.slice(8, 10))) / MS_PER_DAY;

/** The season of a local date in the northern half of the year's usual count: March to May is spring. */
export function seasonOf(date: string): Exclude<Season, 'any'> {
  const month = Number(date.slice(5, 7));
  return month < 3 || month === 12 ? 'winter' : month < 6 ? 'spring' : month < 9 ? 'summer' : 'autumn';
}

/** Words that say how or where, not what; without the words of sizes and sides "something tall and thin" names nothing. */
const idle = new Set(
  (
    'left right the and for with over under near beside behind front back side middle center top bottom foot eaves ' +
    'something anything thing things piece small large tall thin slim low high big little wide narrow long short ' +
    'round square leaning hanging one two three four five pair set of'
  ).split(' '),
);

/** Words of a name that say what a thing is, without those that only say where or how. */
export function tellingWords(name: string): string[] {
  return [
    ...new Set(
      name
        .toLowerCase()
        .split(/[^\p{L}\p{N}]+/u)
        .filter((word) => word.length > 2 && !idle.has(word))
        .map((word) => (word.length > 3 && word.endsWith('s') ? word.slice(0, -1) : word)),
    ),
  ];
}

/** What a slot of a project asks of a piece. */
export function fitNeed(rows: ProjectRows, slot: SlotRow, today: string): FitNeed {
  const lab = (id: string) => rows.colorCards.find((card) => card.id === id)?.lab;
  const own = slot.colorCardIds.flatMap((id) => lab(id) ?? []);
  const palette = rows.project.brief.palette.flatMap((entry) => lab(entry.colorCardId) ?? []);
  const { household, revealDate, standsUntil } = rows.project;
  return {
    width: slot.width,
    depth: slot.depth,
    height: slot.height,
    colors: own.length > 0 ? own : palette,
    colorsFrom: own.length > 0 ? 'slot' : palette.length > 0 ? 'palette' : 'none',
    role: slot.role,
    words: tellingWords(slot.name),
    season: revealDate === null ? null : seasonOf(revealDate),
    quantity: slot.quantity,
    from: revealDate,
    until: standsUntil,
    youngestChildYears: household.youngestChildYears,
    pets: household.pets.length > 0,
    outdoors: household.outdoors,
    todayDay: dayNumber(today),
  };
}

interface SizeFit {
  score: number;
  code: string;
  direction: string;
  byMm: number;
}

/** How a size lies to its range: 1 within, falling to 0 at a quarter beyond it; unknown sizes count half. */
function sizeFit(need: FitNeed, piece: FitPiece): SizeFit {
  let worst: SizeFit = { score: 1, code: 'size.asked', direction: '', byMm: 0 };
  let asked = 0;
  for (const direction of ['width', 'depth', 'height'] as const) {
    const { minimumMm, maximumMm } = need[direction];
    if (minimumMm === null && maximumMm === null) continue;
    asked += 1;
    const value = piece[`${direction}Mm`];
    let fit: SizeFit = { score: 1, code: 'size.within', direction, byMm: 0 };
    if (value === null) fit = { score: 0.5, code: 'size.unknown', direction, byMm: 0 };
    else if (maximumMm !== null && value > maximumMm + 0.5)
      fit = {
        score: Math.max(0, 1 - (value - maximumMm) / (FORGIVEN * maximumMm)),
        code: 'size.over',
        direction,
        byMm: value - maximumMm,
      };
    else if (minimumMm !== null && value < minimumMm - 0.5)
      fit = {
        score: Math.max(0, 1 - (minimumMm - value) / (FORGIVEN * minimumMm)),
        code: 'size.under',
        direction,
        byMm: minimumMm - value,
      };
    if (fit.score < worst.score) worst = fit;
  }
  if (asked === 0) return { score: 0.5, code: 'size.notAsked', direction: '', byMm: 0 };
  return worst.score === 1 ? { ...worst, code: 'size.within' } : worst;
}

/** The least color difference between what a piece shows and what is wanted; null where either is unknown. */
function colorDistance(need: FitNeed, piece: FitPiece): number | null {
  if (piece.color === null || need.colors.length === 0) return null;
  let least = Number.POSITIVE_INFINITY;
  for (const wanted of need.colors) {
    // ΔE00 is never less than the difference in lightness over its largest weight: what cannot be nearer is passed over.
    if (piece.accent === null && Math.abs(piece.color.L - wanted.L) >= least * LARGEST_SL) continue;
    least = Math.min(least, ciede2000(piece.color, wanted));
    if (piece.accent !== null) least = Math.min(least, ciede2000(piece.accent, wanted) + SAME);
    // Nearer than the same is the same.
    if (least <= SAME) break;
  }
  return least;
}

function colorScore(need: FitNeed, distance: number | null): number {
  if (need.colors.length === 0) return 0.5;
  if (distance === null) return 0.4;
  return Math.max(0, Math.min(1, (UNRELATED - distance) / (UNRELATED - SAME)));
}

function wordsMatched(need: FitNeed, piece: FitPiece): string[] {
  if (need.words.length === 0) return [];
  return need.words.filter((word) => piece.words.includes(word));
}

function seasonScore(need: FitNeed, piece: FitPiece): number {
  return piece.season === 'any' || need.season === null || piece.season === need.season ? 1 : 0;
}

function restScore(need: FitNeed, piece: FitPiece): number {
  if (piece.lastUsedDay === null) return 0.7;
  return Math.max(0, Math.min(1, (need.todayDay - piece.lastUsedDay) / SLEEPS_AFTER_DAYS));
}

function careScore(need: FitNeed, piece: FitPiece): { score: number; code: string } {
  if (piece.borrowedFrom !== '' && piece.backBy !== null && (need.until === null || piece.backBy < need.until))
    return { score: 0, code: 'care.goesBack' };
  if (piece.fragile && need.youngestChildYears !== null && need.youngestChildYears < 6)
    return { score: 0, code: 'care.fragileChild' };
  if (piece.fragile && need.pets) return { score: 0.3, code: 'care.fragilePets' };
  if (piece.fragile && need.outdoors) return { score: 0.3, code: 'care.fragileOutdoors' };
  if (piece.count < need.quantity) return { score: 0.6, code: 'care.tooFew' };
  return { score: 1, code: 'care.fine' };
}

const total = Object.values(fitWeights).reduce((sum, weight) => sum + weight, 0);

/** A piece as the ranking looks at it. */
export function fitPiece(piece: RankedFields): FitPiece {
  return {
    ...piece,
    words: tellingWords(`${piece.name} ${piece.style}`),
    lastUsedDay: piece.lastUsedOn === null ? null : dayNumber(piece.lastUsedOn),
  };
}

/** How well a piece fits, 0 to 1: the weighted mean of its aspects, as `explainFit` lists them. Plain numbers, for thousands at once. */
export function fitScore(need: FitNeed, piece: FitPiece): number {
  const size = sizeFit(need, piece).score;
  const matched = wordsMatched(need, piece);
  return (
    (fitWeights.size * size +
      fitWeights.color * colorScore(need, colorDistance(need, piece)) +
      fitWeights.role * roleScore(need, piece) +
      fitWeights.words * wordScore(need, matched) +
      fitWeights.season * seasonScore(need, piece) +
      fitWeights.rest * restScore(need, piece) +
      fitWeights.care * careScore(need, piece).score) /
    total
  );
}

const roleScore = (need: FitNeed, piece: FitPiece) =>
  need.role === null ? 0.5 : piece.roles.includes(need.role) ? 1 : 0;
const wordScore = (need: FitNeed, matched: readonly string[]) =>
  need.words.length === 0 ? 0.5 : Math.min(1, matched.length);

/** The same score with each aspect told. */
export function explainFit(need: FitNeed, piece: FitPiece): Fit {
  const size = sizeFit(need, piece);
  const distance = colorDistance(need, piece);
  const matched = wordsMatched(need, piece);
  const care = careScore(need, piece);
  const reason = (aspect: FitAspect, code: string, score: number, figures: FitReason['figures'] = {}): FitReason => ({
    aspect,
    code,
    score,
    weight: fitWeights[aspect],
    figures,
  });
  const reasons = [
    reason('size', size.code, size.score, { direction: size.direction, byMm: size.byMm }),
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
      need.words.length === 0 ? 'words.notAsked' : matched.length > 0 ? 'words.match' : 'words.none',
      wordScore(need, matched),
      {
        words: matched.join(', '),
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
    reason('rest', piece.lastUsedOn === null ? 'rest.unknown' : 'rest.days', restScore(need, piece), {
      days: piece.lastUsedDay === null ? 0 : need.todayDay - piece.lastUsedDay,
    }),
    reason('care', care.code, care.score, {
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
 * Ranks pieces for a slot, best first; equal ones by name. Those that are spoken for on the dates come after all that
 * are free, whatever their score.
 * @param taken ids of pieces that are not free
 * @param most how many of the best are wanted; the rest is not put in order
 */
export function rankPieces<P extends FitPiece>(
  need: FitNeed,
  pieces: readonly P[],
  taken: ReadonlySet<string>,
  most = pieces.length,
): { piece: P; score: number; free: boolean }[] {
  // What is promised lies a whole point below what is free, so that one number puts them in order.
  const keys = new Float64Array(pieces.length);
  pieces.forEach((piece, n) => {
    keys[n] = fitScore(need, piece) - (taken.has(piece.id) ? 2 : 0);
  });
  const least = most < pieces.length ? (Float64Array.from(keys).sort()[pieces.length - most] ?? 0) : -3;
  const best: { piece: P; key: number }[] = [];
  pieces.forEach((piece, n) => {
    const key = keys[n] ?? 0;
    if (key >= least) best.push({ piece, key });
  });
  return best
    .sort(
      (a, b) =>
        b.key - a.key ||
        (a.piece.name < b.piece.name ? -1 : a.piece.name > b.piece.name ? 1 : a.piece.id < b.piece.id ? -1 : 1),
    )
    .slice(0, most)
    .map(({ piece, key }) => ({ piece, score: key < 0 ? key + 2 : key, free: key >= 0 }));
}
