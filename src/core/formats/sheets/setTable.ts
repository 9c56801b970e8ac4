import type { SheetBlock } from '../../sheets/sheetDocument';
import { FAINT, lineHigh, RULE, type SheetPages, TEXT, type TextLook } from './sheetPages';
import { linesOf, widthOf } from './typeset';

/** What stands between two columns, and between two rows; points. */
const CELL_GAP = 11;
const ROW_GAP = 4;

/** The lines of each cell of a row. */
type Cells = readonly (readonly string[])[];

const linesHigh = (cells: Cells): number => Math.max(...cells.map((lines) => lines.length)) * lineHigh(TEXT);

/** Sets a table: its head again on each page; a row is broken only where it is longer than a page. */
export function setTable(pages: SheetPages, table: Extract<SheetBlock, { kind: 'table' }>): void {
  const { columns, rows, totals = [] } = table;
  const shares = columns.reduce((sum, { share }) => sum + share, 0);
  const widths = columns.map(({ share }) => (pages.wide * share) / shares);
  const starts = widths.map((_, n) => widths.slice(0, n).reduce((sum, width) => sum + width, 0));
  const names = columns.map(({ name }) => name);
  const plain: TextLook = { size: TEXT };
  const bold: TextLook = { size: TEXT, cuts: pages.cuts.bold };
  const cutsOf = ({ cuts = pages.cuts.text }: TextLook) => cuts;
  const cellsOf = (row: readonly string[], look: TextLook): Cells =>
    widths.map((width, n) => linesOf(row[n] ?? '', TEXT, width - CELL_GAP, cutsOf(look)));
  const set = (cells: Cells, look: TextLook) => {
    for (const [n, lines] of cells.entries())
      for (const [nth, text] of lines.entries()) {
        const room = (widths[n] ?? 0) - CELL_GAP;
        const indent = columns[n]?.isFigure ? room - widthOf(text, TEXT, cutsOf(look)) : 0;
        pages.line(text, (starts[n] ?? 0) + indent, nth, look);
      }
    pages.down(linesHigh(cells));
  };
  const head = () => {
    if (names.every((name) => name === '')) return;
    set(cellsOf(names, bold), { ...bold, color: FAINT });
    pages.rule(0.8, FAINT);
    pages.down(ROW_GAP);
  };
  const nextPage = () => {
    pages.nextPage();
    head();
  };
  const add = (row: readonly string[], look: TextLook) => {
    const high = lineHigh(TEXT);
    let cells = cellsOf(row, look);
    const fitsPage = linesHigh(cells) + ROW_GAP <= pages.high - 2 * high;
    if (fitsPage && linesHigh(cells) + ROW_GAP > pages.left) nextPage();
    while (cells.some((lines) => lines.length > 0)) {
      if (!fitsPage && pages.left < 2 * high) nextPage();
      const most = Math.max(1, Math.floor((pages.left - ROW_GAP) / high));
      set(
        cells.map((lines) => lines.slice(0, most)),
        look,
      );
      cells = cells.map((lines) => lines.slice(most));
    }
  };
  pages.need(3 * lineHigh(TEXT) + 2 * ROW_GAP);
  head();
  for (const row of rows) {
    add(row, plain);
    pages.rule(0.4, RULE);
    pages.down(ROW_GAP);
  }
  for (const row of totals) add(row, bold);
  pages.down(2 * ROW_GAP);
}
