import { pluralsOf } from './lineNumbers';
import { type PieceKind, pieceKinds } from './pieceKinds.data';
import { thingsApart } from './thingsApart.data';

/** Words after which stands what a thing has, holds or is for, no longer what it is. */
const beside = /\s(?:with|w|without|no|in|on|under|over|for|from|that|as|and|to|by|at|like|saying)\s.*$/;

/** Words that only say how much of the thing there is: a stack of books is books. */
const measureOf =
  /^.*?\b(?:stack|pile|bag|bunch|bunches|bundle|bundles|set|sets|pair|pairs|lot|pack|packs|dozen|box|boxes|jar|basket|roll|rolls|piece|pieces|bowl|case|group)\s+of\s+(?:\d+\s+)?(.+)$/;

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/w\//g, ' w ')
    .replace(/['’]/g, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Names that are whole with an "of" in them: a chest of drawers is no chest. */
const namesWithOf = pieceKinds.flatMap((kind) => kind.words.filter((word) => word.includes(' of ')));

/**
 * The words in which a thing is named, without what it has, holds, stands on or is trimmed with: "glass jar with shells"
 * → "glass jar", "stack of books" → "books", "print of a boat" → "print".
 */
export function headPhrase(text: string): string {
  const head = ` ${plain(text)} `.replace(beside, ' ').trim();
  if (head.includes(' of ') && namesWithOf.some((name) => head.includes(name))) return head;
  const held = measureOf.exec(head)?.[1];
  if (held && lastKind(held)) return held;
  return head.replace(/\sof\s.*$/, '');
}

/** A name of a kind of thing, in the singular. */
interface Named {
  kind: PieceKind;
  word: string;
}

/** Every name of every kind, in the singular and the plural; of a name that two have, the first in the table. */
const kindByName: ReadonlyMap<string, Named> = (() => {
  const names = new Map<string, Named>();
  for (const kind of pieceKinds)
    for (const word of kind.words)
      for (const form of [word, ...pluralsOf(word)]) if (!names.has(form)) names.set(form, { kind, word });
  return names;
})();
const longestName = Math.max(...[...kindByName.keys()].map((name) => name.split(' ').length));

/** The kind named last in some words, the longest name where several end there. */
function lastKind(head: string): Named | null {
  const said = head.split(' ');
  for (let end = said.length; end > 0; end -= 1)
    for (let start = Math.max(0, end - longestName); start < end; start += 1) {
      const named = kindByName.get(said.slice(start, end).join(' '));
      if (named) return named;
    }
  return null;
}

/**
 * The kind of thing that some words name: the noun that the others stand before ("candle holder" is a holder, "glass
 * jar" a jar, "table lamp" a lamp), the longest where several end there. Null when the words name none.
 */
export function pieceKindOf(text: string): PieceKind | null {
  return lastKind(headPhrase(text))?.kind ?? null;
}

/** What some words name within its kind, where things of the kind do not stand in for each other; null where they do. */
export function thingOf(text: string): string | null {
  const named = lastKind(headPhrase(text));
  return named ? (thingsApart[named.kind.id]?.find((names) => names.includes(named.word))?.[0] ?? null) : null;
}
