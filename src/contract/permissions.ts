import type { ActKind } from '@core/acts';
import type { TableName } from '@core/model/entities';
import type { EndpointName } from './addresses';

/** What somebody may be in a studio: its owner, a stylist who works in all of it, a helper at hunt and bench. */
export const roles = ['owner', 'stylist', 'helper'] as const;
export type Role = (typeof roles)[number];

const all = roles;
const stylists = ['owner', 'stylist'] as const satisfies readonly Role[];
const owner = ['owner'] as const satisfies readonly Role[];

/** Who may ask at an endpoint, and whether the pass phrase must have been given just now. */
export interface Permission {
  for: 'anyone' | readonly Role[];
  /** Removal and export: whoever finds a signed-in device lying about shall not take all with them. */
  confirmed?: true;
}

/** Every endpoint with who may ask there. A studio that only this machine reaches asks nobody who they are. */
export const permissions: Readonly<Record<EndpointName, Permission>> = {
  health: { for: 'anyone' },
  whoAmI: { for: 'anyone' },
  setUp: { for: 'anyone' },
  signIn: { for: 'anyone' },
  useCode: { for: 'anyone' },
  signOut: { for: all },
  confirm: { for: all },
  listSessions: { for: all },
  endSession: { for: all },
  listPeople: { for: owner },
  addPerson: { for: owner, confirmed: true },
  inviteAgain: { for: owner, confirmed: true },
  removePerson: { for: owner, confirmed: true },
  makeCode: { for: all },
  setPassPhrase: { for: all },
  listStudios: { for: all },
  // Who comes in from outside stays in the studio that they were let into.
  beginEmpty: { for: [] },
  openStudio: { for: [] },
  // All there is, clients' addresses and bills among it.
  exportStudio: { for: owner, confirmed: true },
  importStudio: { for: [] },
  listProjects: { for: all },
  readSnapshot: { for: all },
  watchProject: { for: all },
  exportProject: { for: stylists, confirmed: true },
  copyProject: { for: stylists },
  // A link shows one project to whoever has it: as much as an export of what it shows.
  shareProject: { for: stylists, confirmed: true },
  listLinks: { for: stylists },
  endLink: { for: stylists },
  readSheet: { for: 'anyone' },
  readSheetPhoto: { for: 'anyone' },
  runCommand: { for: all },
  putPhoto: { for: all },
  readPhoto: { for: all },
  readHouse: { for: all },
  listPieces: { for: all },
  rankForSlot: { for: all },
  listRisers: { for: all },
  readPanels: { for: all },
  previewHouseImport: { for: stylists },
  startJob: { for: stylists },
  listJobs: { for: stylists },
  readJob: { for: stylists },
  cancelJob: { for: stylists },
  listBills: { for: stylists },
  exportHouse: { for: stylists, confirmed: true },
};

/** What a helper may do: find, buy and fetch what is wanted, and work at the bench. */
const helperActs: ReadonlySet<string> = new Set<ActKind>([
  'addSource',
  'editSource',
  'addFind',
  'editFind',
  'decideFind',
  'keepFind',
  'archiveFind',
  'addPhoto',
  'removePhoto',
  'buyFind',
  'buySupply',
  'buySuppliesAt',
  'buyTool',
  'orderOffer',
  'editOffer',
  'payFee',
  'recordReceipt',
  'correctReceipt',
  'takeBack',
  'importAds',
  'takeAd',
  'editAd',
  'addTrip',
  'editTrip',
  'removeTrip',
  'savePrice',
  'keepBench',
  'letBenchGo',
  'setWeather',
  'beginStep',
  'pauseStep',
  'finishStep',
  'reopenStep',
  'tellStep',
  'editLogEntry',
  'undo',
]);

/** What a helper is not shown: what is billed to whom. */
const hiddenFromHelpers: readonly TableName[] = ['letterheads', 'billDrafts', 'bills', 'clientPayments'];

/** The tables that somebody of a role is not shown; nobody is asked who they are where the role is null. */
export const hiddenTables = (role: Role | null): readonly TableName[] => (role === 'helper' ? hiddenFromHelpers : []);

/** Pages of a project that a helper works on, by the beginning of their address: the hunt, what is wanted, the bench. */
const helperPages: readonly string[] = ['hunt', 'list', 'balance/list', 'bench'];
/** Pages among them that plan the project all the same. */
const planningPages: readonly string[] = ['bench/hours'];

const isAt = (path: string, pages: readonly string[]): boolean =>
  pages.some((page) => path === page || path.startsWith(`${page}/`));

/**
 * Whether a page of a project is part of somebody's work.
 * @param path the page's address within the project, such as `hunt/card`
 */
export const worksAt = (role: Role, path: string): boolean =>
  role !== 'helper' || (isAt(path, helperPages) && !isAt(path, planningPages));

/** Acts that take much away at once: the pass phrase is asked for once more. */
const confirmedActs: ReadonlySet<string> = new Set<ActKind>(['removeProject']);

/** Whether somebody of a role may do an act. */
export const mayDo = (role: Role, kind: string): boolean => role !== 'helper' || helperActs.has(kind);

/** Whether an act asks for the pass phrase. */
export const wantsConfirming = (kind: string): boolean => confirmedActs.has(kind);
