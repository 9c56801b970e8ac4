import { describe, expect, it } from 'vitest';
import { assumptionDefinitions } from '../catalog/assumptions';
import { coatings } from '../catalog/coatings';
import { foundSurface, laidSurface } from '../fixtures/recipes';
import { MM_PER_INCH } from '../kernel/units';
import { cleanUpKey, laborKey, techniques } from '.';
import { mixOf } from './mix';
import { completeValues, type QuantityInput } from './technique';

const flat: QuantityInput = {
  projectedAreaM2: 1,
  texture: 1,
  absorption: 1,
  coats: 1,
  spreadingRate: 10,
  lossPercent: 0,
  detail: 'flat',
};

describe.each(techniques.all)('the technique $id', (technique) => {
  const values = completeValues(technique, {});
  it('says what it is, what it asks, and can put on what it claims', () => {
    expect(technique.name).not.toBe('');
    expect(technique.remark).not.toBe('');
    expect(coatings.all.some((coating) => technique.accepts(coating))).toBe(technique.lays);
    expect(assumptionDefinitions.has(laborKey(technique.rate))).toBe(true);
    if (technique.spreadingRateKey) expect(assumptionDefinitions.has(technique.spreadingRateKey)).toBe(true);
    for (const work of technique.finishing)
      expect(assumptionDefinitions.has(`labor.${work.rate}MinutesPerM2`)).toBe(true);
  });
  it('keeps its parameters within their limits, whatever was stored', () => {
    for (const parameter of technique.parameters) {
      expect(parameter.standard).toBeGreaterThanOrEqual(parameter.minimum);
      expect(parameter.standard).toBeLessThanOrEqual(parameter.maximum);
      const held = completeValues(technique, { [parameter.id]: 1e9 });
      expect(held[parameter.id]).toBe(parameter.maximum);
    }
  });
  it('reaches part of a zone exactly when it is partial, and takes nothing for no coat', () => {
    const reach = technique.reach(values);
    expect(reach > 0 && reach <= 1).toBe(true);
    expect(reach < 1).toBe(technique.partial);
    expect(technique.quantity({ ...flat, coats: 0 }, values)).toBe(0);
  });
  it('takes in proportion to the area', () => {
    const one = technique.quantity(flat, values);
    expect(technique.quantity({ ...flat, projectedAreaM2: 3 }, values)).toBeCloseTo(3 * one, 9);
  });
});

describe('quantities', () => {
  it('a one-to-one wash of 120 ml is 60 ml of paint and 60 ml of water', () => {
    const wash = techniques.get('wash');
    const values = completeValues(wash, { paintParts: 1, waterParts: 1 });
    const mix = 120;
    expect(mix * wash.paintShare(values)).toBe(60);
    expect(mix - mix * wash.paintShare(values)).toBe(60);
    expect(wash.paintShare(completeValues(wash, { paintParts: 1, waterParts: 3 }))).toBe(0.25);
  });
  it.each([
    [1, 1, 240, 120],
    [1, 3, 240, 60],
    [2, 1, 300, 200],
    [1, 0, 100, 100],
    [1, 1, -5, 0],
  ])('a jar of %d parts paint and %d water', (paintParts, waterParts, volume, paint) => {
    const mix = mixOf(techniques.get('wash'), { paintParts, waterParts }, volume);
    expect(mix.paint).toBeCloseTo(paint, 9);
    expect(mix.paint + mix.waterMl).toBeCloseTo(Math.max(0, volume), 9);
  });
  it('a jar of what is not let down is paint alone', () => {
    expect(mixOf(techniques.get('brushOn'), {}, 250)).toEqual({ paint: 250, waterMl: 0 });
  });
  it('lays a wet film of 1000 ÷ spreading rate in µm (film-build identity, arithmetic)', () => {
    // A milliliter on a square meter is a film of one micrometer.
    for (const rate of [7.4, 9.2, 12.27])
      expect(techniques.get('brushOn').quantity({ ...flat, spreadingRate: rate }, {})).toBeCloseTo(1000 / rate, 9);
  });
  it('covers 1604 ft² with a US gallon at one mil (231 in³ ÷ 0.001 in ÷ 144)', () => {
    const areaFt2 = 231 / 0.001 / 144;
    expect(areaFt2).toBeCloseTo(1604.17, 2);
    const areaM2 = areaFt2 * 0.09290304;
    const gallonL = 231 * (MM_PER_INCH / 100) ** 3;
    // mL for one square meter at that rate = micrometers of film = one mil.
    expect(techniques.get('brushOn').quantity({ ...flat, spreadingRate: areaM2 / gallonL }, {})).toBeCloseTo(25.4, 6);
  });
  it('sprays wicker and wire at 0.4 of the can, legs at 0.6', () => {
    const cans = (detail: QuantityInput['detail']) => techniques.get('sprayOn').quantity({ ...flat, detail }, {});
    expect(cans('weave') / cans('flat')).toBeCloseTo(1 / 0.4, 9);
    expect(cans('spindles') / cans('flat')).toBeCloseTo(1 / 0.6, 9);
  });
  it('brushes a weave three times as long, spindles 2.2 times (common practice, from memory)', () => {
    const { detailFactor } = techniques.get('brushOn');
    expect([detailFactor('flat'), detailFactor('profiles'), detailFactor('spindles'), detailFactor('weave')]).toEqual([
      1, 1.4, 2.2, 3,
    ]);
    expect(techniques.get('sprayOn').detailFactor('weave')).toBe(1.5);
  });
  it('hides half a coat’s worth with paint let down one to one', () => {
    const wash = techniques.get('wash');
    const half = wash.opacity(null, completeValues(wash, { paintParts: 1, waterParts: 1 })) ?? 0;
    const pure = wash.opacity(null, completeValues(wash, { paintParts: 1, waterParts: 0 })) ?? 0;
    // Two coats of half the pigment hide as one of the whole.
    expect(1 - (1 - half) ** 2).toBeCloseTo(pure, 9);
  });
});

describe('what a technique needs beneath', () => {
  it('a stain wants an open ground, rubbing through a new film, colorant open grout', () => {
    expect(techniques.get('stain').demands(foundSurface('pine'))).toBeNull();
    expect(techniques.get('stain').demands(laidSurface('wallAcrylic'))?.verdict).toBe('never');
    expect(techniques.get('distress').demands(foundSurface('soundOldPaint'))?.verdict).toBe('never');
    expect(techniques.get('distress').demands(laidSurface('chalk'))?.verdict).toBe('afterWait');
    expect(techniques.get('groutColor').demands(foundSurface('groutJoint'))).toBeNull();
    expect(techniques.get('groutColor').demands(foundSurface('groutJoint', { sealed: true }))?.verdict).toBe('never');
    expect(techniques.get('stencil').demands(foundSurface('pine'))?.verdict).toBe('scuff');
  });
  it('cleans up with what the coating is thinned with', () => {
    expect(cleanUpKey(coatings.get('chalk'))).toBe('session.cleanUpWaterMinutes');
    expect(cleanUpKey(coatings.get('oilStain'))).toBe('session.cleanUpSolventMinutes');
    expect(cleanUpKey(coatings.get('aerosolEnamel'))).toBe('session.cleanUpAerosolMinutes');
  });
});
