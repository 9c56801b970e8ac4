import { supplyKind } from '../../catalog/supplyKinds';
import { stated } from '../../kernel/price';
import { sameValue } from '../../kernel/sameValue';
import type { ColorCardRow, PackRow, PieceRow, PriceNoteRow, Row, SupplyRow } from '../../model/rows';
import { newPack } from '../../plan/newRows';
import { pieceKindOf } from '../../sourcing/pieceKindOf';
import { unknownPiece } from '../../sourcing/unknownPiece';
import type { Sheen } from '../../state/surfaceState';
import type { Table } from '../table/readTable';
import { type CellProblem, type Column, type FileLocale, proposeMapping, readLine } from './column';
import { pieceColumns } from './pieceColumns';
import { type PriceLineDraft, priceColumns, type SupplyLineDraft, supplyColumns } from './supplyColumns';
import { SupplyIndex } from './supplyIndex';

export const houseTables = ['pieces', 'supplies', 'prices'] as const;
export type HouseTable = (typeof houseTables)[number];

/** What happens to a line of a file: it is new, changes something, is here already, or cannot be taken. */
export type Fate = 'new' | 'change' | 'same' | 'bad';

export interface ImportLine {
  line: number;
  fate: Fate;
  label: string;
  problems: CellProblem[];
}

/** One row to write: new when there was none before. */
export interface HouseChange {
  table: 'pieces' | 'supplies' | 'packs' | 'colorCards' | 'priceNotes';
  line: number;
  row: Row;
  before: Row | null;
}

export interface ImportPlan {
  fields: string[];
  /** Which column each field was taken for. */
  mapping: (string | null)[];
  /** Columns that could be chosen, with their headings. */
  columns: { id: string; heading: string }[];
  delimiter: string;
  decimal: '.' | ',';
  lines: ImportLine[];
  changes: HouseChange[];
  counts: Record<Fate, number>;
}

/** What of the house an import is held against. */
export interface PresentHouse {
  /** Pieces whose ids the file names, and every piece's fingerprint. */
  pieces: ReadonlyMap<string, PieceRow>;
  fingerprints: ReadonlySet<string>;
  supplies: readonly SupplyRow[];
  packs: readonly PackRow[];
  colorCards: readonly ColorCardRow[];
  priceNotes: readonly PriceNoteRow[];
}

/** By what two lines are taken for the same piece: name, size and where it is stored. */
export function pieceFingerprint(
  piece: Pick<PieceRow, 'name' | 'widthMm' | 'depthMm' | 'heightMm' | 'box' | 'shelf'>,
): string {
  const size = [piece.widthMm, piece.depthMm, piece.heightMm].map((mm) => (mm === null ? '' : Math.round(mm)));
  return [piece.name.trim().toLowerCase(), ...size, piece.box, piece.shelf].join('|');
}

const columnsOf: Record<HouseTable, readonly Column<never>[]> = {
  pieces: pieceColumns as readonly Column<never>[],
  supplies: supplyColumns as readonly Column<never>[],
  prices: priceColumns as readonly Column<never>[],
};

interface Outcome {
  label: string;
  fate: Fate;
  problems: CellProblem[];
  changes: Omit<HouseChange, 'line'>[];
}

const bad = (label: string, ...problems: CellProblem[]): Outcome => ({ label, fate: 'bad', problems, changes: [] });
const same = (before: Row, after: Row) => sameValue({ ...before, version: 0 }, { ...after, version: 0 });

/**
 * Decides what a file would do to the house, line by line, without doing it: the preview and the import are this one
 * function. Lines that cannot be taken are told by line, field, value and what is accepted; the others go on.
 * @param chosen which column each field is, where the stylist has said so; otherwise by the headings
 * @param newId an id for each new row
 */
