import { describe, expect, it } from 'vitest';
import { AS_OF, fill, find, offer, option, pieceIdOf, project, rows, slot } from '../fixtures/projectRows';
import type { PieceRow, ProjectRows } from '../model/rows';
import { computePlan } from '../plan/computePlan';
import { unknownPiece } from '../sourcing/unknownPiece';
import { fetchList, placeWords, slotsAgain, wornWords } from './again';

const parts = (findId: string | null, offerId: string | null = null) => [{ findId, offerId, pieces: 1 }];
const ours = (id: string, change: Partial<PieceRow>): PieceRow => ({
  ...unknownPiece(pieceIdOf(id), id, { units: 'us', currency: 'USD', today: '2026-06-01' }),
  version: 1,
  ...change,
});

/** A vase in a box, a stool on a shelf, a fern that was lent, a new lamp, a slot that was left open. */
function mantel(): ProjectRows {
  const vase = ours('vase', { box: '4', shelf: 'attic' });
  const stool = ours('stool', { standsAt: 'Landing' });
  const fern = ours('fern', { borrowedFrom: 'Jory' });
  const finds = ['vase', 'stool', 'fern'].map((id) => ({
    ...find(id, 0, { state: 'owned', inHouse: true, borrowedFrom: id === 'fern' ? 'Jory' : '' }),
    name: id,
  }));
  return rows({
    project: project(),
    slots: ['a', 'b', 'c', 'd', 'e'].map((id, n) => slot(id, { number: n + 1, quantity: 2 })),
    pieces: [vase, stool, fern],
    finds,
    offers: [offer('lamp', 5000, { name: 'Lamp' })],
    options: [
      option('o1', 'a', 'own', { parts: parts('vase') }),
      option('o2', 'b', 'own', { parts: parts('stool') }),
      option('o3', 'c', 'borrow', { parts: parts('fern') }),
      option('o4', 'd', 'buyNew', { parts: parts(null, 'lamp') }),
    ],
    fills: [fill('a', 'o1', 2), fill('b', 'o2'), fill('c', 'o3'), fill('d', 'o4')],
  });
}

describe('the next season', () => {
  const again = slotsAgain(computePlan(mantel(), AS_OF));

  it('is filled again with what is in the house; all else is chosen anew, and why is told', () => {
    expect(again.map(({ slot: { id }, piece, because }) => [id, piece?.name ?? null, because])).toEqual([
      ['a', 'vase', ''],
      ['b', 'stool', ''],
      ['c', null, 'it was borrowed'],
      ['d', null, 'it was bought new, or made, and not put away'],
      ['e', null, 'nothing filled it'],
    ]);
  });

  it('is filled again by what a new thing became when it was put away, as long as it is in the house', () => {
    const lamp = ours('new lamp', { box: '4', shelf: 'attic', inHouse: true });
    const about = { kind: 'stored', id: 'o4', pieceId: lamp.id } as const;
    const put = { id: 'e1', version: 1, about, what: '', dueOn: null, doneOn: null, way: null, note: '' };
    const plan = computePlan({ ...mantel(), looseEnds: [put] }, AS_OF);
    const filled = (piece: PieceRow | null) =>
      slotsAgain(plan, new Map(piece ? [[piece.id, piece]] : [])).find(({ slot: { id } }) => id === 'd');
    expect(filled(lamp)).toMatchObject({ piece: lamp, place: 'Box 4, attic', because: '' });
    for (const gone of [null, { ...lamp, inHouse: false }])
      expect(filled(gone)).toMatchObject({ piece: null, because: 'it is not in the house any more' });
  });

  it('says what is likely to be worn out, by what somebody said it is good for', () => {
    const of = (uses: number, seenOn: string | null, lasts: { uses: number | null; years: number | null }) =>
      wornWords({ uses, seenOn }, lasts, '2026-06-01');
    expect(of(10, null, { uses: 10, years: null })).toBe('used 10 times, good for 10: look at it first');
    expect(of(9, null, { uses: 10, years: null })).toBe('');
    expect(of(0, '2021-05-01', { uses: null, years: 5 })).toBe('5 years old, good for 5: look at it first');
    expect(of(0, '2021-07-01', { uses: null, years: 5 })).toBe('');
    expect(of(99, '1990-01-01', { uses: null, years: null })).toBe('');
  });

  it('is fetched place by place', () => {
    expect(fetchList(again, () => true)).toEqual([
      { place: 'Box 4, attic', names: ['2 × vase'] },
      { place: 'stands at Landing', names: ['stool'] },
    ]);
    expect(fetchList(again, ({ slot: { id } }) => id === 'b')).toHaveLength(1);
    expect(placeWords({ standsAt: '', box: '', shelf: '' })).toBe('');
  });
});
