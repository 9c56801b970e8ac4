/** What a palette color is for. */
export const paletteRoles = ['ground', 'main', 'accent', 'metal', 'wood', 'greenery'] as const;
export type PaletteRole = (typeof paletteRoles)[number];

/** Schools where good stylists disagree; the project says which is in force. */
export const preparationSchools = ['scuffAndGo', 'cleanSandPrime'] as const;
export const arrangingSchools = ['mirror', 'uneven'] as const;
export const amountSchools = ['layerUp', 'pareBack'] as const;
export const groupingSchools = ['odd', 'free'] as const;
/** Which coats a studio gives: computed, always two, or as the label says. */
export const coatSchools = ['untilHidden', 'alwaysTwo', 'asLabel'] as const;
export type CoatSchool = (typeof coatSchools)[number];

export const petKinds = ['cat', 'dog', 'bird', 'smallAnimal', 'fish'] as const;
export type PetKind = (typeof petKinds)[number];

/** The stylist's intention: everything of a brief that is not money, time or household. Stored with its version. */
export interface Brief {
  version: 1;
  occasion: string;
  /** Words for the mood, as typed. */
  mood: string;
  /** What the place must keep doing: hide the mail, room to chop. */
  functions: string[];
  /** The one thing everything is built around. */
  anchor: { what: string; why: string; photoId: string | null } | null;
  /** One declared splurge, taken out of the budget before the rest is spread. Minor units. */
  splurge: { what: string; amount: number } | null;
  palette: { colorCardId: string; role: PaletteRole }[];
  /** Hours by week, Monday first (YYYY-MM-DD); empty while only their sum is known. */
  weeks: { monday: string; minutes: number }[];
  beforePhoto: 'wanted' | 'waived';
  /** Why there is none, in a word. */
  beforePhotoWhy: string;
  /** What the stylist would rather spend, below the budget that is the limit; minor units. */
  wishedBudget: number | null;
  /** Local date on which the place is left: moving out, the end of a let. */
  leavingDate: string | null;
  /** Whether the occasion comes again every year; a copy for the next season then keeps its day. */
  comesAgain: boolean;
  preparation: (typeof preparationSchools)[number];
  arranging: (typeof arrangingSchools)[number];
  amount: (typeof amountSchools)[number];
  grouping: (typeof groupingSchools)[number];
}

/** Who lives there and what the place demands; each entry feeds warnings where it matters. */
export interface Household {
  youngestChildYears: number | null;
  pregnancy: boolean;
  pets: PetKind[];
  rented: boolean;
  noDrilling: boolean;
  reversibleOnly: boolean;
  outdoors: boolean;
  damp: boolean;
  heatNear: boolean;
  foodNear: boolean;
  buildingWorks: boolean;
  /** How far a lamp's cord reaches to the next socket, mm; null while nobody measured. */
  cordReachMm: number | null;
}

/** A brief in which nothing was said yet. */
export const emptyBrief: Brief = Object.freeze({
  version: 1,
  occasion: '',
  mood: '',
  functions: [],
  anchor: null,
  splurge: null,
  palette: [],
  weeks: [],
  beforePhoto: 'wanted',
  beforePhotoWhy: '',
  wishedBudget: null,
  leavingDate: null,
  comesAgain: false,
  preparation: 'scuffAndGo',
  arranging: 'uneven',
  amount: 'layerUp',
  grouping: 'odd',
}) as Brief;

/** A household of which nothing is known. */
export const emptyHousehold: Household = Object.freeze({
  youngestChildYears: null,
  pregnancy: false,
  pets: [],
  rented: false,
  noDrilling: false,
  reversibleOnly: false,
  outdoors: false,
  damp: false,
  heatNear: false,
  foodNear: false,
  buildingWorks: false,
  cordReachMm: null,
}) as Household;
