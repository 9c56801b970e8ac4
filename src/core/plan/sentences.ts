import { currencyExponent } from '../kernel/currencies.data';
import type { Finding } from '../kernel/finding';
import { formatLength } from '../kernel/formatLength';
import type { UnitSystem } from '../kernel/units';
import { safetyRules } from '../safety/cautions';

/** How sentences show lengths and money. */
export interface SentenceRim {
  units: UnitSystem;
  currency: string;
}

type Figures = Finding['figures'];

const directionWords: Record<string, [string, string]> = {
  width: ['too wide', 'too narrow'],
  depth: ['too deep', 'too shallow'],
  height: ['too tall', 'too low'],
};

type Figure = Figures[string] | undefined;
const degrees = (celsius: Figure, rim: SentenceRim): string =>
  rim.units === 'us' ? `${Math.round(Number(celsius) * 1.8 + 32)} °F` : `${celsius} °C`;
/** A difference of temperatures: never the 32 added. */
const difference = (celsius: Figure, rim: SentenceRim): string =>
  rim.units === 'us' ? `${Math.round(Number(celsius) * 18) / 10} °F` : `${celsius} °C`;

/** The one table of English beside the codes; cautions bring their own text from their rule. */
const sentences: Record<string, (figures: Figures, rim: SentenceRim) => string> = {
  'money.unreadable': (f) => `“${f.text}” is not an amount of money in ${f.currency}; write it like ${f.example}.`,
  'length.unreadable': (f) => `“${f.text}” is not a length; write it like ${f.example}.`,
  'length.outOfRange': (f, rim) =>
    `“${f.text}” is out of range: more than nothing and at most ${formatLength(Number(f.longest), rim.units)}.`,
  'size.unreadable': (f) => `“${f.text}” is not a size; write it like ${f.example}.`,
  'size.backwards': (f) => `“${f.text}” runs backwards: the smaller size comes first, like ${f.example}.`,
  'size.unknownThing': (f) =>
    `“${f.text}” names nothing with a known size${f.things ? `; known here: ${f.things}` : ''}. Or write it like ${f.example}.`,
  'sketch.outsideWidth': (f, rim) =>
    `${f.slot} stands ${formatLength(Number(f.byMm), rim.units)} over the edge of the spot.`,
  'sketch.outsideHeight': (f, rim) => `${f.slot} is ${formatLength(Number(f.byMm), rim.units)} too tall for the spot.`,
  'sketch.widthsInRow': (f, rim) =>
    `${f.count} things side by side need ${formatLength(Number(f.neededMm), rim.units)} with a finger between: ${formatLength(Number(f.byMm), rim.units)} more than ${f.spot} has.`,
  'sketch.seatWidth': (f, rim) =>
    `${f.spot} seats ${f.places} at ${formatLength(Number(f.seatMm), rim.units)} a place, not ${f.seats}.`,
  'sketch.centerpieceSight': (f, rim) =>
    `${f.slot} stands between people’s eyes: at most ${formatLength(Number(f.overMm), rim.units)} tall to look over, or on a stem of ${formatLength(Number(f.underMm), rim.units)} and more to look under.`,
  'sketch.centerpieceLong': (f, rim) =>
    `${f.slot} takes more than half of the length; ${formatLength(Number(f.mostMm), rim.units)} leaves room for plates.`,
  'sketch.centerpieceWide': (f, rim) =>
    `${f.slot} takes more than a third of the width; ${formatLength(Number(f.mostMm), rim.units)} leaves room for plates.`,
  'sketch.doorSwing': (f, rim) =>
    `${f.slot} stands where ${f.door} swings: keep ${formatLength(Number(f.clearMm), rim.units)} free.`,
  'sketch.coversSocket': (f) => `${f.slot} covers ${f.feature}: leave it reachable.`,
  'sketch.meetsObstacle': (f) => `${f.slot} meets ${f.feature}.`,
  'sketch.artNarrow': (f, rim) =>
    `${f.slot} is narrow for what lies below: ${formatLength(Number(f.leastMm), rim.units)} to ${formatLength(Number(f.mostMm), rim.units)} sits better, or flank it.`,
  'sketch.artWide': (f, rim) =>
    `${f.slot} is wide for what lies below: ${formatLength(Number(f.leastMm), rim.units)} to ${formatLength(Number(f.mostMm), rim.units)} sits better.`,
  'sketch.evenGroup': (f) => `${f.count} × ${f.slot}: three or five read as a group (school: odd numbers).`,
  'sketch.sidesDiffer': (f) => `${f.percent} % stands on the ${f.side} (school: mirror the sides).`,
  'sketch.sidesAlike': () => 'Both sides weigh the same: move one thing (school: uneven on purpose).',
  'sketch.noAir': (f) => `${f.percent} % is covered: leave a third as air, take one thing away (school: pare back).`,
  'house.borrowed': (f) =>
    `${f.piece} is borrowed: ask ${f.owner} before it is altered, and note the answer in the house. As it is, it can be used.`,
  'house.goesBack': (f) => `${f.piece} goes back to ${f.owner} by ${f.date}, before the look comes down.`,
  'place.noDrilling': () =>
    'No drilling here: lean it, or hang it on strips that hold twice its weight on a smooth, cured wall.',
  'place.rentedWall': () => 'A rented wall: small nails or strips that come off; ask before drilling.',
  'place.cordReach': (f, rim) =>
    `The next socket is ${formatLength(Number(f.reachMm), rim.units)} away: measure the lamp’s cord; no chained extension leads.`,
  'place.reversibleOnly': (f) =>
    `Only what can be undone is wanted here, and ${String(f.coating).toLowerCase()} on ${f.piece} cannot. What can: wax that washes off again, film that peels off, a cover, strips that hold without a hole, or a bought piece in its place.`,
  'place.outdoors': (f) => `It will stand outdoors, and ${f.coating} is for indoors.`,
  'price.unknown': (f) => `${f.piece ?? 'It'} has no price yet: totals read “at least”.`,
  'coupon.readBothWays': () => 'The coupon may be money or percent: both are counted, the dearer one is planned with.',
  'recipe.pieceMissing': () => 'This recipe covers a piece that is no longer in the project.',
  'recipe.unknownTemplate': (f) => `Unknown kind of piece “${f.template}”: kept as it is. Known here: ${f.accepted}.`,
  'recipe.unknownSubstrate': (f) =>
    `Unknown material or finish “${f.substrate}”: kept as it is. Known here: ${f.accepted}.`,
  'zone.noArea': (f) => `${f.zone} has no area: check its measures. The rest is computed.`,
  'zone.tooLarge': (f) => `${f.zone} is over ${f.most} m²: a digit slipped? The rest is computed.`,
  'zone.unknownShape': (f) => `${f.zone} has an unknown shape “${f.shape}”: kept as it is. Known here: ${f.accepted}.`,
  'layer.unknownTechnique': (f) => `Unknown technique “${f.technique}”: kept as it is. Known here: ${f.accepted}.`,
  'layer.wrongTechnique': (f) => `${f.coating} is not put on as “${f.technique}”; it goes on as “${f.usual}”.`,
  'layer.cannotLighten': (f) =>
    `${f.coating} cannot be lighter than what is there (${f.zone}): it lets the ground show. A paint in that color covers, a wash of it veils.`,
  'layer.veilOnly': (f) =>
    `Thinned with water it is a veil, no cover (${f.zone}): the darker ground shows through. Undiluted it covers.`,
  'layer.forbiddenByUse': (f) => `${f.coating} does not last where it is ${f.use} (${f.zone}): ${f.reason}.`,
  'layer.outdoorsIfLabelled': (f) => `${f.coating} outdoors (${f.zone}): only when its label says so.`,
  'layer.nowhereNearFood': (f) =>
    `${f.coating} has no place near food or lips (${f.zone}): leave that part bare, or take a clear coat whose label allows food contact after full cure.`,
  'work.impossible': (f) => `${f.technique} is left out (${f.zone}): ${f.reason}.`,
  'primer.tintSaves': (f) =>
    `${f.kind === 'gray' ? 'A gray' : 'A tinted'} ${String(f.primer).toLowerCase()} saves coats: ${f.coats} instead of ${f.instead} of ${String(f.paint).toLowerCase()}.`,
  'lesson.learned': (f) => `${f.coating} on ${String(f.surface).toLowerCase()} ${f.name} before: ${f.lesson}.`,
  'weather.tooCold': (f, rim) =>
    `${degrees(f.airC, rim)} is too cold: it wants ${degrees(f.minimumC, rim)} and more while it is worked and dries.`,
  'weather.tooHot': (f, rim) => `${degrees(f.airC, rim)} is too hot: ${degrees(f.maximumC, rim)} at most.`,
  'weather.tooDamp': (f) =>
    `${f.humidity} % humidity is too damp: ${f.most} % at most, or it dries slowly and blushes.`,
  'weather.dew': (f, rim) =>
    `The surface is ${difference(f.spreadC, rim)} over the dew point (${degrees(f.dewPointC, rim)}): it wants ${difference(f.leastC, rim)} at least, or moisture lies under the film.`,
  'layer.unknownCoating': (f) => `Unknown coating “${f.coating}”: kept as it is. Known here: ${f.accepted}.`,
  'layer.noColor': (f) => `${f.coating} has no color yet: coats are counted as for light over dark.`,
  'layer.notOutdoors': (f) => `${f.coating} is not made for outdoors (${f.zone}).`,
  'joint.wouldPeel': (f) =>
    `${f.coating} on ${String(f.surface).toLowerCase()} would peel (${f.zone}): ${f.reason}.${f.remedy ? ` ${f.remedy} in between holds.` : ''}`,
  'joint.never': (f) => `${f.coating} does not hold on ${String(f.surface).toLowerCase()} (${f.zone}): ${f.reason}.`,
  'joint.notKnown': (f) =>
    `Nobody here knows ${f.coating} on ${String(f.surface).toLowerCase()} (${f.zone}): scuff, then test a patch with tape after 24 h.`,
  'topcoat.missing': (f) =>
    `${f.coating} wants a clear coat (${f.zone}): without one hands and cloths wear it off. ${f.clear} would do.`,
  'coats.stillShows': (f) =>
    `At the most coats of the table, a difference of ${f.difference} still shows under ${f.coating}.`,
  'lead.testOffered': (f) =>
    `A lead test takes about ${f.minutes} minutes; a kit costs about ${f.kitLow} to ${f.kitHigh} (dollars, euros or pounds; from memory). Negative: scuffing is allowed, with a mask. Positive: cover without abrasion or leave it to certified people.`,
  'fit.tooLarge': (f, rim) =>
    `${formatLength(Number(f.byMm), rim.units)} ${directionWords[String(f.direction)]?.[0] ?? 'too large'} for the slot`,
  'fit.tooSmall': (f, rim) =>
    `${formatLength(Number(f.byMm), rim.units)} ${directionWords[String(f.direction)]?.[1] ?? 'too small'} for the slot`,
  'option.coversPart': (f) => `Covers ${f.covers} of the ${f.asked} asked for.`,
  'option.refusedChosen': (f) => `The choice for ${f.slot} is refused: choose another way.`,
};

