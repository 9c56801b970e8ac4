import { createHash } from 'node:crypto';
import type { DoneAnswer, RowConflict } from '@contract/answers';
import type { Command } from '@contract/command';
import { type ActKind, acts, type PayloadOf } from '@core/acts';
import { type AnyRow, isProject, type RowChange, rowIn, rowsOf, type Workspace } from '@core/acts/changes';
import { idsOf } from '@core/acts/invariants/ofList';
import { type Outcome, perform } from '@core/acts/perform';
import type { KeptChange } from '@core/acts/undoChanges';
import { emptyProject } from '@core/model/emptyRows';
import { isHouseTable, isTable, rowEntities } from '@core/model/entities';
import { UUID_PATTERN } from '@core/model/fields';
import type { ProjectRows } from '@core/model/rows';
import { recordAct } from '../persistence/acts';
import type { Database } from '../persistence/database';
import { lockProject, raiseHouseRevision, raiseRevision } from '../persistence/projects';
import { lockTouched, readRow } from '../persistence/rowStore';
import type { StudioScope, Transaction } from '../persistence/scope';
import { houseRows, projectRows, speaksOfHouse } from '../persistence/snapshots';
import { takenIds } from '../persistence/sql/pointers';
import { type Answer, Refusal, refused } from './answer';
import type { Environment } from './environment';
import type { Known } from './known';
import { type ChangedPieces, changedPieces } from './knownPieces';
import { newlyShared, type PlacedRow, withShared } from './newlyShared';
import { numberedBills } from './numberedBills';
import { onceByKey } from './onceByKey';
import { placementConflicts } from './placementConflicts';
import { stillUsed } from './stillUsed';
import { actsToUndo, decideUndo, touchedIds } from './undoActs';
import { overLimits, tablesGrown } from './withinLimits';
import { writeChanges } from './writeChanges';

/** How often a command is decided anew when the house changed while it was decided. */
const MOST_TRIES = 6;

/**
 * Runs one command: key and body hash first, then what it decides over the rows as they are, the versions, the writes,
 * the answer, all in one transaction. The same key with the same body always gets the same answer.
 */
export async function runCommand(
  database: Database,
  scope: StudioScope,
  command: Command,
  environment: Environment,
  known: Known,
): Promise<Answer> {
  const bodyHash = createHash('sha256')
    .update(JSON.stringify([command.projectId, command.kind, command.payload, command.expect]))
    .digest('hex');
  const left: Work['left'] = { actId: null, state: null, pieces: null };
  let attempts = 0;
  const answer = await onceByKey(database, scope, command.key, bodyHash, (transaction) => {
    left.actId = null;
    left.state = null;
    left.pieces = null;
    attempts += 1;
    // What the database refused as there already is decided again over rows that are read for it.
    return work({ transaction, command, environment, known, left, mayRemember: attempts === 1 });
  });
  // Only what is committed is remembered: the answer may be a refusal, or of somebody who was quicker with this key.
  if (answer.status !== 200 || (answer.body as DoneAnswer).actId !== left.actId) return answer;
  if (left.state) known.projects.keep(command.projectId, left.state.tag, left.state.rows);
  if (left.pieces) known.pieces.change(scope.studioId, left.pieces);
  return answer;
}

/** A project's rows with the tag of the state that they are of. */
interface ProjectState {
  tag: string;
  rows: ProjectRows;
}

/** A command at work. */
interface Work {
  transaction: Transaction;
  command: Command;
  environment: Environment;
  known: Known;
  /** What it leaves behind where it is the one that is answered, told by its act: the project's state, and the pieces that it changed. */
  left: { actId: string | null; state: ProjectState | null; pieces: ChangedPieces | null };
  /** Whether the rows that this server remembers will do. */
  mayRemember: boolean;
}

