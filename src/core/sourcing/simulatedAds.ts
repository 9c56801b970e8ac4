import { dateAfter, daysBetween } from '../calendar/localDates';
import { seededRandom } from '../kernel/seededRandom';
import type { AdList, ListedAd } from './listedAd';

/** What the simulated list calls itself, so that nobody takes it for a real one. */
export const SIMULATED_FEED = 'Simulated ads (invented)';

const things = [
  ['pine nightstand, one drawer', 18, 42, 36, 60],
  ['oak bookcase, five shelves', 60, 80, 28, 180],
  ['brass table lamp', 14, 25, 25, 48],
  ['wicker basket with lid', 9, 45, 35, 40],
  ['round mirror, gilt frame', 25, 60, 4, 60],
  ['rattan chair', 30, 56, 60, 85],
  ['metal plant stand', 12, 30, 30, 75],
  ['chest of drawers, laminate', 45, 80, 45, 75],
  ['set of 6 picture frames', 10, 24, 2, 30],
  ['glass vases, lot of 5', 8, 12, 12, 25],
  ['wooden crate', 6, 40, 30, 28],
  ['small desk, painted', 35, 100, 50, 74],
] as const;
const places = ['Harborside', 'Upper Mill', 'Northfield', 'Ferry End', 'Old Orchard'];
const remarks = [
  'collect only',
  'a few scratches',
  'from a smoke-free home',
  'one knob missing',
  'moving out, must go',
  '',
];

/** How many ads there are on a day, and after how many days one is gone at the latest. */
const ADS = 24;
const LONGEST_DAYS = 35;

/**
 * An invented list of second-hand ads for a day, a stand-in for real ones. The same seed and day give the same list; from
 * day to day prices fall in steps, things go, and others come.
 * @param seed any integer
 */
export function simulatedAds(seed: number, onDate: string, currency: string): AdList {
  const ads: ListedAd[] = [];
  for (let n = 0; n < ADS; n += 1) {
    const random = seededRandom(seed * 1000 + n);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
    // Each place of the list holds one thing after the other, each for some weeks.
    const days = 10 + Math.floor(random() * (LONGEST_DAYS - 10));
    const age = (daysBetween('2020-01-01', onDate) + Math.floor(random() * LONGEST_DAYS)) % (days + 4);
    const round = Math.floor((daysBetween('2020-01-01', onDate) + 1) / (days + 4));
    if (age >= days) continue;
    const [title, price, width, depth, height] = things[(n + round) % things.length] as (typeof things)[number];
    const steps = Math.floor(age / 7);
    ads.push({
      number: `${n}-${dateAfter(onDate, -age)}`,
      title,
      text: pick(remarks),
      price: Math.max(1, Math.round(price * (0.8 + random() * 0.6) * 0.85 ** steps)),
      currency,
      place: pick(places),
      distanceKm: Math.round(random() * 240) / 10,
      widthCm: width,
      depthCm: depth,
      heightCm: height,
      postedOn: dateAfter(onDate, -age),
    });
  }
  return { format: 'euporia.ads', formatVersion: 1, feed: SIMULATED_FEED, onDate, ads };
}
