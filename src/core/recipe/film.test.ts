import { describe, expect, it } from 'vitest';
import type { Artwork } from '../artwork/artwork';
import { basicOutline } from '../artwork/basicShapes';
import { outlineOfPath, pathOfOutline } from '../artwork/pathOutline';
import { partsTimes, wholeParts } from '../cutting/part';
import { find, recipe } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import { isInside, rectangleOutline } from '../surface/outline';
import { computeRecipe } from './computeRecipe';
import type { ChosenLayer } from './recipeBody';

const jar = find('jar', 200, { templateId: 'vase', materialId: 'glass' });
const path = (widthMm: number, heightMm: number, more = '') =>
  pathOfOutline(basicOutline('rectangle', widthMm, heightMm)) + more;
const label = (change: Partial<Artwork> = {}): Artwork => ({
  id: 'label',
  name: 'Flour label',
  widthMm: 80,
  heightMm: 40,
  layers: [
    { name: 'Label', colorCardId: 'teal', path: path(80, 40) },
    { name: 'Word', colorCardId: 'white', path: 'M20 10L60 10L60 30L20 30Z' },
  ],
  text: null,
  ...change,
});

/** Where on a jar the shape goes. */
const zone = 'body';

/** Six jars with shapes of film on them: one on each, or a set. */
function jarsWith(layer: Partial<ChosenLayer>, artworks: readonly Artwork[], coatingId = 'permanentFilm') {
  const made = recipe('jars', jar, coatingId, 'teal');
  const body = {
    ...made.body,
    pieces: made.body.pieces.map((piece) => ({ ...piece, templateId: 'vase', count: 6 })),
    layers: made.body.layers.map((own) => ({
      ...own,
      techniqueId: 'filmShapes',
      zoneKeys: [`${made.body.pieces[0]?.id}/${zone}`],
      ...layer,
    })),
  };
  return computeRecipe('jars', body, recipeContext([jar], { artworks: new Map(artworks.map((own) => [own.id, own])) }));
}
const filmed = (layer: Partial<ChosenLayer>, artwork: Artwork | null = label(), coatingId?: string) =>
  jarsWith({ artworkIds: ['label'], ...layer }, artwork ? [artwork] : [], coatingId);
const partsOf = (plan: ReturnType<typeof filmed>) =>
  [...plan.demands.values()].flatMap(({ supplies }) => supplies.flatMap(({ parts }) => parts ?? []));
const codes = (plan: ReturnType<typeof filmed>) => plan.findings.map(({ code }) => code);

