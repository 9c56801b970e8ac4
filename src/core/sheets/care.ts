import { cureFactor } from '../calendar/climate';
import { localDate } from '../calendar/zonedTime';
import {
  type CleaningWay,
  careOfCoating,
  cleaningOf,
  cleaningTexts,
  cleaningWays,
  outdoorsOrder,
} from '../catalog/care.data';
import { type Coating, isWaterborne } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { listed } from '../kernel/listed';
import { sayerOf } from '../kernel/sayerOf';
import { MS_PER_DAY } from '../kernel/units';
import type { Plan, PlannedFill } from '../plan/computePlan';
import { optionDates } from '../plan/optionDates';
import { findingsOfOption } from '../plan/optionFindings';
import { usableMsOf } from '../plan/usableSince';
import type { RecipePlan } from '../recipe/computeRecipe';
import { foodSentences } from '../recipe/foodSentences';
import { climateOf } from '../recipe/recipeContext';
import { safetyRules } from '../safety/cautions';
import { lowerFirst, upperFirst } from '../schedule/benchWords';

/** What whoever lives with a piece is told of it. */
export interface Care {
  /** How it is cleaned, kept from heat, brought outdoors; each a sentence. */
  notes: string[];
  /** What can harm somebody; always shown, and first. */
  cautions: string[];
  /** Local dates: from when on it may be used as it is used, and when it has cured in full. Null where nothing cures. */
  usableOn: string | null;
  hardOn: string | null;
}

/** Uses that bring hot and wet things to a face. */
const CUPS: readonly string[] = ['tableTop', 'wet', 'food'];
/** Zones that touch food or lips. */
const sayOfFood = sayerOf([foodSentences]);
const CAUTION = 'caution.';

/**
 * What is told of a piece to whoever lives with it: by what lies open of each of its faces, by what is laid at all, by
 * the cautions that stay true after the work. A coating's label wins over all of it.
 */
export function careOf(plan: Plan, fill: PlannedFill): Care {
  const { recipe } = fill.model;
  const zones = recipe ? recipe.zones.filter(({ key }) => (recipe.stacks.get(key) ?? []).length > 0) : [];
  const notes = recipe && zones.length > 0 ? [...cleaningNotes(recipe, zones), ...laidNotes(recipe, zones)] : [];
  return {
    notes: [...new Set(notes)],
    cautions: cautionsAfterwards(plan, fill),
    ...curingDates(plan, fill),
  };
}

type Zones = RecipePlan['zones'];

/** How each face is cleaned: once for all of them where they are alike, else face by face. */
function cleaningNotes(recipe: RecipePlan, zones: Zones): string[] {
  const ways = new Map<CleaningWay, Set<string>>();
  for (const zone of zones) {
    const open = recipe.exposed.get(zone.key) ?? [];
    // What was only touched in part leaves the rest open: the gentlest way holds.
    const least = Math.min(
      cleaningWays.length - 1,
      ...open.map((state) => cleaningWays.indexOf(cleaningOf(state, coatings.find(state.productId ?? '')))),
    );
    const way = cleaningWays[least] ?? 'dust';
    ways.set(way, (ways.get(way) ?? new Set()).add(zone.zone.name));
  }
  const isAlike = ways.size === 1;
  return cleaningWays.flatMap((way) => {
    const faces = ways.get(way);
    if (!faces) return [];
    return [isAlike ? cleaningTexts[way] : `${upperFirst(listed([...faces]))}: ${lowerFirst(cleaningTexts[way])}`];
  });
}

/** What is laid, wherever in the stack: what warmth softens, what rain undoes, what is done again. */
function laidNotes(recipe: RecipePlan, zones: Zones): string[] {
  const laid = laidCoatings(recipe, zones);
  const cares = laid.map(careOfCoating);
  const softens = cares.some((care) => care.softens);
  const hasCups = zones.some(({ zone }) => CUPS.includes(zone.use));
  return [
    ...(softens
      ? ['Nothing hot on it, and not beside a heater or a fire: what is on it softens from about 50 °C (120 °F).']
      : hasCups
        ? ['Coasters under what is hot or wet: rings mark any coat.']
        : []),
    ...cares.flatMap(({ again }) => (again === '' ? [] : [again])),
    outdoorsNote(recipe, zones, laid),
  ];
}

