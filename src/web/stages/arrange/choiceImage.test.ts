import { describe, expect, it } from 'vitest';
import { wrapped } from './choiceImage';

describe('a note in lines', () => {
  const perLetter = (line: string) => line.length * 10;

  it('breaks between words, no line wider than there is room', () => {
    expect(wrapped('the blue one is calmer', 110, perLetter)).toEqual(['the blue', 'one is', 'calmer']);
    expect(wrapped('the blue one is calmer', 400, perLetter)).toEqual(['the blue one is calmer']);
  });

  it('keeps a word that is too long whole, and says nothing of nothing', () => {
    expect(wrapped('incomprehensibilities', 50, perLetter)).toEqual(['incomprehensibilities']);
    expect(wrapped('  ', 50, perLetter)).toEqual([]);
  });
});
