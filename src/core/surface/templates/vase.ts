import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, turnedOutline, zone } from './parts';

/** A vase, jug or bottle: the outside as a turned body; the inside stays as it is, since water stands there. */
export const vase: FurnitureTemplate = {
  id: 'vase',
  name: 'Vase or jug',
  words: ['vase', 'jug', 'pitcher', 'urn', 'bottle', 'demijohn'],
  measures: [
    lengthMeasure('heightMm', 'Height', 300, 40, 1500),
    lengthMeasure('widestMm', 'Widest', 140, 20, 900),
    lengthMeasure('mouthMm', 'Mouth, across', 70, 8, 900, 'width'),
  ],
  overall: { width: 'widestMm', depth: null, height: 'heightMm' },
  traits: [],
  usual: { materialId: 'glazedCeramic' },
  plan: 'round',
  hardwareMinutes: () => 0,
  zones: ({ heightMm = 0, widestMm = 0, mouthMm = 0 }) => [
    zone('body', 'A', 'Outside', {
      kind: 'turned',
      meanDiameterMm: (widestMm * 2 + Math.min(mouthMm, widestMm)) / 3,
      heightMm,
    }),
    zone('lip', 'B', 'Inside of the neck', {
      kind: 'cylinder',
      diameterMm: Math.min(mouthMm, widestMm),
      heightMm: heightMm * 0.12,
      ends: 0,
    }),
    zone(
      'base',
      'C',
      'Underside',
      { kind: 'cylinder', diameterMm: widestMm * 0.6, heightMm: 0, ends: 1 },
      { included: false, use: 'seen' },
    ),
  ],
  draw: ({ heightMm = 0, widestMm = 0, mouthMm = 0 }) => {
    const mouth = Math.min(mouthMm, widestMm) / widestMm;
    const middle = widestMm / 2;
    return {
      widthMm: widestMm,
      heightMm,
      shapes: [
        turnedOutline('body', widestMm, heightMm, [
          [0, mouth],
          [0.14, mouth * 0.86],
          [0.3, Math.max(mouth * 0.86, 0.7)],
          [0.5, 1],
          [0.75, 0.9],
          [1, 0.6],
        ]),
        // Light on its shoulder.
        {
          kind: 'ellipse',
          zoneId: 'body',
          cx: middle - widestMm * 0.2,
          cy: heightMm * 0.5,
          rx: widestMm * 0.05,
          ry: heightMm * 0.16,
          shade: 18,
          isSoft: true,
        },
        polygon(
          'lip',
          [
            [middle - (widestMm * mouth) / 2, 0],
            [middle + (widestMm * mouth) / 2, 0],
            [middle + widestMm * mouth * 0.46, heightMm * 0.04],
            [middle - widestMm * mouth * 0.46, heightMm * 0.04],
          ],
          -16,
        ),
      ],
      labels: [
        { letter: 'A', xMm: middle, yMm: heightMm * 0.6 },
        { letter: 'B', xMm: middle, yMm: heightMm * 0.03 },
      ],
      dimensions: dimensions(widestMm, heightMm),
    };
  },
};
