import { tools } from '../catalog/tools';
import { type Amount, subtractAmounts } from '../kernel/amount';
import { type Explained, explain } from '../kernel/explained';
import { calculated, commonPractice, estimated, fromYou, type Source } from '../kernel/source';
import type { FindRow } from '../model/rows';
import { offerDelivery, offerPackPrice } from '../pricing/offer';
import { receiptOf } from '../pricing/receipt';
import type { OptionPlan, Plan } from './computePlan';
import { explainAssumption } from './explainAssumption';
import { explainRecipeNeed, rateKeysOf } from './explainRecipe';
import { packWords } from './supplyBook';

/** The figures of an option that a person may ask about. */
export type OptionFigure =
  | 'cashAdded'
  | 'cashAlone'
  | 'switching'
  | 'stashUsed'
  | 'hoursAdded'
  | 'hoursAlone'
  | 'usableOn'
  | 'hourEarns'
  | 'worthUpTo';

const money = (label: string, amount: Amount, rest: Partial<Explained> = {}): Explained =>
  explain(label, amount.likely, 'money', { low: amount.low, high: amount.high, atLeast: amount.atLeast, ...rest });

const receiptLabels = {
  tag: 'Tag',
  markdown: 'Markdown',
  couponMoney: 'Coupon',
  couponPercent: 'Coupon',
  couponUnknown: 'Coupon, money or percent',
  fee: 'Fee',
  delivery: 'Delivery',
  tax: 'Tax',
} as const;

function explainFind(plan: Plan, find: FindRow): Explained {
  const receipt = receiptOf(find.story, plan.rows.project.currency, plan.rows.project.tax);
  const source: Source = find.story.tag.state === 'estimated' ? estimated : fromYou;
  const place = find.source ? `, ${find.source}` : '';
  if (find.state === 'owned') return explain(`${find.name}: owned already`, 0, 'money', { source: fromYou });
  const settled = plan.sums.isSettled(find);
  const because = receipt.lines
    .filter((line) => line.kind === 'tag' || line.amount.likely !== 0 || line.kind === 'tax')
    .map((line) => {
      const percent = line.percentThousandths === undefined ? '' : ` ${line.percentThousandths / 1000} %`;
      const note = line.kind === 'tax' && receipt.taxIncluded ? 'in the price' : undefined;
      return money(`${receiptLabels[line.kind]}${line.kind === 'tag' ? place : percent}`, line.amount, {
        source,
        ...(note ? { note } : {}),
      });
    });
  return money(
    settled ? `${find.name}: already spent, whichever you choose` : find.name,
    settled ? { low: 0, likely: 0, high: 0, atLeast: false } : receipt.total,
    {
      source,
      because,
      ...(settled ? { note: 'paid or promised; it costs nothing more' } : {}),
    },
  );
}

/** Why a supply's need is what it is, over the fills of this option: zone by zone. */
export function explainNeed(plan: Plan, option: OptionPlan, key: string): Explained {
  const { recipe, finds, needs } = option.footprint;
  const amount = (needs.get(key) ?? 0) * option.count;
  const supply = plan.sums.book.get(key);
  if (!recipe)
    return explain(supply.name, amount, supply.unit === 'mL' ? 'mL' : supply.unit === 'can' ? 'can' : 'each', {
      source: calculated,
    });
  return explainRecipeNeed(plan, recipe, key, amount, (zone) => finds.some((find) => find.id === zone.findId));
}

/** The rest of the plan without this option's slot, as fills. */
function withoutSlot(plan: Plan, option: OptionPlan) {
  return plan.chosen.filter((fill) => fill.footprint.slot.id !== option.slotId);
}

