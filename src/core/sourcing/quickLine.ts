import { materials, oldFinishes } from '../catalog/substrates';
import type { Price } from '../kernel/price';
import { stated } from '../kernel/price';
import type { UnitSystem } from '../kernel/units';
import { usualFreshness } from '../plan/greenKind';
import type { PriceLine } from '../pricing/priceStory';
import type { Sheen } from '../state/surfaceState';
import type { Measures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import { emptyQuickLine } from './emptyQuickLine';
import { type LineMoney, moneyIn } from './lineMoney';
import { numberOf, numberWords, pluralsOf } from './lineNumbers';
import {
  LinePart,
  takeBunchOffer,
  takeCount,
  takeDelivery,
  takeLeadDays,
  takeLooseSum,
  takePack,
  takePriceLines,
  takeSizes,
  takeSome,
  type UnderstoodPart,
} from './linePart';
import { headPhrase, pieceKindOf } from './pieceKindOf';
import type { PieceKind } from './pieceKinds.data';
import { saidFreshness, saidTiers } from './saidKeeping';

/** What a quick line says of a piece; what it does not say is absent and will be estimated. */
export interface QuickLine {
  name: string;
  templateId: string | null;
  /** The id of its kind among the kinds of things; null where the words name none. */
  kindId: string | null;
  tag: Price | null;
  lines: PriceLine[];
  /** How many such tags are paid: "9 tumblers $0.65 each" are nine. */
  quantity: number;
  /** What one tag buys. */
  pieces: number;
  usable: number;
  /** Whether the number was said; "a bag of shells" holds at least so many. */
  counted: boolean;
  materialId: string | null;
  finishId: string | null;
  /** How the finish shines, where the line says so beside it. */
  sheen: Sheen | null;
  measures: Measures;
  /** Minutes that the flaws named will take to mend (estimated). */
  repairMinutes: number;
  /** How many days it stays fresh, where it is cut or the line says so; null for what lasts. */
  freshDays: number | null;
  /** Days until it comes, where the line says so; what one takes along is there at once. */
  leadDays: number | null;
  /** How many tiers it has, or null. */
  tiers: number | null;
  note: string;
  understood: UnderstoodPart[];
}

/** Flaws a shop visit names, with usual minutes to mend (common practice, from memory). */
const flaws: [RegExp, number][] = [
  [/\bstick(s|ing|y)?\b|\bjams?\b/, 15],
  [/\bwobbl/, 20],
  [/\bchip(s|ped|py)?\b/, 15],
  [/\bscratch/, 10],
  [/\bsmell|\bmusty\b|\bstinks?\b/, 30],
  [/\bloose\b/, 15],
  [/\bmissing\b/, 20],
  [/\bcrack(s|ed)?\b|\bbroken\b|\bsplit\b/, 30],
  [/\btorn\b|\brips?\b|\bripped\b|\bholes?\b/, 30],
  [/\bneeds\b|\bfor parts\b|\bnot working\b/, 30],
  [/\bfrayed\b/, 20],
  [/\bstain(s|ed)?\b(?! glass)|\bwater ring|\brust(y| spots?)\b/, 15],
];

/** How a finish looks, said by itself. */
const sheenWords: readonly [RegExp, Sheen][] = [
  [/^(?:dull|matte?|flat|gone dull|worn dull)$/, 'matt'],
  [/^(?:satin|semi-?gloss|eggshell)$/, 'satin'],
];

const forNothing = /\b(?:for )?(?:free|found|given(?: by \p{L}+)?)(?: (?:at|on) the curb)?\b|\bcurb find\b/u;

/** Whole-word match that does not fall into longer words ("pain" in "paint"). */
function says(text: string, word: string): boolean {
  return new RegExp(`\\b${word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}\\b`).test(text);
}

const madeOf = [...materials, ...oldFinishes].flatMap((row) => row.words);

/** What a part says besides materials and finishes: "tin lantern" → "lantern". */
function beyond(text: string): string {
  return text
    .split(/\s+/)
    .filter((word) => !madeOf.some((known) => known.split(/\s+/).includes(word)))
    .join(' ');
}

/** The row whose longest word is said: "stainless steel" is stainless before it is steel. */
function saidRow<Row extends { words: readonly string[] }>(rows: readonly Row[], text: string): Row | undefined {
  return rows
    .flatMap((row) => row.words.filter((word) => says(text, word)).map((word) => ({ row, word })))
    .sort((a, b) => b.word.length - a.word.length)[0]?.row;
}

/** Whether a line says anything: signs without a letter or a figure among them name no piece and no price. */
export const saysSomething = (line: string): boolean => /[\p{L}\p{N}]/u.test(line);

/**
 * Reads a line as one says it in a shop: "nightstand, $12, half off, one drawer sticks", "9 tumblers $0.65 each", "two
 * brass lamps at 12". Parts are separated by commas (a comma within a number stays); within a part money, sizes, counts
 * and what was taken off stand anywhere. Nothing is refused and nothing dropped: what is not understood becomes the note.
 * @param currency in which a bare price is meant
 * @param units in which a bare size is meant
 */
export function readQuickLine(line: string, currency: string, units: UnitSystem): QuickLine {
  const result: QuickLine = { ...emptyQuickLine(), freshDays: usualFreshness(line), tiers: saidTiers(line) };
  const notes: string[] = [];
  let count: number | null = null;
  let usable: number | null = null;
  let per: LineMoney['per'] = null;
  let isPack = false;
  const isPriced = /\d/.test(line);
  for (const said of line.split(/,(?!\d{2,3}\b)|[;()\n]|\s[-–—]\s/)) {
    if (said.trim() === '') continue;
    const part = new LinePart(said.trim());
    result.leadDays ??= takeLeadDays(part);
    result.lines.push(...takeDelivery(part, currency), ...takeBunchOffer(part), ...takePriceLines(part, currency));
    const keeps = saidFreshness(part.text);
    if (keeps) {
      result.freshDays = keeps.days;
      part.take(keeps.from, keeps.to, 'how long it stays fresh');
    }
    Object.assign(result.measures, takeSizes(part, units));
    const packed = takePack(part);
    if (packed !== null) {
      count = packed;
      isPack = true;
    }
    const good = part.takeMatch(/\b(\d+) (?:usable|good|of use)\b/, 'pack');
    if (good) usable = Number(good[1]);
    // "cushion covers, two, $3 each": a number alone counts, where the price stands elsewhere.
    if (count === null && result.name !== '' && isPriced && numberWords.has(part.text.trim())) {
      count = numberOf(part.text);
      part.take(0, part.text.length, 'how many');
    }
    if (result.tag === null) result.tag = takeLooseSum(part, currency);
    const money = moneyIn(part.text, currency);
    if (money && result.tag === null) {
      part.take(money.from, money.to, money.foreign ? 'price in other money' : 'price');
      if (money.foreign) notes.push(part.said.slice(money.from, money.to).trim());
      else result.tag = stated(money.minor);
      per = money.per;
      count ??= money.count;
    } else if (result.tag === null && part.takeMatch(forNothing, 'price')) result.tag = { state: 'free' };
    // A number before what has, is or lacks something ("6 drawers") counts no pieces.
    if (count === null && result.name === '') count = takeCount(part);
    if (count === null && result.name === '' && takeSome(part)) result.counted = false;
    for (const { text, as } of part.pieces())
      result.understood.push({ text, as: as === undefined ? meaningOf(text, result, notes) : as });
  }
  const pieces = Math.max(1, Math.min(1000, count ?? 1));
  const isEach = per === 'each' && !isPack;
  const { lengthMm, widthMm } = result.measures;
  if (lengthMm !== undefined) {
    if (widthMm === undefined) result.measures.widthMm = lengthMm;
    else result.measures.depthMm ??= lengthMm;
  }
  result.quantity = isEach ? pieces : 1;
  result.pieces = isEach ? 1 : pieces;
  result.usable = usable === null ? pieces : Math.min(pieces, usable);
  if (result.name === '')
    result.name = result.understood.find(({ as }) => as === 'material' || as === 'finish')?.text ?? 'Find';
  result.name = result.name.charAt(0).toUpperCase() + result.name.slice(1);
  result.note = notes.join(', ');
  return result;
}

/** What a stretch that nothing else explains says: what the thing is, what it is made of, what is wrong with it; else it is noted. */
function meaningOf(said: string, result: QuickLine, notes: string[]): UnderstoodPart['as'] {
  const rest = said.replace(/^[\s\-–—:.]+|[\s\-–—:]+$/g, '');
  const text = rest.toLowerCase();
  if (text === '') return null;
  const head = headPhrase(text);
  const kind = pieceKindOf(text);
  const template = kind ? templateOf(kind, head) : null;
  const finish = saidRow(oldFinishes, text);
  // What a table's top is made of, or a lamp's shade, is not what the piece is made of.
  const material = saidRow(materials, kind ? head : text);
  const flaw = flaws.find(([pattern]) => pattern.test(text));
  if (finish) result.finishId = finish.id;
  if (material && (result.materialId === null || kind)) result.materialId = material.id;
  if (flaw) result.repairMinutes += flaw[1];
  if (kind && result.kindId === null && !(flaw && result.name !== '')) {
    result.kindId = kind.id;
    result.templateId = template;
    if (result.name !== '') notes.push(result.name);
    result.name = rest;
    return 'what it is';
  }
  if (flaw) {
    notes.push(rest);
    return 'flaw';
  }
  const onlyWhatOf = (finish || material) && beyond(text) === '';
  if (result.name === '' && !onlyWhatOf) {
    result.name = rest;
    return 'what it is';
  }
  if (finish || material) return finish ? 'finish' : 'material';
  // "old varnish, dull": how a finish looks may be said after it.
  const looks = sheenWords.find(([pattern]) => pattern.test(text));
  if (looks && result.finishId !== null) {
    const [, sheen] = looks;
    if (sheen === 'matt' && result.finishId === 'glossyVarnish') result.finishId = 'dullVarnish';
    result.sheen = sheen;
    return 'finish';
  }
  notes.push(rest);
  return null;
}

/** The furniture template that the words name most exactly, else the usual one of the kind; null for none in particular. */
function templateOf(kind: PieceKind, head: string): string | null {
  const named = furnitureTemplates.all
    .flatMap((entry) =>
      entry.words
        .flatMap((word) => [word, ...pluralsOf(word)])
        .filter((word) => head.endsWith(word) || says(head, word))
        .map((word) => ({ id: entry.id, end: head.lastIndexOf(word) + word.length, length: word.length })),
    )
    .sort((a, b) => b.end - a.end || b.length - a.length)[0];
  // A longer name that ends there says what it is as a whole: a bed frame is no picture frame.
  const ownName = Math.max(0, ...kind.words.filter((word) => head.endsWith(word)).map(({ length }) => length));
  return named && named.length >= ownName && (named.id === kind.templateId || named.end === head.length)
    ? named.id
    : kind.templateId === 'freeBox'
      ? null
      : kind.templateId;
}
