import { formatLength } from '@core/kernel/formatLength';
import type { PieceRow } from '@core/model/rows';
import type { FitReason } from '@core/sourcing/fitRanking';
import { dateWords, type ProjectLocale } from '../../app/words';

const directions: Record<string, string> = { width: 'wide', depth: 'deep', height: 'tall' };
const unders: Record<string, string> = { width: 'too narrow', depth: 'too shallow', height: 'too low' };

/** The one table of English beside the codes of a fit. */
const fitSentences: Record<string, (figures: FitReason['figures'], locale: ProjectLocale) => string> = {
  'size.within': () => 'the right size',
  'size.asked': () => 'the right size',
  'size.notAsked': () => 'no size asked for',
  'size.unknown': (f) => `not measured: how ${directions[String(f.direction)]}?`,
  'size.over': (f, locale) => `${formatLength(Number(f.byMm), locale.units)} too ${directions[String(f.direction)]}`,
  'size.noRoom': (f, locale) =>
    `${formatLength(Number(f.byMm), locale.units)} too ${directions[String(f.direction)]} for the place`,
  'size.blocked': (f, locale) =>
    `${formatLength(Number(f.byMm), locale.units)} too ${directions[String(f.direction)]} beside what stands in the way`,
  'size.under': (f, locale) => `${formatLength(Number(f.byMm), locale.units)} ${unders[String(f.direction)]}`,
  'color.notAsked': () => 'no color asked for',
  'color.unknown': () => 'color not noted',
  'color.slot': (f) => `${colorWords(Number(f.deltaE))} the slot’s color (ΔE ${f.deltaE})`,
  'color.palette': (f) => `${colorWords(Number(f.deltaE))} the palette (ΔE ${f.deltaE})`,
  'role.notAsked': () => 'no role asked for',
  'role.does': (f) => `gives ${f.role}`,
  'role.doesNot': (f) => `not noted as ${f.role}`,
  'words.match': (f) => `is a ${f.words}`,
  'words.notAsked': () => 'any kind of thing',
  'words.none': () => 'another kind of thing',
  'season.notAsked': () => 'any season',
  'season.any': () => 'any season',
  'season.is': (f) => `for ${f.season}`,
  'season.other': (f) => `for ${f.season} only`,
  'rest.never': () => 'never used yet',
  'rest.days': (f) => restWords(Number(f.days)),
  'care.fine': () => 'nothing against it',
  'care.goesBack': (f) => `goes back to ${f.from} on ${dateWords(String(f.backBy))}`,
  'care.fragileChild': (f) => `fragile, and a child of ${f.years} about`,
  'care.fragilePets': () => 'fragile, and pets about',
  'care.fragileOutdoors': () => 'fragile, and it stands outdoors',
  'care.tooFew': (f) => `only ${f.count} of ${f.asked}`,
  'care.notCounted': (f) => `at least ${f.count} of ${f.asked}: count them`,
};

function colorWords(deltaE: number): string {
  return deltaE <= 6 ? 'is' : deltaE <= 15 ? 'near' : deltaE <= 25 ? 'not far from' : 'far from';
}

function restWords(days: number): string {
  if (days >= 365) return `asleep for ${Math.floor(days / 365)} ${days < 730 ? 'year' : 'years'}`;
  if (days >= 60) return `rested ${Math.floor(days / 30)} months`;
  return days <= 0 ? 'in use now' : `used ${days} days ago`;
}

/** A reason of a fit as a colleague says it. */
export function fitWords(reason: FitReason, locale: ProjectLocale): string {
  return fitSentences[reason.code]?.(reason.figures, locale) ?? reason.code;
}

/** A piece's size like "12 × 9 × 4 in", as far as it is measured. */
export function sizeOf(piece: Pick<PieceRow, 'widthMm' | 'depthMm' | 'heightMm'>, locale: ProjectLocale): string {
  const parts = [
    piece.widthMm === null ? '' : `${formatLength(piece.widthMm, locale.units, false)} w`,
    piece.depthMm === null ? '' : `${formatLength(piece.depthMm, locale.units, false)} d`,
    piece.heightMm === null ? '' : `${formatLength(piece.heightMm, locale.units, false)} h`,
  ].filter((part) => part !== '');
  return parts.length === 0 ? 'not measured' : `${parts.join(' × ')} ${locale.units === 'us' ? 'in' : 'cm'}`;
}

/** Where a piece is: where it stands, or the box and shelf it lies in. */
export function placeOf(piece: Pick<PieceRow, 'standsAt' | 'box' | 'shelf'>): string {
  if (piece.standsAt !== '') return piece.standsAt;
  return [piece.box === '' ? '' : `box ${piece.box}`, piece.shelf === '' ? '' : `shelf ${piece.shelf}`]
    .filter((part) => part !== '')
    .join(', ');
}

export const seasonWords: Record<PieceRow['season'], string> = {
  any: 'any season',
  spring: 'spring',
  summer: 'summer',
  autumn: 'autumn',
  winter: 'winter',
};

/** How many alike there are, before the name: "3 × ", "3 or more × ", nothing for one. */
export const countWords = ({ count, counted }: { count: number; counted: boolean }): string =>
  counted ? (count > 1 ? `${count} × ` : '') : `${count} or more × `;
