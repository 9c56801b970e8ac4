import type { StockForm } from '@core/catalog/cutStock';
import { type CutLayout, wasteOf } from '@core/cutting/layout';
import { type PartBag, partCount } from '@core/cutting/part';

const unitNames: Readonly<Record<StockForm, readonly [one: string, many: string]>> = {
  sheet: ['sheet', 'sheets'],
  roll: ['length of the roll', 'lengths of roll'],
  board: ['board', 'boards'],
};

const counted = (count: number, [one, many]: readonly [string, string]) => `${count} ${count === 1 ? one : many}`;

/** What is cut from, counted: "2 sheets". */
export const unitWords = (count: number, form: StockForm): string => counted(count, unitNames[form]);

/** What a layout is, and whether it is the first or the searched one: "5 pieces on 2 sheets, 12 % waste". */
export function layoutWords(layout: CutLayout, parts: PartBag, form: StockForm): string {
  const laid = layout.units.reduce((sum, { placed }) => sum + placed.length, 0);
  const all = partCount(parts);
  const pieces = `${laid < all ? `${laid} of ` : ''}${counted(all, ['piece', 'pieces'])}`;
  if (laid === 0) return `${pieces} laid out.`;
  const waste = Math.round(wasteOf(layout.units) * 100);
  const state = layout.isQuick
    ? 'a first layout, a better one is being searched'
    : layout.isProven
      ? 'laid out; it cannot take fewer'
      : 'laid out';
  return `${pieces} on ${unitWords(layout.units.length, form)}, ${waste} % waste: ${state}.`;
}
