import { dayBegins, zonedMoment } from '../calendar/zonedTime';
import { type Amount, mapAmount } from '../kernel/amount';
import type { Minutes } from '../kernel/minutes';
import { percentOf } from '../kernel/money';
import { MS_PER_DAY } from '../kernel/units';
import type { ProjectRows } from '../model/rows';
import { ledgerSums } from '../pricing/ledger';

/** The always-visible strip. Money: budget = spent + promised + planned + kept back + free, at every end of the range. */
export interface Purse {
  money: {
    budget: number;
    spent: number;
    promised: number;
    /** Whether more may have been spent, or promised: what something cost is not known. */
    spentAtLeast: boolean;
    promisedAtLeast: boolean;
    planned: Amount;
    keptBack: Amount;
    free: Amount;
  };
  hands: { onHandMinutes: number | null; doneMinutes: number; planned: Minutes; freeMinutes: number | null };
  days: {
    toReveal: number | null;
    /** When the last chosen piece is usable, epoch ms; null with nothing chosen. */
    lastUsableMs: number | null;
    /** Whole days between that and the reveal day's beginning; negative is late. */
    inHand: number | null;
  };
}

/**
 * The purse of a project at a moment. `free` runs against the plan: its low end goes with the plan's high end; where a
 * price or what was paid is not known, it is free at most.
 * @param doneMinutes what was worked already: it is neither planned nor free any more
 */
export function purseOf(
  rows: ProjectRows,
  asOfMs: number,
  planned: Amount,
  hours: Minutes,
  lastUsableMs: number | null,
  doneMinutes = 0,
): Purse {
  const { project } = rows;
  const { spent, promised, spentAtLeast, promisedAtLeast } = ledgerSums(rows.ledger);
  const keptBack = mapAmount(planned, (minor) => percentOf(minor, project.contingencyThousandths));
  const rest = (planMinor: number, keptMinor: number) => project.budget - spent - promised - planMinor - keptMinor;
  const today = zonedMoment(asOfMs, project.timeZone);
  let toReveal: number | null = null;
  let inHand: number | null = null;
  if (project.revealDate) {
    const [year = 0, month = 1, day = 1] = project.revealDate.split('-').map(Number);
    toReveal = Math.round(
      (Date.UTC(year, month - 1, day) - Date.UTC(today.year, today.month - 1, today.day)) / MS_PER_DAY,
    );
    const revealMs = dayBegins(project.revealDate, project.timeZone);
    const lastMs = lastUsableMs ?? asOfMs;
    inHand =
      lastMs <= revealMs ? Math.floor((revealMs - lastMs) / MS_PER_DAY) : -Math.ceil((lastMs - revealMs) / MS_PER_DAY);
  }
  return {
    money: {
      budget: project.budget,
      spent,
      promised,
      spentAtLeast,
      promisedAtLeast,
      planned,
      keptBack,
      free: {
        low: rest(planned.high, keptBack.high),
        likely: rest(planned.likely, keptBack.likely),
        high: rest(planned.low, keptBack.low),
        atLeast: planned.atLeast || spentAtLeast || promisedAtLeast,
      },
    },
    hands: {
      onHandMinutes: project.hoursOnHandMinutes,
      doneMinutes,
      planned: hours,
      freeMinutes: project.hoursOnHandMinutes === null ? null : project.hoursOnHandMinutes - doneMinutes - hours.likely,
    },
    days: { toReveal, lastUsableMs, inHand },
  };
}
