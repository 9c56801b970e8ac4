import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Assumptions } from '../catalog/assumptions';
import { paperRows } from '../catalog/consumables/papers.data';
import { substrates } from '../catalog/substrates';
import { labFromHex } from '../color/lab';
import { find, recipe } from '../fixtures/projectRows';
import { recipeContext } from '../fixtures/recipes';
import { techniques } from '../technique';
import { computeRecipe, type RecipePlan } from './computeRecipe';
import type { ChosenLayer, RecipePiece } from './recipeBody';

const dark = labFromHex('#3b2a20');
const pale = labFromHex('#f7f5ee');

interface Papered {
  techniqueId?: string;
  sheetId?: string;
  templateId?: string;
  materialId?: string;
  ground?: typeof dark | null;
  layer?: Partial<ChosenLayer>;
  piece?: Partial<RecipePiece>;
}

/** One piece papered all over in decoupage medium; drawer fronts of 250 × 120 mm unless said otherwise. */
function papered({
  techniqueId,
  sheetId,
  templateId,
  materialId = 'veneer',
  ground,
  layer,
  piece,
}: Papered = {}): RecipePlan {
  const templateOf = templateId ?? 'drawerFronts';
  const of = find('a', 500, {
    templateId: templateOf,
    materialId,
    color: ground === undefined ? pale : ground,
  });
  const made = recipe('paper', of, 'decoupageMedium', 'teal');
  const body = {
    ...made.body,
    pieces: made.body.pieces.map((own) => ({
      ...own,
      templateId: templateOf,
      ...(templateId
        ? {}
        : {
            zoneEdits: {
              fronts: { shape: { kind: 'rectangle' as const, values: { widthMm: 250, heightMm: 120 } }, count: 3 },
            },
          }),
      ...piece,
    })),
    layers: made.body.layers.map((own) => ({
      ...own,
      techniqueId: techniqueId ?? 'paperSheets',
      sheetId: sheetId ?? 'paper',
      ...layer,
    })),
  };
  return computeRecipe('paper', body, recipeContext([of]));
}
const eggSize = { measures: { heightMm: 70, widthMm: 50 } };
const stepsOf = (plan: RecipePlan, kind: string) => plan.steps.filter((step) => step.kind === kind);
const coatsOf = (plan: RecipePlan) => stepsOf(plan, 'coat').filter(({ layerId }) => layerId === 'layer-paper');
const entryOf = (plan: RecipePlan) => [...plan.stacks.values()].flat().find(({ layerId }) => layerId === 'layer-paper');

describe('medium and paper (job.md, decoupage; figures.md, 4)', () => {
  it.each([
    ['napkin', 3],
    ['wrappingPaper', 3],
    // Card takes a coat more.
    ['card', 4],
  ])('%s takes one coat beneath and the others over it: %i', (sheetId, coats) => {
    expect(coatsOf(papered({ sheetId }))).toHaveLength(coats);
  });

  it('a white coat goes under thin paper on a dark ground, and under nothing else', () => {
    const hasWhite = (options: Papered) => papered(options).layers.some(({ id }) => id.startsWith('whiteBase'));
    for (const { id, paper } of paperRows) {
      const isThin = (paper?.gramsPerM2 ?? 0) < 40;
      expect([id, hasWhite({ sheetId: id, ground: dark })]).toEqual([id, isThin]);
      expect([id, hasWhite({ sheetId: id, ground: labFromHex('#ffffff') })]).toEqual([id, false]);
    }
  });

  it('on every dark ground thin paper has white beneath it that holds there, or it is said that the ground shows', () => {
    for (const { id, layer } of substrates.all.filter(({ hard, porous }) => hard || porous)) {
      if (layer !== 'material') continue;
      const plan = papered({ sheetId: 'napkin', ground: dark, materialId: id });
      // A primer that the metal asks for anyway may be pale enough.
      const white = plan.layers.find(
        ({ coating }) => coating.primer?.color && labFromHex(coating.primer.color).L >= 85,
      );
      const codes = plan.findings.map(({ code }) => code);
      const isRefused = codes.some((code) => code === 'joint.never' || code === 'joint.wouldPeel');
      expect([id, white !== undefined || codes.includes('paper.groundShows') || isRefused]).toEqual([id, true]);
      if (white) expect([id, isRefused]).toEqual([id, false]);
    }
    // Gesso is not made for bare wood: a primer that is goes on it.
    const onPine = papered({ sheetId: 'napkin', ground: dark, materialId: 'pine' });
    expect(onPine.layers.find(({ id }) => id.startsWith('whiteBase'))?.coating.id).toBe('bondingPrimer');
  });

  it('ink that runs is sealed before anything wets it: two mist coats a face; a laser print is not', () => {
    const plan = papered({ sheetId: 'inkjetPrint' });
    const [seal] = stepsOf(plan, 'sealInk');
    const [cut] = stepsOf(plan, 'cut');
    const [lay] = coatsOf(plan);
    expect(seal?.supplies[0]?.supplyKey).toMatch(/^aerosolClear/);
    expect(seal?.place).toBe('outdoors');
    expect(cut?.after.map(({ stepId }) => stepId)).toContain(seal?.id);
    expect(lay?.after.map(({ stepId }) => stepId)).toContain(cut?.id);
    expect(stepsOf(papered({ sheetId: 'laserPrint' }), 'sealInk')).toEqual([]);
  });

  it('each paper is told how its hand lays it: plies peeled, card damped, thin paper dry', () => {
    const hint = (sheetId: string) => coatsOf(papered({ sheetId }))[0]?.hint ?? '';
    expect(hint('napkin')).toContain('peel it to the printed ply');
    expect(hint('card')).toContain('damp card on both faces');
    expect(hint('ricePaper')).toContain('lay it dry');
    expect(hint('wrappingPaper')).not.toMatch(/peel|damp|lay it dry/);
  });

  it('openings are told with where they are', () => {
    const hint = coatsOf(papered({ layer: { values: { holes: 2 } } }))[0]?.hint ?? '';
    expect(hint).toContain('2 holes in each face, where the guide shows them');
  });

  it('three fronts of 250 × 120 mm are three parts with bleed and wrap, whatever medium is laid in', () => {
    const [term] = [...papered().demands.values()].flatMap(({ supplies }) =>
      supplies.filter(({ parts }) => parts.length),
    );
    expect(term?.supplyKey).toMatch(/^paper\|teal/);
    expect(term?.parts.map(({ count }) => count)).toEqual([3]);
  });
});

