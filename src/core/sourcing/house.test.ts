import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { labFromHex } from '../color/lab';
import { card, find, project, rows, slot } from '../fixtures/projectRows';
import { withFinds } from '../model/finds';
import type { PieceRow } from '../model/rows';
import { findFromPiece } from '../plan/stashPieces';
import { fitNeed, seasonOf } from './fitNeed';
import { explainFit, fitPiece, fitScore, rankPieces } from './fitRanking';
import { newPiece } from './newPiece';
import { pieceKindOf } from './pieceKindOf';
import { mostInUse, overlaps, type Placement, placementClash } from './placements';
import { RankedPieces } from './rankedPieces';
import { type Footprint, type Riser, riserCombinations } from './risers';
import { unknownPiece } from './unknownPiece';

const locale = { units: 'us', currency: 'USD', today: '2026-06-01' } as const;
const piece = (name: string, change: Partial<PieceRow> = {}): PieceRow => ({
  ...unknownPiece(name, name, locale),
  ...change,
});

const seen = (name: string, change: Partial<PieceRow> = {}) => fitPiece(piece(name, change));

describe('a quick entry', () => {
  it('says what it is, how many, how large, where it is, and proposes what it does', () => {
    expect(newPiece('id', '3 brass candlesticks, 9 in x 3 in, box 4, shelf 2, $6', locale)).toMatchObject({
      name: 'Brass candlesticks',
      count: 3,
      widthMm: 228.6,
      heightMm: 76.2,
      box: '4',
      shelf: '2',
      value: 600,
      roles: ['height', 'light'],
      sorted: true,
    });
    expect(newPiece('id', 'tall blue vase, mantel', locale)).toMatchObject({
      name: 'Tall blue vase',
      standsAt: 'mantel',
      fragile: true,
      sorted: false,
      seenOn: '2026-06-01',
    });
    expect(newPiece('id', 'lamp, borrowed from the chapel, since 1998', locale)).toMatchObject({
      borrowedFrom: 'the chapel',
      sinceYear: 1998,
      kind: 'lamp',
      cordCondition: 'unknown',
      templateId: 'lampBase',
    });
    expect(newPiece('id', 'pumpkin bowl for autumn', locale).season).toBe('autumn');
  });

  it.each([
    ['2 black frames 8x10, hall', { name: 'Black frames', count: 2, widthMm: 203.2, heightMm: 254, standsAt: 'hall' }],
    [
      'old milk can, 24" tall, porch',
      { name: 'Old milk can', heightMm: 609.6, standsAt: 'porch', roles: ['height', 'greenery'] },
    ],
    [
      'wood box 10 x 6 x 4, attic shelf 2',
      { name: 'Wood box', widthMm: 254, depthMm: 152.4, heightMm: 101.6, shelf: 'attic 2' },
    ],
    ['rug 5 x 7 ft', { name: 'Rug', widthMm: 1524, depthMm: 2133.6, heightMm: null }],
    ['stool, 1\' 6" tall, pine', { name: 'Stool', heightMm: 457.2, materialId: 'pine', roles: ['function'] }],
    ['bench 3\' 2" long', { name: 'Bench', widthMm: 965.2 }],
    ['set of 4 white plates, cupboard', { name: 'White plates', count: 4, standsAt: 'cupboard' }],
    ['pair of brass bookends', { name: 'Brass bookends', count: 2 }],
    ['string lights, box 12, christmas', { season: 'winter', box: '12', roles: ['light', 'texture'] }],
    ['fern, borrowed from Ana, back by 2026-07-01', { borrowedFrom: 'Ana', backBy: '2026-07-01' }],
    ['lamp, no shade, 18 in', { name: 'Lamp', heightMm: 457.2, story: 'no shade', standsAt: '' }],
    ['grandma’s teapot, $40, fragile', { value: 4000, fragile: true, story: '' }],
    ['1/2 barrel planter', { name: '1/2 barrel planter', count: 1 }],
    ['vase, 12,5 cm', { name: 'Vase', heightMm: 125 }],
    ['basket, on the dresser', { standsAt: 'on the dresser' }],
    ['12 in', { name: 'Unnamed piece', heightMm: 304.8, count: 1 }],
  ] as [string, Partial<PieceRow>][])('reads “%s”', (line, expected) => {
    expect(newPiece('id', line, locale)).toMatchObject(expected);
  });

  it('takes the longest word that is said', () => {
    expect(pieceKindOf('candle holder, iron')?.id).toBe('candlestick');
    expect(pieceKindOf('tea candle')?.id).toBe('candle');
    expect(pieceKindOf('glass jar with shells')?.id).toBe('jar');
    expect(pieceKindOf('hook')?.id).toBe('hardware');
    expect(pieceKindOf('thingamajig')).toBeNull();
  });

  it('always gives a piece that can be kept, whatever was typed', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 100 }), (line) => {
        const made = newPiece('id', line, locale);
        expect(made.name.length).toBeGreaterThan(0);
        expect(made.count).toBeGreaterThan(0);
        for (const size of [made.widthMm, made.depthMm, made.heightMm])
          if (size !== null) expect(size).toBeGreaterThan(0);
      }),
    );
  });
});

