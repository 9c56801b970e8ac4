import type { Lab } from '../color/lab';
import type { Price } from '../kernel/price';
import type { RecipeBody } from '../recipe/recipeBody';
import type { PieceFacts } from '../recipe/recipeContext';
import type { Sheen } from '../state/surfaceState';
import type { Row, SlotRole } from './rows';

export const seasons = ['any', 'spring', 'summer', 'autumn', 'winter'] as const;
export type Season = (typeof seasons)[number];

/** A piece of the stash: something the studio has in the house, or has borrowed. Belongs to the studio, not to a project. */
export interface PieceRow extends Row {
  name: string;
  templateId: string;
  kind: PieceFacts['kind'];
  /** Overall size in mm; null while nobody measured. */
  widthMm: number | null;
  depthMm: number | null;
  heightMm: number | null;
  weightG: number | null;
  materialId: string;
  finishId: string | null;
  sheen: Sheen;
  /** Main color, and a second one where it has one. */
  color: Lab | null;
  accent: Lab | null;
  era: PieceFacts['era'];
  leadTest: PieceFacts['leadTest'];
  cordCondition: PieceFacts['cordCondition'];
  /** What it can do in an arrangement. */
  roles: SlotRole[];
  /** Style words, as one says them: "coastal, wicker, old". */
  style: string;
  season: Season;
  /** Where it stands now; empty while it is stored. */
  standsAt: string;
  /** Where it is stored: box, shelf, how it is protected. */
  box: string;
  shelf: string;
  protection: string;
  /** How many alike there are. */
  count: number;
  /** The year since which it is in the house. */
  sinceYear: number | null;
  uses: number;
  /** Local date of the last use, or null when nobody knows of one. */
  lastUsedOn: string | null;
  /** What one is worth, in minor units of `currency`. */
  value: number | null;
  currency: string;
  story: string;
  fragile: boolean;
  /** Whose it is; empty when it is ours. */
  borrowedFrom: string;
  backBy: string | null;
  /** Whether the owner has said yes to altering it. */
  mayAlter: boolean;
  photoId: string | null;
  /** Local date on which it was seen in the house last. */
  seenOn: string | null;
  /** False while a quick entry still waits to be sorted out. */
  sorted: boolean;
}

/** A place that something was taken from, to be filled again. */
export interface GapRow extends Row {
  place: string;
  what: string;
  /** Local date. */
  sinceOn: string;
  done: boolean;
}

/** A search of the stash kept by name; the query as the address line of the house writes it. */
export interface SearchRow extends Row {
  name: string;
  query: string;
}

/** A recipe kept by the studio, without its pieces: zones stand as `*` and the zone's own id. */
export interface StudioRecipeRow extends Row {
  name: string;
  /** The kind of piece it was made on. */
  templateId: string;
  body: RecipeBody;
}

/** What a new piece of a kind, or a tool, costs: one line of the price book. */
export interface PriceNoteRow extends Row {
  subject: 'piece' | 'tool';
  /** A furniture template or a tool. */
  subjectId: string;
  name: string;
  price: Price;
  currency: string;
  source: string;
  /** Local date, or empty. */
  seenOn: string;
}

/** An amount that a job took from a supply; a record of what it was used on. */
export interface SupplyUseRow extends Row {
  supplyId: string;
  what: string;
  amount: number;
  /** Local date. */
  onDate: string;
}
