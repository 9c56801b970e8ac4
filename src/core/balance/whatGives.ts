import { type BalanceAsk, beyondLimits, costOfFigures, type Limits, SAME_LOOK } from './ask';
import { changesBetween, figuresLess, plainFigures, type SlotChange } from './changes';
import { type Choice, type ChoiceFigures, isPossible } from './choice';
import type { BalanceProgram } from './program';
import { singleFills } from './quickChoice';
import { Tally } from './tally';

/** One change of the plan, or two together, that helps. */
export interface Remedy {
  changes: readonly SlotChange[];
  choice: Choice;
  /** What the plan comes to more with it. */
  difference: ChoiceFigures;
  /** Whether the plan keeps all limits with it. */
  closes: boolean;
}

/** Of how many single changes pairs are tried, and how many remedies are told. */
const PAIRED = 20;
const MOST_TOLD = 8;

/** A slot filled in another way. */
interface Refill {
  slot: number;
  counts: readonly number[];
}

/** What one or two slots filled in another way come to. */
interface Try {
  refills: readonly Refill[];
  figures: ChoiceFigures;
  /** How much is left of what is over, each limit as a share of itself: 1 for a limit that nothing was done about. */
  left: number;
  cost: number;
}

/**
 * What helps a plan that breaks its limits: the best single changes, and the best pairs among the twenty best of them
 * where no single one does as much; those that close it first, then those that cost least of the look. Of a plan that keeps
 * its limits, what makes it cheaper, hours priced, at the same look.
 * @param present the choice that is changed
 * @returns at most eight; none where nothing helps
 */
export function whatGives(
  program: BalanceProgram,
  present: Choice,
  { limits: asked }: Pick<BalanceAsk, 'limits'>,
): Remedy[] {
  const search = new RemedySearch(program, present, asked);
  const singles = search.singles();
  const told = search.isOver ? [...singles, ...search.pairs(singles)].sort(search.rank) : singles;
  return told.slice(0, MOST_TOLD).map((tried) => search.remedy(tried));
}

class RemedySearch {
  readonly isOver: boolean;
  private readonly program: BalanceProgram;
  private readonly present: Choice;
  private readonly hourValue: number;
  private readonly limits: Limits;
  private readonly tally: Tally;
  private readonly before: Try;
  private readonly over: ReturnType<typeof beyondLimits>;

  constructor(program: BalanceProgram, present: Choice, asked: Limits) {
    this.program = program;
    this.present = present;
    this.hourValue = program.plan.rows.project.hourValue ?? 0;
    this.tally = new Tally(program, present);
    // Parts to cut stand here by the least they take; what their layout comes to beyond it is taken off the money.
    const laidOut = Math.max(0, program.plan.sums.cash.likely - this.tally.cash);
    this.limits = { ...asked, cash: asked.cash === null ? null : asked.cash - laidOut };
    this.over = beyondLimits(this.tally, this.limits);
    this.isOver = this.over.cash > 0 || this.over.minutes > 0;
    this.before = this.tried([]);
  }

  /** Every slot filled otherwise by itself, as far as it helps, the best first. */
  singles(): Try[] {
    return this.program.slots
      .flatMap((slot, s) => singleFills(slot).flatMap((counts) => this.attempt([{ slot: s, counts }])))
      .sort(this.rank);
  }

  /** Pairs of the best single changes that do more than any single one does. */
  pairs(singles: readonly Try[]): Try[] {
    const best = singles.slice(0, PAIRED);
    const least = Math.min(...singles.map(({ left }) => left));
    return best
      .flatMap((a, n) => best.slice(n + 1).flatMap((b) => this.attempt([...a.refills, ...b.refills])))
      .filter(({ left }) => left < least - 1e-9);
  }

  /** The better first: nearer to the limits, then the better look where something is over, then cheaper. */
  readonly rank = (a: Try, b: Try): number =>
    a.left - b.left || (this.isOver ? b.figures.look - a.figures.look : 0) || a.cost - b.cost;

  /** A try as it is told. */
  remedy({ refills, figures }: Try): Remedy {
    const choice = this.present.map((counts, s) => refills.find(({ slot }) => slot === s)?.counts ?? counts);
    const beyond = beyondLimits(figures, this.limits);
    return {
      changes: changesBetween(this.program, this.present, choice),
      choice,
      difference: figuresLess(figures, this.before.figures),
      closes: beyond.cash === 0 && beyond.minutes === 0 && isPossible(this.program, choice),
    };
  }

  /** Fills slots otherwise, looks whether that helps, and puts them back. */
  private attempt(refills: readonly Refill[]): Try[] {
    const [first, second] = refills;
    if (!first || first.slot === second?.slot) return [];
    const before = refills.map(({ slot }) => ({ slot, counts: [...(this.tally.counts[slot] ?? [])] }));
    for (const { slot, counts } of refills) this.tally.set(slot, counts);
    const tried = this.tried(refills);
    const helps = this.tally.tooMany === 0 && this.helps(tried);
    for (const { slot, counts } of before) this.tally.set(slot, counts);
    return helps ? [tried] : [];
  }

  private tried(refills: readonly Refill[]): Try {
    const beyond = beyondLimits(this.tally, this.limits);
    // A limit that was kept and is broken now weighs more than any that was broken before.
    const share = (of: 'cash' | 'minutes') => (this.over[of] > 0 ? beyond[of] / this.over[of] : beyond[of] > 0 ? 2 : 0);
    return {
      refills,
      figures: plainFigures(this.tally),
      left: share('cash') + share('minutes'),
      cost: costOfFigures(this.tally, this.hourValue),
    };
  }

  private helps({ left, cost, figures }: Try): boolean {
    if (this.isOver) return left < this.before.left - 1e-9;
    return left === 0 && figures.look >= this.before.figures.look - SAME_LOOK && cost < this.before.cost - 0.5;
  }
}
