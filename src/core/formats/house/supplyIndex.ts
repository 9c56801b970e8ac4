import { coatings } from '../../catalog/coatings';
import type { Lab } from '../../color/lab';
import type { ColorCardRow, SupplyRow } from '../../model/rows';
import { newSupply } from '../../plan/newRows';
import { supplyKey } from '../../recipe/supplyKey';
import type { Sheen } from '../../state/surfaceState';
import type { HouseChange, PresentHouse } from './planImport';

/** Supplies and color cards as they are and as lines of a file add to them. */
export class SupplyIndex {
  private readonly byKey: Map<string, SupplyRow>;
  private readonly cards: ColorCardRow[];
  private readonly newId: () => string;

  constructor(present: Pick<PresentHouse, 'supplies' | 'colorCards'>, newId: () => string) {
    this.byKey = new Map(present.supplies.map((row) => [supplyKey(row.kindId, row.colorCardId, row.sheen), row]));
    this.cards = [...present.colorCards];
    this.newId = newId;
  }

  /** The supply that a line means, or a new one, with the color card it needs. */
  supply(draft: { kindId: string; colorName: string; color: Lab | null; sheen: Sheen | null }): {
    row: SupplyRow;
    before: SupplyRow | null;
    cards: Omit<HouseChange, 'line'>[];
  } {
    const coating = coatings.find(draft.kindId);
    const cards: Omit<HouseChange, 'line'>[] = [];
    let cardId: string | null = null;
    if (draft.colorName !== '') {
      const name = draft.colorName.toLowerCase();
      let card = this.cards.find((known) => known.name.toLowerCase() === name);
      if (!card) {
        // Without a code nobody knows the color: a plain gray until somebody picks it.
        card = { id: this.newId(), version: 1, name: draft.colorName, lab: draft.color ?? { L: 60, a: 0, b: 0 } };
        this.cards.push(card);
        cards.push({ table: 'colorCards', row: card, before: null });
      }
      cardId = card.id;
    }
    const sheen = draft.sheen ?? (coating ? (coating.sheens[0] ?? null) : null);
    const known = this.byKey.get(supplyKey(draft.kindId, cardId, sheen));
    const row = known ?? newSupply(this.newId(), draft.kindId, cardId, sheen);
    return { row, before: known ?? null, cards };
  }

  keep(row: SupplyRow): void {
    this.byKey.set(supplyKey(row.kindId, row.colorCardId, row.sheen), row);
  }
}
