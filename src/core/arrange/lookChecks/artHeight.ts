import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { hangingHeightMm } from '../hanging/hangingHeight';
import { furnitureBelow } from './furnitureBelow';
import { hungBlocks, raisedBy } from './hungBlocks';
import { awayFix, holding, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { inches } from './where';

/** Galleries hang at 57 in, others at 58 or 60; in rooms that are used seated 2 to 4 in lower. */
const HIGHEST_MM = inches(60);
const LOWEST_MM = hangingHeightMm - inches(4);
const SLACK_MM = 3;

/** The height of the middle of what hangs by itself; what hangs over furniture goes by its gap instead. */
export const artHeight = lookCheck({
  id: 'artHeight',
  name: 'Height of the middle',
  source: commonPractice,
  school: '57 in, others 58 or 60',
  sentences: {
    holds: (f: { thing: string }) => `${f.thing} hangs at eye height`,
    low: (f: { thing: string }) => `${f.thing} hangs low`,
    high: (f: { thing: string }) => `${f.thing} hangs high`,
    told: (f: { centerMm: number; wantedMm: number }, { units }) =>
      `Its middle is ${formatLength(f.centerMm, units)} above the floor; ${formatLength(f.wantedMm, units)} is usual, a little lower where people sit.`,
    hang: (f: { wantedMm: number }, { units }) => `Middle to ${formatLength(f.wantedMm, units)}`,
    takeDown: () => 'Take it down',
  },
  check: (facts, say) =>
    hungBlocks(facts).flatMap(({ things, box }): LookSaid[] => {
      const first = things[0];
      if (facts.isAbove || !first || furnitureBelow(facts, box)) return [];
      const center = (box.footMm + box.topMm) / 2 + facts.baseMm;
      const name = things.length === 1 ? first.name : 'What hangs there';
      const text = say('told', { centerMm: center, wantedMm: hangingHeightMm });
      const about = things.map(({ id }) => id);
      if (center >= LOWEST_MM - SLACK_MM && center <= HIGHEST_MM + SLACK_MM)
        return [holding(say('holds', { thing: name }), text, about)];
      const by = hangingHeightMm - center;
      const fits = box.footMm + by >= 0 && box.topMm + by <= facts.room.heightMm;
      return [
        lookAgain(say(center < LOWEST_MM ? 'low' : 'high', { thing: name }), text, about, [
          fits
            ? moveFix(say('hang', { wantedMm: hangingHeightMm }), raisedBy(things, by))
            : awayFix(say('takeDown'), ...about),
        ]),
      ];
    }),
});
