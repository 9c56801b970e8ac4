import { isRefusal } from '../acts/act';
import { insert } from '../acts/changes';
import { newOptionsChanges } from '../acts/options/newOptionChanges';
import { after } from '../acts/rowsAfter';
import { importanceWeight, likingOf } from '../balance/lookValue';
import { type WhyOut, whyOut } from '../balance/ways';
import { ciede2000 } from '../color/ciede2000';
import type { Lab } from '../color/lab';
import { severityRank, worstSeverity } from '../kernel/finding';
import type { Memo } from '../kernel/memo';
import type { PieceRow, ProjectRows, SlotRow } from '../model/rows';
import { type OptionPlan, Plan } from '../plan/computePlan';
import { finishedColor } from '../plan/finishedColor';
import type { OptionModel } from '../plan/model/optionModel';
import { nameOfOption } from '../plan/nameOfOption';
import { costOf } from '../plan/optionFigures';
import { SAME_COLOR } from '../sourcing/rankedPieces';
import { type Finish, wantedCards } from './finishTries';
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

const MS_PER_DAY = 86_400_000;
/** A color this much farther from what is wanted (ΔE00) is no worse to the eye ("noticed side by side"). */
const NO_WORSE = 2;

/** The rows with some ways added, and the pieces of the house that they take; what cannot be added is left out. */
function rowsWith(rows: ProjectRows, thoughts: readonly Thought[]): ProjectRows {
  const pieces = new Map(thoughts.flatMap(({ piece }) => (piece ? [[piece.id, piece] as const] : [])));
  const known = new Set(rows.pieces.map(({ id }) => id));
  const withPieces = after(
    rows,
    [...pieces.values()].filter(({ id }: PieceRow) => !known.has(id)).map((piece) => insert('pieces', piece)),
  );
  const changes = newOptionsChanges(
    withPieces,
    thoughts.map(({ payload }) => payload),
  );
  return isRefusal(changes) ? withPieces : after(withPieces, changes);
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

/** A way as it is held against others: thought of, or on the board already. */
interface Judged {
  name: string;
  finish: Finish | null;
  option: OptionPlan;
  cost: number;
  minutes: number;
  /** ΔE00 to the nearest color that the slot wants; null where either is not known. */
  offColor: number | null;
  color: Lab | null;
  misfits: number;
  risk: number;
  liking: number;
}

interface OpenWay extends Judged {
  thought: Thought;
}

function judged(name: string, finish: Finish | null, option: OptionPlan, wanted: readonly Lab[]): Judged {
  const color = finishedColor(option.model);
  const isFit = (code: string) => code.startsWith('fit.');
  return {
    name,
    finish,
    option,
    cost: costOf(option),
    minutes: option.hoursAdded.likely,
    color,
    offColor: color && wanted.length > 0 ? Math.min(...wanted.map((card) => ciede2000(color, card))) : null,
    misfits: option.findings.filter(({ code }) => isFit(code)).length,
    risk: severityRank[worstSeverity(option.findings.filter(({ code }) => !isFit(code))) ?? 'note'],
    liking: likingOf(option.option),
  };
}

/** Whether one way would look no worse than another in the same place: as near to the color, in the same kind of finish. */
function looksNoWorse(winner: Judged, loser: Judged): boolean {
  const [a, b] = [winner.finish, loser.finish];
  const isOpaque = (finish: Finish | null) => finish === 'paint' || finish === 'spray';
  // What has the right color already needs no paint; a wash, a stain or a paper is a look of its own.
  const isSameKind = a === b || (isOpaque(a) && isOpaque(b)) || (a === null && isOpaque(b));
  if (!isSameKind || winner.liking < loser.liking || winner.misfits > loser.misfits) return false;
  if (loser.offColor !== null) return winner.offColor !== null && winner.offColor <= loser.offColor + NO_WORSE;
  if (winner.color === null || loser.color === null) return winner.color === loser.color;
  return ciede2000(winner.color, loser.color) <= SAME_COLOR;
}

/** Whether a way does what another does in everything that counts, for no more, and something of it for less. */
function beats(winner: Judged, loser: Judged, isFirst: boolean): boolean {
  if (winner.option.cashAdded.atLeast && !loser.option.cashAdded.atLeast) return false;
  const no = [
    winner.cost - loser.cost,
    winner.minutes - loser.minutes,
    winner.option.usableMs - loser.option.usableMs,
    winner.risk - loser.risk,
    loser.option.count - winner.option.count,
  ];
  if (no.some((more) => more > 0) || !looksNoWorse(winner, loser)) return false;
  return isFirst || no.some((more) => more < 0);
}

/** What a way costs with its hours at what an hour is worth; without a worth, hours decide among equals only. */
const netOf = ({ cost, minutes }: Judged, hourValue: number): number =>
  cost + (minutes / 60) * Math.max(hourValue, 1e-3);

/** Ways of one kind stand in one pile: what is proposed is drawn from all piles in turn. */
const pileOf = ({ option, finish }: Judged): string => `${option.option.kind} ${finish ?? ''}`;

/** The best of each pile in turn, so that what is proposed truly differs. What to compare with comes first where nothing is. */
function inTurn(ways: readonly OpenWay[], hourValue: number, lacksYardstick: boolean): OpenWay[] {
  const piles = new Map<string, OpenWay[]>();
  const byNet = [...ways].sort(
    (a, b) =>
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

/** The slot that has what a way needs, where nothing of it is left over. */
function takenBy(plan: Plan, { option }: WayProposed): SlotRow | null {
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
  const wanted = wantedCards(plan.rows, slot).map(({ lab }) => lab);
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
    const taken = takenBy(plan, way);
    const out = whyOut(trial, option, { leastLiking: 1 });
    if (onBoard.has(sameness(option.model))) left.push({ ...way, why: { kind: 'onBoard' } });
    else if (taken) left.push({ ...way, why: { kind: 'taken', by: taken } });
    else if (out !== null && out !== 'unknownPrice') left.push({ ...way, why: { kind: out } });
    else {
      onBoard.add(sameness(option.model));
      open.push({ ...judged(nameOfThought(thought), thought.finish, option, wanted), thought });
    }
  }
  const usable = present
    .filter((option) => whyOut(plan, option, { leastLiking: 1 }) === null)
    .map(({ model }) => model)
    .flatMap((model) => {
      const option = trial.option(model.option.id);
      return option ? [judged(nameOfOption(model), model.recipe ? finishOf(model.recipe) : null, option, wanted)] : [];
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
  const chosen = ordered.slice(0, MOST_PROPOSED);
  for (const { thought, option } of ordered.slice(MOST_PROPOSED)) left.push({ thought, option, why: { kind: 'more' } });
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

/** Slots in the order in which they are worth proposing for: open ones first, what counts most before the rest. */
export const slotsToPropose = (plan: Plan): SlotRow[] =>
  plan.slots
    .filter(({ slot, open }) => open > 0 && !slot.locked)
    .map(({ slot }) => slot)
    .sort((a, b) => importanceWeight[b.importance] - importanceWeight[a.importance] || a.number - b.number);
