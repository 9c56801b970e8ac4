import type { Finding, Severity } from '../kernel/finding';
import type { Source } from '../kernel/source';
import type { SafetyFacts } from './facts';

/** Where a caution stands: at the steps it names, or at the recipe as a whole. */
export interface Caution {
  stepIds: string[];
  severity: Severity;
  figures?: Finding['figures'];
}

/** One rule over the facts. `text` is what the stylist reads; it always defers to local codes where law may apply. */
export interface SafetyRule {
  id: string;
  text: string;
  /** What stays true once the work is over: it goes along with the piece, to whoever lives with it. */
  afterwards?: string;
  /** For refusals: the nearest thing that works. */
  instead: string | null;
  source: Source;
  /** Null when the rule does not apply. */
  check(facts: SafetyFacts): Caution | null;
}

/** Ids of the steps of some kinds. */
export function stepsOf(facts: SafetyFacts, matches: (step: SafetyFacts['steps'][number]) => boolean): string[] {
  return facts.steps.filter(matches).map((step) => step.id);
}
