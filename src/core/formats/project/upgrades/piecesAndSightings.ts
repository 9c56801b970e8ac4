import type { FileUpgrade } from './index';
import { derivedId, eachRow, isObject, type Loose, rowsIn, withDefaults } from './loose';

const PIECE = 8;
const LINE = 4;

/** A range that was written from its high end to its low one, turned round. */
function inOrder(price: unknown): unknown {
  if (!isObject(price) || typeof price.low !== 'number' || typeof price.high !== 'number') return price;
  const ends = [price.low, price.high, ...(typeof price.likely === 'number' ? [price.likely] : [])].sort(
    (a, b) => a - b,
  );
  return {
    ...price,
    low: ends[0],
    high: ends.at(-1),
    ...(typeof price.likely === 'number' ? { likely: ends[1] } : {}),
  };
}

/** A price story without the count of usable pieces, which is the piece's own now. */
function story2(story: unknown): unknown {
  if (!isObject(story)) return story;
  const { usable: _usable, ...rest } = story;
  return { ...rest, version: 2, tag: inOrder(story.tag) };
}

/** What a piece was that was only a find until now. */
function pieceOf(find: Loose, id: string, currency: unknown): Loose {
  const story = isObject(find.story) ? find.story : {};
  const bought = Number(story.usable ?? 1) * Number(story.quantity ?? 1);
  return {
    id,
    version: 1,
    name: find.name,
    kind: find.kind,
    templateId: find.templateId,
    materialId: find.materialId,
    finishId: find.finishId,
    sheen: find.sheen,
    color: find.color,
    era: find.era,
    leadTest: find.leadTest,
    cordCondition: find.cordCondition,
    measures: find.measures,
    repairMinutes: find.repairMinutes,
    inHouse: false,
    widthMm: null,
    depthMm: null,
    heightMm: null,
    weightG: null,
    accent: null,
    roles: [],
    style: '',
    season: 'any',
    standsAt: '',
    box: '',
    shelf: '',
    protection: '',
    count: Math.min(1_000_000, Math.max(0, Number.isFinite(bought) ? bought : 1)),
    sinceYear: null,
    uses: 0,
    lastUsedOn: null,
    value: null,
    currency: typeof currency === 'string' ? currency : '',
    story: '',
    fragile: false,
    borrowedFrom: '',
    backBy: null,
    mayAlter: false,
    photoId: null,
    seenOn: null,
    sorted: true,
  };
}

/** Ids of finds that a line in force says are paid or promised. */
function settledFinds(ledger: readonly Loose[]): ReadonlySet<unknown> {
  const reversed = new Map(ledger.map((line) => [line.reversesId, line.id]));
  const stands = (id: unknown): boolean => {
    let count = 0;
    for (let at = reversed.get(id); at !== undefined && count <= ledger.length; at = reversed.get(at)) count += 1;
    return count % 2 === 0;
  };
  return new Set(
    ledger
      .filter((line) => line.reversesId === null && (line.kind === 'payment' || line.kind === 'promise'))
      .filter((line) => stands(line.id))
      .map((line) => line.findId),
  );
}

/**
 * Version 4 wrote a find and a piece of the stash as two rows of one thing, kept what was bought in a state beside the
 * ledger, and let two supplies be the same. Version 5 has one row for a thing, a sighting of it in the project, and the
 * ledger alone for what was paid.
 */
export const piecesAndSightings: FileUpgrade = {
  from: 4,
  upgrade: (file) => {
    const project = isObject(file.project) ? file.project : {};
    const finds = rowsIn(file.finds);
    const ledger = rowsIn(file.ledger);
    const pieceIdOf = new Map(finds.map((find) => [find.id, find.pieceId ?? derivedId(find.id, PIECE)]));
    const byPiece = new Map(finds.map((find) => [pieceIdOf.get(find.id), find]).reverse() as [unknown, Loose][]);
    const pieces = eachRow(file.pieces ?? [], (piece) => {
      const find = byPiece.get(piece.id);
      return {
        ...piece,
        measures: find?.measures ?? {},
        repairMinutes: find?.repairMinutes ?? 0,
        inHouse: true,
      };
    });
    const fresh = finds
      .filter((find) => find.pieceId === null || find.pieceId === undefined)
      .map((find) => pieceOf(find, String(pieceIdOf.get(find.id)), project.currency));
    const settled = settledFinds(ledger);
    const said = finds
      .filter((find) => (find.state === 'bought' || find.state === 'promised') && !settled.has(find.id))
      .map((find) => ({
        id: derivedId(find.id, LINE),
        version: 1,
        kind: find.state === 'bought' ? 'payment' : 'promise',
        amount: 0,
        atMs: Number.isNaN(Date.parse(String(file.asOf))) ? 0 : Math.max(0, Date.parse(String(file.asOf))),
        subject: { kind: 'piece', id: pieceIdOf.get(find.id) },
        reversesId: null,
        note: 'what was paid was not kept',
      }));
    // Of supplies that are the same, the last one counted.
    const lastOf = new Map<string, unknown>();
    const identity = (supply: Loose) => JSON.stringify([supply.kindId, supply.colorCardId, supply.sheen]);
    for (const supply of rowsIn(file.supplies)) lastOf.set(identity(supply), supply.id);
    const standsFor = new Map(rowsIn(file.supplies).map((supply) => [supply.id, lastOf.get(identity(supply))]));
    const isKept = (id: unknown) => (standsFor.get(id) ?? id) === id;
    const keepLast = (list: unknown, idOf: (row: Loose) => unknown): unknown =>
      Array.isArray(list) ? list.filter((row) => !isObject(row) || isKept(idOf(row))) : list;
    const subjectOf = (line: Loose): Loose => {
      if (line.findId !== null && line.findId !== undefined)
        return { kind: 'piece', id: pieceIdOf.get(line.findId) ?? line.findId };
      if (line.offerId !== null && line.offerId !== undefined) return { kind: 'offer', id: line.offerId };
      if (line.supplyId !== null && line.supplyId !== undefined)
        return { kind: 'supply', id: standsFor.get(line.supplyId) ?? line.supplyId };
      return { kind: 'fee', id: project.id };
    };
    const { finds: _finds, ...rest } = file;
    return {
      ...rest,
      pieces: Array.isArray(pieces) ? [...pieces, ...fresh] : pieces,
      sightings: Array.isArray(file.finds)
        ? file.finds.map((find: unknown) =>
            isObject(find)
              ? {
                  id: find.id,
                  version: find.version,
                  pieceId: pieceIdOf.get(find.id),
                  source: find.source,
                  state: find.state === 'bought' || find.state === 'promised' ? 'seen' : find.state,
                  story: story2(find.story),
                  note: find.note,
                  reason: find.reason,
                }
              : find,
          )
        : file.finds,
      ledger: Array.isArray(file.ledger)
        ? [
            ...file.ledger.map((line: unknown) => {
              if (!isObject(line)) return line;
              const { findId: _find, offerId: _offer, supplyId: _supply, ...own } = line;
              return { ...own, subject: subjectOf(line) };
            }),
            ...said,
          ]
        : file.ledger,
      supplies: keepLast(file.supplies, (supply) => supply.id),
      packs: eachRow(
        keepLast(file.packs, (pack) => pack.supplyId),
        (pack) => ({ ...pack, price: inOrder(pack.price) }),
      ),
      offers: eachRow(file.offers, (offer) => ({ ...offer, price: inOrder(offer.price) })),
      priceNotes: eachRow(file.priceNotes, (note) => ({ ...note, price: inOrder(note.price) })),
      recipes: withDefaults(file.recipes, { uses: [] }),
    };
  },
};
