import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { hungRow } from '../hanging/hungRow';
import type { LookThing } from '../look/lookThing';
import { placeOf } from '../look/settle';
import { hungBlocks } from './hungBlocks';
import { awayFix, holding, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { inches } from './where';

/** 2 to 3 in, 2 1/2 usual; others 1 1/2 to 2, or up to 6 for large ones. */
const LEAST_MM = inches(1.5);
const MOST_MM = inches(6);
const USUAL_MM = inches(2.5);
/** Gaps that differ by more than this are seen. */
const SEEN_MM = inches(1 / 4);

/** Frames of a block that hang side by side, from left to right: those whose heights overlap by more than half. */
function rowsOf(things: readonly LookThing[]): LookThing[][] {
  const rows: LookThing[][] = [];
  for (const thing of [...things].sort((a, b) => a.box.leftMm - b.box.leftMm)) {
    const row = rows.find((own) =>
      own.every(({ box }) => {
        const common = Math.min(box.topMm, thing.box.topMm) - Math.max(box.footMm, thing.box.footMm);
        return common > Math.min(box.topMm - box.footMm, thing.size.heightMm) / 2;
      }),
    );
    if (row) row.push(thing);
    else rows.push([thing]);
  }
  return rows.filter((row) => row.length > 1);
}

/** The gaps between frames that hang side by side: alike, and a hand wide at most. */
export const galleryGaps = lookCheck({
  id: 'galleryGaps',
  name: 'Gaps between frames',
  source: commonPractice,
  school: '2 to 3 in, others up to 6',
  sentences: {
    holds: () => 'Frames hang evenly',
    uneven: () => 'Gaps between frames differ',
    narrow: () => 'Frames hang close',
    told: (f: { leastMm: number; mostMm: number }, { units }) =>
      f.leastMm === f.mostMm
        ? `${formatLength(f.leastMm, units)} between them.`
        : `${formatLength(f.leastMm, units)} to ${formatLength(f.mostMm, units)} between them; alike to 1/4 in they read as one.`,
    even: (f: { gapMm: number }, { units }) => `${formatLength(f.gapMm, units)} between all`,
    takeDown: () => 'Take it down',
  },
  check: (facts, say) =>
    facts.isAbove
      ? []
      : hungBlocks(facts)
          .flatMap(({ things }) => rowsOf(things))
          .flatMap((row): LookSaid[] => {
            const gaps = row.slice(1).map((right, n) => right.box.leftMm - (row[n]?.box.rightMm ?? 0));
            const [least, most] = [Math.min(...gaps), Math.max(...gaps)];
            const text = say('told', { leastMm: least, mostMm: most });
            const about = row.map(({ id }) => id);
            if (most - least <= SEEN_MM && least >= LEAST_MM - 1 && most <= MOST_MM + 1)
              return [holding(say('holds'), text, about)];
            const average = gaps.reduce((sum, gap) => sum + gap, 0) / gaps.length;
            const gapMm = average >= LEAST_MM && average <= MOST_MM ? average : USUAL_MM;
            const middle = ((row[0]?.box.leftMm ?? 0) + (row.at(-1)?.box.rightMm ?? 0)) / 2;
            const even = hungRow(
              row.map(({ size }) => size.widthMm),
              facts.room.widthMm,
              { kind: 'fixedGap', gapMm },
            );
            const last = row.at(-1);
            if (!even.fits)
              return last ? [lookAgain(say('narrow'), text, about, [awayFix(say('takeDown'), last.id)])] : [];
            const whole = (even.places.at(-1)?.leftMm ?? 0) + (even.places.at(-1)?.widthMm ?? 0) - even.marginMm;
            const by = Math.min(Math.max(0, middle - whole / 2), facts.room.widthMm - whole) - even.marginMm;
            const places = row.map((thing, n) => ({ ...placeOf(thing), xMm: (even.places[n]?.leftMm ?? 0) + by }));
            const isNarrow = least < LEAST_MM && most - least <= SEEN_MM;
            return [
              lookAgain(say(isNarrow ? 'narrow' : 'uneven'), text, about, [moveFix(say('even', { gapMm }), places)]),
            ];
          }),
});
