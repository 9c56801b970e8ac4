import { isRefusal } from '../acts/act';
import { insert } from '../acts/changes';
import { newOptionsChanges } from '../acts/options/newOptionChanges';
import { after } from '../acts/rowsAfter';
import { type WhyOut, whyOut } from '../balance/ways';
import type { Memo } from '../kernel/memo';
import { MS_PER_DAY } from '../kernel/units';
import type { ProjectRows, SlotRow } from '../model/rows';
import { type OptionPlan, Plan } from '../plan/computePlan';
import type { OptionModel } from '../plan/model/optionModel';
import { nameOfOption } from '../plan/nameOfOption';
import { wantedCards } from './finishTries';
import { beats, type JudgedWay, judgedWay, sameFinds, type Wanted } from './judgedWay';
import { finishOf, type Thought } from './thoughts';

/** Why a way that was thought of is not among those that are proposed. */
export type WhyLeft =
  | { kind: WhyOut }
  /** Its pieces fill other slots. */
  | { kind: 'taken'; by: SlotRow }
  /** The board has it already. */
  | { kind: 'onBoard' }
  /** Another does the same for less: by so much cost in minor units, so many minutes, so many days. */
  | { kind: 'beaten'; by: string; cost: number; minutes: number; days: number }
  /** As good as those that are proposed, and one more than anybody wants to look at. */
  | { kind: 'more' };

/** A way with its figures in the plan. */
export interface WayProposed {
  thought: Thought;
  option: OptionPlan;
}
export interface WayLeft extends WayProposed {
  why: WhyLeft;
}

/** What is proposed for a slot, best first, and what was thought of beside it. */
export interface Proposed {
  ways: WayProposed[];
  left: WayLeft[];
}

/** How many ways are proposed at once. */
export const MOST_PROPOSED = 5;

/**
 * The rows with some ways added, one after the other, and the pieces of the house that they take. A way that the rules
 * refuse is left out, and stands in nobody's way.
 */
function rowsWith(rows: ProjectRows, thoughts: readonly Thought[]): ProjectRows {
  return thoughts.reduce((present, { piece, payload }) => {
    const isNew = piece !== null && !present.pieces.some(({ id }) => id === piece.id);
    const withPiece = isNew ? after(present, [insert('pieces', piece)]) : present;
    const changes = newOptionsChanges(withPiece, [payload]);
    return isRefusal(changes) ? present : after(withPiece, changes);
  }, rows);
}

/** What a way comes to, apart from its figures: two with the same are the same way. */
function sameness({ option, finds, offers, recipe }: OptionModel): string {
  const layers = (recipe?.layers ?? []).map(
    ({ technique, coating, colorCardId, sheet }) =>
      `${technique.id} ${coating.id} ${colorCardId ?? ''} ${sheet?.kind.id ?? ''}`,
  );
  return [
    option.kind,
    finds.map(({ id }) => id).sort(),
    offers.map(({ offer }) => `${offer.name} ${JSON.stringify(offer.price)}`).sort(),
    (recipe?.built ?? []).map(({ build }) => build.id),
    layers,
  ]
    .map((part) => (typeof part === 'string' ? part : part.join('+')))
    .join('|');
}

/** A way that was thought of, as it is held against others. */
interface OpenWay extends JudgedWay {
  thought: Thought;
}

/** What a way costs with its hours at what an hour is worth; without a worth, hours decide among equals only. */
const netOf = ({ cost, minutes }: JudgedWay, hourValue: number): number =>
  cost + (minutes / 60) * Math.max(hourValue, 1e-3);

/** Ways of one kind stand in one pile: what is proposed is drawn from all piles in turn. */
const pileOf = ({ option, finish }: JudgedWay): string => `${option.option.kind} ${finish ?? ''}`;

/** The best of each pile in turn, so that what is proposed truly differs. What to compare with comes first where nothing is. */
function inTurn(ways: readonly OpenWay[], hourValue: number, lacksYardstick: boolean): OpenWay[] {
  const piles = new Map<string, OpenWay[]>();
  const byNet = [...ways].sort(
    (a, b) =>
      Number(b.isNamed) - Number(a.isNamed) ||
      Number(a.option.cashAdded.atLeast) - Number(b.option.cashAdded.atLeast) ||
      netOf(a, hourValue) - netOf(b, hourValue) ||
      b.thought.fit - a.thought.fit ||
      (sameness(a.option.model) < sameness(b.option.model) ? -1 : 1),
  );
  for (const way of byNet) piles.set(pileOf(way), [...(piles.get(pileOf(way)) ?? []), way]);
  const ordered = [...piles.entries()];
  if (lacksYardstick) ordered.sort(([a], [b]) => Number(b.startsWith('buyNew')) - Number(a.startsWith('buyNew')));
  const most = Math.max(0, ...ordered.map(([, pile]) => pile.length));
  return Array.from({ length: most }, (_, round) => ordered.flatMap(([, pile]) => pile[round] ?? [])).flat();
}

