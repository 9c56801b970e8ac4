import { anyCount, numberOf } from './lineNumbers';

/** Not grown, or dried: it lasts. */
const lasting =
  /\b(?:faux|fake|silk|artificial|plastic|paper|felt|fabric|wooden|wood|metal|dried|dry|preserved|resin|glass|beaded)\b/;

/** How many days what grows keeps once it is cut, by its words; the first that are said win (common practice, no source). */
const keeping: readonly [RegExp, number][] = [
  [
    /\b(?:eucalyptus|fir|cedar|pine|spruce|juniper|holly|ivy|boxwood|magnolia|laurel|olive|ruscus|greens?|greenery|evergreens?|branch(?:es)?|twigs?|garland|wreath)\b/,
    14,
  ],
  [
    /\b(?:flowers?|blooms?|blossoms?|stems?|bouquet|bunch|roses?|tulips?|peon(?:y|ies)|hydrangeas?|daffodils?|lil(?:y|ies)|lilacs?|carnations?|dais(?:y|ies)|sunflowers?|dahlias?|anemones?|ranunculus|chrysanthemums?|mums?|orchids?|zinnias?|snapdragons?|irises|herbs?|rosemary|lavender|basil|mint|fruit|lemons?|apples?|pears?|oranges?|grapes)\b/,
    7,
  ],
];

const keepsDays = new RegExp(
  String.raw`\b(?:keeps?|stays? fresh|lasts?|fresh)(?: for)?(?: about)? (${anyCount})\s+(days?|weeks?)\b`,
);

/** Where a line says how long something stays fresh: "keeps 5 days", "fresh for a week"; null where it does not. */
export function saidFreshness(text: string): { from: number; to: number; days: number } | null {
  const match = keepsDays.exec(text);
  const count = numberOf(match?.[1] ?? '');
  if (!match || count === null) return null;
  const days = Math.min(365, Math.max(1, count * (/^week/.test(match[2] ?? '') ? 7 : 1)));
  return { from: match.index, to: match.index + match[0].length, days };
}

/**
 * How many days a thing usually stays fresh once it is cut: proposed only where the words say that it grew, and that it is
 * fresh or cut. Null for what lasts.
 */
export function usualFreshness(text: string): number | null {
  const words = text.toLowerCase();
  if (lasting.test(words) || !/\b(?:fresh|fresh-cut|cut|foraged)\b(?! (?:glass|crystal))/.test(words)) return null;
  return keeping.find(([pattern]) => pattern.test(words))?.[1] ?? null;
}

/** How many tiers a line says: "3-tier tray", "two tiered stand"; null where it says none. */
export function saidTiers(text: string): number | null {
  const match = new RegExp(String.raw`(?<![\p{L}\d])(${anyCount})[\s-]+(?:tier(?:ed|s)?|level)\b`, 'u').exec(
    text.toLowerCase(),
  );
  const tiers = numberOf(match?.[1] ?? '');
  return tiers !== null && tiers >= 1 && tiers <= 12 ? tiers : null;
}