async function work(at: Work): Promise<Answer> {
  const { transaction, command } = at;
  const entry = acts.find(command.kind);
  if (!entry)
    throw new Refusal(
      refused('fields.refused', {
        fields: [{ field: 'kind', value: command.kind, accepted: `one of ${acts.ids.join(', ')}` }],
      }),
    );
  const kind = command.kind as ActKind;
  // The studio's own id stands for the house: what belongs to no project is done there.
  const inHouse = command.projectId === transaction.scope.studioId;
  if (kind === 'createProject') return make(at);
  if (kind === 'undo') return takeBack(at, inHouse);
  const tag = inHouse ? '' : await lockProject(transaction, command.projectId);
  if (tag === null) throw new Refusal(refused('notFound'));

  const alsoIds = mentionedIds(command.payload);
  for (let tries = 1; ; tries += 1) {
    // What was decided over rows that changed on the way is decided anew over what stands there now.
    const remembered = at.mayRemember && tries === 1 && !inHouse ? await rememberedRows(at, tag, alsoIds) : null;
    const rows = remembered ?? (await rowsFor(transaction, command.projectId, inHouse, alsoIds, false));
    const outcome = perform(rows, kind, command.payload);
    if (!outcome.ok) {
      // A row that another tab removed is a conflict: both versions go into the answer. Where all are still there the reason
      // of the refusal says more: who finished a step already, what there is no room for any more.
      const conflicts = outcome.why === 'payload' ? [] : await conflictsOf(transaction, rows, [], command);
      if (conflicts.some(({ theirs }) => theirs === null)) throw new Refusal(refused('conflict', { conflicts }));
      throw new Refusal(
        refused(outcome.why === 'payload' ? 'fields.refused' : 'command.refused', { fields: outcome.problems }),
      );
    }
    const conflicts = await conflictsOf(transaction, rows, outcome.changes, command);
    if (conflicts.length > 0) throw new Refusal(refused('conflict', { conflicts }));
    // The house is not locked as a whole: what is touched is, and decided anew if it changed on the way.
    if (!(await isStillSo(transaction, rows, outcome.changes)) && tries < MOST_TRIES) continue;
    return finish(at, rows, await numberedBills(transaction, outcome), outcome.title, [], tag);
  }
}

/** The rows of a project as this server remembers them, where they are of the present state and hold all that is spoken of. */
async function rememberedRows(
  { transaction, command, known }: Work,
  tag: string,
  alsoIds: readonly string[],
): Promise<ProjectRows | null> {
  const rows = known.projects.take(command.projectId, tag);
  if (!rows) return null;
  const here = rowEntities.map(({ table }) => idsOf(rowsOf(rows, table)));
  const unknown = alsoIds.filter((id) => !here.some((ids) => ids.has(id)));
  return (await speaksOfHouse(transaction, unknown)) ? null : rows;
}

/** A project that is not there yet. */
async function make(at: Work): Promise<Answer> {
  const { transaction, command } = at;
  const { act } = acts.get('createProject');
  const payload = command.payload as PayloadOf<'createProject'>;
  const given = payload?.project;
  const rows = {
    ...emptyProject({ ...given, archivedOn: given?.archivedOn ?? null }),
    ...(await houseRows(transaction, mentionedIds(payload))),
  };
  const outcome = perform(rows, 'createProject', payload);
  if (!outcome.ok) throw new Refusal(refused('fields.refused', { fields: outcome.problems }));
  if (given.id !== command.projectId)
    throw new Refusal(
      refused('fields.refused', {
        fields: [{ field: 'payload.project.id', value: given.id, accepted: 'the projectId of the request' }],
      }),
    );
  return finish(at, rows, outcome, act.title, [], '');
}

