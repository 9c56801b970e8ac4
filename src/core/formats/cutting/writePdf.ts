import {
  clip,
  endPath,
  PDFDocument,
  type PDFPage,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  StandardFonts,
} from 'pdf-lib';
import type { DrawnUnit } from './cutDrawing';
import { type PrintPaper, printPapers } from './printPapers';
import { pathData } from './writeSvg';

/** Points of a PDF to a millimeter. */
const PT_PER_MM = 72 / 25.4;
/** What printers leave blank around a page, and by how much two pages of one sheet show the same; mm. */
const MARGIN_MM = 10;
const OVERLAP_MM = 10;
/** The bar that is measured after printing, mm. */
export const CHECK_BAR_MM = 100;
/** What title and check bar take at the foot of a page, mm. */
const FOOT_MM = 14;

/** The part of a unit that one page shows, mm from the unit's corner. */
export interface PageTile {
  row: number;
  column: number;
  xMm: number;
  yMm: number;
  widthMm: number;
  lengthMm: number;
}

/** The pages that show a unit at its true size: side by side, each over the next by the overlap. */
export function tilesOf(widthMm: number, lengthMm: number, paper: PrintPaper): PageTile[] {
  const { widthMm: pageWidth, lengthMm: pageLength } = printPapers[paper];
  const across = pageWidth - 2 * MARGIN_MM;
  const along = pageLength - 2 * MARGIN_MM - FOOT_MM;
  const starts = (whole: number, room: number): number[] => {
    const steps = whole <= room + 1e-6 ? 1 : Math.ceil((whole - OVERLAP_MM) / (room - OVERLAP_MM) - 1e-9);
    return Array.from({ length: steps }, (_, n) => n * (room - OVERLAP_MM));
  };
  return starts(lengthMm, along).flatMap((yMm, row) =>
    starts(widthMm, across).map((xMm, column) => ({
      row,
      column,
      xMm,
      yMm,
      widthMm: Math.min(across, widthMm - xMm),
      lengthMm: Math.min(along, lengthMm - yMm),
    })),
  );
}

/**
 * Cutting guides at true size: every unit over as many pages as it takes, with a bar of 100 mm to check the printer by,
 * crosses where pages meet, and the number of each part.
 * @param nowMs the moment that the file says it was made, epoch milliseconds
 * @param title what the file calls itself
 * @returns the bytes of the file
 */
export async function writeCutPdf(
  units: readonly DrawnUnit[],
  paper: PrintPaper,
  nowMs: number,
  title = 'Cutting guide, 1:1',
): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  const made = new Date(nowMs);
  document.setTitle(title);
  document.setCreationDate(made);
  document.setModificationDate(made);
  const font = await document.embedFont(StandardFonts.Helvetica);
  const size = printPapers[paper];
  for (const unit of units)
    for (const tile of tilesOf(unit.widthMm, unit.lengthMm, paper)) {
      const page = document.addPage([size.widthMm * PT_PER_MM, size.lengthMm * PT_PER_MM]);
      drawTile(page, unit, tile);
      const many = tile.row > 0 || tile.column > 0 || tile.widthMm < unit.widthMm || tile.lengthMm < unit.lengthMm;
      const place = many ? `, row ${tile.row + 1}, page ${tile.column + 1}` : '';
      page.drawText(latin(`${unit.title}${place}`), {
        x: (MARGIN_MM + CHECK_BAR_MM + 6) * PT_PER_MM,
        y: MARGIN_MM * PT_PER_MM,
        size: 8,
        font,
      });
      page.drawText('100 mm: print at 100 %, then measure this bar', {
        x: MARGIN_MM * PT_PER_MM,
        y: (MARGIN_MM + 3) * PT_PER_MM,
        size: 7,
        font,
      });
      for (const part of unit.parts) {
        const x = part.xMm + part.widthMm / 2 - tile.xMm;
        const y = part.yMm + part.lengthMm / 2 - tile.yMm;
        if (x < 0 || y < 0 || x > tile.widthMm || y > tile.lengthMm) continue;
        page.drawText(String(part.number), {
          x: (MARGIN_MM + x) * PT_PER_MM - 5,
          y: (size.lengthMm - MARGIN_MM - y) * PT_PER_MM - 5,
          size: 14,
          font,
        });
      }
    }
  return document.save();
}

/** What the standard font of a PDF can show; anything else becomes a question mark. */
const latin = (text: string): string =>
  text.replace(/[^\x20-\x7e\u00a0-\u00ff]/g, (sign) => (sign === '×' ? 'x' : '?'));

function drawTile(page: PDFPage, unit: DrawnUnit, tile: PageTile): void {
  const top = page.getHeight() - MARGIN_MM * PT_PER_MM;
  const left = MARGIN_MM * PT_PER_MM;
  const black = rgb(0, 0, 0);
  const gray = rgb(0.5, 0.5, 0.5);
  page.pushOperators(
    pushGraphicsState(),
    rectangle(left, top - tile.lengthMm * PT_PER_MM, tile.widthMm * PT_PER_MM, tile.lengthMm * PT_PER_MM),
    clip(),
    endPath(),
  );
  const at = { x: left - tile.xMm * PT_PER_MM, y: top + tile.yMm * PT_PER_MM, scale: PT_PER_MM };
  page.drawSvgPath(`M0 0H${unit.widthMm}V${unit.lengthMm}H0Z`, { ...at, borderColor: gray, borderWidth: 0.4 });
  for (const { lines } of unit.parts)
    page.drawSvgPath(pathData(lines), { ...at, borderColor: black, borderWidth: 0.25 });
  page.pushOperators(popGraphicsState());
  // Crosses at the corners of what the page shows: they lie over each other when pages are joined.
  for (const x of [left, left + tile.widthMm * PT_PER_MM])
    for (const y of [top, top - tile.lengthMm * PT_PER_MM]) {
      page.drawLine({ start: { x: x - 6, y }, end: { x: x + 6, y }, thickness: 0.3, color: gray });
      page.drawLine({ start: { x, y: y - 6 }, end: { x, y: y + 6 }, thickness: 0.3, color: gray });
    }
  page.drawLine({
    start: { x: left, y: MARGIN_MM * PT_PER_MM },
    end: { x: left + CHECK_BAR_MM * PT_PER_MM, y: MARGIN_MM * PT_PER_MM },
    thickness: 1,
    color: black,
  });
}
