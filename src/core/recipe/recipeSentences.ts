import type { FindingOf, SentenceLocale, Sentences } from '../kernel/finding';
import type { CautionFinding } from '../safety/cautions';

/** A temperature in the units of the project; differences never have the 32 added. */
const degrees = (celsius: number, { units }: SentenceLocale): string =>
  units === 'us' ? `${Math.round(celsius * 1.8 + 32)} °F` : `${celsius} °C`;
const difference = (celsius: number, { units }: SentenceLocale): string =>
  units === 'us' ? `${Math.round(celsius * 18) / 10} °F` : `${celsius} °C`;

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
  'food.ifLabelled': (f: { zone: string; coating: string; days: number }) =>
    `${f.zone} touches food or lips: ${f.coating} may only where its label says that it is made for food contact, and after full cure, about ${f.days} days. Without such a label: display only, with a glass plate or liner. Hand-wash only.`,
  'food.belowRim': (f: { zone: string; coating: string; days: number }) =>
    `${f.zone} touches food or lips: ${f.coating} stays on the outside, 20 mm (3/4 in) below the rim. Leave the inside and the rim bare.`,
  'food.displayOnly': (f: { zone: string; coating: string; days: number }) =>
    `${f.zone} with ${f.coating.toLowerCase()} is for display only: no food, no lips. Leave the inside and 20 mm (3/4 in) below the rim bare, or lay a glass plate or liner over it.`,
  'food.bare': (f: { zone: string; coating: string; days: number }) =>
    `${f.zone} touches food or lips and stays bare: food may touch it as it may now, if its own glaze or finish is made for it.`,
  'layer.unknownTechnique': (f: { technique: string; accepted: string }) =>
    `Unknown technique “${f.technique}”: kept as it is. Known here: ${f.accepted}.`,
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
    `${f.coating} on ${f.surface.toLowerCase()} ${f.name} before: ${f.lesson}.`,
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
  'layer.noColor': (f: { coating: string }) =>
    `${f.coating} has no color yet: coats are counted as for light over dark.`,
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
