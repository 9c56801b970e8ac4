import type { RegionKind } from '../calendar/weather/climateRegions.data';

/** Hours of a local day, minutes since midnight; the end may be midnight itself. */
export interface DayHours {
  fromMinute: number;
  toMinute: number;
}

/** A day that is not like its weekday: other hours, or none. */
export interface DayException {
  date: string;
  hours: DayHours[];
  note: string;
}

/** When somebody works: seven days, Sunday first, and the days that differ. */
export interface WorkingHours {
  week: DayHours[][];
  exceptions: DayException[];
}

/** Somebody who lends a hand, with hours of their own. */
export interface Helper extends WorkingHours {
  id: string;
  name: string;
}

/** A place where pieces dry: so much of it at a time. */
export interface DryingPlaceOf {
  id: string;
  name: string;
  areaM2: number;
}

/** Where and when the making is done. Stored with its version. */
export interface Workshop extends WorkingHours {
  version: 1;
  helpers: Helper[];
  dryingPlaces: DryingPlaceOf[];
  /** The kind of climate that stands in where no forecast is typed or imported. */
  region: RegionKind;
  /** South of the equator: the seasons are half a year apart. */
  isSouthern: boolean;
  /** Whether what must be sprayed in the open can be done under a roof: a garage with its door open, a porch. */
  hasShelter: boolean;
  /** Whether what was sprayed is carried in when it is dry to touch; nobody said it of older projects: it stays outside. */
  carriesIn?: boolean | undefined;
}

/** An evening at the bench, and a table to dry on, as they are usual (modelling choices). */
export const usualEvening: DayHours = { fromMinute: 1080, toMinute: 1200 };
export const USUAL_TABLE_M2 = 1.2;

const evening = [usualEvening];
const weekendDay: DayHours[] = [{ fromMinute: 600, toMinute: 900 }];

/** What is assumed until the stylist says otherwise: weekday evenings, weekend days, a table and some floor to dry on. */
export const usualWorkshop: Workshop = {
  version: 1,
  week: [weekendDay, evening, evening, evening, evening, evening, weekendDay],
  exceptions: [],
  helpers: [],
  dryingPlaces: [
    { id: 'table', name: 'Table', areaM2: USUAL_TABLE_M2 },
    { id: 'floor', name: 'Floor, on a drop cloth', areaM2: 3 },
  ],
  region: 'mildCoast',
  isSouthern: false,
  hasShelter: false,
};
