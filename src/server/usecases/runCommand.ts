import { createHash } from 'node:crypto';
import type { DoneAnswer, RowConflict } from '@contract/answers';
import { applyChanges, type RowChange, rowBefore } from '@contract/changes';
import { type Command, type CommandKind, commands, type PayloadOf } from '@contract/commands';
import { isRefusal } from '@contract/commands/command';
import { fieldErrorsOf } from '@contract/fieldErrors';
import { referenceErrors } from '@contract/projectFile';
import { studioTables, type TableName } from '@contract/rows';
import type { ProjectRows } from '@core/plan/rows';
import { type ActChange, recordAct } from '../persistence/acts';
import type { Database } from '../persistence/database';
import { claimKey, savepoint, storeAnswer } from '../persistence/requestKeys';
import { insertRow, readRow, updateRow } from '../persistence/rowStore';
import { inTransaction, type StudioScope, type Transaction } from '../persistence/scope';
import {
  houseRows,
  lockHouse,
  lockProject,
  projectRows,
  raiseHouseRevision,
  raiseRevision,
} from '../persistence/snapshots';
import { type Answer, Refusal, refused } from './answer';
import { doublePlaces } from './doublePlaces';
import { stillUsed } from './stillUsed';
import { summaryOf } from './summary';
import type { Surroundings } from './surroundings';
import { undoAct } from './undoAct';

/**
 * Runs one command: key and body hash first, then the payload's schema, the versions, the writes, the answer, all in
 * one transaction. The same key with the same body always gets the same answer.
 */
export function runCommand(
  database: Database,
  scope: StudioScope,
  command: Command,
  around: Surroundings,
): Promise<Answer> {
  const bodyHash = createHash('sha256')
    .update(JSON.stringify([command.projectId, command.kind, command.payload, command.expect]))
    .digest('hex');
  return inTransaction(database, scope, async (transaction) => {
    const key = await claimKey(transaction, command.key, bodyHash);
    if (key.state === 'other')
      return refused('key.reused', {
        fields: [{ field: 'key', value: command.key, accepted: 'a new key for a new request' }],
      });
    if (key.state === 'answered') return { status: key.status, body: key.answer as Answer['body'] };
    const point = await savepoint(transaction);
    let answer: Answer;
    try {
      answer = await work(transaction, command, around);
      await point.release();
    } catch (error) {
      const known = error instanceof Refusal ? error.answer : refusedByDatabase(error);
      if (!known) throw error;
      await point.rollback();
      answer = known;
    }
    await storeAnswer(transaction, command.key, answer.status, answer.body);
    return answer;
  });
}

/** Constraints of the database that speak of the request, not of a bug. */
function refusedByDatabase(error: unknown): Answer | null {
  const code = (error as { driverError?: { code?: string; constraint?: string } }).driverError;
  if (code?.code === '23505' || code?.code === '23503') {
    return refused('command.refused', {
      fields: [
        {
          field: code.constraint ?? 'reference',
          value: null,
          accepted:
            code.code === '23505' ? 'something that is not there yet' : 'a reference to something of this studio',
        },
      ],
    });
  }
  return null;
}

async function work(transaction: Transaction, command: Command, around: Surroundings): Promise<Answer> {
  const entry = commands.find(command.kind);
  if (!entry)
    throw new Refusal(
      refused('fields.refused', {
        fields: [{ field: 'kind', value: command.kind, accepted: `one of ${commands.ids.join(', ')}` }],
      }),
    );
  const parsed = entry.definition.payload.safeParse(command.payload);
  if (!parsed.success)
    throw new Refusal(refused('fields.refused', { fields: fieldErrorsOf(parsed.error, command.payload) }));
  const actId = around.newId();
  const kind = command.kind as CommandKind;

  if (kind === 'createProject') {
    const payload = parsed.data as PayloadOf<'createProject'>;
    if (payload.project.id !== command.projectId)
      throw new Refusal(
        refused('fields.refused', {
          fields: [
            { field: 'payload.project.id', value: payload.project.id, accepted: 'the projectId of the request' },
          ],
        }),
      );
    const decision = entry.definition.decide({} as ProjectRows, parsed.data);
    if (isRefusal(decision)) throw new Refusal(refused('command.refused', { fields: [decision.refused] }));
    const changes = await writeChanges(transaction, decision, command, null, actId);
    return finish(transaction, command.projectId, changes, entry.definition.title, actId, kind, null, around);
  }

  // The studio's own id stands for the house: what belongs to no project is done there.
  const inHouse = command.projectId === transaction.scope.studioId;
  if (inHouse) await lockHouse(transaction);
  else if (!(await lockProject(transaction, command.projectId, kind === 'undo')))
    throw new Refusal(refused('notFound'));
  if (kind === 'undo') {
    const payload = parsed.data as PayloadOf<'undo'>;
    const changes = await undoAct(transaction, payload, command, actId, around);
    return finish(transaction, command.projectId, changes, entry.definition.title, actId, kind, payload.actId, around);
  }
  const pieceIds = mentionedIds(command.payload);
  const rows = inHouse
    ? await houseRows(transaction, pieceIds)
    : await projectRows(transaction, command.projectId, pieceIds);
  if (!rows) throw new Refusal(refused('notFound'));

  const decision = entry.definition.decide(rows, parsed.data);
  if (isRefusal(decision)) {
    // A row that another tab removed is a conflict, told with both versions, not a bad field.
    const conflicts = await conflictsOf(transaction, rows, [], command);
    if (conflicts.length > 0) throw new Refusal(refused('conflict', { conflicts }));
    throw new Refusal(refused('command.refused', { fields: [decision.refused] }));
  }
  const conflicts = await conflictsOf(transaction, rows, decision, command);
  if (conflicts.length > 0) throw new Refusal(refused('conflict', { conflicts }));
  if (inHouse) refuseOutside(decision, command);
  else {
    const after = applyChanges(
      rows,
      decision.filter((change) => !(change.table === 'project' && change.op === 'remove')),
    );
    const broken = referenceErrors(after);
    if (broken.length > 0) throw new Refusal(refused('command.refused', { fields: broken.slice(0, 20) }));
  }
  const changes = await writeChanges(transaction, decision, command, rows, actId);
  return finish(transaction, command.projectId, changes, entry.definition.title, actId, kind, null, around);
}

