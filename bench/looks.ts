import { guessCutOut } from '@core/arrange/cutOut/guessCutOut';
import { lookRoom } from '@core/arrange/look/lookRoom';
import { lookThings } from '@core/arrange/look/lookThings';
import { carriedAlong, settledInFront, withPlaces } from '@core/arrange/look/settle';
import { takeOneAway } from '@core/arrange/look/takeOneAway';
import { checkLook } from '@core/arrange/lookChecks/checkLook';
import { lookFacts } from '@core/arrange/lookChecks/lookFacts';
import { closeArea } from '@core/color/closeArea';
import { maskOf, recolorArea } from '@core/color/recolorArea';
import { crowdedLook, crowdedShelves } from '@core/fixtures/crowdedLook';
import { AS_OF } from '@core/fixtures/projectRows';
import type { ProjectRows } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { type Timing, timing } from './measure';

/** A picture of twelve megapixels with soft light over it, and a mark around most of it. */
function twelveMegapixels() {
  const [width, height] = [4000, 3000];
  const pixels = new Uint8ClampedArray(width * height * 4);
  for (let n = 0; n < width * height; n++) {
    const light = ((n % width) / width) * 80 + ((n * 7919) % 13);
    pixels[n * 4] = 90 + light;
    pixels[n * 4 + 1] = 70 + light;
    pixels[n * 4 + 2] = 50 + light;
    pixels[n * 4 + 3] = 255;
  }
  const mask = maskOf(
    [
      [200, 200],
      [3800, 250],
      [3700, 2800],
      [250, 2750],
    ],
    width,
    height,
  );
  return { pixels, mask };
}

/** A dark vase before a light wall, with noise. */
function vaseBeforeWall(widthPx: number, heightPx: number) {
  const pixels = new Uint8ClampedArray(widthPx * heightPx * 4);
  for (let n = 0; n < widthPx * heightPx; n++) {
    const [x, y] = [(n % widthPx) / widthPx - 0.5, Math.floor(n / widthPx) / heightPx - 0.5];
    const value = Math.hypot(x * 2.6, y * 1.5) < 0.5 ? 60 : 205;
    pixels.fill(value + ((n * 7919) % 11), n * 4, n * 4 + 3);
    pixels[n * 4 + 3] = 255;
  }
  return { pixels, widthPx, heightPx };
}

type Show = (name: string, value: Timing, aim: string) => void;

/** One move of a thing after another in a crowded look, all rules at each; then the ways out, and what to take away. */
async function crowded(show: Show, where: string, rows: ProjectRows): Promise<void> {
  const plan = computePlan(rows, AS_OF);
  const [look, spot] = [rows.looks[0], rows.spots[0]];
  if (!look || !spot) throw new Error('no look');
  const things = lookThings(plan, look);
  const facts = lookFacts(plan, spot, things);
  const room = lookRoom(spot);
  let n = 0;
  const move = () => {
    n += 1;
    const thing = things[n % things.length];
    if (!thing) return;
    const wanted = { xMm: thing.placement.xMm + (n % 30), footMm: thing.placement.footMm };
    const others = things.filter(({ id }) => id !== thing.id);
    const { place } = settledInFront(thing, wanted, others, room, 30);
    checkLook({ ...facts, things: withPlaces(things, carriedAlong(things, thing, place)), wantsFixes: false }, look);
  };
  show(`look: one move of 60 pieces ${where}, all rules`, await timing(60, move), 'under 16 ms');
  show(`look: rules with their ways out ${where}`, await timing(8, () => checkLook(facts, look)), 'let go');
  show(
    `look: take one away ${where}`,
    await timing(3, () => takeOneAway(plan, look, spot, things)),
    'in stretches of 12 ms',
  );
}

/** Looks: sixty pieces judged at every move of one, what the rules offer, what to take away; a photo recolored. */
export async function looksBench(show: Show): Promise<void> {
  await crowded(show, 'on a sideboard', crowdedLook(60));
  await crowded(show, 'on shelves', crowdedShelves(60));
  const { pixels, mask } = twelveMegapixels();
  const lab = { L: 40, a: -15, b: -8 };
  show(
    'photo: 12 megapixels recolored',
    await timing(3, () => recolorArea(pixels, mask, lab)),
    'under 2 s, in a worker',
  );
  const small = vaseBeforeWall(640, 480);
  show('photo: edge of a piece guessed', await timing(5, () => guessCutOut(small)), 'under 1 s, in a worker');
  const [wide, high] = [1600, 1200];
  const wall = pixels.subarray(0, wide * high * 4);
  const hole = maskOf(
    [
      [300, 300],
      [1100, 320],
      [1080, 900],
      [320, 880],
    ],
    wide,
    high,
  );
  show('photo: a picture taken off the wall', await timing(3, () => closeArea(wall, hole, wide)), 'in a worker');
}
