import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parseNumber } from './parseNumber';
import { parseQuantity, type QuantityKind, quantityUnit, shownQuantity } from './quantities';

describe('a quantity in any unit', () => {
  // Factors: NIST SP 811, Appendix B (from memory).
  it.each<[string, QuantityKind, number]>([
    ['30 ft²', 'm2', 2.7870912],
    ['30 sq ft', 'm2', 2.7870912],
    ['2.8 m2', 'm2', 2.8],
    ['144 sq. in', 'm2', 0.09290304],
    ['1 qt', 'mL', 946.352946],
    ['250 ml', 'mL', 250],
    ['1/2 gallon', 'mL', 1892.705892],
    ['8 oz', 'mL', 236.5882365],
    ['2 lb', 'g', 907.18474],
    ['3 lb', 'weightG', 1360.77711],
    ['1 oz', 'g', 28.349523125],
    ['2.5 kg', 'g', 2500],
    ['1 gal', 'mL', 3785.411784],
    ['1 pt', 'mL', 473.176473],
    ['1 fl oz', 'mL', 29.5735295625],
    ['0,75 l', 'mL', 750],
    ['25 cl', 'mL', 250],
    ['3 yd', 'm', 2.7432],
    ['8 ft', 'boardM', 2.4384],
    ['96"', 'boardM', 2.4384],
    ['70 °F', 'celsius', 21.11111111111111],
    ['-40 f', 'celsius', -40],
    ['21 C', 'celsius', 21],
    ['400 ft²/gal', 'm2PerL', 9.816957],
    ['100 sq ft/qt', 'm2PerL', 9.816957],
    ['9.8 m²/L', 'm2PerL', 9.8],
    ['1.4 min/ft²', 'minPerM2', 15.069474],
  ])('%s', (text, kind, expected) => {
    expect(parseQuantity(text, kind, 'us')).toBeCloseTo(expected, 5);
    expect(parseQuantity(text, kind, 'metric')).toBeCloseTo(expected, 5);
  });
  it('without a unit is meant in the project’s', () => {
    expect(parseQuantity('70', 'celsius', 'us')).toBeCloseTo(21.111, 3);
    expect(parseQuantity('21', 'celsius', 'metric')).toBe(21);
    expect(parseQuantity('8', 'mL', 'us')).toBeCloseTo(236.588, 3);
    expect(parseQuantity('10', 'm2', 'us')).toBeCloseTo(0.9290304, 9);
    expect([quantityUnit('m2', 'us'), quantityUnit('m2', 'metric')]).toEqual(['ft²', 'm²']);
  });
  it('in a unit of something else is not read', () => {
    expect(parseQuantity('3 ml', 'm2', 'us')).toBeNull();
    expect(parseQuantity('a lot', 'mL', 'us')).toBeNull();
    for (const text of ['', 'some', '3 stones', '1/0 lb']) expect(parseQuantity(text, 'g', 'us')).toBeNull();
  });
  it('is written with a fraction or a comma, and never with an exponent', () => {
    expect([parseNumber('1 1/2'), parseNumber('12,5'), parseNumber('12e3')]).toEqual([1.5, 12.5, null]);
  });
  it('is read back as it is shown', () => {
    const kinds: QuantityKind[] = [
      'm2',
      'mL',
      'g',
      'weightG',
      'm',
      'boardM',
      'celsius',
      'm2PerL',
      'm2PerCan',
      'minPerM2',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.constantFrom('us' as const, 'metric' as const),
        fc.double({ min: 0.001, max: 5000, noNaN: true }),
        (kind, system, value) => {
          const shown = shownQuantity(value, kind, system);
          const text = `${shown.toFixed(9)} ${quantityUnit(kind, system)}`;
          expect(parseQuantity(text, kind, system)).toBeCloseTo(value, 5);
        },
      ),
    );
  });
});
