import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { ProjectFile } from '@core/formats/project/projectFile';
import { MS_PER_DAY } from '@core/kernel/units';
import { describe, expect, it } from 'vitest';
import { moveDates, moveTable } from './moveDates';

const written = JSON.parse(
  readFileSync(fileURLToPath(new URL('../../../demo/1-attic-bedroom.project.json', import.meta.url)), 'utf8'),
) as ProjectFile;
const asOf = Date.parse(written.asOf);
const later = (days: number) => moveDates(written, asOf + days * MS_PER_DAY) as ProjectFile;
const daysBetween = (a: string | null, b: string | null) =>
  Math.round((Date.parse(`${b}T00:00:00Z`) - Date.parse(`${a}T00:00:00Z`)) / MS_PER_DAY);

describe('a demo of another day', () => {
  it('is the one that was written on the day on which it was written', () => {
    expect(later(0)).toEqual(written);
  });

  it('has its reveal, its finds and what was paid as far away as on that day', () => {
    const moved = later(100);
    expect(daysBetween(written.project.revealDate, moved.project.revealDate)).toBe(100);
    written.sightings.forEach((row, n) => {
      if (row.seenOn) expect(daysBetween(row.seenOn, moved.sightings[n]?.seenOn ?? null)).toBe(100);
    });
    written.ledger.forEach((line, n) => expect((moved.ledger[n]?.atMs ?? 0) - line.atMs).toBe(100 * MS_PER_DAY));
  });

  it('keeps its trips on their days of the week, since places are open on some only, and never before they were', () => {
    for (const days of [1, 5, 7, 100]) {
      const moved = later(days);
      written.trips.forEach((trip, n) => {
        const by = daysBetween(trip.onDate, moved.trips[n]?.onDate ?? null);
        expect(by % 7).toBe(0);
        expect(by).toBeGreaterThanOrEqual(days);
        expect(by).toBeLessThan(days + 7);
      });
    }
  });

  it('has its weeks of hours begin on Mondays', () => {
    for (const days of [0, 3, 11])
      for (const { monday } of later(days).project.brief.weeks)
        expect(new Date(`${monday}T00:00:00Z`).getUTCDay()).toBe(1);
  });

  it('touches no id, no text and no figure', () => {
    const moved = later(30);
    expect(moved.slots).toEqual(written.slots);
    expect(moved.recipes).toEqual(written.recipes);
    expect(moved.looks).toEqual(written.looks);
    expect(moved.sightings.map(({ id }) => id)).toEqual(written.sightings.map(({ id }) => id));
  });

  it('moves the dates of a table, and nothing that only looks like one', () => {
    const now = Date.parse('2026-05-28T00:00:00Z') + 10 * MS_PER_DAY;
    expect(moveTable('Lamp,2026-05-20,box 4', now)).toBe('Lamp,2026-05-30,box 4');
    expect(moveTable('no 12026-05-20, 2026-05-201', now)).toBe('no 12026-05-20, 2026-05-201');
  });
});
