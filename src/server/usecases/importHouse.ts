import { createHash } from 'node:crypto';
import type { HouseImportRequest, HousePreviewAnswer } from '@contract/house';
import type { HouseImported } from '@contract/jobs';
import type { AnyRow } from '@core/acts/changes';
import type { KeptChange } from '@core/acts/undoChanges';
import type { FileLocale } from '@core/formats/house/column';
import {
  type HouseChange,
  type ImportPlan,
  type PresentHouse,
  pieceFingerprint,
  planImport,
} from '@core/formats/house/planImport';
import { readTable } from '@core/formats/table/readTable';
import { rowSchema } from '@core/model/entities';
import { UUID_PATTERN } from '@core/model/fields';
import { recordAct } from '../persistence/acts';
import type { Database } from '../persistence/database';
import { piecePrints, removedPieceIds } from '../persistence/pieces';
import { raiseHouseRevision } from '../persistence/projects';
import { takeStock, updateRow } from '../persistence/rowStore';
import type { StudioScope, Transaction } from '../persistence/scope';
import { houseRows } from '../persistence/snapshots';
import { insertRows } from '../persistence/sql/insertRows';
import { type AnswerWith, Refusal, refused } from './answer';
import type { Environment } from './environment';
import { onceByKey } from './onceByKey';
import { overLimits, tablesGrown } from './withinLimits';

/** Rows written with one statement, and reported together. */
const AT_ONCE = 500;
/** After so many new rows the database counts afresh, so that searches are planned well from the next one on. */
const MANY = 1000;
/** Lines of a preview that are sent; the counts are of all. */
const SHOWN_LINES = 2000;

const uuid = new RegExp(`^${UUID_PATTERN}$`, 'i');

async function planOf(
  transaction: Transaction,
  request: HouseImportRequest,
  environment: Environment,
): Promise<ImportPlan> {
  const table = readTable(request.text);
  const locale: FileLocale = {
    units: request.units,
    currency: request.currency,
    decimal: request.decimal ?? table.decimal,
    today: request.today,
  };
  const named = new Set(
    table.rows.flatMap(({ cells }) => cells.map((cell) => cell.trim()).filter((cell) => uuid.test(cell))),
  );
  const ids = [...named];
  const rows = await houseRows(transaction, ids);
  const removed = new Set(await removedPieceIds(transaction, ids));
  const present: PresentHouse = {
    pieces: new Map(rows.pieces.filter((piece) => piece.inHouse).map((piece) => [piece.id, piece])),
    fingerprints: new Set(request.kind === 'pieces' ? (await piecePrints(transaction)).map(pieceFingerprint) : []),
    supplies: rows.supplies,
    packs: rows.packs,
    colorCards: rows.colorCards,
    priceNotes: rows.priceNotes,
  };
  const plan = planImport(request.kind, table, locale, present, environment.newId, request.mapping ?? null);
  // A removed piece does not rise again under its id: its line becomes a piece of its own.
  for (const change of plan.changes)
    if (change.before === null && removed.has(change.row.id)) change.row = { ...change.row, id: environment.newId() };
  return refuseBySchema(plan);
}

/** The same schemas guard what a file brings as what a page sends. */
function refuseBySchema(plan: ImportPlan): ImportPlan {
  const bad = new Map<number, ImportPlan['lines'][number]['problems']>();
  for (const change of plan.changes) {
    const read = rowSchema(change.table).safeParse(change.row);
    if (read.success) continue;
    bad.set(
      change.line,
      read.error.issues.map((issue) => ({ field: issue.path.join('.'), value: '', accepted: issue.message })),
    );
  }
  if (bad.size === 0) return plan;
  const counts = { ...plan.counts };
  const lines = plan.lines.map((line) => {
    const problems = bad.get(line.line);
    if (!problems) return line;
    counts[line.fate] -= 1;
    counts.bad += 1;
    return { ...line, fate: 'bad' as const, problems };
  });
  return { ...plan, counts, lines, changes: plan.changes.filter((change) => !bad.has(change.line)) };
}

