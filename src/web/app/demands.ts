import type { Household } from '@core/state/brief';

/** What a place or its people demand, yes or no: in words, and what it has to do with. */
export const demands: readonly [entry: keyof Household, words: string, about: string][] = [
  ['pregnancy', 'somebody in the house is pregnant', 'lead and solvents'],
  ['rented', 'rented', 'how things hang, what stays behind'],
  ['noDrilling', 'no drilling', 'how things hang'],
  ['reversibleOnly', 'only what can be undone', 'every finish that lasts'],
  ['outdoors', 'outdoors', 'finishes for indoors'],
  ['damp', 'damp', 'drying and sealing'],
  ['heatNear', 'heat or flame near', 'what may stand or hang there'],
  ['foodNear', 'food near', 'where to spray and sand'],
  ['buildingWorks', 'building works planned', 'dust in wet coats'],
];
