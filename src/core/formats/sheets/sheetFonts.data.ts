import type { SheetFonts } from './writeSheetPdf';

/**
 * The typefaces of printed sheets, by the files of their packages: the house's own two, cut by cut, and one more for what
 * neither has. All under the SIL Open Font License, which allows embedding.
 */
export const sheetFontFiles = {
  text: [
    '@fontsource/figtree/files/figtree-latin-400-normal.woff',
    '@fontsource/figtree/files/figtree-latin-ext-400-normal.woff',
    '@fontsource/nunito/files/nunito-cyrillic-400-normal.woff',
  ],
  bold: [
    '@fontsource/figtree/files/figtree-latin-700-normal.woff',
    '@fontsource/figtree/files/figtree-latin-ext-700-normal.woff',
    '@fontsource/nunito/files/nunito-cyrillic-700-normal.woff',
  ],
  heading: [
    '@fontsource/bitter/files/bitter-latin-600-normal.woff',
    '@fontsource/bitter/files/bitter-latin-ext-600-normal.woff',
    '@fontsource/bitter/files/bitter-cyrillic-600-normal.woff',
  ],
} as const satisfies Record<keyof SheetFonts, readonly string[]>;

/** A file of one of the typefaces. */
export type SheetFontFile = (typeof sheetFontFiles)[keyof typeof sheetFontFiles][number];

/** The typefaces, where somebody has their files. */
export function sheetFonts(bytesOf: (file: SheetFontFile) => Uint8Array): SheetFonts {
  return {
    text: sheetFontFiles.text.map(bytesOf),
    bold: sheetFontFiles.bold.map(bytesOf),
    heading: sheetFontFiles.heading.map(bytesOf),
  };
}
