import { Assumptions } from '@core/catalog/assumptions';
import { labFromHex } from '@core/color/lab';
import { computeRecipe } from '@core/recipe/computeRecipe';
import { chosenLayer, recipeFor } from '@core/recipe/recipeBody';
import type { PieceFacts, RecipeContext } from '@core/recipe/recipeContext';
import { emptyHousehold } from '@core/state/brief';
import { type Timing, timing } from './measure';

/** A recipe of thirty zones and four layers computed anew, as after each keystroke. */
export async function recipeBench(show: (name: string, value: Timing, aim: string) => void): Promise<void> {
  const piece: PieceFacts = {
    id: 'cabinet',
    name: 'Apothecary cabinet',
    kind: 'ordinary',
    materialId: 'pine',
    finishId: 'glossyVarnish',
    sheen: 'gloss',
    color: labFromHex('#9b6b43'),
    era: 'recent',
    leadTest: 'notTested',
    cordCondition: 'none',
    inspected: [],
  };
  const context: RecipeContext = {
    pieces: new Map([[piece.id, piece]]),
    colorCards: new Map([['teal', { id: 'teal', name: 'Teal', lab: labFromHex('#2f5d62') }]]),
    assumptions: new Assumptions([]),
    skill: 'practiced',
    school: 'untilHidden',
    eye: 'ordinary',
    preparation: 'scuffAndGo',
    household: emptyHousehold,
    lessons: [],
    stocks: new Map(),
    artworks: new Map(),
    hasCuttingMachine: true,
  };
  const body = recipeFor(piece.id, 'dresser', {}, 'piece');
  body.pieces = body.pieces.map((entry) => ({
    ...entry,
    ownZones: Array.from({ length: 27 }, (_, n) => ({
      id: `zone-${n}`,
      name: `Small drawer ${n + 1}`,
      shape: { kind: 'rectangle', values: { widthMm: 180 + n, heightMm: 120, edgeMm: 15 } },
    })),
  }));
  body.layers = [
    chosenLayer('base', 'chalk', { colorCardId: 'teal' }),
    chosenLayer('accent', 'craftAcrylic', { techniqueId: 'dryBrush', colorCardId: 'teal' }),
    chosenLayer('wax', 'clearWax'),
    chosenLayer('dark', 'darkWax', { colorCardId: 'teal' }),
  ];
  let width = 1000;
  const zones = computeRecipe('bench', body, context).zones.length;
  show(
    `recipe of ${zones} zones and ${body.layers.length} layers, a measure typed`,
    await timing(200, () => {
      width += 1;
      const typed = {
        ...body,
        pieces: body.pieces.map((entry) => ({ ...entry, measures: { ...entry.measures, widthMm: width } })),
      };
      return computeRecipe('bench', typed, context);
    }),
    'under 5 ms',
  );
}
