import { describe, expect, it } from 'vitest';
import { isNamedAs } from './judgedWay';

describe('whether a thing is called as a slot is', () => {
  it.each([
    ['Hamper', 'Wicker hamper', true],
    ['Hamper', 'Wicker basket', false],
    ['Basket for pegs', 'wicker basket', true],
    ['Frames', 'Pine frame, scratched', true],
    ['Frame', '2 pine frames', true],
    ['Small lamp', 'Brass table lamp', true],
    ['Small lamp', 'Lamp shade', false],
    ['Nightstand, left', 'Oak nightstand', true],
    ['Side table', 'Round side table with a drawer', true],
    ['', 'Anything', false],
  ])('“%s” and “%s”: %s', (slotName, thing, expected) => {
    expect(isNamedAs(slotName, thing)).toBe(expected);
  });
});
