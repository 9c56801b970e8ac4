import { describe, expect, it } from 'vitest';
import { assumptionDefinitions } from '../catalog/assumptions';
import { consumables } from '../catalog/consumables';
import { actualWidthInches } from '../catalog/consumables/lumber.data';
import { stockFacts } from '../catalog/stockFacts';
import { tools } from '../catalog/tools';
import { MM_PER_INCH } from '../kernel/units';
import { furnitureTemplates } from '../surface/templates';
import { builds } from '.';
import { type Build, type BuildPlan, type BuildValues, completeBuild, isAskedFor } from './build';
import { pegPlaces } from './pegRail';
import { lipRiseMm, usableDepthMm } from './pictureLedge';
import { bracketsFor } from './pipeShelf';

const inch = (inches: number) => inches * MM_PER_INCH;

/** What making one takes, each material of its usual kind. */
function planOf(build: Build, set: BuildValues = {}): BuildPlan {
  return build.plan({
    values: completeBuild(build, set),
    material: (id) => {
      const kindId = build.materials.find((entry) => entry.id === id)?.kindIds[0] ?? '';
      const kind = consumables.get(kindId);
      return { kind, stock: kind.cut ? stockFacts(kind.cut, null) : null };
    },
  });
}
const sizes = (plan: BuildPlan, name: string) =>
  plan.parts
    .filter((part) => part.name === name)
    .map(({ widthMm, lengthMm, count }) => [widthMm / MM_PER_INCH, lengthMm / MM_PER_INCH, count]);

describe.each(builds.all)('making: $id', (build) => {
  it('is drawn, measured and made of what the tables know', () => {
    const template = furnitureTemplates.get(build.templateId);
    const measures = build.measures(completeBuild(build, {}));
    for (const id of Object.keys(measures)) expect(template.measures.some((measure) => measure.id === id)).toBe(true);
    for (const { kindIds } of build.materials) {
      expect(kindIds.length).toBeGreaterThan(0);
      for (const kindId of kindIds) expect(consumables.find(kindId)).toBeDefined();
    }
    expect(build.words.length).toBeGreaterThan(0);
  });
  it('keeps what was set within its limits', () => {
    for (const { id, minimum, maximum, standard } of build.parameters) {
      expect(standard).toBeGreaterThanOrEqual(minimum);
      expect(standard).toBeLessThanOrEqual(maximum);
      expect(completeBuild(build, { [id]: 1e9 })[id]).toBe(maximum);
    }
  });
  it('gives parts of a size, works with a rate and tools, at the least, the usual and the most', () => {
    for (const end of ['minimum', 'standard', 'maximum'] as const) {
      const plan = planOf(build, Object.fromEntries(build.parameters.map((entry) => [entry.id, entry[end]])));
      for (const { widthMm, lengthMm, count, material } of plan.parts) {
        expect(widthMm).toBeGreaterThan(0);
        expect(lengthMm).toBeGreaterThan(0);
        expect(count).toBeGreaterThan(0);
        expect(build.materials.some(({ id }) => id === material)).toBe(true);
      }
      for (const { kindId, amount, material } of plan.needs) {
        expect(amount).toBeGreaterThan(0);
        if (material === null) expect(consumables.find(kindId)).toBeDefined();
      }
      expect(plan.works.length).toBeGreaterThan(0);
      for (const { rate, units, tools: used } of plan.works) {
        expect(assumptionDefinitions.has(`labor.${rate}MinutesEach`)).toBe(true);
        expect(units).toBeGreaterThan(0);
        for (const id of used) expect(tools.find(id)).toBeDefined();
      }
      expect(new Set(plan.works.map(({ id }) => id)).size).toBe(plan.works.length);
    }
  });
});

describe('lumber', () => {
  // Nominal to actual width of dry lumber, inches (American Softwood Lumber Standard PS 20, from memory).
  it.each([
    [2, 1.5],
    [3, 2.5],
    [4, 3.5],
    [6, 5.5],
    [8, 7.25],
    [10, 9.25],
    [12, 11.25],
  ] as const)('a nominal %d is %d in wide', (nominal, actual) => {
    expect(actualWidthInches[nominal]).toBe(actual);
    const board = consumables.get(`board1x${nominal}`);
    expect(board.cut?.widthMm).toBeCloseTo(inch(actual), 9);
    expect(board.thicknessMm).toBeCloseTo(inch(0.75), 9);
  });
});

