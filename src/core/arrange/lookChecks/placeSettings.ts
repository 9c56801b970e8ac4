import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import type { LookThing } from '../look/lookThing';
import { placeOf } from '../look/settle';
import { awayFix, holding, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { inches, middleX } from './where';

/** 24 in for each person, 20 to 30. */
const LEAST_MM = inches(20);
const USUAL_MM = inches(24);

/** Plates along each long side of the table: 24 in from one middle to the next. */
export const placeSettings = lookCheck({
  id: 'placeSettings',
  name: 'Place settings',
  source: commonPractice,
  school: '24 in a person, 20 at least',
  sentences: {
    holds: () => 'Everybody has room',
    narrow: () => 'Places are narrow',
    told: (f: { leastMm: number; usualMm: number }, { units }) =>
      `${formatLength(f.leastMm, units)} from one plate to the next at the narrowest; ${formatLength(f.usualMm, units)} lets elbows be.`,
    spread: () => 'Spread them evenly',
    takeAway: (f: { thing: string }) => `Take ${f.thing} away`,
  },
  check: (facts, say) => {
    if (facts.kind.id !== 'diningTable') return [];
    const plates = facts.things.filter(({ kinds, placement }) => kinds.has('setting') && placement.onId === null);
    const isFront = ({ box }: LookThing) => (box.frontMm + box.backMm) / 2 < facts.room.depthMm / 2;
    return [plates.filter(isFront), plates.filter((plate) => !isFront(plate))].flatMap((side): LookSaid[] => {
      const row = [...side].sort((a, b) => middleX(a.box) - middleX(b.box));
      const last = row.at(-1);
      if (row.length < 2 || !last) return [];
      const apart = row.slice(1).map((plate, n) => middleX(plate.box) - middleX(row[n]?.box ?? plate.box));
      const least = Math.min(...apart);
      const text = say('told', { leastMm: least, usualMm: USUAL_MM });
      const about = row.map(({ id }) => id);
      if (least >= LEAST_MM - 3) return [holding(say('holds'), text, about)];
      const each = facts.room.widthMm / row.length;
      return [
        lookAgain(say('narrow'), text, about, [
          each >= LEAST_MM
            ? moveFix(
                say('spread'),
                row.map((plate, n) => ({ ...placeOf(plate), xMm: each * (n + 0.5) - plate.size.widthMm / 2 })),
              )
            : awayFix(say('takeAway', { thing: last.name }), last.id),
        ]),
      ];
    });
  },
});
