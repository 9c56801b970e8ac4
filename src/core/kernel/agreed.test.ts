import { describe, expect, it } from 'vitest';
import { agreed } from './agreed';

describe('a sentence that begins with a name', () => {
  it.each([
    ['Birch branches', 'is hidden', 'Birch branches are hidden'],
    ['Brass-colored lamps', 'does not reach a socket', 'Brass-colored lamps do not reach a socket'],
    ['Linen curtains, pair', 'hangs low', 'Linen curtains, pair hang low'],
    ['Blue glass', 'is hidden', 'Blue glass is hidden'],
    ['Moss', 'lies in the sun', 'Moss lies in the sun'],
    ['Cactus', 'stands in the dark', 'Cactus stands in the dark'],
    ['Oak frame', 'is hidden', 'Oak frame is hidden'],
    ['Roses', 'glow', 'Roses glow'],
    ['Fir branches from the path', 'is in the way', 'Fir branches from the path are in the way'],
    ['Bundle of frames', 'has glass', 'Bundle of frames has glass'],
  ])('%s %s', (name, rest, said) => expect(agreed(`${name} ${rest}`, name)).toBe(said));

  it('is left alone where it begins with something else', () => {
    expect(agreed('Nothing is hidden', 'Roses')).toBe('Nothing is hidden');
    expect(agreed('Roses is red', '')).toBe('Roses is red');
  });
});
