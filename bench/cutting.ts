import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { pathToFileURL } from 'node:url';
import { fonts } from '@core/artwork/fonts.data';
import { letteringOutline, readFont } from '@core/artwork/lettering';
import { cutStock, searchCuts } from '@core/cutting/cutStock';
import type { CutLayout } from '@core/cutting/layout';
import { bladePath, usualMachine } from '@core/cutting/machine/bladePath';
import type { CutQuestion } from '@core/cutting/question';
import { cutStrips } from '@core/cutting/strips/cutStrips';
import { validateLayout } from '@core/cutting/validateLayout';
import { boxPart, cutQuestion, shapePart, sheetStock } from '@core/fixtures/cutQuestions';
import { exactly } from '@core/kernel/amount';
import { seededRandom } from '@core/kernel/seededRandom';
import { boxOf } from '@core/surface/outline';

const say = (line: string) => process.stdout.write(`${line}\n`);
const SHEET_MM = 304.8;
/** As long as the benchmark lets a worker look for a better layout, ms. */
const SEARCH_MS = 5000;

/** Area in use on all sheets, mm²: whole sheets, and of the least filled one only as far down as something lies. */
function usedArea(bottoms: readonly number[]): number {
  const least = Math.min(...bottoms);
  return ((bottoms.length - 1) * SHEET_MM + least) * SHEET_MM;
}

/** The packing package; its main file exports nothing when it is read as a module, the one beside it does. */
async function packingPackage(): Promise<typeof import('maxrects-packer')> {
  const main = createRequire(import.meta.url).resolve('maxrects-packer');
  return import(pathToFileURL(main.replace(/\.js$/, '.mjs')).href);
}

/** Fifty seeded sets of rectangles on sheets, beside a general-purpose packing package on the same ones. */
async function besideThePackage(): Promise<void> {
  const { MaxRectsPacker, PACKING_LOGIC } = await packingPackage();
  const counts = { more: 0, fewer: 0, areaWorse: 0, invalid: 0 };
  let [own, theirs] = [0, 0];
  for (let seed = 1; seed <= 50; seed += 1) {
    const dice = seededRandom(seed);
    const sizes = Array.from({ length: 20 + Math.floor(dice() * 60) }, () => [
      20 + Math.floor(dice() * 160),
      20 + Math.floor(dice() * 160),
    ]);
    const question = cutQuestion(
      sizes.map(([w = 1, l = 1], n) => boxPart(`part ${n}`, w, l)),
      { seed },
    );
    let began = performance.now();
    const layout = cutStock(question);
    own += performance.now() - began;
    began = performance.now();
    const packed = [PACKING_LOGIC.MAX_AREA, PACKING_LOGIC.MAX_EDGE]
      .map((logic) => {
        const packer = new MaxRectsPacker(SHEET_MM, SHEET_MM, 0, {
          smart: false,
          pot: false,
          square: false,
          allowRotation: true,
          logic,
        });
        for (const [width = 1, height = 1] of sizes) packer.add(width, height, null);
        return packer.bins;
      })
      .sort((a, b) => a.length - b.length)[0];
    theirs += performance.now() - began;
    if (!packed) continue;
    if (validateLayout(question, layout).length > 0) counts.invalid += 1;
    if (layout.units.length > packed.length) counts.more += 1;
    if (layout.units.length < packed.length) counts.fewer += 1;
    const ours = usedArea(
      layout.units.map(({ placed }) => Math.max(0, ...placed.map((place) => place.yMm + place.lengthMm))),
    );
    const other = usedArea(packed.map(({ rects }) => Math.max(0, ...rects.map((rect) => rect.y + rect.height))));
    if (ours > other + 1) counts.areaWorse += 1;
  }
  say(
    `50 sets of rectangles beside a packing package: more sheets ${counts.more}×, fewer ${counts.fewer}×, more area ${counts.areaWorse}×, invalid ${counts.invalid}×; takes ${(own / theirs).toFixed(1)} × its time; aim: never more`,
  );
}

/** Rectangles that were cut from one, so that they fill it without waste. */
function perfect(count: number, seed: number): CutQuestion {
  const dice = seededRandom(seed);
  let pieces = [{ w: 600, l: 900 }];
  while (pieces.length < count) {
    pieces.sort((a, b) => b.w * b.l - a.w * a.l);
    const n = Math.floor(dice() * Math.min(4, pieces.length));
    const [piece] = pieces.splice(n, 1);
    if (!piece) break;
    const share = 0.25 + dice() * 0.5;
    const cut = Math.round((piece.w > piece.l ? piece.w : piece.l) * share);
    pieces = [
      ...pieces,
      ...(piece.w > piece.l
        ? [
            { w: cut, l: piece.l },
            { w: piece.w - cut, l: piece.l },
          ]
        : [
            { w: piece.w, l: cut },
            { w: piece.w, l: piece.l - cut },
          ]),
    ];
  }
  return cutQuestion(
    pieces.map(({ w, l }, n) => boxPart(`part ${n}`, w, l)),
    {
      seed,
      stock: { ...sheetStock, form: 'roll', widthMm: 600, lengthMm: null, byTheStep: true },
      packs: [{ id: 'step', size: 0.001, price: exactly(1) }],
    },
  );
}

