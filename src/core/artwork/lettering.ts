import { type Font, type Glyph, parse } from 'opentype.js';
import { boxOf, type Outline, shifted } from '../surface/outline';
import { welded } from '../surface/polygons';
import { outlineOfSvgPath } from './svgOutline';

/** Words as they are set. */
export interface Lettering {
  words: string;
  fontId: string;
  /** Height of a capital, mm. */
  letterHeightMm: number;
  /** Added between letters, mm. */
  letterSpacingMm: number;
  /** From line to line, in heights of a capital. */
  lineSpacing: number;
  align: 'left' | 'middle' | 'right';
}

/** Reads a font's file (TrueType, OpenType or WOFF). */
export const readFont = (bytes: ArrayBuffer): Font => parse(bytes);

/** Units of a font in the height of its capital H. */
export function capitalUnits(font: Font): number {
  const box = font.charToGlyph('H').getBoundingBox();
  return box.y2 - box.y1 || font.unitsPerEm * 0.7;
}

/** Signs that a font has no outline for. */
export const missingSigns = (font: Font, words: string): string[] =>
  [...new Set(words)].filter((sign) => sign.trim() !== '' && font.charToGlyphIndex(sign) === 0);

declare module 'opentype.js' {
  /** What opentype.js knows of positions and its types do not say; absent in fonts without such a table. */
  interface Font {
    position?: {
      getKerningTables(script: string): unknown[] | undefined;
      getKerningValue(tables: unknown[], left: number, right: number): number;
    };
  }
}

/** Kerning between two glyphs, in units of the font: by its table for Latin, else by the one it has for all scripts. */
function kerning(font: Font): (left: Glyph, right: Glyph | undefined) => number {
  const tables = font.position?.getKerningTables('latn');
  return (left, right) => {
    if (!right) return 0;
    return font.position && tables
      ? font.position.getKerningValue(tables, left.index, right.index)
      : font.getKerningValue(left, right);
  };
}

/** Width of one line, mm: advances, kerning between neighbors, and the spacing that was set. */
export function lineWidthMm(font: Font, line: string, { letterHeightMm, letterSpacingMm }: Lettering): number {
  const mmPerUnit = letterHeightMm / capitalUnits(font);
  const glyphs = font.stringToGlyphs(line);
  const kern = kerning(font);
  return glyphs.reduce((sum, glyph, n) => {
    const next = glyphs[n + 1];
    return sum + ((glyph.advanceWidth ?? 0) + kern(glyph, next)) * mmPerUnit + (next ? letterSpacingMm : 0);
  }, 0);
}

/**
 * Words as one outline, welded: letters that touch become one shape, so that the blade does not cut through a stroke.
 * Its box lies at 0, 0.
 * @returns an outline without rings where nothing is to be seen
 */
export function letteringOutline(font: Font, lettering: Lettering): Outline {
  const { words, letterHeightMm, letterSpacingMm, lineSpacing, align } = lettering;
  const mmPerUnit = letterHeightMm / capitalUnits(font);
  const fontSize = mmPerUnit * font.unitsPerEm;
  const lines = words.split('\n').map((line) => line.trimEnd());
  const widths = lines.map((line) => lineWidthMm(font, line, lettering));
  const widest = Math.max(0, ...widths);
  const kern = kerning(font);
  const rings = lines.flatMap((line, row): Outline => {
    const room = widest - (widths[row] ?? 0);
    let x = align === 'left' ? 0 : align === 'middle' ? room / 2 : room;
    const y = letterHeightMm * (1 + row * lineSpacing);
    const glyphs = font.stringToGlyphs(line);
    return glyphs.flatMap((glyph, n): Outline => {
      const outline = outlineOfSvgPath(glyph.getPath(x, y, fontSize).toPathData(5));
      x += ((glyph.advanceWidth ?? 0) + kern(glyph, glyphs[n + 1])) * mmPerUnit + letterSpacingMm;
      return outline;
    });
  });
  const whole = welded(rings, 'nonZero');
  const box = boxOf(whole);
  return box ? shifted(whole, -box.left, -box.top) : [];
}
