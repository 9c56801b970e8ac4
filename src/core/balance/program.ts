import { mostOf } from '../model/finds';
import type { Plan, PlannedFill } from '../plan/computePlan';
import { importanceWeight } from '../plan/importanceWeight';
import { type OptionModel, ownHandsOf } from '../plan/model/optionModel';
import { beatenWays } from './beaten';
import type { Exclusion } from './exclusions';
import { likingOf } from './lookValue';
import { type ProgramPool, ProgramPools, type WayDraw } from './programPools';
import { type WayOut, type WhyOut, waysOf } from './ways';

/** A way to fill a slot. */
export interface ProgramWay {
  optionId: string;
  model: OptionModel;
  /** How many of the slot it can fill at the most. */
  most: number;
  /** Look value of each one that it fills. */
  lookEach: number;
  /** Hands-on time that it shares with nobody, in millionths of a minute: as soon as it is taken, and for each. */
  handsUsed: number;
  handsEach: number;
  draws: readonly WayDraw[];
  /** Why it cannot be chosen from though it is chosen now; null for all others. */
  barred: WhyOut | null;
  /** What each one takes of pieces that there are only so many of, by their place in {@link BalanceProgram.pieces}. */
  pieces: readonly { piece: number; each: number }[];
}

/** A slot with the ways to choose from. */
export interface ProgramSlot {
  slotId: string;
  quantity: number;
  /** How many of it must be filled. */
  least: number;
  ways: readonly ProgramWay[];
  /** For each way another that beats it in everything, by its place; null where none does. */
  beaten: readonly (number | null)[];
}

/** A piece, and how many of it are there beside what the fixed part takes. */
export interface ProgramPiece {
  pieceId: string;
  there: number;
}

/**
 * What any choice among the ways of all open slots comes to, as numbers. Every coefficient comes from the functions that
 * the board calls. Money in minor units, time in millionths of a minute.
 */
export interface BalanceProgram {
  plan: Plan;
  slots: readonly ProgramSlot[];
  pools: readonly ProgramPool[];
  pieces: readonly ProgramPiece[];
  /** The fills that stay, whatever is chosen. */
  fixed: readonly PlannedFill[];
  fixedLook: number;
  fixedHands: number;
  /** Ways that stay out, and why. */
  out: readonly WayOut[];
  /** Whether parts to cut stand in it by the least they can take: their joint layout may come to more. */
  hasCuts: boolean;
  /** What the plan shall do without. */
  without: readonly Exclusion[];
}

/** What stays as it is, and what is asked of a way. */
export interface ProgramAsk {
  /** Slots whose choices stay. */
  lockedSlotIds: ReadonlySet<string>;
  /** The least liking of a way, 1 to 5. */
  leastLiking: number;
  /** The day before which all must be ready, YYYY-MM-DD; the project's reveal where none is given. */
  revealDate?: string;
  /** What the plan shall do without. */
  without?: readonly Exclusion[];
}

/** Look value of a way for each one of its slot that it fills: importance × liking × its share of the slot. */
const lookOfEach = ({ slot, option }: Pick<OptionModel, 'slot' | 'option'>): number =>
  (importanceWeight[slot.importance] * likingOf(option)) / slot.quantity;

/** Look value of a set of fills: Σ importance × liking × share filled (definitions of the figures). */
export const lookOfFills = (fills: readonly PlannedFill[]): number =>
  fills.reduce((sum, { model, count }) => sum + lookOfEach(model) * count, 0);

/** Which pieces choices can be short of, each once. */
class SharedPieces {
  readonly list: ProgramPiece[] = [];
  private readonly places = new Map<string, number>();
  private readonly plan: Plan;

  constructor(plan: Plan, fixed: readonly PlannedFill[]) {
    this.plan = plan;
    for (const { model, count } of fixed)
      for (const { piece, each } of this.of(model)) {
        const entry = this.list[piece];
        if (entry) entry.there -= each * count;
      }
  }

