import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, type PDFImage, type PDFPage, rgb } from 'pdf-lib';
import type { SheetBlock, SheetDocument } from '../../sheets/sheetDocument';
import { type PrintPaper, printPapers } from '../cutting/writePdf';
import { type FontCut, linesOf, runsOf, unprintable, widthOf } from './typeset';

/** Points of a PDF to a millimeter. */
const PT_PER_MM = 72 / 25.4;
const MARGIN = 18 * PT_PER_MM;
/** What the line at the foot of each page takes, points. */
const FOOT = 26;

/** Files of fonts (TTF, OTF or WOFF), the preferred first: what the first lacks is set in the next that has it. */
export interface SheetFonts {
  text: readonly Uint8Array[];
  bold: readonly Uint8Array[];
  heading: readonly Uint8Array[];
}

/** Bytes of a picture. */
export interface PictureBytes {
  type: 'image/jpeg' | 'image/png';
  bytes: Uint8Array;
}

/** A sheet as a file, with what could not be set in any of its fonts. */
export interface WrittenSheet {
  bytes: Uint8Array;
  pages: number;
  /** Characters that are question marks in it. */
  missing: string[];
}

type Cuts = Record<keyof SheetFonts, readonly FontCut[]>;

const INK = rgb(0.13, 0.12, 0.11);
const FAINT = rgb(0.4, 0.38, 0.36);
const RULE = rgb(0.78, 0.75, 0.71);
const CAUTION = rgb(0.99, 0.95, 0.86);

const headings = {
  1: { size: 20, before: 0, after: 6 },
  2: { size: 14, before: 14, after: 5 },
  3: { size: 11, before: 9, after: 3 },
} as const;
const TEXT = 10;
const SMALL = 8.5;
const LEADING = 1.38;
/** How much of a page must be left for what comes with a heading. */
const KEEP_WITH_HEADING = 60;
const PICTURE_MOST = 105 * PT_PER_MM;
const CELL_GAP = 11;

/**
 * A sheet as a PDF: its text can be selected and searched, its fonts are embedded, as far as they are used. Headings stay
 * with what follows them; a table's head is said again on each page, a row is broken only where a page could not hold it.
 * @param pictures by their key; one that is not there is left out with its caption
 * @param nowMs the moment that the file says it was made, epoch milliseconds
 */
export async function writeSheetPdf(
  sheet: SheetDocument,
  paper: PrintPaper,
  fonts: SheetFonts,
  pictures: ReadonlyMap<string, PictureBytes>,
  nowMs: number,
): Promise<WrittenSheet> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  const made = new Date(nowMs);
  document.setTitle(sheet.title, { showInWindowTitleBar: true });
  document.setLanguage('en');
  document.setCreator('Euporia');
  document.setProducer('Euporia');
  document.setCreationDate(made);
  document.setModificationDate(made);
  const cuts: Cuts = {
    text: await embedded(document, fonts.text),
    bold: await embedded(document, fonts.bold),
    heading: await embedded(document, fonts.heading),
  };
  const images = new Map<string, PDFImage>();
  for (const [key, { type, bytes }] of pictures)
    images.set(key, await (type === 'image/png' ? document.embedPng(bytes) : document.embedJpg(bytes)));
  const setter = new Setter(document, paper, cuts, images);
  for (const block of sheet.blocks) setter.set(block);
  const pages = setter.finish(sheet.title);
  const missing = unprintable(textsOf(sheet).join(''), cuts.text).filter((sign) => sign !== '\n');
  return { bytes: await document.save(), pages, missing };
}

async function embedded(document: PDFDocument, files: readonly Uint8Array[]): Promise<FontCut[]> {
  const cuts: FontCut[] = [];
  for (const file of files) {
    const font = await document.embedFont(file, { subset: true });
    const known = new Set(font.getCharacterSet());
    cuts.push({ font, has: (codePoint) => known.has(codePoint) });
  }
  return cuts;
}

