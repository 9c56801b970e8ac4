import { describe, expect, it } from 'vitest';
import { labFromHex } from '../color/lab';
import {
  AS_OF,
  card,
  fill,
  find,
  offer,
  option,
  pieceIdOf,
  project,
  recipe,
  rows,
  slot,
} from '../fixtures/projectRows';
import type { FindRow, ProjectRows } from '../model/rows';
import { emptyBrief, emptyHousehold, type Household } from '../state/brief';
import { briefFeeds } from './briefFeeds';
import { computePlan, type Plan } from './computePlan';
import { leftBehind } from './leftBehind';
import { paletteShares } from './paletteShares';

const part = (findId: string) => ({ findId, offerId: null, pieces: 1 });
const household = (change: Partial<Household>): Household => ({ ...emptyHousehold, ...change });

/** A frame, a lamp and a chest, each painted; the frame is ours. */
function three(change: Partial<Household> = {}, finds: Partial<Record<string, Partial<FindRow>>> = {}): Plan {
  const frame = find('frame', 500, {
    templateId: 'pictureFrame',
    measures: {},
    state: 'owned',
    materialId: 'pine',
    ...finds.frame,
  });
  const lamp = find('lamp', 900, {
    templateId: 'lampBase',
    measures: {},
    kind: 'lamp',
    cordCondition: 'sound',
    materialId: 'ferrousMetal',
    ...finds.lamp,
  });
  const chest = find('chest', 2200, { finishId: 'soundOldPaint', era: 'unknown', ...finds.chest });
  return computePlan(
    rows({
      project: project({ household: household(change) }),
      slots: [slot('1'), slot('2', { number: 2 }), slot('3', { number: 3 })],
      finds: [frame, lamp, chest],
      offers: [offer('print', 2000, { templateId: 'pictureFrame' })],
      recipes: [
        recipe('r-frame', frame, 'wallAcrylic', 'teal'),
        recipe('r-lamp', lamp, 'aerosolEnamel', 'teal'),
        recipe('r-chest', chest, 'chalk', 'teal'),
      ],
      colorCards: [card('teal', 'Teal', '#2f5d62')],
      options: [
        option('frame', '1', 'makeover', { parts: [part('frame')], recipeId: 'r-frame' }),
        option('print', '1', 'buyNew', { parts: [{ findId: null, offerId: 'print', pieces: 1 }] }),
        option('lamp', '2', 'makeover', { parts: [part('lamp')], recipeId: 'r-lamp' }),
        option('chest', '3', 'makeover', { parts: [part('chest')], recipeId: 'r-chest' }),
      ],
      fills: [fill('1', 'frame'), fill('2', 'lamp'), fill('3', 'chest')],
    }),
    AS_OF,
  );
}
/** The same rows with the consent noted that a piece may be altered for good. */
const withConsent = (of: ProjectRows, findId: string): ProjectRows => ({
  ...of,
  pieces: of.pieces.map((piece) => (piece.id === pieceIdOf(findId) ? { ...piece, mayAlter: true } : piece)),
});
const saidOf = (plan: Plan, optionId: string) =>
  plan.slots
    .flatMap((entry) => entry.options)
    .find((entry) => entry.option.id === optionId)
    ?.findings.map((finding) => `${finding.code}:${finding.severity}`) ?? [];

