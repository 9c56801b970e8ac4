import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cureFactor, dewPointC, dewSpreadC, dryingFactor } from './climate';

/** Saturation vapor pressure in hPa as the same paper gives it: 6.1094·exp(17.625 T ÷ (243.04 + T)). */
const saturationPressureHPa = (celsius: number): number => 6.1094 * Math.exp((17.625 * celsius) / (243.04 + celsius));

describe('the dew point (Alduchov & Eskridge 1996, J. Appl. Meteor. 35:601; coefficients from memory)', () => {
  it.each([
    [20, 50, 9.261],
    [25, 60, 16.698],
    [10, 80, 6.708],
    [30, 70, 23.93],
    [15, 85, 12.498],
    [32, 65, 24.597],
    [5, 90, 3.496],
    [20, 100, 20],
    [0, 100, 0],
  ])('of %d °C at %d %% is %d °C', (airC, humidity, expected) =>
    expect(dewPointC(airC, humidity)).toBeCloseTo(expected, 3),
  );
  it('gives the humidity back: RH = 100·e(T_d)/e(T)', () => {
    for (const [airC, dewC, humidity] of [
      [20, 10, 52.541],
      [30, 20, 55.077],
      [25, 15, 53.831],
    ] as const)
      expect((100 * saturationPressureHPa(dewC)) / saturationPressureHPa(airC)).toBeCloseTo(humidity, 3);
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 45, noNaN: true }),
        fc.double({ min: 5, max: 100, noNaN: true }),
        (t, rh) => {
          expect((100 * saturationPressureHPa(dewPointC(t, rh))) / saturationPressureHPa(t)).toBeCloseTo(rh, 6);
        },
      ),
    );
  });
  it('knows the saturation pressures of the paper', () => {
    expect([20, 25, 30].map((t) => Math.round(saturationPressureHPa(t) * 1000) / 1000)).toEqual([
      23.334, 31.617, 42.367,
    ]);
  });
});

describe('the surface over the dew point (ISO 8502-4: 3 °C at least, from memory)', () => {
  it.each([
    [20, 50, 18, 8.739, true],
    [15, 85, 15, 2.502, false],
    [15, 85, 15.6, 3.102, true],
    [25, 80, 23, 1.691, false],
    [10, 60, 8, 5.412, true],
  ])('at %d °C, %d %%, surface %d °C is %d °C: go %s', (airC, humidityPercent, surfaceC, spread, go) => {
    const value = dewSpreadC({ airC, humidityPercent, surfaceC });
    expect(value).toBeCloseTo(spread, 3);
    expect(value >= 3).toBe(go);
  });
  it('takes the air where no surface was measured', () => {
    expect(dewSpreadC({ airC: 15, humidityPercent: 85, surfaceC: null })).toBeCloseTo(2.502, 3);
  });
});

describe('drying in other air (a modelling choice, defined in the figures)', () => {
  const at = (airC: number, humidityPercent = 50) => ({ airC, humidityPercent, surfaceC: null });
  it('is as the tables say at 21 °C and 50 %', () => {
    expect(dryingFactor(at(21), true)).toBe(1);
    expect(cureFactor(at(21), true)).toBe(1);
  });
  it('doubles ten degrees colder, and is held between 0.6 and 3', () => {
    expect(dryingFactor(at(11), false)).toBe(2);
    expect(dryingFactor(at(-5), false)).toBe(3);
    expect(dryingFactor(at(40), false)).toBe(0.6);
  });
  it('takes longer in the damp for water paint alone', () => {
    expect(dryingFactor(at(21, 75), true)).toBe(1.5);
    expect(dryingFactor(at(21, 75), false)).toBe(1);
    expect(dryingFactor(at(21, 30), true)).toBe(1);
  });
  it('never cures in less than 0.8 of the table, however warm', () => {
    expect(cureFactor(at(40), false)).toBe(0.8);
    expect(cureFactor(at(11), false)).toBe(2);
  });
});
