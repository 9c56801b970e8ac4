import type { DoneAnswer, RefusedAnswer } from '@contract/answers';
import { applyChanges, rowBefore } from '@contract/changes';
import { type Command, commands } from '@contract/commands';
import { isRefusal } from '@contract/commands/command';
import type { ProjectRows, Row } from '@core/plan/rows';

/** A command on its way. `refused` and `conflict` wait for the stylist; nothing typed is dropped. */
export interface OutboxEntry {
  command: Command;
  state: 'waiting' | 'refused' | 'conflict';
  answer: RefusedAnswer | null;
}

/** The rows a decision would change, with the versions their author sees. */
export function expectedVersions(rows: ProjectRows, kind: string, payload: unknown): Record<string, number> {
  const expect: Record<string, number> = {};
  const parsed = commands.get(kind).definition.payload.safeParse(payload);
  if (!parsed.success || kind === 'createProject') return expect;
  const decision = commands.get(kind).definition.decide(rows, parsed.data);
  if (isRefusal(decision)) return expect;
  for (const change of decision) {
    if (change.op === 'insert') continue;
    const before = rowBefore(rows, change);
    if (before) expect[`${change.table}:${change.id}`] = before.version;
  }
  return expect;
}

/** Rows with every waiting command applied; what is refused or in conflict is shown beside the rows, not in them. */
export function withWaiting(rows: ProjectRows, entries: readonly OutboxEntry[]): ProjectRows {
  let result = rows;
  for (const entry of entries) {
    if (entry.state !== 'waiting') continue;
    const { definition } = commands.get(entry.command.kind);
    const parsed = definition.payload.safeParse(entry.command.payload);
    if (!parsed.success) continue;
    const decision = definition.decide(result, parsed.data);
    if (!isRefusal(decision))
      result = applyChanges(
        result,
        decision.filter((change) => change.table !== 'project' || change.op === 'update'),
      );
  }
  return result;
}

/** Server rows after an answer: rows as they are now replace or join, removed ones go. */
export function withAnswer(rows: ProjectRows, answer: DoneAnswer): ProjectRows {
  const result: ProjectRows = { ...rows };
  const tables = result as unknown as Record<string, readonly Row[]>;
  for (const { table, row } of answer.rows) {
    if (table === 'project') result.project = row as unknown as ProjectRows['project'];
    else {
      const list = tables[table] ?? [];
      const known = list.some((other) => other.id === row.id);
      tables[table] = known
        ? list.map((other) => (other.id === row.id ? (row as unknown as Row) : other))
        : [...list, row as unknown as Row];
    }
  }
  for (const { table, id } of answer.removed)
    if (table !== 'project') tables[table] = (tables[table] ?? []).filter((row) => row.id !== id);
  return result;
}
