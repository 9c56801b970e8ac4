import type { LookVerdict } from './checkLook';
import type { FixAct, LookFix } from './lookCheck';

/** A fix for several things at once; null where they cannot be done as one. */
function together(acts: readonly FixAct[]): FixAct | null {
  const [first] = acts;
  if (!first) return null;
  switch (first.kind) {
    case 'move': {
      const places = acts.flatMap((act) => (act.kind === 'move' ? act.places : []));
      // The same thing in two places: each way out was thought of by itself.
      return new Set(places.map(({ id }) => id)).size === places.length ? { kind: 'move', places } : null;
    }
    case 'takeAway':
      return { kind: 'takeAway', ids: [...new Set(acts.flatMap((act) => (act.kind === 'takeAway' ? act.ids : [])))] };
    case 'edit':
      return { kind: 'edit', edits: acts.flatMap((act) => (act.kind === 'edit' ? act.edits : [])) };
    case 'add':
    case 'editSlot':
      return null;
    default:
      return first satisfies never;
  }
}

/** What is said of several things in the same words is said once: with how many, and ways out for all of them together. */
export interface AlikeVerdict extends LookVerdict {
  count: number;
}

/** Verdicts with those that say the same of alike things brought together, in the order of the first of each. */
export function alikeTogether(verdicts: readonly LookVerdict[]): AlikeVerdict[] {
  const groups = new Map<string, LookVerdict[]>();
  for (const verdict of verdicts) {
    const { check, title, text, setAside } = verdict;
    const key = JSON.stringify([check.id, title, text, setAside]);
    groups.set(key, [...(groups.get(key) ?? []), verdict]);
  }
  return [...groups.values()].flatMap((group): AlikeVerdict[] => {
    const [first] = group;
    if (!first) return [];
    if (group.length === 1) return [{ ...first, count: 1 }];
    const fixes = first.fixes.flatMap(({ say }): LookFix[] => {
      const same = group.flatMap(({ fixes: own }) => own.find((fix) => fix.say.code === say.code)?.act ?? []);
      const act = same.length === group.length ? together(same) : null;
      return act ? [{ say, act }] : [];
    });
    return [
      {
        ...first,
        count: group.length,
        about: [...new Set(group.flatMap(({ about }) => about))],
        fixes: fixes.length > 0 ? fixes : first.fixes,
      },
    ];
  });
}
