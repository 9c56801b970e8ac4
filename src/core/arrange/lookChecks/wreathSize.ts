import { formatLength } from '../../kernel/formatLength';
import { commonPractice } from '../../kernel/source';
import { placeOf } from '../look/settle';
import { awayFix, type LookFacts, type LookSaid, lookAgain, lookCheck, moveFix, swapFix } from './lookCheck';
import { hung, inches, middleY } from './where';

const LOWEST_MM = inches(57);
const HIGHEST_MM = inches(62);

/** What a wreath is held against: a door two thirds, a window one half, over a mantel 24 to 36 in. */
function spanFor(facts: LookFacts): { leastMm: number; mostMm: number } | null {
  const of = (kind: 'door' | 'window') => facts.spot.features.find((feature) => feature.kind === kind)?.widthMm;
  if (facts.kind.id === 'mantel') return { leastMm: inches(24), mostMm: inches(36) };
  const door = of('door');
  if (door !== undefined || facts.kind.id === 'porch') {
    const widthMm = door ?? facts.spot.measures.doorWidthMm ?? inches(36);
    return { leastMm: widthMm / 2, mostMm: widthMm * 0.78 };
  }
  const windowMm = facts.kind.id === 'window' ? facts.room.widthMm : of('window');
  return windowMm === undefined ? null : { leastMm: windowMm * 0.4, mostMm: windowMm * 0.6 };
}

/** A wreath against its door, window or mantel, and its middle at the height of the eyes. */
export const wreathSize = lookCheck({
  id: 'wreathSize',
  name: 'Wreath',
  source: commonPractice,
  school: 'two thirds of a door, half of a window',
  sentences: {
    small: (f: { thing: string }) => `${f.thing} is small here`,
    large: (f: { thing: string }) => `${f.thing} is large here`,
    sizeTold: (f: { ownMm: number; leastMm: number; mostMm: number }, { units }) =>
      `${formatLength(f.ownMm, units)} across; ${formatLength(f.leastMm, units)} to ${formatLength(f.mostMm, units)} suits what it hangs on.`,
    height: (f: { thing: string }) => `${f.thing} is not at eye height`,
    heightTold: (f: { centerMm: number }, { units }) =>
      `Its middle is ${formatLength(f.centerMm, units)} above the floor; 57 to 62 in meets the eye.`,
    hang: () => 'Middle to eye height',
    swap: (f: { way: string }) => `${f.way} instead`,
    takeDown: () => 'Take it down',
  },
  check: (facts, say) => {
    const span = spanFor(facts);
    return hung(facts)
      .filter(({ kinds }) => kinds.has('wreath'))
      .flatMap((thing): LookSaid[] => {
        const takeDown = awayFix(say('takeDown'), thing.id);
        const fits = (mm: number) => span === null || (mm >= span.leastMm - 2 && mm <= span.mostMm + 2);
        const own = thing.size.widthMm;
        const sized =
          span === null || fits(own)
            ? []
            : [
                lookAgain(
                  say(own < span.leastMm ? 'small' : 'large', { thing: thing.name }),
                  say('sizeTold', { ownMm: own, ...span }),
                  [thing.id],
                  [
                    ...facts
                      .otherWays(thing)
                      .filter(({ size }) => fits(size.widthMm))
                      .slice(0, 1)
                      .map((way) => swapFix(say('swap', { way: way.name }), thing, way)),
                    takeDown,
                  ],
                ),
              ];
        const center = middleY(thing.box) + facts.baseMm;
        // Over a mantel it hangs by its gap, like art.
        if (facts.isAbove || facts.kind.id === 'mantel' || (center >= LOWEST_MM - 2 && center <= HIGHEST_MM + 2))
          return sized;
        const footMm = (LOWEST_MM + HIGHEST_MM) / 2 - facts.baseMm - thing.size.heightMm / 2;
        const canHang = footMm >= 0 && footMm + thing.size.heightMm <= facts.room.heightMm;
        return [
          ...sized,
          lookAgain(
            say('height', { thing: thing.name }),
            say('heightTold', { centerMm: center }),
            [thing.id],
            [canHang ? moveFix(say('hang'), [{ ...placeOf(thing), footMm }]) : takeDown],
          ),
        ];
      });
  },
});
