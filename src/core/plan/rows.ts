import type { OverrideRow } from '../catalog/assumptions';
import type { Skill } from '../catalog/labor.data';
import type { HidingEye } from '../color/coatsUntilHidden';
import type { Lab } from '../color/lab';
import type { Price } from '../kernel/price';
import type { UnitSystem } from '../kernel/units';
import type { LedgerLine } from '../pricing/ledger';
import type { OfferPrice } from '../pricing/offer';
import type { PriceStory, Tax } from '../pricing/priceStory';
import type { CoatSchool, RecipeBody } from '../recipe/recipeBody';
import type { PieceFacts } from '../recipe/recipeContext';
import type { Brief, Household } from '../state/brief';
import type { Sheen } from '../state/surfaceState';
import type { Measures } from '../surface/furnitureTemplate';
import type { GapRow, PieceRow, PriceNoteRow, SearchRow, StudioRecipeRow, SupplyUseRow } from './houseRows';

/** Every row has an id made on the device and a version that each write raises. */
export interface Row {
  id: string;
  version: number;
}

export interface ProjectRow extends Row {
  name: string;
  room: string;
  currency: string;
  units: UnitSystem;
  timeZone: string;
  /** Minor units. */
  budget: number;
  contingencyThousandths: number;
  tax: Tax;
  hoursOnHandMinutes: number | null;
  skill: Skill;
  /** Minor units an hour, or null for "my time is free". */
  hourValue: number | null;
  /** Local date, YYYY-MM-DD. */
  revealDate: string | null;
  /** Local date until which the look stays up, or null when it is not known: pieces are spoken for until then. */
  standsUntil: string | null;
  school: CoatSchool;
  eye: HidingEye;
  household: Household;
  brief: Brief;
}

/** Something of the place that a sketch must respect. Positions in the sketch's room, mm. */
export interface SpotFeature {
  id: string;
  kind: 'door' | 'socket' | 'obstacle';
  name: string;
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
}

/** Clearing and cleaning that belongs to the spot, with the hours it blocks the place while drying. */
export interface SpotTask {
  id: string;
  name: string;
  minutes: number;
  dryHours: number;
  done: boolean;
}

export interface SpotRow extends Row {
  name: string;
  /** A kind of spot; one that this version does not know stays as it is. */
  kind: string;
  widthMm: number | null;
  depthMm: number | null;
  heightMm: number | null;
  /** Further measures that the kind asks for, by id. */
  measures: Measures;
  features: SpotFeature[];
  tasks: SpotTask[];
  position: number;
}

export const importances = ['must', 'wanted', 'nice'] as const;
export type Importance = (typeof importances)[number];

/** A wished size in mm; an open end is null. */
export interface SizeRange {
  minimumMm: number | null;
  maximumMm: number | null;
}

/** What a slot does in the arrangement. */
export const slotRoles = [
  'anchor',
  'height',
  'light',
  'greenery',
  'texture',
  'riser',
  'personal',
  'scent',
  'function',
  'filler',
] as const;
export type SlotRole = (typeof slotRoles)[number];

/** A slot's place in the sketch: mm from the left and up from the base (or from the front edge), its lower left corner. */
export interface SlotBox {
  xMm: number;
  yMm: number;
  widthMm: number;
  heightMm: number;
}

export interface SlotRow extends Row {
  spotId: string;
  number: number;
  name: string;
  quantity: number;
  importance: Importance;
  width: SizeRange;
  depth: SizeRange;
  height: SizeRange;
  note: string;
  leftOut: boolean;
  role: SlotRole | null;
  /** So many for each seat of the spot, plus spares; the quantity follows from it. */
  perSeat: { parts: number; spares: number } | null;
  /** Color cards it should have. */
  colorCardIds: string[];
  /** Its own share of the budget in thousandths of a percent, or null to take part in the spread. */
  shareThousandths: number | null;
  /** Where it stands in the sketch; null while it is not placed. */
  box: SlotBox | null;
  /** Starred: filled from what is owned, by naming the piece. */
  star: { what: string } | null;
}

export const findStates = ['seen', 'bought', 'promised', 'owned', 'passed'] as const;
export type FindState = (typeof findStates)[number];

export interface FindRow extends Row {
  name: string;
  source: string;
  state: FindState;
  kind: PieceFacts['kind'];
  templateId: string;
  measures: Measures;
  materialId: string;
  finishId: string | null;
  sheen: Sheen;
  color: Lab | null;
  era: PieceFacts['era'];
  leadTest: PieceFacts['leadTest'];
  cordCondition: PieceFacts['cordCondition'];
  story: PriceStory;
  /** Hands-on minutes that its flaws ask for, whatever is done with it. */
  repairMinutes: number;
  note: string;
  /** Why it was taken although no slot asks for it; empty while nobody said. */
  reason: string;
  /** The piece of the stash that it is, or null for something from outside the house. */
  pieceId: string | null;
}

