import Papa from 'papaparse';

/** One record of a table with the line of the file that it begins on, counted from 1. */
export interface TableRow {
  line: number;
  cells: string[];
}

/** A table as it was read. */
export interface Table {
  fields: string[];
  rows: TableRow[];
  /** Records that could not be read, by line and reason. */
  bad: { line: number; reason: string }[];
  delimiter: string;
  /** The decimal mark its numbers are written with. */
  decimal: '.' | ',';
}

const reasons: Record<string, string> = {
  MissingQuotes: 'a quotation mark is opened and never closed',
  InvalidQuotes: 'a quotation mark stands within a cell that is not quoted',
};

/** A delimiter that stands in the first line outside of quotes, the most frequent one; a comma when there is none. */
function delimiterOf(text: string): string {
  const counts = new Map<string, number>();
  let quoted = false;
  for (const letter of text) {
    if (letter === '"') quoted = !quoted;
    else if (!quoted && (letter === '\n' || letter === '\r')) break;
    else if (!quoted && (letter === ',' || letter === ';' || letter === '\t'))
      counts.set(letter, (counts.get(letter) ?? 0) + 1);
  }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? ',';
}

/**
 * Reads a table from text: CSV by RFC 4180 (quotes, doubled quotes, line breaks within quotes, CRLF or LF), with or
 * without a byte order mark, with comma, semicolon or tab as spreadsheets of different countries write it. The first
 * record names the fields. A record that cannot be read is told by line and reason; the others are kept.
 */
export function readTable(text: string): Table {
  // A spreadsheet may say the separator itself in a first line of its own.
  const bare = text.replace(/^\uFEFF/, '');
  const said = /^sep=(.)\r?\n/i.exec(bare);
  const body = said ? bare.slice(said[0].length) : bare;
  const delimiter = said?.[1] ?? delimiterOf(body);
  const records: TableRow[] = [];
  const bad: Table['bad'] = [];
  let line = said ? 2 : 1;
  let at = 0;
  let fields: string[] | null = null;
  Papa.parse<string[]>(body, {
    delimiter,
    step: (result) => {
      const begins = line;
      const until = result.meta.cursor;
      for (; at < until; at += 1) if (body[at] === '\n' || (body[at] === '\r' && body[at + 1] !== '\n')) line += 1;
      const cells = result.data;
      const error = result.errors.find((entry) => entry.type === 'Quotes');
      if (cells.every((cell) => cell.trim() === '') && !error) return;
      if (fields === null) {
        fields = cells.map((cell) => cell.trim());
        return;
      }
      if (error) bad.push({ line: begins, reason: reasons[error.code] ?? 'it is not well formed' });
      else if (cells.length > fields.length && cells.slice(fields.length).some((cell) => cell.trim() !== ''))
        bad.push({ line: begins, reason: `it has ${cells.length} cells, the heading has ${fields.length}` });
      else records.push({ line: begins, cells });
    },
  });
  return { fields: fields ?? [], rows: records, bad, delimiter, decimal: decimalOf(records, delimiter) };
}

/** A decimal comma is taken when numbers are written with one and none with a point; where fields are parted by commas, never. */
function decimalOf(rows: readonly TableRow[], delimiter: string): '.' | ',' {
  if (delimiter === ',') return '.';
  let commas = 0;
  let points = 0;
  for (const { cells } of rows.slice(0, 500))
    for (const cell of cells) {
      const text = cell.trim();
      if (/^-?[\d.]*\d,\d{1,2}(\s*\D{0,4})?$/.test(text)) commas += 1;
      else if (/^-?[\d,]*\d\.\d{1,2}(\s*\D{0,4})?$/.test(text)) points += 1;
    }
  return commas > points ? ',' : '.';
}

/** A number as a table writes it, in plain form: groups of thousands taken out, the decimal mark a point. */
export function plainNumber(text: string, decimal: '.' | ','): string {
  const group = decimal === ',' ? '.' : ',';
  const grouped = new RegExp(`^([^\\d]*)(\\d{1,3}(?:\\${group}\\d{3})+)((?:\\${decimal}\\d+)?.*)$`).exec(text.trim());
  const joined = grouped ? `${grouped[1]}${(grouped[2] ?? '').replaceAll(group, '')}${grouped[3]}` : text.trim();
  return decimal === ',' ? joined.replace(/(\d),(\d)/g, '$1.$2').replace(/^,(\d)/, '0.$1') : joined;
}
