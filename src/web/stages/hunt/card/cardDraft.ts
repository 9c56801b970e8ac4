import { flawMinutes } from '@core/catalog/inspections';
import type { FindRow, SourceRow } from '@core/model/rows';
import { type DiscountInForce, discountsFor, discountsOn } from '@core/pricing/discountPattern';
import type { PriceLine } from '@core/pricing/priceStory';
import { newFind } from '@core/sourcing/newFind';
import { readQuickLine } from '@core/sourcing/quickLine';
import { saidFlaws } from '@core/sourcing/saidFlaws';
import { taggedThing } from '@core/sourcing/tillOnDays';
import { usualMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';
import type { ProjectLocale } from '../../../app/words';
import { inspectedOf } from '../InspectionChecks';

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
  tagColor: string;
  /** Discounts of the shop that were taken away or added by hand, by the pattern's id. */
  off: string[];
  on: string[];
  /** Lines of the price that were added on the card: another markdown, a coupon. */
  extra: PriceLine[];
  /** The slot it is wanted for; undefined leaves it to the card. */
  slotId?: string | null;
  /** The way that was picked; null leaves it to the card. */
  way: 'asFound' | 'makeover' | null;
  because: string;
  /** What it is for, where it answers no slot. */
  reason: string;
}

/** An empty card. */
export const emptyDraft = (): CardDraft => ({
  findId: crypto.randomUUID(),
  pieceId: crypto.randomUUID(),
  line: '',
  over: {},
  tagColor: '',
  off: [],
  on: [],
  extra: [],
  way: null,
  because: '',
  reason: '',
});

const keyOf = (projectId: string) => `euporia.card.${projectId}`;

/** The card as it was left, or an empty one. */
export function loadDraft(projectId: string): CardDraft {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(projectId)) ?? 'null') as Partial<CardDraft> | null;
    return kept ? { ...emptyDraft(), ...kept } : emptyDraft();
  } catch {
    return emptyDraft();
  }
}

export const saveDraft = (projectId: string, draft: CardDraft): void =>
  localStorage.setItem(keyOf(projectId), JSON.stringify(draft));

/** A discount of the shop as a chip: whether it is taken off now. */
export interface DiscountChip {
  discount: DiscountInForce;
  isOn: boolean;
}

/** The find that a card describes, and the shop's discounts of today with those that it takes. */
export function findOnCard(
  draft: CardDraft,
  source: SourceRow | null,
  today: string,
  locale: ProjectLocale,
): { find: FindRow; chips: DiscountChip[]; isNamed: boolean; said: ReturnType<typeof readQuickLine>['understood'] } {
  const line = readQuickLine(draft.line, locale.currency, locale.units);
  const plain = newFind(draft.findId, draft.pieceId, line, locale.units);
  const { templateId } = draft.over;
  const template = templateId === undefined ? null : furnitureTemplates.get(templateId);
  const said: FindRow = {
    ...plain,
    version: 1,
    ...(template ? { measures: usualMeasures(template, locale.units) } : {}),
    ...draft.over,
    sourceId: source?.id ?? null,
    tagColor: draft.tagColor,
    seenOn: today,
    because: draft.because,
    reason: draft.reason,
  };
  // What the line calls a flaw is a check of its list, until one taps.
  const flaws = draft.over.inspected ?? saidFlaws(draft.line, inspectedOf(said));
  const find: FindRow = {
    ...said,
    inspected: flaws,
    repairMinutes: Math.max(0, said.repairMinutes - flawMinutes(saidFlaws(draft.line, inspectedOf(said)))),
  };
  const patterns = source?.patterns ?? [];
  const inForce = discountsOn(patterns, today);
  // A line that says "half off" has said all there is.
  const isSaid = line.lines.some(({ kind }) => kind === 'markdown');
  const own = isSaid ? [] : discountsFor(patterns, taggedThing(find), today);
  const chips = inForce.map((discount): DiscountChip => {
    const { id } = discount.pattern;
    const isOwn = own.some(({ pattern }) => pattern.id === id);
    return { discount, isOn: draft.on.includes(id) || (isOwn && !draft.off.includes(id)) };
  });
  const taken = chips.flatMap(({ discount, isOn }): PriceLine[] =>
    isOn ? [{ kind: 'markdown', percentThousandths: discount.percentThousandths }] : [],
  );
  return {
    find: { ...find, story: { ...find.story, lines: [...taken, ...line.lines, ...draft.extra] } },
    chips,
    isNamed: draft.line.trim() !== '',
    said: line.understood,
  };
}