/** Codes that the table of sentences knows, without cautions. */
export const sentenceCodes: readonly string[] = Object.keys(sentences);

/** A finding in English. An unknown code (from a newer file) is shown as the code itself, never hidden. */
export function sentenceFor(finding: Finding, rim: SentenceRim): string {
  if (finding.code.startsWith('caution.')) {
    const rule = safetyRules.find(finding.code.slice('caution.'.length));
    if (rule) return rule.instead ? `${rule.text} ${rule.instead}` : rule.text;
  }
  return sentences[finding.code]?.(finding.figures, rim) ?? finding.code;
}

/** Money for words: symbol, decimals by currency, a minus sign before the symbol. */
export function formatMoney(minor: number, currency: string, options: { cents?: 'always' | 'auto' } = {}): string {
  const exponent = currencyExponent(currency);
  const whole = options.cents === 'auto' && minor % 10 ** exponent === 0;
  return moneyFormat(currency, whole ? 0 : exponent).format(minor / 10 ** exponent);
}

const moneyFormats = new Map<string, Intl.NumberFormat>();
function moneyFormat(currency: string, decimals: number): Intl.NumberFormat {
  const key = `${currency}${decimals}`;
  let format = moneyFormats.get(key);
  if (!format) {
    format = new Intl.NumberFormat('en-US', {
      style: 'currency',
      currency,
      minimumFractionDigits: decimals,
      maximumFractionDigits: decimals,
    });
    moneyFormats.set(key, format);
  }
  return format;
}

/** Minutes as a stylist says them: `1 h 50`, `0 h 15`. */
export function formatMinutes(minutes: number): string {
  const whole = Math.round(Math.abs(minutes));
  const text = `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`;
  return minutes < 0 && whole > 0 ? `−${text}` : text;
}