/** Takes acts back, by the rows as they are. */
async function takeBack(at: Work, inHouse: boolean): Promise<Answer> {
  const { transaction, command, environment } = at;
  const { act } = acts.get('undo');
  const read = perform(emptyProject({ id: command.projectId } as ProjectRows['project']), 'undo', command.payload);
  if (!read.ok) throw new Refusal(refused('fields.refused', { fields: read.problems }));
  if (!inHouse && (await lockProject(transaction, command.projectId, true)) === null)
    throw new Refusal(refused('notFound'));
  const payload = command.payload as PayloadOf<'undo'>;
  const found = await actsToUndo(transaction, payload, inHouse ? null : command.projectId);
  for (let tries = 1; ; tries += 1) {
    const rows = await rowsFor(transaction, command.projectId, inHouse, touchedIds(found), true);
    const outcome = await decideUndo(transaction, rows, found, payload, environment);
    if (!(await isStillSo(transaction, rows, outcome.changes)) && tries < MOST_TRIES) continue;
    const undone = found.map((entry) => entry.id);
    const ordered = [payload.actId, ...undone.filter((id) => id !== payload.actId)];
    return finish(at, rows, outcome, act.title, ordered, '');
  }
}

async function rowsFor(
  transaction: Transaction,
  projectId: string,
  inHouse: boolean,
  alsoIds: readonly string[],
  removedToo: boolean,
): Promise<Workspace> {
  const rows = inHouse
    ? await houseRows(transaction, alsoIds)
    : await projectRows(transaction, projectId, { alsoIds, removedToo });
  if (!rows) throw new Refusal(refused('notFound'));
  return rows;
}

/** Locks what changes touch in the house, and says whether all of it is still at the version that was read. */
async function isStillSo(transaction: Transaction, rows: Workspace, changes: readonly RowChange[]): Promise<boolean> {
  const versions = await lockTouched(transaction, changes);
  return changes.every((change) => {
    if (change.op === 'insert' || !isHouseTable(change.table)) return true;
    const seen = change.op === 'restore' ? change.row.version - 1 : rowIn(rows, change.table, change.id)?.version;
    const id = change.op === 'restore' ? change.row.id : change.id;
    return versions.get(`${change.table}:${id}`) === seen;
  });
}

const UUID = new RegExp(UUID_PATTERN, 'gi');

/** Ids that a payload speaks of; rows of the house among them are brought along, since a project holds only its own. */
function mentionedIds(payload: unknown): string[] {
  return [...new Set(JSON.stringify(payload ?? null).match(UUID) ?? [])];
}

/** Rows that are not at the version that the command's author saw. */
async function conflictsOf(
  transaction: Transaction,
  rows: Workspace,
  changes: readonly RowChange[],
  command: Command,
): Promise<RowConflict[]> {
  const conflicts: RowConflict[] = [];
  for (const [place, expected] of Object.entries(command.expect)) {
    const [table = '', id = ''] = place.split(':');
    if (!isTable(table)) continue;
    const change = changes.find(
      (candidate) => candidate.op === 'update' && candidate.table === table && candidate.id === id,
    );
    const present = rowIn(rows, table, id);
    if (present?.version === expected) continue;
    const mine = change?.op === 'update' ? change.values : payloadValues(command.payload);
    const theirs = present ?? (await storedRow(transaction, table, id));
    conflicts.push({ table, id, expected, theirs: present ? theirs : null, mine });
  }
  return conflicts;
}

const storedRow = async (transaction: Transaction, table: Parameters<typeof readRow>[1], id: string) =>
  (await readRow(transaction, table, id))?.row ?? null;

function payloadValues(payload: unknown): Record<string, unknown> | null {
  return payload !== null && typeof payload === 'object' && 'values' in payload
    ? ((payload as { values: Record<string, unknown> }).values ?? null)
    : null;
}

/** New rows take no id that another row of the studio has, in whatever table. */
async function refuseTakenIds(transaction: Transaction, changes: readonly RowChange[]): Promise<void> {
  const ids = changes.flatMap((change) => (change.op === 'insert' ? [change.row.id] : []));
  const taken = await takenIds(transaction, ids);
  const [first] = taken;
  if (first !== undefined)
    throw new Refusal(
      refused('command.refused', { fields: [{ field: 'id', value: first, accepted: 'an id that no other row has' }] }),
    );
}

