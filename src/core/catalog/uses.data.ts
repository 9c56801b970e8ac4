import type { ZoneUse } from '../surface/zone';
import type { CoatingGroup } from './coating';

/** How hard a use is on a finish: only seen, handled, or worn and wetted. */
export type Wear = 'seen' | 'handled' | 'hard';

/** What a use asks of a finish. Common practice, from memory. */
export interface UseDemand {
  name: string;
  wear: Wear;
  /** When it counts as usable: past handling, a quarter of full cure, or full cure. */
  readyAfter: 'handle' | 'quarterCure' | 'fullCure';
  /** Asks for a film of at least two coats, and the usual build of a clear coat. */
  buildsFilm: boolean;
  /** Families that do not last in this use, and why. */
  forbids: readonly { groups: readonly CoatingGroup[]; reason: string }[];
}

const waxSpots = { groups: ['wax'], reason: 'water spots wax and wears it off' } as const;
const softens = { groups: ['wax', 'decoupage'], reason: 'warmth softens it: it turns tacky from about 50 °C' } as const;

/** Uses of a zone, by what they demand. */
export const useDemands: Readonly<Record<ZoneUse, UseDemand>> = {
  seen: { name: 'seen', wear: 'seen', readyAfter: 'handle', buildsFilm: false, forbids: [] },
  handled: { name: 'handled', wear: 'handled', readyAfter: 'quarterCure', buildsFilm: false, forbids: [] },
  tableTop: { name: 'table top', wear: 'hard', readyAfter: 'quarterCure', buildsFilm: true, forbids: [] },
  wet: { name: 'wet', wear: 'hard', readyAfter: 'fullCure', buildsFilm: true, forbids: [waxSpots] },
  outdoors: {
    name: 'outdoors',
    wear: 'hard',
    readyAfter: 'fullCure',
    buildsFilm: true,
    forbids: [{ groups: ['wax', 'decoupage'], reason: 'sun and rain take it off in a season' }],
  },
  nearHeat: { name: 'near heat', wear: 'handled', readyAfter: 'fullCure', buildsFilm: false, forbids: [softens] },
  food: { name: 'food or lips', wear: 'hard', readyAfter: 'fullCure', buildsFilm: false, forbids: [] },
  childReach: {
    name: 'within a child’s reach',
    wear: 'handled',
    readyAfter: 'fullCure',
    buildsFilm: false,
    forbids: [],
  },
  wall: { name: 'a wall or ceiling', wear: 'seen', readyAfter: 'handle', buildsFilm: false, forbids: [] },
  flame: {
    name: 'with a flame',
    wear: 'seen',
    readyAfter: 'fullCure',
    buildsFilm: false,
    forbids: [softens],
  },
};
