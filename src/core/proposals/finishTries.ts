import { coatings } from '../catalog/coatings';
import { consumables } from '../catalog/consumables';
import { type Lab, labFromHex } from '../color/lab';
import { plainColors } from '../color/plainColors.data';
import type { ColorCardRow, ProjectRows, SlotRow, SupplyRow } from '../model/rows';
import type { Wish } from '../recipe/wish';
import { cardsByUse } from './cardsByUse';

/** One finish to try on a piece: what is wished of it, and its color. */
export interface FinishTry {
  finish: Finish;
  wish: Wish;
  card: ColorCardRow | null;
  /** Whether the card is made for it. */
  isNewCard: boolean;
}

/** Where the color of a finish comes from: what the place wants, the palest of that, a wood tone, or a design. */
type ColorFrom = 'wanted' | 'palest' | 'wood' | 'design';

/** The finishes that are tried on every piece, in the order in which they are tried, each by the technique that asks for it. */
export const finishes = [
  { id: 'paint', techniqueId: 'brushOn', colorFrom: 'wanted' },
  { id: 'spray', techniqueId: 'sprayOn', colorFrom: 'wanted' },
  { id: 'wash', techniqueId: 'wash', colorFrom: 'palest' },
  { id: 'stain', techniqueId: 'stain', colorFrom: 'wood' },
  { id: 'paper', techniqueId: 'paperSheets', colorFrom: 'design' },
  { id: 'film', techniqueId: 'filmPanels', colorFrom: 'wanted' },
] as const satisfies readonly { id: string; techniqueId: string; colorFrom: ColorFrom }[];
export type Finish = (typeof finishes)[number]['id'];

/** A plain color by its name; one that is not listed is a fault of the program. */
function plainColor(name: string) {
  const color = plainColors.find((known) => known.name === name);
  if (!color) throw new Error(`no plain color “${name}”`);
  return color;
}

/** The wood tone of a stain where neither palette nor shelf names one. */
const USUAL_WOOD = plainColor('Walnut');
/** The color of everything else where no color is known at all: what most is painted in first (common practice, no source). */
export const USUAL_COLOR = plainColor('White');

const isThere = ({ stash }: SupplyRow): boolean => stash.state === 'always' || stash.amount > 0;

/**
 * The colors that a slot wants, the likeliest first: its own, else the palette's, else the one that the project uses. None
 * where neither is there: what other projects were painted in says nothing of this one.
 */
export function wantedCards(rows: ProjectRows, slot: Pick<SlotRow, 'colorCardIds'>): ColorCardRow[] {
  const own = slot.colorCardIds.flatMap((id) => rows.colorCards.find((card) => card.id === id) ?? []);
  if (own.length > 0) return own;
  const inPalette = new Map(rows.project.brief.palette.map(({ colorCardId, role }) => [colorCardId, role]));
  const byUse = cardsByUse(rows);
  const ofPalette = byUse.filter(({ id }) => ['main', 'accent', 'ground'].includes(inPalette.get(id) ?? ''));
  if (ofPalette.length === 0) {
    const used = new Set(rows.recipes.flatMap(({ body }) => body.layers.map(({ colorCardId }) => colorCardId)));
    return byUse.filter(({ id }) => used.has(id)).slice(0, 1);
  }
  // The main color comes before what happens to be in use already.
  return ofPalette.sort((a, b) => Number(inPalette.get(b.id) === 'main') - Number(inPalette.get(a.id) === 'main'));
}

/**
 * The finishes to try on a piece for a slot: each in the color that the place wants, and paint, stain and paper from the
 * shelf as well where some is left in a color that will do.
 * @param newCard makes a color card; asked at most once for each name
 */
export function finishTries(
  rows: ProjectRows,
  slot: Pick<SlotRow, 'colorCardIds'>,
  newCard: (name: string, lab: Lab) => ColorCardRow,
): FinishTry[] {
  const wanted = wantedCards(rows, slot);
  const onShelf = rows.supplies.filter(isThere);
  const cardOf = (id: string | null) => rows.colorCards.find((card) => card.id === id) ?? null;
  const isWanted = (card: ColorCardRow | null) => card !== null && wanted.some(({ id }) => id === card.id);
  const plain = (techniqueId: string): Wish => ({ techniqueId, coatingId: null, sheetId: null, color: null });

  /** What is on the shelf of a finish, as tries that ask for it by name. */
  const fromShelf = (finish: Finish, techniqueId: string): FinishTry[] =>
    onShelf.flatMap((supply): FinishTry[] => {
      const coating = coatings.find(supply.kindId);
      const card = cardOf(supply.colorCardId);
      const wish = plain(techniqueId);
      if (finish === 'paint' && coating?.role === 'paint' && coating.unit === 'mL' && isWanted(card))
        return [{ finish, wish: { ...wish, coatingId: coating.id }, card, isNewCard: false }];
      if (finish === 'stain' && coating?.role === 'translucent' && card)
        return [{ finish, wish: { ...wish, coatingId: coating.id }, card, isNewCard: false }];
      if (finish === 'paper' && consumables.find(supply.kindId)?.paper)
        return [{ finish, wish: { ...wish, sheetId: supply.kindId }, card, isNewCard: false }];
      return [];
    });

  const colorFor = (from: ColorFrom): { card: ColorCardRow | null; isNewCard: boolean } => {
    const known = (card: ColorCardRow | null) => ({ card, isNewCard: false });
    const named = (usual: { name: string; hex: string }) => {
      const card = rows.colorCards.find(({ name }) => name === usual.name);
      return card ? known(card) : { card: newCard(usual.name, labFromHex(usual.hex)), isNewCard: true };
    };
    switch (from) {
      case 'wanted':
        return wanted[0] ? known(wanted[0]) : named(USUAL_COLOR);
      case 'palest': {
        const [palest] = [...wanted].sort((a, b) => b.lab.L - a.lab.L);
        return palest ? known(palest) : named(USUAL_COLOR);
      }
      case 'wood': {
        const wood = rows.project.brief.palette.find(({ role }) => role === 'wood');
        const card = cardOf(wood?.colorCardId ?? null);
        return card ? known(card) : named(USUAL_WOOD);
      }
      case 'design':
        return known(null);
      default:
        return from satisfies never;
    }
  };

  return finishes.flatMap(({ id, techniqueId, colorFrom }): FinishTry[] => {
    const shelf = fromShelf(id, techniqueId).slice(0, 2);
    const usual: FinishTry = { finish: id, wish: plain(techniqueId), ...colorFor(colorFrom) };
    // Paper is laid in a design that somebody has: without one on the shelf, whole sheets of the usual kind.
    return id === 'paper' && shelf.length > 0 ? shelf : [...shelf, usual];
  });
}
