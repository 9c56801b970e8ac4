import type { Drawing } from '../drawing';
import type { FurnitureTemplate, Measures } from '../furnitureTemplate';
import { lastSaid } from '../lastSaid';
import { topDrawing } from '../views';
import { cloth } from './cloth.data';
import { devices } from './devices.data';
import { figures } from './figures.data';
import { furnishings } from './furnishings.data';
import { household } from './household.data';
import { lights } from './lights.data';
import { drawnShape, type Likeness } from './likeness';
import { onTheWall } from './onTheWall.data';
import { plants } from './plants.data';
import { seats } from './seats.data';
import { tableware } from './tableware.data';
import { utensils } from './utensils.data';

export type { Likeness };

/** All likenesses; of a word that two say, the first counts. */
export const likenesses: readonly Likeness[] = [
  ...tableware,
  ...plants,
  ...household,
  ...lights,
  ...cloth,
  ...seats,
  ...onTheWall,
  ...furnishings,
  ...devices,
  ...utensils,
  ...figures,
];

const saidWhole = likenesses.filter(({ said }) => said !== undefined);
const saidLast = lastSaid(likenesses, ({ not }, name) => not?.test(name) === true);

/**
 * What a thing looks like by its name: the last word that says what it is, the longest where several end there.
 * @example "Small brass bird on a stand" → a bird; "stack of plates" → plates; "Something" → null
 */
export function likenessOf(name: string): Likeness | null {
  const whole = saidWhole.find(({ said, not }) => said?.test(name) && !not?.test(name));
  return whole ?? saidLast(name);
}

/**
 * What a piece is drawn as by its name: where its kind says no more than a box, or less than the name does.
 * @param templateId its kind; null where it has none
 */
export function likenessInstead(templateId: string | null, name: string): Likeness | null {
  const likeness = plantIn(name) ?? likenessOf(name);
  const isPlain = templateId === null || templateId === PLAIN;
  return isPlain || likeness?.instead?.includes(templateId) ? likeness : null;
}
/** What grows in a pot: a pot of thyme, a planter with boxwood. */
const potted = /\b(?:pots?|planters?|urns?|buckets?|cachepots?|tubs?)\s+(?:of|with)\s+(.+)$/i;
function plantIn(name: string): Likeness | null {
  const plant = likenessOf(potted.exec(name)?.[1] ?? '');
  return plant && plants.includes(plant) ? plant : null;
}
/** The kind of furniture that stands for anything. */
const PLAIN = 'freeBox';

/** The front of a likeness, as large as the piece is. */
export const likenessFront = ({ front }: Likeness, widthMm: number, heightMm: number): Drawing => ({
  widthMm,
  heightMm,
  shapes: front.map((shape) => drawnShape(shape, widthMm, heightMm)),
  labels: [],
  dimensions: [],
});

/** The same from above: round, or with corners. */
export const likenessAbove = ({ plan }: Likeness, widthMm: number, depthMm: number): Drawing =>
  topDrawing('sides', plan !== 'square', widthMm, depthMm);

/** How a piece draws itself where it is shown by itself: as its kind, or as what it is called where that says more. */
export function pieceDrawing(template: FurnitureTemplate, measures: Measures, name: string): Drawing {
  const likeness = likenessInstead(template.id, name);
  if (!likeness) return template.draw(measures);
  const { width, height } = template.overall;
  return likenessFront(
    likeness,
    Math.max(1, (width === null ? undefined : measures[width]) ?? 1),
    Math.max(1, measures[height] ?? 1),
  );
}
