import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { furnishedRoom } from '../../core/fixtures/furnishedRoom';
import { playActs } from '../../core/fixtures/playActs';
import { AS_OF } from '../../core/fixtures/projectRows';
import { idsAfter, throwsUpTo } from '../../core/fixtures/throws';
import type { ProjectRows } from '../../core/model/rows';
import { computePlan } from '../../core/plan/computePlan';
import { keptRows } from './keptRows';
import { planningHere } from './planning';
import { sheetOf } from './sheet';
import { summaryOf } from './summary';

/** Rows as they come from somewhere else: the same values, and none of the same objects. */
const fromAfar = (rows: ProjectRows): ProjectRows => structuredClone(rows);
const LINK = { showsCosts: true, showsPhotos: true, expiresAt: new Date(AS_OF + 86_400_000) };

describe('rows that come anew', () => {
  it('say what the new ones say, with the very objects of the earlier ones that say the same', () => {
    fc.assert(
      fc.property(throwsUpTo(12), (throws) => {
        const [start, ...later] = playActs(furnishedRoom(), throws, idsAfter(500_000));
        let known = fromAfar(start ?? furnishedRoom());
        for (const state of later) {
          const now = fromAfar(state);
          const kept = keptRows(known, now);
          expect(kept).toEqual(now);
          for (const slot of kept.slots) {
            const before = known.slots.find(({ id }) => id === slot.id);
            if (before && JSON.stringify(before) === JSON.stringify(slot)) expect(slot).toBe(before);
          }
          known = kept;
        }
      }),
      { numRuns: 15 },
    );
  });

  it('are the very same tables where nothing changed, and another one where a row did, went or moved', () => {
    const before = furnishedRoom();
    const same = keptRows(before, fromAfar(before));
    for (const name of Object.keys(before) as (keyof ProjectRows)[])
      expect([name, same[name] === before[name]]).toEqual([name, true]);
    const [first, second, ...rest] = before.slots;
    if (!first || !second) throw new Error('a room of two slots at least');
    const renamed = { ...first, name: 'Another name' };
    const changed = keptRows(before, fromAfar({ ...before, slots: [renamed, second, ...rest] }));
    expect(changed.slots).not.toBe(before.slots);
    expect([changed.slots[0], changed.slots[1] === second]).toEqual([renamed, true]);
    expect(changed.spots).toBe(before.spots);
    expect(keptRows(before, { ...before, slots: [second, ...rest] }).slots).toEqual([second, ...rest]);
    expect(keptRows(before, { ...before, slots: [second, first, ...rest] }).slots.map(({ id }) => id)).toEqual(
      [second, first, ...rest].map(({ id }) => id),
    );
  });
});

describe('planning from rows that come anew each time', () => {
  it('gives what a plan from nothing gives, after any acts', async () => {
    await fc.assert(
      fc.asyncProperty(throwsUpTo(10), async (throws) => {
        const plan = planningHere();
        for (const state of playActs(furnishedRoom(), throws, idsAfter(600_000))) {
          const fresh = computePlan(state, AS_OF);
          expect(await plan('summary', fromAfar(state), AS_OF)).toEqual(summaryOf(fresh));
          expect(await plan('sheet', fromAfar(state), AS_OF, LINK)).toEqual(sheetOf(fresh, LINK));
        }
      }),
      { numRuns: 6 },
    );
  });

  it('keeps projects apart, however many there are', async () => {
    const plan = planningHere();
    const room = furnishedRoom();
    const named = Array.from({ length: 20 }, (_, n) => ({
      ...room,
      project: {
        ...room.project,
        id: `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`,
        budget: 1000 * (n + 1),
      },
    }));
    for (const rows of [...named, ...named.toReversed()])
      expect((await plan('summary', rows, AS_OF)).money.budget).toBe(rows.project.budget);
  });
});
