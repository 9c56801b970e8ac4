import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';

/** A turned or cast lamp base: foot, body, neck. Shade, bulb and cord come off or are masked. */
export const lampBase: FurnitureTemplate = {
  id: 'lampBase',
  name: 'Lamp base',
  words: ['lamp base', 'table lamp', 'reading lamp', 'lamp', 'lamps'],
  measures: [
    { id: 'heightMm', label: 'Height of the base', kind: 'length', standard: 381, minimum: 80, maximum: 1800 },
    { id: 'bodyMm', label: 'Body, widest', kind: 'length', standard: 127, minimum: 15, maximum: 600, follows: 'width' },
    { id: 'footMm', label: 'Foot, across', kind: 'length', standard: 152.4, minimum: 30, maximum: 600 },
  ],
  overall: { width: 'footMm', depth: null, height: 'heightMm' },
  traits: ['lamp'],
  // Shade and bulb off, fitting and cord masked, and back (common practice, from memory).
  usual: { materialId: 'ferrousMetal' },
  plan: 'round',
  hardwareMinutes: () => 8,
  zones: (m) => {
    const { heightMm = 0, bodyMm = 0, footMm = 0 } = m;
    const neck = bodyMm * 0.3;
    return [
      {
        id: 'foot',
        letter: 'A',
        name: 'Foot',
        shape: { kind: 'cylinder', diameterMm: footMm, heightMm: heightMm * 0.08, ends: 1 },
        count: 1,
        sides: 1,
        textureFactor: null,
        detail: 'flat',
        use: 'handled',
        included: true,
      },
      {
        id: 'body',
        letter: 'B',
        name: 'Body, turned',
        shape: { kind: 'turned', meanDiameterMm: bodyMm * 0.75, heightMm: heightMm * 0.67 },
        count: 1,
        sides: 1,
        // Turned and spindle work: 1.15 to 1.5, 1.25 usual (common practice, from memory).
        textureFactor: 1.25,
        detail: 'profiles',
        use: 'handled',
        included: true,
      },
      {
        id: 'neck',
        letter: 'C',
        name: 'Neck below the fitting',
        shape: { kind: 'cylinder', diameterMm: neck, heightMm: heightMm * 0.25, ends: 0 },
        count: 1,
        sides: 1,
        textureFactor: null,
        detail: 'flat',
        use: 'handled',
        included: true,
      },
    ];
  },
  draw: (m) => {
    const { heightMm = 0, bodyMm = 0, footMm = 0 } = m;
    const width = Math.max(bodyMm, footMm);
    const middle = width / 2;
    const neck = bodyMm * 0.3;
    const neckHeight = heightMm * 0.25;
    const bodyHeight = heightMm * 0.67;
    return {
      widthMm: width,
      heightMm,
      shapes: [
        drawnRectangle('neck', middle - neck / 2, 0, neck, neckHeight, 6),
        {
          kind: 'polygon',
          zoneId: 'body',
          shade: 0,
          points: [
            [middle - neck / 2, neckHeight],
            [middle + neck / 2, neckHeight],
            [middle + bodyMm * 0.44, neckHeight + bodyHeight * 0.22],
            [middle + bodyMm / 2, neckHeight + bodyHeight * 0.42],
            [middle + bodyMm * 0.38, neckHeight + bodyHeight * 0.75],
            [middle + bodyMm * 0.24, neckHeight + bodyHeight],
            [middle - bodyMm * 0.24, neckHeight + bodyHeight],
            [middle - bodyMm * 0.38, neckHeight + bodyHeight * 0.75],
            [middle - bodyMm / 2, neckHeight + bodyHeight * 0.42],
            [middle - bodyMm * 0.44, neckHeight + bodyHeight * 0.22],
          ],
        },
        {
          kind: 'ellipse',
          zoneId: 'body',
          cx: middle - bodyMm * 0.2,
          cy: neckHeight + bodyHeight * 0.42,
          rx: bodyMm * 0.05,
          ry: bodyHeight * 0.16,
          shade: 18,
          isSoft: true,
        },
        drawnRectangle('foot', middle - footMm / 2, heightMm * 0.92, footMm, heightMm * 0.08, -12),
      ],
      labels: [
        { letter: 'A', xMm: middle, yMm: heightMm * 0.97 },
        { letter: 'B', xMm: middle, yMm: heightMm * 0.55 },
        { letter: 'C', xMm: middle, yMm: heightMm * 0.14 },
      ],
      dimensions: [
        { fromX: middle - footMm / 2, fromY: heightMm, toX: middle + footMm / 2, toY: heightMm, lengthMm: footMm },
        { fromX: 0, fromY: 0, toX: 0, toY: heightMm, lengthMm: heightMm },
      ],
    };
  },
};
