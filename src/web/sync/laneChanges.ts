import type { DoneAnswer, RefusedAnswer, RowConflict } from '@contract/answers';
import type { PayloadOf } from '@core/acts';
import { sameValue } from '@core/kernel/sameValue';
import type { OutboxEntry } from './rowsAfter';

/**
 * What happens to a lane: the commands of one project, or of the house, that are kept on this device until each is
 * answered. All of it is plain functions over the list, so that every tab and the device's store come to the same.
 */
export type Lane = readonly OutboxEntry[];

const keyOf = (entry: OutboxEntry) => entry.command.key;
/** A lane with one of its commands changed. */
export const changed = (lane: Lane, key: string, change: (entry: OutboxEntry) => OutboxEntry): Lane =>
  lane.map((entry) => (keyOf(entry) === key ? change(entry) : entry));

/** A command more, at the end; one that is there already is not added again. */
export const added = (lane: Lane, entry: OutboxEntry): Lane =>
  lane.some((other) => keyOf(other) === keyOf(entry)) ? lane : [...lane, entry];

/** A command goes on its way: from now on it may be done at the server, so it is never sent under another key. */
export const markedSent = (lane: Lane, key: string): Lane => changed(lane, key, (entry) => ({ ...entry, sent: true }));

/** The picture of a command is at the server, which says how large it keeps it: where the command tells of that, it tells so. */
export const pictured = (lane: Lane, key: string, size: object): Lane =>
  changed(lane, key, (entry) => {
    const { payload } = entry.command;
    const told = (payload as { photo?: object } | null)?.photo;
    return {
      ...entry,
      ...(entry.picture ? { picture: { ...entry.picture, isThere: true } } : {}),
      ...(told
        ? { command: { ...entry.command, payload: { ...(payload as object), photo: { ...told, ...size } } } }
        : {}),
    };
  });

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

/** Ids in what a command says, however deep: rows that it is about or speaks of. */
function idsIn(value: unknown, found: Set<string> = new Set()): Set<string> {
  if (typeof value === 'string') found.add(value);
  else if (Array.isArray(value)) for (const one of value) idsIn(one, found);
  else if (typeof value === 'object' && value !== null) for (const one of Object.values(value)) idsIn(one, found);
  return found;
}

/** Whether the picture of a command is still to be brought to the server. */
const wantsPicture = ({ state, picture }: OutboxEntry): boolean =>
  state === 'waiting' && picture !== undefined && !picture.isThere;

/** The command whose picture is brought to the server next. */
export const nextPicture = (lane: Lane): OutboxEntry | null => lane.find(wantsPicture) ?? null;

/**
 * The command that is sent next: the first that waits, but for those that are held. One that is stuck holds
 * whatever changes the same rows; one whose picture is not at the server yet those after it that do, or that speak of rows
 * which it makes, and so do these;
 * what speaks of rows that commands of another lane are still to make waits for them.
 * @param toBeMade ids of rows that other lanes are still to make
 */
export function nextToSend(lane: Lane, toBeMade: ReadonlySet<string> = new Set()): OutboxEntry | null {
  const isStuck = ({ state }: OutboxEntry) => state !== 'waiting';
  const held = new Set(lane.filter(isStuck).flatMap(({ command }) => Object.keys(command.expect)));
  const unmade = new Set(toBeMade);
  for (const entry of lane) {
    const { command, makes = [] } = entry;
    const places = Object.keys(command.expect);
    const isHeld =
      places.some((place) => held.has(place)) ||
      (unmade.size > 0 && [...idsIn(command.payload)].some((id) => unmade.has(id)));
    if (!isStuck(entry) && !wantsPicture(entry) && !isHeld) return entry;
    for (const place of places) held.add(place);
    for (const id of makes) unmade.add(id);
  }
  return null;
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

/** What a command changes, field by field, where it is an edit of one row; null where it is anything else. */
export function editedFields({ command }: Pick<OutboxEntry, 'command'>): Record<string, unknown> | null {
  const { payload } = command;
  const isEdit = typeof payload === 'object' && payload !== null && 'id' in payload && 'values' in payload;
  const values = isEdit ? payload.values : null;
  return typeof values === 'object' && values !== null ? (values as Record<string, unknown>) : null;
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * A value that two people changed from the same one: whichever of them changed it; of an object its parts, each so.
 * @returns null where both changed it, to something else each
 */
function mergedValue(seen: unknown, mine: unknown, theirs: unknown): { value: unknown } | null {
  if (sameValue(theirs, seen) || sameValue(theirs, mine)) return { value: mine };
  if (sameValue(mine, seen)) return { value: theirs };
  if (!isObject(seen) || !isObject(mine) || !isObject(theirs)) return null;
  const parts: Record<string, unknown> = {};
  for (const part of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const merged = mergedValue(seen[part], mine[part], theirs[part]);
    if (!merged) return null;
    if (merged.value !== undefined) parts[part] = merged.value;
  }
  return { value: parts };
}

/**
 * An edit that met somebody else's change of the same row, put over it where both changed different things: it goes out
 * again by itself, as a new command, since the server refused the other for good.
 * @returns null where they changed the same, or where it is no edit of one row
 */
export function mergedOver(entry: OutboxEntry, conflicts: readonly RowConflict[], newKey: string): OutboxEntry | null {
  const values = editedFields(entry);
  const [conflict, more] = conflicts;
  const { payload } = entry.command;
  if (!values || !entry.seen || !conflict?.theirs || more) return null;
  if ((payload as { id: unknown }).id !== conflict.id) return null;
  const merged: Record<string, unknown> = {};
  for (const [field, mine] of Object.entries(values)) {
    const value = mergedValue(entry.seen[field], mine, conflict.theirs[field]);
    if (!value) return null;
    merged[field] = value.value;
  }
  const place = `${conflict.table}:${conflict.id}`;
  const { theirs } = conflict;
  return {
    ...entry,
    state: 'waiting',
    answer: null,
    sent: false,
    seen: Object.fromEntries(Object.keys(merged).map((field) => [field, theirs[field]])),
    command: {
      ...entry.command,
      key: newKey,
      payload: { ...(payload as object), values: merged },
      expect: { ...entry.command.expect, [place]: Number(theirs.version) },
    },
  };
}
