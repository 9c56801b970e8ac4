import type { PDFFont } from 'pdf-lib';

/** A font with the characters that it has. */
export interface FontCut {
  font: PDFFont;
  has: (codePoint: number) => boolean;
}

/** A run of characters in one font. */
export interface TextRun {
  font: PDFFont;
  text: string;
}

/** What stands for a character that no font has. */
export const MISSING = '?';

/**
 * Characters that are the same to a reader and that more fonts have: spaces of all widths become spaces, fractions a
 * number over a number, signs that are composed of others those.
 */
function plainer(sign: string): string {
  if (/^\s$/u.test(sign)) return ' ';
  if (/^\p{Cf}$/u.test(sign)) return '';
  if (sign === '→') return '>';
  if (sign === '≥') return 'at least ';
  if (sign === '≤') return 'at most ';
  return sign.normalize('NFKD').replace(/\u2044/g, '/');
}

/**
 * A text as runs of fonts: each character in the first font that has it; one that no font has by what it is composed of,
 * and by a question mark where that helps nothing.
 * @param cuts fonts, the preferred first; at least one
 */
export function runsOf(text: string, cuts: readonly FontCut[]): TextRun[] {
  const runs: TextRun[] = [];
  const [first] = cuts;
  if (!first) throw new RangeError('a text needs a font');
  const add = (font: PDFFont, sign: string) => {
    const last = runs.at(-1);
    if (last?.font === font) last.text += sign;
    else runs.push({ font, text: sign });
  };
  const cutOf = (sign: string) => cuts.find(({ has }) => has(sign.codePointAt(0) ?? 0));
  for (const sign of text.normalize('NFC')) {
    const cut = cutOf(sign);
    if (cut) {
      add(cut.font, sign);
      continue;
    }
    const parts = [...plainer(sign)];
    const isKnown = parts.every((part) => cutOf(part) !== undefined);
    for (const part of isKnown ? parts : [MISSING]) add(cutOf(part)?.font ?? first.font, part);
  }
  return runs;
}

/** The characters of a text that are printed as a question mark, each once. */
export function unprintable(text: string, cuts: readonly FontCut[]): string[] {
  return [...new Set(text.normalize('NFC'))].filter(
    (sign) => sign !== MISSING && runsOf(sign, cuts).some((run) => run.text.includes(MISSING)),
  );
}

/** How wide a text is, in points. */
export const widthOf = (text: string, size: number, cuts: readonly FontCut[]): number =>
  runsOf(text, cuts).reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0);

/** Breaks a text into lines of at most so many points: between words, and within a word that is longer than a line. */
export function linesOf(text: string, size: number, roomPt: number, cuts: readonly FontCut[]): string[] {
  const lines: string[] = [];
  for (const paragraph of text.split(/\r\n|[\r\n\u2028\u2029]/)) {
    let line = '';
    for (const word of paragraph.split(/[ \t]+/).filter((part) => part !== '')) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (widthOf(longer, size, cuts) <= roomPt) {
        line = longer;
        continue;
      }
      if (line !== '') lines.push(line);
      line = '';
      for (const sign of word) {
        if (line !== '' && widthOf(line + sign, size, cuts) > roomPt) {
          lines.push(line);
          line = '';
        }
        line += sign;
      }
    }
    lines.push(line);
  }
  return lines;
}