function laidCoatings(recipe: RecipePlan, zones: Zones): Coating[] {
  const layers = new Map(recipe.layers.map((layer) => [layer.id, layer]));
  const laid = zones.flatMap(({ key }) =>
    (recipe.stacks.get(key) ?? []).flatMap(({ layerId, coats }) => {
      const coating = layers.get(layerId)?.coating;
      return coating && coats.coats > 0 ? [coating] : [];
    }),
  );
  return [...new Set(laid)];
}

function outdoorsNote(recipe: RecipePlan, zones: Zones, laid: readonly Coating[]): string {
  const open = new Set(
    zones.flatMap(({ key }) => (recipe.exposed.get(key) ?? []).flatMap(({ productId }) => productId ?? [])),
  );
  // What has to be sealed may stand outdoors where something lies over it that may.
  const strictest = Math.min(
    ...laid.map(({ id, outdoors }) =>
      outdoorsOrder.indexOf(outdoors === 'ifSealed' ? (open.has(id) ? 'no' : 'yes') : outdoors),
    ),
    outdoorsOrder.length - 1,
  );
  switch (outdoorsOrder[strictest]) {
    case 'yes':
      return 'It may stand outdoors as far as its material may.';
    case 'ifLabelled':
      return `Outdoors only where the labels allow it: ${listed(laid.filter(({ outdoors }) => outdoors === 'ifLabelled').map(({ name }) => name.toLowerCase()))}.`;
    default:
      return 'It stays indoors: sun and rain undo it.';
  }
}

/** What stays true of a piece when the work is over, and what may touch food; what is worst first. */
function cautionsAfterwards(plan: Plan, { model }: PlannedFill): string[] {
  const { units, currency } = plan.rows.project;
  const findings = [...(model.recipe?.findings ?? []), ...findingsOfOption(plan.model, model)];
  const texts = findings.flatMap((finding) => {
    const said = sayOfFood(finding, { units, currency });
    if (said !== null) return [said];
    const rule = finding.code.startsWith(CAUTION) ? safetyRules.find(finding.code.slice(CAUTION.length)) : undefined;
    return rule?.afterwards === undefined ? [] : [rule.afterwards];
  });
  return [...new Set(texts)];
}

/** From when on it may be used, and when it has cured in full: by the coats that were laid, else as they are planned. */
function curingDates(plan: Plan, fill: PlannedFill): Pick<Care, 'usableOn' | 'hardOn'> {
  const { recipe } = fill.model;
  if (!recipe || recipe.layers.length === 0) return { usableOn: null, hardOn: null };
  const { timeZone } = plan.rows.project;
  const usableMs = usableMsOf(plan.model, fill, plan.asOfMs);
  const climate = climateOf(plan.assumptions);
  const done = new Map(
    plan.rows.stepRuns.flatMap(({ recipeId, stepId, doneMs }) =>
      recipeId === recipe.recipeId && doneMs !== null ? [[stepId, doneMs] as const] : [],
    ),
  );
  const untouched = plan.model.asIfUntouched(fill.model);
  const planned = new Map(
    (optionDates(plan.model, untouched, fill.count, plan.asOfMs).ready?.laid ?? []).map((step) => [
      step.stepId,
      step.endMs,
    ]),
  );
  // Of what was done and nobody logged the last work of all is known at best; then it is left open.
  const isLogged = recipe.steps.some(({ id }) => done.has(id));
  const ends = recipe.layers.flatMap(({ id, coating, supplyKey }) => {
    const coats = recipe.steps.filter(({ layerId, skipped }) => layerId === id && !skipped);
    const last = coats.flatMap((step) => done.get(step.id) ?? (fill.model.isDone ? [] : (planned.get(step.id) ?? [])));
    if (last.length === 0 || (fill.model.isDone && !isLogged)) return [];
    const days = plan.assumptions.number(`coating.${coating.id}.fullCureDays`, [`supply:${supplyKey}`]);
    return [Math.max(...last) + days * cureFactor(climate, isWaterborne(coating)) * MS_PER_DAY];
  });
  return {
    usableOn: usableMs === null ? null : localDate(usableMs, timeZone),
    hardOn: ends.length === 0 ? null : localDate(Math.max(...ends), timeZone),
  };
}
