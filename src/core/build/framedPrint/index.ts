import { MM_PER_INCH } from '../../kernel/units';
import { type Outline, rectangleOutline } from '../../surface/outline';
import type { Build, BuildRemark, BuildValues } from '../build';
import { choice, count, length, part, widthAndLength, work } from '../parts';

/** A mat covers an eighth of an inch of the print on every side (common practice, from memory). */
const COVERED_MM = MM_PER_INCH / 8;

/** A print in its frame, with a mat or without. */
export const framedPrint: Build = {
  id: 'framedPrint',
  name: 'Framed print',
  words: ['print', 'framed print', 'prints', 'art print', 'poster', 'picture'],
  family: 'prints',
  remark: 'one’s own picture or one in the public domain, printed and framed; several prints share a sheet',
  difficulty: 1,
  skillAsked: 'a knife along a rule; a mat asks for a mat cutter, or comes ready cut',
  templateId: 'pictureFrame',
  parameters: [
    length('openWidthMm', 'Frame, wide (its glass)', 11 * MM_PER_INCH, 60, 1200),
    length('openHeightMm', 'Frame, high (its glass)', 14 * MM_PER_INCH, 60, 1200),
    choice('mat', 'Mat', 1, [
      { value: 1, label: 'with a mat' },
      { value: 0, label: 'none: the print fills the frame' },
    ]),
    length('printWidthMm', 'Print, wide (under a mat)', 8 * MM_PER_INCH, 30, 1200),
    length('printHeightMm', 'Print, high (under a mat)', 10 * MM_PER_INCH, 30, 1200),
    { id: 'bottomPercent', label: 'Mat heavier below, %', kind: 'number', standard: 0, minimum: 0, maximum: 50 },
    count('pixelsWide', 'Picture, pixels wide (0: not known)', 0, 0, 60000),
    count('pixelsHigh', 'Picture, pixels high (0: not known)', 0, 0, 60000),
    choice('dpi', 'Looked at', 150, [
      { value: 150, label: 'from arm’s length: 150 dots an inch' },
      { value: 300, label: 'in the hand: 300 dots an inch' },
    ]),
    choice('frame', 'Frame', 1, [
      { value: 0, label: 'own frame' },
      { value: 1, label: 'a new frame' },
    ]),
  ],
  materials: [
    { id: 'paper', label: 'Print paper', kindIds: ['printLetter', 'printA4', 'printA3', 'printShop'] },
    { id: 'mat', label: 'Mat board', kindIds: ['matBoard'] },
  ],
  measures: ({ openWidthMm = 0, openHeightMm = 0 }) => ({ openWidthMm, openHeightMm, mouldingMm: 20, depthMm: 19 }),
  plan: ({ values, material }) => {
    const { openWidthMm = 0, openHeightMm = 0, mat = 1, frame = 1 } = values;
    const print = printSize(values);
    const { wideMm, highMm } = widthAndLength(material('paper'));
    const room = [wideMm, highMm].sort((a, b) => a - b);
    const size = [print.widthMm, print.heightMm].sort((a, b) => a - b);
    const fits = size.every((mm, n) => mm <= (room[n] ?? 0) + 1e-6);
    const parts = [
      part('paper', 'Print', print.widthMm, print.heightMm),
      ...(mat === 1 ? [part('mat', 'Mat', openWidthMm, openHeightMm, 1, { lines: matLines(values) })] : []),
    ];
    return {
      parts,
      needs: [
        { material: null, kindId: 'hingingTape', amount: 0.1 },
        ...(frame === 1 ? [{ material: null, kindId: 'readyFrame', amount: 1 }] : []),
      ],
      works: [
        work({
          id: 'print',
          kind: 'print',
          title: 'Print at full size, let the ink dry',
          hint: '“actual size”, not “fit to page”',
          rate: 'printSheet',
          units: 1,
          waitHours: 1,
          tools: ['printer'],
        }),
        work({
          id: 'trim',
          kind: 'cut',
          title: 'Cut the print to size',
          rate: 'cutMeter',
          units: (2 * (print.widthMm + print.heightMm)) / 1000,
          tools: ['craftKnife', 'steelRule'],
        }),
        ...(mat === 1
          ? [
              work({
                id: 'mat',
                kind: 'cut',
                title: 'Cut the mat and its window',
                hint: 'from the back, blade at 45 degrees, a fresh blade for each mat',
                rate: 'matWindow',
                units: 1,
                tools: ['matCutter', 'steelRule'],
              }),
            ]
          : []),
        work({
          id: 'frame',
          kind: 'assemble',
          title: 'Clean the glass, hinge the print at its top, close the frame',
          hint: 'cotton gloves, or clean hands at the edges only',
          rate: 'framing',
          units: 1,
        }),
      ],
      remarks: [
        ...(fits
          ? []
          : [
              {
                code: 'build.printTooLarge' as const,
                widthMm: print.widthMm,
                heightMm: print.heightMm,
                sheetWidthMm: wideMm,
                sheetHeightMm: highMm,
              },
            ]),
        ...(mat === 1 ? matRemarks(values) : []),
        ...pictureRemarks(values, print),
      ],
    };
  },
};

