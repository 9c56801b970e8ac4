/** Verbs of our sentences as they follow one thing, and as they follow several. */
const verbs: Readonly<Record<string, string>> = {
  is: 'are',
  has: 'have',
  does: 'do',
  hangs: 'hang',
  stands: 'stand',
  lies: 'lie',
  floats: 'float',
  makes: 'make',
  reaches: 'reach',
  shows: 'show',
  begins: 'begin',
  covers: 'cover',
  suits: 'suit',
};

/** What a name says beside the thing itself: "branches from the path" are branches. */
const beside = /,|\s(?:of|from|with|without|in|on|at|for|by|under|over|to)\s/;

/** Whether a name is of several: its thing ends as plurals do ("birch branches", not "glass" or "moss"). */
const isPlural = (name: string): boolean => /[^su\s]s$|ees$|ies$/i.test(name.trim().split(beside)[0] ?? '');

/**
 * A sentence that begins with a name, its verb in agreement with it.
 * @example "Birch branches is hidden" → "Birch branches are hidden"
 */
export function agreed(sentence: string, name: string): string {
  if (name === '' || !sentence.startsWith(`${name} `) || !isPlural(name)) return sentence;
  const rest = sentence.slice(name.length + 1);
  const verb = rest.split(' ')[0] ?? '';
  const plural = verbs[verb];
  return plural === undefined ? sentence : `${name} ${plural}${rest.slice(verb.length)}`;
}