function explainCash(plan: Plan, option: OptionPlan, alone: boolean): Explained {
  const rest = alone ? [] : withoutSlot(plan, option);
  const fill = { footprint: option.footprint, count: option.count };
  const before = plan.sums.needs(rest);
  const after = plan.sums.needs([...rest, fill]);
  const because: Explained[] = [];
  const restFinds = new Set(rest.flatMap((other) => other.footprint.finds.map((find) => find.id)));
  for (const find of option.footprint.finds) {
    if (restFinds.has(find.id))
      because.push(explain(`${find.name}: paid with another slot of the plan`, 0, 'money', { source: calculated }));
    else because.push(explainFind(plan, find));
  }
  for (const { offer, pieces } of option.footprint.offers) {
    const packs = Math.ceil((pieces * option.count) / Math.max(1, offer.pieces));
    because.push(
      money(
        packs === 1 ? offer.name : `${offer.name}, ${packs} ×`,
        {
          ...offerPackPrice(offer, plan.rows.project.tax),
          ...scale(offerPackPrice(offer, plan.rows.project.tax), packs),
        },
        { source: offer.price.state === 'estimated' ? estimated : fromYou, note: 'tax in it' },
      ),
    );
    if (offer.delivery > 0)
      because.push(
        money('Delivery', offerDelivery(offer, plan.rows.project.tax), { source: fromYou, note: 'once an order' }),
      );
  }
  for (const key of option.footprint.needs.keys()) {
    const supply = plan.sums.book.get(key);
    const full = after.get(key) ?? 0;
    const without = before.get(key) ?? 0;
    const bought = plan.sums.book.purchase(key, full);
    const boughtWithout = plan.sums.book.purchase(key, without);
    const packs = packWords(supply, bought);
    const note = [
      packs === '' ? 'the stash covers it' : `${packs} for the plan${without > 0 ? ', shared' : ''}`,
      boughtWithout.packs.length > 0 ? 'another option of the plan buys it anyway' : '',
    ].filter((part) => part !== '');
    because.push(
      money(supply.name, subtractAmounts(bought.cash, boughtWithout.cash), {
        source: bought.packs.length === 0 ? calculated : supply.estimated ? estimated : fromYou,
        note: note.join('; '),
        because: [
          explainNeed(plan, option, key),
          explain('In the stash', supply.stash, supply.unit === 'mL' ? 'mL' : supply.unit === 'can' ? 'can' : 'each', {
            source: fromYou,
          }),
        ],
      }),
    );
  }
  const restTools = new Set(rest.flatMap((other) => other.footprint.toolIds));
  for (const toolId of option.footprint.toolIds) {
    if (plan.sums.ownsTool(toolId) || restTools.has(toolId)) continue;
    because.push(
      money(tools.get(toolId).name, plan.sums.toolCash(toolId), {
        source: estimated,
        note: 'a tool to buy, then owned',
      }),
    );
  }
  return money(alone ? 'Cash alone' : 'Cash added', alone ? option.cashAlone : option.cashAdded, {
    source: calculated,
    because,
  });
}

function scale(amount: Amount, by: number): Amount {
  return { low: amount.low * by, likely: amount.likely * by, high: amount.high * by, atLeast: amount.atLeast };
}

function explainStash(plan: Plan, option: OptionPlan): Explained {
  const rest = withoutSlot(plan, option);
  const before = plan.sums.needs(rest);
  const after = plan.sums.needs([...rest, { footprint: option.footprint, count: option.count }]);
  const because = [...option.footprint.needs.keys()].flatMap((key): Explained[] => {
    const supply = plan.sums.book.get(key);
    const used = Math.min(after.get(key) ?? 0, supply.stash) - Math.min(before.get(key) ?? 0, supply.stash);
    const value =
      plan.sums.book.stashValue(key, after.get(key) ?? 0) - plan.sums.book.stashValue(key, before.get(key) ?? 0);
    if (used <= 0) return [];
    const unit = supply.unit === 'mL' ? 'mL' : supply.unit === 'can' ? 'can' : 'each';
    return [
      explain(supply.name, Math.round(value), 'money', {
        source: supply.unitCost?.from === 'paid' ? fromYou : supply.estimated ? estimated : fromYou,
        note: supply.unitCost?.from === 'paid' ? 'at what it cost' : 'at what replacing it costs',
        because: [
          explain('From the stash', used, unit, { source: calculated }),
          explain('In the stash', supply.stash, unit, { source: fromYou }),
          explainNeed(plan, option, key),
        ],
      }),
    ];
  });
  return explain('Stash used', option.stashUsed, 'money', {
    source: calculated,
    because,
    note: because.length === 0 ? 'nothing from the stash' : 'owned paint is not free; leftovers count nothing',
  });
}

