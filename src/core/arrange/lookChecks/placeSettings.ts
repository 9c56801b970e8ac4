import { spotMeasure } from '../../catalog/spotKind';
import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import type { LookThing } from '../look/lookThing';
import { seatPlaces } from '../look/seatPlaces';
import { type Place, placeOf } from '../look/settle';
import { awayFix, holding, type LookFacts, type LookSaid, lookAgain, lookCheck, moveFix } from './lookCheck';
import { inches, middleX } from './where';

/** 24 in for each person, 20 to 30. */
const LEAST_MM = inches(20);
const USUAL_MM = inches(24);

/** Plates in a row, and how far it is from the middle of each to that of the next. */
interface Neighbors {
  row: LookThing[];
  apart: number[];
}

const isRound = ({ spot, kind }: LookFacts): boolean => spotMeasure(kind, spot.measures, 'round') === 1;
const middleOf = ({ box }: LookThing): [x: number, y: number] => [middleX(box), (box.frontMm + box.backMm) / 2];

/** Plates whose middles are nearer than this lie on each other, mm. */
const SAME_PLACE_MM = 80;
function isSamePlace(a: LookThing, b: LookThing): boolean {
  const [[ax, ay], [bx, by]] = [middleOf(a), middleOf(b)];
  return Math.hypot(ax - bx, ay - by) < SAME_PLACE_MM;
}

/** Who sits beside whom: along each long side, all around a round table. Who sits at an end has nobody beside. */
function neighborsAt(facts: LookFacts, plates: readonly LookThing[]): Neighbors[] {
  const { widthMm, depthMm } = facts.room;
  if (isRound(facts)) {
    const angle = (plate: LookThing) => {
      const [x, y] = middleOf(plate);
      return Math.atan2(x - widthMm / 2, y - depthMm / 2);
    };
    const row = [...plates].sort((a, b) => angle(a) - angle(b));
    const apart = row.map((plate, n) => {
      const [[ax, ay], [bx, by]] = [middleOf(plate), middleOf(row[(n + 1) % row.length] ?? plate)];
      return Math.hypot(ax - bx, ay - by);
    });
    return [{ row, apart: row.length < 2 ? [] : apart }];
  }
  const share = (plate: LookThing) => middleOf(plate)[1] / depthMm;
  return [plates.filter((plate) => share(plate) < END_FROM), plates.filter((plate) => share(plate) > END_TO)].map(
    (side) => {
      const row = [...side].sort((a, b) => middleX(a.box) - middleX(b.box));
      return { row, apart: row.slice(1).map((plate, n) => middleX(plate.box) - middleX(row[n]?.box ?? plate.box)) };
    },
  );
}
/** What lies nearer to the middle than this, as a share of the table's depth, is at an end of it. */
const END_FROM = 0.4;
const END_TO = 0.6;

/** Plates of a row spread evenly; null where they then still have no room. */
function spreadOut(facts: LookFacts, row: readonly LookThing[]): Place[] | null {
  const [first] = row;
  if (!first) return null;
  if (isRound(facts)) {
    const places = seatPlaces({ ...facts.spot, measures: { ...facts.spot.measures, seats: row.length } }, first.size);
    const radius = (Math.min(facts.room.widthMm, facts.room.depthMm) - first.size.widthMm) / 2;
    if (2 * radius * Math.sin(Math.PI / row.length) < LEAST_MM) return null;
    return row.map((plate, n) => {
      const { xMm, frontMm } = places[n] ?? plate.placement;
      return { ...placeOf(plate), xMm, frontMm };
    });
  }
  const each = facts.room.widthMm / row.length;
  if (each < LEAST_MM) return null;
  return row.map((plate, n) => ({ ...placeOf(plate), xMm: each * (n + 0.5) - plate.size.widthMm / 2 }));
}

/** Plates along each long side of the table, or around it: 24 in from one middle to the next. */
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
    const laid = facts.things.filter(({ kinds, placement }) => kinds.has('setting') && placement.onId === null);
    // A plate on its charger is one place.
    const plates = laid.filter((plate, n) => !laid.slice(0, n).some((other) => isSamePlace(plate, other)));
    return neighborsAt(facts, plates).flatMap(({ row, apart }): LookSaid[] => {
      const last = row.at(-1);
      if (apart.length === 0 || !last) return [];
      const least = Math.min(...apart);
      const text = say('told', { leastMm: least, usualMm: USUAL_MM });
      const about = row.map(({ id }) => id);
      if (least >= LEAST_MM - 3) return [holding(say('holds'), text, about)];
      const spread = spreadOut(facts, row);
      return [
        lookAgain(say('narrow'), text, about, [
          spread ? moveFix(say('spread'), spread) : awayFix(say('takeAway', { thing: last.name }), last.id),
        ]),
      ];
    });
  },
});
