import { substrates } from '../../catalog/substrates';
import { type Lab, labFromHex } from '../../color/lab';
import { plainColors } from '../../color/plainColors.data';

/** What grows, shines or is woven has a color by its name (choices for the eye). */
const natural: readonly { words: RegExp; hex: string }[] = [
  { words: /\b(?:gilt|gold(?:en)?)\b/i, hex: '#c9a43a' },
  { words: /\bcopper\b/i, hex: '#b8673d' },
  { words: /\b(?:silver|tin|zinc|steel|galvani[sz]ed|pewter)\b/i, hex: '#a9adb0' },
  { words: /\biron\b/i, hex: '#3a3f45' },
  { words: /\b(?:dried|wheat|pampas|straw|jute|rattan|wicker|seagrass)\b/i, hex: '#c2a878' },
  { words: /\b(?:eucalyptus|olive branches|sage)\b/i, hex: '#8a9a80' },
  {
    words: /\b(?:fir|cedar|pine branches|spruce|evergreens?|ivy|fern|leaves|greenery|branches|plant)\b/i,
    hex: '#5d7a4a',
  },
  { words: /\b(?:candles?|tapers?|wax|linen)\b/i, hex: '#f0e6d0' },
  { words: /\bterracotta\b/i, hex: '#b9683f' },
  { words: /\b(?:lemons?|forsythia|sunflowers?|daffodils?)\b/i, hex: '#e3c03c' },
  { words: /\b(?:oranges?|clementines?|pumpkins?|apricots?)\b/i, hex: '#d07b32' },
  { words: /\b(?:apples?|cherries|pomegranates?|berries)\b/i, hex: '#a63a32' },
  { words: /\b(?:limes?|pears?)\b/i, hex: '#a9b25a' },
  { words: /\bglass\b/i, hex: '#cfe0e4' },
];

/** Whether words stand in a text as whole words. */
const stands = (text: string, words: string): boolean => new RegExp(`\\b${words}\\b`, 'i').test(text);

/**
 * The color that a thing is drawn in by its name: a color that it says, the longest first; else what it is made of or
 * grows as; else the usual one of its material. A picture only: nothing is computed from it but how it looks.
 * @returns null where the words say nothing of a color
 */
export function colorOfWords(text: string, materialId: string | null = null): Lab | null {
  const said = plainColors
    .flatMap(({ words, hex }) => words.map((word) => ({ word, hex })))
    .filter(({ word }) => stands(text, word))
    .sort((a, b) => b.word.length - a.word.length)[0];
  if (said) return labFromHex(said.hex);
  const grown = natural.find(({ words }) => words.test(text));
  if (grown) return labFromHex(grown.hex);
  const usual = materialId === null ? undefined : substrates.find(materialId)?.usualColor;
  return usual === undefined ? null : labFromHex(usual);
}
