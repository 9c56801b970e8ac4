import { currencyExponent } from '../../kernel/currencies.data';
import { parseMoney } from '../../kernel/parseMoney';
import type { AdList, ListedAd } from '../../sourcing/listedAd';
import { plainNumber, readTable } from '../table/readTable';
import { undefused } from '../table/writeTable';
import { AD_LIST_VERSION, adColumns, adList } from './adList';

/** What could not be read of a list, in a person's words. */
export interface AdTrouble {
  /** Where: the ad by its place in the list, and its field. */
  where: string;
  value: string;
  accepted: string;
}

export type AdListReading = { ok: true; list: AdList; troubles: AdTrouble[] } | { ok: false; troubles: AdTrouble[] };

/** What a CSV does not say of itself. */
export interface AdListDefaults {
  feed: string;
  onDate: string;
  currency: string;
}

const numbers: ReadonlySet<keyof ListedAd> = new Set(['price', 'distanceKm', 'widthCm', 'depthCm', 'heightCm']);
const words = (name: string) => name.toLowerCase().replace(/[^a-z]/g, '');

function ofJson(input: unknown): AdListReading {
  const read = adList.safeParse(input);
  if (read.success) return { ok: true, list: read.data, troubles: [] };
  return {
    ok: false,
    troubles: read.error.issues.slice(0, 20).map(({ path, message }) => {
      const value = path.reduce<unknown>((at, key) => (at as Record<PropertyKey, unknown> | undefined)?.[key], input);
      const isOfAd = path[0] === 'ads' && typeof path[1] === 'number';
      return {
        where: isOfAd ? `ad ${Number(path[1]) + 1}, ${String(path[2] ?? '')}` : path.join('.'),
        value: value === undefined ? 'nothing' : String(value),
        accepted: message,
      };
    }),
  };
}

function ofTable(text: string, defaults: AdListDefaults): AdListReading {
  const table = readTable(text);
  const troubles: AdTrouble[] = table.bad.map(({ line, reason }) => ({
    where: `line ${line}`,
    value: '',
    accepted: `a whole line: ${reason}`,
  }));
  const at = new Map(
    adColumns.map((column) => [column, table.fields.findIndex((field) => words(field) === words(column))]),
  );
  if ((at.get('title') ?? -1) < 0)
    return {
      ok: false,
      troubles: [
        { where: 'heading', value: table.fields.join(', '), accepted: `columns like ${adColumns.join(', ')}` },
      ],
    };
  const ads: unknown[] = [];
  for (const { line, cells } of table.rows) {
    const ad: Record<string, unknown> = { number: String(line), currency: defaults.currency, price: null };
    for (const [column, place] of at) {
      const cell = place < 0 ? '' : undefused(cells[place] ?? '').trim();
      if (cell === '') continue;
      if (column === 'price') {
        const currency = String(ad.currency);
        const money = parseMoney(plainNumber(cell, table.decimal), currency);
        ad.price = money.ok ? money.value / 10 ** currencyExponent(currency) : cell;
      } else ad[column] = numbers.has(column) ? Number(plainNumber(cell, table.decimal)) : cell;
    }
    ads.push(ad);
  }
  const good: unknown[] = [];
  for (const [n, ad] of ads.entries()) {
    const read = adList.shape.ads.element.safeParse(ad);
    if (read.success) good.push(read.data);
    else
      for (const { path, message } of read.error.issues)
        troubles.push({
          where: `line ${table.rows[n]?.line ?? n + 2}, ${String(path[0] ?? '')}`,
          value: String((ad as Record<string, unknown>)[String(path[0])] ?? 'nothing'),
          accepted: message,
        });
  }
  const list = ofJson({
    format: 'euporia.ads',
    formatVersion: AD_LIST_VERSION,
    feed: defaults.feed,
    onDate: defaults.onDate,
    ads: good,
  });
  return list.ok ? { ...list, troubles: troubles.slice(0, 20) } : list;
}

/**
 * Reads a list of ads: the open JSON format, or a CSV with the same columns. Of a CSV a line that cannot be read is told
 * and the others are taken; of JSON all or nothing.
 */
export function readAdList(text: string, defaults: AdListDefaults): AdListReading {
  const trimmed = text.replace(/^\uFEFF/, '').trim();
  if (trimmed === '')
    return {
      ok: false,
      troubles: [{ where: 'the list', value: 'nothing', accepted: 'a list of ads, as JSON or CSV' }],
    };
  if (!/^[{[]/.test(trimmed)) return ofTable(text, defaults);
  try {
    return ofJson(JSON.parse(trimmed));
  } catch {
    return {
      ok: false,
      troubles: [{ where: 'the list', value: `${trimmed.slice(0, 40)} …`, accepted: 'JSON that is whole' }],
    };
  }
}
