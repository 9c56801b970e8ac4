import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { plainNumber, readTable } from './readTable';
import { undefused, writeTable } from './writeTable';

const cells = (text: string) => readTable(text).rows.map((row) => row.cells);

describe('reading a table', () => {
  // The examples of RFC 4180, section 2, with a heading before them.
  it('reads what RFC 4180 shows: with and without a last line break, quoted, with breaks and doubled quotes', () => {
    expect(cells('a,b,c\r\naaa,bbb,ccc\r\nzzz,yyy,xxx\r\n')).toEqual([
      ['aaa', 'bbb', 'ccc'],
      ['zzz', 'yyy', 'xxx'],
    ]);
    expect(cells('a,b,c\r\naaa,bbb,ccc\r\nzzz,yyy,xxx')).toHaveLength(2);
    expect(cells('a,b,c\r\n"aaa","bbb","ccc"\r\nzzz,yyy,xxx')[0]).toEqual(['aaa', 'bbb', 'ccc']);
    expect(cells('a,b,c\r\n"aaa","b\r\nbb","ccc"\r\nzzz,yyy,xxx')).toEqual([
      ['aaa', 'b\r\nbb', 'ccc'],
      ['zzz', 'yyy', 'xxx'],
    ]);
    expect(cells('a,b,c\r\n"aaa","b""bb","ccc"')[0]).toEqual(['aaa', 'b"bb', 'ccc']);
    // "Spaces are considered part of a field and should not be ignored."
    expect(cells('a,b\r\n x , y ')[0]).toEqual([' x ', ' y ']);
  });

  it('passes over a byte order mark, and a first line that names the separator', () => {
    expect(readTable('\uFEFFName,Box\nVase,4').fields).toEqual(['Name', 'Box']);
    const said = readTable('sep=;\r\nName;Box\r\nVase;4');
    expect(said.delimiter).toBe(';');
    expect(said.rows).toEqual([{ line: 3, cells: ['Vase', '4'] }]);
  });

  it('reads what European spreadsheets write: semicolons and decimal commas', () => {
    const table = readTable('Name;Höhe;Wert\r\nVase;12,5;1.299,00\r\n"Krug; blau";30,25;9,50\r\n');
    expect(table).toMatchObject({ delimiter: ';', decimal: ',' });
    expect(table.rows[1]?.cells[0]).toBe('Krug; blau');
    expect(plainNumber('1.299,00', ',')).toBe('1299.00');
    expect(plainNumber('12,5', ',')).toBe('12.5');
    expect(plainNumber('1,299.00', '.')).toBe('1299.00');
    expect(plainNumber('12.5', '.')).toBe('12.5');
    expect(readTable('a;b\n1.5;2.25').decimal).toBe('.');
  });

  it('tells lines as an editor counts them, also after breaks within quotes', () => {
    const table = readTable('Name,Story\n"Vase","from\nthe attic\nbox"\nJug,old\n\nBowl,new\n');
    expect(table.rows.map((row) => row.line)).toEqual([2, 5, 7]);
  });

  it('names the line whose quotation mark never closes, and keeps the lines before it', () => {
    const table = readTable('Name,Story\nVase,fine\nJug,"never closed\nBowl,lost');
    expect(table.rows.map((row) => row.cells[0])).toEqual(['Vase']);
    expect(table.bad).toEqual([{ line: 3, reason: 'a quotation mark is opened and never closed' }]);
  });

  it('refuses a line with more cells than the heading', () => {
    expect(readTable('a,b\n1,2,3\n4,5').bad).toEqual([{ line: 2, reason: 'it has 3 cells, the heading has 2' }]);
  });

  it('gives back any cells that a general library writes, whatever the separator', () => {
    // papaparse, a general-purpose library, as the other side.
    const cell = fc.string({ maxLength: 12, unit: fc.constantFrom('a', '"', ',', ';', '\n', ' ', 'é', '1') });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 8 }),
        fc.constantFrom(',', ';', '\t'),
        (rows, delimiter) => {
          const kept = rows.filter((row) => row.some((value) => value.trim() !== ''));
          const text = Papa.unparse({ fields: ['one', 'two'], data: kept }, { delimiter });
          expect(cells(text)).toEqual(kept.map((row) => [...row]));
        },
      ),
    );
  });
});

describe('writing a table', () => {
  it('defuses cells that a spreadsheet would run, and takes them back as they were', () => {
    const csv = writeTable(['Name'], [['=1+1'], ['+49'], ['-5 vases'], ['@home'], ['plain']]);
    expect(csv.startsWith('Name\r\n"')).toBe(true);
    // As a general library reads it back: every cell begins harmlessly.
    expect(Papa.parse<string[]>(csv).data.map(([cell]) => cell)).toEqual([
      'Name',
      "'=1+1",
      "'+49",
      "'-5 vases",
      "'@home",
      'plain',
    ]);
    expect(undefused("'=1+1")).toBe('=1+1');
    expect(undefused("'tis")).toBe("'tis");
  });
});
