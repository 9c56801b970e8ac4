import type { SpotKind } from '../../catalog/spotKind';
import type { Lab } from '../../color/lab';
import { agreed } from '../../kernel/agreed';
import type { Figures, SentenceLocale, Sentences } from '../../kernel/finding';
import type { Source } from '../../kernel/source';
import type { LookPieceRow, SlotRow, SpotRow } from '../../model/rows';
import type { Brief, Household } from '../../state/brief';
import type { LookRoom } from '../look/lookRoom';
import { isDescribed, type LookThing } from '../look/lookThing';
import type { Place } from '../look/settle';

/** A color of the palette that is meant as an accent. */
export interface Accent {
  name: string;
  lab: Lab;
}

/** What a check of a look looks at. */
export interface LookFacts {
  spot: SpotRow;
  kind: SpotKind;
  room: LookRoom;
  /** The base of the spot above the floor, mm. */
  baseMm: number;
  isAbove: boolean;
  things: readonly LookThing[];
  /** What stands on the other spots of the project, in the first look of each. */
  elsewhere: readonly { spotId: string; things: readonly LookThing[] }[];
  /** Slots of this spot. */
  slots: readonly SlotRow[];
  accents: readonly Accent[];
  school: Pick<Brief, 'arranging' | 'grouping' | 'amount'>;
  household: Household;
  /** False while only what is said counts, not how it is mended: in the hand, and when looks are held against each other. */
  wantsFixes: boolean;
  /** Local date of today: fresh paint holds no strips. */
  today: string;
  /** Another way for a thing's slot, in the look it would have: for a fix that swaps it. */
  otherWays(thing: LookThing): readonly LookThing[];
}

/** How it stands with a rule: it holds, it is remarked on, it wants another look, or nobody may pass over it. */
export type LookState = 'holds' | 'note' | 'lookAgain' | 'stop';

/** What of a piece is changed in its look. */
export interface PieceEdit {
  id: string;
  values: Partial<Omit<LookPieceRow, 'id' | 'version' | 'lookId'>>;
}

/** What a fix does, as data. */
export type FixAct =
  | { kind: 'move'; places: readonly Place[] }
  | { kind: 'takeAway'; ids: readonly string[] }
  | { kind: 'edit'; edits: readonly PieceEdit[] }
  /** One thing more, where it is wanted; what stood there is lifted onto it where `under` names it. */
  | { kind: 'add'; of: Partial<Omit<LookPieceRow, 'id' | 'version' | 'lookId'>>; under: string | null }
  | { kind: 'editSlot'; id: string; values: Partial<Pick<SlotRow, 'quantity'>> };

/** A sentence of a check, chosen, with the figures that it tells. */
export interface Told {
  code: string;
  figures: Figures;
}

type CodeOf<S extends Sentences> = keyof S & string;
type FiguresFor<S extends Sentences, C extends CodeOf<S>> =
  Parameters<S[C]> extends [infer F extends Figures, ...unknown[]] ? F : Record<never, never>;
/** Chooses a sentence of a check; the compiler asks for the figures that it tells. */
export type Say<S extends Sentences> = <C extends CodeOf<S>>(
  code: C,
  ...figures: FiguresFor<S, C> extends Record<never, never>
    ? Record<never, never> extends FiguresFor<S, C>
      ? []
      : [FiguresFor<S, C>]
    : [FiguresFor<S, C>]
) => Told;

/** A way out that can be taken with one press; its words are a sentence of the check. */
export interface LookFix {
  say: Told;
  act: FixAct;
}

/** What a check says of a look. */
export interface LookSaid {
  /** The rule in a few words, and what is the matter in figures: both sentences of the check. */
  title: Told;
  text: Told;
  state: LookState;
  /** Which things it is about. */
  about: readonly string[];
  fixes: readonly LookFix[];
}

/** One rule over a look. To add one: a file in this folder with a call of {@link lookCheck}, a line in the index. */
export interface LookCheck {
  id: string;
  /** What it is called where rules are listed. */
  name: string;
  source: Source;
  /** Where good stylists differ: which school this is. */
  school?: string;
  /** A caution cannot be set aside. */
  isCaution: boolean;
  sentences: Sentences;
  check(facts: LookFacts): readonly LookSaid[];
}

/** A rule that holds. */
export const holding = (title: Told, text: Told, about: readonly string[] = []): LookSaid => ({
  title,
  text,
  state: 'holds',
  about,
  fixes: [],
});

/** A rule that wants another look, with its ways out. */
export const lookAgain = (
  title: Told,
  text: Told,
  about: readonly string[],
  fixes: readonly LookFix[],
  state: LookState = 'lookAgain',
): LookSaid => ({ title, text, state, about, fixes });

/** Ways out: to move, to take away, to change what a piece is in the look. */
export const moveFix = (say: Told, places: readonly Place[]): LookFix => ({ say, act: { kind: 'move', places } });
export const awayFix = (say: Told, ...ids: readonly string[]): LookFix => ({ say, act: { kind: 'takeAway', ids } });
export const editFix = (say: Told, id: string, values: PieceEdit['values']): LookFix => ({
  say,
  act: { kind: 'edit', edits: [{ id, values }] },
});

/** Another way for the slot of a thing. */
export const swapFix = (say: Told, thing: LookThing, way: LookThing): LookFix =>
  editFix(say, thing.id, { optionId: way.placement.optionId });
/**
 * What is only described is called something harmless: faux, flameless. A piece that is known stays what it is, however a
 * look calls it, so that there this is no way out.
 */
export const calledFix = (say: Told, thing: LookThing, what: string): readonly LookFix[] =>
  isDescribed(thing)
    ? [editFix(say, thing.id, { name: `${what} ${thing.name.charAt(0).toLowerCase()}${thing.name.slice(1)}` })]
    : [];

const say: (code: string, figures?: Figures) => Told = (code, figures = {}) => ({ code, figures });

/** Defines a check; its sentences say which figures must be told. */
export function lookCheck<const S extends Sentences>(of: {
  id: string;
  name: string;
  source: Source;
  school?: string;
  isCaution?: true;
  sentences: S;
  check(facts: LookFacts, say: Say<S>): readonly LookSaid[];
}): LookCheck {
  const { check, isCaution = false, ...rest } = of;
  return { ...rest, isCaution, check: (facts) => check(facts, say as Say<S>) };
}

/** A sentence of a check in words; its verb agrees with the thing that it begins with. */
export function tellOf(check: Pick<LookCheck, 'sentences'>, told: Told, locale: SentenceLocale): string {
  const sentence = check.sentences[told.code] as ((figures: Figures, locale: SentenceLocale) => string) | undefined;
  const said = sentence?.(told.figures, locale) ?? told.code;
  const { thing, stems, shade } = told.figures;
  return agreed(said, String(thing ?? stems ?? shade ?? ''));
}