describe('shapes of film', () => {
  it('are parts with their true outline, one a jar', () => {
    const [part] = partsOf(filmed({ values: { artworkColor: 2 } }));
    expect(part?.count).toBe(1);
    expect(part?.part.name).toBe('Flour label');
    // Marks on both sides of the whole label, so that both colors meet.
    expect(part?.part.widthMm).toBeCloseTo(80 + 16, 6);
    expect(part?.part.outline?.length).toBe(3);
  });
  it('on one of six jars are cut once for all six, and weeded once', () => {
    const all = filmed({});
    const one = filmed({ values: { onPieces: 1 } });
    const cut = (plan: ReturnType<typeof filmed>) => plan.steps.find(({ kind }) => kind === 'cut');
    expect(partsOf(one)[0]?.count).toBeCloseTo(1 / 6, 9);
    expect(wholeParts(partsTimes(partsOf(one), 6))[0]?.count).toBe(1);
    expect(cut(one)?.title).toContain('Cut the piece');
    expect(cut(all)?.title).toContain('Cut the 6 pieces');
    expect((cut(all)?.runMinutes ?? 0) / (cut(one)?.runMinutes ?? 1)).toBeCloseTo(6, 6);
  });
  describe('of a set', () => {
    const names = ['Flour', 'Sugar', 'Rice', 'Oats', 'Lentils', 'Coffee'];
    const set = (count: number, layer: Partial<ChosenLayer> = {}) => {
      const labels = names.slice(0, count).map((name) => label({ id: name, name }));
      return jarsWith({ artworkIds: labels.map(({ id }) => id), ...layer }, labels);
    };
    const counts = (plan: ReturnType<typeof set>) => wholeParts(partsTimes(partsOf(plan), 6)).map(({ count }) => count);

    it('go each on their share of the jars: six on six once each, two on six three times each', () => {
      expect(counts(set(6))).toEqual([1, 1, 1, 1, 1, 1]);
      expect(counts(set(2))).toEqual([3, 3]);
      expect(counts(set(1))).toEqual([6]);
    });
    it('that do not come out even leave jars bare rather than cutting for none', () => {
      expect(counts(set(4))).toEqual([1, 1, 1, 1]);
      expect(counts(set(4, { values: { onPieces: 2 } }))).toEqual([2, 2, 2, 2]);
    });
    it('take together what each takes by itself', () => {
      const minutes = (plan: ReturnType<typeof set>, kind: string) =>
        plan.steps.filter((step) => step.kind === kind).reduce((sum, { runMinutes }) => sum + runMinutes, 0);
      for (const kind of ['cut', 'coat'])
        expect(minutes(set(6), kind)).toBeCloseTo(minutes(set(1, { values: { onPieces: 6 } }), kind), 6);
      expect(set(6).steps.length).toBe(set(1).steps.length);
    });
    it('of which one is gone are refused, and the others still stand', () => {
      const plan = set(3, { artworkIds: ['Flour', 'gone', 'Rice'] });
      expect(codes(plan)).toContain('film.noArtwork');
      expect(partsOf(plan)).toHaveLength(2);
    });
  });
  it('grow and shrink by their percentage', () => {
    const [part] = partsOf(filmed({ values: { sizePercent: 50 } }));
    expect([part?.part.widthMm, part?.part.lengthMm]).toEqual([40, 20]);
  });
  it('with a weed border are boxes, and the blade follows border and shape', () => {
    const [part] = partsOf(filmed({ values: { borderMm: 3 } }));
    expect(part?.part).toMatchObject({ widthMm: 86, lengthMm: 46, outline: null });
    expect(part?.part.lines).toHaveLength(2);
  });
  it('that are pressed on are cut mirrored, without transfer tape, with an iron', () => {
    const flag = label({ layers: [{ name: '', colorCardId: null, path: 'M0 0L10 0L10 30L40 30L40 40L0 40Z' }] });
    const plain = filmed({}, flag);
    const pressed = filmed({}, flag, 'heatTransferFilm');
    const inside = (plan: ReturnType<typeof filmed>) => isInside([5, 5], partsOf(plan)[0]?.part.outline ?? []);
    expect(inside(plain)).toBe(true);
    expect(inside(pressed)).toBe(false);
    const tape = (plan: ReturnType<typeof filmed>) =>
      [...plan.demands.values()]
        .flatMap(({ supplies }) => supplies)
        .filter(({ supplyKey }) => supplyKey.includes('transferTape'));
    expect(tape(plain).length).toBeGreaterThan(0);
    expect(tape(pressed)).toEqual([]);
    expect(pressed.steps.some(({ tools }) => tools.includes('iron'))).toBe(true);
  });
  it('take tape by their box and 10 mm around it, used twice: common practice', () => {
    const plan = filmed({}, label({ layers: [{ name: '', colorCardId: null, path: path(80, 40) }] }));
    const step = plan.steps.find(({ kind }) => kind === 'cut');
    const [taken] = step?.supplies ?? [];
    expect(taken?.amount).toBeCloseTo((6 * 0.1 * 0.06) / 0.3048 / 2, 6);
  });
  it('of letters are weeded letter by letter: small ones take longer than large ones', () => {
    const lettering = (letterHeightMm: number) =>
      label({
        layers: [{ name: '', colorCardId: null, path: path(80, 40) }],
        text: { words: 'FLOUR', fontId: 'nunito700', letterHeightMm },
      });
    const minutes = (letterHeightMm: number) =>
      filmed({}, lettering(letterHeightMm)).steps.find(({ kind }) => kind === 'coat')?.runMinutes ?? 0;
    // Five letters on six jars at 12 and at 30 seconds; applying takes the same.
    expect(minutes(20) - minutes(30)).toBeCloseTo((6 * 5 * (30 - 12)) / 60, 6);
  });
  it('are cut by machine where there is one in the house, else by hand: nobody is asked to buy one', () => {
    const made = recipe('jars', jar, 'permanentFilm', 'teal');
    const body = { ...made.body, layers: made.body.layers.map((own) => ({ ...own, techniqueId: 'filmShapes' })) };
    const toolsOf = (hasCuttingMachine: boolean) =>
      computeRecipe('jars', body, recipeContext([jar], { hasCuttingMachine })).toolIds;
    expect(toolsOf(true)).toContain('cuttingMachine');
    expect(toolsOf(false)).not.toContain('cuttingMachine');
    expect(toolsOf(false)).toContain('craftKnife');
    // Who says that a machine cuts it, means it.
    const layers = body.layers.map((own) => ({ ...own, values: { byMachine: 1 } }));
    const asked = computeRecipe('jars', { ...body, layers }, recipeContext([jar], { hasCuttingMachine: false }));
    expect(asked.toolIds).toContain('cuttingMachine');
  });
  it('by hand take longer to cut than by machine', () => {
    const cut = (byMachine: number) =>
      filmed({ values: { byMachine } }).steps.find(({ kind }) => kind === 'cut')?.runMinutes ?? 0;
    expect(cut(0)).toBeGreaterThan(cut(1));
  });
});

describe('what a film does not hold', () => {
  const bar = [
    ...rectangleOutline(0, 0, 20, 20),
    ...rectangleOutline(19.5, 9, 40, 1),
    ...rectangleOutline(59, 0, 20, 20),
  ];
  const thin = label({
    layers: [
      {
        name: '',
        colorCardId: null,
        path: pathOfOutline(outlineOfPath(bar.map((ring) => pathOfOutline([ring])).join(''))),
      },
    ],
  });
  it('is said: strokes too thin for it, and no more at twice the size', () => {
    expect(codes(filmed({}, thin))).toContain('film.tooThin');
    expect(codes(filmed({ values: { sizePercent: 200 } }, thin))).not.toContain('film.tooThin');
  });
  it('is said: letters too small, joined ones sooner', () => {
    const lettering = (fontId: string, letterHeightMm: number) =>
      codes(
        filmed(
          {},
          label({
            layers: [{ name: '', colorCardId: null, path: path(80, 40) }],
            text: { words: 'Tea', fontId, letterHeightMm },
          }),
        ),
      ).includes('film.lettersSmall');
    expect(lettering('nunito700', 9.9)).toBe(true);
    expect(lettering('nunito700', 10)).toBe(false);
    expect(lettering('dancingScript400', 17)).toBe(true);
    expect(lettering('dancingScript400', 18)).toBe(false);
  });
  it('is refused: a color that the shape does not have, a shape that is gone', () => {
    expect(codes(filmed({ values: { artworkColor: 3 } }))).toContain('film.noSuchColor');
    expect(codes(filmed({}, null))).toContain('film.noArtwork');
    expect(codes(filmed({}))).not.toContain('film.noSuchColor');
  });
});
