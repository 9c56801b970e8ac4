import { formatLength } from '../../kernel/formatLength';
import type { LookThing } from '../look/lookThing';
import { burnsEasily } from '../look/thingKinds';
import {
  awayFix,
  calledFix,
  type LookFacts,
  type LookFix,
  type LookSaid,
  lookAgain,
  lookCheck,
  moveFix,
  swapFix,
} from './lookCheck';
import { apartMm, boxWithLeft, inches, meets, moved, nearestX } from './where';

/** 12 in from anything that burns, to the side and above; candles 3 in apart. */
const CLEAR_MM = inches(12);
const APART_MM = inches(3);

/** What a flame must not come near: what burns, whatever hangs over it, and another flame. */
function tooNear(facts: LookFacts, candle: LookThing, other: LookThing, box = candle.box): number | null {
  if (other.id === candle.id || other.id === candle.placement.onId || other.placement.onId === candle.id) return null;
  const apart = apartMm(box, other.box, facts.isAbove);
  if (isFlame(other)) return apart < APART_MM - 1 ? apart : null;
  const isOver =
    !facts.isAbove &&
    other.box.leftMm < box.rightMm &&
    other.box.rightMm > box.leftMm &&
    other.box.footMm >= box.topMm - 1;
  if (!burnsEasily(other.kinds) && !(isOver && other.kinds.has('textile'))) return null;
  return apart < CLEAR_MM - 1 ? apart : null;
}

const isFlame = ({ kinds }: LookThing) => kinds.has('candle') && !kinds.has('flameless');

/** Where along the spot a candle stands clear of all that burns. */
function clearPlace(facts: LookFacts, candle: LookThing): number | null {
  return nearestX(facts, candle, (leftMm) => {
    const box = boxWithLeft(candle.box, leftMm);
    return facts.things.every(
      (other) => other.id === candle.id || (tooNear(facts, candle, other, box) === null && !meets(box, other.box)),
    );
  });
}

/** A flame near something that burns, or near another flame. A caution: it cannot be set aside. */
export const openFlame = lookCheck({
  id: 'openFlame',
  name: 'Candles and what burns',
  source: { kind: 'standard', document: 'label topics of ASTM F2058 and EN 15494', memory: true },
  isCaution: true,
  sentences: {
    near: (f: { thing: string; candle: string }) => `${f.thing} near ${f.candle}`,
    told: (f: { apartMm: number; clearMm: number }, { units }) =>
      `${formatLength(f.apartMm, units)} between them; a flame wants ${formatLength(f.clearMm, units)} to all that burns, above it too. Never leave it alone.`,
    flames: (f: { candle: string; other: string }) => `${f.candle} and ${f.other} burn close`,
    flamesTold: (f: { apartMm: number; clearMm: number }, { units }) =>
      `${formatLength(f.apartMm, units)} apart; ${formatLength(f.clearMm, units)} keeps one from melting the other.`,
    move: (f: { byMm: number; candle: string }, { units }) => `Move ${f.candle} ${formatLength(f.byMm, units)}`,
    flameless: () => 'Use a flameless one',
    swap: (f: { way: string }) => `${f.way} instead`,
    takeAway: (f: { thing: string }) => `Take ${f.thing} away`,
  },
  check: (facts, say) => {
    const told = new Set<string>();
    return facts.things.filter(isFlame).flatMap((candle): LookSaid[] =>
      facts.things.flatMap((other): LookSaid[] => {
        const apart = tooNear(facts, candle, other);
        const pair = [candle.id, other.id].sort().join();
        if (apart === null || told.has(pair)) return [];
        told.add(pair);
        const xMm = candle.placement.onId === null ? clearPlace(facts, candle) : null;
        const fixes: LookFix[] = [
          ...(xMm === null
            ? []
            : [
                moveFix(
                  say('move', { byMm: Math.abs(xMm - candle.placement.xMm), candle: candle.name }),
                  moved(facts, candle, { xMm }),
                ),
              ]),
          ...calledFix(say('flameless'), candle, 'Flameless'),
          // Another way for its slot that has no flame.
          ...facts
            .otherWays(candle)
            .filter((way) => !isFlame(way))
            .slice(0, 1)
            .map((way) => swapFix(say('swap', { way: way.name }), candle, way)),
          awayFix(say('takeAway', { thing: candle.name }), candle.id),
        ];
        return [
          isFlame(other)
            ? lookAgain(
                say('flames', { candle: candle.name, other: other.name }),
                say('flamesTold', { apartMm: apart, clearMm: APART_MM }),
                [candle.id, other.id],
                fixes,
                'stop',
              )
            : lookAgain(
                say('near', { thing: other.name, candle: candle.name }),
                say('told', { apartMm: apart, clearMm: CLEAR_MM }),
                [candle.id, other.id],
                fixes,
                'stop',
              ),
        ];
      }),
    );
  },
});