describe('what the place demands', () => {
  it('is silent where nothing was said', () => {
    for (const id of ['frame', 'print', 'lamp', 'chest'])
      expect(
        saidOf(three(), id).filter((code) => code.startsWith('place.') || code.startsWith('caution.place')),
      ).toEqual([]);
  });

  it('no drilling and rented walls concern what hangs, made over or new', () => {
    expect(saidOf(three({ noDrilling: true }), 'print')).toContain('place.noDrilling:note');
    expect(saidOf(three({ rented: true }), 'frame')).toContain('place.rentedWall:note');
    expect(saidOf(three({ rented: true, noDrilling: true }), 'frame')).not.toContain('place.rentedWall:note');
    expect(saidOf(three({ noDrilling: true }), 'chest')).not.toContain('place.noDrilling:note');
  });

  it('only what can be undone concerns paint on whatever stays, ours or found, until it may be altered for good', () => {
    expect(saidOf(three({ reversibleOnly: true }), 'frame')).toContain('place.reversibleOnly:refuse');
    expect(saidOf(three({ reversibleOnly: true }), 'chest')).toContain('place.reversibleOnly:refuse');
    expect(saidOf(three({ reversibleOnly: true }), 'print').filter((code) => code.includes('refuse'))).toEqual([]);
    const agreed = computePlan(withConsent(three({ reversibleOnly: true }).rows, 'chest'), AS_OF);
    expect(saidOf(agreed, 'chest').filter((code) => code.startsWith('place.'))).toEqual([]);
  });

  it('in a rented place what belongs to it wants consent, and stays behind once that is given', () => {
    const tiles = { frame: { templateId: 'tiles', measures: {}, state: 'seen' as const } };
    expect(saidOf(three({ rented: true }, tiles), 'frame')).toContain('place.askFirst:refuse');
    expect(saidOf(three({ rented: true }), 'chest').filter((code) => code.startsWith('place.'))).toEqual([]);
    const agreed = computePlan(withConsent(three({ rented: true }, tiles).rows, 'frame'), AS_OF);
    expect(saidOf(agreed, 'frame')).toContain('place.staysBehind:note');
    expect(leftBehind(agreed)).toMatchObject([{ piece: 'Find frame', slot: 'Slot 1' }]);
    expect(leftBehind(agreed)[0]?.cash.likely).toBeGreaterThan(0);
    expect(leftBehind(three())).toEqual([]);
  });

  it('removable film can be undone, permanent film cannot', () => {
    const filmed = (coatingId: string) => {
      const { rows: all } = three({ reversibleOnly: true });
      const recipes = all.recipes.map((row) =>
        row.id === 'r-chest'
          ? {
              ...row,
              body: {
                ...row.body,
                layers: row.body.layers.map((layer) => ({ ...layer, coatingId, techniqueId: 'filmShapes' })),
              },
            }
          : row,
      );
      return saidOf(computePlan({ ...all, recipes }, AS_OF), 'chest');
    };
    expect(filmed('removableFilm').filter((code) => code.startsWith('place.'))).toEqual([]);
    expect(filmed('permanentFilm')).toContain('place.reversibleOnly:refuse');
  });

  it('no drilling refuses what can only be screwed on', () => {
    const made = (id: string, noDrilling: boolean) => {
      const frame = find('frame', 500, {});
      const shelf = recipe('r-shelf', frame, 'chalk', 'teal');
      const pieces = shelf.body.pieces.map((piece) => ({
        ...piece,
        findId: null,
        templateId: 'shelf',
        build: { id, values: {}, materials: {} },
      }));
      const all = rows({
        project: project({ household: household({ noDrilling }) }),
        slots: [slot('1')],
        recipes: [{ ...shelf, body: { ...shelf.body, layers: [], pieces } }],
        options: [option('shelf', '1', 'make', { recipeId: 'r-shelf' })],
      });
      return saidOf(computePlan(all, AS_OF), 'shelf');
    };
    expect(made('floatingShelf', true)).toContain('place.mustDrill:refuse');
    expect(made('floatingShelf', false)).not.toContain('place.mustDrill:refuse');
    expect(made('tray', true)).not.toContain('place.mustDrill:refuse');
  });

  it('the reach of a cord concerns lamps', () => {
    expect(saidOf(three({ cordReachMm: 1400 }), 'lamp')).toContain('place.cordReach:note');
    expect(saidOf(three({ cordReachMm: 1400 }), 'chest')).not.toContain('place.cordReach:note');
  });

  it('damp, heat, food and building works concern every coat', () => {
    const plan = three({ damp: true, heatNear: true, foodNear: true, buildingWorks: true });
    for (const code of [
      'caution.place.damp:note',
      'caution.place.heat:warn',
      'caution.place.food:note',
      'caution.place.works:note',
    ])
      expect(saidOf(plan, 'chest')).toContain(code);
    expect(saidOf(plan, 'print').filter((code) => code.startsWith('caution.place'))).toEqual([]);
  });

  it('pets concern spirits and sprays; for birds, fish and small animals it is a stop', () => {
    expect(saidOf(three({ pets: ['cat'] }), 'lamp')).toContain('caution.pets.drying:warn');
    expect(saidOf(three({ pets: ['cat', 'bird'] }), 'lamp')).toContain('caution.pets.drying:stop');
    expect(saidOf(three({ pets: ['bird'] }), 'print').join()).not.toContain('pets');
  });
});

