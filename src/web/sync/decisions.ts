import { rowIn, type Workspace } from '@core/acts/changes';
import { isTable } from '@core/model/entities';
import { expectedVersions, withWaiting } from './foreseen';
import { changed, editedFields, type Lane } from './laneChanges';
import { type OutboxEntry, withPieces } from './rowsAfter';

/** What a stylist decides about a command that was not saved: hers, theirs, or some fields of hers. */
export type Decision = { keep: 'mine' | 'theirs' } | { keep: 'fields'; fields: readonly string[] };

const keyOf = (entry: OutboxEntry) => entry.command.key;

/** Whether the server has answered for good: the same intent may then go out under a new key. */
const isSettled = (entry: OutboxEntry) => entry.answer !== null && entry.answer.code !== 'unexpected';

/** A command with only some of the fields that it would change. */
function withOnly(entry: OutboxEntry, fields: readonly string[]): OutboxEntry {
  const values = editedFields(entry);
  if (values === null) return entry;
  const kept = Object.fromEntries(Object.entries(values).filter(([field]) => fields.includes(field)));
  return { ...entry, command: { ...entry.command, payload: { ...(entry.command.payload as object), values: kept } } };
}

/** Versions of rows that the server told of with its refusal, where the page has not read them yet. */
function versionsToldOf({ answer }: OutboxEntry, rows: Workspace): Record<string, number> {
  return Object.fromEntries(
    (answer?.conflicts ?? []).flatMap(({ table, id, theirs }) => {
      const told = Number(theirs?.version);
      const read = isTable(table) ? (rowIn(rows, table, id)?.version ?? 0) : 0;
      return theirs !== null && told > read ? [[`${table}:${id}`, told]] : [];
    }),
  );
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
            expect: {
              ...expectedVersions(withPieces(rows, mine.along), kind, payload),
              ...versionsToldOf(mine, rows),
            },
          },
          state: 'waiting',
          answer: null,
          sent: false,
        }
      : { ...mine, state: 'waiting', answer: null };
  };
  const left = isLetGo ? lane.filter((entry) => entry !== stuck) : changed(lane, key, again);
  const before = new Set(lane.map(keyOf));
  let at = withWaiting(rows, []);
  return left.map((entry) => {
    if (entry.state !== 'waiting') return entry;
    if (entry.sent) {
      at = withWaiting(at, [entry]);
      return entry;
    }
    const { kind, payload, expect } = entry.command;
    // What was just put against what the server told of stays so.
    if (!before.has(keyOf(entry))) {
      at = withWaiting(at, [entry]);
      return entry;
    }
    const now = expectedVersions(withPieces(at, entry.along), kind, payload);
    const isSame = JSON.stringify(now) === JSON.stringify(expect);
    const fresh = isSame ? entry : { ...entry, command: { ...entry.command, expect: now } };
    at = withWaiting(at, [fresh]);
    return fresh;
  });
}