export interface OfferRow extends Row, OfferPrice {
  name: string;
  source: string;
  assemblyMinutes: number;
  leadDays: number;
  templateId: string;
  measures: Measures;
  color: Lab | null;
}

export const optionKinds = ['own', 'asFound', 'makeover', 'make', 'buyNew'] as const;
export type OptionKind = (typeof optionKinds)[number];

/** Pieces taken from a find or an offer, for each one of the slot's quantity. */
export interface OptionPart {
  findId: string | null;
  offerId: string | null;
  pieces: number;
}

export interface OptionRow extends Row {
  slotId: string;
  kind: OptionKind;
  parts: OptionPart[];
  recipeId: string | null;
  /** Placing and the like, minutes; null takes the kind's usual. */
  handsOnMinutes: number | null;
  liking: number | null;
  yardstick: boolean;
}

export interface FillRow extends Row {
  slotId: string;
  optionId: string;
  count: number;
}

export interface RecipeRow extends Row {
  name: string;
  body: RecipeBody;
  /** Local date on which it was done; its supplies are off the shelf and its hours spent. */
  doneOn: string | null;
}

export interface ColorCardRow extends Row {
  name: string;
  lab: Lab;
}

export interface SupplyRow extends Row {
  kindId: string;
  colorCardId: string | null;
  sheen: Sheen | null;
  /** Amount in the supply's unit; `about` says that it was guessed. */
  stash: { state: 'none' | 'exact' | 'about'; amount: number };
  /** What a unit of it cost, in millionths of a minor unit; null values it at what replacing costs. */
  unitCostMillionths: number | null;
  /** The tint base as the label says it; empty while nobody looked. */
  base: string;
  /** What a full can of it holds, in its unit; null while not known. */
  containerSize: number | null;
  /** Local dates: opened, to be used up by, and last looked into. */
  openedOn: string | null;
  keepsUntil: string | null;
  checkedOn: string | null;
}

export interface PackRow extends Row {
  supplyId: string;
  name: string;
  size: number;
  price: Price;
  /** Currency of the price; empty where it counts for any project. */
  currency: string;
  source: string;
  /** Local date, YYYY-MM-DD, or empty. */
  seenOn: string;
}

export interface ToolRow extends Row {
  toolId: string;
  owned: boolean;
  /** How much life is left in it, where that matters. */
  wear: 'good' | 'worn' | 'replace';
}

export interface AcknowledgmentRow extends Row {
  recipeId: string;
  /** What was acknowledged, see `acknowledgmentTrigger`; it lapses when the trigger changes. */
  trigger: string;
  by: string;
  atMs: number;
}

/** A picture kept with its project; the bytes lie elsewhere and are never in a list. */
export const photoKinds = ['before', 'inspiration', 'anchor', 'palette'] as const;
export type PhotoKind = (typeof photoKinds)[number];
export interface PhotoRow extends Row {
  kind: PhotoKind;
  name: string;
  widthPx: number;
  heightPx: number;
  sizeBytes: number;
  atMs: number;
}

/** Something seen that inspires: the picture, where it was seen, what is taken from it. */
export interface InspirationRow extends Row {
  photoId: string | null;
  seenAt: string;
  taken: string;
}

/** A sketch saved as a starting pattern: slots in shares of the spot's width and height. */
export interface PatternRow extends Row {
  name: string;
  spotKind: string;
  reason: string;
  slots: PatternSlot[];
}
export interface PatternSlot {
  name: string;
  role: SlotRole | null;
  quantity: number;
  importance: Importance;
  /** Shares of the room, 0 to 1: lower left corner, width, height. */
  x: number;
  y: number;
  width: number;
  height: number;
  perSeat: { parts: number; spares: number } | null;
}
export type LedgerRow = LedgerLine & { version: number };

/** Everything a plan is computed from: one project with every studio row it refers to. */
export interface ProjectRows {
  project: ProjectRow;
  spots: SpotRow[];
  slots: SlotRow[];
  finds: FindRow[];
  offers: OfferRow[];
  options: OptionRow[];
  fills: FillRow[];
  recipes: RecipeRow[];
  colorCards: ColorCardRow[];
  supplies: SupplyRow[];
  packs: PackRow[];
  tools: ToolRow[];
  ledger: LedgerRow[];
  overrides: OverrideRow[];
  acknowledgments: AcknowledgmentRow[];
  photos: PhotoRow[];
  inspirations: InspirationRow[];
  patterns: PatternRow[];
  /** Pieces of the stash that this project's finds are; the others are searched for, not loaded. */
  pieces: PieceRow[];
  priceNotes: PriceNoteRow[];
  /** Only loaded by the house. */
  gaps: GapRow[];
  searches: SearchRow[];
  supplyUses: SupplyUseRow[];
  studioRecipes: StudioRecipeRow[];
}

export type { OverrideRow };
