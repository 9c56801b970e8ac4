import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { caseZones, faces, flatFace } from './parts';

/** A bay that is lower than this is no opening; between two fronts, and under the bay, there is so much. */
const LEAST_BAY_MM = 60;
const BETWEEN_MM = 8;

/** A small bedside chest: top, sides and frame, drawer fronts, an open bay below when there is room. */
export const nightstand: FurnitureTemplate = {
  id: 'nightstand',
  name: 'Nightstand',
  words: ['nightstand', 'night stand', 'bedside table', 'bedside'],
  measures: [
    { id: 'widthMm', label: 'Width', kind: 'length', standard: 406.4, minimum: 150, maximum: 1500 },
    { id: 'depthMm', label: 'Depth', kind: 'length', standard: 381, minimum: 120, maximum: 1200 },
    { id: 'heightMm', label: 'Height', kind: 'length', standard: 635, minimum: 200, maximum: 1500 },
    { id: 'drawers', label: 'Drawers', kind: 'count', standard: 2, minimum: 0, maximum: 6 },
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: ['storesThings'],
  // Two minutes a knob, two a drawer taken out and put back (common practice, from memory).
  hardwareMinutes: (m) => 4 * (m.drawers ?? 0),
  zones: (m) => {
    const { widthMm = 0, depthMm = 0, heightMm = 0, drawers = 0 } = m;
    const front = drawerLayout(widthMm, heightMm, drawers);
    return [
      ...caseZones(m, { widthMm: front.width, heightMm: front.height * drawers + front.bay }, 19),
      ...(drawers > 0
        ? [
            {
              id: 'drawers',
              letter: 'C',
              name: drawers === 1 ? 'Drawer front' : `${drawers} drawer fronts`,
              shape: { kind: 'rectangle' as const, widthMm: front.width, heightMm: front.height, edgeMm: 18 },
              count: drawers,
              sides: 1 as const,
              textureFactor: null,
              detail: 'profiles' as const,
              use: 'handled' as const,
              included: true,
            },
          ]
        : []),
      ...(front.bay > LEAST_BAY_MM
        ? [
            {
              id: 'bay',
              letter: 'D',
              name: 'Open bay, inside',
              shape: faces(
                flatFace('floor', 'Floor and ceiling', front.width, depthMm, 2),
                flatFace('sides', 'Sides, inside', depthMm, front.bay, 2),
                flatFace('back', 'Back, inside', front.width, front.bay),
              ),
              count: 1,
              sides: 1 as const,
              textureFactor: null,
              detail: 'flat' as const,
              use: 'seen' as const,
              included: true,
            },
          ]
        : []),
    ];
  },
  boards: ({ widthMm = 0, heightMm = 0, drawers = 0 }) => {
    const { inset, width, bay } = drawerLayout(widthMm, heightMm, drawers);
    const topMm = inset + BETWEEN_MM;
    return bay > LEAST_BAY_MM ? [{ topMm, thickMm: topMm, leftMm: inset, rightMm: inset + width }] : [];
  },
  draw: (m) => {
    const { widthMm = 0, depthMm = 0, heightMm = 0, drawers = 0 } = m;
    const front = drawerLayout(widthMm, heightMm, drawers);
    const slantX = depthMm * 0.35;
    const slantY = depthMm * 0.22;
    const y0 = slantY;
    const { inset } = front;
    let y = y0 + inset;
    const fronts = [];
    for (let i = 0; i < drawers; i += 1) {
      fronts.push(drawnRectangle('drawers', inset, y, front.width, front.height, 8));
      fronts.push({
        kind: 'ellipse' as const,
        zoneId: null,
        cx: widthMm / 2,
        cy: y + front.height / 2,
        rx: widthMm * 0.028,
        ry: widthMm * 0.028,
        shade: 0,
      });
      y += front.height + BETWEEN_MM;
    }
    const bayTop = y;
    return {
      widthMm: widthMm + slantX,
      heightMm: heightMm + slantY,
      shapes: [
        {
          kind: 'polygon',
          zoneId: 'top',
          shade: 10,
          points: [
            [0, y0],
            [widthMm, y0],
            [widthMm + slantX, 0],
            [slantX, 0],
          ],
        },
        {
          kind: 'polygon',
          zoneId: 'carcass',
          shade: -10,
          points: [
            [widthMm, y0],
            [widthMm + slantX, 0],
            [widthMm + slantX, heightMm],
            [widthMm, heightMm + slantY],
          ],
        },
        drawnRectangle('carcass', 0, y0, widthMm, heightMm),
        ...fronts,
        ...(front.bay > LEAST_BAY_MM
          ? [drawnRectangle('bay', inset, bayTop, front.width, front.bay - BETWEEN_MM, -22)]
          : []),
      ],
      labels: [
        { letter: 'A', xMm: widthMm * 0.55 + slantX * 0.4, yMm: y0 * 0.72 },
        { letter: 'B', xMm: widthMm + slantX * 0.5, yMm: heightMm * 0.55 },
        ...(drawers > 0
          ? [{ letter: 'C', xMm: inset + front.width * 0.12, yMm: y0 + inset + front.height * 0.3 }]
          : []),
        ...(front.bay > LEAST_BAY_MM
          ? [{ letter: 'D', xMm: inset + front.width * 0.12, yMm: bayTop + front.bay * 0.4 }]
          : []),
      ],
      dimensions: [
        { fromX: 0, fromY: heightMm + slantY, toX: widthMm, toY: heightMm + slantY, lengthMm: widthMm },
        { fromX: 0, fromY: y0, toX: 0, toY: y0 + heightMm, lengthMm: heightMm },
      ],
    };
  },
};

/** Drawer fronts share the upper part of the face in equal heights; what is left of a tall face is an open bay. */
function drawerLayout(
  widthMm: number,
  heightMm: number,
  drawers: number,
): { inset: number; width: number; height: number; bay: number } {
  const inset = Math.min(24, widthMm * 0.06);
  const face = Math.max(0, heightMm - 2 * inset);
  const height = drawers > 0 ? Math.min(190, face / drawers - BETWEEN_MM) : 0;
  const bay = face - drawers * (height + BETWEEN_MM);
  return { inset, width: widthMm - 2 * inset, height: Math.max(0, height), bay: Math.max(0, bay) };
}
