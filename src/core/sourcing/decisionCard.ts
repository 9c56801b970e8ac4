import { dateAfter } from '../calendar/localDates';
import { localDate } from '../calendar/zonedTime';
import { sourceKinds } from '../catalog/sourceKinds';
import { paletteFit } from '../color/paletteFit';
import { type Amount, differenceByEnds, exactly } from '../kernel/amount';
import { currencyExponent } from '../kernel/currencies.data';
import type { Memo } from '../kernel/memo';
import { MS_PER_DAY } from '../kernel/units';
import { blankOption } from '../model/blankOption';
import { newLedgerLine } from '../model/newLedgerLine';
import type { ColorCardRow, FindRow, LedgerRow, OptionRow, ProjectRows, RecipeRow, SlotRow } from '../model/rows';
import { taxAt } from '../model/sourceName';
import { type OptionPlan, Plan } from '../plan/computePlan';
import { costOf } from '../plan/optionFigures';
import type { Purse } from '../plan/purse';
import { receiptOf } from '../pricing/receipt';
import { proposedWays } from '../recipe/proposedWays';
import { type RecipeBody, recipeFor } from '../recipe/recipeBody';
import type { Wish } from '../recipe/wish';
import { type SlotFit, slotFits } from './slotFits';
import { cheaperDays } from './tillOnDays';
import { type Advice, type Availability, waitOrBuy } from './waitOrBuy';

/** A way to use the find, with its figures in the plan, and the rows that would be kept with it. */
export interface CardWay {
  kind: 'asFound' | 'makeover';
  name: string;
  plan: OptionPlan;
  option: OptionRow;
  recipe: RecipeRow | null;
  /** A color that would be new to the studio. */
  colorCard: ColorCardRow | null;
  /** Whether it stands on the board already. */
  isKept: boolean;
}

/** All that a decision in the shop needs. Money in minor units. */
export interface DecisionCard {
  till: Amount;
  fits: SlotFit[];
  /** The slot that it is judged for; null where it answers none. */
  slot: SlotRow | null;
  ways: CardWay[];
  /** The way that is proposed: as it is where its color suits, else made over. */
  best: CardWay | null;
  /** What the slot is held against. */
  yardstick: OptionPlan | null;
  advice: Advice;
  /** The purse after buying it, and using it in the best way. */
  purseAfter: Purse;
}

/** What a card is asked. */
export interface CardQuestion {
  find: FindRow;
  /** The slot that it is wanted for; null for none, undefined for the one that it answers best. */
  slotId?: string | null | undefined;
  /** How the makeover should be; nothing said leaves it to the kind of piece. */
  wish: Wish;
  /** The color of the makeover, of the studio or new; null where there is none. */
  colorCard: ColorCardRow | null;
  /** Makes the ids of what would be kept. */
  newId: () => string;
}

const optionRow = (
  id: string,
  slotId: string,
  kind: OptionRow['kind'],
  findId: string,
  recipeId: string | null,
): OptionRow => ({
  id,
  version: 1,
  slotId,
  kind,
  parts: [{ findId, offerId: null, pieces: 1 }],
  recipeId,
  ...blankOption,
});

/** How likely a find is to be there later, by what was said of it, else by its kind of place. */
export function availabilityOf(rows: Pick<ProjectRows, 'sources'>, find: FindRow): Availability {
  if (find.plenty !== null) return find.plenty ? 'plenty' : 'oneOfAKind';
  const source = rows.sources.find(({ id }) => id === find.sourceId);
  return sourceKinds.find(source?.kind ?? '')?.stock ?? 'oneOfAKind';
}

/** The rows with a find, seen but perhaps not kept yet, and with further ways for it. */
function withWays(rows: ProjectRows, find: FindRow, ways: readonly Omit<CardWay, 'plan'>[]): ProjectRows {
  const fresh = ways.filter(({ isKept }) => !isKept);
  return {
    ...rows,
    finds: [...rows.finds.filter(({ id }) => id !== find.id), find],
    options: [...rows.options, ...fresh.map(({ option }) => option)],
    recipes: [...rows.recipes, ...fresh.flatMap(({ recipe }) => (recipe ? [recipe] : []))],
    colorCards: [...rows.colorCards, ...fresh.flatMap(({ colorCard }) => (colorCard ? [colorCard] : []))],
  };
}

