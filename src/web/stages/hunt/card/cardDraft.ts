import type { FindRow } from '@core/model/rows';
import type { PriceLine } from '@core/pricing/priceStory';
import { saysSomething } from '@core/sourcing/quickLine';

/** What was said on the card so far; kept on the device until it is decided. */
export interface CardDraft {
  /** Made once for the piece on the card. */
  findId: string;
  pieceId: string;
  line: string;
  /** What was picked instead of what the line says. */
  over: Partial<
    Pick<
      FindRow,
      | 'templateId'
      | 'materialId'
      | 'finishId'
      | 'kind'
      | 'measures'
      | 'color'
      | 'era'
      | 'inspected'
      | 'plenty'
      | 'cordCondition'
    >
  >;
  /** What was picked; null leaves it to the line, else to what is noted. */
  tagColor: string | null;
  /** Discounts of the shop that were taken away or added by hand, by the pattern's id. */
  off: string[];
  on: string[];
  /** Lines of the price that were added on the card: another markdown, a coupon. */
  extra: PriceLine[];
  /** The slot it is wanted for; undefined leaves it to the card. */
  slotId?: string | null;
  /** The way that was picked; null leaves it to the card. */
  way: 'asFound' | 'makeover' | null;
  /** What it is for, where it answers no slot. */
  reason: string;
}

/** Whether there is a piece on the card: one that it lies over, or one that somebody began to name. */
export const isNamedOn = (draft: CardDraft, isKnown: boolean): boolean => isKnown || saysSomething(draft.line);

/** An empty card. */
export const emptyDraft = (): CardDraft => ({
  findId: crypto.randomUUID(),
  pieceId: crypto.randomUUID(),
  line: '',
  over: {},
  tagColor: null,
  off: [],
  on: [],
  extra: [],
  way: null,
  reason: '',
});

/** A card over a find seen before is kept beside the one for something new. */
const keyOf = (projectId: string, knownId: string | null) =>
  `euporia.card.${projectId}${knownId === null ? '' : `.${knownId}`}`;

/** The card as it was left, or an empty one. */
export function loadDraft(projectId: string, known: FindRow | null): CardDraft {
  const empty = known ? { ...emptyDraft(), findId: known.id, pieceId: known.pieceId } : emptyDraft();
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(projectId, known?.id ?? null)) ?? 'null');
    return { ...empty, ...(kept as Partial<CardDraft> | null) };
  } catch {
    return empty;
  }
}

export const saveDraft = (projectId: string, knownId: string | null, draft: CardDraft): void =>
  localStorage.setItem(keyOf(projectId, knownId), JSON.stringify(draft));

/** What was said on the card is decided, and needed no more. */
export const dropDraft = (projectId: string, knownId: string | null): void =>
  localStorage.removeItem(keyOf(projectId, knownId));
