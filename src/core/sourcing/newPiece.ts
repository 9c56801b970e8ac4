import { parseLength } from '../kernel/parseLength';
import type { UnitSystem } from '../kernel/units';
import type { FindRow, PieceRow, Season } from '../model/rows';
import { overallSize } from '../plan/fitFindings';
import { furnitureTemplates } from '../surface/templates';
import { pieceKindOf } from './pieceKindOf';
import { pieceKinds } from './pieceKinds.data';
import { readQuickLine } from './quickLine';
import { saidSurface } from './saidSurface';
import { type PieceLocale, unknownPiece } from './unknownPiece';

const seasonWords: readonly [Season, RegExp][] = [
  ['spring', /\b(spring|easter)\b/],
  ['summer', /\bsummer\b/],
  ['autumn', /\b(autumn|fall|harvest)\b/],
  ['winter', /\b(winter|christmas|xmas|holiday)\b/],
];

/** A length to the hundredth of a millimeter, as fields keep it. */
const rounded = (mm: number) => Math.round(mm * 100) / 100;

/** Places of a house and its surroundings, by which a part of a line is taken for where a piece stands. */
const placeWords =
  /\b(mantel|mantelpiece|hall|hallway|landing|stairs|staircase|kitchen|pantry|larder|bath|bathroom|bedroom|nursery|living room|sitting room|dining room|study|office|studio|porch|patio|terrace|balcony|garden|greenhouse|attic|loft|basement|cellar|garage|shed|barn|closet|cupboard|wardrobe|dresser|sideboard|console|press|sill|window|fireplace|hearth|table|desk|counter|shelves|bookcase|wall|entry|foyer|laundry|guest room)\b/;