describe('minutes of laying', () => {
  const minutes = (plan: RecipePlan) => coatsOf(plan)[0]?.runMinutes ?? 0;
  const reached = (plan: RecipePlan) => entryOf(plan)?.reachedM2.textured ?? 0;

  it('of large sheets go by the area: 80 minutes a square meter (figures.md, 4: 8 minutes for a tenth)', () => {
    const plan = papered({ templateId: 'dresser', sheetId: 'wrappingPaper' });
    const total = [...plan.stacks.values()]
      .flat()
      .filter(({ layerId }) => layerId === 'layer-paper')
      .reduce((sum, entry) => sum + entry.reachedM2.textured, 0);
    expect(minutes(plan)).toBeGreaterThanOrEqual(total * 80 - 1e-6);
    expect(minutes(plan)).toBeLessThan(total * 80 * 1.6);
  });

  it('of small ones by the piece: eight gores of an egg take eight minutes, not the half minute of its area', () => {
    const plan = papered({ templateId: 'egg', piece: eggSize });
    expect(reached(plan) * 80).toBeLessThan(2);
    expect(minutes(plan)).toBeCloseTo(8, 6);
  });

  it('of torn pieces by how many there are: on an egg they are a third of its radius wide', () => {
    const onEgg = papered({ templateId: 'egg', techniqueId: 'paperTorn', piece: eggSize });
    const onFronts = papered({ techniqueId: 'paperTorn' });
    const laid = entryOf(onEgg)?.sheet?.demand.laidPieces ?? 0;
    expect(minutes(onEgg)).toBeCloseTo(laid * 0.2, 6);
    expect(minutes(onEgg)).toBeGreaterThan(3);
    // On what is flat it is 8 minutes for a tenth of a square meter, with the overlap of 12 %.
    expect(minutes(onFronts)).toBeCloseTo(reached(onFronts) * 80 * 1.12, 6);
  });

  it('of what goes over it are by the area of a clear coat, whatever was laid', () => {
    for (const { id: techniqueId } of techniques.all.filter(
      ({ family, laterRate }) => family === 'paper' && laterRate,
    )) {
      const plan = papered({ techniqueId });
      const clear = new Assumptions([]).number('labor.clearMinutesPerM2');
      for (const step of coatsOf(plan).slice(1))
        expect([techniqueId, step.runMinutes]).toEqual([techniqueId, expect.closeTo(reached(plan) * clear, 6)]);
    }
  });

  it('grow with the piece, and never fall where more is laid', () => {
    const size = fc.integer({ min: 20, max: 900 });
    const ids = techniques.all.filter(({ family }) => family === 'paper').map(({ id }) => id);
    fc.assert(
      fc.property(fc.constantFrom(...ids), size, size, (techniqueId, widthMm, heightMm) => {
        const of = (wide: number, high: number) =>
          minutes(
            papered({
              techniqueId,
              piece: {
                zoneEdits: {
                  fronts: { shape: { kind: 'rectangle', values: { widthMm: wide, heightMm: high } }, count: 3 },
                },
              },
            }),
          );
        expect(of(widthMm * 1.5, heightMm * 1.5)).toBeGreaterThanOrEqual(of(widthMm, heightMm) - 1e-6);
      }),
      { numRuns: 40 },
    );
  });
});
