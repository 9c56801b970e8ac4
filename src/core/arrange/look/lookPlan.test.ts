import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { labFromHex } from '@core/color/lab';
import { following, uuid } from '@core/fixtures/following';
import { LOOK_ID, lookRows, thing, thingsOf, verdictsOf } from '@core/fixtures/lookRows';
import { AS_OF, fill, find, option, slot } from '@core/fixtures/projectRows';
import { readProjectFile } from '@core/formats/project/read';
import type { ProjectRows } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { describe, expect, it } from 'vitest';
import { alikeTogether } from '../lookChecks/alike';
import { isOpen } from '../lookChecks/checkLook';
import { lookChanges, lookCost } from './lookCost';
import { lookRoom } from './lookRoom';
import { lookThings } from './lookThings';
import { newLook } from './newLook';
import { restsOn } from './settle';
import { startingLook } from './startingLook';
import { takeOneAway } from './takeOneAway';

const console48 = { kind: 'console', widthMm: 1200, depthMm: 350, heightMm: 1500 } as const;
const brown = labFromHex('#8d6b4a');
const vaseSlot = slot(uuid(300), { name: 'Something tall', quantity: 2 });
const ways = {
  finds: [
    find(uuid(310), 900, {
      name: 'Stoneware jug',
      templateId: 'vase',
      measures: { heightMm: 320, widestMm: 160, mouthMm: 70 },
      color: brown,
    }),
    find(uuid(311), 700, {
      name: 'Tall basket',
      templateId: 'basket',
      measures: { widthMm: 300, depthMm: 300, heightMm: 500 },
      color: brown,
    }),
  ],
  options: [
    option(uuid(320), uuid(300), 'asFound', { parts: [{ findId: uuid(310), offerId: null, pieces: 1 }] }),
    option(uuid(321), uuid(300), 'asFound', { parts: [{ findId: uuid(311), offerId: null, pieces: 1 }] }),
  ],
};
const base = (chosen: boolean, pieces: Parameters<typeof lookRows>[1]): ProjectRows =>
  lookRows(console48, pieces, {
    slots: [vaseSlot],
    rows: { ...ways, fills: chosen ? [{ ...fill(uuid(300), uuid(320)), id: uuid(330) }] : [] },
  });

describe('a place in a look', () => {
  it('shows what fills its slot, whatever that will be', () => {
    const [open] = thingsOf(base(false, [{ slotId: uuid(300), nth: 0 }]));
    expect(open).toMatchObject({ name: 'Something tall', isFound: false });
    const [filled] = thingsOf(base(true, [{ slotId: uuid(300), nth: 0 }]));
    expect(filled).toMatchObject({ name: 'Stoneware jug', isFound: true, size: { widthMm: 160, heightMm: 320 } });
    expect(filled?.color).toEqual(brown);
  });

  it('of the second of two shows nothing while only one is chosen', () => {
    const rows = base(true, [
      { slotId: uuid(300), nth: 0 },
      { slotId: uuid(300), nth: 1 },
    ]);
    expect(thingsOf(rows).map(({ isFound }) => isFound)).toEqual([true, false]);
  });

  it('can show another way in this look only; when that way goes, what is chosen stands there again', () => {
    const rows = base(true, [{ slotId: uuid(300), nth: 0, optionId: uuid(321) }]);
    expect(thingsOf(rows)[0]?.name).toBe('Tall basket');
    expect(thingsOf(following(rows, 'removeOption', { id: uuid(321) }))[0]?.name).toBe('Stoneware jug');
  });

  it('goes with its slot; what stood on it comes down', () => {
    const rows = base(true, [
      { id: uuid(1), slotId: uuid(300), nth: 0 },
      thing('Shell', 'egg', [40, 30, 40], [10, 320], { id: uuid(2), onId: uuid(1) }),
    ]);
    const after = following(rows, 'removeSlot', { id: uuid(300) });
    expect(after.lookPieces.map(({ id, footMm, onId }) => [id, footMm, onId])).toEqual([[uuid(2), 0, null]]);
  });
});

describe('what looks come to', () => {
  const two = (): ProjectRows => {
    const rows = base(true, [{ slotId: uuid(300), nth: 0 }, thing('Shell', 'egg', [40, 30, 40], [500])]);
    const winter = newLook(uuid(950), rows.spots[0]?.id ?? '', 'Winter', 1);
    const [first] = rows.lookPieces;
    if (!first) throw new Error('no piece');
    return {
      ...rows,
      looks: [...rows.looks, winter],
      lookPieces: [...rows.lookPieces, { ...first, id: uuid(951), lookId: winter.id, optionId: uuid(321) }],
    };
  };

  it('is a list of what comes and goes with its cash: a way that is not chosen costs what it adds', () => {
    const rows = two();
    const plan = computePlan(rows, AS_OF);
    const [summer, winter] = rows.looks.map((look) => lookThings(plan, look));
    const changes = lookChanges(plan, summer ?? [], winter ?? []);
    expect(changes.comes.map(({ name }) => name)).toEqual(['Tall basket']);
    expect(changes.goes.map(({ name }) => name)).toEqual(['Stoneware jug', 'Shell']);
    expect(changes.cash).toBe(plan.option(uuid(321))?.cashAdded.likely);
    // Back again costs nothing: the jug is chosen, the shell was foraged.
    expect(lookChanges(plan, winter ?? [], summer ?? []).cash).toBe(0);
  });

  it('counts a way once, shares it between its looks, and names what is not found', () => {
    const rows = two();
    const plan = computePlan(rows, AS_OF);
    const all = rows.looks.map((look) => lookThings(plan, look));
    const own = lookCost(plan, all[0] ?? [], all);
    expect(own.cash).toBe(plan.option(uuid(320))?.cashAdded.likely);
    expect(own.open).toBe(0);
    const shared = lookCost(plan, all[0] ?? [], [all[0] ?? [], all[0] ?? []]);
    expect(shared.shared).toBe(Math.round(own.shared / 2));
  });
});

