import { anyCount, numberOf } from './lineNumbers';

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

/** How many tiers a line says: "3-tier tray", "two tiered stand"; null where it says none. */
export function saidTiers(text: string): number | null {
  const match = new RegExp(String.raw`(?<![\p{L}\d])(${anyCount})[\s-]+(?:tier(?:ed|s)?|level)\b`, 'u').exec(
    text.toLowerCase(),
  );
  const tiers = numberOf(match?.[1] ?? '');
  return tiers !== null && tiers >= 1 && tiers <= 12 ? tiers : null;
}
