import { supplyKind, supplyKinds } from '../../catalog/supplyKinds';
import { tools } from '../../catalog/tools';
import type { Lab } from '../../color/lab';
import { decimalMoney } from '../../kernel/formatMoney';
import { parseNumber } from '../../kernel/parseNumber';
import { isQuantity, parseQuantity, quantityUnit, shownQuantity } from '../../kernel/quantities';
import type { UnitSystem } from '../../kernel/units';
import type { Sheen } from '../../state/surfaceState';
import { furnitureTemplates } from '../../surface/templates';
import {
  type Column,
  colorColumn,
  currencyColumn,
  dateColumn,
  entryColumn,
  type FileLocale,
  moneyColumn,
  quantityColumn,
  textColumn,
} from './column';

/** A supply as a line of a file says it; amounts in the supply's own unit, cost of one unit in minor units. */
export interface SupplyLineDraft {
  kindId: string;
  colorName: string;
  color: Lab | null;
  sheen: Sheen | null;
  base: string;
  amount: number | null;
  containerSize: number | null;
  openedOn: string | null;
  keepsUntil: string | null;
}

/** A price as a line of a file says it: a pack of a supply, a tool, or a kind of piece sold new. */
export interface PriceLineDraft extends Pick<SupplyLineDraft, 'kindId' | 'colorName' | 'color' | 'sheen'> {
  name: string;
  size: number | null;
  price: number | null;
  currency: string;
  source: string;
  seenOn: string | null;
}

const shownUnit = (kindId: string, units: UnitSystem) => {
  const unit = supplyKind(kindId)?.unit ?? '';
  return isQuantity(unit) ? quantityUnit(unit, units) : unit;
};

/** An amount of a kind: a quantity for what is poured, weighed or measured off, else a number with or without its unit. */
function readAmount(text: string, kindId: string, locale: FileLocale): number | null {
  const unit = supplyKind(kindId)?.unit ?? '';
  const value = isQuantity(unit)
    ? parseQuantity(text, unit, locale.units)
    : parseNumber(text.replace(/\s*(cans?|sheets?|pieces?|each)$/i, ''));
  return value === null || value < 0 ? null : value;
}

function writeAmount(amount: number | null, kindId: string, locale: FileLocale): string {
  if (amount === null) return '';
  const unit = supplyKind(kindId)?.unit ?? '';
  const shown = isQuantity(unit) ? shownQuantity(amount, unit, locale.units) : amount;
  return `${Math.round(shown * 100) / 100} ${shownUnit(kindId, locale.units)}`.trim();
}

type Kinded = Pick<SupplyLineDraft, 'kindId' | 'colorName' | 'color' | 'sheen'>;

const sheens: readonly { id: string; name: string }[] = ['raw', 'matt', 'satin', 'gloss'].map((id) => ({
  id,
  name: id,
}));

function kindedColumns<R extends Kinded>(entries: readonly { id: string; name: string }[]): Column<R>[] {
  return [
    entryColumn({ id: 'kindId', heading: 'Kind', words: ['supply', 'what', 'item', 'product'], entries }),
    textColumn({ id: 'colorName', heading: 'Color', words: ['colour', 'color name', 'color card'], most: 80 }),
    colorColumn({ id: 'color', heading: 'Color code', words: ['colour code', 'hex'] }),
    entryColumn({ id: 'sheen', heading: 'Sheen', words: ['gloss'], entries: sheens }),
  ];
}

/** The columns of a table of supplies. */
export const supplyColumns: readonly Column<SupplyLineDraft>[] = [
  ...kindedColumns<SupplyLineDraft>(supplyKinds),
  textColumn({ id: 'base', heading: 'Base', words: ['tint base'], most: 60 }),
  quantityColumn(
    {
      id: 'amount',
      heading: 'Left',
      words: ['amount', 'amount left', 'stock'],
      accepted: 'an amount like 500 ml, 1 qt or 2',
    },
    (text, locale, _unit, into) => readAmount(text, into.kindId, locale),
    (from, locale) => writeAmount(from.amount, from.kindId, locale),
  ),
  quantityColumn(
    {
      id: 'containerSize',
      heading: 'Full can holds',
      words: ['size', 'can', 'container'],
      accepted: 'an amount like 946 ml or 1 qt',
    },
    (text, locale, _unit, into) => readAmount(text, into.kindId, locale),
    (from, locale) => writeAmount(from.containerSize, from.kindId, locale),
  ),
  dateColumn({ id: 'openedOn', heading: 'Opened on', words: ['opened'] }),
  dateColumn({ id: 'keepsUntil', heading: 'Keeps until', words: ['use by', 'best before'] }),
];

const priceKinds = [
  ...supplyKinds.map(({ id, name }) => ({ id, name })),
  ...tools.all.map(({ id, name }) => ({ id: `tool:${id}`, name })),
  ...furnitureTemplates.all.map(({ id, name }) => ({ id: `piece:${id}`, name: `New: ${name}` })),
];

/** The columns of a price book. */
export const priceColumns: readonly Column<PriceLineDraft>[] = [
  ...kindedColumns<PriceLineDraft>(priceKinds),
  textColumn({ id: 'name', heading: 'Pack', words: ['pack name', 'name'], most: 80 }),
  quantityColumn(
    { id: 'size', heading: 'Size', words: ['pack size', 'contents'], accepted: 'a size like 946 ml, 1 qt or 5' },
    (text, locale, _unit, into) => {
      const value = supplyKind(into.kindId) === undefined ? parseNumber(text) : readAmount(text, into.kindId, locale);
      return value !== null && value > 0 ? value : null;
    },
    (from, locale) => writeAmount(from.size, from.kindId, locale),
  ),
  moneyColumn(
    { id: 'price', heading: 'Price', words: ['shelf price', 'cost'] },
    (of, locale) => of.currency || locale.currency,
    (from) => decimalMoney(from.price, from.currency || 'USD'),
  ),
  currencyColumn(),
  textColumn({ id: 'source', heading: 'Source', words: ['shop', 'store', 'where', 'seen at'], most: 120 }),
  dateColumn({ id: 'seenOn', heading: 'Seen on', words: ['seen', 'date'] }),
];