/** Every text of a sheet. */
export function textsOf({ title, blocks }: SheetDocument): string[] {
  const of = (block: SheetBlock): readonly string[] => {
    switch (block.kind) {
      case 'heading':
      case 'text':
      case 'caution':
        return [block.text];
      case 'address':
        return block.lines;
      case 'facts':
        return block.facts.flatMap(({ name, value }) => [name, value]);
      case 'swatches':
        return block.swatches.map(({ name }) => name);
      case 'list':
        return block.items;
      case 'pictures':
        return block.pictures.map(({ caption }) => caption);
      case 'table':
        return [...block.columns.map(({ name }) => name), ...block.rows.flat(), ...(block.totals ?? []).flat()];
      default:
        return block satisfies never;
    }
  };
  return [title, ...blocks.flatMap(of)];
}

/** Sets blocks one under the other, page by page. */
class Setter {
  private readonly document: PDFDocument;
  private readonly size: { width: number; height: number };
  private readonly cuts: Cuts;
  private readonly images: ReadonlyMap<string, PDFImage>;
  private readonly pages: PDFPage[] = [];
  private page: PDFPage;
  /** The height at which the next thing begins, from the foot of the page. */
  private y: number;

  constructor(document: PDFDocument, paper: PrintPaper, cuts: Cuts, images: ReadonlyMap<string, PDFImage>) {
    const { widthMm, lengthMm } = printPapers[paper];
    this.document = document;
    this.size = { width: widthMm * PT_PER_MM, height: lengthMm * PT_PER_MM };
    this.cuts = cuts;
    this.images = images;
    this.page = this.newPage();
    this.y = this.top;
  }

  private get top(): number {
    return this.size.height - MARGIN;
  }

  private get bottom(): number {
    return MARGIN + FOOT;
  }

  private get room(): number {
    return this.size.width - 2 * MARGIN;
  }

  private newPage(): PDFPage {
    const page = this.document.addPage([this.size.width, this.size.height]);
    this.pages.push(page);
    this.page = page;
    this.y = this.top;
    return page;
  }

  /** Goes on to the next page where less than so much is left. */
  private need(height: number): void {
    if (this.y - height < this.bottom && this.y < this.top) this.newPage();
  }

  private write(text: string, x: number, y: number, size: number, cuts: readonly FontCut[], color = INK): void {
    let at = x;
    for (const run of runsOf(text, cuts)) {
      this.page.drawText(run.text, { x: at, y, size, font: run.font, color });
      at += run.font.widthOfTextAtSize(run.text, size);
    }
  }

  /** Lines of a paragraph, over as many pages as they take. */
  private lines(
    text: string,
    { size, cuts = this.cuts.text, color = INK, x = 0, room = this.room - x }: LineLook,
  ): void {
    for (const line of linesOf(text, size, room, cuts)) {
      this.need(size * LEADING);
      this.y -= size * LEADING;
      this.write(line, MARGIN + x, this.y + size * 0.32, size, cuts, color);
    }
  }

  set(block: SheetBlock): void {
    switch (block.kind) {
      case 'heading': {
        const { size, before, after } = headings[block.level];
        this.need(before + size * LEADING + KEEP_WITH_HEADING);
        if (this.y < this.top) this.y -= before;
        this.lines(block.text, { size, cuts: this.cuts.heading });
        this.y -= after;
        return;
      }
      case 'text':
        this.lines(block.text, block.isSmall ? { size: SMALL, color: FAINT } : { size: TEXT });
        this.y -= 5;
        return;
      case 'address':
        for (const line of block.lines) this.lines(line, { size: TEXT });
        this.y -= 8;
        return;
      case 'facts':
        this.facts(block.facts);
        return;
      case 'swatches':
        this.swatches(block.swatches);
        return;
      case 'list':
        for (const item of block.items) {
          this.need(TEXT * LEADING);
          this.write('•', MARGIN + 2, this.y - TEXT * LEADING + TEXT * 0.32, TEXT, this.cuts.text);
          this.lines(item, { size: TEXT, x: 12 });
        }
        this.y -= 5;
        return;
      case 'caution':
        this.caution(block.text);
        return;
      case 'pictures':
        this.pictureRow(block.pictures);
        return;
      case 'table':
        this.table(block);
        return;
      default:
        block satisfies never;
    }
  }

