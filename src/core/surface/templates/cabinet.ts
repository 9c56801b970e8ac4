import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { caseZones, knob, lengthMeasure, slantedBox, zone } from './parts';

/** A cabinet with doors: top, sides and frame, raised doors on both faces, inside on request. */
export const cabinet: FurnitureTemplate = {
  id: 'cabinet',
  name: 'Cabinet with doors',
  words: ['cabinet', 'cupboard', 'wardrobe', 'armoire', 'hutch', 'locker', 'vanity'],
  measures: [
    lengthMeasure('widthMm', 'Width', 800, 200, 2400),
    lengthMeasure('depthMm', 'Depth', 400, 100, 900),
    lengthMeasure('heightMm', 'Height', 900, 250, 2400),
    { id: 'doors', label: 'Doors', kind: 'count', standard: 2, minimum: 1, maximum: 6 },
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: ['storesThings'],
  // Six minutes a pair of hinges, two a knob (common practice, from memory).
  hardwareMinutes: ({ doors = 0 }) => 8 * doors,
  zones: (m) => {
    const { depthMm = 0, doors = 1 } = m;
    const door = doorOf(m);
    return [
      ...caseZones(m, { widthMm: door.width * doors, heightMm: door.height }),
      zone(
        'doors',
        'C',
        doors === 1 ? 'Door, both faces' : `${doors} doors, both faces`,
        { kind: 'panelDoor', widthMm: door.width, heightMm: door.height, edgeMm: 19, profile: 'raised' },
        { count: doors, sides: 2, detail: 'profiles' },
      ),
      zone(
        'inside',
        'D',
        'Inside',
        { kind: 'boxClosed', widthMm: door.width * doors, depthMm, heightMm: door.height },
        { use: 'seen', included: false },
      ),
    ];
  },
  draw: (m) => {
    const { widthMm = 0, depthMm = 0, heightMm = 0, doors = 1 } = m;
    const door = doorOf(m);
    const box = slantedBox('carcass', 'top', widthMm, depthMm, heightMm);
    const x0 = (widthMm - door.width * doors) / 2;
    const y0 = box.frontY + (heightMm - door.height) / 2;
    const leaves = Array.from({ length: doors }, (_, n) => {
      const x = x0 + n * door.width;
      return [
        drawnRectangle('doors', x + 3, y0, door.width - 6, door.height, 8),
        drawnRectangle(
          'doors',
          x + door.width * 0.16,
          y0 + door.height * 0.1,
          door.width * 0.68,
          door.height * 0.8,
          -4,
        ),
        knob(x + door.width * (n % 2 === 0 ? 0.9 : 0.1), y0 + door.height * 0.5, heightMm * 0.012),
      ];
    }).flat();
    return {
      ...box.size,
      shapes: [...box.shapes, ...leaves],
      labels: [
        { letter: 'A', xMm: widthMm * 0.55, yMm: box.frontY * 0.6 },
        { letter: 'B', xMm: widthMm + box.slantX * 0.5, yMm: heightMm * 0.55 },
        { letter: 'C', xMm: x0 + door.width * 0.5, yMm: y0 + door.height * 0.5 },
      ],
      dimensions: box.dimensions,
    };
  },
};

function doorOf({ widthMm = 0, heightMm = 0, doors = 1 }: Record<string, number>) {
  return { width: Math.max(10, (widthMm - 50) / Math.max(1, doors)), height: Math.max(10, heightMm - 90) };
}
