import { materials, oldFinishes } from '../../catalog/substrates';
import { hexFromLab, type Lab, labFromHex } from '../../color/lab';
import { currencyExponent } from '../../kernel/currencies.data';
import { G_PER_POUND, parseWeight } from '../../kernel/parseQuantity';
import { type PieceRow, seasons } from '../../plan/houseRows';
import { slotRoles } from '../../plan/rows';
import { furnitureTemplates } from '../../surface/templates';
import {
  type Column,
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

function colorColumn(
  id: string,
  heading: string,
  set: (into: Draft, value: Lab) => void,
  get: (from: Draft) => Lab | null,
): Column<Draft> {
  return {
    id,
    heading: () => heading,
    words: id === 'color' ? ['colour', 'main color'] : ['accent', 'second colour'],
    read: (cell, into) => {
      const match = /^#?([0-9a-f]{6})$/i.exec(cell.trim());
      if (!match) return { ok: false, accepted: 'a color like #2f6f73' };
      set(into, labFromHex(`#${match[1]}`));
      return { ok: true, value: null };
    },
    write: (from) => {
      const lab = get(from);
      return lab ? hexFromLab(lab) : '';
    },
  };
}

const named = (ids: readonly string[]) => ids.map((id) => ({ id, name: id }));

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
  textColumn(
    { id: 'name', heading: 'Name', words: ['what', 'piece', 'item', 'description'], most: 120 },
    (into, value) => {
      into.name = value;
    },
    (from) => from.name,
  ),
  entryColumn(
    { id: 'templateId', heading: 'Kind', words: ['kind of piece', 'type'], entries: furnitureTemplates.all },
    (into, value) => {
      into.templateId = value;
    },
    (from) => from.templateId,
  ),
  countColumn(
    { id: 'count', heading: 'Count', words: ['how many', 'quantity', 'qty', 'pieces'], least: 1, most: 1000 },
    (into, value) => {
      into.count = value;
    },
    (from) => from.count,
  ),
  lengthColumn(
    { id: 'widthMm', heading: 'Width', words: ['wide', 'w'] },
    (into, value) => {
      into.widthMm = value;
    },
    (from) => from.widthMm,
  ),
  lengthColumn(
    { id: 'depthMm', heading: 'Depth', words: ['deep', 'd'] },
    (into, value) => {
      into.depthMm = value;
    },
    (from) => from.depthMm,
  ),
  lengthColumn(
    { id: 'heightMm', heading: 'Height', words: ['tall', 'high', 'h'] },
    (into, value) => {
      into.heightMm = value;
    },
    (from) => from.heightMm,
  ),
  quantityColumn(
    {
      id: 'weightG',
      heading: 'Weight',
      accepted: 'a weight like 1.2 kg or 3 lb',
      unitHeading: ({ units }) => (units === 'us' ? 'lb' : 'kg'),
    },
    (text, rim, unit) => {
      const bare = (['g', 'kg', 'lb', 'oz'] as const).find((known) => known === unit);
      const value = parseWeight(text, bare ?? (rim.units === 'us' ? 'lb' : 'kg'));
      return value !== null && value >= 1 && value <= 1_000_000 ? Math.round(value) : null;
    },
    (into, value) => {
      into.weightG = value;
    },
    (from, { units }) =>
      from.weightG === null
        ? ''
        : Math.round((from.weightG / (units === 'us' ? G_PER_POUND : 1000)) * 100_000) / 100_000,
  ),
  entryColumn(
    { id: 'materialId', heading: 'Material', words: ['made of'], entries: materials },
    (into, value) => {
      into.materialId = value;
    },
    (from) => from.materialId,
  ),
  entryColumn(
    { id: 'finishId', heading: 'Finish', words: ['present finish'], entries: oldFinishes },
    (into, value) => {
      into.finishId = value;
    },
    (from) => from.finishId,
  ),
  colorColumn(
    'color',
    'Color',
    (into, value) => {
      into.color = value;
    },
    (from) => from.color,
  ),
  colorColumn(
    'accent',
    'Second color',
    (into, value) => {
      into.accent = value;
    },
    (from) => from.accent,
  ),
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
  textColumn(
    { id: 'style', heading: 'Style', words: ['style words', 'tags'], most: 200 },
    (into, value) => {
      into.style = value;
    },
    (from) => from.style,
  ),
  entryColumn(
    { id: 'season', heading: 'Season', entries: named(seasons) },
    (into, value) => {
      into.season = value as PieceRow['season'];
    },
    (from) => from.season,
  ),
  textColumn(
    { id: 'standsAt', heading: 'Stands at', words: ['stands', 'where', 'place', 'location', 'room'], most: 120 },
    (into, value) => {
      into.standsAt = value;
    },
    (from) => from.standsAt,
  ),
  textColumn(
    { id: 'box', heading: 'Box', most: 60 },
    (into, value) => {
      into.box = value;
    },
    (from) => from.box,
  ),
  textColumn(
    { id: 'shelf', heading: 'Shelf', most: 60 },
    (into, value) => {
      into.shelf = value;
    },
    (from) => from.shelf,
  ),
  textColumn(
    { id: 'protection', heading: 'Protected by', words: ['protection', 'wrapped in'], most: 120 },
    (into, value) => {
      into.protection = value;
    },
    (from) => from.protection,
  ),
  countColumn(
    { id: 'sinceYear', heading: 'Since', words: ['since year', 'year', 'owned since'], least: 1000, most: 2200 },
    (into, value) => {
      into.sinceYear = value;
    },
    (from) => from.sinceYear,
  ),
  countColumn(
    { id: 'uses', heading: 'Uses', words: ['times used'], least: 0, most: 100_000 },
    (into, value) => {
      into.uses = value;
    },
    (from) => from.uses,
  ),
  dateColumn(
    { id: 'lastUsedOn', heading: 'Last used', words: ['last used on'] },
    (into, value) => {
      into.lastUsedOn = value;
    },
    (from) => from.lastUsedOn,
  ),
  moneyColumn(
    { id: 'value', heading: 'Value', words: ['worth', 'price', 'cost'] },
    (of, rim) => of.currency || rim.currency,
    (into, value) => {
      into.value = value;
    },
    (from) => {
      const exponent = currencyExponent(from.currency || 'USD');
      return from.value === null ? '' : (from.value / 10 ** exponent).toFixed(exponent);
    },
  ),
  currencyColumn(
    (into, value) => {
      into.currency = value;
    },
    (from) => from.currency,
  ),
  textColumn(
    { id: 'story', heading: 'Story', words: ['note', 'notes', 'history'], most: 2000 },
    (into, value) => {
      into.story = value;
    },
    (from) => from.story,
  ),
  yesColumn(
    { id: 'fragile', heading: 'Fragile' },
    (into, value) => {
      into.fragile = value;
    },
    (from) => from.fragile,
  ),
  textColumn(
    { id: 'borrowedFrom', heading: 'Borrowed from', words: ['lent by', 'owner'], most: 120 },
    (into, value) => {
      into.borrowedFrom = value;
    },
    (from) => from.borrowedFrom,
  ),
  dateColumn(
    { id: 'backBy', heading: 'Back by', words: ['due back', 'return by'] },
    (into, value) => {
      into.backBy = value;
    },
    (from) => from.backBy,
  ),
  dateColumn(
    { id: 'seenOn', heading: 'Seen on', words: ['seen'] },
    (into, value) => {
      into.seenOn = value;
    },
    (from) => from.seenOn,
  ),
];