describe('a floating shelf of 36 by 8 in (common practice, from memory)', () => {
  const plan = planOf(builds.get('floatingShelf'), { lengthMm: inch(36), depthMm: inch(8) });
  it('slides over its cleat by a sixteenth, and the cleat is an eighth shorter than the room between the ends', () => {
    const skin = 6 / MM_PER_INCH;
    expect(sizes(plan, 'Top')).toEqual([[8, 36, 1]]);
    expect(sizes(plan, 'Front')).toEqual([[expect.closeTo(1.5625, 9), 36, 1]]);
    expect(sizes(plan, 'End')[0]?.[1]).toBeCloseTo(8 - skin, 9);
    expect(sizes(plan, 'Cleat')[0]?.[1]).toBeCloseTo(36 - 2 * skin - 0.125, 9);
  });
  it('has an arm for each foot and one more, as deep as the box lets them be', () => {
    const [arm] = sizes(plan, 'Arm');
    expect(arm?.[2]).toBe(4);
    expect(arm?.[1]).toBeCloseTo(8 - 6 / MM_PER_INCH - 1.5 - 0.125, 9);
  });
});

describe('a plate ledge of 1 × 4', () => {
  it('is 2 3/4 in deep with its lip in front, which rises 3/4 in, and 2 in with the lip on the base (arithmetic)', () => {
    expect(usableDepthMm(inch(3.5), inch(0.75), false)).toBeCloseTo(inch(2.75), 9);
    expect(usableDepthMm(inch(3.5), inch(0.75), true)).toBeCloseTo(inch(2), 9);
    expect(lipRiseMm(inch(1.5), inch(0.75))).toBeCloseTo(inch(0.75), 9);
  });
});

describe('a shelf on pipes', () => {
  it('hangs on two brackets up to 36 in, on three beyond (common practice, from memory)', () => {
    expect([24, 36, 36.5, 48, 72, 96].map((length) => bracketsFor(inch(length)))).toEqual([2, 2, 3, 3, 3, 4]);
  });
});

describe('a tray', () => {
  it('has a floor and short sides between the long sides: shorter by two thicknesses', () => {
    const plan = planOf(builds.get('tray'), { widthMm: 450, depthMm: 300 });
    const [floor] = plan.parts.filter(({ name }) => name === 'Floor');
    expect(floor).toMatchObject({ widthMm: 300 - 2 * 19.05, lengthMm: 450 - 2 * 19.05 });
    expect(plan.parts.filter(({ name }) => name === 'Short side')[0]).toMatchObject({
      lengthMm: 300 - 2 * 19.05,
      count: 2,
    });
  });
});

describe('a peg rail', () => {
  it('has its pegs at equal distances, half of one at each end', () => {
    expect(pegPlaces(600, 3)).toEqual([100, 300, 500]);
  });
});

describe('a wall', () => {
  it('may hold fewer than two studs behind what is shorter than two distances between them', () => {
    const codes = (lengthIn: number) =>
      planOf(builds.get('floatingShelf'), { lengthMm: inch(lengthIn) }).remarks.map(({ code }) => code);
    expect(codes(24)).toContain('build.fewStuds');
    expect(codes(48)).not.toContain('build.fewStuds');
  });
});

describe('what a slot asks to be made', () => {
  const askedBy = (text: string) => builds.all.filter((build) => isAskedFor(build, text)).map(({ id }) => id);
  it('is told by whole words of its name, one or many', () => {
    expect(askedBy('Bowl for keys')).toEqual([]);
    expect(askedBy('Bow for the door')).toEqual(askedBy('Two bows'));
    expect(askedBy('Bow for the door').length).toBeGreaterThan(0);
    expect(askedBy('Wreaths on the doors').length).toBeGreaterThan(0);
    expect(askedBy('A stray dog')).toEqual([]);
  });
});
