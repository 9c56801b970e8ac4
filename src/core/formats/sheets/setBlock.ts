import { type PDFImage, rgb } from 'pdf-lib';
import type { SheetBlock } from '../../sheets/sheetDocument';
import { setTable } from './setTable';
import { FAINT, lineHigh, PT_PER_MM, RULE, type SheetPages, SMALL, TEXT } from './sheetPages';
import { linesOf, widthOf } from './typeset';

const CAUTION = rgb(0.99, 0.95, 0.86);
const CAUTION_EDGE = rgb(0.72, 0.42, 0.1);
const WHITE = rgb(1, 1, 1);

const headings = {
  1: { size: 20, before: 0, after: 6 },
  2: { size: 14, before: 14, after: 5 },
  3: { size: 11, before: 9, after: 3 },
} as const;
/** How much of a page must be left for what comes with a heading. */
const KEEP_WITH_HEADING = 60;
const BULLET_INDENT = 12;
const PICTURE_MOST = 105 * PT_PER_MM;
const PICTURE_GAP = 10;
const SWATCH = { wide: 104, high: 34, gap: 8 };
/** How far the words of a caution stand from the edges of its box. */
const CAUTION_PAD = 6;

/**
 * Sets a block below the present place, over as many pages as it takes.
 * @param images pictures by their key; one that is not there is left out with its caption
 */
export function setBlock(pages: SheetPages, block: SheetBlock, images: ReadonlyMap<string, PDFImage>): void {
  switch (block.kind) {
    case 'heading': {
      const { size, before, after } = headings[block.level];
      pages.need(before + lineHigh(size) + KEEP_WITH_HEADING);
      if (!pages.isFresh) pages.down(before);
      pages.paragraph(block.text, { size, cuts: pages.cuts.heading });
      pages.down(after);
      return;
    }
    case 'text':
      pages.paragraph(block.text, block.isSmall ? { size: SMALL, color: FAINT } : { size: TEXT });
      pages.down(5);
      return;
    case 'address':
      for (const line of block.lines) pages.paragraph(line, { size: TEXT });
      pages.down(8);
      return;
    case 'facts':
      setFacts(pages, block.facts);
      return;
    case 'swatches':
      setSwatches(pages, block.swatches);
      return;
    case 'list':
      for (const item of block.items) {
        pages.need(lineHigh(TEXT));
        pages.line('•', 2, 0, { size: TEXT });
        pages.paragraph(item, { size: TEXT }, BULLET_INDENT);
      }
      pages.down(5);
      return;
    case 'caution':
      setCaution(pages, block.text);
      return;
    case 'pictures':
      setPictures(pages, block.pictures, images);
      return;
    case 'table':
      setTable(pages, block);
      return;
    default:
      block satisfies never;
  }
}

function setFacts(pages: SheetPages, facts: readonly { name: string; value: string }[]): void {
  const { text, bold } = pages.cuts;
  const widest = Math.min(pages.wide * 0.4, Math.max(0, ...facts.map(({ name }) => widthOf(name, TEXT, text))) + 12);
  for (const { name, value } of facts) {
    const names = linesOf(name, TEXT, widest - 6, text);
    const values = linesOf(value, TEXT, pages.wide - widest, bold);
    const height = Math.max(names.length, values.length) * lineHigh(TEXT);
    pages.need(height);
    for (const [nth, line] of names.entries()) pages.line(line, 0, nth, { size: TEXT, color: FAINT });
    for (const [nth, line] of values.entries()) pages.line(line, widest, nth, { size: TEXT, cuts: bold });
    pages.down(height);
  }
  pages.down(6);
}

function setSwatches(pages: SheetPages, swatches: readonly { name: string; hex: string }[]): void {
  const { wide, high, gap } = SWATCH;
  const columns = Math.max(1, Math.floor((pages.wide + gap) / (wide + gap)));
  for (let n = 0; n < swatches.length; n += columns) {
    const row = swatches.slice(n, n + columns);
    const names = row.map(({ name }) => linesOf(name, SMALL, wide, pages.cuts.text).slice(0, 2));
    const height = high + 3 + Math.max(...names.map((lines) => lines.length)) * lineHigh(SMALL) + 6;
    pages.need(height);
    for (const [at, { hex }] of row.entries()) {
      const x = at * (wide + gap);
      pages.box(x, wide, high, colorOf(hex), RULE);
      for (const [nth, line] of (names[at] ?? []).entries()) pages.line(line, x, nth, { size: SMALL }, high + 3);
    }
    pages.down(height);
  }
  pages.down(2);
}

/** A box; what is longer than a page goes on in another box on the next. */
function setCaution(pages: SheetPages, text: string): void {
  const high = lineHigh(TEXT);
  let left = linesOf(text, TEXT, pages.wide - 2 * CAUTION_PAD - 4, pages.cuts.text);
  while (left.length > 0) {
    pages.need(Math.min(left.length, 3) * high + 2 * CAUTION_PAD);
    const fits = Math.max(1, Math.floor((pages.left - 2 * CAUTION_PAD) / high));
    const here = left.slice(0, fits);
    left = left.slice(fits);
    const height = here.length * high + 2 * CAUTION_PAD;
    pages.box(0, pages.wide, height, CAUTION);
    pages.box(0, 3, height, CAUTION_EDGE);
    for (const [nth, line] of here.entries()) pages.line(line, CAUTION_PAD + 4, nth, { size: TEXT }, CAUTION_PAD);
    pages.down(height + 5);
  }
}

/** Pictures side by side, all at one height, with their captions below. */
function setPictures(
  pages: SheetPages,
  pictures: readonly { key: string; caption: string }[],
  images: ReadonlyMap<string, PDFImage>,
): void {
  const shown = pictures.flatMap(({ key, caption }) => {
    const image = images.get(key);
    return image ? [{ image, caption, ratio: image.width / image.height }] : [];
  });
  if (shown.length === 0) return;
  const ratios = shown.reduce((sum, { ratio }) => sum + ratio, 0);
  const height = Math.min(PICTURE_MOST, (pages.wide - PICTURE_GAP * (shown.length - 1)) / ratios);
  const captions = shown.map(({ caption, ratio }) =>
    caption === '' ? [] : linesOf(caption, SMALL, height * ratio, pages.cuts.text),
  );
  const below = Math.max(...captions.map((lines) => lines.length)) * lineHigh(SMALL);
  pages.need(height + below + PICTURE_GAP);
  let x = 0;
  for (const [n, { image, ratio }] of shown.entries()) {
    pages.image(image, x, height * ratio, height);
    for (const [nth, line] of (captions[n] ?? []).entries())
      pages.line(line, x, nth, { size: SMALL, color: FAINT }, height + 2);
    x += height * ratio + PICTURE_GAP;
  }
  pages.down(height + below + 12);
}

/** A color of the screen as one of the PDF; what is no color is white. */
function colorOf(hex: string) {
  const parts = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(hex)?.slice(1);
  if (!parts) return WHITE;
  const [red = 0, green = 0, blue = 0] = parts.map((part) => Number.parseInt(part, 16) / 255);
  return rgb(red, green, blue);
}
