import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { SVGPathData } from 'svg-pathdata';
import { describe, expect, it } from 'vitest';
import { ladderSheet } from '../../arrange/hanging/ladderSheet';
import { wallTemplate } from '../../arrange/hanging/wallTemplate';
import { lookRows, thing, thingsOf } from '../../fixtures/lookRows';
import { MM_PER_INCH } from '../../kernel/units';
import { CHECK_BAR_MM, tilesOf, writeCutPdf } from './writePdf';
import { writeCutSvg } from './writeSvg';
import { templateUnits } from './writeTemplates';

const PT_PER_MM = 72 / 25.4;
const inch = (n: number) => n * MM_PER_INCH;
// A frame of 8 by 6 in that hangs by two rings, each 1 1/2 in from its edges and 2 in below its top.
const rows = lookRows({ kind: 'wall', widthMm: inch(84), heightMm: inch(96) }, [
  thing('Small frame', 'pictureFrame', [inch(6), inch(8), 20], [inch(20), inch(53)], {
    stance: 'hangs',
    hanger: { kind: 'twoRings', dropMm: inch(2), apartMm: inch(1.5) },
  }),
]);
const [spot] = rows.spots;
if (!spot) throw new Error('no spot');
const units = templateUnits(ladderSheet(spot, thingsOf(rows), 'us').things.map((entry) => wallTemplate(entry, 0)));
const [unit] = units;
if (!unit) throw new Error('no template');

describe('paper templates at true size', () => {
  it('have their crosses where the nails go, as a PDF library reads them', async () => {
    const bytes = await writeCutPdf(units, 'letter', Date.parse('2026-06-01T09:00:00Z'), 'Hanging templates, 1:1');
    const pdf = await getDocument({ data: bytes.slice(), useSystemFonts: false }).promise;
    expect(pdf.numPages).toBe(tilesOf(unit.widthMm, unit.lengthMm, 'letter').length);
    const { fnArray, argsArray } = await (await pdf.getPage(1)).getOperatorList();
    const level: number[] = [];
    for (const [n, fn] of fnArray.entries()) {
      if (fn !== OPS.constructPath) continue;
      const [left = 0, bottom = 0, right = 0, top = 1] = (argsArray[n]?.[2] ?? []) as number[];
      if (top === bottom) level.push((right - left) / PT_PER_MM);
    }
    // The bar to check the printer by.
    expect(level.filter((mm) => Math.abs(mm - CHECK_BAR_MM) < 0.01)).toHaveLength(1);
    const text = (await (await pdf.getPage(1)).getTextContent()).items.map((item) => ('str' in item ? item.str : ''));
    expect(text.join(' ')).toContain('Small frame');
    expect((await pdf.getMetadata()).info).toMatchObject({ Title: 'Hanging templates, 1:1' });
  });

  it('have the size of the frame and two crosses 3 in apart, 2 in below its top, as an SVG library reads them', () => {
    const svg = writeCutSvg(unit);
    expect(svg).toContain('width="152.4mm" height="203.2mm"');
    const path = /<path[^>]* d="([^"]+)"/.exec(svg)?.[1] ?? '';
    // Each ring by itself: the frame, the level line, and for each nail a cross of two strokes and a round.
    const boxes = path
      .split(/(?=M)/)
      .filter((part) => part !== '')
      .map((part) => {
        const { minX, maxX, minY, maxY } = new SVGPathData(part).getBounds();
        return { minX, maxX, minY, maxY };
      });
    const rounds = boxes.filter(
      ({ minX, maxX, minY, maxY }) => Math.abs(maxX - minX - 6) < 0.1 && Math.abs(maxY - minY - 6) < 0.1,
    );
    expect(rounds).toHaveLength(2);
    const middles = rounds.map(({ minX, maxX, minY, maxY }) => [(minX + maxX) / 2, (minY + maxY) / 2]);
    expect(middles[0]?.[0]).toBeCloseTo(inch(1.5), 1);
    expect(middles[1]?.[0]).toBeCloseTo(inch(4.5), 1);
    for (const [, y] of middles) expect(y).toBeCloseTo(inch(2), 1);
    expect(boxes[0]).toMatchObject({ minX: 0, minY: 0 });
    expect(boxes[0]?.maxX).toBeCloseTo(inch(6), 2);
    expect(boxes[0]?.maxY).toBeCloseTo(inch(8), 2);
  });
});
