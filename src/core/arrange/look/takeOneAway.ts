import type { LookRow, SpotRow } from '../../model/rows';
import type { Plan } from '../../plan/computePlan';
import { importanceWeight } from '../../plan/importanceWeight';
import { costOf } from '../../plan/optionFigures';
import { checkLook, isOpen } from '../lookChecks/checkLook';
import { lookFacts } from '../lookChecks/lookFacts';
import { airOfThings } from './lookAir';
import type { LookThing } from './lookThing';

/** The piece that a look does best without. */
export interface TakenAway {
  thing: LookThing;
  /** How many remarks are gone without it; 0 where none is. */
  fewer: number;
  /** The air that the look then has, 0 to 1. */
  air: number;
}

/** Fewer things than this are no crowd. */
const LEAST_THINGS = 4;

/**
 * *Take one away*: the piece without which the fewest findings remain; ties by least importance, then by cash still to be
 * spent, the dearest first. What another thing stands on stays, and what is a must. It pauses after each piece that it
 * tries, so that a page stays quick.
 * @returns null with fewer than four things, or where without any of them there would be more to remark
 */
export function* takingOneAway(
  plan: Plan,
  look: LookRow,
  spot: SpotRow,
  things: readonly LookThing[],
): Generator<undefined, TakenAway | null> {
  if (things.length < LEAST_THINGS) return null;
  const facts = { ...lookFacts(plan, spot, things), wantsFixes: false };
  const count = (of: readonly LookThing[]) => checkLook({ ...facts, things: of }, look).filter(isOpen).length;
  const now = count(things);
  const bare = things.filter(
    ({ id, slot }) => slot?.importance !== 'must' && !things.some(({ placement }) => placement.onId === id),
  );
  const cash = ({ model }: LookThing) => (model ? costOfWay(plan, model.option.id) : 0);
  const tried: { thing: LookThing; left: number }[] = [];
  for (const thing of bare) {
    yield;
    tried.push({ thing, left: count(things.filter(({ id }) => id !== thing.id)) });
  }
  const best = tried.sort(
    (a, b) =>
      a.left - b.left ||
      weightOf(a.thing) - weightOf(b.thing) ||
      cash(b.thing) - cash(a.thing) ||
      (a.thing.id < b.thing.id ? -1 : 1),
  )[0];
  if (!best || best.left > now) return null;
  const rest = things.filter(({ id }) => id !== best.thing.id);
  return { thing: best.thing, fewer: now - best.left, air: airOfThings(rest, facts.room.widthMm) };
}

/** The same in one go. */
export function takeOneAway(...of: Parameters<typeof takingOneAway>): TakenAway | null {
  const work = takingOneAway(...of);
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
  }
}

/** How much a thing is wanted; what no slot asks for least of all. */
const weightOf = ({ slot }: LookThing): number => (slot ? importanceWeight[slot.importance] : 0);

/** Cash still to be spent on a way, minor units. */
function costOfWay(plan: Plan, optionId: string): number {
  const option = plan.option(optionId);
  return option ? costOf(option) : 0;
}
