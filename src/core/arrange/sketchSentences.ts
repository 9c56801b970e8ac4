import type { FindingOf, Sentences } from '../kernel/finding';
import { formatLength } from '../kernel/formatLength';

/** What checks say of a sketch. */
export const sketchSentences = {
  'sketch.outsideWidth': (f: { slot: string; byMm: number }, locale) =>
    `${f.slot} stands ${formatLength(f.byMm, locale.units)} over the edge of the spot.`,
  'sketch.outsideHeight': (f: { slot: string; byMm: number }, locale) =>
    `${f.slot} is ${formatLength(f.byMm, locale.units)} too tall for the spot.`,
  'sketch.widthsInRow': (f: { spot: string; count: number; gapMm: number; neededMm: number; byMm: number }, locale) =>
    `${f.count} things side by side need ${formatLength(f.neededMm, locale.units)} with ${formatLength(f.gapMm, locale.units)} between: ${formatLength(f.byMm, locale.units)} more than ${f.spot} has.`,
  'sketch.seatWidth': (f: { spot: string; seats: number; places: number; seatMm: number }, locale) =>
    `${f.spot} seats ${f.places} at ${formatLength(f.seatMm, locale.units)} a place, not ${f.seats}.`,
  'sketch.centerpieceSight': (f: { slot: string; tallestMm: number; overMm: number; underMm: number }, locale) =>
    `${f.slot} stands between people’s eyes: at most ${formatLength(f.overMm, locale.units)} tall to look over, or on a stem of ${formatLength(f.underMm, locale.units)} and more to look under.`,
  'sketch.centerpieceLong': (f: { slot: string; mostMm: number }, locale) =>
    `${f.slot} takes more than half of the length; ${formatLength(f.mostMm, locale.units)} leaves room for plates.`,
  'sketch.centerpieceWide': (f: { slot: string; mostMm: number }, locale) =>
    `${f.slot} takes more than a third of the width; ${formatLength(f.mostMm, locale.units)} leaves room for plates.`,
  'sketch.doorSwing': (f: { slot: string; door: string; clearMm: number }, locale) =>
    `${f.slot} stands where ${f.door} swings: keep ${formatLength(f.clearMm, locale.units)} free.`,
  'sketch.coversSocket': (f: { slot: string; feature: string }) => `${f.slot} covers ${f.feature}: leave it reachable.`,
  'sketch.meetsObstacle': (f: { slot: string; feature: string }) => `${f.slot} meets ${f.feature}.`,
  'sketch.artNarrow': (f: { slot: string; against: string; leastMm: number; mostMm: number }, locale) =>
    `${f.slot} is narrow for ${f.against}: ${formatLength(f.leastMm, locale.units)} to ${formatLength(f.mostMm, locale.units)} sits better, or flank it.`,
  'sketch.artWide': (f: { slot: string; against: string; leastMm: number; mostMm: number }, locale) =>
    `${f.slot} is wide for ${f.against}: ${formatLength(f.leastMm, locale.units)} to ${formatLength(f.mostMm, locale.units)} sits better.`,
  'sketch.evenGroup': (f: { slot: string; count: number }) =>
    `${f.count} × ${f.slot}: three or five read as a group (school: odd numbers).`,
  'sketch.sidesDiffer': (f: { side: string; percent: number }) =>
    `${f.percent} % stands on the ${f.side} (school: mirror the sides).`,
  'sketch.sidesAlike': () => 'Both sides weigh the same: move one thing (school: uneven on purpose).',
  'sketch.noAir': (f: { percent: number }) =>
    `${f.percent} % is covered: leave a third as air, take one thing away (school: pare back).`,
} satisfies Sentences;

/** Something that a check says of a sketch. */
export type SketchFinding = FindingOf<typeof sketchSentences>;
