import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { materials, oldFinishes } from '../catalog/substrates';
import { find } from '../fixtures/projectRows';
import { cards, recipeContext } from '../fixtures/recipes';
import type { FindRow } from '../model/rows';
import { furnitureTemplates } from '../surface/templates';
import { isRepairable } from './isRepairable';
import { proposedWays } from './proposedWays';
import { recipeFor } from './recipeBody';
import { readWish } from './wish';

function waysFor(of: FindRow, wish: string, cardId: string | null = 'white') {
  let n = 0;
  const start = recipeFor(of.id, of.templateId, of.measures, 'piece');
  const next = () => {
    n += 1;
    return `layer${n}`;
  };
  return proposedWays(start, readWish(wish, cards), cardId, recipeContext([of]), () => 0, 1500, next);
}
const names = (of: FindRow, wish: string) => waysFor(of, wish).map((way) => way.name);

describe('a wish in words', () => {
  it.each([
    ['whitewash', { techniqueId: 'wash', color: { cardId: 'white' } }],
    ['spray it matt black', { techniqueId: 'sprayOn', color: { name: 'Black', hex: '#000000' } }],
    ['stain walnut', { techniqueId: 'stain', color: { cardId: 'walnut' } }],
    ['chalk paint in teal', { techniqueId: 'brushOn', coatingId: 'chalk', color: { cardId: 'teal' } }],
    ['gel stain, dark brown', { techniqueId: 'gelStain', coatingId: 'gelStain', color: { name: 'Brown' } }],
    ['paint it navy blue', { techniqueId: 'brushOn', color: { name: 'Navy' } }],
    ['milk paint', { coatingId: 'milkPaint' }],
    ['decoupage it with napkins', { techniqueId: 'paperSheets', sheetId: 'napkin' }],
    ['wrap the back in furniture film', { techniqueId: 'filmPanels', coatingId: 'wrapFilm' }],
    ['torn tissue', { sheetId: 'tissuePaper' }],
    ['something nice', { techniqueId: null, coatingId: null, color: null }],
  ])('“%s”', (words, expected) => {
    expect(readWish(words, cards)).toMatchObject(expected);
  });
});

describe('ways proposed for a piece', () => {
  it('differ by brush, primer and can where paint is wished', () => {
    const stand = find('stand', 900, { finishId: 'soundOldPaint', sheen: 'matt' });
    const ways = names(stand, 'paint it white');
    expect(ways).toHaveLength(3);
    expect(new Set(ways).size).toBe(3);
    expect(ways.some((name) => name.includes('bonding primer first'))).toBe(true);
    expect(ways.some((name) => name.startsWith('By aerosol'))).toBe(true);
  });
  it('roll a wall, and roll small where that was said', () => {
    const wall = find('wall', 0, {
      templateId: 'wall',
      materialId: 'concrete',
      finishId: 'soundOldPaint',
      sheen: 'matt',
      measures: {},
    });
    const painted = names(wall, 'paint it sage');
    expect(painted[0]).toMatch(/^By roller/);
    // Cans are for pieces, unless they were wished; and no wall is clear-coated.
    expect(painted.filter((name) => name.startsWith('By aerosol'))).toEqual([]);
    expect(names(wall, 'spray it sage').some((name) => name.startsWith('By aerosol'))).toBe(true);
    for (const { plan } of waysFor(wall, 'paint it sage'))
      expect(plan.layers.filter(({ coating }) => coating.role === 'clear')).toEqual([]);
    const chest = find('chest', 900, { templateId: 'dresser', finishId: 'soundOldPaint', sheen: 'matt', measures: {} });
    expect(names(chest, 'foam roller it white')[0]).toMatch(/^By mini-roller/);
    expect(names(chest, 'paint it white')[0]).not.toMatch(/roller/);
  });
  it('are a wash for a whitewashed basket, in white', () => {
    const basket = find('basket', 400, { materialId: 'wicker', templateId: 'basket', measures: {} });
    const [first] = waysFor(basket, 'whitewash');
    expect(first?.body.layers).toMatchObject([{ techniqueId: 'wash', coatingId: 'wallAcrylic', colorCardId: 'white' }]);
    expect(names(basket, '').length).toBeGreaterThan(1);
  });
  it('are papers in a medium where paper is wished: by the sheet on fronts, torn where nothing lies flat', () => {
    const fronts = find('fronts', 900, {
      templateId: 'drawerFronts',
      finishId: null,
      materialId: 'pine',
      measures: {},
    });
    const [first] = waysFor(fronts, 'decoupage it with wrapping paper', 'teal');
    expect(first?.body.layers.at(-1)).toMatchObject({
      techniqueId: 'paperSheets',
      coatingId: 'decoupageMedium',
      sheetId: 'wrappingPaper',
      colorCardId: 'teal',
    });
    const egg = find('egg', 100, { templateId: 'egg', finishId: null, materialId: 'pine', measures: {} });
    // An egg is papered by its gores, or torn.
    expect(waysFor(egg, 'decoupage with napkins').map(({ body }) => body.layers.at(-1)?.techniqueId)).toEqual([
      'paperSheets',
      'paperTorn',
    ]);
  });
  it('are film where film is wished, on what it sticks to', () => {
    const glass = find('jar', 100, { templateId: 'jar', finishId: null, materialId: 'glass', measures: {} });
    expect(waysFor(glass, 'vinyl lettering')[0]?.body.layers.at(-1)).toMatchObject({ techniqueId: 'filmShapes' });
    const basket = find('basket', 400, { materialId: 'wicker', templateId: 'basket', measures: {} });
    for (const { plan } of waysFor(basket, 'vinyl decal'))
      expect(plan.layers.some(({ coating }) => coating.role === 'film')).toBe(false);
  });
  it('are stains that hold: a gel stain where varnish keeps the others out', () => {
    const varnished = find('oak', 900, { finishId: 'glossyVarnish', era: 'recent' });
    const ways = waysFor(varnished, 'stain walnut', 'walnut');
    expect(ways.length).toBeGreaterThan(0);
    for (const way of ways)
      expect(
        way.plan.layers.filter((layer) => layer.origin === 'chosen').map((layer) => layer.technique.family),
      ).toContain('translucent');
  });
  it('take a hard paint where a top is worn', () => {
    const table = find('table', 900, { materialId: 'pine', templateId: 'table', measures: {} });
    expect(names(table, 'paint')[0]).toContain('waterborne enamel');
  });
  it('are none where nothing of that look can hold', () => {
    const bin = find('bin', 900, { materialId: 'polypropylene', templateId: 'freeBox', measures: {} });
    expect(waysFor(bin, 'stain walnut', 'walnut')).toEqual([]);
  });

  it('hold, whatever the piece: nothing broken, nothing refused but by a caution, at most three that differ', () => {
    const pieces = fc.record({
      materialId: fc.constantFrom(...materials.map((row) => row.id)),
      finishId: fc.constantFrom(null, ...oldFinishes.map((row) => row.id)),
      templateId: fc.constantFrom(...furnitureTemplates.ids),
      era: fc.constantFrom('unknown' as const, 'recent' as const),
    });
    const wishes = fc.constantFrom('', 'paint', 'spray', 'whitewash', 'stain', 'wax', 'clear coat', 'stencil', 'chalk');
    fc.assert(
      fc.property(pieces, wishes, (change, wish) => {
        const ways = waysFor(find('any', 500, { ...change, measures: {} }), wish);
        expect(ways.length).toBeLessThanOrEqual(3);
        for (const { plan, body } of ways) {
          expect(plan.findings.filter(isRepairable)).toEqual([]);
          expect(body.layers.length).toBeGreaterThan(0);
        }
        expect(
          new Set(ways.map(({ plan }) => plan.layers.map((layer) => layer.coating.id + layer.technique.id).join()))
            .size,
        ).toBe(ways.length);
      }),
      { numRuns: 60 },
    );
  });
});