function explainHours(plan: Plan, option: OptionPlan, alone: boolean): Explained {
  const { footprint } = option;
  const minutes = alone ? option.hoursAlone : option.hoursAdded;
  const because: Explained[] = [];
  const { recipe } = footprint;
  if (recipe && footprint.needs.size > 0) {
    const usedKeys = new Set<string>();
    for (const step of recipe.steps) {
      if (step.runMinutes <= 0) continue;
      because.push(
        explain(step.title, step.runMinutes, 'minutes', {
          source: step.source,
          ...(step.overruled.includes('minutes') ? { note: 'your own figure' } : {}),
        }),
      );
      for (const key of rateKeysOf(recipe, step)) usedKeys.add(key);
    }
    const rest = alone ? [] : withoutSlot(plan, option);
    for (const [key, coats] of recipe.sessions) {
      const others = Math.max(0, ...rest.map((other) => other.footprint.sessions.get(key) ?? 0));
      const more = Math.max(0, coats - others);
      const each = recipe.sessionMinutes.get(key) ?? 0;
      because.push(
        explain(
          `${plan.sums.book.get(key).name}: set up and clean up, ${more} ${more === 1 ? 'session' : 'sessions'}`,
          more * each,
          'minutes',
          {
            source: commonPractice,
            ...(others > 0 ? { note: `${Math.min(coats, others)} shared with other pieces of the plan` } : {}),
          },
        ),
      );
    }
    because.push(
      explainAssumption(plan, 'labor.overheadPercent'),
      explainAssumption(plan, `skill.${plan.rows.project.skill}`),
    );
    for (const key of usedKeys) because.push(explainAssumption(plan, key));
    because.push(explainAssumption(plan, 'session.setUpMinutes'));
  }
  if (footprint.fixedMinutes > 0) {
    const given = option.option.handsOnMinutes !== null;
    because.push(
      explain('Placing and small repairs', footprint.fixedMinutes, 'minutes', { source: given ? fromYou : estimated }),
    );
  }
  if (footprint.pieceMinutes > 0)
    because.push(explain('Assembling', footprint.pieceMinutes * option.count, 'minutes', { source: fromYou }));
  return explain(alone ? 'Hours alone' : 'Hours added', minutes.likely, 'minutes', {
    low: minutes.low,
    high: minutes.high,
    source: calculated,
    note: alone ? 'as if nothing else were made' : 'set-ups shared with the plan count once',
    because,
  });
}

function explainDates(plan: Plan, option: OptionPlan): Explained {
  const leadDays = Math.max(0, ...option.footprint.offers.map(({ offer }) => offer.leadDays));
  const because: Explained[] = [
    explain('Counted from', plan.asOfMs, 'instant', {
      source: calculated,
      note: 'work laid into the ordinary week: weekdays 18:00 to 20:00, weekends 10:00 to 15:00',
    }),
  ];
  if (leadDays > 0) because.push(explain('Lead time', leadDays, 'days', { source: fromYou }));
  for (const laid of option.ready?.laid ?? []) {
    const step = option.footprint.recipe?.steps.find((candidate) => candidate.id === laid.stepId);
    because.push(explain(step?.title ?? laid.stepId, laid.endMs, 'instant', { source: step?.source ?? calculated }));
  }
  if (option.ready) {
    because.push(
      explain('Stands in place, with care', option.standsMs, 'instant', {
        source: calculated,
        note: 'past handling time',
      }),
    );
    for (const layer of option.footprint.recipe?.layers ?? []) {
      because.push(explainAssumption(plan, `coating.${layer.coating.id}.fullCureDays`, [`supply:${layer.supplyKey}`]));
    }
    because.push(explainAssumption(plan, 'readiness.handledCurePercent'));
  }
  return explain('Usable on', option.usableMs, 'instant', { source: calculated, because });
}

