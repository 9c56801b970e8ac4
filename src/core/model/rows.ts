import type { HouseTable, ProjectTable, RowOf } from './entities';
import type { FindRow } from './finds';

export type { ChangedTable, HouseTable, ProjectTable, RowOf, TableName } from './entities';
export type { Stance } from './entities/lookPiece';
export type { OptionPart } from './entities/option';
export type { PatternSlot } from './entities/pattern';
export type { SizeRange, SlotBox } from './entities/slot';
export type { SpotFeature, SpotTask } from './entities/spot';
export type { Row } from './entity';
export { type FindRow, type FindState, findStates, withFinds } from './finds';
export {
  type Importance,
  importances,
  type OptionKind,
  optionKinds,
  type PhotoKind,
  photoKinds,
  type Season,
  type SlotRole,
  seasons,
  slotRoles,
} from './rowKinds';
export type { LedgerSubject } from './values/subject';

export type ProjectRow = RowOf<'project'>;
export type SpotRow = RowOf<'spots'>;
export type SlotRow = RowOf<'slots'>;
export type SightingRow = RowOf<'sightings'>;
export type OfferRow = RowOf<'offers'>;
export type SupplyPlaceRow = RowOf<'supplyPlaces'>;
export type OptionRow = RowOf<'options'>;
export type FillRow = RowOf<'fills'>;
export type RecipeRow = RowOf<'recipes'>;
export type ColorCardRow = RowOf<'colorCards'>;
export type SupplyRow = RowOf<'supplies'>;
export type PackRow = RowOf<'packs'>;
export type LedgerRow = RowOf<'ledger'>;
export type OverrideRow = RowOf<'overrides'>;
export type PhotoRow = RowOf<'photos'>;
export type PieceRow = RowOf<'pieces'>;
export type SourceRow = RowOf<'sources'>;
export type TripRow = RowOf<'trips'>;
export type AdRow = RowOf<'ads'>;
export type ReceiptRow = RowOf<'receipts'>;
export type PriceNoteRow = RowOf<'priceNotes'>;
export type WeatherDayRow = RowOf<'weatherDays'>;
export type BenchPlanRow = RowOf<'benchPlans'>;
export type StepRunRow = RowOf<'stepRuns'>;
export type LogEntryRow = RowOf<'logEntries'>;
export type LookRow = RowOf<'looks'>;
export type LookPieceRow = RowOf<'lookPieces'>;
export type HoleRow = RowOf<'holes'>;
export type PlanFreezeRow = RowOf<'planFreezes'>;
export type LooseEndRow = RowOf<'looseEnds'>;
export type BoxRow = RowOf<'boxes'>;
export type LetterheadRow = RowOf<'letterheads'>;
export type BillDraftRow = RowOf<'billDrafts'>;
export type BillRow = RowOf<'bills'>;
export type ClientPaymentRow = RowOf<'clientPayments'>;
export type WishRow = RowOf<'wishes'>;

/** Rows of the studio that all its projects share. */
export type HouseRows = { [T in HouseTable]: RowOf<T>[] };

/** The rows of one project with every studio row it refers to, as they are stored and travel. */
export type StoredRows = { project: ProjectRow } & { [T in ProjectTable]: RowOf<T>[] } & HouseRows;

/** Everything a plan is computed from: stored rows, and the finds that they make together (`withFinds`). */
export type ProjectRows = StoredRows & { finds: FindRow[] };
