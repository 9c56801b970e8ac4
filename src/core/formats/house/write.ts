import { coatings } from '../../catalog/coatings';
import { amountOfPrice } from '../../kernel/price';
import type { PieceRow, ProjectRows } from '../../model/rows';
import { writeTable } from '../table/writeTable';
import type { Column, FileLocale } from './column';
import { pieceColumns } from './pieceColumns';
import { type PriceLineDraft, priceColumns, type SupplyLineDraft, supplyColumns } from './supplyColumns';

function table<R>(columns: readonly Column<R>[], rows: readonly R[], locale: FileLocale): string {
  return writeTable(
    columns.map((column) => column.heading(locale)),
    rows.map((row) => columns.map((column) => column.write(row, locale))),
  );
}

/** Pieces as CSV; read again, it changes nothing. */
export function piecesCsv(pieces: readonly PieceRow[], locale: FileLocale): string {
  return table(pieceColumns, pieces, locale);
}

const kinded = (rows: Pick<ProjectRows, 'colorCards'>, supply: ProjectRows['supplies'][number]) => {
  const card = rows.colorCards.find((entry) => entry.id === supply.colorCardId);
  return {
    kindId: supply.kindId,
    colorName: card?.name ?? '',
    color: card?.lab ?? null,
    // The sheen that a reader takes when nothing is said needs no words.
    sheen: supply.sheen === (coatings.find(supply.kindId)?.sheens[0] ?? null) ? null : supply.sheen,
  };
};

/** Supplies as CSV. */
export function suppliesCsv(rows: Pick<ProjectRows, 'supplies' | 'colorCards'>, locale: FileLocale): string {
  const lines = rows.supplies.map(
    (supply): SupplyLineDraft => ({
      ...kinded(rows, supply),
      base: supply.base,
      amount: supply.stash.state === 'none' ? 0 : supply.stash.amount,
      containerSize: supply.containerSize,
      openedOn: supply.openedOn,
      keepsUntil: supply.keepsUntil,
    }),
  );
  return table(supplyColumns, lines, locale);
}

/** The price book as CSV: packs of supplies, tools, and what pieces cost new. A price that nobody knows is left out. */
export function pricesCsv(
  rows: Pick<ProjectRows, 'supplies' | 'colorCards' | 'packs' | 'priceNotes'>,
  locale: FileLocale,
): string {
  const packs = rows.packs.flatMap((pack): PriceLineDraft[] => {
    const supply = rows.supplies.find((entry) => entry.id === pack.supplyId);
    if (!supply || pack.price.state === 'unknown') return [];
    return [
      {
        ...kinded(rows, supply),
        name: pack.name,
        size: pack.size,
        price: amountOfPrice(pack.price).likely,
        currency: pack.currency,
        source: pack.source,
        seenOn: pack.seenOn || null,
      },
    ];
  });
  const notes = rows.priceNotes.flatMap((note): PriceLineDraft[] =>
    note.price.state === 'unknown'
      ? []
      : [
          {
            kindId: `${note.subject}:${note.subjectId}`,
            colorName: '',
            color: null,
            sheen: null,
            name: note.name,
            size: null,
            price: amountOfPrice(note.price).likely,
            currency: note.currency,
            source: note.source,
            seenOn: note.seenOn || null,
          },
        ],
  );
  return table(priceColumns, [...packs, ...notes], locale);
}