function explainEarns(plan: Plan, option: OptionPlan): Explained {
  const { comparison } = option;
  const slot = plan.slots.find((candidate) => candidate.slot.id === option.slotId);
  const yardstick = slot?.options.find((candidate) => candidate.option.id === slot.yardstickId);
  if (!('deltaCost' in comparison)) {
    const words = {
      noYardstick: 'nothing to compare with: add what it costs new',
      isYardstick: 'this is the yardstick itself',
      unknownPrice: 'a price is unknown',
    };
    return explain('Against the yardstick', words[comparison.kind], 'text', { source: calculated });
  }
  const cost = option.cashAdded.likely + option.stashUsed;
  const because = [
    explain('Yardstick: cash added and stash used', comparison.deltaCost + cost, 'money', {
      source: calculated,
      note: yardstick ? nameOfOption(yardstick) : '',
    }),
    explain('This option: cash added', -option.cashAdded.likely, 'money', { source: calculated }),
    explain('This option: stash used', -option.stashUsed, 'money', { source: calculated }),
    explain('This option: hands-on', option.hoursAdded.likely, 'minutes', { source: calculated }),
    explain('Yardstick: hands-on', option.hoursAdded.likely - comparison.deltaMinutes, 'minutes', {
      source: calculated,
    }),
  ];
  if (comparison.kind === 'perHour')
    return explain(
      comparison.perHour >= 0 ? 'Your hour earns' : 'Your hour costs',
      comparison.perHour,
      'moneyPerHour',
      { source: calculated, note: 'difference in cost ÷ difference in time', because },
    );
  return explain(comparison.deltaCost >= 0 ? 'Saves' : 'Costs more', Math.abs(comparison.deltaCost), 'money', {
    source: calculated,
    because,
  });
}

function explainWorth(plan: Plan, option: OptionPlan): Explained {
  const worth = option.worthUpTo;
  const hour = explain('An hour of yours', plan.rows.project.hourValue ?? 0, 'moneyPerHour', {
    source: fromYou,
    note: plan.rows.project.hourValue === null ? 'my time is free' : '',
  });
  const { comparison } = option;
  if (worth.kind === 'noPrice')
    return explain('Worth up to', 'its price does not decide here', 'text', { source: calculated });
  const because: Explained[] = [];
  if ('deltaCost' in comparison) {
    const own = option.footprint.finds[0];
    const till = own ? plan.sums.findCash(own).likely : 0;
    because.push(
      explain(
        'Yardstick: cash added and stash used',
        comparison.deltaCost + option.cashAdded.likely + option.stashUsed,
        'money',
        { source: calculated },
      ),
      explain('Other cash this option adds', -(option.cashAdded.likely - till), 'money', { source: calculated }),
      explain('Stash used', -option.stashUsed, 'money', { source: calculated }),
      explain('More hands-on time', comparison.deltaMinutes, 'minutes', { source: calculated }),
    );
  }
  because.push(hour);
  if (worth.kind === 'notEvenFree')
    return explain('Worth up to', 'not even free', 'text', { source: calculated, because });
  if (worth.tag !== null)
    because.push(
      explain('That is a tag of', worth.tag, 'money', {
        source: calculated,
        note: 'worked back through its price story',
      }),
    );
  return explain('Worth up to', worth.till, 'money', { source: calculated, because, note: 'at the till' });
}

/** A short name of an option: what it is made of. */
export function nameOfOption(option: OptionPlan): string {
  return (
    [
      ...option.footprint.finds.map((find) => find.name),
      ...option.footprint.offers.map(({ offer }) => offer.name),
    ].join(' + ') || 'nothing yet'
  );
}

/** Explains one figure of an option as a tree of labeled inputs; what is shown is what was computed. */
export function explainOption(plan: Plan, option: OptionPlan, figure: OptionFigure): Explained {
  switch (figure) {
    case 'cashAdded':
      return explainCash(plan, option, false);
    case 'cashAlone':
      return explainCash(plan, option, true);
    case 'switching':
      return money('Switching to it', option.switching, {
        source: calculated,
        note: option.chosen ? 'it is the present choice' : 'against what is chosen now',
        because: [
          money('Cash added by this option', option.cashAdded, { source: calculated }),
          money('Cash added by the present choice', subtractAmounts(option.cashAdded, option.switching), {
            source: calculated,
          }),
        ],
      });
    case 'stashUsed':
      return explainStash(plan, option);
    case 'hoursAdded':
      return explainHours(plan, option, false);
    case 'hoursAlone':
      return explainHours(plan, option, true);
    case 'usableOn':
      return explainDates(plan, option);
    case 'hourEarns':
      return explainEarns(plan, option);
    case 'worthUpTo':
      return explainWorth(plan, option);
    default:
      return figure satisfies never;
  }
}
