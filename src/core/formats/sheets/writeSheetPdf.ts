import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, type PDFImage } from 'pdf-lib';
import type { SheetDocument } from '../../sheets/sheetDocument';
import type { PrintPaper } from '../cutting/printPapers';
import { setBlock } from './setBlock';
import { type Cuts, SheetPages } from './sheetPages';
import type { FontCut } from './typeset';

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
  const pages = new SheetPages(document, paper, cuts);
  for (const block of sheet.blocks) setBlock(pages, block, images);
  const count = pages.finish(sheet.title);
  return { bytes: await document.save(), pages: count, missing: [...pages.missing] };
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
