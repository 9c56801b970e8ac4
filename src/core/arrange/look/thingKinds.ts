import { type ThingKind, thingKindRows } from './thingKinds.data';

export type { ThingKind } from './thingKinds.data';

interface Told {
  templates?: readonly string[];
  words?: RegExp;
  not?: RegExp;
}

const rows = Object.entries(thingKindRows) as [ThingKind, Told][];
const known = new Map<string, ReadonlySet<ThingKind>>();

/** What a thing is, by its kind of piece and what it is called; see `thingKinds.data.ts`. */
export function thingKindsOf(name: string, templateId: string | null): ReadonlySet<ThingKind> {
  const key = `${templateId ?? ''}|${name}`;
  const before = known.get(key);
  if (before) return before;
  const found = new Set(
    rows
      .filter(
        ([, { templates = [], words, not }]) =>
          !not?.test(name) && ((templateId !== null && templates.includes(templateId)) || words?.test(name) === true),
      )
      .map(([kind]) => kind),
  );
  known.set(key, found);
  return found;
}

/** Whether a thing burns easily: cloth, paper, what has dried, a shade. */
export const burnsEasily = (kinds: ReadonlySet<ThingKind>): boolean =>
  (['textile', 'paper', 'dry', 'shade', 'wreath', 'garland', 'curtain', 'books'] as const).some((kind) =>
    kinds.has(kind),
  );
