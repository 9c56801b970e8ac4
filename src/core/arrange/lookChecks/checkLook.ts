import type { LookRow } from '../../model/rows';
import { lookChecks } from './index';
import type { LookCheck, LookFacts, LookSaid } from './lookCheck';

/** What a check says, with the check that says it and the reason for which it was set aside. */
export interface LookVerdict extends LookSaid {
  check: LookCheck;
  /** Why the stylist set the rule aside in this look; null where it is in force. */
  setAside: string | null;
}

const rank = { stop: 0, lookAgain: 1, note: 2, holds: 3 } as const;

/**
 * What all rules say of a look, what matters most first. A rule that is set aside is told with its reason; a caution
 * cannot be.
 */
export function checkLook(facts: LookFacts, look: Pick<LookRow, 'setAside'>): LookVerdict[] {
  const reasons = new Map(look.setAside.map(({ checkId, reason }) => [checkId, reason]));
  return lookChecks.all
    .flatMap((check) => {
      const setAside = check.isCaution ? null : (reasons.get(check.id) ?? null);
      return check.check(facts).map((said): LookVerdict => ({ ...said, check, setAside }));
    })
    .map((verdict, n) => ({ verdict, n }))
    .sort((a, b) => order(a.verdict) - order(b.verdict) || a.n - b.n)
    .map(({ verdict }) => verdict);
}

const order = ({ state, setAside }: LookVerdict): number => (setAside !== null ? 2.5 : rank[state]);

/** Whether a verdict asks for something: it is no note, and nobody set it aside. */
export const isOpen = ({ state, setAside }: LookVerdict): boolean =>
  setAside === null && (state === 'stop' || state === 'lookAgain');