  private facts(facts: readonly { name: string; value: string }[]): void {
    const widest = Math.min(
      this.room * 0.4,
      Math.max(0, ...facts.map(({ name }) => widthOf(name, TEXT, this.cuts.text))) + 12,
    );
    for (const { name, value } of facts) {
      const names = linesOf(name, TEXT, widest - 6, this.cuts.text);
      const values = linesOf(value, TEXT, this.room - widest, this.cuts.bold);
      this.need(Math.max(names.length, values.length) * TEXT * LEADING);
      const from = this.y;
      for (const [n, line] of names.entries())
        this.write(line, MARGIN, from - (n + 1) * TEXT * LEADING + TEXT * 0.32, TEXT, this.cuts.text, FAINT);
      for (const [n, line] of values.entries())
        this.write(line, MARGIN + widest, from - (n + 1) * TEXT * LEADING + TEXT * 0.32, TEXT, this.cuts.bold);
      this.y = from - Math.max(names.length, values.length) * TEXT * LEADING;
    }
    this.y -= 6;
  }

  private swatches(swatches: readonly { name: string; hex: string }[]): void {
    const [wide, high, gap] = [104, 34, 8];
    const columns = Math.max(1, Math.floor((this.room + gap) / (wide + gap)));
    for (let n = 0; n < swatches.length; n += columns) {
      const row = swatches.slice(n, n + columns);
      const texts = row.map(({ name }) => linesOf(name, SMALL, wide, this.cuts.text).slice(0, 2));
      const height = high + 3 + Math.max(...texts.map((lines) => lines.length)) * SMALL * LEADING + 6;
      this.need(height);
      for (const [at, { hex }] of row.entries()) {
        const x = MARGIN + at * (wide + gap);
        this.page.drawRectangle({
          x,
          y: this.y - high,
          width: wide,
          height: high,
          color: colorOf(hex),
          borderColor: RULE,
          borderWidth: 0.5,
        });
        for (const [line, text] of (texts[at] ?? []).entries())
          this.write(text, x, this.y - high - 3 - (line + 1) * SMALL * LEADING + SMALL * 0.32, SMALL, this.cuts.text);
      }
      this.y -= height;
    }
    this.y -= 2;
  }

  /** A box; what is longer than a page goes on in another box on the next. */
  private caution(text: string): void {
    const pad = 6;
    const high = TEXT * LEADING;
    let left = linesOf(text, TEXT, this.room - 2 * pad - 4, this.cuts.text);
    while (left.length > 0) {
      this.need(Math.min(left.length, 3) * high + 2 * pad);
      const fits = Math.max(1, Math.floor((this.y - this.bottom - 2 * pad) / high));
      const here = left.slice(0, fits);
      left = left.slice(fits);
      const height = here.length * high + 2 * pad;
      this.page.drawRectangle({ x: MARGIN, y: this.y - height, width: this.room, height, color: CAUTION });
      this.page.drawRectangle({
        x: MARGIN,
        y: this.y - height,
        width: 3,
        height,
        color: rgb(0.72, 0.42, 0.1),
      });
      for (const [n, line] of here.entries())
        this.write(line, MARGIN + pad + 4, this.y - pad - (n + 1) * high + TEXT * 0.32, TEXT, this.cuts.text);
      this.y -= height + 5;
    }
  }

  /** Pictures side by side, all at one height, with their captions below. */
  private pictureRow(pictures: readonly { key: string; caption: string }[]): void {
    const shown = pictures.flatMap(({ key, caption }) => {
      const image = this.images.get(key);
      return image ? [{ image, caption }] : [];
    });
    if (shown.length === 0) return;
    const gap = 10;
    const ratios = shown.reduce((sum, { image }) => sum + image.width / image.height, 0);
    const height = Math.min(PICTURE_MOST, (this.room - gap * (shown.length - 1)) / ratios);
    const captions = shown.map(({ image, caption }) =>
      caption === '' ? [] : linesOf(caption, SMALL, (height * image.width) / image.height, this.cuts.text),
    );
    const below = Math.max(...captions.map((lines) => lines.length)) * SMALL * LEADING;
    this.need(height + below + 10);
    let x = MARGIN;
    for (const [n, { image }] of shown.entries()) {
      const width = (height * image.width) / image.height;
      this.page.drawImage(image, { x, y: this.y - height, width, height });
      for (const [line, text] of (captions[n] ?? []).entries())
        this.write(
          text,
          x,
          this.y - height - 2 - (line + 1) * SMALL * LEADING + SMALL * 0.32,
          SMALL,
          this.cuts.text,
          FAINT,
        );
      x += width + gap;
    }
    this.y -= height + below + 12;
  }

