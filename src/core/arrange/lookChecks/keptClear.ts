import { featuresOf } from '../../catalog/spotBoards';
import { type FeatureKind, spotFeatures } from '../../catalog/spotFeatures.data';
import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import type { SpotFeature } from '../../model/rows';
import { type LookThing, meets, type ThingBox } from '../look/lookThing';
import { awayFix, holding, type LookFacts, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { boxWithLeft, inches, moved, nearestX } from './where';

/** A door swings over its width and 2 in more; a drawer needs its depth and room to stand. */
const DOOR_MORE_MM = inches(2);
const DRAWER_STAND_MM = inches(24);
/** So much between the wall and what stands before a socket lets a hand in. */
const HAND_MM = inches(2);

/** What must stay free for a door, a drawer, a way, a socket: from the front its own outline, from above what it sweeps. */
function clearBox({ room, isAbove, kind }: LookFacts, feature: SpotFeature): ThingBox {
  const isDoor = feature.kind === 'door';
  const more = isDoor ? DOOR_MORE_MM : 0;
  const swing = isDoor ? feature.widthMm + DOOR_MORE_MM : feature.kind === 'drawer' ? DRAWER_STAND_MM : 0;
  const whole = { frontMm: 0, backMm: room.depthMm, footMm: 0, topMm: room.heightMm };
  const across = { leftMm: feature.xMm - more, rightMm: feature.xMm + feature.widthMm + more };
  if (isAbove || kind.view === 'plan')
    return { ...whole, ...across, frontMm: feature.yMm - swing, backMm: feature.yMm + feature.heightMm + swing };
  // A socket or a tap is on the wall: what stands before it with a hand between is not in its way.
  if (feature.kind === 'socket' || feature.kind === 'water')
    return {
      ...whole,
      ...across,
      footMm: feature.yMm,
      topMm: feature.yMm + feature.heightMm,
      frontMm: room.depthMm - HAND_MM,
    };
  return isDoor
    ? { ...whole, ...across, topMm: feature.heightMm + feature.yMm }
    : { ...whole, ...across, footMm: feature.yMm, topMm: feature.yMm + feature.heightMm };
}

/** Kinds that a look must leave free, and how it is said of each. */
const kept: Partial<Record<FeatureKind, 'swings' | 'opens' | 'walked' | 'worked' | 'reached' | 'meets'>> = {
  door: 'swings',
  drawer: 'opens',
  walkway: 'walked',
  keepFree: 'worked',
  socket: 'reached',
  obstacle: 'meets',
  heater: 'meets',
  flame: 'meets',
  water: 'reached',
};

/** A mat lies before a door, and what hangs on it swings with it. */
const mayBeAt = ({ kind, xMm, widthMm }: SpotFeature, { placement, kinds, box }: LookThing): boolean =>
  kind === 'door' &&
  (kinds.has('rug') || (placement.stance === 'hangs' && box.leftMm >= xMm && box.rightMm <= xMm + widthMm));

/** Doors and drawers open, people pass, sockets are reached, space to work in stays. */
export const keptClear = lookCheck({
  id: 'keptClear',
  name: 'Door, drawer, way, socket, space to work',
  source: commonPractice,
  sentences: {
    free: () => 'Door, drawer and way are free',
    freeTold: (f: { count: number }) =>
      `${f.count === 1 ? 'What' : `All ${f.count} things that`} must stay free ${f.count === 1 ? 'does' : 'do'}.`,
    title: (f: { thing: string; feature: string }) => `${f.thing} is in the way of ${f.feature}`,
    swings: (f: { wideMm: number }, { units }) => `It swings over ${formatLength(f.wideMm, units)}.`,
    opens: (f: { wideMm: number }, { units }) =>
      `It opens ${formatLength(f.wideMm, units)} wide, and somebody stands before it.`,
    walked: (f: { wideMm: number }, { units }) =>
      `People pass here: 36 in for a main way, 24 at least; this one is ${formatLength(f.wideMm, units)}.`,
    worked: (f: { wideMm: number }, { units }) => `${formatLength(f.wideMm, units)} are meant to stay free.`,
    reached: (f: { wideMm: number }, { units }) => `It must be reached; it is ${formatLength(f.wideMm, units)} wide.`,
    meets: (f: { wideMm: number }, { units }) => `It takes ${formatLength(f.wideMm, units)} there.`,
    move: (f: { byMm: number }, { units }) => `Move it ${formatLength(f.byMm, units)}`,
    takeAway: () => 'Take it away',
  },
  check: (facts, say) => {
    if (facts.isAbove !== (facts.kind.view === 'plan')) return [];
    const clear = featuresOf(facts.spot).flatMap((feature) => {
      const how = kept[feature.kind];
      return how ? [{ feature, how, box: clearBox(facts, feature) }] : [];
    });
    if (clear.length === 0 || facts.things.length === 0) return [];
    const inWay = clear.flatMap(({ feature, how, box }) =>
      facts.things.flatMap((thing): LookSaid[] => {
        if (!meets(thing.box, box) || mayBeAt(feature, thing)) return [];
        const xMm =
          thing.placement.onId === null
            ? nearestX(facts, thing, (leftMm) => {
                const at = boxWithLeft(thing.box, leftMm);
                return (
                  clear.every((other) => !meets(at, other.box)) &&
                  facts.things.every(
                    (other) => other.id === thing.id || other.placement.onId === thing.id || !meets(at, other.box),
                  )
                );
              })
            : null;
        return [
          lookAgain(
            say('title', { thing: thing.name, feature: feature.name || spotFeatures[feature.kind].called }),
            say(how, { wideMm: box.rightMm - box.leftMm }),
            [thing.id],
            [
              ...(xMm === null
                ? []
                : [moveFix(say('move', { byMm: Math.abs(xMm - thing.placement.xMm) }), moved(facts, thing, { xMm }))]),
              awayFix(say('takeAway'), thing.id),
            ],
          ),
        ];
      }),
    );
    return inWay.length > 0 ? inWay : [holding(say('free'), say('freeTold', { count: clear.length }))];
  },
});
