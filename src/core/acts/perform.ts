import { entityOf } from '../model/entities';
import { acts } from '.';
import { isRefusal, type Problem } from './act';
import { removedAtHand } from './bench/removedAtHand';
import { isProject, type RowChange, rowIn, type Workspace } from './changes';
import { newBreaches, problemsOf } from './invariants';
import { problemsOfSchema } from './problems';
import { after } from './rowsAfter';

/** What an act does to a workspace, or why it is refused. */
export type Outcome<W extends Workspace = Workspace> =
  | { ok: true; changes: RowChange[]; after: W }
  | { ok: false; why: 'payload' | 'rules'; problems: Problem[] };

/** What an act does, with what it is called in the message that offers to undo it. */
export type Performed<W extends Workspace = Workspace> =
  | (Extract<Outcome<W>, { ok: true }> & { title: string })
  | Extract<Outcome<W>, { ok: false }>;

/**
 * Whether the rows that some changes leave can be kept: each by its own schema, and all together by the invariants.
 * Of a row that only changes, only what changes is judged, so that an older field does not stand in the way.
 */
export function judge<W extends Workspace>(rows: W, changes: readonly RowChange[]): Outcome<W> {
  const whole: RowChange[] = [];
  const problems: Problem[] = [];
  for (const change of changes) {
    if (change.op === 'remove' || change.op === 'restore') {
      whole.push(change);
      continue;
    }
    const { row: schema, noun } = entityOf(change.table);
    if (change.op === 'insert') {
      const read = schema.safeParse(change.row);
      if (read.success) whole.push({ ...change, row: read.data as typeof change.row });
      else problems.push(...problemsOfSchema(read.error, change.row));
      continue;
    }
    const before = rowIn(rows, change.table, change.id);
    if (!before) {
      problems.push({ field: 'id', value: change.id, accepted: `a ${noun} that is still there` });
      continue;
    }
    const wanted = { ...before, ...change.values };
    const read = schema.safeParse(wanted);
    if (read.success) {
      const values = Object.fromEntries(
        Object.keys(change.values).map((field) => [field, (read.data as Record<string, unknown>)[field]]),
      );
      whole.push({ ...change, values });
      continue;
    }
    const own = read.error.issues.filter((issue) => String(issue.path[0]) in change.values);
    if (own.length > 0) problems.push(...problemsOfSchema({ ...read.error, issues: own } as typeof read.error, wanted));
    else whole.push(change);
  }
  if (problems.length > 0) return { ok: false, why: 'payload', problems: problems.slice(0, 20) };
  const changed = after(rows, whole);
  const broken = newBreaches(rows, changed);
  return broken.length > 0
    ? { ok: false, why: 'rules', problems: problemsOf(broken) }
    : { ok: true, changes: whole, after: changed };
}

/**
 * Performs an act on a workspace: its payload read, its rows decided, what they leave judged. The page and the server
 * ask this one function; nothing is written here.
 */
export function perform<W extends Workspace>(rows: W, kind: string, payload: unknown): Performed<W> {
  const { act } = acts.get(kind);
  const read = act.payload.safeParse(payload);
  if (!read.success) return { ok: false, why: 'payload', problems: problemsOfSchema(read.error, payload) };
  if (act.place === 'project' && !isProject(rows))
    return {
      ok: false,
      why: 'rules',
      problems: [{ field: 'projectId', value: kind, accepted: 'a project to do this in' }],
    };
  const decision = act.decide(rows as never, read.data);
  if (isRefusal(decision)) return { ok: false, why: 'rules', problems: [decision.refused] };
  const atHand = removedAtHand(rows, decision);
  if (atHand) return { ok: false, why: 'rules', problems: [atHand] };
  const outcome = judge(rows, decision);
  return outcome.ok ? { ...outcome, title: act.titleFor?.(read.data) ?? act.title } : outcome;
}
