import { describe, expect, it } from 'vitest';
import { builds } from '../build';
import { find, recipe } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import { MM_PER_INCH } from '../kernel/units';
import { computeRecipe } from './computeRecipe';
import type { ChosenLayer, RecipePiece } from './recipeBody';
import { recipeSentences } from './recipeSentences';

const codes = (plan: ReturnType<typeof computeRecipe>) =>
  plan.findings.filter(({ code }) => code.startsWith('cut.')).map(({ code, severity }) => [code, severity]);

/** A tray with something stuck or laid on its floor. */
function laid(layer: Partial<ChosenLayer>, stocks = new Map()) {
  const of = find('tray', 500, { templateId: 'tray', materialId: 'laminate', measures: {} });
  const made = recipe('tray', of, 'permanentFilm', 'teal');
  const body = {
    ...made.body,
    layers: made.body.layers.map((own) => ({ ...own, techniqueId: 'filmShapes', ...layer })),
  };
  return computeRecipe('tray', body, recipeContext([of], { stocks }));
}

/** Something made, of one kind of material. */
function built(
  id: string,
  values: Record<string, number>,
  materials: NonNullable<RecipePiece['build']>['materials'] = {},
) {
  const of = find('a', 0);
  const made = recipe('made', of, 'chalk', null);
  const { templateId } = builds.get(id);
  const body = {
    ...made.body,
    layers: [],
    pieces: made.body.pieces.map((piece) => ({ ...piece, findId: null, templateId, build: { id, values, materials } })),
  };
  return computeRecipe('made', body, recipeContext([]));
}

describe('parts larger than what they are cut from', () => {
  const box = (shapeWidthMm: number, shapeLengthMm: number) => ({ values: { shapeWidthMm, shapeLengthMm } });

  it('are refused where nothing of that width is sold; turned they may go on', () => {
    expect(codes(laid(box(280, 280)))).toEqual([]);
    expect(codes(laid(box(1000, 280)))).toEqual([]);
    expect(codes(laid(box(400, 400)))).toEqual([['cut.tooLarge', 'refuse']]);
  });

  it('are warned of where only the usual packs are too short', () => {
    // Craft film comes in rolls of 10 ft at the most.
    expect(codes(laid(box(280, 2990)))).toEqual([]);
    expect(
      codes(laid({ ...box(280, 3000), values: { shapeWidthMm: 280, shapeLengthMm: 3000, borderMm: 20 } })),
    ).toEqual([['cut.tooLarge', 'refuse']]);
    const rail = builds.get('pegRail').parameters.find(({ id }) => id === 'lengthMm');
    expect(codes(built('pegRail', { lengthMm: rail?.maximum ?? 0 }))).toEqual([]);
  });

  it('say which part, how large it is, and what its stock gives', () => {
    const [finding] = laid(box(400, 400)).findings.filter(({ code }) => code === 'cut.tooLarge');
    if (finding?.code !== 'cut.tooLarge') throw new Error('none');
    const words = recipeSentences['cut.tooLarge'](finding.figures, { units: 'us', currency: 'USD' });
    expect(words).toContain('Shape: 15 3/4 in × 15 3/4 in does not go on permanent craft film');
  });

  it('are not what a face is covered with: covering parts itself', () => {
    for (const techniqueId of ['paperSheets', 'paperTiles', 'paperStrips'])
      for (const sheetId of ['napkin', 'paper', 'card', 'wrappingPaper', 'wallpaper'])
        expect([
          techniqueId,
          sheetId,
          codes(laid({ techniqueId, coatingId: 'decoupageMedium', sheetId, values: {} })),
        ]).toEqual([techniqueId, sheetId, []]);
  });

  it('take a larger kind where nobody chose: a shelf of five feet is cut from a whole panel', () => {
    const skinOf = (inches: number, materials = {}) =>
      built('floatingShelf', { lengthMm: inches * MM_PER_INCH }, materials).built[0]?.materials.get('skin')?.kind.id;
    expect([30, 60, 90].map((inches) => skinOf(inches))).toEqual(['plywood6', 'plywood6Whole', 'plywood6Whole']);
    const small = { skin: { kindId: 'plywood6', colorCardId: null } };
    expect(skinOf(60, small)).toBe('plywood6');
    expect(codes(built('floatingShelf', { lengthMm: 60 * MM_PER_INCH }, small))).toEqual([['cut.tooLarge', 'refuse']]);
    expect(codes(built('floatingShelf', { lengthMm: 60 * MM_PER_INCH }))).toEqual([]);
  });
  it('are refused within the sizes that a thing may have only where paper and mats end: prints of four feet', () => {
    const refused = builds.all.filter((build) => {
      const most = Object.fromEntries(build.parameters.map(({ id, maximum }) => [id, maximum]));
      return codes(built(build.id, most)).some(([, severity]) => severity === 'refuse');
    });
    expect(refused.map(({ id }) => id)).toEqual(['framedPrint']);
  });
  it('do not come of the usual size of anything that can be made', () => {
    for (const { id } of builds.all) expect([id, codes(built(id, {}))]).toEqual([id, []]);
  });
});