/** The first few, with another thing among them where all would be of one and another is there: one may go elsewhere. */
function amongThem(ordered: readonly OpenWay[]): OpenWay[] {
  const first = ordered.slice(0, MOST_PROPOSED);
  const [best] = first;
  if (!best || best.findIds.length === 0 || !first.every((way) => sameFinds(way, best))) return first;
  const other = ordered.find((way) => way.findIds.length > 0 && !sameFinds(way, best));
  return other ? [...first.slice(0, MOST_PROPOSED - 1), other] : first;
}

/** The slot that has what a way needs, where nothing of it is left over. */
function slotThatHasIt(plan: Plan, { option }: WayProposed): SlotRow | null {
  for (const find of option.model.finds) {
    const elsewhere = plan.chosen.filter(
      ({ model }) => model.slot.id !== option.slotId && model.finds.some(({ id }) => id === find.id),
    );
    const used = elsewhere.reduce(
      (sum, { model, count }) =>
        sum + count * (model.option.parts.find(({ findId }) => findId === find.id)?.pieces ?? 0),
      0,
    );
    if (elsewhere[0] && used >= Math.max(1, find.count)) return elsewhere[0].model.slot;
  }
  return null;
}

/**
 * Proposes ways to fill a slot: of all that was thought of, what can be chosen, is not on the board, and is beaten by
 * nothing of what is on the board or thought of; at most five, the best of each kind in turn. All else is told with why.
 * Figures are those of the plan with these ways on its board: what the board will show.
 * @param memo what trial plans remember of each other
 */
export function proposeWays(plan: Plan, slot: SlotRow, thoughts: readonly Thought[], memo: Memo): Proposed {
  const { hourValue } = plan.rows.project;
  const wanted: Wanted = {
    colors: wantedCards(plan.rows, slot).map(({ lab }) => lab),
    slotName: slot.name,
    elsewhere: new Set(
      thoughts.flatMap(({ isWantedElsewhere, payload }) =>
        isWantedElsewhere ? payload.option.parts.flatMap(({ findId }) => findId ?? []) : [],
      ),
    ),
  };
  const planWith = (own: readonly Thought[]) =>
    new Plan(rowsWith(plan.rows, own), plan.asOfMs, memo, plan.model.cutter);
  const trial = planWith(thoughts);
  const present = plan.slot(slot.id)?.options ?? [];
  const onBoard = new Set(present.map(({ model }) => sameness(model)));
  const left: WayLeft[] = [];
  const open: OpenWay[] = [];
  for (const thought of thoughts) {
    const option = trial.option(thought.payload.option.id);
    if (!option) continue;
    const way = { thought, option };
    const taken = slotThatHasIt(plan, way);
    const out = whyOut(trial, option, { leastLiking: 1 });
    if (onBoard.has(sameness(option.model))) left.push({ ...way, why: { kind: 'onBoard' } });
    else if (taken) left.push({ ...way, why: { kind: 'taken', by: taken } });
    else if (out !== null && out !== 'unknownPrice') left.push({ ...way, why: { kind: out } });
    else {
      onBoard.add(sameness(option.model));
      open.push({ ...judgedWay(nameOfThought(thought), thought.finish, option, wanted), thought });
    }
  }
  const usable = present
    .filter((option) => whyOut(plan, option, { leastLiking: 1 }) === null)
    .map(({ model }) => model)
    .flatMap((model) => {
      const option = trial.option(model.option.id);
      return option
        ? [judgedWay(nameOfOption(model), model.recipe ? finishOf(model.recipe) : null, option, wanted)]
        : [];
    });
  const rivals = [...usable, ...open];
  const standing = open.filter((loser, place) => {
    const winner = rivals.find((rival, n) => rival !== loser && beats(rival, loser, n < usable.length + place));
    if (winner)
      left.push({
        thought: loser.thought,
        option: loser.option,
        why: {
          kind: 'beaten',
          by: winner.name,
          cost: loser.cost - winner.cost,
          minutes: loser.minutes - winner.minutes,
          days: Math.round((loser.option.usableMs - winner.option.usableMs) / MS_PER_DAY),
        },
      });
    return !winner;
  });
  const lacksYardstick = plan.slot(slot.id)?.yardstickId == null;
  const ordered = inTurn(standing, hourValue ?? 0, lacksYardstick);
  const chosen = amongThem(ordered);
  for (const way of ordered)
    if (!chosen.includes(way)) left.push({ thought: way.thought, option: way.option, why: { kind: 'more' } });
  // Told as the board will show them: beside each other, and without what was left out.
  const shown = planWith(chosen.map(({ thought }) => thought));
  return {
    ways: chosen.map(({ thought, option }) => ({
      thought,
      option: shown.option(thought.payload.option.id) ?? option,
    })),
    left,
  };
}

/** What a way is called. */
export const nameOfThought = ({ what, how }: Pick<Thought, 'what' | 'how'>): string =>
  how === '' ? what : `${what}, ${how.charAt(0).toLowerCase()}${how.slice(1)}`;
