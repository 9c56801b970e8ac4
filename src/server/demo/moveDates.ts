import type { ProjectFile } from '@core/formats/project/projectFile';
import { MS_PER_DAY } from '@core/kernel/units';

/** The day on which the demo was written. */
const DEMO_DAY = '2026-05-28';

/** A demo is as fresh as on the day it was written: its dates move by the whole days that have passed since. */
export function moveDates(file: unknown, nowMs: number): unknown {
  const demo = file as ProjectFile;
  const days = Math.round((nowMs - Date.parse(demo.asOf)) / MS_PER_DAY);
  const moved =
    demo.project.revealDate === null
      ? null
      : new Date(Date.parse(`${demo.project.revealDate}T00:00:00Z`) + days * MS_PER_DAY).toISOString().slice(0, 10);
  // A week of hours moves to the Monday of the week it falls into now.
  const weeks = demo.project.brief.weeks.map((week) => {
    const day = new Date(Date.parse(`${week.monday}T00:00:00Z`) + days * MS_PER_DAY);
    day.setUTCDate(day.getUTCDate() - ((day.getUTCDay() + 6) % 7));
    return { ...week, monday: day.toISOString().slice(0, 10) };
  });
  // What shops take off, what was seen and bought, what goes back: every date in these tables moves.
  const { sources, sightings, receipts, trips, ads, pieces, weatherDays } = demo;
  const tables = JSON.stringify({ sources, sightings, receipts, ads, pieces, weatherDays });
  // A trip stays on its day of the week: its stops are open on some days only.
  const wholeWeeks = Math.ceil(days / 7) * 7;
  return {
    ...demo,
    ...(JSON.parse(moveDays(tables, days)) as typeof demo),
    trips: JSON.parse(moveDays(JSON.stringify(trips), wholeWeeks)) as typeof trips,
    project: {
      ...demo.project,
      revealDate: moved,
      standsUntil:
        demo.project.standsUntil === null
          ? null
          : moveDays(JSON.stringify(demo.project.standsUntil), days).slice(1, -1),
      brief: { ...demo.project.brief, weeks },
    },
    // What was done long ago stays as long ago: the day it stands until, what it took off the shelf, the plan it began with.
    ...(JSON.parse(
      moveDays(
        JSON.stringify({
          supplies: demo.supplies,
          supplyUses: demo.supplyUses,
          recipes: demo.recipes,
          looseEnds: demo.looseEnds,
          planFreezes: demo.planFreezes.map((freeze) => ({ ...freeze, atMs: freeze.atMs + days * MS_PER_DAY })),
        }),
        days,
      ),
    ) as Pick<typeof demo, 'supplies' | 'supplyUses' | 'recipes' | 'looseEnds' | 'planFreezes'>),
    ledger: demo.ledger.map((line) => ({ ...line, atMs: line.atMs + days * MS_PER_DAY })),
    logEntries: demo.logEntries.map((entry) => ({ ...entry, atMs: entry.atMs + days * MS_PER_DAY })),
    stepRuns: demo.stepRuns.map(({ stretches, doneMs, ...run }) => ({
      ...run,
      stretches: stretches.map(({ startMs, endMs }) => ({
        startMs: startMs + days * MS_PER_DAY,
        endMs: endMs === null ? null : endMs + days * MS_PER_DAY,
      })),
      doneMs: doneMs === null ? null : doneMs + days * MS_PER_DAY,
    })),
  };
}

/** Every date in a text moves by so many days. */
function moveDays(text: string, days: number): string {
  return text.replace(/(?<![\w-])\d{4}-\d{2}-\d{2}(?![\w-])/g, (date) =>
    new Date(Date.parse(`${date}T00:00:00Z`) + days * MS_PER_DAY).toISOString().slice(0, 10),
  );
}

/** The same for a table. */
export const moveTable = (text: string, nowMs: number): string =>
  moveDays(text, Math.round((nowMs - Date.parse(DEMO_DAY)) / MS_PER_DAY));
