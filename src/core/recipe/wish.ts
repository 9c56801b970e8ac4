import { coatings } from '../catalog/coatings';
import { consumables } from '../catalog/consumables';
import { plainColors } from '../color/plainColors.data';
import { techniques } from '../technique';
import type { ColorCardFacts } from './recipeContext';

/** What a stylist would do, as far as some words say it; null where they do not. */
export interface Wish {
  techniqueId: string | null;
  coatingId: string | null;
  /** The kind of paper or cloth that is named. */
  sheetId: string | null;
  /** A color card of the studio that is named, or a new one by its plain name. */
  color: { cardId: string } | { name: string; hex: string } | null;
}

/** Words that many names have and none is told by. */
const common = new Set([
  'paint',
  'coat',
  'clear',
  'primer',
  'type',
  'based',
  'stain',
  'one',
  'and',
  'in',
  'old',
  'oil',
  'water',
  'paper',
  'film',
  'thin',
  'peel',
  'stick',
]);

interface Said {
  at: number;
  length: number;
}

/** Where a name is said in a text as whole words; null where it is not. */
function saidIn(text: string, name: string): Said | null {
  const at = ` ${text} `.indexOf(` ${name} `);
  return at < 0 ? null : { at, length: name.length };
}

/** The entry whose longest name is said; the later in the text among equals. */
function longestSaid<Entry>(entries: readonly Entry[], text: string, namesOf: (entry: Entry) => readonly string[]) {
  let best: { entry: Entry; said: Said } | null = null;
  for (const entry of entries)
    for (const name of namesOf(entry)) {
      const said = saidIn(text, name);
      if (!said) continue;
      const more = best === null ? 1 : said.length - best.said.length || said.at - best.said.at;
      if (more > 0) best = { entry, said };
    }
  return best?.entry ?? null;
}

const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** The words by which a coating is told from the others: "Chalk-type paint" by "chalk". */
const tellingWords = (name: string): string[] => [
  plain(name),
  ...plain(name)
    .split(' ')
    .filter((word) => word.length > 2 && !common.has(word)),
];

/** One of what a name says several of. */
const singular = (word: string): string => word.replace(/s$/, '');

/**
 * Reads what a stylist would do with a piece: "whitewash", "spray it matt black", "stain walnut", "chalk paint in harbor
 * teal". A color card of the studio that is named comes before a plain color word.
 * @param cards the studio's color cards
 */
export function readWish(text: string, cards: readonly ColorCardFacts[]): Wish {
  const said = plain(text);
  const technique = longestSaid(techniques.all, said, (entry) => entry.words.map(plain));
  const colored = coatings.all.filter(({ role }) => role === 'paint' || role === 'translucent' || role === 'film');
  const papers = consumables.all.filter(({ paper }) => paper !== undefined);
  const sheet = longestSaid(papers, said, (entry) =>
    tellingWords(entry.name).flatMap((word) => [word, singular(word)]),
  );
  const coating = longestSaid(colored, said, (entry) => tellingWords(entry.name));
  const card = longestSaid(cards, said, (entry) => {
    const name = plain(entry.name);
    return [name, ...name.split(' ').filter((word) => word.length > 3 && !common.has(word))];
  });
  const color = longestSaid(plainColors, said, (entry) => entry.words);
  // A card of that very name is the color, and is not made a second time.
  const namesake = color && cards.find((entry) => plain(entry.name) === plain(color.name));
  const chosen = card ?? namesake;
  return {
    techniqueId: technique?.id ?? null,
    coatingId: coating?.id ?? null,
    sheetId: sheet?.id ?? null,
    color: chosen ? { cardId: chosen.id } : color ? { name: color.name, hex: color.hex } : null,
  };
}
