import { materials, oldFinishes } from '../../catalog/substrates';
import { decimalMoney } from '../../kernel/formatMoney';
import { parseQuantity, quantityUnit, shownQuantity } from '../../kernel/quantities';
import { outlines } from '../../model/entities/piece';
import { type PieceRow, seasons, slotRoles } from '../../model/rows';
import { furnitureTemplates } from '../../surface/templates';
import {
  type Column,
  colorColumn,
  countColumn,
  currencyColumn,
  dateColumn,
  entryColumn,
  lengthColumn,
  moneyColumn,
  quantityColumn,
  textColumn,
  yesColumn,
} from './column';

type Draft = PieceRow;

const named = (ids: readonly string[]) => ids.map((id) => ({ id, name: id }));

/** A weight, in the unit of the studio unless its own is written. */
function weightColumn(id: 'weightG' | 'carriesG', heading: string, words: readonly string[]): Column<Draft> {
  return quantityColumn(
    {
      id,
      heading,
      words: [...words],
      accepted: 'a weight like 1.2 kg or 3 lb',
      unitHeading: ({ units }) => quantityUnit('weightG', units),
    },
    (text, locale, unit) => {
      const value = parseQuantity(/\d$/.test(text.trim()) ? `${text} ${unit}` : text, 'weightG', locale.units);
      const grams = value === null ? null : Math.round(value);
      return grams !== null && grams >= 1 && grams <= 1_000_000 ? grams : null;
    },
    (from, { units }) => {
      const grams = from[id];
      return grams === null ? '' : Math.round(shownQuantity(grams, 'weightG', units) * 100_000) / 100_000;
    },
  );
}

/** The columns of a table of pieces, in the order of our own files. */
export const pieceColumns: readonly Column<Draft>[] = [
  {
    id: 'id',
    heading: () => 'Id',
    words: [],
    read: (cell, into) => {
      const id = cell.trim().toLowerCase();
      if (!/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/.test(id))
        return { ok: false, accepted: 'an id as our own file has it, or nothing' };
      into.id = id;
      return { ok: true, value: null };
    },
    write: (from) => from.id,
  },
  textColumn({ id: 'name', heading: 'Name', words: ['what', 'piece', 'item', 'description'], most: 120 }),
  entryColumn({ id: 'templateId', heading: 'Kind', words: ['kind of piece', 'type'], entries: furnitureTemplates.all }),
  countColumn({
    id: 'count',
    heading: 'Count',
    words: ['how many', 'quantity', 'qty', 'pieces'],
    least: 1,
    most: 1000,
  }),
  yesColumn({ id: 'counted', heading: 'Counted', words: ['was counted'], writesNo: true }),
  lengthColumn({ id: 'widthMm', heading: 'Width', words: ['wide', 'w'] }),
  lengthColumn({ id: 'depthMm', heading: 'Depth', words: ['deep', 'd'] }),
  lengthColumn({ id: 'heightMm', heading: 'Height', words: ['tall', 'high', 'h'] }),
  weightColumn('weightG', 'Weight', []),
  weightColumn('carriesG', 'Carries', ['load', 'holds up']),
  entryColumn({ id: 'outline', heading: 'Outline', words: ['footprint', 'shape'], entries: named(outlines) }),
  lengthColumn({ id: 'innerWidthMm', heading: 'Inner width', words: ['inside width'] }),
  lengthColumn({ id: 'innerDepthMm', heading: 'Inner depth', words: ['inside depth'] }),
  lengthColumn({ id: 'innerHeightMm', heading: 'Inner height', words: ['inside height'] }),
  countColumn({ id: 'tiers', heading: 'Tiers', words: ['levels'], least: 1, most: 12 }),
  countColumn({ id: 'freshDays', heading: 'Fresh, days', words: ['fresh days', 'keeps days'], least: 1, most: 365 }),
  entryColumn({ id: 'materialId', heading: 'Material', words: ['made of'], entries: materials }),
  entryColumn({ id: 'finishId', heading: 'Finish', words: ['present finish'], entries: oldFinishes }),
  colorColumn({ id: 'color', heading: 'Color', words: ['colour', 'main color'] }),
  colorColumn({ id: 'accent', heading: 'Second color', words: ['accent', 'second colour'] }),
  {
    id: 'roles',
    heading: () => 'Roles',
    words: ['role'],
    read: (cell, into) => {
      const said = cell
        .toLowerCase()
        .split(/[,;/|]+/)
        .map((word) => word.trim())
        .filter((word) => word !== '');
      const roles = slotRoles.filter((role) => said.includes(role));
      if (roles.length < said.length) return { ok: false, accepted: `any of ${slotRoles.join(', ')}` };
      into.roles = roles;
      return { ok: true, value: null };
    },
    write: (from) => from.roles.join(', '),
  },
  textColumn({ id: 'style', heading: 'Style', words: ['style words', 'tags'], most: 200 }),
  entryColumn({ id: 'season', heading: 'Season', entries: named(seasons) }),
  textColumn({
    id: 'standsAt',
    heading: 'Stands at',
    words: ['stands', 'where', 'place', 'location', 'room'],
    most: 120,
  }),
  textColumn({ id: 'box', heading: 'Box', most: 60 }),
  textColumn({ id: 'shelf', heading: 'Shelf', most: 60 }),
  textColumn({ id: 'protection', heading: 'Protected by', words: ['protection', 'wrapped in'], most: 120 }),
  countColumn({
    id: 'sinceYear',
    heading: 'Since',
    words: ['since year', 'year', 'owned since'],
    least: 1000,
    most: 2200,
  }),
  countColumn({ id: 'uses', heading: 'Uses', words: ['times used'], least: 0, most: 100_000 }),
  dateColumn({ id: 'lastUsedOn', heading: 'Last used', words: ['last used on'] }),
  moneyColumn(
    { id: 'value', heading: 'Value', words: ['worth', 'price', 'cost'] },
    (of, locale) => of.currency || locale.currency,
    (from) => decimalMoney(from.value, from.currency || 'USD'),
  ),
  currencyColumn(),
  textColumn({ id: 'story', heading: 'Story', words: ['note', 'notes', 'history'], most: 2000 }),
  yesColumn({ id: 'fragile', heading: 'Fragile' }),
  textColumn({ id: 'borrowedFrom', heading: 'Borrowed from', words: ['lent by', 'owner'], most: 120 }),
  dateColumn({ id: 'backBy', heading: 'Back by', words: ['due back', 'return by'] }),
  dateColumn({ id: 'seenOn', heading: 'Seen on', words: ['seen'] }),
];