/**
 * Writes what was decided, and what is to be said of it.
 * @param seenTag the state that it was decided over; empty where its outcome is not to be remembered
 */
async function finish(
  at: Work,
  rows: Workspace,
  outcome: Extract<Outcome, { ok: true }>,
  title: string,
  undoes: readonly string[],
  seenTag: string,
): Promise<Answer> {
  const { transaction, command, environment } = at;
  const project = isProject(rows) ? command.projectId : null;
  const actId = environment.newId();
  at.left.actId = actId;
  await refuseTakenIds(transaction, outcome.changes);
  const kept = await writeChanges(transaction, rows, outcome.changes, project, actId);
  const { kind } = command;
  await recordAct(transaction, { id: actId, kind, projectId: project, changes: kept }, undoes);
  const needed = await stillUsed(transaction, kept);
  if (needed.length > 0)
    throw new Refusal(refused('command.refused', { fields: needed.slice(0, 20).map((entry) => entry.problem) }));
  const over = await overLimits(transaction, tablesGrown(kept), project);
  if (over.length > 0) throw new Refusal(refused('command.refused', { fields: over }));
  const isGone = outcome.changes.some((change) => change.table === 'project' && change.op === 'remove');
  const present = isProject(outcome.after) ? outcome.after : null;
  if (present && !isGone) {
    const fields = await placementConflicts(transaction, present, kept);
    if (fields.length > 0) throw new Refusal(refused('command.refused', { fields }));
  }
  const touched = new Set(kept.map((change) => change.table));
  const { tag, pieces } =
    present === null
      ? await raiseHouseRevision(transaction, touched)
      : await raiseRevision(transaction, present.project.id, touched);
  if (pieces !== null) at.left.pieces = changedPieces(pieces, outcome.after, kept);
  const studioToo = [...touched].some(isHouseTable);
  // What another wrote in the house meanwhile is not among these rows: then they are no state to go on from.
  const isWhole = tag === followingTag(seenTag, studioToo);
  const shared = present && !isGone ? await newlyShared(transaction, present, kept) : [];
  if (present && !isGone && isWhole) at.left.state = { tag, rows: withShared(present, shared) };
  const body = doneAnswer(actId, title, tag, kept, outcome);
  return { status: 200, body: { ...body, rows: [...body.rows, ...shared.filter((row) => !isAmong(body, row))] } };
}

/** The tag that a state has after one more act and nothing else. */
function followingTag(tag: string, studioToo: boolean): string {
  const [revision = Number.NaN, studioRevision = Number.NaN] = tag.split('.').map(Number);
  return `${revision + 1}.${studioRevision + (studioToo ? 1 : 0)}`;
}

/** Whether an answer tells of a row already. */
const isAmong = ({ rows }: DoneAnswer, { table, row }: PlacedRow): boolean =>
  rows.some((sent) => sent.table === table && sent.row.id === row.id);

/** The rows as they are now, each once; those that are gone by their ids. */
function doneAnswer(
  actId: string,
  title: string,
  tag: string,
  kept: readonly KeptChange[],
  outcome: Extract<Outcome, { ok: true }>,
): DoneAnswer {
  const last = new Map(kept.map((change) => [`${change.table}:${change.id}`, change]));
  const rows: DoneAnswer['rows'] = [];
  const removed: DoneAnswer['removed'] = [];
  for (const { table, id, op } of last.values()) {
    const row: AnyRow | null = op === 'remove' ? null : rowIn(outcome.after, table, id);
    if (row) rows.push({ table, row });
    else removed.push({ table, id });
    // A page that did not hold the piece before needs it for its find.
    const piece = row && table === 'sightings' ? rowIn(outcome.after, 'pieces', String(row.pieceId)) : null;
    if (piece && !last.has(`pieces:${piece.id}`)) rows.push({ table: 'pieces', row: piece });
  }
  return { actId, title, tag, rows, removed };
}
