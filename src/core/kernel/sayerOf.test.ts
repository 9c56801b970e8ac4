import { describe, expect, it } from 'vitest';
import type { Finding, Sentences } from './finding';
import { sayerOf } from './sayerOf';

const lengths = {
  'length.tooLong': (f: { mm: number }, { units }) => `${f.mm} mm is too long (${units})`,
} satisfies Sentences;
const words = { 'word.unknown': (f: { word: string }) => `“${f.word}” is not known` } satisfies Sentences;

const finding = (code: string, figures: Finding['figures']): Finding => ({
  code,
  severity: 'warn',
  where: { kind: 'field', id: 'x' },
  figures,
});
const locale = { units: 'metric', currency: 'EUR' } as const;

describe('saying findings', () => {
  const say = sayerOf([lengths, words]);

  it('takes the sentence of the area that lists the code, with its figures and the units', () => {
    expect(say(finding('length.tooLong', { mm: 12 }), locale)).toBe('12 mm is too long (metric)');
    expect(say(finding('word.unknown', { word: 'tisch' }), locale)).toBe('“tisch” is not known');
  });

  it('says nothing of a code that no area lists', () => {
    expect(say(finding('price.unreadable', { text: 'x' }), locale)).toBeNull();
    expect(sayerOf([])(finding('word.unknown', { word: 'x' }), locale)).toBeNull();
  });
});
