import type { FindingOf, SentenceLocale, Sentences } from '../kernel/finding';
import { formatLength } from '../kernel/formatLength';
import { formatMoney } from '../kernel/formatMoney';
import type { PriceFinding } from '../pricing/priceSentences';
import type { RecipeFinding } from '../recipe/recipeSentences';

export type FitDirection = 'width' | 'depth' | 'height';

const tooLarge: Record<FitDirection, string> = { width: 'too wide', depth: 'too deep', height: 'too tall' };
const tooSmall: Record<FitDirection, string> = { width: 'too narrow', depth: 'too shallow', height: 'too low' };

const counted = (n: number, noun: string) => `${n} ${noun}${n === 1 ? '' : 's'}`;

/** What is said of a way to fill a slot: does it fit, what the place and the house say, what it covers. */
export const optionSentences = {
  'house.borrowed': (f: { piece: string; owner: string }) =>
    `${f.piece} is borrowed: ask ${f.owner} before it is altered, and note the answer in the house. As it is, it can be used.`,
  'house.goesBack': (f: { piece: string; owner: string; date: string }) =>
    `${f.piece} goes back to ${f.owner} by ${f.date}, before the look comes down.`,
  'rent.noDate': (f: { piece: string; offer: string }) =>
    `${f.piece} is rented: nobody said until when. Say when it goes back, so that it is not due before the look comes down.`,
  'rent.goesBack': (f: { piece: string; date: string }) =>
    `${f.piece} is rented until ${f.date}, before the look comes down.`,
  'rent.deposit': (f: { piece: string; depositMinor: number }, locale: SentenceLocale) =>
    `${formatMoney(f.depositMinor, locale.currency)} is left for ${f.piece} and comes back with it: it is in no figure here, and has to be at hand meanwhile.`,
  'house.wilts': (f: { piece: string; days: number; from: string; stands: number; standIn: string }) =>
    `${f.piece} stays fresh about ${counted(f.days, 'day')} and the look stands ${counted(f.stands, 'day')}: cut or buy it on ${f.from}, and ${f.standIn === '' ? 'plan fresh ones or a lasting stand-in for afterwards' : `afterwards put there: ${f.standIn}`}.`,
  'house.freshFrom': (f: { piece: string; days: number; from: string; until: string }) =>
    `${f.piece} stays fresh about ${counted(f.days, 'day')}: cut or buy it from ${f.from} to ${f.until}, not before.`,
  'green.needsLight': (f: { piece: string }) =>
    `${f.piece} lives: it needs light, within reach of a window, or its days there are few. What is dried or faux needs none.`,
  'green.bleaches': (f: { piece: string }) =>
    `${f.piece} bleaches where the sun reaches it: stand it aside, or take faux there.`,
  'green.wiltsInSun': (f: { piece: string }) =>
    `${f.piece} wilts sooner in the sun: keep it to the shaded side, or count on fewer days.`,
  'green.fadesOutdoors': (f: { piece: string }) =>
    `${f.piece} fades outdoors unless its label says that it is made for it.`,
  'house.leavesPlace': (f: { piece: string; place: string }) =>
    `${f.piece} leaves its place empty (${f.place}): what stands there then?`,
  'place.noDrilling': () =>
    'No drilling here: lean it, or hang it on strips that hold twice its weight on a smooth, cured wall.',
  'place.mustDrill': (f: { what: string }) =>
    `${f.what} is screwed into the wall, and nothing may be drilled here: make what stands or leans, or ask who owns the wall.`,
  'place.rentedWall': () => 'A rented wall: small nails or strips that come off; ask before drilling.',
  'place.cordReach': (f: { reachMm: number }, locale) =>
    `The next socket is ${formatLength(f.reachMm, locale.units)} away: measure the lamp’s cord; no chained extension leads.`,
  'place.reversibleOnly': (f: { piece: string; coating: string }) =>
    `Only what can be undone is wanted here, and ${f.coating.toLowerCase()} on ${f.piece} cannot. What can: wax that washes off again, film that peels off, a cover, strips that hold without a hole. Where it may be altered for good, note that.`,
  'place.askFirst': (f: { piece: string; coating: string }) =>
    `${f.piece} stays here when you leave: ${f.coating.toLowerCase()} on it wants the landlord’s consent. Note it once it is given, or take what can be undone: film that peels off, a cover, something leaned in front.`,
  'place.staysBehind': (f: { piece: string; coating: string }) =>
    `Agreed: ${f.piece} may be altered for good. It stays behind when you leave, and what is spent on it too.`,
  'place.outdoors': (f: { coating: string }) => `It will stand outdoors, and ${f.coating} is for indoors.`,
  'fit.tooLarge': (f: { direction: FitDirection; byMm: number }, locale) =>
    `${formatLength(f.byMm, locale.units)} ${tooLarge[f.direction]} for the slot`,
  'fit.tooSmall': (f: { direction: FitDirection; byMm: number }, locale) =>
    `${formatLength(f.byMm, locale.units)} ${tooSmall[f.direction]} for the slot`,
  'option.coversPart': (f: { covers: number; asked: number }) => `Covers ${f.covers} of the ${f.asked} asked for.`,
  'option.notCounted': (f: { piece: string; known: number; asked: number }) =>
    `${f.piece}: at least ${f.known}, nobody counted them, and ${f.asked} are asked for. Count them before you rely on it.`,
  'option.refusedChosen': (f: { slot: string }) => `The choice for ${f.slot} is refused: choose another way.`,
} satisfies Sentences;

/** Something to know about a way to fill a slot, its recipe's among it. */
export type OptionFinding = FindingOf<typeof optionSentences> | PriceFinding | RecipeFinding;
