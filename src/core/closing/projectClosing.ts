import { localDate } from '../calendar/zonedTime';
import type { Plan } from '../plan/computePlan';
import { linesInForce } from '../pricing/ledger';
import type { OriginKind } from '../sourcing/origins';
import type { ClosingState } from './closingStates';
import { cashOf, minutesOf, reckon } from './reckon';
import { originShares, savedAgainstNew } from './saved';
import { workDone } from './workEntries';

/** What a project came to, in few figures, for the history of the studio. Minor units and minutes. */
export interface ProjectClosing {
  state: ClosingState;
  /** Local dates of the first and the last that was paid or worked; null where nothing was. */
  beganOn: string | null;
  lastOn: string | null;
  cash: number;
  stash: number;
  minutes: number;
  atLeast: boolean;
  /** What it saved against new, and the hours that this took beyond those of the new things; null without a yardstick. */
  saved: number | null;
  savedMinutes: number;
  slots: { all: number; filled: number };
  byOrigin: { origin: OriginKind; count: number }[];
  /** What the plan said when work began; null where nothing was frozen. */
  planned: { cash: number; minutes: number } | null;
  /** Hands-on minutes that were logged, by kind of work. */
  works: { work: string; minutes: number; steps: number }[];
}

/** What a project came to so far, or will: what is still planned of it counts as planned. */
export function closingOf(plan: Plan): ProjectClosing {
  const reckoning = reckon(plan);
  const { all } = reckoning;
  const saved = savedAgainstNew(plan, reckoning);
  const done = workDone(plan);
  const { timeZone } = plan.rows.project;
  const moments = [
    ...linesInForce(plan.rows.ledger).map(({ atMs }) => atMs),
    ...done.flatMap(({ run }) => run.doneMs ?? []),
  ];
  const isBegun = moments.length > 0 || all.doneMinutes > 0;
  const isLeft =
    all.cashToGo !== 0 || all.toGoMinutes >= 1 || plan.slots.some(({ slot, open }) => open > 0 && !slot.leftOut);
  const [frozen] = [...plan.rows.planFreezes].sort((a, b) => a.atMs - b.atMs);
  const works = new Map<string, { work: string; minutes: number; steps: number }>();
  for (const { entry, minutes } of done) {
    if (!entry) continue;
    const sum = works.get(entry.work) ?? { work: entry.work, minutes: 0, steps: 0 };
    works.set(entry.work, { ...sum, minutes: sum.minutes + minutes, steps: sum.steps + 1 });
  }
  const day = (ms: number) => localDate(ms, timeZone);
  return {
    state: !isBegun ? 'planned' : isLeft ? 'atWork' : 'finished',
    beganOn: moments.length === 0 ? null : day(Math.min(...moments)),
    lastOn: moments.length === 0 ? null : day(Math.max(...moments)),
    cash: cashOf(all),
    stash: all.stash,
    minutes: minutesOf(all),
    atLeast: all.atLeast,
    saved: saved.slots.length === 0 ? null : saved.saved,
    savedMinutes: saved.minutes - saved.yardstickMinutes,
    slots: { all: plan.slots.length, filled: plan.slots.filter(({ open }) => open === 0).length },
    byOrigin: originShares(plan, reckoning, saved).map(({ origin, count }) => ({ origin, count })),
    planned: frozen ? { cash: frozen.plan.cash.likely, minutes: frozen.plan.minutes.likely } : null,
    works: [...works.values()].sort((a, b) => b.minutes - a.minutes || (a.work < b.work ? -1 : 1)),
  };
}
