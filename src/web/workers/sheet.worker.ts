import type { PrintPaper } from '@core/formats/cutting/printPapers';
import { type SheetFontFile, sheetFontFiles, sheetFonts } from '@core/formats/sheets/sheetFonts.data';
import {
  type PictureBytes,
  type SheetFonts,
  type WrittenSheet,
  writeSheetPdf,
} from '@core/formats/sheets/writeSheetPdf';
import type { SheetDocument } from '@core/sheets/sheetDocument';
import { expose, transfer } from 'comlink';
import { sheetFontUrls } from './sheetFontUrls';

let fonts: Promise<SheetFonts> | null = null;

async function loadFonts(): Promise<SheetFonts> {
  const files = [...new Set<SheetFontFile>(Object.values(sheetFontFiles).flat())];
  const loaded = await Promise.all(
    files.map(async (file) => {
      const answer = await fetch(sheetFontUrls[file]);
      if (!answer.ok) throw new Error(`the typeface ${file} is not there`);
      return [file, new Uint8Array(await answer.arrayBuffer())] as const;
    }),
  );
  const bytes = new Map(loaded);
  return sheetFonts((file) => bytes.get(file) ?? new Uint8Array());
}

/** A sheet as a PDF; the typefaces are loaded with the first, and again where that failed. */
async function write(
  sheet: SheetDocument,
  paper: PrintPaper,
  pictures: ReadonlyMap<string, PictureBytes>,
  nowMs: number,
): Promise<WrittenSheet> {
  fonts ??= loadFonts();
  try {
    const written = await writeSheetPdf(sheet, paper, await fonts, pictures, nowMs);
    return transfer(written, [written.bytes.buffer]);
  } catch (error) {
    fonts = null;
    throw error;
  }
}

const work = { write };
export type SheetWork = typeof work;
expose(work);
