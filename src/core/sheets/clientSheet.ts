import { longDate } from '../calendar/sayDay';
import { decimalMoney, formatMoney } from '../kernel/formatMoney';
import type { OriginKind } from '../sourcing/origins';
import type { Care } from './care';
import { type SheetBlock, type SheetDocument, type SheetSwatch, under } from './sheetDocument';

/** A piece as the client is told of it. */
export interface ClientPiece {
  slot: string;
  what: string;
  count: number;
  from: OriginKind;
  /** What it came to, cash that is paid or planned; minor units; null where costs are not shown. */
  cost: number | null;
  care: Care;
}

/** A spot as the client is told of it. */
export interface ClientSpot {
  id: string;
  name: string;
  pieces: ClientPiece[];
  /** Slots that nothing fills. */
  open: string[];
}

/** What a client is told of a project: what it looks like, what it is made of, and how to live with it. */
export interface ClientSheet {
  name: string;
  room: string;
  revealDate: string | null;
  palette: SheetSwatch[];
  spots: ClientSpot[];
  costs: { currency: string; budget: number; cameTo: number; isSettled: boolean } | null;
}

/** Where a piece came from, as a client is told. */
export const clientOriginNames: Readonly<Record<OriginKind, string>> = {
  owned: 'yours',
  lent: 'borrowed or rented',
  thrifted: 'found second-hand',
  free: 'free',
  made: 'made for here',
  new: 'new',
};

/** How many of what: "2 × Brass lamp". */
export const countedWords = ({ count, what }: Pick<ClientPiece, 'count' | 'what'>): string =>
  count > 1 ? `${count} × ${what}` : what;

/** What it came to, or will. */
export const costsSentence = ({ currency, budget, cameTo, isSettled }: NonNullable<ClientSheet['costs']>): string =>
  `${isSettled ? 'It came to' : 'It comes to'} ${formatMoney(cameTo, currency)} of a budget of ${formatMoney(budget, currency)}.`;

/** Until when a piece is still hardening, in words; empty where it is hard, or nobody knows. */
export function curingWords({ usableOn, hardOn }: Pick<Care, 'usableOn' | 'hardOn'>, today: string): string {
  if (usableOn !== null && usableOn > today) return `Leave it be until ${longDate(usableOn)}.`;
  if (hardOn === null || hardOn <= today) return '';
  return `Until ${longDate(hardOn)} it is still hardening: use it gently, nothing wet on it, nothing that presses or sticks.`;
}

/** The pictures of a sheet: those of the whole room, and those of each spot by its id. */
export interface ClientPictures {
  room: readonly { before: string | null; after: string }[];
  looks: ReadonlySet<string>;
}

/** The key of a spot's look among the pictures of a sheet. */
export const lookKey = (spotId: string): string => `look:${spotId}`;
/** The key of a photo among the pictures of a sheet. */
export const photoKey = (photoId: string): string => `photo:${photoId}`;

/**
 * The client's sheet as it is printed.
 * @param today the local date on which it is handed over: what has cured by then needs no saying
 */
export function clientSheetDocument(sheet: ClientSheet, pictures: ClientPictures, today: string): SheetDocument {
  const head = [sheet.room, sheet.revealDate === null ? '' : longDate(sheet.revealDate)];
  const { costs } = sheet;
  return {
    title: sheet.name,
    fileName: `${sheet.name} sheet`,
    blocks: [
      { kind: 'heading', text: sheet.name, level: 1 },
      ...textOf(head.filter((words) => words !== '').join(' · ')),
      ...pictures.room.map(
        ({ before, after }): SheetBlock => ({
          kind: 'pictures',
          pictures: [
            ...(before === null ? [] : [{ key: photoKey(before), caption: 'Before' }]),
            { key: photoKey(after), caption: before === null ? '' : 'After' },
          ],
        }),
      ),
      ...(costs === null ? [] : textOf(costsSentence(costs))),
      ...(sheet.palette.length === 0
        ? []
        : under({ kind: 'heading', text: 'Colors', level: 2 }, [{ kind: 'swatches', swatches: sheet.palette }])),
      ...sheet.spots.flatMap((spot) => spotBlocks(spot, pictures, costs?.currency ?? null)),
      ...careBlocks(sheet, today),
    ],
  };
}

