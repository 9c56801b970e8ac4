import type { DrawnShape } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';
import { arc, heldShape, leaf } from './strokes';

/** The ring is drawn in so many parts. */
const RING_PARTS = 36;

/** A wreath form or ring; with leaves, when they are counted. */
export const wreath: FurnitureTemplate = {
  id: 'wreath',
  name: 'Wreath or ring',
  words: ['wreath', 'ring', 'hoop', 'garland ring'],
  measures: [
    lengthMeasure('widthMm', 'Outer diameter', 355, 80, 1500),
    lengthMeasure('tubeMm', 'Thickness', 60, 5, 400, 'width'),
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
    // Without leaves of its own it is bound of something: twigs, rags, moss.
    const shown = Math.max(26, Math.min(leaves, 44));
    const zoneId = leaves > 0 ? 'leaves' : 'ring';
    // Leaves lie along the ring, one outward, one inward.
    const leafAt = (n: number) => {
      const angle = (n / Math.max(1, shown)) * 2 * Math.PI;
      const out = n % 2 === 0 ? 1 : -1;
      const from = r - tube / 2;
      const to = from + out * tube * 0.45;
      const turn = angle + (tube * 1.1) / Math.max(1, r);
      return heldShape(
        leaf(
          zoneId,
          [r + from * Math.cos(angle), r + from * Math.sin(angle)],
          [r + to * Math.cos(turn), r + to * Math.sin(turn)],
          tube * 0.5,
          n % 3 === 0 ? 6 : n % 3 === 1 ? -4 : -10,
        ),
        widthMm,
        widthMm,
      );
    };
    return {
      widthMm,
      heightMm: widthMm,
      shapes: [
        // In pieces around the middle, through which the wall is seen.
        ...Array.from({ length: RING_PARTS }, (_, n): DrawnShape => {
          const [from, to] = [n, n + 1].map((at) => (at / RING_PARTS) * 2 * Math.PI);
          const outer = arc(r, r, r, r, from ?? 0, to ?? 0, 2);
          const inner = arc(r, r, r - tube, r - tube, to ?? 0, from ?? 0, 2);
          return {
            kind: 'polygon',
            zoneId: 'ring',
            shade: n % 2 === 0 ? 0 : -5,
            isSoft: true,
            points: [...outer, ...inner],
          };
        }),
        ...Array.from({ length: shown }, (_, n) => leafAt(n)),
      ],
      labels: [{ letter: 'A', xMm: r, yMm: tube / 2 }, ...(leaves > 0 ? [{ letter: 'B', xMm: tube / 2, yMm: r }] : [])],
      dimensions: dimensions(widthMm, widthMm),
    };
  },
};