  private table({ columns, rows, totals = [] }: Extract<SheetBlock, { kind: 'table' }>): void {
    const shares = columns.reduce((sum, { share }) => sum + share, 0);
    const widths = columns.map(({ share }) => (this.room * share) / shares);
    const starts = widths.map((_, n) => widths.slice(0, n).reduce((sum, width) => sum + width, 0));
    const high = TEXT * LEADING;
    const cellsOf = (row: readonly string[], cuts: readonly FontCut[]) =>
      columns.map((_, n) => linesOf(row[n] ?? '', TEXT, (widths[n] ?? 0) - CELL_GAP, cuts));
    const line = (cells: readonly (readonly string[])[], cuts: readonly FontCut[], color = INK) => {
      for (const [n, texts] of cells.entries())
        for (const [at, text] of texts.entries()) {
          const indent = columns[n]?.isFigure ? (widths[n] ?? 0) - CELL_GAP - widthOf(text, TEXT, cuts) : 0;
          this.write(
            text,
            MARGIN + (starts[n] ?? 0) + indent,
            this.y - (at + 1) * high + TEXT * 0.32,
            TEXT,
            cuts,
            color,
          );
        }
      this.y -= Math.max(...cells.map((texts) => texts.length)) * high;
    };
    const rule = (thickness: number, color = RULE) =>
      this.page.drawLine({
        start: { x: MARGIN, y: this.y - 1.5 },
        end: { x: MARGIN + this.room, y: this.y - 1.5 },
        thickness,
        color,
      });
    const head = () => {
      if (columns.every(({ name }) => name === '')) return;
      line(
        cellsOf(
          columns.map(({ name }) => name),
          this.cuts.bold,
        ),
        this.cuts.bold,
        FAINT,
      );
      rule(0.8, FAINT);
      this.y -= 4;
    };
    this.need(3 * high + 8);
    head();
    const add = (row: readonly string[], cuts: readonly FontCut[]) => {
      let cells: readonly (readonly string[])[] = cellsOf(row, cuts);
      for (;;) {
        const height = Math.max(...cells.map((texts) => texts.length)) * high + 4;
        const isWhole = this.y - height >= this.bottom;
        const fitsPage = height <= this.top - this.bottom - 2 * high;
        if (!isWhole && (fitsPage || this.y - 2 * high < this.bottom)) {
          this.newPage();
          head();
          if (fitsPage) continue;
        }
        // A row that is longer than a page is broken where the page ends.
        const most = Math.max(1, Math.floor((this.y - this.bottom - 4) / high));
        line(
          cells.map((texts) => texts.slice(0, most)),
          cuts,
        );
        cells = cells.map((texts) => texts.slice(most));
        if (cells.every((texts) => texts.length === 0)) return;
      }
    };
    for (const row of rows) {
      add(row, this.cuts.text);
      rule(0.4);
      this.y -= 4;
    }
    for (const row of totals) add(row, this.cuts.bold);
    this.y -= 8;
  }

  /** The line at the foot of every page, now that it is known how many there are. */
  finish(title: string): number {
    for (const [n, page] of this.pages.entries()) {
      this.page = page;
      const text = `${n + 1} of ${this.pages.length}`;
      const wide = widthOf(text, SMALL, this.cuts.text);
      const [name = ''] = linesOf(title, SMALL, this.room - wide - 20, this.cuts.text);
      this.write(name, MARGIN, MARGIN, SMALL, this.cuts.text, FAINT);
      this.write(text, MARGIN + this.room - wide, MARGIN, SMALL, this.cuts.text, FAINT);
    }
    return this.pages.length;
  }
}

interface LineLook {
  size: number;
  cuts?: readonly FontCut[];
  color?: ReturnType<typeof rgb>;
  x?: number;
  room?: number;
}

/** A color of the screen as one of the PDF; what is no color is white. */
function colorOf(hex: string) {
  const [red = 255, green = 255, blue = 255] = (/^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(hex) ?? [])
    .slice(1)
    .map((part) => Number.parseInt(part, 16));
  return rgb(red / 255, green / 255, blue / 255);
}