/** What a file would do, line by line; nothing is written. */
export async function previewHouseImport(
  transaction: Transaction,
  request: HouseImportRequest,
  environment: Environment,
): Promise<HousePreviewAnswer> {
  const { changes: _changes, lines, ...plan } = await planOf(transaction, request, environment);
  // Refused lines first: they are what somebody has to look at.
  const shown = [...lines].sort((a, b) => Number(b.fate === 'bad') - Number(a.fate === 'bad') || a.line - b.line);
  return { ...plan, total: lines.length, lines: shown.slice(0, SHOWN_LINES) };
}

/**
 * Writes what a file brings, once for its key, as one act that can be taken back as one. How far it is is told after
 * every few hundred rows; whoever is told may throw, and then nothing was written. Nobody is kept waiting meanwhile: only
 * the rows that the file changes are held.
 */
export async function importHouse(
  database: Database,
  scope: StudioScope,
  request: HouseImportRequest,
  key: string,
  environment: Environment,
  told: {
    step(done: number, of: number): void;
    end(transaction: Transaction, done: HouseImported): Promise<void>;
  },
): Promise<AnswerWith<HouseImported>> {
  const bodyHash = createHash('sha256').update(JSON.stringify(request)).digest('hex');
  const work = (transaction: Transaction) => writeImport(transaction, request, environment, told.step);
  return onceByKey(database, scope, key, bodyHash, work, told.end);
}

async function writeImport(
  transaction: Transaction,
  request: HouseImportRequest,
  environment: Environment,
  step: (done: number, of: number) => void,
): Promise<AnswerWith<HouseImported>> {
  const plan = await planOf(transaction, request, environment);
  const actId = environment.newId();
  const done: KeptChange[] = [];
  const tell = () => step(done.length, plan.changes.length);
  tell();
  for (const table of ['colorCards', 'supplies', 'packs', 'priceNotes', 'pieces'] as const) {
    const here = plan.changes.filter((change) => change.table === table);
    const fresh = here.filter((change) => change.before === null);
    for (let at = 0; at < fresh.length; at += AT_ONCE) {
      const rows = fresh.slice(at, at + AT_ONCE).map((change) => ({ ...change.row, version: 1 }) as AnyRow);
      await insertRows(transaction, table, rows, null, actId);
      // The rows stand in their table; the act needs only to know which they were.
      for (const row of rows) done.push({ table, id: row.id, op: 'insert', before: null, after: null, version: 1 });
      tell();
    }
    for (const change of lastOfEach(here.filter((entry) => entry.before !== null))) {
      const before = change.before as AnyRow;
      const ok = await updateRow(transaction, table, before.id, before.version, change.row as AnyRow, actId);
      // Somebody else changed a row that the file changes too.
      if (!ok) throw new Refusal(refused('conflict'));
      const version = before.version + 1;
      done.push({ table, id: before.id, op: 'update', before, after: { ...change.row, version } as AnyRow, version });
      if (done.length % AT_ONCE === 0) tell();
    }
  }
  const over = await overLimits(transaction, tablesGrown(done), null);
  if (over.length > 0) throw new Refusal(refused('command.refused', { fields: over }));
  await recordAct(transaction, { id: actId, kind: `importHouse.${request.kind}`, projectId: null, changes: done });
  if (done.length > MANY) await takeStock(transaction);
  await raiseHouseRevision(transaction, new Set(done.map((change) => change.table)));
  return { status: 200, body: { actId: done.length > 0 ? actId : null, counts: plan.counts } };
}

/** Several lines about the same row: the last one holds, over the row as it was first. */
function lastOfEach(changes: readonly HouseChange[]): HouseChange[] {
  const byId = new Map<string, HouseChange>();
  for (const change of changes) {
    const first = byId.get(change.row.id);
    byId.set(change.row.id, first ? { ...change, before: first.before } : change);
  }
  return [...byId.values()];
}