/** Pieces of the find that would be made over for a slot: as many as it asks for and there are. */
function startBody(find: FindRow, slot: SlotRow, newId: () => string): RecipeBody {
  const body = recipeFor(find.id, find.templateId, find.measures, newId());
  const count = Math.max(1, Math.min(slot.quantity, find.count));
  return { ...body, pieces: body.pieces.map((piece) => ({ ...piece, count })) };
}

function waysFor(plan: Plan, slot: SlotRow, asked: CardQuestion): Omit<CardWay, 'plan'>[] {
  const { find, newId } = asked;
  const kept = plan.rows.options.filter(
    (option) => option.slotId === slot.id && option.parts.some((part) => part.findId === find.id),
  );
  const keptOf = (...kinds: OptionRow['kind'][]) => kept.find(({ kind }) => kinds.includes(kind));
  const plain = keptOf('asFound', 'own');
  const ways: Omit<CardWay, 'plan'>[] = [
    {
      kind: 'asFound',
      name: 'As it is',
      option: plain ?? optionRow(newId(), slot.id, find.state === 'owned' ? 'own' : 'asFound', find.id, null),
      recipe: null,
      colorCard: null,
      isKept: plain !== undefined,
    },
  ];
  const made = keptOf('makeover');
  const recipe = plan.rows.recipes.find(({ id }) => id === made?.recipeId);
  if (made && recipe) {
    ways.push({ kind: 'makeover', name: recipe.name, option: made, recipe, colorCard: null, isKept: true });
    return ways;
  }
  const base = plan.model.recipeContext();
  const { colorCard } = asked;
  const context = {
    ...base,
    pieces: new Map([...base.pieces, [find.id, find]]),
    colorCards: colorCard ? new Map([...base.colorCards, [colorCard.id, colorCard]]) : base.colorCards,
  };
  const [way] = proposedWays(
    startBody(find, slot, newId),
    asked.wish,
    colorCard?.id ?? null,
    context,
    (needs) => plan.model.cashOf(needs),
    plan.rows.project.hourValue ?? 0,
    newId,
  );
  if (!way) return ways;
  const row: RecipeRow = { id: newId(), version: 1, name: find.name, body: way.body, doneOn: null, uses: [] };
  const isKnown = colorCard === null || plan.rows.colorCards.some(({ id }) => id === colorCard.id);
  ways.push({
    kind: 'makeover',
    name: way.name,
    option: optionRow(newId(), slot.id, 'makeover', find.id, row.id),
    recipe: row,
    colorCard: isKnown ? null : colorCard,
    isKept: false,
  });
  return ways;
}

/** The last day on which the slot can still be begun: the reveal, less the longest chain of its quickest makeover. */
function needByOf(plan: Plan, options: readonly OptionPlan[]): string | null {
  const { revealDate, timeZone } = plan.rows.project;
  if (revealDate === null) return null;
  const made = options.filter(({ option, refused }) => option.kind === 'makeover' && !refused);
  const judged = made.length > 0 ? made : options.filter(({ refused }) => !refused);
  const [quickest = plan.asOfMs] = judged.map(({ usableMs }) => usableMs).sort((a, b) => a - b);
  const chainDays = Math.max(0, Math.ceil((quickest - plan.asOfMs) / MS_PER_DAY));
  const today = localDate(plan.asOfMs, timeZone);
  const needBy = dateAfter(revealDate, -chainDays - 1);
  return needBy < today ? today : needBy;
}

/**
 * What a thing in a shop would mean for the plan: the slots it answers, what each way to use it comes to beside the slot's
 * yardstick, whether to wait for a sale, and the purse afterwards. Every figure is the plan's own, computed as if the find
 * and its ways were there already; nothing is kept.
 * @param memo what trial plans remember of each other
 */
