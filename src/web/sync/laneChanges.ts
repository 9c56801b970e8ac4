import type { DoneAnswer, RefusedAnswer } from '@contract/answers';
import type { PayloadOf } from '@core/acts';
import type { Workspace } from '@core/acts/changes';
import { expectedVersions, type OutboxEntry, withPieces, withWaiting } from './rowsAfter';

/**
 * What happens to a lane: the commands of one project, or of the house, that are kept on this device until each is
 * answered. All of it is plain functions over the list, so that every tab and the device's store come to the same.
 */
export type Lane = readonly OutboxEntry[];

/** What a stylist decides about a command that was not saved: hers, theirs, or some fields of hers. */
export type Decision = { keep: 'mine' | 'theirs' } | { keep: 'fields'; fields: readonly string[] };

const keyOf = (entry: OutboxEntry) => entry.command.key;
const changed = (lane: Lane, key: string, change: (entry: OutboxEntry) => OutboxEntry): Lane =>
  lane.map((entry) => (keyOf(entry) === key ? change(entry) : entry));

/** A command more, at the end; one that is there already is not added again. */
export const added = (lane: Lane, entry: OutboxEntry): Lane =>
  lane.some((other) => keyOf(other) === keyOf(entry)) ? lane : [...lane, entry];

/** A command goes on its way: from now on it may be done at the server, so it is never sent under another key. */
export const markedSent = (lane: Lane, key: string): Lane => changed(lane, key, (entry) => ({ ...entry, sent: true }));

/** A command that the server refused, or that met somebody else's change: it waits for the stylist. */
export const stuckAs = (
  lane: Lane,
  key: string,
  state: Exclude<OutboxEntry['state'], 'waiting'>,
  answer: RefusedAnswer,
): Lane => changed(lane, key, (entry) => ({ ...entry, state, answer }));

/**
 * Lets a done command go. What was typed after it was meant for the rows as it left them, whatever the page saw when:
 * an answer that comes late, after the page has read the rows afresh, would make the next edit a conflict with itself.
 */
export function followed(lane: Lane, key: string, answer: DoneAnswer): Lane {
  const at = lane.findIndex((entry) => keyOf(entry) === key);
  const made = new Map(answer.rows.map(({ table, row }) => [`${table}:${row.id}`, row.version]));
  return lane.flatMap((entry, n) => {
    if (n === at) return [];
    if (n < at || entry.state !== 'waiting' || entry.sent) return [entry];
    const expect = { ...entry.command.expect };
    for (const place of Object.keys(expect)) {
      const version = made.get(place);
      if (typeof version !== 'number') continue;
      expect[place] = version;
      // Later ones are meant for the rows as this one leaves them.
      made.delete(place);
    }
    return [{ ...entry, command: { ...entry.command, expect } }];
  });
}

/** Rows that stuck commands hold: later edits of them wait. */
function heldRows(lane: Lane): Set<string> {
  const held = new Set<string>();
  for (const { state, command } of lane)
    if (state !== 'waiting') for (const place of Object.keys(command.expect)) held.add(place);
  return held;
}

/** Ids in what a command says, however deep: rows that it is about or speaks of. */
function idsIn(value: unknown, found: Set<string> = new Set()): Set<string> {
  if (typeof value === 'string') found.add(value);
  else if (Array.isArray(value)) for (const one of value) idsIn(one, found);
  else if (typeof value === 'object' && value !== null) for (const one of Object.values(value)) idsIn(one, found);
  return found;
}

/**
 * The command that is sent next: the first that waits, but for those whose rows are held by one that is stuck, and those
 * that speak of rows which commands of another lane are still to make.
 * @param toBeMade ids of rows that other lanes are still to make
 */
