import type { PayloadOf } from '@core/acts';
import { perform } from '@core/acts/perform';
import { labFromHex } from '@core/color/lab';
import type { Memo } from '@core/kernel/memo';
import type { ColorCardRow, FindRow, PieceRow, SlotRow } from '@core/model/rows';
import { type OptionPlan, Plan } from '@core/plan/computePlan';
import { proposedWays } from '@core/recipe/proposedWays';
import { readWish } from '@core/recipe/wish';
import { newColorCard, proposedOption, startOf } from '../../app/newOption';
import { withPieces } from '../../sync/rowsAfter';

/** A way that may be added: what it is called, what it would come to, and the act that adds it. */
export interface Proposal {
  name: string;
  option: OptionPlan;
  payload: PayloadOf<'addOption'>;
}

/** What was answered so far about one more makeover. */
export interface Wanted {
  slot: SlotRow;
  find: FindRow;
  isNew: boolean;
  /** The piece of the house that the find is, where the project does not hold it yet. */
  piece: PieceRow | null;
  wish: string;
  /** The color that was picked; null leaves it to the words, else to the palette. */
  card: ColorCardRow | null;
}

/** The color of a wish: picked, else said, else the first that the project uses or its palette has. */
function colorOf(wanted: Wanted, cards: readonly ColorCardRow[]): { card: ColorCardRow | null; isNew: boolean } {
  const isKnown = (card: ColorCardRow) => cards.some((known) => known.id === card.id);
  if (wanted.card) return { card: wanted.card, isNew: !isKnown(wanted.card) };
  const { color, techniqueId } = readWish(wanted.wish, cards);
  if (color && 'cardId' in color) return { card: cards.find((card) => card.id === color.cardId) ?? null, isNew: false };
  if (color) return { card: newColorCard(color.name, labFromHex(color.hex)), isNew: true };
  // A wash is mostly a pale one.
  const pale = techniqueId === 'wash' ? [...cards].sort((a, b) => b.lab.L - a.lab.L)[0] : undefined;
  return { card: pale ?? cards[0] ?? null, isNew: false };
}

/**
 * Whole makeovers for what was answered, each with its cash, hours and day in the plan as it stands.
 * @param cards the colors to propose, the likeliest first
 * @param memo what trial plans remember of each other
 */
export function proposalsFor(wanted: Wanted, plan: Plan, cards: readonly ColorCardRow[], memo: Memo): Proposal[] {
  const { find, slot, piece } = wanted;
  const { card, isNew } = colorOf(wanted, cards);
  const base = plan.model.recipeContext();
  const context = {
    ...base,
    pieces: new Map([...base.pieces, [find.id, find]]),
    colorCards: card ? new Map([...base.colorCards, [card.id, card]]) : base.colorCards,
  };
  const pieces = Math.min(slot.quantity, Math.max(1, find.count));
  const ways = proposedWays(
    startOf(find, pieces),
    readWish(wanted.wish, cards),
    card?.id ?? null,
    context,
    (needs) => plan.model.cashOf(needs),
    plan.rows.project.hourValue ?? 0,
    () => crypto.randomUUID(),
  );
  return ways.flatMap(({ name, body }) => {
    const payload = proposedOption(slot.id, find, wanted.isNew, body, isNew ? card : null);
    const outcome = perform(withPieces(plan.rows, piece ? [piece] : []), 'addOption', payload);
    const option = outcome.ok
      ? new Plan(outcome.after, plan.asOfMs, memo, plan.model.cutter).option(payload.option.id)
      : undefined;
    return option ? [{ name, option, payload }] : [];
  });
}