/** The print, mm: under a mat as set, else as large as the frame. */
export function printSize({
  openWidthMm = 0,
  openHeightMm = 0,
  mat = 1,
  printWidthMm = 0,
  printHeightMm = 0,
}: BuildValues) {
  return mat === 1
    ? { widthMm: printWidthMm, heightMm: printHeightMm }
    : { widthMm: openWidthMm, heightMm: openHeightMm };
}

/**
 * A mat's window and its borders, mm: the window covers an eighth of an inch of the print on each side; what is
 * heavier below takes its share from the top, so that the outer size stays.
 */
export function matWindow({
  openWidthMm = 0,
  openHeightMm = 0,
  printWidthMm = 0,
  printHeightMm = 0,
  bottomPercent = 0,
}: BuildValues) {
  const widthMm = printWidthMm - 2 * COVERED_MM;
  const heightMm = printHeightMm - 2 * COVERED_MM;
  const upright = openHeightMm - heightMm;
  // Bottom = top × (1 + share); both together are what is left.
  const topMm = upright / (2 + bottomPercent / 100);
  return { widthMm, heightMm, sideMm: (openWidthMm - widthMm) / 2, topMm, bottomMm: upright - topMm };
}

/** What is cut of a mat, mm: its edge, and its window. */
function matLines(values: BuildValues): Outline {
  const { openWidthMm = 0, openHeightMm = 0 } = values;
  const { widthMm, heightMm, sideMm, topMm } = matWindow(values);
  return [
    ...rectangleOutline(0, 0, openWidthMm, openHeightMm),
    ...(widthMm > 0 && heightMm > 0 ? rectangleOutline(sideMm, topMm, widthMm, heightMm) : []),
  ];
}

/** The narrowest border that holds a window, mm (from memory, no source). */
const LEAST_BORDER_MM = 12;

function matRemarks(values: BuildValues): BuildRemark[] {
  const { widthMm, heightMm, sideMm, topMm, bottomMm } = matWindow(values);
  if (Math.min(sideMm, topMm) < LEAST_BORDER_MM || widthMm <= 0 || heightMm <= 0)
    return [{ code: 'build.tooSmall', thing: 'the frame leaves no border for a mat: a smaller print, or none' }];
  return [{ code: 'build.matWindow', widthMm, heightMm, sideMm, topMm, bottomMm }];
}

/** Dots an inch, and what the print's proportions cut off the picture. */
function pictureRemarks(
  { pixelsWide = 0, pixelsHigh = 0, dpi = 150 }: BuildValues,
  print: { widthMm: number; heightMm: number },
): BuildRemark[] {
  if (pixelsWide <= 0 || pixelsHigh <= 0) return [];
  const scale = Math.min(pixelsWide / print.widthMm, pixelsHigh / print.heightMm);
  const found = Math.floor(scale * MM_PER_INCH + 1e-9);
  const kept = (scale * scale * print.widthMm * print.heightMm) / (pixelsWide * pixelsHigh);
  const percent = Math.round((1 - kept) * 100);
  return [
    ...(found < dpi ? [{ code: 'build.lowResolution' as const, dpi: found }] : []),
    ...(percent > 0 ? [{ code: 'build.crop' as const, percent }] : []),
  ];
}
