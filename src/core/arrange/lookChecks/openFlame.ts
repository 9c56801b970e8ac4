import type { SentenceLocale } from '../../kernel/finding';
import { formatLength } from '../../kernel/formatLength';
import { type LookThing, meets, type ThingBox } from '../look/lookThing';
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
  type Say,
  swapFix,
} from './lookCheck';
import { apartMm, boxWithLeft, freeOnBoard, inches, moved, nearestX, type Underside, undersidesOf } from './where';

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

/** The nearest board over a flame that it would scorch; null where it is far enough, or beside. */
function boardOver(undersides: readonly Underside[], box: ThingBox): { name: string; apartMm: number } | null {
  const near = undersides
    .filter(
      ({ atMm, leftMm, rightMm, of }) =>
        atMm >= box.topMm - 1 &&
        leftMm < box.rightMm &&
        rightMm > box.leftMm &&
        (of === null || (of.box.frontMm < box.backMm && of.box.backMm > box.frontMm)),
    )
    .sort((a, b) => a.atMm - b.atMm)[0];
  if (!near) return null;
  const apartMm = Math.max(0, near.atMm - box.topMm);
  return apartMm < CLEAR_MM - 1 ? { name: near.name, apartMm } : null;
}

const isFlame = ({ kinds }: LookThing) => kinds.has('candle') && !kinds.has('flameless');

/** Whether a candle stands clear of all that burns at a place, with nothing else there. */
const isClear = (facts: LookFacts, candle: LookThing, undersides: readonly Underside[], box: ThingBox): boolean =>
  boardOver(undersides, box) === null &&
  facts.things.every(
    (other) => other.id === candle.id || (tooNear(facts, candle, other, box) === null && !meets(box, other.box)),
  );

/** Where along its board, else on another board of the spot, a candle stands clear of all that burns. */
function clearPlace(
  facts: LookFacts,
  candle: LookThing,
  undersides: readonly Underside[],
): { xMm: number; footMm: number; isOther: boolean } | null {
  const clear = (box: ThingBox) => isClear(facts, candle, undersides, box);
  const { footMm } = candle.box;
  const xMm = nearestX(facts, candle, (leftMm) => clear(boxWithLeft(candle.box, leftMm)));
  if (xMm !== null) return { xMm, footMm, isOther: false };
  const other = freeOnBoard(facts, candle, ({ topMm }) => Math.abs(topMm - footMm) > 1, clear);
  return other && { ...other, isOther: true };
}

const sentences = {
  near: (f: { thing: string; candle: string }) => `${f.thing} near ${f.candle}`,
  told: (f: { apartMm: number; clearMm: number }, { units }: SentenceLocale) =>
    `${formatLength(f.apartMm, units)} between them; a flame wants ${formatLength(f.clearMm, units)} to all that burns, above it too. Never leave it alone.`,
  flames: (f: { candle: string; other: string }) => `${f.candle} and ${f.other} burn close`,
  flamesTold: (f: { apartMm: number; clearMm: number }, { units }: SentenceLocale) =>
    `${formatLength(f.apartMm, units)} apart; ${formatLength(f.clearMm, units)} keeps one from melting the other.`,
  under: (f: { candle: string; board: string }) => `${f.candle} burns under ${f.board}`,
  move: (f: { byMm: number; candle: string }, { units }: SentenceLocale) =>
    `Move ${f.candle} ${formatLength(f.byMm, units)}`,
  otherBoard: (f: { candle: string }) => `${f.candle} onto a board with nothing over it`,
  flameless: () => 'Use a flameless one',
  swap: (f: { way: string }) => `${f.way} instead`,
  takeAway: (f: { thing: string }) => `Take ${f.thing} away`,
} as const;

/** What can be done about a flame: elsewhere, without a flame, another way for its slot, away. */
function waysOut(
  facts: LookFacts,
  candle: LookThing,
  undersides: readonly Underside[],
  say: Say<typeof sentences>,
): LookFix[] {
  const clear = candle.placement.onId === null ? clearPlace(facts, candle, undersides) : null;
  const byMm = clear ? Math.abs(clear.xMm - candle.placement.xMm) : 0;
  return [
    ...(clear
      ? [
          moveFix(
            clear.isOther ? say('otherBoard', { candle: candle.name }) : say('move', { byMm, candle: candle.name }),
            moved(facts, candle, { xMm: clear.xMm, footMm: clear.footMm }),
          ),
        ]
      : []),
    ...calledFix(say('flameless'), candle, 'Flameless'),
    // Another way for its slot that has no flame.
    ...facts
      .otherWays(candle)
      .filter((way) => !isFlame(way))
      .slice(0, 1)
      .map((way) => swapFix(say('swap', { way: way.name }), candle, way)),
    awayFix(say('takeAway', { thing: candle.name }), candle.id),
  ];
}

/** A flame near something that burns, under a board, or near another flame. A caution: it cannot be set aside. */
export const openFlame = lookCheck({
  id: 'openFlame',
  name: 'Candles and what burns',
  source: { kind: 'standard', document: 'label topics of ASTM F2058 and EN 15494', memory: true },
  isCaution: true,
  sentences,
  check: (facts, say) => {
    const told = new Set<string>();
    const undersides = facts.isAbove ? [] : undersidesOf(facts);
    return facts.things.filter(isFlame).flatMap((candle): LookSaid[] => {
      const under = boardOver(undersides, candle.box);
      const near = facts.things.flatMap((other): LookSaid[] => {
        const apart = tooNear(facts, candle, other);
        const pair = [candle.id, other.id].sort().join();
        if (apart === null || told.has(pair)) return [];
        told.add(pair);
        const [title, text] = isFlame(other)
          ? ([
              say('flames', { candle: candle.name, other: other.name }),
              say('flamesTold', { apartMm: apart, clearMm: APART_MM }),
            ] as const)
          : ([
              say('near', { thing: other.name, candle: candle.name }),
              say('told', { apartMm: apart, clearMm: CLEAR_MM }),
            ] as const);
        return [lookAgain(title, text, [candle.id, other.id], waysOut(facts, candle, undersides, say), 'stop')];
      });
      if (under === null) return near;
      const title = say('under', { candle: candle.name, board: under.name });
      const text = say('told', { apartMm: under.apartMm, clearMm: CLEAR_MM });
      return [lookAgain(title, text, [candle.id], waysOut(facts, candle, undersides, say), 'stop'), ...near];
    });
  },
});