export function planImport(
  kind: HouseTable,
  table: Table,
  locale: FileLocale,
  present: PresentHouse,
  newId: () => string,
  chosen: readonly (string | null)[] | null = null,
): ImportPlan {
  const columns = columnsOf[kind];
  const mapping =
    chosen !== null && chosen.length === table.fields.length
      ? [...chosen]
      : proposeMapping(table.fields, columns, locale);
  const byId = new Map(columns.map((column) => [column.id, column]));
  const lines: ImportLine[] = table.bad.map(({ line, reason }) => ({
    line,
    fate: 'bad',
    label: '',
    problems: [{ field: `line ${line}`, value: reason, accepted: 'a line as RFC 4180 writes it' }],
  }));
  const changes: HouseChange[] = [];
  const take = takers[kind](present, locale, newId);
  for (const row of table.rows) {
    const outcome = take((into) => readLine(table.fields, row.cells, mapping, byId, into as never, locale));
    lines.push({ line: row.line, fate: outcome.fate, label: outcome.label, problems: outcome.problems });
    for (const change of outcome.changes) changes.push({ ...change, line: row.line });
  }
  lines.sort((a, b) => a.line - b.line);
  const counts: ImportPlan['counts'] = { new: 0, change: 0, same: 0, bad: 0 };
  for (const line of lines) counts[line.fate] += 1;
  return {
    fields: table.fields,
    mapping,
    columns: columns.map((column) => ({ id: column.id, heading: column.heading(locale) })),
    delimiter: table.delimiter,
    decimal: locale.decimal,
    lines,
    changes,
    counts,
  };
}

type Take = (fill: (into: object) => CellProblem[]) => Outcome;

const takers: Record<HouseTable, (present: PresentHouse, locale: FileLocale, newId: () => string) => Take> = {
  pieces: (present, locale, newId) => {
    const taken = new Set<string>();
    return (fill) => {
      const draft = unknownPiece('', '', locale);
      draft.sorted = true;
      fill(draft);
      const known = present.pieces.get(draft.id);
      // Read again over what is here: a cell that is empty leaves a known piece as it is.
      const piece: PieceRow = known ? { ...known } : { ...draft, seenOn: null };
      const problems = fill(piece);
      if (piece.name === '') problems.unshift({ field: 'Name', value: '', accepted: 'a name' });
      if (piece.id !== '' && taken.has(piece.id))
        problems.push({ field: 'Id', value: piece.id, accepted: 'an id that no line before has' });
      if (problems.length > 0) return bad(piece.name, ...problems);
      if (known) {
        taken.add(known.id);
        return same(known, piece)
          ? { label: piece.name, fate: 'same', problems: [], changes: [] }
          : {
              label: piece.name,
              fate: 'change',
              problems: [],
              changes: [{ table: 'pieces', row: piece, before: known }],
            };
      }
      if (present.fingerprints.has(pieceFingerprint(piece)))
        return { label: piece.name, fate: 'same', problems: [], changes: [] };
      if (piece.id === '') piece.id = newId();
      taken.add(piece.id);
      const kind = pieceKindOf(piece.name);
      if (kind && piece.roles.length === 0) piece.roles = [...kind.roles];
      if (kind && piece.templateId === 'freeBox') piece.templateId = kind.templateId;
      if (kind && piece.kind === 'ordinary') piece.kind = kind.care;
      return { label: piece.name, fate: 'new', problems: [], changes: [{ table: 'pieces', row: piece, before: null }] };
    };
  },
  supplies: (present, locale, newId) => {
    const book = new SupplyIndex(present, newId);
    return (fill) => {
      const draft: SupplyLineDraft = {
        kindId: '',
        colorName: '',
        color: null,
        sheen: null,
        base: '',
        amount: null,
        containerSize: null,
        openedOn: null,
        keepsUntil: null,
      };
      const problems = fill(draft);
      if (draft.kindId === '' && !hasProblemIn(problems, 'kind'))
        problems.unshift({ field: 'Kind', value: '', accepted: 'a kind of supply' });
      const label = labelOf(draft);
      if (problems.length > 0) return bad(label, ...problems);
      const found = book.supply(draft);
      const before = found.before;
      const row: SupplyRow = {
        ...found.row,
        base: draft.base || found.row.base,
        containerSize: presentIfNear(draft.containerSize, found.row.containerSize),
        openedOn: draft.openedOn ?? found.row.openedOn,
        keepsUntil: draft.keepsUntil ?? found.row.keepsUntil,
        stash:
          draft.amount === null || isNear(draft.amount, found.row.stash)
            ? found.row.stash
            : draft.amount > 0
              ? { state: 'exact', amount: draft.amount }
              : { state: 'none', amount: 0 },
      };
      book.keep(row);
      if (before && same(before, row)) return { label, fate: 'same', problems: [], changes: [] };
      // An amount in the file counts as a check of the can on that day.
      if (draft.amount !== null) row.checkedOn = locale.today;
      return {
        label,
        fate: before ? 'change' : 'new',
        problems: [],
        changes: [...found.cards, { table: 'supplies', row, before }],
      };
    };
  },
  prices: (present, locale, newId) => {
    const book = new SupplyIndex(present, newId);
    const packs = new Map(present.packs.map((pack) => [packKey(pack), pack]));
    const notes = new Map(present.priceNotes.map((note) => [noteKey(note), note]));
    return (fill) => {
      const draft: PriceLineDraft = {
        kindId: '',
        colorName: '',
        color: null,
        sheen: null,
        name: '',
        size: null,
        price: null,
        currency: locale.currency,
        source: '',
        seenOn: null,
      };
      const problems = fill(draft);
      const label = [labelOf(draft), draft.name].filter((word) => word !== '').join(', ');
      if (draft.kindId === '')
        problems.unshift({ field: 'Kind', value: '', accepted: 'a supply, a tool, or “New: …”' });
      const [subject, subjectId] = draft.kindId.includes(':') ? draft.kindId.split(':') : [null, ''];
      if (draft.price === null && !hasProblemIn(problems, 'price'))
        problems.push({ field: 'Price', value: '', accepted: 'an amount of money like 12.50' });
      if (subject === null && draft.size === null && draft.kindId !== '' && !hasProblemIn(problems, 'size'))
        problems.push({ field: 'Size', value: '', accepted: 'a size like 946 ml, 1 qt or 5' });
      if (problems.length > 0 || draft.price === null) return bad(label, ...problems);
      const price = stated(draft.price);
      const seen = { source: draft.source, seenOn: draft.seenOn ?? '' };
      if (subject === 'tool' || subject === 'piece') {
        const row: PriceNoteRow = {
          id: newId(),
          version: 1,
          subject,
          subjectId: subjectId ?? '',
          name: draft.name || label,
          price,
          currency: draft.currency,
          ...seen,
        };
        const before = notes.get(noteKey(row)) ?? null;
        if (before) Object.assign(row, { id: before.id, version: before.version });
        notes.set(noteKey(row), row);
        return outcome(label, before, { table: 'priceNotes', row, before }, []);
      }
      const found = book.supply(draft);
      const first: HouseChange['row'] = found.row;
      const opening: Omit<HouseChange, 'line'>[] = found.before
        ? []
        : [...found.cards, { table: 'supplies', row: first, before: null }];
      book.keep(found.row);
      const size = draft.size ?? 1;
      const row: PackRow = {
        ...newPack(newId(), found.row.id, draft.name || String(size), size, price, draft.currency),
        ...seen,
      };
      const before = packs.get(packKey(row)) ?? null;
      if (before) Object.assign(row, { id: before.id, version: before.version, size: before.size });
      packs.set(packKey(row), row);
      return outcome(label, before, { table: 'packs', row, before }, opening);
    };
  },
};

