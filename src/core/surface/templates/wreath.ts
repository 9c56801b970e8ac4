import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

/** A wreath form or ring; with leaves, when they are counted. */
export const wreath: FurnitureTemplate = {
  id: 'wreath',
  name: 'Wreath or ring',
  words: ['wreath', 'ring', 'hoop', 'garland ring'],
  measures: [
    lengthMeasure('widthMm', 'Outer diameter', 355, 80, 1500),
    lengthMeasure('tubeMm', 'Thickness', 60, 5, 400),
    { id: 'leaves', label: 'Leaves', kind: 'count', standard: 0, minimum: 0, maximum: 500 },
  ],
  overall: { width: 'widthMm', depth: null, height: 'widthMm' },
  traits: ['hangs'],
  usual: { materialId: 'fauxLeaf' },
  plan: 'flat',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, tubeMm = 0, leaves = 0 }) => [
    zone(
      'ring',
      'A',
      'Ring',
      { kind: 'torus', ringDiameterMm: widthMm, tubeDiameterMm: Math.min(tubeMm, widthMm / 2) },
      { use: 'seen', detail: 'profiles' },
    ),
    ...(leaves > 0
      ? [
          zone(
            'leaves',
            'B',
            `${leaves} leaves, both faces`,
            { kind: 'leaves', leaves, lengthMm: 90, widthMm: 40 },
            { use: 'seen', detail: 'spindles' },
          ),
        ]
      : []),
  ],
  draw: ({ widthMm = 0, tubeMm = 0, leaves = 0 }) => {
    const r = widthMm / 2;
    const tube = Math.min(tubeMm, widthMm / 2);
    const shown = Math.min(leaves, 16);
    const leaf = (n: number) => {
      const angle = (n / Math.max(1, shown)) * 2 * Math.PI;
      return {
        kind: 'ellipse' as const,
        zoneId: 'leaves',
        cx: r + (r - tube / 2) * Math.cos(angle),
        cy: r + (r - tube / 2) * Math.sin(angle),
        rx: widthMm * 0.08,
        ry: widthMm * 0.045,
        shade: n % 2 === 0 ? 4 : -8,
      };
    };
    return {
      widthMm,
      heightMm: widthMm,
      shapes: [
        { kind: 'ellipse', zoneId: 'ring', cx: r, cy: r, rx: r, ry: r, shade: 0 },
        { kind: 'ellipse', zoneId: null, cx: r, cy: r, rx: Math.max(1, r - tube), ry: Math.max(1, r - tube), shade: 0 },
        ...Array.from({ length: shown }, (_, n) => leaf(n)),
      ],
      labels: [{ letter: 'A', xMm: r, yMm: tube / 2 }, ...(leaves > 0 ? [{ letter: 'B', xMm: tube / 2, yMm: r }] : [])],
      dimensions: dimensions(widthMm, widthMm),
    };
  },
};
