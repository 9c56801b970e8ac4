import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { carriedAlong, placeOf } from '../look/settle';
import { thingSpace } from '../look/thingSpace';
import { awayFix, holding, type LookFacts, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { inches } from './where';

/** A rod hangs 4 to 6 in above the frame of the window, or higher where there is room; at least a hand beyond it. */
const LEAST_OVER_MM = inches(4);
const USUAL_OVER_MM = inches(5);
const LEAST_BEYOND_MM = inches(3);
const SLACK_MM = 3;

/** The window of a spot: the spot itself, or one that is marked in it. */
function windowOf({ kind, spot, room, isAbove }: LookFacts) {
  if (isAbove) return null;
  const marked = spot.features.find((feature) => feature.kind === 'window');
  if (marked) return { leftMm: marked.xMm, rightMm: marked.xMm + marked.widthMm, topMm: marked.yMm + marked.heightMm };
  return kind.id === 'window' ? { leftMm: 0, rightMm: room.widthMm, topMm: room.heightMm } : null;
}

/** Curtains begin above the frame of their window and hang beyond its sides, so that it looks larger and light comes in. */
export const curtainRod = lookCheck({
  id: 'curtainRod',
  name: 'Curtains',
  source: commonPractice,
  school: '4 to 6 in above, 3 and more beyond',
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} begins above the frame`,
    low: (f: { thing: string }) => `${f.thing} hangs low`,
    told: (f: { overMm: number; wantedMm: number }, { units }) =>
      `It begins ${formatLength(f.overMm, units)} above the frame; ${formatLength(f.wantedMm, units)} and more makes the window taller.`,
    within: (f: { thing: string }) => `${f.thing} covers the glass`,
    withinTold: (f: { beyondMm: number }, { units }) =>
      `It hangs ${formatLength(f.beyondMm, units)} beyond the frame; 3 to 12 in lets the light in when it is drawn open.`,
    raise: () => 'Hang it above the frame',
    beyond: () => 'Hang it beyond the frame',
    takeDown: () => 'Take it down',
  },
  check: (facts, say) => {
    const window = windowOf(facts);
    if (!window) return [];
    return facts.things
      .filter(({ kinds, placement }) => kinds.has('curtain') && placement.stance === 'hangs')
      .flatMap((thing): LookSaid[] => {
        const { box, size } = thing;
        const over = box.topMm - window.topMm;
        const isLeft = (box.leftMm + box.rightMm) / 2 < (window.leftMm + window.rightMm) / 2;
        const beyond = isLeft ? window.leftMm - box.leftMm : box.rightMm - window.rightMm;
        const takeDown = awayFix(say('takeDown'), thing.id);
        const said: LookSaid[] = [];
        const space = thingSpace(thing, facts.room);
        const highest = space.topMm - window.topMm;
        if (over < LEAST_OVER_MM - SLACK_MM && highest >= LEAST_OVER_MM) {
          const footMm = window.topMm + Math.min(USUAL_OVER_MM, highest) - size.heightMm;
          said.push(
            lookAgain(
              say('low', { thing: thing.name }),
              say('told', { overMm: over, wantedMm: LEAST_OVER_MM }),
              [thing.id],
              footMm >= space.footMm
                ? [moveFix(say('raise'), carriedAlong(facts.things, thing, { ...placeOf(thing), footMm }))]
                : [takeDown],
            ),
          );
        }
        const room = isLeft ? window.leftMm - space.leftMm : space.rightMm - window.rightMm;
        if (beyond < LEAST_BEYOND_MM - SLACK_MM && room >= LEAST_BEYOND_MM) {
          const by = Math.min(room, inches(8));
          const xMm = isLeft ? window.leftMm - by : window.rightMm + by - size.widthMm;
          said.push(
            lookAgain(
              say('within', { thing: thing.name }),
              say('withinTold', { beyondMm: beyond }),
              [thing.id],
              [
                xMm >= space.leftMm && xMm + size.widthMm <= space.rightMm
                  ? moveFix(say('beyond'), carriedAlong(facts.things, thing, { ...placeOf(thing), xMm }))
                  : takeDown,
              ],
            ),
          );
        }
        return said.length > 0
          ? said
          : [
              holding(say('holds', { thing: thing.name }), say('told', { overMm: over, wantedMm: LEAST_OVER_MM }), [
                thing.id,
              ]),
            ];
      });
  },
});
