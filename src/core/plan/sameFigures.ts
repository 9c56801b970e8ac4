import type { OptionPlan } from './slotPlan';

/**
 * Whether two computations of an option came to the same, the lines that its figures are summed from among it. What the
 * figures are made of compares by identity; of worth up to, the tag follows from the till and is not worked back here.
 */
export function sameFigures(a: OptionPlan, b: OptionPlan): boolean {
  return sameShownFigures(a, b) && isSame(a.added.lines, b.added.lines) && isSame(a.alone.lines, b.alone.lines);
}

/** Whether they show the same: the figures, not what the rest of the plan draws beside them. */
export function sameShownFigures(a: OptionPlan, b: OptionPlan): boolean {
  if (a === b) return true;
  const { worthUpTo: worthA, added: _addedA, alone: _aloneA, ...restA } = a;
  const { worthUpTo: worthB, added: _addedB, alone: _aloneB, ...restB } = b;
  const isSameWorth =
    worthA.kind === worthB.kind && (worthA.kind !== 'upTo' || (worthB.kind === 'upTo' && worthA.till === worthB.till));
  return isSameWorth && isSame(restA, restB);
}

/** Rows, models, pools and findings are compared as objects; numbers and small records by what they hold. */
const comparedByIdentity = new Set(['option', 'model', 'pool', 'draw', 'ready', 'findings']);

function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  const [one, other] = [Object.entries(a), new Map(Object.entries(b))];
  return (
    one.length === other.size &&
    one.every(([key, value]) =>
      comparedByIdentity.has(key) ? Object.is(value, other.get(key)) : isSame(value, other.get(key)),
    )
  );
}
