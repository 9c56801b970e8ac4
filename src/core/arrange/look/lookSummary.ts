import { hexFromLab } from '../../color/lab';
import type { SpotRow } from '../../model/rows';
import type { Plan } from '../../plan/computePlan';
import type { Measures } from '../../surface/furnitureTemplate';
import { isSeenFromAbove, lookRoom } from './lookRoom';
import type { LookThing } from './lookThing';
import { lookThings } from './lookThings';
import { newLook } from './newLook';
import { startingLook } from './startingLook';
import { likenessOfThing } from './thingView';

/** More things than this are not seen in a small picture. */
const MOST_DRAWN = 24;
/** The bare wall above the tallest thing is not shown whole. */
const ABOVE = 1.12;
const LEAST_SHOWN = 0.4;

/** A thing as a small picture draws it: its kind and measures, where it is, the colors of its zones. */
export interface SummaryThing {
  templateId: string | null;
  /** What it looks like by its name, where its kind says no more than a box. */
  likenessId: string | null;
  measures: Measures;
  xMm: number;
  /** Above the base, or from the front edge where it is seen from above. */
  upMm: number;
  widthMm: number;
  highMm: number;
  colors: Readonly<Record<string, string>>;
}

/** The first spot of a project in small. */
export interface LookSummary {
  spot: string;
  widthMm: number;
  highMm: number;
  isAbove: boolean;
  things: readonly SummaryThing[];
}

/**
 * The first spot of a project as it is arranged in its first look; as its sketch has it while nothing is arranged.
 * @returns null where no spot calls for anything
 */
export function lookSummary(plan: Plan): LookSummary | null {
  const spots = [...plan.rows.spots].sort((a, b) => a.position - b.position);
  for (const spot of spots) {
    const summary = spotSummary(plan, spot);
    if (summary) return summary;
  }
  return null;
}

/** A spot in small, as its first look has it; null where it calls for nothing. */
export function spotSummary(plan: Plan, spot: SpotRow): LookSummary | null {
  const look = plan.rows.looks
    .filter(({ spotId }) => spotId === spot.id)
    .sort((a, b) => a.position - b.position || (a.id < b.id ? -1 : 1))[0];
  const things = look ? lookThings(plan, look) : fromSketch(plan, spot.id);
  if (things.length === 0) return null;
  const isAbove = isSeenFromAbove(spot);
  const room = lookRoom(spot);
  const tallest = Math.max(room.heightMm * LEAST_SHOWN, ...things.map(({ box }) => box.topMm * ABOVE));
  return {
    spot: spot.name,
    isAbove,
    widthMm: Math.round(room.widthMm),
    highMm: Math.round(isAbove ? room.depthMm : Math.min(room.heightMm, tallest)),
    things: things.slice(0, MOST_DRAWN).map((thing) => summaryThing(thing, isAbove)),
  };
}

function summaryThing(thing: LookThing, isAbove: boolean): SummaryThing {
  const { template, measures, box, size, colorOf } = thing;
  const likeness = likenessOfThing(thing);
  const zones = template?.zones(measures) ?? [];
  return {
    templateId: template?.id ?? null,
    likenessId: likeness?.id ?? null,
    measures,
    xMm: Math.round(box.leftMm),
    upMm: Math.round(isAbove ? box.frontMm : box.footMm),
    widthMm: Math.round(size.widthMm),
    highMm: Math.round(isAbove ? size.depthMm : size.heightMm),
    colors: Object.fromEntries(
      (likeness ? [['sides', thing.color] as const] : zones.map(({ id }) => [id, colorOf(id)] as const)).flatMap(
        ([id, color]) => (color ? [[id, hexFromLab(color)]] : []),
      ),
    ),
  };
}

/** A spot as its sketch has it, without anything being stored. */
function fromSketch(plan: Plan, spotId: string): LookThing[] {
  const spot = plan.rows.spots.find(({ id }) => id === spotId);
  if (!spot || !plan.rows.slots.some((slot) => slot.spotId === spotId && !slot.leftOut)) return [];
  let made = 0;
  const look = newLook('sketch', spotId, '', 0);
  const pieces = startingLook(plan, look, spot, () => {
    made += 1;
    return `sketch ${made}`;
  });
  return lookThings(plan, look, pieces);
}
