import { describe, expect, it } from 'vitest';
import { Assumptions } from '../catalog/assumptions';
import { passages } from './passages';

const size = (width: number | null, depth: number | null, height: number | null) => ({ width, depth, height });
const usual = new Assumptions([]);
const goes = (...of: Parameters<typeof size>) =>
  Object.fromEntries(passages(size(...of), usual).map(({ id, goes: does }) => [id, does]));

describe('what a piece has to go through', () => {
  it('goes through a door with its two smaller sides, however it stands', () => {
    // A door of 762 × 2000: a wardrobe 900 wide and 600 deep goes through on its side, one of 800 × 900 does not.
    expect(goes(900, 600, 1900).door).toBe(true);
    expect(goes(800, 900, 2100).door).toBe(false);
    expect(goes(2400, 600, 2100).door).toBe(false);
  });

  it('lies in the hold in any way that it goes in: 1000 × 700 × 1600', () => {
    expect(goes(690, 1590, 990).car).toBe(true);
    expect(passages(size(690, 1640, 990), usual)[0]).toEqual({ id: 'car', goes: false, spareMm: -40 });
  });

  it('is carried up the stairs on its smallest side', () => {
    expect(goes(900, 860, 2000).stairs).toBe(false);
    expect(goes(900, 840, 2000).stairs).toBe(true);
  });

  it('takes what has no depth as flat, and says nothing of what nobody measured', () => {
    expect(goes(700, null, 900)).toEqual({ car: true, door: true, stairs: true });
    expect(passages(size(null, 100, 100), usual)).toEqual([]);
  });

  it('goes by what the project says of its own door', () => {
    const own = new Assumptions([
      { id: 'o', version: 1, key: 'passage.doorWidthMm', scope: 'project', value: 500, note: '' },
    ]);
    expect(passages(size(600, 600, 600), own).find(({ id }) => id === 'door')?.spareMm).toBe(-100);
  });
});
