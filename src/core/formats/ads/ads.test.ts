import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { following, refusal, uuid } from '../../fixtures/following';
import { AS_OF, rows, slot } from '../../fixtures/projectRows';
import type { ProjectRows } from '../../model/rows';
import { computePlan } from '../../plan/computePlan';
import { adPrice, adRow, findOfAd, judgedAds } from '../../sourcing/ads';
import type { AdList } from '../../sourcing/listedAd';
import { simulatedAds } from '../../sourcing/simulatedAds';
import { writeTable } from '../table/writeTable';
import { adColumns } from './adList';
import { readAdList } from './read';

const defaults = { feed: 'Harbor ads', onDate: '2026-06-01', currency: 'USD' };
const today = '2026-06-01';
const list = (onDate = today): AdList => simulatedAds(7, onDate, 'USD');
const rowsOf = (from: AdList, first = 100) =>
  from.ads.map((ad, n) => adRow(uuid(first + n), ad, from.feed, from.onDate));
const imported = (before: ProjectRows, from: AdList, first = 100) =>
  following(before, 'importAds', { feed: from.feed, ads: rowsOf(from, first) });

describe('a list of ads', () => {
  it('is read from the open JSON format as it was written', () => {
    const read = readAdList(JSON.stringify(list()), defaults);
    expect(read).toEqual({ ok: true, list: list(), troubles: [] });
  });

  it('says the same as CSV with the same columns', () => {
    const table = writeTable(
      adColumns,
      list().ads.map((ad) => adColumns.map((column) => ad[column] ?? '')),
    );
    const read = readAdList(table, { ...defaults, feed: list().feed });
    expect(read.ok && read.list).toEqual(list());
  });

  it('takes what can be read of a CSV, and names the line, the field and what would be accepted', () => {
    const read = readAdList('title;price;widthCm\nChair;12,50;40\n;3;4\nTable;many;90\n', defaults);
    expect(read.ok && read.list.ads.map(({ title, price, widthCm }) => [title, price, widthCm])).toEqual([
      ['Chair', 12.5, 40],
    ]);
    expect(read.troubles.map(({ where }) => where)).toEqual(['line 3, title', 'line 4, price']);
    expect(read.troubles[1]).toMatchObject({ value: 'many', accepted: 'a price, or null' });
  });

  it.each([
    ['', 'the list'],
    ['{', 'the list'],
    ['{"format":"recipes"}', 'format'],
    [JSON.stringify({ ...list(), ads: [{ number: '1', title: '', price: 1, currency: 'USD' }] }), 'ad 1, title'],
    ['a,b\n1,2', 'heading'],
  ])('refuses %j by its place', (text, where) => {
    const read = readAdList(text, defaults);
    expect(read.ok).toBe(false);
    expect(read.troubles.map((trouble) => trouble.where)).toContain(where);
  });
});

describe('the simulated list', () => {
  it('names itself as invented, is the same for the same day, and another on another day', () => {
    expect(list().feed).toContain('invented');
    expect(list()).toEqual(list());
    expect(list('2026-06-15')).not.toEqual(list());
  });

  it('is always a list that can be read, whatever its seed and day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), fc.integer({ min: 0, max: 900 }), (seed, away) => {
        const onDate = new Date(Date.UTC(2026, 0, 1 + away)).toISOString().slice(0, 10);
        const made = simulatedAds(seed, onDate, 'EUR');
        const numbers = made.ads.map(({ number }) => number);
        expect(new Set(numbers).size).toBe(numbers.length);
        expect(readAdList(JSON.stringify(made), defaults).ok).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe('ads in a project', () => {
  it('keep their prices: one that fell is told, one that went is marked, none is there twice', () => {
    const before = imported(rows(), list());
    const later = list('2026-06-10');
    const after = imported(before, later, 500);
    const keys = after.ads.map(({ feed, number }) => `${feed} ${number}`);
    expect(new Set(keys).size).toBe(keys.length);
    const stays = new Set(later.ads.map(({ number }) => number));
    for (const ad of after.ads) expect(ad.gone).toBe(!stays.has(ad.number));
    // An ad of a week ago and more has fallen by 15 % at a step.
    const fell = after.ads.filter((ad) => adPrice(ad).fell > 0);
    expect(fell.length).toBeGreaterThan(0);
    for (const ad of fell) expect(ad.prices).toHaveLength(2);
    // The same list once more changes nothing.
    expect(imported(after, later, 900).ads).toEqual(after.ads);
  });

  it('become finds in their own size and price, once', () => {
    const before = imported(rows(), list());
    const [ad] = before.ads;
    if (!ad) throw new Error('no ad');
    const find = findOfAd({ findId: uuid(1), pieceId: uuid(2) }, ad, null, today, { currency: 'USD', units: 'us' });
    expect(find.story.tag).toEqual({ state: 'stated', low: adPrice(ad).now, high: adPrice(ad).now });
    const after = following(before, 'takeAd', { adId: ad.id, find });
    expect(after.finds.map(({ id }) => id)).toEqual([uuid(1)]);
    const again = { ...find, id: uuid(3), pieceId: uuid(4) };
    expect(refusal(after, 'takeAd', { adId: ad.id, find: again }).field).toBe('adId');
  });

  it('in other money have no price of the project’s, but say what was asked', () => {
    const [ad] = rowsOf(simulatedAds(7, today, 'EUR'));
    if (!ad) throw new Error('no ad');
    const find = findOfAd({ findId: uuid(1), pieceId: uuid(2) }, ad, null, today, { currency: 'USD', units: 'us' });
    expect(find.story.tag.state).toBe('unknown');
    expect(find.note).toContain('EUR');
  });

  it('stand in the order of what they answer, the cheaper first', () => {
    const from: AdList = {
      ...list(),
      ads: [
        {
          ...(list().ads[0] as AdList['ads'][number]),
          number: 'a',
          title: 'rattan chair',
          price: 5,
          widthCm: null,
          depthCm: null,
          heightCm: null,
        },
        {
          ...(list().ads[0] as AdList['ads'][number]),
          number: 'b',
          title: 'round mirror',
          price: 30,
          widthCm: 50,
          depthCm: 3,
          heightCm: 50,
        },
        {
          ...(list().ads[0] as AdList['ads'][number]),
          number: 'c',
          title: 'oval mirror',
          price: 20,
          widthCm: 50,
          depthCm: 3,
          heightCm: 50,
        },
      ],
    };
    const plan = computePlan(imported(rows({ slots: [slot(uuid(9), { name: 'Mirror' })] }), from), AS_OF);
    const judged = judgedAds(plan, today, { currency: 'USD', units: 'us' });
    expect(judged.map(({ ad, fit }) => [ad.title, fit?.slot.name ?? null])).toEqual([
      ['oval mirror', 'Mirror'],
      ['round mirror', 'Mirror'],
      ['rattan chair', null],
    ]);
  });
});