describe('a look from the sketch', () => {
  const file = JSON.parse(
    readFileSync(fileURLToPath(new URL('../../../../demo/1-attic-bedroom.project.json', import.meta.url)), 'utf8'),
  );
  const read = readProjectFile(file);
  if (!read.ok) throw new Error('the demo cannot be read');
  const rows = read.file;
  const plan = computePlan(rows, Date.parse(file.asOf));

  it.each(rows.spots.map((spot) => [spot.name, spot] as const))(
    'of %s has everything that is called for, standing or hung within the spot',
    (_name, spot) => {
      let made = 0;
      const look = newLook(uuid(960), spot.id, 'From the sketch', 9);
      const pieces = startingLook(plan, look, spot, () => {
        made += 1;
        return uuid(3000 + made);
      });
      const things = lookThings(
        computePlan({ ...rows, looks: [look], lookPieces: pieces }, Date.parse(file.asOf)),
        look,
      );
      const slots = rows.slots.filter(({ spotId, leftOut }) => spotId === spot.id && !leftOut);
      expect(new Set(things.map((one) => one.slot?.id))).toEqual(new Set(slots.map(({ id }) => id)));
      const room = lookRoom(spot);
      for (const one of things) {
        if (one.size.widthMm <= room.widthMm) {
          expect(one.box.leftMm).toBeGreaterThanOrEqual(-0.2);
          expect(one.box.rightMm).toBeLessThanOrEqual(room.widthMm + 0.2);
        }
        const below = things.find(({ id }) => id === one.placement.onId);
        if (restsOn(one)) expect(one.box.footMm).toBeCloseTo(below ? below.box.topMm : 0, 1);
      }
    },
  );
});

describe('taking one away', () => {
  it('names the piece without which the fewest remarks remain', () => {
    const rows = lookRows(console48, [
      thing('Candle', 'candle', [75, 150, 75], [500]),
      thing('Dried stems', 'foliage', [200, 500, 200], [620]),
      thing('Box', 'freeBox', [200, 260, 100], [50]),
      thing('Bowl', 'freeBox', [150, 90, 100], [950]),
    ]);
    const plan = computePlan(rows, AS_OF);
    const [look, spot] = [rows.looks[0], rows.spots[0]];
    if (!look || !spot) throw new Error('no look');
    const away = takeOneAway(plan, look, spot, thingsOf(rows));
    expect(['Candle', 'Dried stems']).toContain(away?.thing.name);
    expect(away?.fewer).toBeGreaterThanOrEqual(1);
    const without = following(rows, 'takeAway', { ids: [away?.thing.id] });
    expect(verdictsOf(without).filter(isOpen).length).toBe(verdictsOf(rows).filter(isOpen).length - (away?.fewer ?? 0));
  });

  it('says nothing of three things, and never takes a must', () => {
    const few = lookRows(
      console48,
      [0, 300, 600].map((x) => thing('Box', 'freeBox', [200, 260, 100], [x])),
    );
    const plan = computePlan(few, AS_OF);
    const [look, spot] = [few.looks[0], few.spots[0]];
    if (!look || !spot) throw new Error('no look');
    expect(takeOneAway(plan, look, spot, thingsOf(few))).toBeNull();
  });
});

describe('what is said of several alike', () => {
  it('is said once, with a way out for all of them', () => {
    const rows = lookRows(
      { kind: 'bedWall', widthMm: 3300, heightMm: 2400 },
      [0, 1, 2].map((n) => thing('Print', 'pictureFrame', [300, 400, 20], [1100 + n * 360, 1300], { stance: 'hangs' })),
    );
    const glass = alikeTogether(verdictsOf(rows)).filter(({ check }) => check.id === 'overBed');
    expect(glass).toHaveLength(1);
    expect(glass[0]?.count).toBe(3);
    expect(glass[0]?.fixes[0]?.act).toMatchObject({ kind: 'edit', edits: [{}, {}, {}] });
    expect(glass[0]?.about).toHaveLength(3);
    expect(rows.looks[0]?.id).toBe(LOOK_ID);
  });
});
