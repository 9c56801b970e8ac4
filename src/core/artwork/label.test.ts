import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxOf, outlineAreaMm2 } from '../surface/outline';
import { without } from '../surface/polygons';
import { basicShapes } from './basicShapes';
import { fonts } from './fonts.data';
import { type Backing, backingOf, type Drawn, labelLines, labelSet, letteredLabel, stacked } from './label';
import { type Lettering, readFont } from './lettering';
import { outlineOfPath } from './pathOutline';

const require = createRequire(import.meta.url);
const buffer = readFileSync(require.resolve(fonts[0].file));
const font = readFont(buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.byteLength) as ArrayBuffer);
const set = (words: string): Lettering => ({
  words,
  fontId: fonts[0].id,
  letterHeightMm: 20,
  letterSpacingMm: 0,
  lineSpacing: 1.6,
  align: 'middle',
});
const backing = (change: Partial<Backing> = {}): Backing => ({
  id: 'rectangle',
  marginMm: 10,
  leastWidthMm: 0,
  leastHeightMm: 0,
  ...change,
});
const shapeIds = basicShapes.map(({ id }) => id);
const boxOfLayer = ({ layers }: Drawn, n: number) => boxOf(outlineOfPath(layers[n]?.path ?? ''));

describe('a label', () => {
  it('reaches beyond its words by its margin on every side', () => {
    const drawn = letteredLabel(font, set('Flour'), backing());
    const words = boxOfLayer(drawn, 1);
    expect(words?.left).toBeCloseTo(10, 1);
    expect(drawn.widthMm - (words?.right ?? 0)).toBeCloseTo(10, 1);
    expect(words?.top).toBeCloseTo(10, 1);
    expect(drawn.heightMm - (words?.bottom ?? 0)).toBeCloseTo(10, 1);
  });
  it('is as large as asked, its words in the middle; what asks for more gets more', () => {
    const drawn = letteredLabel(font, set('Tea'), backing({ leastWidthMm: 120, leastHeightMm: 70 }));
    const words = boxOfLayer(drawn, 1);
    expect([drawn.widthMm, drawn.heightMm]).toEqual([120, 70]);
    expect(words?.left).toBeCloseTo(120 - (words?.right ?? 0), 1);
    expect(letteredLabel(font, set('Confectioners'), backing({ leastWidthMm: 20 })).widthMm).toBeGreaterThan(120);
  });
  it('of nothing to be seen is nothing', () => {
    expect(letteredLabel(font, set('  '), backing())).toEqual({ widthMm: 0, heightMm: 0, layers: [] });
  });
});

describe('a set of labels', () => {
  it('has one for each line that says something, each once', () => {
    expect(labelLines(' Flour \n\nSugar\nFlour\n   \nRice')).toEqual(['Flour', 'Sugar', 'Rice']);
    expect(labelSet(font, set(''), backing())).toEqual([]);
  });
  it('is of one size, the largest’s, and no word reaches beyond its label', () => {
    const words = fc.array(fc.stringMatching(/^[A-Za-z]{1,9}$/), { minLength: 1, maxLength: 5 });
    fc.assert(
      fc.property(words, fc.constantFrom('rectangle', 'rounded', 'circle'), (lines, id) => {
        const shapeId = shapeIds.includes(id) ? id : 'rectangle';
        const labels = labelSet(font, set(lines.join('\n')), backing({ id: shapeId }));
        expect(labels).toHaveLength(new Set(lines).size);
        const sizes = new Set(labels.map(({ drawn }) => `${drawn.widthMm.toFixed(3)}×${drawn.heightMm.toFixed(3)}`));
        expect(sizes.size).toBe(1);
        for (const { drawn } of labels) {
          const box = boxOfLayer(drawn, 1);
          expect(box?.left).toBeGreaterThanOrEqual(10 - 0.05);
          expect(box?.right).toBeLessThanOrEqual(drawn.widthMm - 10 + 0.05);
        }
      }),
      { numRuns: 25 },
    );
  });
  it('without a shape keeps each word its own size', () => {
    const [short, long] = labelSet(font, set('Tea\nBrown sugar'), null);
    expect(short?.drawn.widthMm).toBeLessThan((long?.drawn.widthMm ?? 0) / 2);
  });
  it('looked at together has all of them, none over another', () => {
    const labels = labelSet(font, set('Tea\nRice\nOats'), backing()).map(({ drawn }) => drawn);
    const all = stacked(labels, 5);
    const area = (drawn: Drawn, n: number) => outlineAreaMm2(outlineOfPath(drawn.layers[n]?.path ?? ''));
    expect(area(all, 0)).toBeCloseTo(
      labels.reduce((sum, drawn) => sum + area(drawn, 0), 0),
      1,
    );
    expect(all.heightMm).toBeCloseTo(3 * (labels[0]?.heightMm ?? 0) + 10, 6);
    expect(
      outlineAreaMm2(without(outlineOfPath(all.layers[1]?.path ?? ''), outlineOfPath(all.layers[0]?.path ?? ''))),
    ).toBe(0);
  });
});

describe('a kept label set anew', () => {
  it('stands on the same shape at the same size', () => {
    for (const { drawn } of labelSet(font, set('Tea\nBrown sugar'), backing({ id: shapeIds[1] ?? 'rectangle' }))) {
      const read = backingOf(drawn, shapeIds);
      expect(read).toMatchObject({ id: shapeIds[1], leastWidthMm: drawn.widthMm, leastHeightMm: drawn.heightMm });
    }
  });
  it('that stood on nothing stands on nothing', () => {
    expect(backingOf(letteredLabel(font, set('Tea'), null), shapeIds)).toBeNull();
  });
});
