import { materials, oldFinishes } from '../catalog/substrates';
import { parseLength } from '../kernel/parseLength';
import { parseMoney } from '../kernel/parseMoney';
import type { Price } from '../kernel/price';
import { stated } from '../kernel/price';
import type { UnitSystem } from '../kernel/units';
import type { PriceLine } from '../pricing/priceStory';
import type { Measures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import { type LineMoney, moneyIn } from './lineMoney';
import { anyCount, isPlural, numberOf, numberWords, pluralsOf } from './lineNumbers';
import { headPhrase, pieceKindOf } from './pieceKindOf';
import type { PieceKind } from './pieceKinds.data';

/** One part of a quick line with what it was understood as; `as` is null for a part that stays a note. */
export interface UnderstoodPart {
  text: string;
  as:
    | 'what it is'
    | 'how many'
    | 'price'
    | 'price in other money'
    | 'price line'
    | 'pack'
    | 'size'
    | 'material'
    | 'finish'
    | 'flaw'
    | null;
}

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
  materialId: string | null;
  finishId: string | null;
  measures: Measures;
  /** Minutes that the flaws named will take to mend (estimated). */
  repairMinutes: number;
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

const percentOff = /\bhalf (?:off|price)(?: today)?\b|(\d{1,2}(?:[.,]\d+)?)\s*%\s*(?:off)?/;
const coupon = /\bcoupon\b/;
const forNothing = /\b(?:for )?(?:free|found|given(?: by \p{L}+)?)(?: (?:at|on) the curb)?\b|\bcurb find\b/u;

/** Whole-word match that does not fall into longer words ("pain" in "paint"). */
function says(text: string, word: string): boolean {
  return new RegExp(`\\b${word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}\\b`).test(text);
}

const length = String.raw`\d+(?:[.,/]\d+)?(?: \d+/\d+)?[½¼¾⅛⅜⅝⅞⅓⅔]?`;
const lengthUnit = `(?:mm|cm|m|inches|inch|in|feet|foot|ft|["”″'’′])`;
const measuresAnywhere = new RegExp(
  String.raw`${length}\s*${lengthUnit}?\s*(?:x|×|by)\s*${length}\s*${lengthUnit}?(?:\s*(?:x|×|by)\s*${length}\s*${lengthUnit}?)?(?![\p{L}\d])`,
  'u',
);
const lengthAnywhere = new RegExp(
  String.raw`(?<![\p{L}\d])(${length}\s*${lengthUnit}(?:\s*${length}\s*${lengthUnit})?)(?:\s*(tall|high|height|wide|width|across|long|deep|depth|diameter))?(?![\p{L}\d])`,
  'u',
);

function sizeOf(text: string, units: UnitSystem): number[] | null {
  const parts = text.trim().split(/\s*(?:x|×|by)\s*/);
  if (parts.length < 2 || parts.length > 3) return null;
  const unit = /(mm|cm|m|in|inches|ft|")\s*$/.exec(text)?.[1];
  const lengths = parts.map((part) =>
    parseLength(unit && /[\d\s/.,½¼¾]$/.test(part) ? `${part} ${unit}` : part, units),
  );
  return lengths.every((length) => length.ok) ? lengths.map((length) => (length.ok ? length.value : 0)) : null;
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

/** A stretch of a part that was understood. */
interface Span {
  from: number;
  to: number;
  as: UnderstoodPart['as'];
}

/** One part of a line while it is read: what is understood is taken out, what is left says what the thing is. */
class LinePart {
  readonly spans: Span[] = [];
  /** The part in lower case, with what was understood blanked out. */
  text: string;

  readonly said: string;

  constructor(said: string) {
    this.said = said;
    this.text = said.toLowerCase();
    // Letters that change their length in lower case would shift every place.
    if (this.text.length !== said.length) this.text = said;
  }

  take(from: number, to: number, as: UnderstoodPart['as']): void {
    this.spans.push({ from, to, as });
    this.text = this.text.slice(0, from) + ' '.repeat(to - from) + this.text.slice(to);
  }

  takeMatch(pattern: RegExp, as: UnderstoodPart['as']): RegExpExecArray | null {
    const match = pattern.exec(this.text);
    if (match) this.take(match.index, match.index + match[0].length, as);
    return match;
  }

  /** The part cut at what was understood; what was not has no meaning yet. */
  pieces(): { text: string; as?: UnderstoodPart['as'] }[] {
    const found: { text: string; as?: UnderstoodPart['as'] }[] = [];
    let at = 0;
    const between = (to: number) => {
      const text = this.said.slice(at, to).trim();
      if (text !== '') found.push({ text });
    };
    for (const span of [...this.spans].sort((a, b) => a.from - b.from)) {
      between(span.from);
      const text = this.said.slice(span.from, span.to).trim();
      if (text !== '') found.push({ text, as: span.as });
      at = span.to;
    }
    between(this.said.length);
    return found;
  }
}

/** Takes a pack out of a part: "set of 4 plates", "frames, pack of 6". */
function takePack(part: LinePart): number | null {
  const packed = part.takeMatch(
    new RegExp(String.raw`(?<![\p{L}\d])(?:a\s+)?(?:pack|set|lot|box|bunch|case) of (${anyCount})`, 'u'),
    'pack',
  );
  return packed ? numberOf(packed[1] ?? '') : null;
}

/** Takes a count from before the words for the thing: "3 lanterns", "a dozen frames", "pair of bookends". */
function takeCount(part: LinePart): number | null {
  const last = /(?<=\S)\s+[x×]\s?(\d{1,3})\s*$/u.exec(part.text);
  if (last) {
    part.take(last.index, part.text.length, 'how many');
    return Number(last[1]);
  }
  const first = new RegExp(String.raw`^\s*(?:(\d{1,3})(?=\s*[x×]\s)|(${anyCount}))(\s*[x×])?\s+(?=[^\s\d/])`, 'u').exec(
    part.text,
  );
  const count = numberOf(first?.[1] ?? first?.[2] ?? '');
  if (!first || count === null || count < 1) return null;
  const said = (first[1] ?? first[2] ?? '').trim();
  if (said === 'a' || said === 'an') return null;
  const what = part.text.slice(first[0].length);
  // "5 shelf bookcase" is one bookcase: only what stands in the plural was counted.
  const counted = [...headPhrase(what).split(' '), ...(what.split(/\sof\s/)[0] ?? '').trim().split(/\s+/)];
  if (!first[3] && !/dozen|pair|couple/.test(said) && count > 1 && !counted.some(isPlural)) return null;
  part.take(0, first[0].length, 'how many');
  return count;
}

function takePriceLines(part: LinePart, currency: string): PriceLine[] {
  if (coupon.test(part.text)) {
    const percent = percentOff.exec(part.text);
    const figure = /(\d+(?:[.,]\d+)?)/.exec(part.text)?.[1];
    const value = Number((figure ?? '0').replace(',', '.'));
    const inMoney = /[$€£]/.test(part.text) ? parseMoney(figure ?? '', currency) : null;
    part.take(0, part.text.length, 'price line');
    if (percent) return [{ kind: 'couponPercent', percentThousandths: Math.round(value * 1000) }];
    if (inMoney?.ok) return [{ kind: 'couponMoney', amount: inMoney.value, by: 'store' }];
    return [{ kind: 'couponUnknown', value: Math.round(value * 1000) }];
  }
  const percent = part.takeMatch(percentOff, 'price line');
  if (!percent) return [];
  const off = percent[1] === undefined ? 50 : Number(percent[1].replace(',', '.'));
  return [{ kind: 'markdown', percentThousandths: Math.round(off * 1000) }];
}

function takeSizes(part: LinePart, units: UnitSystem): Measures {
  const several = measuresAnywhere.exec(part.text);
  const size = several ? sizeOf(several[0], units) : null;
  if (several && size) {
    part.take(several.index, several.index + several[0].length, 'size');
    const [width = 0, second = 0, third] = size;
    return third === undefined
      ? { widthMm: width, heightMm: second, openWidthMm: width, openHeightMm: second }
      : { widthMm: width, depthMm: second, heightMm: third };
  }
  const one = lengthAnywhere.exec(part.text);
  const read = one ? parseLength(one[1] ?? '', units) : null;
  if (!one || !read?.ok) return {};
  part.take(one.index, one.index + one[0].length, 'size');
  if (/^(wide|width|across|long|diameter)$/.test(one[2] ?? '')) return { widthMm: read.value };
  return /^(deep|depth)$/.test(one[2] ?? '') ? { depthMm: read.value } : { heightMm: read.value };
}

/**
 * Reads a line as one says it in a shop: "nightstand, $12, half off, one drawer sticks", "9 tumblers $0.65 each", "two
 * brass lamps at 12". Parts are separated by commas (a comma within a number stays); within a part money, sizes, counts
 * and what was taken off stand anywhere. Nothing is refused and nothing dropped: what is not understood becomes the note.
 * @param currency in which a bare price is meant
 * @param units in which a bare size is meant
 */
export function readQuickLine(line: string, currency: string, units: UnitSystem): QuickLine {
  const result: QuickLine = {
    name: '',
    templateId: null,
    kindId: null,
    tag: null,
    lines: [],
    quantity: 1,
    pieces: 1,
    usable: 1,
    materialId: null,
    finishId: null,
    measures: {},
    repairMinutes: 0,
    note: '',
    understood: [],
  };
  const notes: string[] = [];
  let count: number | null = null;
  let usable: number | null = null;
  let per: LineMoney['per'] = null;
  let isPack = false;
  const isPriced = /\d/.test(line);
  for (const said of line.split(/,(?!\d{2,3}\b)|[;()\n]|\s[-–—]\s/)) {
    if (said.trim() === '') continue;
    const part = new LinePart(said.trim());
    result.lines.push(...takePriceLines(part, currency));
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
    for (const { text, as } of part.pieces())
      result.understood.push({ text, as: as === undefined ? meaningOf(text, result, notes) : as });
  }
  const pieces = Math.max(1, Math.min(1000, count ?? 1));
  const isEach = per === 'each' && !isPack;
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
  return named && (kind.templateId === 'freeBox' || named.id === kind.templateId || named.end === head.length)
    ? named.id
    : kind.templateId === 'freeBox'
      ? null
      : kind.templateId;
}
