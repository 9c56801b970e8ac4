import { labFromHex } from '@core/color/lab';
import { stated } from '@core/kernel/price';
import { seededRandom } from '@core/kernel/seededRandom';
import { blankOption } from '@core/model/blankOption';
import { blankSighting } from '@core/model/blankSighting';
import type { FindRow, OfferRow, OptionRow, ProjectRows, RecipeRow } from '@core/model/rows';
import { newSlot, newSpot } from '@core/plan/newRows';
import { plainStory } from '@core/pricing/priceStory';
import { chosenLayer, recipeFor } from '@core/recipe/recipeBody';
import { emptyBrief, emptyHousehold } from '@core/state/brief';
import { usualWorkshop } from '@core/state/workshop';
import { completeMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';
import { rows } from '../src/core/fixtures/projectRows';

const hexes = ['#2f5d62', '#f1efe6', '#2b2a2c', '#b5651d', '#8a9a5b', '#40407a'];
const finishes = [null, 'soundOldPaint', 'glossyVarnish'];
const materials = ['pine', 'veneer', 'laminate', 'ferrousMetal'];
const paints = ['chalk', 'wallAcrylic', 'waterborneEnamel', 'aerosolEnamel'];

/**
 * A made-up project at the limits: 100 slots (or as many as asked for), four ways each, a recipe for six of ten. The same
 * seed gives the same project.
 */
export function largeProject(seed: number, slotCount = 100): ProjectRows {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  let made = 0;
  const id = () => {
    made += 1;
    return `00000000-0000-4000-8000-${(seed * 1_000_000 + made).toString(16).padStart(12, '0')}`;
  };
  const spots = Array.from({ length: 5 }, (_, position) => ({
    ...newSpot(id(), `Spot ${position + 1}`, 'wall', position),
    widthMm: 3000,
    heightMm: 2400,
  }));
  const colorCards = hexes.map((hex, n) => ({ id: id(), version: 1, name: `Color ${n + 1}`, lab: labFromHex(hex) }));
  const slots = Array.from({ length: slotCount }, (_, n) => ({
    ...newSlot(id(), spots[n % spots.length]?.id ?? '', n + 1, `Slot ${n + 1}`),
    quantity: n % 7 === 0 ? 2 : 1,
    importance: pick(['must', 'wanted', 'nice'] as const),
    height: { minimumMm: 300, maximumMm: 900 },
  }));
  const finds: FindRow[] = [];
  const offers: OfferRow[] = [];
  const recipes: RecipeRow[] = [];
  const options: OptionRow[] = [];
  const option = (slotId: string, kind: OptionRow['kind'], parts: OptionRow['parts'], recipeId: string | null) =>
    options.push({
      id: id(),
      version: 1,
      slotId,
      kind,
      parts,
      recipeId,
      ...blankOption,
    });
  for (const [n, slot] of slots.entries()) {
    const template = pick(furnitureTemplates.all);
    const find: FindRow = {
      id: id(),
      version: 1,
      name: `Find ${n + 1}`,
      ...blankSighting,
      state: 'seen',
      kind: template.id === 'lampBase' ? 'lamp' : 'ordinary',
      templateId: template.id,
      measures: completeMeasures(template, {}),
      materialId: pick(materials),
      finishId: pick(finishes),
      sheen: 'unknown',
      color: null,
      era: pick(['unknown', 'recent'] as const),
      leadTest: 'notTested',
      cordCondition: 'none',
      story: {
        ...plainStory(stated(300 + Math.floor(random() * 4000))),
        lines: random() < 0.5 ? [{ kind: 'markdown', percentThousandths: 50_000 }] : [],
        pieces: slot.quantity,
      },
      repairMinutes: Math.floor(random() * 20),
      count: slot.quantity,
      counted: true,
      freshDays: null,
      inHouse: false,
      borrowedFrom: '',
      backBy: null,
      inspected: [],
      sorted: true,
      pieceId: id(),
    };
    finds.push(find);
    const offer: OfferRow = {
      id: id(),
      version: 1,
      name: `New ${n + 1}`,
      sourceId: null,
      price: stated(3000 + Math.floor(random() * 12_000)),
      delivery: random() < 0.5 ? 900 : 0,
      deliveryTaxed: true,
      pieces: 1,
      assemblyMinutes: 20,
      leadDays: 5,
      templateId: template.id,
      measures: completeMeasures(template, {}),
      color: null,
      dream: false,
      arrivedOn: null,
      rented: null,
    };
    offers.push(offer);
    const part = [{ findId: find.id, offerId: null, pieces: 1 }];
    option(slot.id, 'asFound', part, null);
    option(slot.id, 'buyNew', [{ findId: null, offerId: offer.id, pieces: 1 }], null);
    const withRecipe = n < slotCount * 0.6;
    if (withRecipe) {
      const body = recipeFor(find.id, template.id, find.measures, id());
      body.layers = [chosenLayer(id(), pick(paints), { colorCardId: pick(colorCards).id })];
      const recipe = { id: id(), version: 1, name: find.name, body, doneOn: null, uses: [] };
      recipes.push(recipe);
      option(slot.id, 'makeover', part, recipe.id);
    } else option(slot.id, 'own', part, null);
    option(slot.id, 'buyNew', [{ findId: null, offerId: offer.id, pieces: 2 }], null);
  }
  return rows({
    project: {
      id: id(),
      version: 1,
      name: 'A hundred slots',
      room: '',
      currency: 'USD',
      units: 'us',
      timeZone: 'America/New_York',
      budget: 900_000,
      contingencyThousandths: 10_000,
      tax: { percentThousandths: 6_000, included: false },
      hoursOnHandMinutes: 9_000,
      skill: 'practiced',
      hourValue: 1_500,
      revealDate: '2026-09-01',
      standsUntil: null,
      archivedOn: null,
      school: 'untilHidden',
      eye: 'ordinary',
      household: { ...emptyHousehold, youngestChildYears: 4 },
      brief: emptyBrief,
      workshop: usualWorkshop,
    },
    spots,
    slots,
    finds,
    offers,
    options,
    fills: slots.map((slot, n) => {
      const ways = options.filter((entry) => entry.slotId === slot.id);
      return { id: id(), version: 1, slotId: slot.id, optionId: ways[n % 3]?.id ?? '', count: 1 };
    }),
    recipes,
    colorCards,
  });
}
