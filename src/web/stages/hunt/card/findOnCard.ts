import { flawMinutes } from '@core/catalog/inspections';
import type { FindRow, SourceRow } from '@core/model/rows';
import { type DiscountInForce, discountsFor, discountsOn } from '@core/pricing/discountPattern';
import type { PriceLine } from '@core/pricing/priceStory';
import { newFind } from '@core/sourcing/newFind';
import { type QuickLine, readQuickLine } from '@core/sourcing/quickLine';
import { saidFlaws } from '@core/sourcing/saidFlaws';
import { saidTagColor } from '@core/sourcing/saidTagColor';
import { taggedThing, withoutShopDiscounts } from '@core/sourcing/tillOnDays';
import { usualMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';
import type { ProjectLocale } from '../../../app/words';
import { inspectedOf } from '../InspectionChecks';
import { type CardDraft, isNamedOn } from './cardDraft';

/** A discount of the shop as a chip: whether it is taken off now. */
export interface DiscountChip {
  discount: DiscountInForce;
  isOn: boolean;
}

/** A find seen before, at today's price: what its tag says now where the line says so, without the discounts of that day. */
function seenAgain(known: FindRow, line: QuickLine, seenAt: SourceRow | null): FindRow {
  const story = seenAt ? withoutShopDiscounts(seenAt, known) : known.story;
  return {
    ...known,
    story: { ...story, tag: line.tag ?? story.tag, lines: line.lines.length > 0 ? line.lines : story.lines },
    repairMinutes: known.repairMinutes + line.repairMinutes,
  };
}

/** The find that a card describes, and the shop's discounts of today with those that it takes. */
export function findOnCard(
  draft: CardDraft,
  known: { find: FindRow; seenAt: SourceRow | null } | null,
  source: SourceRow | null,
  today: string,
  locale: ProjectLocale,
): { find: FindRow; chips: DiscountChip[]; isNamed: boolean; said: ReturnType<typeof readQuickLine>['understood'] } {
  const line = readQuickLine(draft.line, locale.currency, locale.units);
  const plain = known
    ? seenAgain(known.find, line, known.seenAt)
    : { ...newFind(draft.findId, draft.pieceId, line, locale.units), version: 1 };
  const { templateId } = draft.over;
  const template = templateId === undefined ? null : furnitureTemplates.get(templateId);
  const said: FindRow = {
    ...plain,
    ...(template ? { measures: usualMeasures(template, locale.units) } : {}),
    ...draft.over,
    sourceId: source?.id ?? null,
    tagColor: draft.tagColor ?? saidTagColor(draft.line, source?.patterns ?? []) ?? plain.tagColor,
    seenOn: today,
    reason: draft.reason === '' ? plain.reason : draft.reason,
  };
  // What the line calls a flaw is a check of its list, until one taps.
  const flaws = saidFlaws(draft.line, inspectedOf(said));
  const seen = plain.inspected.filter(({ check }) => !flaws.some((flaw) => flaw.check === check));
  const find: FindRow = {
    ...said,
    inspected: draft.over.inspected ?? [...seen, ...flaws],
    repairMinutes: Math.max(0, said.repairMinutes - flawMinutes(flaws)),
  };
  const patterns = source?.patterns ?? [];
  const inForce = discountsOn(patterns, today);
  // A line that says "half off" has said all there is.
  const isSaid = plain.story.lines.some(({ kind }) => kind === 'markdown');
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
    find: { ...find, story: { ...find.story, lines: [...taken, ...plain.story.lines, ...draft.extra] } },
    chips,
    isNamed: isNamedOn(draft, known !== null),
    said: line.understood,
  };
}