  /** What each one of an option takes. */
  of({ option, finds }: OptionModel): { piece: number; each: number }[] {
    const taken = new Map<number, number>();
    for (const { findId, pieces } of option.parts) {
      const find = finds.find(({ id }) => id === findId);
      const piece = find && this.plan.model.piece(find.pieceId);
      if (!piece || !Number.isFinite(mostOf(piece))) continue;
      let place = this.places.get(piece.id);
      if (place === undefined) {
        place = this.list.length;
        this.places.set(piece.id, place);
        this.list.push({ pieceId: piece.id, there: mostOf(piece) });
      }
      taken.set(place, (taken.get(place) ?? 0) + pieces);
    }
    return [...taken].map(([piece, each]) => ({ piece, each }));
  }
}

/** In how many slots each of something is used by any way. */
function countSlots(
  slots: readonly { ways: readonly ProgramWay[] }[],
  length: number,
  used: (way: ProgramWay) => readonly number[],
): number[] {
  const counts = Array.from({ length }, () => 0);
  for (const { ways } of slots) for (const n of new Set(ways.flatMap(used))) counts[n] = (counts[n] ?? 0) + 1;
  return counts;
}

/**
 * The program of a plan: its open slots with their ways, and what these have in common. Slots that are locked, or starred
 * as filled from what is owned, keep what they have.
 */
export function balanceProgram(plan: Plan, ask: ProgramAsk): BalanceProgram {
  const open = plan.slots.filter(({ slot }) => !ask.lockedSlotIds.has(slot.id) && slot.star === null);
  const openIds = new Set(open.map(({ slot }) => slot.id));
  const fixed = plan.chosen.filter((fill) => !openIds.has(fill.model.slot.id));
  const pools = new ProgramPools(plan, fixed);
  const pieces = new SharedPieces(plan, fixed);
  const out: WayOut[] = [];
  const slots = open.map((entry): Omit<ProgramSlot, 'beaten'> => {
    const { slot } = entry;
    const found = waysOf(plan, entry, ask);
    // What is chosen now stands among the ways even where it may not be chosen again: what it costs is in the purse.
    const held = found.out.filter(({ option }) => option.chosen);
    out.push(...found.out);
    const ways = [...found.open.map((option) => ({ option, why: null })), ...held].map(
      ({ option, why }): ProgramWay => {
        const { model } = option;
        const one = ownHandsOf(model, 1).likely;
        const handsEach = ownHandsOf(model, 2).likely - one;
        return {
          optionId: model.option.id,
          model,
          most: Math.min(slot.quantity, model.capacity),
          lookEach: lookOfEach(model),
          handsUsed: one - handsEach,
          handsEach,
          draws: model.draws.flatMap((draw) => pools.draw(draw)),
          barred: why,
          pieces: pieces.of(model),
        };
      },
    );
    pools.noteSlot(ways, slot.quantity);
    const most = ways.reduce((sum, way) => sum + (way.barred === null ? way.most : 0), 0);
    return {
      slotId: slot.id,
      quantity: slot.quantity,
      least: slot.importance === 'must' ? Math.min(slot.quantity, most) : 0,
      ways,
    };
  });
  const finished = pools.finished();
  const users = countSlots(slots, finished.length, ({ draws }) => draws.map(({ pool }) => pool));
  const wanted = countSlots(slots, pieces.list.length, (way) => way.pieces.map(({ piece }) => piece));
  return {
    plan,
    slots: slots.map((slot) => ({ ...slot, beaten: beatenWays(slot, finished, users, wanted) })),
    pools: finished,
    pieces: pieces.list,
    fixed,
    fixedLook: lookOfFills(fixed),
    fixedHands: fixed.reduce((sum, { model, count }) => sum + ownHandsOf(model, count).likely, 0),
    out,
    hasCuts: pools.hasCuts,
    without: ask.without ?? [],
  };
}
