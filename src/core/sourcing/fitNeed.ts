import { dayNumber } from '../calendar/localDates';
import type { Lab } from '../color/lab';
import type { ProjectRows, Season, SizeRange, SlotRole, SlotRow } from '../model/rows';
import { pieceKindOf, thingOf } from './pieceKindOf';
import { roomOfSlot, type SpotRoom } from './spotRoom';

/** What a slot asks of a piece, drawn together from the slot, the brief and the dates. Lengths in mm. */
export interface FitNeed {
  width: SizeRange;
  depth: SizeRange;
  height: SizeRange;
  /** What is free where it is to stand; null where that is not measured. */
  room: SpotRoom | null;
  /** Lab colors it should be near to: the slot's own, else the palette's. */
  colors: readonly Lab[];
  colorsFrom: 'slot' | 'palette' | 'none';
  role: SlotRole | null;
  /** Words of the slot's name. */
  words: readonly string[];
  /** The kind of thing that the slot's name asks for, by id; null where it names none. */
  kindId: string | null;
  /** What it asks for within that kind, see {@link thingOf}. */
  thing: string | null;
  season: Exclude<Season, 'any'> | null;
  quantity: number;
  from: string | null;
  until: string | null;
  /** Years of the youngest child, or null. */
  youngestChildYears: number | null;
  pets: boolean;
  outdoors: boolean;
  /** Today, counted in days. */
  todayDay: number;
}

/** The season of a local date in the northern half of the year's usual count: March to May is spring. */
export function seasonOf(date: string): Exclude<Season, 'any'> {
  const month = Number(date.slice(5, 7));
  return month < 3 || month === 12 ? 'winter' : month < 6 ? 'spring' : month < 9 ? 'summer' : 'autumn';
}

/** Words that say how or where, not what; without the words of sizes and sides "something tall and thin" names nothing. */
const idle = new Set(
  (
    'left right the and for with over under near beside behind front back side middle center top bottom foot eaves ' +
    'something anything thing things piece small large tall thin slim low high big little wide narrow long short ' +
    'round square leaning hanging one two three four five pair set of'
  ).split(' '),
);

/** Words of a name that say what a thing is, without those that only say where or how. */
export function tellingWords(name: string): string[] {
  return [
    ...new Set(
      name
        .toLowerCase()
        .split(/[^\p{L}\p{N}]+/u)
        .filter((word) => word.length > 2 && !idle.has(word))
        .map((word) => (word.length > 3 && word.endsWith('s') ? word.slice(0, -1) : word)),
    ),
  ];
}

/**
 * What a slot of a project asks of a piece.
 * @param today local date; what the rest of a piece is counted to
 */
export function fitNeed(
  rows: Pick<ProjectRows, 'project' | 'colorCards' | 'spots'>,
  slot: SlotRow,
  today: string,
): FitNeed {
  const lab = (id: string) => rows.colorCards.find((card) => card.id === id)?.lab;
  const own = slot.colorCardIds.flatMap((id) => lab(id) ?? []);
  const palette = rows.project.brief.palette.flatMap((entry) => lab(entry.colorCardId) ?? []);
  const { household, revealDate, standsUntil } = rows.project;
  return {
    width: slot.width,
    depth: slot.depth,
    height: slot.height,
    room: roomOfSlot(slot, rows.spots),
    colors: own.length > 0 ? own : palette,
    colorsFrom: own.length > 0 ? 'slot' : palette.length > 0 ? 'palette' : 'none',
    role: slot.role,
    words: tellingWords(slot.name),
    kindId: pieceKindOf(slot.name)?.id ?? null,
    thing: thingOf(slot.name),
    season: revealDate === null ? null : seasonOf(revealDate),
    quantity: slot.quantity,
    from: revealDate,
    until: standsUntil,
    youngestChildYears: household.youngestChildYears,
    pets: household.pets.length > 0,
    outdoors: household.outdoors,
    todayDay: dayNumber(today),
  };
}
