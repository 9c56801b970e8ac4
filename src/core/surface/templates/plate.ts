import type { DrawnShape } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

/** A plate: standing on a ledge or hung it shows its face, lying on a table from above. */
export const plate: FurnitureTemplate = {
  id: 'plate',
  name: 'Plate or charger',
  words: ['dinner plate', 'salad plate', 'charger', 'plate', 'plates'],
  measures: [
    lengthMeasure('widthMm', 'Across', 265, 60, 600),
    lengthMeasure('rimMm', 'Rim, wide', 35, 2, 150, 'width'),
  ],
  overall: { width: 'widthMm', depth: null, height: 'widthMm' },
  traits: ['hangs'],
  usual: { materialId: 'glazedCeramic' },
  plan: 'flat',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, rimMm = 0 }) => {
    const inner = Math.max(0, widthMm - 2 * rimMm);
    return [
      zone('rim', 'A', 'Rim', {
        kind: 'custom',
        areaM2: (Math.PI / 4) * (widthMm ** 2 - inner ** 2) * 1e-6,
      }),
      zone('well', 'B', 'Middle', { kind: 'custom', areaM2: (Math.PI / 4) * inner ** 2 * 1e-6 }, { use: 'food' }),
    ];
  },
  draw: ({ widthMm = 0, rimMm = 0 }) => ({
    widthMm,
    heightMm: widthMm,
    shapes: plateFace(widthMm, rimMm),
    labels: [
      { letter: 'A', xMm: widthMm / 2, yMm: Math.min(rimMm / 2, widthMm / 4) },
      { letter: 'B', xMm: widthMm / 2, yMm: widthMm / 2 },
    ],
    dimensions: dimensions(widthMm, widthMm),
  }),
  above: ({ widthMm = 0, rimMm = 0 }) => ({
    widthMm,
    heightMm: widthMm,
    shapes: plateFace(widthMm, rimMm),
    labels: [],
    dimensions: [],
  }),
};

function plateFace(widthMm: number, rimMm: number): DrawnShape[] {
  const r = widthMm / 2;
  const round = (radius: number, zoneId: string, shade: number): DrawnShape => ({
    kind: 'ellipse',
    zoneId,
    cx: r,
    cy: r,
    rx: Math.max(0.5, radius),
    ry: Math.max(0.5, radius),
    shade,
  });
  return [
    round(r, 'rim', 0),
    round(r - Math.min(rimMm, r * 0.9), 'well', 6),
    round((r - Math.min(rimMm, r * 0.9)) * 0.9, 'well', 10),
  ];
}
