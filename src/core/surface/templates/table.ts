import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { around, dimensions, lengthMeasure, topZone, zone } from './parts';

/** A table, stool or bench on four square legs: top with its edges, aprons, legs. */
export const table: FurnitureTemplate = {
  id: 'table',
  name: 'Table, stool or bench',
  words: ['side table', 'coffee table', 'table', 'stool', 'bench', 'desk', 'step stool'],
  measures: [
    lengthMeasure('widthMm', 'Width', 500, 100, 3500),
    lengthMeasure('depthMm', 'Depth', 400, 100, 1800),
    lengthMeasure('heightMm', 'Height', 550, 100, 1300),
    lengthMeasure('legMm', 'Legs, across', 40, 10, 200),
    lengthMeasure('apronMm', 'Apron, high', 80, 0, 300),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: [],
  hardwareMinutes: () => 0,
  // Area of a rectangular table: WD + 2(W+D)t + Σ legs 4·a·h + aprons (elementary geometry).
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0, legMm = 0, apronMm = 0 }) => [
    topZone('Top with its edges', widthMm, depthMm, TOP_MM),
    zone(
      'legs',
      'B',
      'Legs',
      { kind: 'squareLeg', topMm: legMm, footMm: legMm, heightMm: Math.max(0, heightMm - TOP_MM) },
      { count: 4, detail: 'profiles' },
    ),
    zone('aprons', 'C', 'Aprons', around(widthMm, depthMm, apronMm)),
    zone(
      'underside',
      'D',
      'Underside',
      { kind: 'rectangle', widthMm, heightMm: depthMm },
      { use: 'seen', included: false },
    ),
  ],
  draw: ({ widthMm = 0, heightMm = 0, legMm = 0, apronMm = 0 }) => {
    const inset = Math.min(widthMm * 0.03, 30);
    const leg = Math.min(legMm, widthMm / 3);
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('aprons', inset, TOP_MM, widthMm - 2 * inset, Math.min(apronMm, heightMm - TOP_MM), -8),
        drawnRectangle('legs', inset, TOP_MM, leg, heightMm - TOP_MM),
        drawnRectangle('legs', widthMm - inset - leg, TOP_MM, leg, heightMm - TOP_MM, -6),
        drawnRectangle('top', 0, 0, widthMm, TOP_MM, 10),
      ],
      labels: [
        { letter: 'A', xMm: widthMm / 2, yMm: TOP_MM / 2 },
        { letter: 'B', xMm: inset + leg / 2, yMm: heightMm * 0.7 },
        { letter: 'C', xMm: widthMm / 2, yMm: TOP_MM + Math.min(apronMm, heightMm - TOP_MM) / 2 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

/** A usual top is so thick. */
const TOP_MM = 22;
