import type { IEntity, IPolylineEntity } from 'dxf-parser';
import fc from 'fast-check';
import Papa from 'papaparse';
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { SVGPathData } from 'svg-pathdata';
import { describe, expect, it } from 'vitest';
import { cutStock } from '../../cutting/cutStock';
import { boxPart, cutQuestion, shapePart } from '../../fixtures/cutQuestions';
import { cutDrawing, type DrawnUnit } from './cutDrawing';
import { printPapers } from './printPapers';
import { writeCutList } from './writeCutList';
import { writeCutDxf } from './writeDxf';
import { CHECK_BAR_MM, tilesOf, writeCutPdf } from './writePdf';
import { writeCutSvg } from './writeSvg';

const PT_PER_MM = 72 / 25.4;
const triangle = shapePart('flag', 90, 60, [
  [
    [0, 0],
    [90, 30],
    [0, 60],
  ],
]);
const question = cutQuestion([boxPart('front', 250, 120), boxPart('back & sides', 140, 100), triangle]);
const units = cutDrawing(cutStock(question), question.parts, (_, n) => `Sheet ${n + 1} <teal>`);
const [unit] = units as [DrawnUnit];

/** The boxes of all paths of a drawing, by a library that knows nothing of ours. */
function boxesOf(svg: string): number[][] {
  return [...svg.matchAll(/<path[^>]* d="([^"]+)"/g)].map((match) => {
    const { minX, minY, maxX, maxY } = new SVGPathData(match[1] ?? '').getBounds();
    return [minX, minY, maxX, maxY];
  });
}

describe('a cut as SVG', () => {
  it('has each part at its place in true millimeters, as a library for paths reads it', () => {
    const svg = writeCutSvg(unit);
    expect(svg).toContain('width="304.8mm" height="304.8mm" viewBox="0 0 304.8 304.8"');
    const boxes = boxesOf(svg);
    expect(boxes).toHaveLength(unit.parts.length);
    unit.parts.forEach(({ xMm, yMm, widthMm, lengthMm }, n) => {
      const wanted = [xMm, yMm, xMm + widthMm, yMm + lengthMm];
      boxes[n]?.forEach((value, side) => {
        expect(value).toBeCloseTo(wanted[side] ?? 0, 2);
      });
    });
  });
  it('keeps names from being read as markup', () => {
    const svg = writeCutSvg(unit);
    expect(svg).not.toContain('<teal>');
    expect(svg).toContain('back &#38; sides');
  });
});

describe('a cut as DXF', () => {
  it('has a closed polyline for each part, y upward, as a DXF library reads it', async () => {
    const { default: DxfParser } = await import('dxf-parser');
    const dxf = new DxfParser().parseSync(writeCutDxf(unit));
    const isCut = (entity: IEntity): entity is IPolylineEntity => entity.type === 'POLYLINE' && entity.layer === 'CUT';
    const cuts = dxf?.entities.filter(isCut) ?? [];
    expect(cuts).toHaveLength(unit.parts.length);
    unit.parts.forEach(({ xMm, yMm, widthMm, lengthMm }, n) => {
      const line = cuts[n];
      expect(line?.shape).toBe(true);
      const vertices = line?.vertices ?? [];
      const xs = vertices.map(({ x }) => x);
      const ys = vertices.map(({ y }) => y);
      expect(Math.min(...xs)).toBeCloseTo(xMm, 2);
      expect(Math.max(...xs)).toBeCloseTo(xMm + widthMm, 2);
      expect(Math.max(...ys)).toBeCloseTo(unit.lengthMm - yMm, 2);
      expect(Math.min(...ys)).toBeCloseTo(unit.lengthMm - yMm - lengthMm, 2);
    });
    expect(dxf?.header.$INSUNITS).toBe(4);
  });
});

describe('a cut as a table', () => {
  it('names every part with its size and place, in inches where the project measures in inches', () => {
    const table = writeCutList([{ name: 'Paper, "meadow"', units }], 'us');
    const { data } = Papa.parse<Record<string, string>>(table, { header: true, skipEmptyLines: true });
    expect(data).toHaveLength(3);
    expect(data[0]?.['Cut from']).toBe('Paper, "meadow"');
    const front = data.find((row) => row.Name === 'front');
    expect([Number(front?.['Width, in']), Number(front?.['Length, in'])].sort((a, b) => a - b)).toEqual([
      expect.closeTo(120 / 25.4, 3),
      expect.closeTo(250 / 25.4, 3),
    ]);
  });
});

describe('pages of a guide', () => {
  it('show every point of a sheet, and none shows more than fits on it', () => {
    const sizes = fc.tuple(fc.integer({ min: 5, max: 3000 }), fc.integer({ min: 5, max: 3000 }));
    fc.assert(
      fc.property(sizes, fc.constantFrom('a4', 'letter'), ([width, length], paper) => {
        const tiles = tilesOf(width, length, paper);
        for (const tile of tiles) {
          expect(tile.widthMm).toBeGreaterThan(0);
          expect(tile.lengthMm).toBeGreaterThan(0);
          expect(tile.widthMm).toBeLessThanOrEqual(printPapers[paper].widthMm - 20 + 1e-6);
          expect(tile.lengthMm).toBeLessThanOrEqual(printPapers[paper].lengthMm - 34 + 1e-6);
        }
        for (const [x, y] of [
          [0, 0],
          [width, length],
          [width / 2, length / 3],
          [width, 0],
        ] as const)
          expect(
            tiles.some(
              (tile) =>
                x >= tile.xMm - 1e-6 &&
                x <= tile.xMm + tile.widthMm + 1e-6 &&
                y >= tile.yMm - 1e-6 &&
                y <= tile.yMm + tile.lengthMm + 1e-6,
            ),
          ).toBe(true);
      }),
    );
  });

  it('are of the paper’s size, with a bar of 100 mm, as a PDF library reads them', async () => {
    for (const paper of ['a4', 'letter'] as const) {
      const bytes = await writeCutPdf(units, paper, Date.parse('2026-06-01T09:00:00Z'));
      const pdf = await getDocument({ data: bytes.slice(), useSystemFonts: false }).promise;
      expect(pdf.numPages).toBe(tilesOf(unit.widthMm, unit.lengthMm, paper).length);
      const page = await pdf.getPage(1);
      const [, , width = 0, height = 0] = page.view;
      expect(width / PT_PER_MM).toBeCloseTo(printPapers[paper].widthMm, 1);
      expect(height / PT_PER_MM).toBeCloseTo(printPapers[paper].lengthMm, 1);
      const { fnArray, argsArray } = await page.getOperatorList();
      const widths = fnArray.flatMap((fn, n) => {
        if (fn !== OPS.constructPath) return [];
        // The box of a path: left, bottom, right, top; a level line has no height.
        const [left = 0, bottom = 0, right = 0, top = 1] = (argsArray[n]?.[2] ?? []) as number[];
        return top === bottom ? [(right - left) / PT_PER_MM] : [];
      });
      expect(widths.filter((mm) => Math.abs(mm - CHECK_BAR_MM) < 0.01)).toHaveLength(1);
      const text = (await page.getTextContent()).items.map((item) => ('str' in item ? item.str : '')).join(' ');
      expect(text).toContain('print at 100 %');
      expect(text).toContain('Sheet 1');
    }
  });

  it('are the same bytes for the same cut and moment', async () => {
    const at = Date.parse('2026-06-01T09:00:00Z');
    expect(await writeCutPdf(units, 'a4', at)).toEqual(await writeCutPdf(units, 'a4', at));
  });
});
