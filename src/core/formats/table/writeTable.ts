import Papa from 'papaparse';

/** A cell that begins like this is taken for a formula by spreadsheets; the library's own pattern lets one with a line break through. */
const FORMULA = /^[=+\-@\t\r]/;

/**
 * A table as CSV by RFC 4180: a heading, CRLF, quotes where needed. Cells that a spreadsheet would take for a formula
 * (`=`, `+`, `-`, `@`) begin with an apostrophe instead.
 */
export function writeTable(fields: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  return Papa.unparse(
    { fields: [...fields], data: rows.map((row) => [...row]) },
    { newline: '\r\n', escapeFormulae: FORMULA },
  );
}

/** A text cell as it was before it was defused. */
export function undefused(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
}