describe('risers', () => {
  const of = (id: string, heightMm: number, widthMm: number, depthMm: number, more: Partial<Riser> = {}): Riser => ({
    id,
    name: id,
    heightMm,
    widthMm,
    depthMm,
    outline: 'unknown',
    weightG: null,
    carriesG: null,
    count: 1,
    ...more,
  });
  const onTop = (widthMm: number, more: Partial<Footprint> = {}): Footprint => ({
    widthMm,
    depthMm: widthMm,
    outline: 'unknown',
    weightG: null,
    ...more,
  });
  const idsOf = (...asked: Parameters<typeof riserCombinations>) => riserCombinations(...asked).map(({ ids }) => ids);
  const atlas = of('atlas', 40, 300, 220);
  const novel = of('novel', 25, 180, 120);
  const box = of('box', 64, 100, 100);

  it('make up a height alone or stacked, the broader below; one that is near goes before two that are nearer', () => {
    expect(riserCombinations(65, 3, [novel, atlas, box])).toEqual([
      { ids: ['box'], heightMm: 64, offMm: -1, loadKnown: false, slender: false },
      { ids: ['atlas', 'novel'], heightMm: 65, offMm: 0, loadKnown: false, slender: false },
    ]);
    // What stands on top needs most of its own footprint beneath it.
    expect(idsOf(64, 1, [box], onTop(300))).toEqual([]);
    expect(idsOf(80, 1, [{ ...atlas, count: 2 }])).toEqual([['atlas', 'atlas']]);
    expect(idsOf(80, 1, [atlas])).toEqual([]);
    expect(idsOf(0, 5, [atlas])).toEqual([]);
  });

  it('are stacked up to five high, and no higher', () => {
    const slab = of('slab', 20, 200, 200, { count: 9 });
    expect(idsOf(100, 1, [slab])).toEqual([['slab', 'slab', 'slab', 'slab', 'slab']]);
    expect(idsOf(120, 1, [slab])).toEqual([]);
  });

  it('carry no more than they are said to carry; what nobody weighed is said to be open', () => {
    const stand = of('stand', 60, 150, 150, { carriesG: 2000 });
    expect(idsOf(60, 1, [stand], onTop(100, { weightG: 2500 }))).toEqual([]);
    expect(riserCombinations(60, 1, [stand], onTop(100, { weightG: 1500 }))[0]?.loadKnown).toBe(true);
    expect(riserCombinations(60, 1, [stand], onTop(100))[0]?.loadKnown).toBe(false);
    // The box between weighs too.
    const between = of('between', 20, 120, 120, { weightG: 800, carriesG: 5000 });
    expect(idsOf(80, 1, [stand, between], onTop(100, { weightG: 1500 }))).toEqual([]);
    expect(idsOf(80, 1, [stand, between], onTop(100, { weightG: 1200 }))).toEqual([['stand', 'between']]);
  });

  it('that are round carry a square thing only where its corners are held too', () => {
    const drum = (widthMm: number) => of('drum', 60, widthMm, widthMm, { outline: 'round' });
    const square = onTop(200, { outline: 'square' });
    // 0.6 of the side alone would be 120 mm; for the corners it is 170 mm.
    expect(idsOf(60, 1, [drum(160)], square)).toEqual([]);
    expect(idsOf(60, 1, [drum(170)], square)).toHaveLength(1);
    expect(idsOf(60, 1, [drum(130)], { ...square, outline: 'round' })).toHaveLength(1);
  });

  it('that are tall for their foot say so', () => {
    const post = of('post', 410, 100, 100);
    expect(riserCombinations(410, 1, [post])[0]?.slender).toBe(true);
    expect(riserCombinations(400, 1, [{ ...post, heightMm: 400 }])[0]?.slender).toBe(false);
  });

  it('are all that an exhaustive search finds, and no others', () => {
    const riser = fc.record({
      heightMm: fc.integer({ min: 1, max: 120 }),
      widthMm: fc.option(fc.integer({ min: 50, max: 400 })),
      depthMm: fc.option(fc.integer({ min: 50, max: 400 })),
      outline: fc.constantFrom('unknown' as const, 'round' as const, 'square' as const),
      weightG: fc.option(fc.integer({ min: 100, max: 3000 })),
      carriesG: fc.option(fc.integer({ min: 500, max: 8000 })),
      count: fc.integer({ min: 1, max: 3 }),
    });
    const rests = (below: Footprint, above: Footprint) => {
      const share = below.outline === 'round' && above.outline === 'square' ? 0.6 * Math.sqrt(2) : 0.6;
      const enough = (under: number | null, over: number | null) =>
        under === null || over === null || under >= share * over;
      return enough(below.widthMm, above.widthMm) && enough(below.depthMm, above.depthMm);
    };
    const broad = (one: Riser) => (one.widthMm ?? 0) * (one.depthMm ?? one.widthMm ?? 0);
    fc.assert(
      fc.property(
        fc.array(riser, { maxLength: 5 }),
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 0, max: 30 }),
        (list, gap, tolerance) => {
          const risers: Riser[] = list.map((entry, n) => ({ ...entry, id: String(n), name: '' }));
          const ordered = [...risers].sort((a, b) => broad(b) - broad(a) || (a.id < b.id ? -1 : 1));
          const top = onTop(150, { outline: 'square', weightG: 1000 });
          // Every number of each, as many as there are, five in all.
          let piles: Riser[][] = [[]];
          for (const one of ordered)
            piles = piles.flatMap((pile) =>
              Array.from({ length: one.count + 1 }, (_, n) => [...pile, ...Array<Riser>(n).fill(one)]),
            );
          const good = piles.filter((pile) => {
            if (pile.length === 0 || pile.length > 5) return false;
            const height = pile.reduce((sum, { heightMm }) => sum + heightMm, 0);
            if (Math.abs(height - gap) > tolerance) return false;
            const all: Footprint[] = [...pile, top];
            return pile.every((one, n) => {
              const above = all.slice(n + 1);
              const weights = above.map(({ weightG }) => weightG);
              const isLight =
                one.carriesG === null ||
                weights.includes(null) ||
                weights.reduce<number>((sum, weight) => sum + (weight ?? 0), 0) <= one.carriesG;
              return isLight && rests(one, above[0] as Footprint);
            });
          });
          // No more than two hundred are told: with five risers there are seldom so many.
          fc.pre(good.length <= 200);
          const keys = (stacks: readonly (readonly string[])[]) => stacks.map((ids) => ids.join('+')).sort();
          expect(keys(idsOf(gap, tolerance, risers, top))).toEqual(keys(good.map((pile) => pile.map(({ id }) => id))));
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe('one piece, one place', () => {
  const placement = (slotId: string, from: string | null, until: string | null, count = 1): Placement => ({
    pieceId: 'p',
    projectId: `project of ${slotId}`,
    projectName: '',
    placeId: slotId,
    slotNumber: 1,
    placeName: slotId,
    count,
    from,
    until,
  });

  it('shares no day, both ends counted; an open end lasts', () => {
    expect(overlaps({ from: '2026-06-01', until: '2026-06-10' }, { from: '2026-06-10', until: null })).toBe(true);
    expect(overlaps({ from: '2026-06-01', until: '2026-06-09' }, { from: '2026-06-10', until: null })).toBe(false);
    expect(overlaps({ from: null, until: null }, { from: '2030-01-01', until: '2030-01-01' })).toBe(true);
  });

  it('names who stands in the way, and leaves the same slot alone', () => {
    const mine = placement('a', '2026-06-01', '2026-06-30');
    const other = placement('b', '2026-06-15', null);
    expect(placementClash(mine, [mine, other], 1)).toEqual([other]);
    expect(placementClash(mine, [mine, other], 2)).toEqual([]);
    expect(placementClash(mine, [mine, placement('b', '2026-07-01', null)], 1)).toEqual([]);
  });

  it('is taken by a look of another project, and by a look of another spot, but not by a slot of its own project', () => {
    const look = (spotId: string, projectId: string): Placement => ({
      ...placement(spotId, '2026-06-01', null),
      projectId,
      slotNumber: null,
    });
    const slot = placement('a', '2026-06-01', null);
    const elsewhere = look('spot', 'another project');
    expect(placementClash(slot, [elsewhere], 1)).toEqual([elsewhere]);
    expect(placementClash(slot, [look('spot', slot.projectId)], 1)).toEqual([]);
    const here = look('console', 'one project');
    expect(placementClash(here, [here], 1)).toEqual([]);
    expect(placementClash(here, [look('mantel', 'one project')], 1)).toHaveLength(1);
    expect(placementClash(here, [placement('b', '2026-06-01', null)], 1)).toHaveLength(1);
  });

  it('counts the busiest day as counting every day does', () => {
    const day = (n: number) => `2026-06-${String(n).padStart(2, '0')}`;
    const stay = fc
      .record({
        from: fc.option(fc.integer({ min: 1, max: 28 })),
        until: fc.option(fc.integer({ min: 1, max: 28 })),
        count: fc.integer({ min: 1, max: 3 }),
      })
      .filter(({ from, until }) => from === null || until === null || from <= until)
      .map(({ from, until, count }) => ({
        from: from === null ? null : day(from),
        until: until === null ? null : day(until),
        count,
      }));
    fc.assert(
      fc.property(fc.array(stay, { maxLength: 8 }), stay, (stays, during) => {
        let most = 0;
        // The month with a day to spare at both ends stands for all time.
        for (let n = 0; n <= 29; n += 1) {
          const at = day(n);
          const has = ({ from, until }: { from: string | null; until: string | null }) =>
            (from === null || from <= at) && (until === null || at <= until);
          if (!has(during)) continue;
          most = Math.max(
            most,
            stays.filter(has).reduce((sum, entry) => sum + entry.count, 0),
          );
        }
        expect(mostInUse(stays, during)).toBe(most);
      }),
    );
  });
});

describe('the fit of a piece', () => {
  const teal = card('teal', 'Teal', '#1f5a5e');
  const asked = slot('s', {
    name: 'Tall vase on the left',
    role: 'height',
    height: { minimumMm: 300, maximumMm: 400 },
    colorCardIds: ['teal'],
  });
  const need = fitNeed(
    rows({ colorCards: [teal], project: project({ revealDate: '2026-06-20' }) }),
    asked,
    '2026-06-01',
  );
  const fitting = seen('Vase', {
    heightMm: 350,
    color: teal.lab,
    roles: ['height'],
    lastUsedOn: '2020-01-01',
  });

  it('is whole when everything asked for is there', () => {
    expect(need).toMatchObject({ words: ['vase'], season: 'summer', colorsFrom: 'slot' });
    expect(fitScore(need, fitting)).toBe(1);
  });

  it.each([
    ['size', { heightMm: 500 }, 'size.over', 0],
    ['size', { heightMm: 401 }, 'size.over', 0],
    ['size', { heightMm: 262.5 }, 'size.under', 0.5],
    ['size', { heightMm: null }, 'size.unknown', 0.5],
    ['color', { color: null }, 'color.unknown', 0.4],
    ['role', { roles: [] }, 'role.doesNot', 0],
    ['season', { season: 'winter' as const }, 'season.other', 0],
    ['rest', { lastUsedOn: '2026-06-01' }, 'rest.days', 0],
    ['care', { borrowedFrom: 'a neighbor', backBy: '2026-06-21' }, 'care.goesBack', 0],
  ] as const)('loses by its %s alone what that counts', (aspect, change, code, score) => {
    const fit = explainFit(need, fitPiece({ ...fitting, ...change } as never));
    const reason = fit.reasons.find((entry) => entry.aspect === aspect);
    expect(reason).toMatchObject({ code, score });
    expect(fit.reasons.filter((entry) => entry.score < 1)).toEqual([reason]);
    const weights = fit.reasons.reduce((sum, entry) => sum + entry.weight, 0);
    expect(fit.score).toBeCloseTo(1 - ((1 - score) * (reason?.weight ?? 0)) / weights, 12);
  });

  it('of a fragile thing falls where a small child is about', () => {
    const household = { ...project().household, youngestChildYears: 2 };
    const careful = fitNeed(rows({ project: project({ household }) }), asked, '2026-06-01');
    expect(explainFit(careful, { ...fitting, fragile: true }).reasons.at(-1)).toMatchObject({
      code: 'care.fragileChild',
      score: 0,
    });
  });

  it('is the mean of its reasons for any piece, and never outside 0 to 1', () => {
    fc.assert(
      fc.property(
        fc.record({
          heightMm: fc.option(fc.integer({ min: 1, max: 3000 })),
          color: fc.option(fc.constantFrom('#000000', '#1f5a5e', '#e0d0a0').map(labFromHex)),
          fragile: fc.boolean(),
          lastUsedOn: fc.constantFrom(null, '1990-01-01', '2026-05-30', '2027-01-01'),
        }),
        (change) => {
          const fit = explainFit(need, fitPiece({ ...fitting, ...change }));
          const weights = fit.reasons.reduce((sum, entry) => sum + entry.weight, 0);
          const mean = fit.reasons.reduce((sum, entry) => sum + entry.weight * entry.score, 0) / weights;
          expect(fit.score).toBeCloseTo(mean, 12);
          expect(fit.score).toBeGreaterThanOrEqual(0);
          expect(fit.score).toBeLessThanOrEqual(1);
        },
      ),
    );
  });

  it('ranks the free before the promised, the better before the worse, and equals by name', () => {
    const low = seen('Low vase', { heightMm: 100 });
    const twin = { ...fitting, id: 'twin', name: 'A vase' };
    const order = rankPieces(need, new RankedPieces([low, fitting, twin]), new Set(['twin'])).map(
      (entry) => entry.piece.id,
    );
    expect(order).toEqual(['Vase', 'Low vase', 'twin']);
    expect(rankPieces(need, new RankedPieces([fitting, twin]), new Set()).map((entry) => entry.piece.id)).toEqual([
      'twin',
      'Vase',
    ]);
  });

  it('looks at what a thing is, not at the words before it, and lets what never was used sleep longest', () => {
    const table = fitNeed(rows({ project: project() }), slot('t', { name: 'Side table' }), '2026-06-01');
    const said = (name: string) => explainFit(table, seen(name)).reasons.find((entry) => entry.aspect === 'words');
    expect(said('Table lamp')).toMatchObject({ score: 0, code: 'words.none' });
    expect(said('Coffee table')).toMatchObject({ score: 1, code: 'words.match' });
    expect(said('Low table with a lamp')).toMatchObject({ score: 1 });
    const holder = fitNeed(rows({ project: project() }), slot('c', { name: 'Candle holder' }), '2026-06-01');
    const held = (name: string) => explainFit(holder, seen(name)).reasons.find((entry) => entry.aspect === 'words');
    expect(held('Brass candlestick')?.score).toBe(1);
    expect(held('Pillar candle')?.score).toBe(0);
    expect(explainFit(table, seen('Desk')).reasons.find((entry) => entry.aspect === 'rest')).toMatchObject({
      code: 'rest.never',
      score: 1,
    });
  });

  it('sets what is larger than there is room for apart, however well it fits otherwise', () => {
    const tall = { ...fitting, id: 'tall', heightMm: 430 };
    const plain = seen('Bowl', { heightMm: 350 });
    const order = rankPieces(need, new RankedPieces([tall, plain, fitting]), new Set(['Vase']));
    expect(order.map(({ piece: { id }, fits, free }) => [id, fits, free])).toEqual([
      ['Bowl', true, true],
      ['tall', false, true],
      ['Vase', true, false],
    ]);
  });

  it('gives the same first places whether few or all are asked for', () => {
    const some = fc.record({
      heightMm: fc.option(fc.integer({ min: 200, max: 600 })),
      color: fc.option(fc.constantFrom('#000000', '#1f5a5e', '#20605f', '#e0d0a0', '#7f3030').map(labFromHex)),
      accent: fc.option(fc.constant(labFromHex('#1f5a5e'))),
      roles: fc.constantFrom<PieceRow['roles']>([], ['height']),
      name: fc.constantFrom('Vase', 'Jug', 'Bowl'),
    });
    fc.assert(
      fc.property(
        fc.array(some, { maxLength: 30 }),
        fc.integer({ min: 0, max: 12 }),
        fc.array(fc.integer({ min: 0, max: 29 }), { maxLength: 6 }),
        (list, most, busy) => {
          const pieces = list.map((change, n) => fitPiece(piece(change.name, { ...change, id: String(n) })));
          const taken = new Set(busy.map(String));
          const all = pieces
            .map((entry) => ({
              entry,
              score: fitScore(need, entry),
              free: !taken.has(entry.id),
              fits: (entry.heightMm ?? 0) <= 400,
            }))
            .sort(
              (a, b) =>
                Number(b.free) - Number(a.free) ||
                Number(b.fits) - Number(a.fits) ||
                b.score - a.score ||
                (a.entry.name < b.entry.name ? -1 : a.entry.name > b.entry.name ? 1 : a.entry.id < b.entry.id ? -1 : 1),
            );
          const ranked = rankPieces(need, new RankedPieces(pieces), taken, most);
          expect(ranked.map((entry) => entry.free)).toEqual(all.slice(0, most).map((entry) => entry.free));
          for (const [n, entry] of ranked.entries()) expect(entry.score).toBeCloseTo(all[n]?.score ?? -1, 9);
          expect(ranked).toHaveLength(Math.min(most, pieces.length));
        },
      ),
    );
  });

  it('is the same whatever was ranked before, and whatever changed, came or went meanwhile', () => {
    const colors = ['#000000', '#1f5a5e', '#20605f', '#e0d0a0', '#7f3030', '#f0f0f0'].map(labFromHex);
    const look = fc.record({
      color: fc.option(fc.constantFrom(...colors)),
      accent: fc.option(fc.constantFrom(...colors)),
      heightMm: fc.option(fc.integer({ min: 200, max: 600 })),
    });
    const wantedColors = fc.array(fc.constantFrom(...colors), { maxLength: 3 });
    const change = fc.record({
      looks: fc.array(fc.tuple(fc.integer({ min: 0, max: 14 }), look), { maxLength: 4 }),
      gone: fc.array(fc.integer({ min: 0, max: 14 }).map(String), { maxLength: 3 }),
      colors: wantedColors,
    });
    const pieceOf = (n: number, given: object) => fitPiece(piece(`Vase ${n}`, { ...given, id: String(n) }));
    fc.assert(
      fc.property(fc.array(look, { maxLength: 12 }), fc.array(change, { maxLength: 4 }), (list, changes) => {
        let ranked = new RankedPieces(list.map((given, n) => pieceOf(n, given)));
        for (const { looks, gone, colors: wanted } of changes) {
          const changed = new Map(looks.map(([n, given]) => [String(n), pieceOf(n, given)]));
          ranked = ranked.with([...changed.values()], new Set(gone.filter((id) => !changed.has(id))));
          const asking = { ...need, colors: wanted };
          const order = (pieces: typeof ranked) =>
            rankPieces(asking, pieces, new Set(), 6).map(({ piece: { id }, score }) => [id, score]);
          expect(order(ranked)).toEqual(order(new RankedPieces(ranked.pieces)));
          expect(ranked.find('3')).toBe(ranked.pieces.find(({ id }) => id === '3'));
        }
      }),
    );
  });

  it('knows the season of a date', () => {
    expect(['2026-03-01', '2026-06-21', '2026-11-30', '2026-12-01', '2026-02-28'].map(seasonOf)).toEqual([
      'spring',
      'summer',
      'autumn',
      'winter',
      'winter',
    ]);
  });
});

describe('a find that is a piece of the stash', () => {
  const stool = piece('Stool', { heightMm: 450, widthMm: 300, materialId: 'pine', count: 2 });
  it('says what the piece says, as the same object while neither changes', () => {
    const own = { ...findFromPiece('f', stool), note: 'wobbles' };
    const stale = { ...own, materialId: 'laminate', name: 'Old name' };
    const given = rows({ finds: [stale, find('other', 1000)], pieces: [stool] });
    const once = withFinds(given);
    expect(once.finds[0]).toMatchObject({ name: 'Stool', materialId: 'pine', note: 'wobbles' });
    expect(once.finds[0]?.measures).toMatchObject({ heightMm: 450, widthMm: 300 });
    expect(once.finds[0]?.count).toBe(2);
    expect(once.finds[1]).toBe(given.finds[1]);
    expect(withFinds(given).finds[0]).toBe(once.finds[0]);
    expect(withFinds(once).finds).toBe(once.finds);
  });
});
