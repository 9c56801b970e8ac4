import { createRegistry } from '../kernel/registry';
import type { SpotKind } from './spotKind';
import { spotKindRows } from './spotKinds.data';

/** Every kind of spot by id. */
export const spotKinds = createRegistry<SpotKind>('kinds of spots', spotKindRows);

/** The kind of a spot; an id that this version does not know (a newer file) is treated as a wall. */
export function spotKindOf(kindId: string): SpotKind {
  return spotKinds.find(kindId) ?? spotKinds.get('wall');
}

/**
 * The kind of a spot by what it is called: the kind whose words end last in the name, the longest where several end
 * there, since the last word says what a thing is.
 * @example "Wall over the bench" → a wall; "Dining table for eight" → a dining table; "Somewhere" → null
 */
export function spotKindOfName(name: string): string | null {
  const said = ` ${name
    .toLowerCase()
    .replace(/[^a-z]+/g, ' ')
    .trim()} `;
  // What comes after such a word says where it is, not what it is.
  const head = `${said.replace(/\s(?:over|above|by|beside|under|at|for|near|behind|with|in|on|to|of)\s.*$/, ' ').trimEnd()} `;
  let best: { id: string; end: number; long: number } | null = null;
  for (const { id, words } of spotKinds.all)
    for (const word of words)
      for (const form of [word, `${word}s`, word.replace(/f$/, 'ves')]) {
        // A name that has such a word itself is looked for in all that was said: the top of the cabinets.
        const at = (/\b(?:of|the|in)\b/.test(form) ? said : head).lastIndexOf(` ${form} `);
        if (at < 0) continue;
        const end = at + form.length;
        if (!best || end > best.end || (end === best.end && form.length > best.long))
          best = { id, end, long: form.length };
      }
  return best?.id ?? null;
}
