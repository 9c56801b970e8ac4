import type { Amount } from '@core/kernel/amount';
import type { Finding } from '@core/kernel/finding';
import type { Minutes } from '@core/kernel/minutes';
import type { Plan } from '@core/plan/computePlan';
import { nameOfOption } from '@core/plan/nameOfOption';
import { CORE_VERSION, FIGURES_VERSION } from '@core/plan/version';
import { cautionsAt } from '@core/recipe/recipeFindings';
import { sentenceFor } from '@core/words/sentences';

const round = (value: number, digits: number): number => Math.round(value * 10 ** digits) / 10 ** digits;
const iso = (ms: number) => new Date(Math.round(ms)).toISOString();
const amount = (value: Amount) => ({ low: value.low, likely: value.likely, high: value.high, atLeast: value.atLeast });
const minutes = (value: Minutes) => ({
  low: round(value.low, 2),
  likely: round(value.likely, 2),
  high: round(value.high, 2),
});

/**
 * A computed plan as plain JSON, documented in docs/plan-output.md: money in minor units, lengths in mm, areas in m²,
 * supplies in mL, cans or sheets, time in minutes, moments in UTC.
 */
export function planReport(plan: Plan, asOf: string) {
  const locale = { units: plan.rows.project.units, currency: plan.rows.project.currency };
  const finding = (entry: Finding) => ({ ...entry, sentence: sentenceFor(entry, locale) });
  return {
    coreVersion: CORE_VERSION,
    figuresVersion: FIGURES_VERSION,
    asOf,
    project: { id: plan.rows.project.id, name: plan.rows.project.name, currency: plan.rows.project.currency },
    purse: {
      money: {
        ...plan.purse.money,
        planned: amount(plan.purse.money.planned),
        keptBack: amount(plan.purse.money.keptBack),
        free: amount(plan.purse.money.free),
      },
      hands: {
        ...plan.purse.hands,
        planned: minutes(plan.purse.hands.planned),
        freeMinutes: plan.purse.hands.freeMinutes === null ? null : round(plan.purse.hands.freeMinutes, 2),
      },
      days: {
        ...plan.purse.days,
        lastUsableMs: undefined,
        lastUsable: plan.purse.days.lastUsableMs === null ? null : iso(plan.purse.days.lastUsableMs),
      },
    },
    fullCash: amount(plan.fullCash),
    slots: plan.slots.map(({ slot, options, filled, open, yardstickId }) => ({
      id: slot.id,
      number: slot.number,
      name: slot.name,
      quantity: slot.quantity,
      filled,
      open,
      leftOut: slot.leftOut,
      yardstick: yardstickId,
      options: options.map((option) => ({
        id: option.option.id,
        kind: option.option.kind,
        name: nameOfOption(option.model),
        recipe: option.option.recipeId,
        chosen: option.chosen,
        refused: option.refused,
        count: option.count,
        capacity: option.capacity,
        cashAdded: amount(option.cashAdded),
        cashAlone: amount(option.cashAlone),
        switching: amount(option.switching),
        stashUsed: option.stashUsed,
        minutesAdded: minutes(option.hoursAdded),
        minutesAlone: minutes(option.hoursAlone),
        standsOn: iso(option.standsMs),
        usableOn: iso(option.usableMs),
        comparison:
          'deltaMinutes' in option.comparison
            ? { ...option.comparison, deltaMinutes: round(option.comparison.deltaMinutes, 2) }
            : option.comparison,
        beatsYardstick: option.beatsYardstick,
        worthUpTo: option.worthUpTo,
        findings: option.findings.map(finding),
      })),
    })),
    shared: plan.supplies.map((line) => ({
      ...line,
      need: round(line.need, 3),
      fromStash: round(line.fromStash, 3),
      left: round(line.left, 3),
    })),
    recipes: [...plan.recipes.values()].map((recipe) => ({
      id: recipe.recipeId,
      zones: recipe.zones.map((zone) => ({
        key: zone.key,
        name: zone.zone.name,
        included: zone.zone.included,
        use: zone.zone.use,
        areaM2: round(zone.projectedAreaM2, 5),
        texture: zone.texture,
        pieces: zone.pieceCount,
        layers: (recipe.stacks.get(zone.key) ?? []).map((entry) => ({
          layer: entry.layerId,
          joint: entry.joint,
          coats: entry.coats.coats,
          coatsBecause: entry.coats.reason,
          stillShows: entry.coats.hiding ? entry.coats.hiding.showing.map((value) => round(value, 2)) : null,
          amount: round(entry.amount * entry.laidShare, 3),
          waterMl: round(entry.waterMl, 3),
        })),
      })),
      layers: recipe.layers.map((layer) => ({
        id: layer.id,
        origin: layer.origin,
        technique: layer.technique.id,
        values: layer.values,
        coating: layer.coating.id,
        colorCard: layer.colorCardId,
        sheen: layer.sheen,
        supply: layer.supplyKey,
      })),
      steps: recipe.steps.map((step) => ({
        ...step,
        runMinutes: round(step.runMinutes, 2),
        supplies: step.supplies.map((supply) => ({ ...supply, amount: round(supply.amount, 3) })),
        cautions: cautionsAt(recipe, step.id).map(finding),
      })),
      works: recipe.works.map((work) => ({ id: work.id, technique: work.technique.id, zones: work.zoneKeys })),
      tools: recipe.toolIds,
      difficulty: recipe.difficulty,
      findings: recipe.findings.map(finding),
    })),
    warnings: plan.findings.map(finding),
  };
}
