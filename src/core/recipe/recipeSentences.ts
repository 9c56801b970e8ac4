import type { FindingOf, SentenceLocale, Sentences } from '../kernel/finding';
import { formatLength } from '../kernel/formatLength';
import { KG_PER_POUND } from '../kernel/units';
import type { CautionFinding } from '../safety/cautions';
import { foodSentences } from './foodSentences';

/** A temperature in the units of the project; differences never have the 32 added. */
const degrees = (celsius: number, { units }: SentenceLocale): string =>
  units === 'us' ? `${Math.round(celsius * 1.8 + 32)} °F` : `${celsius} °C`;
const difference = (celsius: number, { units }: SentenceLocale): string =>
  units === 'us' ? `${Math.round(celsius * 18) / 10} °F` : `${celsius} °C`;

const formatWeight = (kg: number, { units }: SentenceLocale): string =>
  units === 'us' ? `${Math.round(kg / KG_PER_POUND)} lb` : `${Math.round(kg)} kg`;

/** What a joint that does not hold tells; `fails` reads after "would". */
interface BrokenJoint {
  zone: string;
  coating: string;
  surface: string;
  fails: string;
  reason: string;
  remedy: string;
  [figure: string]: string;
}

/** What is said of a recipe: its pieces and zones, layers and joints, weather, lessons. */
export const recipeSentences = {
  'recipe.pieceMissing': () => 'This recipe covers a piece that is no longer in the project.',
  'recipe.unknownTemplate': (f: { template: string; accepted: string }) =>
    `Unknown kind of piece “${f.template}”: kept as it is. Known here: ${f.accepted}.`,
  'recipe.unknownSubstrate': (f: { substrate: string; accepted: string }) =>
    `Unknown material or finish “${f.substrate}”: kept as it is. Known here: ${f.accepted}.`,
  'zone.noArea': (f: { zone: string; most: number }) =>
    `${f.zone} has no area: check its measures. The rest is computed.`,
  'zone.tooLarge': (f: { zone: string; most: number }) =>
    `${f.zone} is over ${f.most} m²: a digit slipped? The rest is computed.`,
  'zone.unknownShape': (f: { zone: string; shape: string; accepted: string }) =>
    `${f.zone} has an unknown shape “${f.shape}”: kept as it is. Known here: ${f.accepted}.`,
  'preparation.impossible': (f: { work: string; zone: string; reason: string }) =>
    `“${f.work}” is left out (${f.zone}): ${f.reason}.`,
  ...foodSentences,
  'build.unknown': (f: { build: string; accepted: string }) =>
    `Unknown thing to make “${f.build}”: kept as it is. Known here: ${f.accepted}.`,
  'build.tooNarrow': (f: { what: string; part: string; widthMm: number; faceMm: number }, { units }) =>
    `${f.what}: ${f.part.toLowerCase()} would be ${formatLength(f.widthMm, units)} wide, the board has ${formatLength(f.faceMm, units)}. Take a wider one.`,
  'build.sags': (f: { what: string; spanMm: number; mostMm: number }, { units }) =>
    `${f.what}: ${formatLength(f.spanMm, units)} between supports sags under books; a board of three quarters of an inch bears ${formatLength(f.mostMm, units)} (common practice, from memory). One support more.`,
  'build.fewStuds': (f: { what: string; lengthMm: number; studs: number }, { units }) =>
    `${f.what}: ${formatLength(f.lengthMm, units)} of wall may reach only ${f.studs === 0 ? 'no stud' : 'one stud'} where studs stand 16 in apart. Measure before you cut, or use anchors rated for the load.`,
  'build.load': (f: { what: string; kg: number; fixings: number }, locale) =>
    `${f.what}: about ${formatWeight(f.kg, locale)} on ${f.fixings} ${f.fixings === 1 ? 'fixing' : 'fixings'} in studs, safety in it (common practice, from memory). The label of the fixing rules.`,
  'build.usableDepth': (f: { what: string; depthMm: number; lipMm: number }, { units }) =>
    `${f.what}: ${formatLength(f.depthMm, units)} deep to set things on, behind a lip of ${formatLength(f.lipMm, units)}.`,
  'build.seams': (f: { what: string; pieces: number; wider: string }) =>
    `${f.what}: wider than its material, so it is made of ${f.pieces} side by side.${f.wider === '' ? '' : ` ${f.wider} holds it in one piece.`}`,
  'build.freshDays': (f: { what: string; days: number; instead: string }) =>
    `${f.what} lasts about ${f.days} days; after that: ${f.instead}.`,
  'build.flameTooNear': (f: { what: string; thing: string; hasMm: number; leastMm: number }, { units }) =>
    `${f.what}: ${formatLength(f.hasMm, units)} ${f.thing}; a flame wants ${formatLength(f.leastMm, units)} (common practice, from memory). A smaller candle, a larger glass, or a flameless one.`,
  'build.matWindow': (
    f: { what: string; widthMm: number; heightMm: number; sideMm: number; topMm: number; bottomMm: number },
    { units },
  ) =>
    `${f.what}: the mat’s window is ${formatLength(f.widthMm, units)} × ${formatLength(f.heightMm, units)}, with ${formatLength(f.sideMm, units)} at the sides, ${formatLength(f.topMm, units)} above and ${formatLength(f.bottomMm, units)} below.`,
  'build.printTooLarge': (
    f: { what: string; widthMm: number; heightMm: number; sheetWidthMm: number; sheetHeightMm: number },
    { units },
  ) =>
    `${f.what}: ${formatLength(f.widthMm, units)} × ${formatLength(f.heightMm, units)} does not go on this paper; ${formatLength(f.sheetWidthMm, units)} × ${formatLength(f.sheetHeightMm, units)} can be printed on. Take a larger paper, or a print from a shop.`,
  'build.crop': (f: { what: string; percent: number }) =>
    `${f.what}: the print has other proportions than the picture; ${f.percent} % of it are cut off.`,
  'build.lowResolution': (f: { what: string; dpi: number }) =>
    `${f.what}: ${f.dpi} dots an inch look soft from near; 150 do at arm’s length, 300 in the hand.`,
  'build.tooSmall': (f: { what: string; thing: string }) => `${f.what}: ${f.thing}.`,
  'layer.unknownTechnique': (f: { technique: string; accepted: string }) =>
    `Unknown technique “${f.technique}”: kept as it is. Known here: ${f.accepted}.`,
  'layer.unknownSheet': (f: { sheet: string; technique: string; accepted: string }) =>
    `“${f.sheet}” is not laid as “${f.technique}”. It takes: ${f.accepted}.`,
  'layer.cannotBeCut': (f: { zone: string; technique: string; reason: string }) =>
    `${f.zone} cannot be ${f.technique.toLowerCase()}: ${f.reason}.`,
  'cut.tooLarge': (
    f: {
      part: string;
      more: number;
      widthMm: number;
      lengthMm: number;
      stock: string;
      roomWidthMm: number;
      roomLengthMm: number;
    },
    { units },
  ) =>
    `${f.part}${f.more > 0 ? ` and ${f.more} more` : ''}: ${formatLength(f.widthMm, units)} × ${formatLength(f.lengthMm, units)} does not go on ${f.stock.toLowerCase()}, which gives ${formatLength(f.roomWidthMm, units)}${f.roomLengthMm > 0 ? ` × ${formatLength(f.roomLengthMm, units)}` : ' across'}. Smaller, in parts, or from a larger one.`,
  'cut.longerThanSold': (
    f: { part: string; more: number; lengthMm: number; stock: string; soldMm: number },
    { units },
  ) =>
    `${f.part}${f.more > 0 ? ` and ${f.more} more` : ''}: ${formatLength(f.lengthMm, units)} is longer than ${f.stock.toLowerCase()} is usually sold (${formatLength(f.soldMm, units)}). In parts, or note a longer one among your supplies.`,
  'film.noArtwork': () => 'The shape that this layer cuts is not there any more: choose another, or none.',
  'film.noSuchColor': (f: { artwork: string; color: number; colors: number }) =>
    f.colors === 0
      ? `“${f.artwork}” has no outline to cut.`
      : `“${f.artwork}” has ${f.colors} ${f.colors === 1 ? 'color' : 'colors'}, none of number ${f.color}: take 1 to ${f.colors}, or 0 for all.`,
  'film.tooThin': (f: { artwork: string; film: string; places: number; leastMm: number }) =>
    `“${f.artwork}” is thinner than ${f.leastMm} mm in ${f.places} ${f.places === 1 ? 'place' : 'places'}: ${f.film.toLowerCase()} tears there when it is weeded. Larger, or bolder.`,
  'film.lettersSmall': (f: { artwork: string; film: string; heightMm: number; leastMm: number }, { units }) =>
    `Letters of “${f.artwork}” are ${formatLength(f.heightMm, units)} high; ${f.film.toLowerCase()} holds from ${formatLength(f.leastMm, units)} on (common practice, from memory).`,
  'paper.groundShows': (f: { zone: string; paper: string }) =>
    `${f.paper} is thin: the darker ground shows through it (${f.zone}). One or two coats of white beneath keep its colors.`,
  'layer.wrongTechnique': (f: { coating: string; technique: string; usual: string }) =>
    `${f.coating} is not put on as “${f.technique}”; it goes on as “${f.usual}”.`,
  'layer.cannotLighten': (f: { coating: string; zone: string }) =>
    `${f.coating} cannot be lighter than what is there (${f.zone}): it lets the ground show. A paint in that color covers, a wash of it veils.`,
  'layer.veilOnly': (f: { coating: string; zone: string }) =>
    `Thinned with water it is a veil, no cover (${f.zone}): the darker ground shows through. Undiluted it covers.`,
  'layer.forbiddenByUse': (f: { coating: string; zone: string; use: string; reason: string }) =>
    `${f.coating} does not last where it is ${f.use} (${f.zone}): ${f.reason}.`,
  'layer.outdoorsIfLabelled': (f: { coating: string; zone: string }) =>
    `${f.coating} outdoors (${f.zone}): only when its label says so.`,
  'layer.nowhereNearFood': (f: { coating: string; zone: string }) =>
    `${f.coating} has no place near food or lips (${f.zone}): leave that part bare, or take a clear coat whose label allows food contact after full cure.`,
  'work.impossible': (f: { technique: string; zone: string; reason: string }) =>
    `${f.technique} is left out (${f.zone}): ${f.reason}.`,
  'primer.tintSaves': (f: { primer: string; paint: string; kind: 'gray' | 'tinted'; coats: number; instead: number }) =>
    `${f.kind === 'gray' ? 'A gray' : 'A tinted'} ${f.primer.toLowerCase()} saves coats: ${f.coats} instead of ${f.instead} of ${f.paint.toLowerCase()}.`,
  'lesson.learned': (f: { problem: string; name: string; lesson: string; coating: string; surface: string }) =>
    `${f.coating} on ${f.surface.toLowerCase()} went wrong before (${f.name}): ${f.lesson}.`,
  'lesson.atWork': (f: { problem: string; name: string; lesson: string; work: string; surface: string }) =>
    `This went wrong before on ${f.surface.toLowerCase()} (${f.name}): ${f.lesson}.`,
  'weather.tooCold': (f: { airC: number; minimumC: number }, locale) =>
    `${degrees(f.airC, locale)} is too cold: it wants ${degrees(f.minimumC, locale)} and more while it is worked and dries.`,
  'weather.tooHot': (f: { airC: number; maximumC: number }, locale) =>
    `${degrees(f.airC, locale)} is too hot: ${degrees(f.maximumC, locale)} at most.`,
  'weather.tooDamp': (f: { humidity: number; most: number }) =>
    `${f.humidity} % humidity is too damp: ${f.most} % at most, or it dries slowly and blushes.`,
  'weather.dew': (f: { spreadC: number; leastC: number; dewPointC: number }, locale) =>
    `The surface is ${difference(f.spreadC, locale)} over the dew point (${degrees(f.dewPointC, locale)}): it wants ${difference(f.leastC, locale)} at least, or moisture lies under the film.`,
  'layer.unknownCoating': (f: { coating: string; accepted: string }) =>
    `Unknown coating “${f.coating}”: kept as it is. Known here: ${f.accepted}.`,
  'layer.noColor': (f: { coating: string; isFilm: number }) =>
    f.isFilm === 1
      ? `${f.coating} has no color yet: which roll it is cut from is open.`
      : `${f.coating} has no color yet: coats are counted as for light over dark.`,
  'layer.notOutdoors': (f: { coating: string; zone: string }) => `${f.coating} is not made for outdoors (${f.zone}).`,
  'joint.wouldPeel': (f: BrokenJoint) =>
    `${f.coating} on ${f.surface.toLowerCase()} would ${f.fails} (${f.zone}): ${f.reason}.${f.remedy ? ` ${f.remedy} in between holds.` : ''}`,
  'joint.never': (f: BrokenJoint) =>
    `${f.coating} on ${f.surface.toLowerCase()} would ${f.fails} (${f.zone}): ${f.reason}.`,
  'joint.stepLeftOut': (f: { zone: string; coating: string; surface: string; steps: string }) =>
    `${f.coating} relies on what was left out (${f.zone}, ${f.surface.toLowerCase()}): ${f.steps}.`,
  'joint.tooSoon': (f: {
    zone: string;
    coating: string;
    surface: string;
    hours: number;
    wants: number;
    reason: string;
  }) =>
    `${f.coating} after ${f.hours} h is too soon on ${f.surface.toLowerCase()} (${f.zone}): it wants ${f.wants} h; ${f.reason}.`,
  'joint.notKnown': (f: { zone: string; coating: string; surface: string }) =>
    `Nobody here knows ${f.coating} on ${f.surface.toLowerCase()} (${f.zone}): scuff, then test a patch with tape after 24 h.`,
  'topcoat.missing': (f: { zone: string; coating: string; clear: string }) =>
    `${f.coating} wants a clear coat (${f.zone}): without one hands and cloths wear it off. ${f.clear} would do.`,
  'coats.stillShows': (f: { coating: string; difference: number }) =>
    `At the most coats of the table, a difference of ${f.difference} still shows under ${f.coating}.`,
  'lead.testOffered': (f: { piece: string; minutes: number; kitLow: number; kitHigh: number }) =>
    `A lead test takes about ${f.minutes} minutes; a kit costs about ${f.kitLow} to ${f.kitHigh} (dollars, euros or pounds; from memory). Negative: scuffing is allowed, with a mask. Positive: cover without abrasion or leave it to certified people.`,
} satisfies Sentences;

/** Something to know about a recipe, its cautions among it. */
export type RecipeFinding = FindingOf<typeof recipeSentences> | CautionFinding;
