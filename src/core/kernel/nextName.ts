/** The longest name of a project. */
export const MOST_NAME = 120;

/**
 * What a project is called that comes after another: "Hall", then "Hall, copy", "Hall, copy 2", "Hall, copy 3".
 * @param word what tells it from the first, without a comma: "copy", "next season"
 * @returns at most the longest name there may be; the beginning is cut, so that what tells it apart is seen
 */
export function nextName(name: string, word: string): string {
  const found = new RegExp(`^(.*), ${word}(?: (\\d{1,3}))?$`, 's').exec(name);
  const base = found?.[1] ?? name;
  const ending = found ? `, ${word} ${Number(found[2] ?? 1) + 1}` : `, ${word}`;
  return base.slice(0, MOST_NAME - ending.length) + ending;
}