/** Whether a problem is noted already for the column of a heading. */
const hasProblemIn = (problems: readonly CellProblem[], word: string) =>
  problems.some((problem) => problem.field.toLowerCase().includes(word));

/** Amounts in a file are rounded: one as near as this to the present amount is the same. */
const NEAR = 0.02;
const isNear = (amount: number, stash: SupplyRow['stash']) =>
  Math.abs(amount - (stash.state === 'none' ? 0 : stash.amount)) < NEAR + 0.002 * amount;
const presentIfNear = (said: number | null, here: number | null) =>
  said === null || (here !== null && Math.abs(said - here) < NEAR + 0.002 * said) ? here : said;

function outcome(
  label: string,
  before: Row | null,
  change: Omit<HouseChange, 'line'>,
  opening: Omit<HouseChange, 'line'>[],
): Outcome {
  if (before && same(before, change.row)) return { label, fate: 'same', problems: [], changes: [] };
  return { label, fate: before ? 'change' : 'new', problems: [], changes: [...opening, change] };
}

const packKey = (pack: PackRow) =>
  [pack.supplyId, pack.name.toLowerCase(), Math.round(pack.size * 10), pack.source.toLowerCase(), pack.currency].join(
    '|',
  );
const noteKey = (note: PriceNoteRow) =>
  [note.subject, note.subjectId, note.name.toLowerCase(), note.source.toLowerCase(), note.currency].join('|');

function labelOf(draft: { kindId: string; colorName: string; sheen: Sheen | null }): string {
  const kind = supplyKind(draft.kindId)?.name ?? draft.kindId;
  return [kind, draft.colorName, draft.sheen ?? ''].filter((word) => word !== '').join(', ');
}
