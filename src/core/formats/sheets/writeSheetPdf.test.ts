import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { textsOf } from '../../fixtures/sheetTexts';
import type { SheetBlock, SheetDocument } from '../../sheets/sheetDocument';
import { printPapers } from '../cutting/printPapers';
import { sheetFonts } from './sheetFonts.data';
import { type PictureBytes, writeSheetPdf } from './writeSheetPdf';

const { resolve } = createRequire(import.meta.url);
const fonts = sheetFonts((file) => new Uint8Array(readFileSync(resolve(file))));
const nowMs = Date.parse('2026-11-30T09:00:00Z');
const noPictures = new Map<string, PictureBytes>();

const sheetOf = (...blocks: SheetBlock[]): SheetDocument => ({ title: 'A sheet', fileName: 'sheet', blocks });

/** The text of a PDF page by page, and the fonts of it, as a PDF library reads them. */
async function read(bytes: Uint8Array) {
  const pdf = await getDocument({ data: bytes.slice(), useSystemFonts: false, fontExtraProperties: true }).promise;
  const pages: { text: string; lowest: number; furthest: number; size: number[] }[] = [];
  const loaded: { name: string; missingFile: boolean }[] = [];
  for (let n = 1; n <= pdf.numPages; n += 1) {
    const page = await pdf.getPage(n);
    await page.getOperatorList();
    const { items } = await page.getTextContent();
    const texts = items.flatMap((item) => ('str' in item ? [item] : []));
    for (const id of new Set(texts.map(({ fontName }) => fontName))) loaded.push(page.commonObjs.get(id));
    pages.push({
      text: texts.map(({ str, hasEOL }) => str + (hasEOL ? ' ' : '')).join(''),
      lowest: Math.min(...texts.map(({ transform }) => Number(transform[5]))),
      furthest: Math.max(...texts.map(({ transform, width }) => Number(transform[4]) + width)),
      size: page.view,
    });
  }
  return { pages, loaded, info: (await pdf.getMetadata()).info as Record<string, unknown> };
}

describe('a sheet as a PDF, read again by a PDF library', () => {
  it('has its words as text that can be selected, in fonts that it brings along', async () => {
    const { bytes, missing } = await writeSheetPdf(
      sheetOf(
        { kind: 'heading', text: 'What was done', level: 1 },
        { kind: 'text', text: 'Łukasz Ångström’s “café” – 3 × 12½ in, −$5.00, 5 ⅜ in, Ольга' },
        { kind: 'facts', facts: [{ name: 'Ready on', value: 'June 20' }] },
      ),
      'a4',
      fonts,
      noPictures,
      nowMs,
    );
    const { pages, loaded, info } = await read(bytes);
    expect(pages).toHaveLength(1);
    const { text = '' } = pages[0] ?? {};
    for (const words of ['What was done', 'Łukasz Ångström’s “café” – 3 × 12½ in, −$5.00, 5 3/8 in, Ольга', 'June 20'])
      expect(text).toContain(words);
    expect(missing).toEqual([]);
    expect(loaded.length).toBeGreaterThan(1);
    expect(loaded.filter(({ missingFile }) => missingFile)).toEqual([]);
    expect(info).toMatchObject({ Title: 'A sheet', Producer: 'Euporia', Language: 'en' });
  });

  it('says which characters no font has', async () => {
    const { bytes, missing } = await writeSheetPdf(
      sheetOf({ kind: 'text', text: 'Lamp 灯 for 2?' }),
      'letter',
      fonts,
      noPictures,
      nowMs,
    );
    expect(missing).toEqual(['灯']);
    expect((await read(bytes)).pages[0]?.text).toContain('Lamp ? for 2?');
  });

  it.each(['a4', 'letter'] as const)(
    'keeps within the page of %s, and breaks a long table with its head again',
    async (paper) => {
      const rows = Array.from({ length: 120 }, (_, n) => [`Piece number ${n + 1} of a long list`, `$${n}.00`]);
      const { bytes } = await writeSheetPdf(
        sheetOf(
          { kind: 'heading', text: 'All of it', level: 2 },
          {
            kind: 'table',
            name: 'Pieces',
            columns: [
              { name: 'What', share: 3 },
              { name: 'Cost', share: 1, isFigure: true },
            ],
            rows,
            totals: [['Together', '$7,140.00']],
          },
        ),
        paper,
        fonts,
        noPictures,
        nowMs,
      );
      const { pages } = await read(bytes);
      expect(pages.length).toBeGreaterThan(1);
      const { widthMm, lengthMm } = printPapers[paper];
      for (const { text, lowest, furthest, size } of pages) {
        expect(size[2]).toBeCloseTo((widthMm * 72) / 25.4, 1);
        expect(size[3]).toBeCloseTo((lengthMm * 72) / 25.4, 1);
        expect(text).toContain('What');
        expect(lowest).toBeGreaterThan((10 * 72) / 25.4);
        expect(furthest).toBeLessThan(((widthMm - 17.9) * 72) / 25.4);
      }
      const all = pages.map(({ text }) => text).join(' ');
      for (const [what = ''] of rows) expect(all.split(`${what} `).length).toBe(2);
      expect(pages.at(-1)?.text).toContain('$7,140.00');
    },
  );

  it('loses no word of blocks that are longer than a page, nor of one that is longer than a line', async () => {
    const words = Array.from({ length: 1500 }, (_, n) => `word${n}`).join(' ');
    const endless = 'x'.repeat(400);
    const { bytes } = await writeSheetPdf(
      sheetOf(
        { kind: 'caution', text: words },
        { kind: 'list', items: [words, endless] },
        {
          kind: 'table',
          name: 'One row',
          columns: [
            { name: 'Short', share: 1 },
            { name: 'Long', share: 1 },
          ],
          rows: [['a', words]],
        },
      ),
      'a4',
      fonts,
      noPictures,
      nowMs,
    );
    const all = (await read(bytes)).pages.map(({ text }) => text).join(' ');
    for (const n of [0, 700, 1499]) expect(all.match(new RegExp(`\\bword${n}\\b`, 'g'))).toHaveLength(3);
    expect(all.match(/x/g)?.length).toBeGreaterThanOrEqual(400);
  });

  it('leaves out pictures that it was not given, with what stands under them', async () => {
    const onePixel = Uint8Array.from(
      atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
      (sign) => sign.charCodeAt(0),
    );
    const { bytes } = await writeSheetPdf(
      sheetOf({
        kind: 'pictures',
        pictures: [
          { key: 'here', caption: 'the shelf' },
          { key: 'elsewhere', caption: 'the attic' },
        ],
      }),
      'a4',
      fonts,
      new Map([['here', { type: 'image/png', bytes: onePixel }]]),
      nowMs,
    );
    const { text = '' } = (await read(bytes)).pages[0] ?? {};
    expect(text).toContain('the shelf');
    expect(text).not.toContain('the attic');
  });

  it('is the same file for the same sheet at the same moment', async () => {
    const sheet = sheetOf({ kind: 'swatches', swatches: [{ name: 'Teal of the door', hex: '#1f6f6b' }] });
    const [one, two] = [await write(sheet), await write(sheet)];
    expect(Buffer.from(one).equals(Buffer.from(two))).toBe(true);
    expect(textsOf(sheet)).toContain('Teal of the door');
  });
});

const write = async (sheet: SheetDocument) => (await writeSheetPdf(sheet, 'a4', fonts, noPictures, nowMs)).bytes;