/** The pieces of a sheet as rows for a spreadsheet. */
export function clientSheetTable(sheet: ClientSheet): { fields: string[]; rows: string[][] } {
  return {
    fields: [
      ...['Spot', 'For', 'What', 'Count', 'From where'],
      ...(sheet.costs === null ? [] : [`Cost (${sheet.costs.currency})`]),
      ...['Usable on', 'Hard on', 'Mind', 'Care'],
    ],
    rows: sheet.spots.flatMap(({ name, pieces }) =>
      pieces.map((piece) => [
        ...[name, piece.slot, piece.what, String(piece.count), clientOriginNames[piece.from]],
        ...(sheet.costs === null ? [] : [decimalMoney(piece.cost, sheet.costs.currency)]),
        ...[piece.care.usableOn ?? '', piece.care.hardOn ?? ''],
        ...[piece.care.cautions.join(' '), piece.care.notes.join(' ')],
      ]),
    ),
  };
}

const textOf = (text: string): SheetBlock[] => (text === '' ? [] : [{ kind: 'text', text }]);

function spotBlocks(spot: ClientSpot, { looks }: ClientPictures, currency: string | null): SheetBlock[] {
  const { id, name, pieces, open } = spot;
  return under({ kind: 'heading', text: name, level: 2 }, [
    ...(looks.has(id) ? [{ kind: 'pictures' as const, pictures: [{ key: lookKey(id), caption: '' }] }] : []),
    ...(pieces.length === 0
      ? []
      : [
          {
            kind: 'table' as const,
            name,
            columns: [
              { name: 'For', share: 3 },
              { name: 'What', share: 5 },
              { name: 'From where', share: 3 },
              ...(currency === null ? [] : [{ name: 'Cost', share: 2, isFigure: true }]),
            ],
            rows: pieces.map((piece) => [
              piece.slot,
              countedWords(piece),
              clientOriginNames[piece.from],
              ...(currency === null || piece.cost === null ? [] : [formatMoney(piece.cost, currency)]),
            ]),
          },
        ]),
    ...(open.length === 0 ? [] : textOf(`Not decided yet: ${open.join(', ')}.`)),
  ]);
}

/** How to live with the pieces; like pieces together. What can harm somebody comes first. */
function careBlocks({ spots }: ClientSheet, today: string): SheetBlock[] {
  const cared = new Map<string, { names: string[]; care: Care; curing: string }>();
  for (const { what, care } of spots.flatMap(({ pieces }) => pieces)) {
    const curing = curingWords(care, today);
    if (care.notes.length === 0 && care.cautions.length === 0 && curing === '') continue;
    const key = JSON.stringify([care.notes, care.cautions, curing]);
    const known = cared.get(key) ?? { names: [], care, curing };
    if (!known.names.includes(what)) known.names.push(what);
    cared.set(key, known);
  }
  return under(
    { kind: 'heading', text: 'Living with it', level: 2 },
    [...cared.values()].flatMap(({ names, care, curing }): SheetBlock[] => [
      { kind: 'heading', text: names.join(', '), level: 3 },
      ...care.cautions.map((text): SheetBlock => ({ kind: 'caution', text })),
      ...(curing === '' && care.notes.length === 0
        ? []
        : [{ kind: 'list' as const, items: [...(curing === '' ? [] : [curing]), ...care.notes] }]),
    ]),
  ).concat(
    cared.size === 0
      ? []
      : [{ kind: 'text', text: 'Common practice, from memory; what a label says comes first.', isSmall: true }],
  );
}
