import { partedAtCrossings } from './crossings';
import { edgesOf, type WholeRing } from './edge';
import { type Border, ringsOf } from './rings';
import { onTheRight, type Windings, windingsOf } from './windings';

/**
 * The rings around all that two shapes take in together, by a rule: their edges are parted where they meet, what lies on
 * both sides of each is counted, and those with the shape on one side only are its border. Coordinates are whole numbers
 * up to `MOST_WHOLE`. By hand, since whatever shows a plan needs it: a package for it is 25 KB of every page, packed.
 * @param isTaken whether a place belongs to the shape that is asked for, by how often the rings go around it
 * @returns rings that do not cross: clockwise as they are seen, holes against it
 */
export function combined(
  first: readonly WholeRing[],
  second: readonly WholeRing[],
  isTaken: (windings: Windings) => boolean,
): readonly WholeRing[] {
  const edges = partedAtCrossings([...edgesOf(first, 'first'), ...edgesOf(second, 'second')]);
  const borders: Border[] = [];
  for (const [edge, left] of windingsOf(edges)) {
    const [isLeft, isRight] = [isTaken(left), isTaken(onTheRight(edge, left))];
    if (isLeft === isRight) continue;
    borders.push(isRight ? { from: edge.from, to: edge.to } : { from: edge.to, to: edge.from });
  }
  return ringsOf(borders);
}