describe('film that is wished', () => {
  const first = (change: Partial<FindRow>, wish: string): string =>
    names(find('piece', 500, { finishId: null, color: null, measures: {}, ...change }), wish)[0] ?? 'nothing';
  const jar = { templateId: 'jar', materialId: 'glass' };
  const wall = { templateId: 'wall', materialId: 'concrete', finishId: 'soundOldPaint' };
  const pane = { templateId: 'window', materialId: 'glass' };
  it.each([
    // What stays with the building gets what comes off again; what is washed gets what stays.
    [jar, 'labels in vinyl', 'Shapes cut from film, permanent craft film'],
    [jar, 'labels', 'Shapes cut from film, permanent craft film'],
    [jar, 'a monogram', 'Shapes cut from film, permanent craft film'],
    [wall, 'decals', 'Shapes cut from film, removable craft film'],
    [pane, 'stick-on letters', 'Shapes cut from film, removable craft film'],
    [pane, 'window film', 'Film by the drop, frosted window film'],
    [wall, 'wallpaper', 'Film by the drop, peel-and-stick wall film'],
    [
      { templateId: 'bookcase', materialId: 'laminate' },
      'contact paper on the back',
      'Wrapped with film, furniture and shelf film',
    ],
    // What is raw or open is closed first, so that film holds on it.
    [
      { templateId: 'planter', materialId: 'terracotta' },
      'vinyl lettering',
      'Shapes cut from film, permanent craft film, waterborne polyurethane first',
    ],
    [
      { templateId: 'table', materialId: 'pine' },
      'wrap it in film',
      'Wrapped with film, furniture and shelf film, waterborne polyurethane first',
    ],
    [
      { templateId: 'shelf', materialId: 'laminate' },
      'shelf liner film',
      'Wrapped with film, furniture and shelf film',
    ],
  ] as const)('%j, “%s”: %s', (change, wish, expected) => expect(first(change, wish)).toBe(expected));

  it('is offered closed beneath only where it does not hold by itself', () => {
    const all = names(find('jar', 500, { ...jar, finishId: null, color: null, measures: {} }), 'labels in vinyl');
    expect(all).toEqual(['Shapes cut from film, permanent craft film']);
  });
});

describe('paper that is wished', () => {
  const all = (change: Partial<FindRow>, wish: string) =>
    names(find('piece', 500, { finishId: null, color: null, measures: {}, ...change }), wish);
  it('lies in whole sheets on everything that has faces, and says which paper', () => {
    const paperable = [
      'freeBox',
      'dresser',
      'drawerFronts',
      'tray',
      'bookcase',
      'nightstand',
      'table',
      'jar',
      'egg',
      'crate',
    ];
    for (const templateId of paperable)
      expect([templateId, all({ templateId, materialId: 'pine' }, 'decoupage with wrapping paper')[0]]).toEqual([
        templateId,
        expect.stringMatching(/^Papered with whole sheets, wrapping paper/),
      ]);
  });
  it.each([
    ['wallpaper on it', /^Papered with whole sheets, wallpaper/],
    ['cover it with thin fabric', /^Papered with whole sheets, thin fabric/],
    ['cut-outs', /^Motifs cut out and placed/],
  ])('“%s”', (wish, expected) => expect(all({ templateId: 'freeBox', materialId: 'pine' }, wish)[0]).toMatch(expected));
});