/** Ids that a payload speaks of; pieces among them are brought along, since a project holds only its own. */
function mentionedIds(payload: unknown): string[] {
  const found = JSON.stringify(payload).match(/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/gi) ?? [];
  return [...new Set(found)];
}

/** In the house only rows of the studio can change. */
function refuseOutside(changes: readonly RowChange[], command: Command): void {
  const stranger = changes.find((change) => change.table === 'project' || !studioTables.has(change.table));
  if (stranger)
    throw new Refusal(
      refused('command.refused', {
        fields: [{ field: 'projectId', value: command.projectId, accepted: `a project, for ${command.kind}` }],
      }),
    );
}

/** Rows that are not at the version that the command's author saw. */
async function conflictsOf(
  transaction: Transaction,
  rows: ProjectRows,
  changes: readonly RowChange[],
  command: Command,
): Promise<RowConflict[]> {
  const conflicts: RowConflict[] = [];
  for (const [place, expected] of Object.entries(command.expect)) {
    const [table = '', id = ''] = place.split(':');
    const change = changes.find(
      (candidate) => candidate.table === table && (candidate.op === 'insert' ? candidate.row.id : candidate.id) === id,
    );
    const known = table === 'project' || table in rows;
    if (!known) continue;
    const present = rowBefore(rows, { table: table as TableName, op: 'remove', id });
    if (present?.version === expected) continue;
    const stored = present ?? (await readRow(transaction, table as TableName, id))?.row ?? null;
    const mine = change?.op === 'update' ? change.values : payloadValues(command.payload);
    conflicts.push({ table, id, expected, theirs: present ? stored : null, mine });
  }
  return conflicts;
}

function payloadValues(payload: unknown): Record<string, unknown> | null {
  return payload !== null && typeof payload === 'object' && 'values' in payload
    ? ((payload as { values: Record<string, unknown> }).values ?? null)
    : null;
}

async function writeChanges(
  transaction: Transaction,
  changes: readonly RowChange[],
  command: Command,
  rows: ProjectRows | null,
  actId: string,
): Promise<ActChange[]> {
  const done: ActChange[] = [];
  for (const change of changes) {
    if (change.op === 'insert') {
      await insertRow(transaction, change.table, change.row, command.projectId, actId);
      done.push({ table: change.table, id: change.row.id, before: null, after: change.row, version: 1 });
      continue;
    }
    const before = rows ? rowBefore(rows, change) : null;
    if (!before)
      throw new Refusal(
        refused('command.refused', {
          fields: [{ field: change.table, value: change.id, accepted: 'a row that is still there' }],
        }),
      );
    const values = change.op === 'update' ? change.values : {};
    const changed = await updateRow(
      transaction,
      change.table,
      change.id,
      before.version,
      values,
      actId,
      change.op === 'remove' ? true : null,
    );
    if (!changed)
      throw new Refusal(
        refused('conflict', {
          conflicts: [
            {
              table: change.table,
              id: change.id,
              expected: before.version,
              theirs: (await readRow(transaction, change.table, change.id))?.row ?? null,
              mine: values,
            },
          ],
        }),
      );
    const version = before.version + 1;
    done.push({
      table: change.table,
      id: change.id,
      before,
      after: change.op === 'remove' ? null : { ...before, ...values, version },
      version,
    });
  }
  return done;
}

async function finish(
  transaction: Transaction,
  projectId: string,
  changes: ActChange[],
  title: string,
  actId: string,
  kind: string,
  undoesId: string | null,
  around: Surroundings,
): Promise<Answer> {
  const inHouse = projectId === transaction.scope.studioId;
  await recordAct(transaction, { id: actId, kind, projectId: inHouse ? null : projectId, changes }, undoesId);
  const rows = inHouse ? null : await projectRows(transaction, projectId);
  const used = await stillUsed(transaction, changes);
  if (used.length > 0) throw new Refusal(refused('command.refused', { fields: used }));
  if (rows) {
    const fields = await doublePlaces(transaction, rows, changes);
    if (fields.length > 0) throw new Refusal(refused('command.refused', { fields }));
  }
  const studioToo = changes.some((change) => change.table !== 'project' && studioTables.has(change.table));
  const tag = inHouse
    ? await raiseHouseRevision(transaction)
    : rows
      ? await raiseRevision(transaction, projectId, summaryOf(rows, around.nowMs()), studioToo)
      : '';
  const body: DoneAnswer = {
    actId,
    title,
    tag,
    rows: changes.flatMap((change) => (change.after ? [{ table: change.table, row: change.after }] : [])),
    removed: changes.flatMap((change) => (change.after ? [] : [{ table: change.table, id: change.id }])),
  };
  return { status: 200, body };
}
