import { describe, expect, it } from 'vitest';
import { lookRows, thingsOf } from '../../fixtures/lookRows';
import { describedPiece } from './describedPiece';
import { likenessOfThing, thingView } from './thingView';

const IN = 25.4;
const console_ = { kind: 'console', widthMm: 1500, depthMm: 400, heightMm: 1400 } as const;
const seen = (words: string) => {
  const [thing] = thingsOf(lookRows(console_, [describedPiece(words, 'USD', 'us')]));
  if (!thing) throw new Error('nothing was described');
  return thing;
};

describe('what is described for a look', () => {
  it('has its kind, its size and its name', () => {
    const vase = seen('blue vase, 5 in wide, 12 in tall');
    expect([vase.name, vase.template?.id]).toEqual(['Blue vase', 'vase']);
    expect(vase.size.widthMm).toBeCloseTo(5 * IN, 3);
    expect(vase.size.heightMm).toBeCloseTo(12 * IN, 3);
  });

  it('a bunch is as wide as it is said to be, its leaves stay leaves', () => {
    const bunch = seen('forsythia branches, 12 in wide, 26 in tall');
    expect(bunch.size.widthMm).toBeCloseTo(12 * IN, 3);
    expect(bunch.size.heightMm).toBeCloseTo(26 * IN, 3);
    expect(bunch.measures.leafMm).toBeLessThan(4 * IN);
  });

  it('what is round is as deep as it is wide, anything else a little less', () => {
    expect(seen('cake stand, 11 in wide, 6 in tall').size.depthMm).toBeCloseTo(11 * IN, 3);
    expect(seen('old suitcase, 20 in wide, 8 in tall').size.depthMm).toBeCloseTo(12 * IN, 3);
    expect(seen('old suitcase, 20 in wide, 8 in tall, 15 in deep').size.depthMm).toBeCloseTo(15 * IN, 3);
  });

  it('plates in a stack are a stack, as high as it is said to be', () => {
    const stack = seen('stack of plates, 9 in wide, 4 in tall');
    expect(stack.name).toBe('Stack of plates');
    expect(stack.size.widthMm).toBeCloseTo(9 * IN, 3);
    expect(stack.size.heightMm).toBeCloseTo(4 * IN, 3);
    expect(likenessOfThing(stack)?.id).toBe('dishStack');
    expect(seen('blue plate, 9 in wide').template?.id).toBe('plate');
  });

  it.each(['cake stand', 'six lemons in a bowl', 'white pumpkin', 'brass bird', 'old suitcase', 'potted fern'])(
    '%s is drawn as what it is, no plain box',
    (words) => {
      const thing = seen(words);
      expect(thingView(thing, { isAbove: false, isPresent: false }).kind).toBe('drawing');
      expect(thing.template?.id !== 'freeBox' || likenessOfThing(thing) !== null).toBe(true);
    },
  );

  it('is a box only where nobody knows what it is', () => {
    expect(likenessOfThing(seen('thingamajig, 4 in wide'))).toBeNull();
  });
});
