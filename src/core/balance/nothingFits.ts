import { dayBegins } from '../calendar/zonedTime';
import { MICRO } from '../kernel/micro';
import { MS_PER_DAY } from '../kernel/units';
import type { Plan } from '../plan/computePlan';
import type { BalanceAsk, Goal, Limits } from './ask';
import { type BalanceAnswer, type BalanceRun, balance } from './balance';
import { type Choice, type ChoiceFigures, presentChoice } from './choice';
import { type BalanceProgram, balanceProgram } from './program';

/** One way out where nothing keeps the limits: what would have to give, and the plan that it allows. */
export interface WayOutOfIt {
  kind: 'moreMoney' | 'moreHours' | 'laterReveal' | 'lessLook' | 'moreOfBoth' | 'lookBeyondAll';
  /** Minor units, minutes, days or look value; of both, minor units. */
  by: number;
  /** Minutes beside the money; 0 for all but more of both. */
  minutes: number;
  /** The reveal that it takes, YYYY-MM-DD; only for a later reveal. */
  revealDate: string | null;
  program: BalanceProgram;
  choice: Choice;
  figures: ChoiceFigures;
}

/** How late a reveal is tried at the most, days. */
const MOST_DAYS = 60;

/**
 * What would have to give where nothing keeps the limits: the least extra money with these hours, the least extra hours
 * with this money, the earliest reveal with both, the least look value lost by leaving out. A way that does not exist is
 * left out. Where no single thing helps, what money and hours it takes together is told, or by how much the look is
 * beyond every plan; none at all means that a must has no way that could be chosen.
 */
export function whenNothingFits(plan: Plan, ask: BalanceAsk, run: Omit<BalanceRun, 'from'>): WayOutOfIt[] {
  const program = balanceProgram(plan, ask);
  const { cash, minutes, look } = ask.limits;
  const solve = (goal: Goal, limits: Limits, of = program): Extract<BalanceAnswer, { kind: 'found' }> | null => {
    const answer = balance(of, { ...ask, goal, limits }, { ...run, from: presentChoice(of) });
    return answer.kind === 'found' ? answer : null;
  };
  const ways: WayOutOfIt[] = [];
  const add = (kind: WayOutOfIt['kind'], found: { choice: Choice; figures: ChoiceFigures } | null, by: number) => {
    if (found && by > 0)
      ways.push({ kind, by, minutes: 0, revealDate: null, program, choice: found.choice, figures: found.figures });
  };
  if (cash !== null) {
    const found = solve('leastCash', { cash: null, minutes, look });
    add('moreMoney', found, (found?.figures.cash ?? 0) - cash);
  }
  if (minutes !== null) {
    const found = solve('leastHours', { cash, minutes: null, look });
    add('moreHours', found, (found?.figures.handsMicro ?? 0) / MICRO - minutes);
  }
  const later = laterReveal(plan, ask, (of) => solve(ask.goal, ask.limits, of));
  if (later) ways.push(later);
  if (look !== null) {
    const found = solve('bestLook', { cash, minutes, look: null });
    add('lessLook', found, look - (found?.figures.look ?? look));
  }
  if (ways.length > 0) return ways;
  const free: Limits = { cash: null, minutes: null, look };
  const cheapest = solve('leastCash', free);
  if (cheapest && cash !== null && minutes !== null) {
    const { choice, figures } = cheapest;
    const [by, more] = [Math.max(0, figures.cash - cash), Math.max(0, figures.handsMicro / MICRO - minutes)];
    return [{ kind: 'moreOfBoth', by, minutes: more, revealDate: null, program, choice, figures }];
  }
  const best = look === null ? null : solve('bestLook', { ...free, look: null });
  add('lookBeyondAll', best, (look ?? 0) - (best?.figures.look ?? 0));
  return ways;
}

/** The earliest reveal at which something keeps money, hours and look: what was not ready before may be then. */
function laterReveal(
  plan: Plan,
  ask: BalanceAsk,
  solve: (program: BalanceProgram) => { choice: Choice; figures: ChoiceFigures } | null,
): WayOutOfIt | null {
  const { revealDate, timeZone } = plan.rows.project;
  if (revealDate === null) return null;
  const program = balanceProgram(plan, ask);
  const late = program.out.filter(({ why }) => why === 'late').map(({ option }) => option.usableMs);
  if (late.length === 0) return null;
  const first = dayBegins(revealDate, timeZone);
  // Only the days on which something more is ready are worth trying.
  const days = [...new Set(late.map((ms) => Math.ceil((ms - first) / MS_PER_DAY)))]
    .filter((days) => days <= MOST_DAYS)
    .sort((a, b) => a - b);
  const at = (n: number) => {
    const date = dayAfter(revealDate, days[n] ?? 0);
    const of = balanceProgram(plan, { ...ask, revealDate: date });
    const found = solve(of);
    return found && { date, program: of, ...found };
  };
  // More is ready on every later day: halving finds the first on which something fits.
  let [low, high] = [0, days.length - 1];
  let best = high < 0 ? null : at(high);
  if (!best) return null;
  while (low < high) {
    const middle = (low + high) >> 1;
    const found = at(middle);
    if (found) {
      best = found;
      high = middle;
    } else low = middle + 1;
  }
  return {
    kind: 'laterReveal',
    by: days[high] ?? 0,
    minutes: 0,
    revealDate: best.date,
    program: best.program,
    choice: best.choice,
    figures: best.figures,
  };
}

function dayAfter(date: string, days: number): string {
  return new Date(Date.parse(`${date}T12:00:00Z`) + days * MS_PER_DAY).toISOString().slice(0, 10);
}
