import { type PDFDocument, type PDFPage, rgb } from 'pdf-lib';
import { type PrintPaper, printPapers } from '../cutting/printPapers';
import { type FontCut, linesOf, runsOf, unprintable, widthOf } from './typeset';

/** Points of a PDF to a millimeter. */
export const PT_PER_MM = 72 / 25.4;
const MARGIN = 18 * PT_PER_MM;
/** What the line at the foot of each page takes, points. */
const FOOT = 26;
/** A line of text is so much higher than its letters, and stands so far above the line's foot. */
const LEADING = 1.38;
const DESCENT = 0.32;

export const TEXT = 10;
export const SMALL = 8.5;

export const INK = rgb(0.13, 0.12, 0.11);
export const FAINT = rgb(0.4, 0.38, 0.36);
export const RULE = rgb(0.78, 0.75, 0.71);
type Color = ReturnType<typeof rgb>;

/** The fonts of a sheet by what they are for. */
export interface Cuts {
  text: readonly FontCut[];
  bold: readonly FontCut[];
  heading: readonly FontCut[];
}

/** How a text looks. */
export interface TextLook {
  size: number;
  cuts?: readonly FontCut[];
  color?: Color;
}

/** How high a line of letters of a size is, points. */
export const lineHigh = (size: number): number => size * LEADING;

/** The pages of a sheet, one after the other, and how far the present one is filled. Places are points from its margins. */
export class SheetPages {
  readonly cuts: Cuts;
  /** Characters that no font had, so that question marks stand for them. */
  readonly missing = new Set<string>();
  private readonly document: PDFDocument;
  private readonly size: { width: number; height: number };
  private readonly pages: PDFPage[] = [];
  private page: PDFPage;
  /** The height at which the next thing begins, from the foot of the page. */
  private y: number;

  constructor(document: PDFDocument, paper: PrintPaper, cuts: Cuts) {
    const { widthMm, lengthMm } = printPapers[paper];
    this.document = document;
    this.size = { width: widthMm * PT_PER_MM, height: lengthMm * PT_PER_MM };
    this.cuts = cuts;
    this.page = this.nextPage();
    this.y = this.top;
  }

  private get top(): number {
    return this.size.height - MARGIN;
  }

  /** How wide a page is between its margins. */
  get wide(): number {
    return this.size.width - 2 * MARGIN;
  }

  /** How high a whole page is between its margins, without its foot. */
  get high(): number {
    return this.top - MARGIN - FOOT;
  }

  /** What of the page is left below what stands there. */
  get left(): number {
    return this.y - MARGIN - FOOT;
  }

  get isFresh(): boolean {
    return this.y >= this.top;
  }

  nextPage(): PDFPage {
    this.page = this.document.addPage([this.size.width, this.size.height]);
    this.pages.push(this.page);
    this.y = this.top;
    return this.page;
  }

  /** Goes on to the next page where less than so much is left. */
  need(height: number): void {
    if (this.left < height && !this.isFresh) this.nextPage();
  }

  /** Goes down by so much. */
  down(height: number): void {
    this.y -= height;
  }

  /** Writes a line of text, the nth below the present place, which stays where it is. */
  line(text: string, x: number, nth: number, look: TextLook, fromTop = 0): void {
    const y = this.y - fromTop - (nth + 1) * lineHigh(look.size) + look.size * DESCENT;
    this.write(text, MARGIN + x, y, look);
  }

  /** Writes a text in as many lines as it takes, over as many pages as they take, and stands below it. */
  paragraph(text: string, look: TextLook, x = 0): void {
    for (const line of linesOf(text, look.size, this.wide - x, look.cuts ?? this.cuts.text)) {
      this.need(lineHigh(look.size));
      this.line(line, x, 0, look);
      this.down(lineHigh(look.size));
    }
  }

  /** Fills a box below the present place. */
  box(x: number, width: number, height: number, color: Color, border?: Color): void {
    this.page.drawRectangle({
      x: MARGIN + x,
      y: this.y - height,
      width,
      height,
      color,
      ...(border ? { borderColor: border, borderWidth: 0.5 } : {}),
    });
  }

  /** Draws a line over the whole width, a little below the present place. */
  rule(thickness: number, color: Color): void {
    const y = this.y - 1.5;
    this.page.drawLine({ start: { x: MARGIN, y }, end: { x: MARGIN + this.wide, y }, thickness, color });
  }

  /** Draws a picture below the present place. */
  image(image: Parameters<PDFPage['drawImage']>[0], x: number, width: number, height: number): void {
    this.page.drawImage(image, { x: MARGIN + x, y: this.y - height, width, height });
  }

  /** The line at the foot of every page, now that it is known how many there are; gives that number. */
  finish(title: string): number {
    const look: TextLook = { size: SMALL, color: FAINT };
    for (const [n, page] of this.pages.entries()) {
      this.page = page;
      const text = `${n + 1} of ${this.pages.length}`;
      const wide = widthOf(text, SMALL, this.cuts.text);
      const [name = ''] = linesOf(title, SMALL, this.wide - wide - 20, this.cuts.text);
      this.write(name, MARGIN, MARGIN, look);
      this.write(text, MARGIN + this.wide - wide, MARGIN, look);
    }
    return this.pages.length;
  }

  private write(text: string, x: number, y: number, { size, cuts = this.cuts.text, color = INK }: TextLook): void {
    let at = x;
    for (const run of runsOf(text, cuts)) {
      this.page.drawText(run.text, { x: at, y, size, font: run.font, color });
      at += run.font.widthOfTextAtSize(run.text, size);
    }
    for (const sign of unprintable(text, cuts)) this.missing.add(sign);
  }
}
