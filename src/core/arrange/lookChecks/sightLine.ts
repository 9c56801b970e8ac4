import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { carriedAlong, placeOf } from '../look/settle';
import { awayFix, holding, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { inches, middleX } from './where';

/** Over the middle of a table one looks: up to 12 in over it, from 24 in on beneath it. */
const OVER_MM = inches(14);
const UNDER_MM = inches(24);
/** The ends of a table, where nobody looks across. */
const END_SHARE = 0.15;

/** What stands between people's eyes at a table: low enough to look over, or on a stem to look under. */
export const sightLine = lookCheck({
  id: 'sightLine',
  name: 'Looking across the table',
  source: commonPractice,
  school: 'up to 12 to 14 in, or from 24 in on a stem',
  sentences: {
    holds: () => 'People see each other',
    blocks: (f: { thing: string }) => `${f.thing} stands between eyes`,
    told: (f: { topMm: number; overMm: number; underMm: number }, { units }) =>
      `It reaches ${formatLength(f.topMm, units)} above the table; up to ${formatLength(f.overMm, units)} is looked over, from ${formatLength(f.underMm, units)} on a thin stem looked under.`,
    holdsTold: (f: { overMm: number }, { units }) =>
      `Nothing in the middle reaches over ${formatLength(f.overMm, units)}.`,
    down: (f: { thing: string }) => `${f.thing} off its riser`,
    toEnd: () => 'Move it to the end of the table',
    takeAway: () => 'Take it away',
  },
  check: (facts, say) => {
    if (facts.kind.id !== 'diningTable') return [];
    const { widthMm } = facts.room;
    const isMiddle = (x: number) => x > widthMm * END_SHARE && x < widthMm * (1 - END_SHARE);
    const tall = facts.things.filter(
      ({ box, size }) =>
        isMiddle(middleX(box)) && box.topMm > OVER_MM + 2 && !(box.topMm >= UNDER_MM && size.widthMm <= inches(4)),
    );
    if (tall.length === 0)
      return facts.things.length > 0 ? [holding(say('holds'), say('holdsTold', { overMm: OVER_MM }))] : [];
    return tall.map((thing): LookSaid => {
      const isLifted = thing.placement.onId !== null && thing.size.heightMm <= OVER_MM;
      const half = thing.size.widthMm / 2;
      const xMm = middleX(thing.box) < widthMm / 2 ? 0 : widthMm - thing.size.widthMm;
      const fits = half < widthMm * END_SHARE;
      return lookAgain(
        say('blocks', { thing: thing.name }),
        say('told', { topMm: thing.box.topMm, overMm: OVER_MM, underMm: UNDER_MM }),
        [thing.id],
        [
          ...(isLifted
            ? [
                moveFix(
                  say('down', { thing: thing.name }),
                  carriedAlong(facts.things, thing, { ...placeOf(thing), footMm: 0, onId: null }),
                ),
              ]
            : []),
          ...(fits
            ? [
                moveFix(
                  say('toEnd'),
                  carriedAlong(facts.things, thing, { ...placeOf(thing), xMm, footMm: 0, onId: null }),
                ),
              ]
            : []),
          awayFix(say('takeAway'), thing.id),
        ],
      );
    });
  },
});