describe('what an entry of the brief feeds', () => {
  it('is counted in ways to fill a slot', () => {
    const feeds = briefFeeds(three({ noDrilling: true, cordReachMm: 1400, youngestChildYears: 3, damp: true }));
    // The frame made over and the print bought new hang; one lamp; the chest's old paint; three makeovers in a damp room.
    expect(feeds).toMatchObject({ noDrilling: 2, cordReachMm: 1, youngestChildYears: 1, damp: 3, rented: 0 });
  });

  it('has an entry for everything of the household', () => {
    expect(Object.keys(briefFeeds(three())).sort()).toEqual(Object.keys(emptyHousehold).sort());
    expect(Object.values(briefFeeds(three())).every((count) => count === 0)).toBe(true);
  });
});

describe('shares of the palette', () => {
  const plan = (
    hexes: Record<string, string>,
    palette: [string, 'ground' | 'main' | 'accent'][],
    chosen = ['a', 'b'],
  ) => {
    const pieces = ['a', 'b'].map((id) => find(id, 1000));
    return computePlan(
      rows({
        project: project({
          brief: { ...emptyBrief, palette: palette.map(([colorCardId, role]) => ({ colorCardId, role })) },
        }),
        slots: [slot('1'), slot('2', { number: 2 })],
        finds: pieces,
        recipes: pieces.map((piece, n) =>
          recipe(`r-${piece.id}`, piece, 'chalk', n === 0 ? 'white' : 'teal', { dropped: ['topcoat:waterClear'] }),
        ),
        colorCards: Object.entries(hexes).map(([id, hex]) => card(id, id, hex)),
        options: pieces.map((piece, n) =>
          option(piece.id, `${n + 1}`, 'makeover', { parts: [part(piece.id)], recipeId: `r-${piece.id}` }),
        ),
        fills: chosen.map((id) => fill(id === 'a' ? '1' : '2', id)),
      }),
      AS_OF,
    );
  };
  const hexes = { white: '#f4f2ea', teal: '#2f5d62', red: '#c8402a' };

  it('go by the area of what is chosen, each surface to the nearest color', () => {
    const { shares, otherM2 } = paletteShares(
      plan(hexes, [
        ['white', 'ground'],
        ['teal', 'main'],
        ['red', 'accent'],
      ]),
    );
    expect(shares.map((share) => Math.round(share.share * 100))).toEqual([50, 50, 0]);
    expect(otherM2).toBe(0);
    expect(shares.reduce((sum, share) => sum + share.share, 0)).toBeCloseTo(1, 9);
  });

  it('count what is near no color as other, and what is not chosen not at all', () => {
    const { shares, otherM2 } = paletteShares(plan(hexes, [['red', 'accent']], ['b']));
    expect(shares[0]?.share).toBe(0);
    expect(otherM2).toBeGreaterThan(0);
    expect(paletteShares(plan(hexes, [['teal', 'main']], [])).shares[0]?.share).toBe(0);
  });

  it('are nothing without a palette', () => {
    expect(paletteShares(plan(hexes, [])).shares).toEqual([]);
    expect(labFromHex(hexes.teal).L).toBeLessThan(50);
  });
});

describe('a starred slot', () => {
  it('is settled without a fill, and opens again when the star goes', () => {
    const base = rows({ slots: [slot('1', { star: { what: 'hall mirror' } })] });
    expect(computePlan(base, AS_OF).slots[0]).toMatchObject({ open: 0, filled: 0 });
    expect(computePlan(rows({ slots: [slot('1')] }), AS_OF).slots[0]).toMatchObject({ open: 1 });
  });
});