export function nextToSend(lane: Lane, toBeMade: ReadonlySet<string> = new Set()): OutboxEntry | null {
  const held = heldRows(lane);
  return (
    lane.find(
      ({ state, command }) =>
        state === 'waiting' &&
        !Object.keys(command.expect).some((place) => held.has(place)) &&
        (toBeMade.size === 0 || ![...idsIn(command.payload)].some((id) => toBeMade.has(id))),
    ) ?? null
  );
}

/** Whether the server has answered for good: the same intent may then go out under a new key. */
const isSettled = (entry: OutboxEntry) => entry.answer !== null && entry.answer.code !== 'unexpected';

/** What a command changes, field by field, where it is an edit of one row; null where it is anything else. */
export function editedFields({ command }: OutboxEntry): Record<string, unknown> | null {
  const { payload } = command;
  const isEdit = typeof payload === 'object' && payload !== null && 'id' in payload && 'values' in payload;
  const values = isEdit ? payload.values : null;
  return typeof values === 'object' && values !== null ? (values as Record<string, unknown>) : null;
}

/** A command with only some of the fields that it would change. */
function withOnly(entry: OutboxEntry, fields: readonly string[]): OutboxEntry {
  const values = editedFields(entry);
  if (values === null) return entry;
  const kept = Object.fromEntries(Object.entries(values).filter(([field]) => fields.includes(field)));
  return { ...entry, command: { ...entry.command, payload: { ...(entry.command.payload as object), values: kept } } };
}

/**
 * Sends a stuck command again as a new one, now against the rows as they are; or lets it go. Later edits of the same rows
 * were held: they are put against the rows as they are now.
 * @param rows as the server has them
 * @param newKey gives a new key at each call
 */
export function resolved(lane: Lane, key: string, decision: Decision, rows: Workspace, newKey: () => string): Lane {
  const stuck = lane.find((entry) => keyOf(entry) === key);
  if (!stuck || stuck.state === 'waiting') return lane;
  const isLetGo = decision.keep === 'theirs' || (decision.keep === 'fields' && decision.fields.length === 0);
  const again = (entry: OutboxEntry): OutboxEntry => {
    const mine = decision.keep === 'fields' ? withOnly(entry, decision.fields) : entry;
    const { kind, payload } = mine.command;
    return isSettled(mine)
      ? {
          ...mine,
          command: {
            ...mine.command,
            key: newKey(),
            expect: expectedVersions(withPieces(rows, mine.along), kind, payload),
          },
          state: 'waiting',
          answer: null,
          sent: false,
        }
      : { ...mine, state: 'waiting', answer: null };
  };
  const left = isLetGo ? lane.filter((entry) => entry !== stuck) : changed(lane, key, again);
  let at = withWaiting(rows, []);
  return left.map((entry) => {
    if (entry.state !== 'waiting') return entry;
    if (entry.sent) {
      at = withWaiting(at, [entry]);
      return entry;
    }
    const { kind, payload, expect } = entry.command;
    const now = expectedVersions(withPieces(at, entry.along), kind, payload);
    const isSame = JSON.stringify(now) === JSON.stringify(expect);
    const fresh = isSame ? entry : { ...entry, command: { ...entry.command, expect: now } };
    at = withWaiting(at, [fresh]);
    return fresh;
  });
}

/** Takes further acts into a stuck undo: what stands in its way is taken back with it. */
export const undoneWith = (
  lane: Lane,
  key: string,
  also: readonly string[],
  newKey: () => string,
  reversalIds: readonly string[],
): Lane =>
  changed(lane, key, (entry) => {
    if (entry.command.kind !== 'undo') return entry;
    const payload = entry.command.payload as PayloadOf<'undo'>;
    const all = [...new Set([...(payload.also ?? []), ...also])];
    return {
      ...entry,
      command: { ...entry.command, key: newKey(), payload: { ...payload, also: all, reversalIds: [...reversalIds] } },
      state: 'waiting',
      answer: null,
      sent: false,
    };
  });

/** Ids of rows that a lane's commands are still to make. */
export const madeIn = (lane: Lane): string[] => lane.flatMap(({ makes }) => makes ?? []);