/** The best of a search that is stopped after some time. */
function searched(question: CutQuestion, rounds: number): CutLayout {
  const run = searchCuts(question, rounds);
  const began = performance.now();
  let step = run.next();
  let best: CutLayout | null = null;
  while (!step.done) {
    if (performance.now() - began > SEARCH_MS) {
      best = step.value.layout();
      break;
    }
    step = run.next();
  }
  return step.done ? step.value : (best ?? cutStock(question));
}

function perfectPackings(): void {
  const wastes = [40, 60, 80, 100].flatMap((count) =>
    [1, 2].map((seed) => {
      const question = perfect(count, seed * 7 + count);
      const layout = searched(question, Math.round(1.6e6 / count));
      const used = layout.units.reduce((sum, unit) => sum + unit.usedMm, 0);
      return validateLayout(question, layout).length > 0 ? Number.POSITIVE_INFINITY : used / 900 - 1;
    }),
  );
  say(
    `perfect packings of 40 to 100 rectangles, 5 s each: waste ${wastes.map((waste) => `${(waste * 100).toFixed(1)} %`).join(', ')}; aim: 5 % at most`,
  );
}

/** The lettering of the demo's jars, by true outline and by its boxes. */
function lettering(): void {
  const require = createRequire(import.meta.url);
  const script = fonts.find(({ kind }) => kind === 'script') ?? fonts[0];
  const buffer = readFileSync(require.resolve(script.file));
  const font = readFont(buffer.buffer.slice(buffer.byteOffset, buffer.byteOffset + buffer.byteLength) as ArrayBuffer);
  const words = ['Flour', 'Sugar', 'Rice', 'Oats', 'Lentils', 'Coffee'];
  const parts = words.map((word) => {
    const outline = letteringOutline(font, {
      words: word,
      fontId: script.id,
      letterHeightMm: 40,
      letterSpacingMm: 0,
      lineSpacing: 1.5,
      align: 'left',
    });
    const box = boxOf(outline);
    return shapePart(word, box?.right ?? 1, box?.bottom ?? 1, outline);
  });
  const question = (own: typeof parts): CutQuestion =>
    cutQuestion([...own, ...own.map((part) => ({ ...part, key: `${part.key} again` }))], {
      stock: { ...sheetStock, form: 'roll', widthMm: SHEET_MM, lengthMm: null, gapMm: 2, byTheStep: true },
      packs: [{ id: 'step', size: 0.001, price: exactly(1) }],
    });
  const length = (own: typeof parts) => searched(question(own), 4000).units.reduce((sum, unit) => sum + unit.usedMm, 0);
  const [byOutline, byBox] = [length(parts), length(parts.map((part) => ({ ...part, outline: null })))];
  say(
    `twelve words in script from a roll 12 in wide: ${byOutline.toFixed(0)} mm by their outlines, ${byBox.toFixed(0)} mm by their boxes: ${((1 - byOutline / byBox) * 100).toFixed(0)} % less; aim: 15 % at least`,
  );
  const rings = parts.flatMap(({ outline }, n) =>
    (outline ?? []).map((ring) => ring.map(([x, y]) => [x, y + n * 50] as const)),
  );
  const path = bladePath(rings, { ...usualMachine, matHeightMm: 1000 });
  say(
    `the blade's way over ${rings.length} rings: ${path.travelMm.toFixed(0)} mm lifted, ${((1 - path.travelMm / path.fileTravelMm) * 100).toFixed(0)} % less than in the order of the file`,
  );
}

/** Cutting and packing: how good, beside what is known. */
export async function cuttingBench(): Promise<void> {
  await besideThePackage();
  perfectPackings();
  paperRoll();
  lettering();
}

/** The classic paper rolls of 5600 mm in thirteen widths: 73 rolls are the published optimum. */
function paperRoll(): void {
  const lengthsMm = [1380, 1520, 1560, 1710, 1820, 1880, 1930, 2000, 2050, 2100, 2140, 2150, 2200];
  const demand = [22, 25, 12, 14, 18, 18, 20, 10, 12, 14, 16, 18, 20];
  const began = performance.now();
  const { cost, isProven } = cutStrips({
    lengthsMm,
    demand,
    sticks: [{ lengthMm: 5600, cost: 1, limit: Number.POSITIVE_INFINITY }],
    kerfMm: 0,
  });
  const seconds = (performance.now() - began) / 1000;
  say(
    `the classic paper rolls: ${cost} rolls${isProven ? ', proven' : ''}, in ${seconds.toFixed(2)} s; aim: 73 in under 2 s`,
  );
}
