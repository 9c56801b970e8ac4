import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { fonts } from '@core/artwork/fonts.data';
import { letteringOutline, readFont } from '@core/artwork/lettering';
import { seededRandom } from '@core/kernel/seededRandom';
import { combined } from '@core/surface/clipping/combined';
import type { Spot, WholeRing } from '@core/surface/clipping/edge';
import { offset } from '@core/surface/clipping/offset';
import ClipperLib from 'clipper-lib';
import { timing } from './measure';

const say = (line: string) => process.stdout.write(`${line}\n`);
const ROUNDS = 9;
const isIn = ({ first }: { first: number }): boolean => first !== 0;
const WORDS = 'Gather here with grateful hearts\nand stay a while, 1874';

/** Words in a font and the same a little to the right, drawn over each other. */
function words(file: string): WholeRing[] {
  const { buffer, byteOffset, byteLength } = readFileSync(createRequire(import.meta.url).resolve(file));
  const font = readFont(buffer.slice(byteOffset, byteOffset + byteLength) as ArrayBuffer);
  const lettering = {
    words: WORDS,
    fontId: '',
    letterHeightMm: 40,
    letterSpacingMm: 0,
    lineSpacing: 1.4,
    align: 'left' as const,
  };
  const whole = letteringOutline(font, lettering).map((ring) =>
    ring.map(([x, y]): Spot => ({ x: Math.round(x * 1000), y: Math.round(y * 1000) })),
  );
  return [...whole, ...whole.map((ring) => ring.map(({ x, y }) => ({ x: x + 900, y: y + 400 })))];
}

/** So many circles of sixty points that lie over each other. */
function circles(count: number): WholeRing[] {
  const dice = seededRandom(count);
  return Array.from({ length: count }, () => {
    const [atX, atY, radius] = [dice() * 300_000, dice() * 300_000, 2000 + dice() * 18_000];
    return Array.from({ length: 60 }, (_, n) => ({
      x: Math.round(atX + radius * Math.cos((n * Math.PI) / 30)),
      y: Math.round(atY + radius * Math.sin((n * Math.PI) / 30)),
    }));
  });
}

const theirs = (rings: readonly WholeRing[]) => rings.map((ring) => ring.map(({ x, y }) => ({ X: x, Y: y })));

function weldedByLibrary(rings: readonly WholeRing[]): void {
  const clipper = new ClipperLib.Clipper();
  clipper.StrictlySimple = true;
  clipper.AddPaths(theirs(rings), ClipperLib.PolyType.ptSubject, true);
  clipper.Execute(
    ClipperLib.ClipType.ctUnion,
    [],
    ClipperLib.PolyFillType.pftNonZero,
    ClipperLib.PolyFillType.pftNonZero,
  );
}

function grownByLibrary(rings: readonly WholeRing[], by: number): void {
  const clipper = new ClipperLib.ClipperOffset(2, 20);
  clipper.AddPaths(theirs(rings), ClipperLib.JoinType.jtRound, ClipperLib.EndType.etClosedPolygon);
  clipper.Execute([], by);
}

/** Our own clipping beside a general package for it, on the same outlines: times and their ratio. */
export async function outlinesBench(): Promise<void> {
  const drawings: [name: string, rings: WholeRing[]][] = [
    ...fonts.map(({ name, file }): [string, WholeRing[]] => [`words twice, ${name}`, words(file)]),
    ['30 circles', circles(30)],
    ['300 circles', circles(300)],
  ];
  for (const [name, rings] of drawings) {
    const points = rings.reduce((sum, ring) => sum + ring.length, 0);
    const own = await timing(ROUNDS, () => combined(rings, [], isIn));
    const other = await timing(ROUNDS, () => weldedByLibrary(rings));
    const whole = combined(rings, [], isIn);
    const ownGrown = await timing(ROUNDS, () => offset(whole, 1500, 'round'));
    const otherGrown = await timing(ROUNDS, () => grownByLibrary(whole, 1500));
    const ratio = (a: { median: number }, b: { median: number }) => `${(a.median / b.median).toFixed(2)} × the package`;
    say(
      `${name}, ${points} points: welded ${own.median.toFixed(1)} ms, ${ratio(own, other)}; grown ${ownGrown.median.toFixed(1)} ms, ${ratio(ownGrown, otherGrown)}`,
    );
  }
}