export function decisionCard(plan: Plan, asked: CardQuestion, memo: Memo): DecisionCard {
  const { find } = asked;
  const { rows, asOfMs } = plan;
  const { currency, timeZone } = rows.project;
  const today = localDate(asOfMs, timeZone);
  const tax = taxAt(rows, find.sourceId);
  const till = receiptOf(find.story, currency, tax).total;
  const fits = slotFits(plan, find, today);
  const [first] = fits;
  const wanted = asked.slotId === undefined ? (first?.answers && first.goesIn ? first.slot.id : null) : asked.slotId;
  const slot = rows.slots.find(({ id }) => id === wanted) ?? null;
  if (slot === null) {
    const bought = find.state === 'seen' || find.state === 'passed' ? till : { ...till, low: 0, likely: 0, high: 0 };
    return {
      till,
      fits,
      slot,
      ways: [],
      best: null,
      yardstick: null,
      advice: { kind: 'noAdvice' },
      purseAfter: lessFree(plan.purse, bought),
    };
  }
  const drafts = waysFor(plan, slot, asked);
  const trial = new Plan(withWays(rows, find, drafts), asOfMs, memo, plan.model.cutter);
  const ways = drafts.flatMap((draft): CardWay[] => {
    const option = trial.option(draft.option.id);
    return option ? [{ ...draft, plan: option }] : [];
  });
  const able = ways.filter((way) => !way.plan.refused);
  const palette = rows.project.brief.palette.flatMap(
    ({ colorCardId }) => rows.colorCards.find(({ id }) => id === colorCardId)?.lab ?? [],
  );
  const suits = palette.length === 0 || (find.color !== null && paletteFit(find.color, palette) !== 'clashes');
  const best = able.find(({ kind }) => kind === (suits ? 'asFound' : 'makeover')) ?? able[0] ?? ways[0] ?? null;
  const trialSlot = trial.slot(slot.id);
  const options = trialSlot?.options ?? [];
  const yardstick = options.find(({ option }) => option.id === trialSlot?.yardstickId) ?? null;
  const isOfFind = (option: OptionRow) => option.parts.some(({ findId }) => findId === find.id);
  const others = options.filter(({ option, refused, count }) => !isOfFind(option) && !refused && count > 0);
  const [nextBest = null] = others
    .filter(({ cashAdded }) => !cashAdded.atLeast)
    .map(costOf)
    .sort((a, b) => a - b);
  const source = rows.sources.find(({ id }) => id === find.sourceId);
  const needBy = needByOf(plan, options);
  const advice = waitOrBuy({
    till: till.likely,
    today,
    needBy,
    availability: availabilityOf(rows, find),
    days: source && !till.atLeast ? cheaperDays(source, find, today, needBy, { currency, tax }) : [],
    nextBest,
    unit: 10 ** currencyExponent(currency),
  });
  return {
    till,
    fits,
    slot,
    ways,
    best,
    yardstick,
    advice,
    purseAfter: best ? purseAfterBuying(trial, slot, best, till, memo, find) : plan.purse,
  };
}

/**
 * The purse once the find is bought and the best way is chosen for the slot, in the place of what is chosen now. What the
 * till will say is not known to the cent where the tag is a range: so is what is left.
 */
function purseAfterBuying(
  trial: Plan,
  slot: SlotRow,
  { plan: way }: CardWay,
  till: Amount,
  memo: Memo,
  find: FindRow,
): Purse {
  const fills = trial.rows.fills.filter((fill) => fill.slotId !== slot.id);
  const count = Math.max(1, way.count);
  const fill = { id: `card ${way.option.id}`, version: 1, slotId: slot.id, optionId: way.option.id, count };
  const bought = paymentFor(find, till, trial.asOfMs);
  const ledger = bought === null ? trial.rows.ledger : [...trial.rows.ledger, bought];
  // Nothing is kept back for surprises on what is paid: the payment stands in the books, as it will.
  const { purse } = new Plan(
    { ...trial.rows, fills: [...fills, fill], ledger },
    trial.asOfMs,
    memo,
    trial.model.cutter,
  );
  return bought === null ? purse : lessFree(purse, differenceByEnds(till, exactly(till.likely)));
}

/** The payment that buying a find now would be; null for what is paid, ordered or ours already. */
function paymentFor(find: FindRow, till: Amount, atMs: number): LedgerRow | null {
  if (find.state !== 'seen' && find.state !== 'passed') return null;
  const subject = { kind: 'piece' as const, id: find.pieceId };
  return { ...newLedgerLine('card payment', 'payment', subject, till.likely, atMs), atLeast: till.atLeast };
}

/** A purse after so much more was spent on something that is in no plan. */
function lessFree(purse: Purse, spent: Amount): Purse {
  const { free } = purse.money;
  return {
    ...purse,
    money: {
      ...purse.money,
      free: {
        low: free.low - spent.high,
        likely: free.likely - spent.likely,
        high: free.high - spent.low,
        atLeast: free.atLeast || spent.atLeast,
      },
    },
  };
}
