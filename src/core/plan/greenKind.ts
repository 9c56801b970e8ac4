/** Leaves and flowers as they keep: growing, cut, dried, or made to look like them. */
export type GreenKind = 'living' | 'cut' | 'dried' | 'faux';

/** Not grown. */
const made = /\b(?:faux|fake|silk|artificial|plastic|paper|felt|fabric|wooden|wood|metal|resin|glass|beaded)\b/;
/** Grown, and past wilting. */
const past = /\b(?:dried|dry|preserved|pressed)\b/;
/** Greens, and how many days they keep once they are cut. */
const greens =
  /\b(?:eucalyptus|fir|cedar|pine|spruce|juniper|holly|ivy|boxwood|magnolia|laurel|olive|ruscus|greens?|greenery|evergreens?|branch(?:es)?|twigs?|garland|wreath)\b/;
const flowers =
  /\b(?:flowers?|blooms?|blossoms?|stems?|bouquet|bunch|roses?|tulips?|peon(?:y|ies)|hydrangeas?|daffodils?|lil(?:y|ies)|lilacs?|carnations?|dais(?:y|ies)|sunflowers?|dahlias?|anemones?|ranunculus|chrysanthemums?|mums?|orchids?|zinnias?|snapdragons?|irises|herbs?|rosemary|lavender|basil|mint|fruit|lemons?|apples?|pears?|oranges?|grapes)\b/;
/** How many days what grows keeps once it is cut, by its words; the first that are said win (common practice, no source). */
const keeping: readonly [RegExp, number][] = [
  [greens, 14],
  [flowers, 7],
];
/** Leaves that wood, paper or a piece of furniture is not named after. */
const leaves =
  /\b(?:eucalyptus|ivy|boxwood|ruscus|greens?|greenery|evergreens?|garland|wreath|stems?|flowers?|blooms?|bouquet|ferns?|pothos|pampas|grass|palms?|succulents?|plants?|moss|lavender|hydrangeas?|roses?|peon(?:y|ies)|tulips?|orchids?|leaves)\b/;
/** Said of what grows in its pot; a stand or a pot for it is none. */
const growing =
  /\b(?:house ?plants?|potted|living|live plants?|succulents?|ferns?|pothos|monstera|philodendron|snake plants?|spider plants?|peace lil(?:y|ies)|aloe|cactus|cacti)\b/;
const holdsPlants = /\b(?:stand|pot holder|planter|hanger|pots?|print|picture|pillow|cushion|rug|wallpaper|fabric)\b/;

/**
 * How many days a thing usually stays fresh once it is cut: proposed only where the words say that it grew, and that it is
 * fresh or cut. Null for what lasts.
 */
export function usualFreshness(text: string): number | null {
  const words = text.toLowerCase();
  if (made.test(words) || past.test(words)) return null;
  if (!/\b(?:fresh|fresh-cut|cut|foraged)\b(?! (?:glass|crystal))/.test(words)) return null;
  return keeping.find(([pattern]) => pattern.test(words))?.[1] ?? null;
}

/** How many days a thing stays fresh: as it was said, else as its words have it; null for what stays. */
export const freshDaysOf = ({ name, freshDays }: { name: string; freshDays: number | null }): number | null =>
  freshDays ?? usualFreshness(name);

/** What kind of leaves or flowers a thing is, by its words and what is known of its keeping; null for everything else. */
export function greenKindOf({ name, freshDays }: { name: string; freshDays: number | null }): GreenKind | null {
  const words = name.toLowerCase();
  if (freshDaysOf({ name, freshDays }) !== null) return 'cut';
  if (made.test(words)) return leaves.test(words) && !holdsPlants.test(words) ? 'faux' : null;
  if (past.test(words)) return leaves.test(words) ? 'dried' : null;
  return growing.test(words) && !holdsPlants.test(words) ? 'living' : null;
}