const oneLength = String.raw`\d[\d\s./,]*[½¼¾⅛⅜⅝⅞⅓⅔]?\s*(?:mm|cm|m|inches|inch|in|feet|ft|foot|["”″'’′])`;
const lengthText = `${oneLength}(?:\\s*${oneLength})?`;
const oneSize = new RegExp(
  String.raw`^(?:about\s+)?(${lengthText})\s*(tall|high|height|wide|width|across|long|deep|depth|diameter)?$`,
  'i',
);
const measuresOnly =
  /^\d[\d./ ]*(?:\s*(?:mm|cm|m|in|ft|"))?\s*(?:x|×|by)\s*\d[\d./ ]*(?:\s*(?:mm|cm|m|in|ft|"))?(?:\s*(?:x|×|by)\s*\d[\d./ ]*)?\s*(?:mm|cm|m|in|inches|ft|feet|")?$/i;

/** Kinds of things that lie flat: two measures of them are width and depth. */
const flat = new Set(['textile', 'tray']);

function setOneSize(piece: PieceRow, text: string, units: UnitSystem): boolean {
  const match = oneSize.exec(text.trim());
  const length = match ? parseLength((match[1] ?? '').trim(), units) : null;
  if (!match || !length?.ok) return false;
  const said = (match[2] ?? 'tall').toLowerCase();
  const mm = rounded(length.value);
  if (/^(wide|width|across|long|diameter)$/.test(said)) piece.widthMm = mm;
  else if (/^(deep|depth)$/.test(said)) piece.depthMm = mm;
  else piece.heightMm = mm;
  return true;
}

function setMeasures(piece: PieceRow, text: string, units: UnitSystem, liesFlat: boolean): boolean {
  const unit = /(mm|cm|m|inches|in|feet|ft|")\s*$/i.exec(text)?.[1] ?? '';
  const lengths = text
    .split(/\s*(?:x|×|by)\s*/i)
    .map((part) => parseLength(/[a-z"]\s*$/i.test(part) ? part : `${part} ${unit}`, units));
  if (lengths.length < 2 || lengths.length > 3 || !lengths.every((length) => length.ok)) return false;
  const [width, second, third] = lengths.map((length) => (length.ok ? rounded(length.value) : null));
  piece.widthMm = width ?? null;
  if (third !== undefined) {
    piece.depthMm = second ?? null;
    piece.heightMm = third;
  } else if (liesFlat) piece.depthMm = second ?? null;
  else piece.heightMm = second ?? null;
  return true;
}

/**
 * A piece from a quick line as one says it: "tall blue vase, 12 in, mantel", "3 brass candlesticks, box 4". The first
 * part names it and how many there are; a size may stand there or by itself ("12 in", "10 x 6 x 4", "7 in wide"); "box 4"
 * and "shelf 2" say where it is stored, a place of the house where it stands, a season when it is used, a price what it
 * is worth, "borrowed from Ana, back by 2026-07-01" whose it is. What is left over becomes its story. What the words name
 * proposes its roles; everything is open to change.
 */
export function newPiece(id: string, line: string, locale: PieceLocale): PieceRow {
  const piece = unknownPiece(id, '', locale);
  const story: string[] = [];
  const rest: string[] = [];
  const named = pieceKindOf(line.split(',')[0] ?? '');
  const liesFlat = named !== null && flat.has(named.id);
  for (const part of line.split(/,(?!\d{1,3}\b)|;/)) {
    const text = part.trim();
    if (text === '') continue;
    const words = text.toLowerCase();
    if (rest.length === 0) {
      // The first part that is no size names the piece.
      if (!setOneSize(piece, text, locale.units)) rest.push(text);
      continue;
    }
    const stored = /^(.*?)\s*\b(box|shelf)\s+(\S.{0,40})$/i.exec(text);
    const lent = /^(?:borrowed|lent)(?: from)?\s+(.{1,100})$/i.exec(text);
    const since = /^since (\d{4})$/i.exec(text);
    const back = /^back by (\d{4}-\d{2}-\d{2})$/i.exec(text);
    const season = seasonWords.find(([, pattern]) => pattern.test(words));
    if (stored) {
      const field = stored[2]?.toLowerCase() === 'box' ? 'box' : 'shelf';
      piece[field] = [stored[1], stored[3]]
        .filter((word) => word)
        .join(' ')
        .slice(0, 60);
    } else if (lent) piece.borrowedFrom = lent[1] as string;
    else if (since) piece.sinceYear = Number(since[1]);
    else if (back) piece.backBy = back[1] as string;
    else if (words === 'fragile') piece.fragile = true;
    else if (measuresOnly.test(text) && setMeasures(piece, text, locale.units, liesFlat)) continue;
    else if (setOneSize(piece, text, locale.units)) continue;
    else if (season && words.split(/\s+/).length <= 2) piece.season = season[0];
    else if (placeWords.test(words) || /^(?:on|in|at|under|by|behind|above) the\b/.test(words))
      piece.standsAt = text.slice(0, 120);
    else rest.push(text);
  }
  const read = readQuickLine(rest.join(', '), locale.currency, locale.units);
  piece.name = rest.length === 0 ? 'Unnamed piece' : read.name.slice(0, 120);
  // What does not fit into the name is kept.
  if (read.name.length > 120) story.push(read.name);
  piece.count = Math.min(1000, read.pieces * read.quantity);
  piece.counted = read.counted;
  piece.freshDays = read.freshDays;
  piece.tiers = read.tiers;
  const { widthMm, depthMm, heightMm } = read.measures;
  if (widthMm !== undefined) piece.widthMm = rounded(widthMm);
  if (depthMm !== undefined) piece.depthMm = rounded(depthMm);
  if (heightMm !== undefined && liesFlat && widthMm !== undefined && depthMm === undefined)
    piece.depthMm = rounded(heightMm);
  else if (heightMm !== undefined) piece.heightMm = rounded(heightMm);
  if (read.tag?.state === 'stated') piece.value = read.tag.low * read.quantity;
  if (read.note !== '') story.push(read.note);
  piece.story = story.join(', ').slice(0, 2000);
  if (piece.season === 'any')
    piece.season = seasonWords.find(([, pattern]) => pattern.test(line.toLowerCase()))?.[0] ?? 'any';
  const kind = pieceKinds.find(({ id: known }) => known === read.kindId) ?? pieceKindOf(rest.join(' '));
  piece.templateId = read.templateId ?? kind?.templateId ?? 'freeBox';
  Object.assign(piece, saidSurface(read, furnitureTemplates.get(piece.templateId)));
  if (kind) {
    piece.roles = [...kind.roles];
    piece.kind = kind.care;
    piece.fragile ||= kind.fragile;
    if (kind.care === 'lamp') piece.cordCondition = 'unknown';
  }
  piece.sorted = piece.heightMm !== null || piece.widthMm !== null;
  return piece;
}

/**
 * What is said of a find's piece when it stays in the house: its size, what it can do, its worth as its tag says.
 * @param from the name of the place it came from; empty where nobody said
 */
export function keptFields(find: FindRow, from: string): Partial<PieceRow> {
  const size = overallSize(find.templateId, find.measures);
  const kind = pieceKindOf(find.name);
  const { tag } = find.story;
  return {
    widthMm: size.width,
    depthMm: size.depth,
    heightMm: size.height,
    value: tag.state === 'stated' ? tag.low : null,
    roles: kind ? [...kind.roles] : [],
    fragile: kind?.fragile ?? false,
    story: from === '' ? '' : `from ${from}`,
    sorted: true,
  };
}
