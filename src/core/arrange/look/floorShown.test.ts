import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { perform } from '../../acts/perform';
import { uuid } from '../../fixtures/following';
import { lookRows, thing } from '../../fixtures/lookRows';
import { slot } from '../../fixtures/projectRows';
import { putIntoLook } from '../../fixtures/putIntoLook';
import { furnitureOf } from './floorShown';
import { newLook } from './newLook';

const IN = 25.4;
const console_ = { kind: 'console', widthMm: 1200, depthMm: 350, heightMm: 1500, measures: { surfaceHeightMm: 800 } };

describe('a top whose floor is asked for', () => {
  it('becomes a wall: its furniture is a thing, what stood on it stands on that', () => {
    const look = putIntoLook(console_);
    look.say('blue vase, 5 in wide, 12 in tall', 'framed print, 16 in wide, 20 in tall', 'umbrella stand');
    const [spot] = look.rows().spots;
    expect([spot?.kind, spot?.heightMm, spot?.widthMm]).toEqual(['wall', 2300, null]);
    const [furniture, vase, stand] = [look.find('Hall console'), look.find('Blue vase'), look.find('Umbrella')];
    expect(furniture.size).toEqual({ widthMm: 1200, depthMm: 350, heightMm: 800 });
    expect([vase.placement.onId, vase.box.footMm]).toEqual([furniture.id, 800]);
    expect([stand.placement.onId, stand.box.footMm]).toEqual([null, 0]);
    // What hung stays where it hung in the room: over the console.
    expect(look.find('Framed').box.footMm).toBeGreaterThan(800);
  });

  it('takes the furniture that is put in for the one whose top it was, whatever it was supposed to be', () => {
    const look = putIntoLook({ ...console_, widthMm: null });
    look.say('vase, 5 in wide, 12 in tall', 'desk, 48 in wide, 24 in deep, 29 in tall', 'monitor', 'office chair');
    expect(look.things().map(({ name }) => name)).not.toContain('Hall console');
    const [desk, vase, monitor] = [look.find('Desk'), look.find('Vase'), look.find('Monitor')];
    expect(vase.placement.onId).toBe(desk.id);
    expect(vase.box.footMm).toBeCloseTo(29 * IN, 0);
    expect(monitor.placement.onId).toBe(desk.id);
    expect(look.find('Office chair').placement.onId).toBe(null);
  });

  it('a nightstand put beside a wide sideboard is another piece of furniture', () => {
    const look = putIntoLook({ ...console_, kind: 'sideboard', widthMm: 1700 });
    look.say('nightstand, 18 in wide');
    expect(look.things().map(({ name }) => name)).toEqual(['Hall console', 'Nightstand']);
  });

  it.each(['rug, 60 in wide', 'floor lamp', 'waste bin', 'armchair', 'dresser', 'grandfather clock', 'dog bed'])(
    '%s asks for the floor',
    (line) => {
      const look = putIntoLook(console_);
      look.say(line);
      expect(look.rows().spots[0]?.kind).toBe('wall');
    },
  );

  it.each([
    'table lamp',
    'basket, 12 in wide',
    'small stool, 8 in tall',
    'mat, 12 in wide',
    'lantern',
    'alarm clock',
    'globe',
    'mirror, 24 in wide, 30 in tall',
  ])('%s does not', (line) => {
    const look = putIntoLook(console_);
    look.say(line);
    expect(look.rows().spots[0]?.kind).toBe('console');
  });

  it('a mantel, a shelf and a wall stay what they are', () => {
    for (const kind of ['mantel', 'shelfRun', 'wall', 'window']) {
      const look = putIntoLook({ kind });
      look.say('armchair');
      expect(look.rows().spots[0]?.kind).toBe(kind);
    }
  });

  it('moves what is sketched, marked and photographed along, in every look', () => {
    const other = newLook(uuid(950), uuid(901), 'Second look', 1);
    const before = lookRows(
      {
        ...console_,
        features: [{ id: uuid(960), kind: 'socket', name: '', xMm: 100, yMm: 50, widthMm: 70, heightMm: 70 }],
      },
      [thing('Vase', 'vase', [120, 300, 120], [200, 0, 100])],
      { slots: [slot(uuid(970), { spotId: uuid(901), box: { xMm: 10, yMm: 0, widthMm: 100, heightMm: 200 } })] },
    );
    const rows = { ...before, looks: [...before.looks, other] };
    const [spot, look] = [rows.spots[0], rows.looks[0]];
    if (!spot || !look) throw new Error('no look');
    const carriers = [furnitureOf(spot, look, uuid(980)), furnitureOf(spot, other, uuid(981))];
    const outcome = perform(rows, 'placePieces', { rows: [], floor: { spotId: spot.id, carriers } });
    if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
    // A wall is usually 120 in wide: the console stands in its middle.
    const right = (120 * IN - 1200) / 2;
    const [wall] = outcome.after.spots;
    expect(wall?.features[0]).toMatchObject({ xMm: 100 + right, yMm: 850 });
    expect(outcome.after.slots[0]?.box).toMatchObject({ xMm: 10 + right, yMm: 800 });
    const vase = outcome.after.lookPieces.find(({ name }) => name === 'Vase');
    expect(vase).toMatchObject({
      xMm: Math.round((200 + right) * 10) / 10,
      footMm: 800,
      onId: uuid(980),
      frontMm: 950,
    });
    expect(outcome.after.lookPieces.filter(({ name }) => name === 'Hall console')).toHaveLength(2);
  });

  it('is refused for a spot that is none, for looks of another spot, and where a look has no furniture', () => {
    const rows = lookRows(console_, []);
    const [spot, look] = [rows.spots[0], rows.looks[0]];
    if (!spot || !look) throw new Error('no look');
    const carrier = furnitureOf(spot, look, uuid(980));
    const problem = (payload: unknown, of = rows) => {
      const outcome = perform(of, 'placePieces', payload);
      return outcome.ok ? null : outcome.problems[0]?.accepted;
    };
    expect(problem({ rows: [] })).toBe('at least one piece');
    expect(problem({ rows: [], floor: { spotId: uuid(999), carriers: [] } })).toBe('a spot that is still there');
    expect(problem({ rows: [], floor: { spotId: spot.id, carriers: [] } })).toBe('furniture for each look of the spot');
    const stray = { ...carrier, id: uuid(981), lookId: uuid(990) };
    expect(problem({ rows: [], floor: { spotId: spot.id, carriers: [carrier, stray] } })).toBe('looks of that spot');
    const mantel = lookRows({ kind: 'mantel' }, []);
    expect(problem({ rows: [], floor: { spotId: spot.id, carriers: [] } }, mantel)).toBe(
      'a spot that is the top of furniture',
    );
  });

  it('whatever stood there stays where it stood in the room', () => {
    const things = fc.array(
      fc.record({ wide: fc.integer({ min: 40, max: 250 }), high: fc.integer({ min: 40, max: 500 }) }),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(things, fc.integer({ min: 500, max: 1100 }), (sizes, surfaceHeightMm) => {
        const look = putIntoLook({ ...console_, measures: { surfaceHeightMm } });
        sizes.forEach(({ wide, high }, n) => {
          look.put(thing(`Box ${n}`, 'freeBox', [wide, high, 100], [0]));
        });
        const before = new Map(look.things().map(({ name, box }) => [name, box]));
        look.say('rug, 60 in wide');
        const right = (120 * IN - 1200) / 2;
        for (const [name, box] of before) {
          const now = look.find(name).box;
          expect(now.leftMm).toBeCloseTo(box.leftMm + right, 0);
          expect(now.footMm).toBeCloseTo(box.footMm + surfaceHeightMm, 0);
        }
      }),
      { numRuns: 25 },
    );
  });
});
