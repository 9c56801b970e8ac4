import { uuid } from '@core/fixtures/following';
import { lookRows, thing } from '@core/fixtures/lookRows';
import { AS_OF, slot } from '@core/fixtures/projectRows';
import { computePlan } from '@core/plan/computePlan';
import { describe, expect, it } from 'vitest';
import { lookSummary } from './lookSummary';

const console48 = { kind: 'console', widthMm: 1200, depthMm: 350, heightMm: 1500 } as const;

describe('the first spot in small', () => {
  it('is its first look, in the colors that the pieces will have, without the bare wall above', () => {
    const rows = lookRows(console48, [thing('Vase', 'vase', [150, 300, 150], [100])]);
    const small = lookSummary(computePlan(rows, AS_OF));
    expect(small).toMatchObject({ spot: 'Hall console', widthMm: 1200, highMm: 600, isAbove: false });
    expect(small?.things[0]).toMatchObject({ templateId: 'vase', xMm: 100, upMm: 0, widthMm: 150, highMm: 300 });
    expect(Object.keys(small?.things[0]?.colors ?? {})).toContain('body');
  });

  it('is its sketch while nothing is arranged, and nothing where nothing is called for', () => {
    const sketched = {
      ...lookRows(console48, [], { slots: [slot(uuid(300), { name: 'Tall vase' })] }),
      looks: [],
      lookPieces: [],
    };
    expect(lookSummary(computePlan(sketched, AS_OF))?.things.map(({ templateId }) => templateId)).toEqual(['vase']);
    const bare = { ...lookRows(console48, []), looks: [] };
    expect(lookSummary(computePlan(bare, AS_OF))).toBeNull();
  });

  it('tells what a thing is called where its kind is a plain box, in the color of its sides', () => {
    const rows = lookRows(console48, [
      thing('Old suitcase', 'freeBox', [400, 150, 250], [100]),
      thing('Thingamajig', 'freeBox', [100, 100, 100], [600]),
    ]);
    const things = lookSummary(computePlan(rows, AS_OF))?.things ?? [];
    expect(things.map(({ likenessId }) => likenessId)).toEqual(['suitcase', null]);
    expect(Object.keys(things[0]?.colors ?? {})).toEqual(['sides']);
  });

  it('draws no more than can be seen', () => {
    const many = lookRows(
      console48,
      Array.from({ length: 40 }, (_, n) => thing('Jar', 'jar', [20, 40, 20], [n * 25])),
    );
    expect(lookSummary(computePlan(many, AS_OF))?.things).toHaveLength(24);
  });
});
