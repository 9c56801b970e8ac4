import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { likelySlot } from './likelySlot';

const slots = [
  { id: 'chair', number: 1, name: 'Rattan chair' },
  { id: 'stand', number: 2, name: 'Plant stand' },
  { id: 'lamps', number: 3, name: 'Two reading lamps' },
  { id: 'left', number: 4, name: 'Plant on the left' },
];
const all = new Set(slots.map((slot) => slot.id));
const found = (name: string, open: ReadonlySet<string> = all) => likelySlot(name, slots, open)?.id ?? null;

describe('the slot that a find is meant for', () => {
  it.each([
    ['Plant stand, pine', 'stand'],
    ['rattan CHAIR', 'chair'],
    // One of several is named too.
    ['reading lamp', 'lamps'],
    // Two words beat one, whatever the number.
    ['stand for a plant', 'stand'],
    // Nothing shared: the first that is open.
    ['Wicker basket', 'chair'],
    // Where and how say nothing.
    ['small thing on the left', 'chair'],
  ])('of “%s” is %s', (name, id) => expect(found(name)).toBe(id));

  it('is one that is still open, among equals', () => {
    expect(found('plant', all)).toBe('stand');
    expect(found('plant', new Set(['left']))).toBe('left');
    expect(found('Wicker basket', new Set(['lamps']))).toBe('lamps');
    // What it is called counts for more than whether something else was chosen already.
    expect(found('rattan chair', new Set(['stand']))).toBe('chair');
  });

  it('is always one of them, and none only where there is none', () => {
    expect(likelySlot('chair', [], new Set())).toBeNull();
    fc.assert(
      fc.property(fc.string(), fc.subarray([...all]), (name, open) => {
        expect(slots).toContain(likelySlot(name, slots, new Set(open)));
      }),
    );
  });
});
