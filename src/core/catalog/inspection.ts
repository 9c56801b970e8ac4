import type { DetailKind } from '../surface/zone';

/** What a flaw asks for: minutes to mend it, what that takes, or a use that makes something of it. */
export interface Flaw {
  /** As it is said of the piece: "drawer sticks". */
  says: string;
  /** Hands-on minutes of a practiced person to mend it. */
  minutes: number;
  /** Supplies that mending takes, in their own units. */
  takes: readonly { kindId: string; amount: number }[];
  /** What the flaw can be made into instead; null where it can only be mended. */
  use: string | null;
  /** How fiddly it makes faces that are flat on others of its kind; null where nothing is to be got into. */
  detail: DetailKind | null;
  /** Further words that say it by themselves. */
  words: readonly string[];
}

/** One thing to look at before money is spent: a tap says that it is fine, a flaw, or a reason to leave it. */
export interface InspectionCheck {
  /** Unlike any other check of all lists. */
  id: string;
  /** What is looked at, short enough for a chip. */
  look: string;
  /** How to tell, in the shop, without tools. */
  how: string;
  flaw: Flaw | null;
  /** Why it is better left; null where it can always be mended or used. */
  breaker: string | null;
  /** Whether it has to be asked or looked at before it is bought: it can hurt somebody, or spoil the house. */
  asksFirst: boolean;
  /** Whether it has to be asked of this thing; null where it always has. */
  needs: ((piece: Inspected) => boolean) | null;
}

/** What a checklist may look at to say whether it is meant. */
export interface Inspected {
  materialId: string;
  finishId: string | null;
  templateId: string;
  kind: string;
  traits: readonly string[];
  name: string;
  era: string;
}

/** A checklist for a material or a kind of thing. Common practice, no source; minutes are estimates. */
export interface Inspection {
  id: string;
  name: string;
  applies(piece: Inspected): boolean;
  checks: readonly InspectionCheck[];
}

/** A flaw that is mended by hands alone. */
export const mend = (says: string, minutes: number, ...takes: [kindId: string, amount: number][]): Flaw => ({
  says,
  minutes,
  takes: takes.map(([kindId, amount]) => ({ kindId, amount })),
  use: null,
  detail: null,
  words: [],
});

/** A flaw that is made into something. */
export const turnInto = (says: string, use: string, minutes = 0): Flaw => ({
  says,
  minutes,
  takes: [],
  use,
  detail: null,
  words: [],
});

/** No flaw of use, but of work: straight lines are a beginner's piece, carving asks for a brush in every groove. */
export const carving: Flaw = {
  says: 'carved',
  minutes: 0,
  takes: [],
  use: null,
  detail: 'profiles',
  words: ['ornate', 'fluted', 'fretwork', 'filigree', 'gingerbread'],
};

/** A check in the order that most of them are said in. */
export const check = (
  id: string,
  look: string,
  how: string,
  flaw: Flaw | null,
  breaker: string | null = null,
  asksFirst = false,
  needs: InspectionCheck['needs'] = null,
): InspectionCheck => ({ id, look, how, flaw, breaker, asksFirst, needs });
