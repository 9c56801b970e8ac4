import { materials, oldFinishes } from '../catalog/substrates';
import { parseLength } from '../kernel/parseLength';
import { parseMoney } from '../kernel/parseMoney';
import type { Price } from '../kernel/price';
import { stated } from '../kernel/price';
import type { UnitSystem } from '../kernel/units';
import type { PriceLine } from '../pricing/priceStory';
import type { Measures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';

/** One part of a quick line with what it was understood as; `as` is null for a part that stays a note. */
export interface UnderstoodPart {
  text: string;
  as: 'what it is' | 'price' | 'price line' | 'pack' | 'size' | 'material' | 'finish' | 'flaw' | null;
}

/** What a quick line says of a piece; what it does not say is absent and will be estimated. */
export interface QuickLine {
  name: string;
  templateId: string | null;
  tag: Price | null;
  lines: PriceLine[];
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
  [/\bchip(s|ped)?\b/, 15],
  [/\bscratch/, 10],
  [/\bsmell/, 30],
  [/\bloose\b/, 15],
  [/\bmissing\b/, 20],
];

const halfOff = /\bhalf (?:off|price)\b/;
const percentOff = /(\d{1,2}(?:[.,]\d+)?)\s*%\s*(?:off)?/;
const coupon = /\bcoupon\b/;

/** Whole-word match that does not fall into longer words ("pain" in "paint"). */
function says(text: string, word: string): boolean {
  return new RegExp(`\\b${word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}\\b`).test(text);
}

function sizeOf(text: string, units: UnitSystem): number[] | null {
  const parts = text.split(/\s*(?:x|×|by)\s*/);
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

/**
 * Reads a line as one says it in a shop: "nightstand, $12, half off, one drawer sticks". Parts are separated by commas
 * (a comma within a number stays). Nothing is refused: what is not understood becomes the note.
 * @param currency in which a bare price is meant
 * @param units in which a bare size is meant
 */
export function readQuickLine(line: string, currency: string, units: UnitSystem): QuickLine {
  const result: QuickLine = {
    name: '',
    templateId: null,
    tag: null,
    lines: [],
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
  const parts = line
    .split(/,(?!\d{2,3}\b)|;/)
    .map((part) => part.trim())
    .filter((part) => part !== '');
  parts.forEach((part, index) => {
    const text = part.toLowerCase();
    const understand = (as: UnderstoodPart['as']) => result.understood.push({ text: part, as });
    const percent = percentOff.exec(text);
    const pack = /\b(?:pack|set|lot|box) of (\d+)\b/.exec(text);
    const usable = /\b(\d+) (?:usable|good|of use)\b/.exec(text);
    const size = sizeOf(text, units);
    const money = parseMoney(text.replace(/^(for|at|tag|price)\s+/, ''), currency);
    if (coupon.test(text)) {
      const figure = /(\d+(?:[.,]\d+)?)/.exec(text)?.[1];
      const value = Number((figure ?? '0').replace(',', '.'));
      const inMoney = /[$€£]/.test(text) ? parseMoney(figure ?? '', currency) : null;
      if (percent) result.lines.push({ kind: 'couponPercent', percentThousandths: Math.round(value * 1000) });
      else if (inMoney?.ok) result.lines.push({ kind: 'couponMoney', amount: inMoney.value, by: 'store' });
      else result.lines.push({ kind: 'couponUnknown', value: Math.round(value * 1000) });
      return void understand('price line');
    }
    if (halfOff.test(text)) {
      result.lines.push({ kind: 'markdown', percentThousandths: 50_000 });
      return void understand('price line');
    }
    if (percent) {
      result.lines.push({
        kind: 'markdown',
        percentThousandths: Math.round(Number((percent[1] ?? '0').replace(',', '.')) * 1000),
      });
      return void understand('price line');
    }
    if (size) {
      const [width = 0, second = 0, third] = size;
      result.measures =
        third === undefined
          ? { widthMm: width, heightMm: second, openWidthMm: width, openHeightMm: second }
          : { widthMm: width, depthMm: second, heightMm: third };
      return void understand('size');
    }
    if (pack || usable) {
      if (pack) result.pieces = Math.max(1, Math.min(1000, Number(pack[1])));
      result.usable = usable ? Math.min(result.pieces, Number(usable[1])) : result.pieces;
      if (index > 0 || !furnitureTemplates.all.some((template) => template.words.some((word) => says(text, word))))
        return void understand('pack');
    }
    if (text === 'free' || text === 'found' || text === 'given') {
      result.tag = { state: 'free' };
      return void understand('price');
    }
    if (money.ok && /\d/.test(text)) {
      result.tag = stated(money.value);
      return void understand('price');
    }
    const template = furnitureTemplates.all
      .flatMap((entry) => entry.words.filter((word) => says(text, word)).map((word) => ({ entry, word })))
      .sort((a, b) => b.word.length - a.word.length)[0]?.entry;
    const finish = oldFinishes.find((row) => row.words.some((word) => says(text, word)));
    const material = materials.find((row) => row.words.some((word) => says(text, word)));
    const flaw = flaws.find(([pattern]) => pattern.test(text));
    if (finish) result.finishId = finish.id;
    if (material) result.materialId = material.id;
    if (template && result.templateId === null && !flaw) {
      result.templateId = template.id;
      if (result.name !== '') notes.push(result.name);
      result.name = part;
      return void understand('what it is');
    }
    if (flaw) {
      result.repairMinutes += flaw[1];
      notes.push(part);
      return void understand('flaw');
    }
    const onlyWhatOf = (finish || material) && beyond(text) === '';
    if (result.name === '' && !onlyWhatOf) {
      result.name = part;
      return void understand('what it is');
    }
    if (finish || material) return void understand(finish ? 'finish' : 'material');
    notes.push(part);
    understand(null);
  });
  if (result.name === '')
    result.name = result.understood.find(({ as }) => as === 'material' || as === 'finish')?.text ?? 'Find';
  result.name = result.name.charAt(0).toUpperCase() + result.name.slice(1);
  result.note = notes.join(', ');
  return result;
}
