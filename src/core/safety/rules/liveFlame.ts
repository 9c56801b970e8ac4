import { type SafetyRule, stepsOf } from '../safetyRule';

/** What is made holds a live flame. */
export const liveFlame: SafetyRule = {
  id: 'flame.alive',
  text: 'A candle burns only while somebody is in the room, on a level, fireproof base: 30 cm (12 in) of air above it, 10 cm (4 in) beside it to anything that burns and to the next candle. Only a glass made for candles, without a crack; sand, pebbles or salt around it, never moss, cones or stems. Wick cut to 6 mm (1/4 in).',
  afterwards:
    'A candle burns only while somebody is in the room, on a level, fireproof base: 30 cm (12 in) of air above it, 10 cm (4 in) beside it to anything that burns. Only a glass made for candles, without a crack; wick cut to 6 mm (1/4 in).',
  instead: 'a flameless candle',
  source: { kind: 'standard', document: 'ASTM F2058, EN 15494 label topics', memory: true },
  check: (facts) => {
    if (!facts.piece?.traits.includes('flame')) return null;
    return { stepIds: stepsOf(facts, (step) => step.kind === 'arrange').slice(-1), severity: 'stop' };
  },
};
