import { coatings } from '../../catalog/coatings';
import { consumables, type SupplyUnit } from '../../catalog/consumables';
import { tools } from '../../catalog/tools';
import { hexFromLab, type Lab, labFromHex } from '../../color/lab';
import { currencyExponent } from '../../kernel/currencies.data';
import { parseNumber, parseVolume } from '../../kernel/parseQuantity';
import { ML_PER_US_FLUID_OUNCE, type UnitSystem } from '../../kernel/units';
import type { Sheen } from '../../state/surfaceState';
import { furnitureTemplates } from '../../surface/templates';
import {
  type Column,
  currencyColumn,
  dateColumn,
  entryColumn,
  type FileRim,
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

/** What a supply of a kind is counted in; null when the kind is none. */
export function unitOfKind(kindId: string): SupplyUnit | null {
  return coatings.find(kindId)?.unit ?? consumables.find(kindId)?.unit ?? null;
}

const shownUnit = (kindId: string, units: UnitSystem) => {
  const unit = unitOfKind(kindId);
  return unit === 'mL' ? (units === 'us' ? 'fl oz' : 'ml') : (unit ?? '');
};

/** An amount of a kind: a volume for what is poured, else a number with or without the unit's name. */
function readAmount(text: string, kindId: string, rim: FileRim): number | null {
  const unit = unitOfKind(kindId);
  if (unit === 'mL') return parseVolume(text, rim.units === 'us' ? 'floz' : 'ml');
  const value = parseNumber(text.replace(/\s*(cans?|sheets?|m|pieces?|g|each)$/i, ''));
  return value === null || value < 0 ? null : value;
}

function writeAmount(amount: number | null, kindId: string, rim: FileRim): string {
  if (amount === null) return '';
  const shown = unitOfKind(kindId) === 'mL' && rim.units === 'us' ? amount / ML_PER_US_FLUID_OUNCE : amount;
  return `${Math.round(shown * 100) / 100} ${shownUnit(kindId, rim.units)}`.trim();
}

type Kinded = Pick<SupplyLineDraft, 'kindId' | 'colorName' | 'color' | 'sheen'>;

const sheens: readonly { id: string; name: string }[] = ['raw', 'matt', 'satin', 'gloss'].map((id) => ({
  id,
  name: id,
}));

function kindedColumns<R extends Kinded>(entries: readonly { id: string; name: string }[]): Column<R>[] {
  return [
    entryColumn(
      { id: 'kindId', heading: 'Kind', words: ['supply', 'what', 'item', 'product'], entries },
      (into, value) => {
        into.kindId = value;
      },
      (from) => from.kindId,
    ),
    textColumn(
      { id: 'colorName', heading: 'Color', words: ['colour', 'color name', 'color card'], most: 80 },
      (into, value) => {
        into.colorName = value;
      },
      (from) => from.colorName,
    ),
    {
      id: 'color',
      heading: () => 'Color code',
      words: ['colour code', 'hex'],
      read: (cell, into) => {
        const match = /^#?([0-9a-f]{6})$/i.exec(cell.trim());
        if (!match) return { ok: false, accepted: 'a color like #2f6f73' };
        into.color = labFromHex(`#${match[1]}`);
        return { ok: true, value: null };
      },
      write: (from) => (from.color ? hexFromLab(from.color) : ''),
    },
    entryColumn(
      { id: 'sheen', heading: 'Sheen', words: ['gloss'], entries: sheens },
      (into, value) => {
        into.sheen = value as Sheen;
      },
      (from) => from.sheen,
    ),
  ];
}

const supplyKinds = [...coatings.all, ...consumables.all].map(({ id, name }) => ({ id, name }));

/** The columns of a table of supplies. */
export const supplyColumns: readonly Column<SupplyLineDraft>[] = [
  ...kindedColumns<SupplyLineDraft>(supplyKinds),
  textColumn(
    { id: 'base', heading: 'Base', words: ['tint base'], most: 60 },
    (into, value) => {
      into.base = value;
    },
    (from) => from.base,
  ),
  quantityColumn(
    {
      id: 'amount',
      heading: 'Left',
      words: ['amount', 'amount left', 'stock'],
      accepted: 'an amount like 500 ml, 1 qt or 2',
    },
    (text, rim, _unit, into) => readAmount(text, into.kindId, rim),
    (into, value) => {
      into.amount = value;
    },
    (from, rim) => writeAmount(from.amount, from.kindId, rim),
  ),
  quantityColumn(
    {
      id: 'containerSize',
      heading: 'Full can holds',
      words: ['size', 'can', 'container'],
      accepted: 'an amount like 946 ml or 1 qt',
    },
    (text, rim, _unit, into) => readAmount(text, into.kindId, rim),
    (into, value) => {
      into.containerSize = value;
    },
    (from, rim) => writeAmount(from.containerSize, from.kindId, rim),
  ),
  dateColumn(
    { id: 'openedOn', heading: 'Opened on', words: ['opened'] },
    (into, value) => {
      into.openedOn = value;
    },
    (from) => from.openedOn,
  ),
  dateColumn(
    { id: 'keepsUntil', heading: 'Keeps until', words: ['use by', 'best before'] },
    (into, value) => {
      into.keepsUntil = value;
    },
    (from) => from.keepsUntil,
  ),
];

const priceKinds = [
  ...supplyKinds,
  ...tools.all.map(({ id, name }) => ({ id: `tool:${id}`, name })),
  ...furnitureTemplates.all.map(({ id, name }) => ({ id: `piece:${id}`, name: `New: ${name}` })),
];

/** The columns of a price book. */
export const priceColumns: readonly Column<PriceLineDraft>[] = [
  ...kindedColumns<PriceLineDraft>(priceKinds),
  textColumn(
    { id: 'name', heading: 'Pack', words: ['pack name', 'name'], most: 80 },
    (into, value) => {
      into.name = value;
    },
    (from) => from.name,
  ),
  quantityColumn(
    { id: 'size', heading: 'Size', words: ['pack size', 'contents'], accepted: 'a size like 946 ml, 1 qt or 5' },
    (text, rim, _unit, into) => {
      const value = unitOfKind(into.kindId) === null ? parseNumber(text) : readAmount(text, into.kindId, rim);
      return value !== null && value > 0 ? value : null;
    },
    (into, value) => {
      into.size = value;
    },
    (from, rim) => writeAmount(from.size, from.kindId, rim),
  ),
  moneyColumn(
    { id: 'price', heading: 'Price', words: ['shelf price', 'cost'] },
    (of, rim) => of.currency || rim.currency,
    (into, value) => {
      into.price = value;
    },
    (from) => {
      const exponent = currencyExponent(from.currency || 'USD');
      return from.price === null ? '' : (from.price / 10 ** exponent).toFixed(exponent);
    },
  ),
  currencyColumn(
    (into, value) => {
      into.currency = value;
    },
    (from) => from.currency,
  ),
  textColumn(
    { id: 'source', heading: 'Source', words: ['shop', 'store', 'where', 'seen at'], most: 120 },
    (into, value) => {
      into.source = value;
    },
    (from) => from.source,
  ),
  dateColumn(
    { id: 'seenOn', heading: 'Seen on', words: ['seen', 'date'] },
    (into, value) => {
      into.seenOn = value;
    },
    (from) => from.seenOn,
  ),
];
