import { describe, expect, it } from 'vitest';
import type { Finding } from '../kernel/finding';
import { safetyRules } from '../safety/cautions';
import { sentenceCodes, sentenceFor } from './sentences';

const finding = (code: string, figures: Finding['figures'] = {}): Finding => ({
  code,
  severity: 'note',
  where: { kind: 'field', id: '' },
  figures,
});
/** Figures for any sentence: a length where the name says so, a direction, else a word. */
const anyFigures = new Proxy<Record<string, string | number>>(
  {},
  {
    get: (_target, name) =>
      name === 'direction' ? 'width' : /Mm$|Minor$|^longest$|C$|^kg$/.test(String(name)) ? 100 : `<${String(name)}>`,
  },
);
const us = { units: 'us', currency: 'USD' } as const;
const metric = { units: 'metric', currency: 'EUR' } as const;

describe('sentences', () => {
  it.each(sentenceCodes)('%s is said in words, without a figure missing, in both systems of units', (code) => {
    for (const locale of [us, metric]) {
      const said = sentenceFor(finding(code, anyFigures), locale);
      expect(said).not.toBe(code);
      expect(said).not.toMatch(/undefined|NaN/);
    }
  });

  it('of a caution are its rule’s own', () => {
    for (const rule of safetyRules.all)
      expect(sentenceFor(finding(`caution.${rule.id}`), us)).toContain(rule.text.slice(0, 20));
  });

  it('show an unknown code as itself', () => {
    expect(sentenceFor(finding('from.tomorrow'), us)).toBe('from.tomorrow');
  });

  it('say a difference of temperatures without the 32', () => {
    const dew = finding('weather.dew', { spreadC: 2, leastC: 3, dewPointC: 10 });
    expect(sentenceFor(dew, us)).toContain('3.6 °F over the dew point (50 °F)');
    expect(sentenceFor(dew, metric)).toContain('2 °C over the dew point (10 °C)');
  });
});
