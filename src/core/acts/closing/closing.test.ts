import { describe, expect, it } from 'vitest';
import { uuid } from '../../fixtures/following';
import { planFreeze } from '../../fixtures/frozen';
import { project, rows } from '../../fixtures/projectRows';
import { sampleRow } from '../../fixtures/sampleRow';
import type { PhotoRow, ProjectRows } from '../../model/rows';
import { perform } from '../perform';

const photo = (n: number, kind: PhotoRow['kind']): PhotoRow =>
  ({ ...sampleRow('photos', false), id: uuid(n), kind, pair: null, shows: null }) as PhotoRow;
const pair = (beforeId: string) => ({ beforeId, xPercent: 0, yPercent: 0, zoom: 1, turnDegrees: 0 });
const start = (change: Partial<ProjectRows> = {}) => rows({ project: project({ id: uuid(1) }), ...change });

describe('before and after', () => {
  const photos = [photo(11, 'before'), photo(12, 'after'), photo(13, 'step')];

  it('holds an after photo against a before photo, and against nothing else', () => {
    const done = perform(start({ photos }), 'pairPhotos', { afterId: uuid(12), pair: pair(uuid(11)) });
    expect(done.ok && done.after.photos.find(({ id }) => id === uuid(12))?.pair?.beforeId).toBe(uuid(11));
    for (const [afterId, beforeId] of [
      [uuid(12), uuid(13)],
      [uuid(13), uuid(11)],
      [uuid(99), uuid(11)],
    ])
      expect(perform(start({ photos }), 'pairPhotos', { afterId, pair: pair(beforeId ?? '') }).ok).toBe(false);
  });

  it('goes on alone when its before photo is removed', () => {
    const paired = photos.map((one) => (one.kind === 'after' ? { ...one, pair: pair(uuid(11)) } : one));
    const done = perform(start({ photos: paired }), 'removePhoto', { id: uuid(11) });
    expect(done.ok && done.after.photos.map(({ id }) => id)).toEqual([uuid(12), uuid(13)]);
  });
});

describe('frozen plans', () => {
  it('are kept one after the other; only what was frozen by hand can be taken away', () => {
    const began = planFreeze(uuid(21), { why: 'workBegan' });
    const first = perform(start({ planFreezes: [began] }), 'freezePlan', { row: planFreeze(uuid(22)) });
    if (!first.ok) throw new Error(JSON.stringify(first.problems));
    expect(first.after.planFreezes).toHaveLength(2);
    expect(perform(first.after, 'removeFreeze', { id: uuid(21) })).toMatchObject({
      ok: false,
      problems: [{ accepted: 'a plan that was frozen by hand' }],
    });
    const gone = perform(first.after, 'removeFreeze', { id: uuid(22) });
    expect(gone.ok && gone.after.planFreezes.map(({ id }) => id)).toEqual([uuid(21)]);
  });

  it('are in the money of their project', () => {
    const euros = start({ project: project({ id: uuid(1), currency: 'EUR' }) });
    expect(perform(euros, 'freezePlan', { row: planFreeze(uuid(22)) })).toMatchObject({ ok: false });
  });

  it('come with the first step, once, whichever device begins', () => {
    const spots = [{ ...(start().spots[0] as ProjectRows['spots'][number]), id: uuid(31) }];
    const step = (n: number, stepId: string) => ({
      id: uuid(n),
      recipeId: null,
      spotId: uuid(31),
      optionId: null,
      stepId,
      what: 'Clear it',
      people: 1,
      by: '',
      atMs: 1000 + n,
      freeze: planFreeze(uuid(n + 100), { why: 'workBegan' }),
    });
    const first = perform(start({ spots }), 'beginStep', step(41, 'a'));
    if (!first.ok) throw new Error(JSON.stringify(first.problems));
    const second = perform(first.after, 'beginStep', step(42, 'b'));
    expect(second.ok && second.after.planFreezes.map(({ id }) => id)).toEqual([uuid(141)]);
    // A device of an earlier version begins without one.
    const { freeze: _freeze, ...old } = step(43, 'c');
    expect(perform(start({ spots }), 'beginStep', old).ok).toBe(true);
  });
});

describe('boxes', () => {
  it('keep their name, which stands on the label', () => {
    const box = {
      id: uuid(51),
      version: 1,
      name: '4',
      shelf: '',
      protection: '',
      note: '',
      checkedOn: null,
      lookAgainOn: null,
    };
    const there = start({ boxes: [box] });
    const moved = perform(there, 'editBox', { id: box.id, values: { shelf: 'attic' } });
    expect(moved.ok && moved.after.boxes[0]?.shelf).toBe('attic');
    expect(perform(there, 'editBox', { id: box.id, values: { name: '5' } }).ok).toBe(false);
    expect(perform(there, 'addBox', { row: { ...box, id: uuid(52) } }).ok).toBe(false);
  });
});
