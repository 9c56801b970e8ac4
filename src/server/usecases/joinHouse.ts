import { identityOf } from '@core/acts/supplies/sameSupply';
import { pieceFingerprint } from '@core/formats/house/planImport';
import type { HouseRows } from '@core/model/rows';
import { sourceNamed } from '@core/plan/newSource';
import { piecePrints } from '../persistence/pieces';
import type { Transaction } from '../persistence/scope';
import { houseRows } from '../persistence/snapshots';

const sameColor = (a: HouseRows['colorCards'][number], b: HouseRows['colorCards'][number]) =>
  a.name === b.name && Math.abs(a.lab.L - b.lab.L) + Math.abs(a.lab.a - b.lab.a) + Math.abs(a.lab.b - b.lab.b) < 0.01;

/**
 * Rows of a file's house that mean something this house has already: by their id, or a color card by name and color, a
 * supply by kind, color and sheen, a tool by its kind, a place by its name, a piece of the house by name, size and store.
 * @param sameStudio whether the file is of this studio, so that ids mean the same things
 * @returns old id → id here
 */
export async function joinHouse(
  transaction: Transaction,
  file: HouseRows,
  sameStudio: boolean,
): Promise<Map<string, string>> {
  const here = await houseRows(
    transaction,
    file.pieces.map((piece) => piece.id),
  );
  const joined = new Map<string, string>();
  const idsOf = (rows: readonly { id: string }[]) => new Set(rows.map((row) => row.id));
  const join = <R extends { id: string }>(
    rows: readonly R[],
    present: readonly R[],
    same: (row: R) => R | undefined,
  ) => {
    const ids = idsOf(present);
    for (const row of rows) {
      const found = sameStudio && ids.has(row.id) ? row.id : same(row)?.id;
      if (found !== undefined) joined.set(row.id, found);
    }
  };
  join(file.colorCards, here.colorCards, (card) => here.colorCards.find((other) => sameColor(other, card)));
  const supplies = new Map(here.supplies.map((supply) => [identityOf(supply), supply]));
  join(file.supplies, here.supplies, (supply) => {
    const cardId = supply.colorCardId === null ? null : (joined.get(supply.colorCardId) ?? null);
    // A color that is new here has no supply yet.
    if (supply.colorCardId !== null && cardId === null) return undefined;
    return supplies.get(identityOf({ ...supply, colorCardId: cardId }));
  });
  join(file.tools, here.tools, (tool) => here.tools.find((other) => other.toolId === tool.toolId));
  join(file.sources, here.sources, (source) => sourceNamed(here.sources, source.name));
  const prints = new Map((await piecePrints(transaction)).map((piece) => [pieceFingerprint(piece), piece.id]));
  const pieces = idsOf(here.pieces);
  for (const piece of file.pieces) {
    const same = sameStudio && pieces.has(piece.id) && piece.inHouse ? piece.id : undefined;
    const print = piece.inHouse ? prints.get(pieceFingerprint(piece)) : undefined;
    const found = same ?? print;
    if (found !== undefined) joined.set(piece.id, found);
  }
  // What a known supply is sold in is known too.
  for (const pack of file.packs) if (joined.has(pack.supplyId)) joined.set(pack.id, pack.id);
  return joined;
}
