import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, turnedOutline, zone } from './parts';

/** A candlestick: foot, turned stem, cup. What the cup takes of paint, a flame comes near to. */
export const candlestick: FurnitureTemplate = {
  id: 'candlestick',
  name: 'Candlestick',
  words: ['candlestick', 'candle holder', 'candelabra', 'candlesticks', 'candle holders'],
  measures: [
    lengthMeasure('heightMm', 'Height', 250, 20, 1800),
    lengthMeasure('footMm', 'Foot, across', 100, 15, 500),
    lengthMeasure('stemMm', 'Stem, across', 30, 5, 300, 'width'),
  ],
  overall: { width: 'footMm', depth: null, height: 'heightMm' },
  traits: [],
  usual: { materialId: 'nonferrousMetal' },
  plan: 'round',
  hardwareMinutes: () => 0,
  zones: ({ heightMm = 0, footMm = 0, stemMm = 0 }) => [
    zone('foot', 'A', 'Foot', { kind: 'cylinder', diameterMm: footMm, heightMm: heightMm * 0.1, ends: 1 }),
    zone(
      'stem',
      'B',
      'Stem, turned',
      { kind: 'turned', meanDiameterMm: stemMm, heightMm: heightMm * 0.75 },
      // Turned and spindle work: 1.15 to 1.5, 1.25 usual (common practice, from memory).
      { textureFactor: 1.25, detail: 'profiles' },
    ),
    zone(
      'cup',
      'C',
      'Cup',
      { kind: 'cylinder', diameterMm: Math.max(stemMm * 1.6, 25), heightMm: heightMm * 0.15, ends: 1 },
      { use: 'flame' },
    ),
  ],
  draw: ({ heightMm = 0, footMm = 0, stemMm = 0 }) => {
    const cup = Math.max(stemMm * 1.6, 25);
    const widthMm = Math.max(footMm, cup, stemMm);
    const share = (mm: number) => mm / widthMm;
    return {
      widthMm,
      heightMm,
      shapes: [
        turnedOutline('stem', widthMm, heightMm, [
          [0.13, share(stemMm) * 0.8],
          [0.3, share(stemMm)],
          [0.4, share(stemMm) * 0.65],
          [0.65, share(stemMm)],
          [0.92, share(stemMm) * 0.8],
        ]),
        turnedOutline(
          'cup',
          widthMm,
          heightMm,
          [
            [0, share(cup)],
            [0.15, share(cup) * 0.7],
          ],
          8,
        ),
        turnedOutline(
          'foot',
          widthMm,
          heightMm,
          [
            [0.9, share(footMm) * 0.6],
            [0.96, share(footMm)],
            [1, share(footMm)],
          ],
          -10,
        ),
      ],
      labels: [
        { letter: 'A', xMm: widthMm / 2, yMm: heightMm * 0.96 },
        { letter: 'B', xMm: widthMm / 2, yMm: heightMm * 0.5 },
        { letter: 'C', xMm: widthMm / 2, yMm: heightMm * 0.07 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};
