import type { PatternSlot, SlotRole } from '../model/rows';

/** A starting pattern: what a kind of spot may call for, where, and why it works. */
export interface StartingPattern {
  id: string;
  name: string;
  spotKinds: readonly string[];
  reason: string;
  /** On a wall it is laid in a field of this size, its middle at the eyes; mm. The whole spot where nothing is said. */
  field?: { widthMm: number; heightMm: number };
  /** Drawn for shelves with so many openings: heights are shares of one of them. */
  openings?: number;
  slots: readonly PatternSlot[];
}

/** name, role, then x, y (lower left), width, height as shares of the room. */
function slot(
  name: string,
  role: SlotRole,
  [x, y, width, height]: readonly [number, number, number, number],
  rest: Partial<PatternSlot> = {},
): PatternSlot {
  return { name, role, quantity: 1, importance: 'wanted', x, y, width, height, perSeat: null, ...rest };
}

/** A gallery on a whole wall: as large as such a field usually is. */
const galleryField = { widthMm: 72 * 25.4, heightMm: 48 * 25.4 };

/**
 * Starting patterns of our own making. Their proportions follow common practice of the trade (from memory): height steps
 * of about a third, groups of one, three and five, an anchor of half to three quarters of what lies below it.
 */
export const patternRows: readonly StartingPattern[] = [
  {
    id: 'mirrorAndLean',
    name: 'Mirror in the middle, frames leaning in',
    spotKinds: ['console', 'sideboard', 'mantel'],
    reason:
      'One large round or square in the middle holds the eye; leaning frames break its edge, one tall thing answers them.',
    slots: [
      slot('Mirror', 'anchor', [0.18, 0.12, 0.64, 0.78], { importance: 'must' }),
      slot('Frame, leaning, large', 'texture', [0.05, 0, 0.2, 0.4]),
      slot('Frame, leaning, small', 'personal', [0.2, 0, 0.13, 0.26]),
      slot('Something tall and thin', 'height', [0.86, 0, 0.07, 0.55]),
      slot('Low bowl', 'function', [0.66, 0, 0.14, 0.1]),
    ],
  },
  {
    id: 'lampAndStack',
    name: 'Lamp on one side, stack on the other',
    spotKinds: ['console', 'sideboard'],
    reason: 'Uneven on purpose: light and height on one side are balanced by a wide, low stack on the other.',
    slots: [
      slot('Lamp', 'light', [0.04, 0, 0.2, 0.55], { importance: 'must' }),
      slot('Art or mirror', 'anchor', [0.26, 0.15, 0.5, 0.6]),
      slot('Books, lying', 'riser', [0.58, 0, 0.24, 0.08]),
      slot('Small thing on the books', 'personal', [0.65, 0.08, 0.1, 0.12]),
      slot('Greenery', 'greenery', [0.84, 0, 0.14, 0.36]),
    ],
  },
  {
    id: 'mirroredPair',
    name: 'A pair with something between',
    spotKinds: ['console', 'sideboard', 'mantel'],
    reason: 'Two alike at the ends calm a busy room; the middle stays lower so that the pair frames it.',
    slots: [
      slot('Pair: lamps or vases', 'height', [0.03, 0, 0.12, 0.5], { quantity: 2, importance: 'must' }),
      slot('Middle piece', 'anchor', [0.25, 0.13, 0.5, 0.55]),
      slot('Low greenery', 'greenery', [0.38, 0, 0.24, 0.14]),
    ],
  },
  {
    id: 'mantelSteps',
    name: 'Steps down from one side',
    spotKinds: ['mantel', 'cabinetTop', 'window'],
    reason: 'Heights fall by about a third each (1 : 0.67 : 0.45), so that the eye walks down instead of jumping.',
    slots: [
      slot('Tallest', 'height', [0.15, 0, 0.11, 0.75], { importance: 'must' }),
      slot('Two thirds of it', 'texture', [0.29, 0, 0.11, 0.5]),
      slot('Less than half of it', 'personal', [0.43, 0, 0.1, 0.33]),
      slot('Garland or trailing greenery', 'greenery', [0.55, 0, 0.26, 0.12]),
      slot('Small echo at the far end', 'filler', [0.84, 0, 0.14, 0.21]),
    ],
  },
  {
    id: 'trayThree',
    name: 'Three on a tray',
    spotKinds: ['tray', 'coffeeTable'],
    reason:
      'A triangle of tall, middle and low reads as one thing; the tray keeps it together and lifts off in one go.',
    slots: [
      slot('Tall: vase or candle', 'height', [0.12, 0.5, 0.28, 0.38], { importance: 'must' }),
      slot('Middle: plant or jar', 'greenery', [0.54, 0.48, 0.3, 0.36]),
      slot('Low: bowl or beads', 'filler', [0.32, 0.1, 0.36, 0.3]),
    ],
  },
  {
    id: 'tieredTray',
    name: 'Tiered tray, small to the top',
    spotKinds: ['tieredTray'],
    reason:
      'Weight sits low: the largest pieces on the lowest tier, flat signs leaned at the back, small things filling the gaps.',
    slots: [
      slot('Mug, jar or canister', 'function', [0.06, 0, 0.28, 0.26], { importance: 'must' }),
      slot('Small pot with greenery', 'greenery', [0.66, 0, 0.28, 0.3]),
      slot('Fillers', 'filler', [0.37, 0, 0.07, 0.1], { quantity: 3, importance: 'nice' }),
      slot('Sign or print, leaning', 'anchor', [0.3, 0.4, 0.4, 0.3]),
      slot('Small house, bird or bell', 'personal', [0.2, 0.4, 0.14, 0.2]),
    ],
  },
  {
    id: 'tableSetting',
    name: 'Laid table with a low middle',
    spotKinds: ['diningTable'],
    reason: 'A runner a third of the width, a middle low enough to look over, and the same few things at every seat.',
    slots: [
      slot('Runner', 'texture', [0.02, 0.34, 0.96, 0.32]),
      slot('Low centerpiece', 'anchor', [0.3, 0.37, 0.4, 0.26], { importance: 'must' }),
      slot('Low lights, flameless', 'light', [0.22, 0.45, 0.05, 0.1], { quantity: 2 }),
      slot('Charger or mat', 'function', [0.05, 0.02, 0.16, 0.28], { perSeat: { parts: 1, spares: 0 }, quantity: 6 }),
      slot('Dinner plate', 'function', [0.06, 0.03, 0.14, 0.26], { perSeat: { parts: 1, spares: 0 }, quantity: 6 }),
      slot('Napkin with ring', 'texture', [0.22, 0.05, 0.05, 0.2], { perSeat: { parts: 1, spares: 2 }, quantity: 8 }),
    ],
  },
  {
    id: 'buffetTable',
    name: 'Coffee bar, used every day',
    spotKinds: ['sideboard', 'console'],
    reason:
      'What is used stands in front and low, what is looked at stands behind and tall; a tray gathers the small things.',
    slots: [
      slot('Sign', 'anchor', [0.25, 0.14, 0.5, 0.5]),
      slot('Machine or kettle', 'function', [0.05, 0, 0.24, 0.3], { importance: 'must' }),
      slot('Tray for the small things', 'riser', [0.36, 0, 0.3, 0.04]),
      slot('Canisters', 'function', [0.4, 0.04, 0.08, 0.16], { quantity: 3 }),
      slot('Mug rack', 'height', [0.74, 0, 0.16, 0.42]),
      slot('Basket', 'texture', [0.9, 0, 0.1, 0.18], { importance: 'nice' }),
    ],
  },
  {
    id: 'shelfThirds',
    name: 'A third books, a third things, a third air',
    spotKinds: ['shelfRun', 'bookcase'],
    openings: 3,
    reason: 'Each shelf keeps a third free; what is heavy wanders from side to side from one shelf to the next.',
    slots: [
      slot('Books, standing', 'function', [0.03, 0, 0.3, 0.2], { quantity: 2, importance: 'must' }),
      slot('Books, lying', 'riser', [0.62, 0.35, 0.25, 0.06], { quantity: 2 }),
      slot('Vase or jug', 'height', [0.43, 0, 0.14, 0.3]),
      slot('Frame, leaning', 'personal', [0.1, 0.35, 0.2, 0.24]),
      slot('Trailing plant', 'greenery', [0.78, 0.68, 0.16, 0.22]),
      slot('Basket or box', 'texture', [0.06, 0.68, 0.26, 0.2]),
    ],
  },
  {
    id: 'shelfZigzag',
    name: 'Heavy low, one color from side to side',
    spotKinds: ['shelfRun', 'bookcase'],
    openings: 3,
    reason:
      'Baskets and stacks carry the lowest shelf, light things the highest; one color wanders left, right, left on the way up.',
    slots: [
      slot('Baskets or boxes', 'texture', [0.04, 0, 0.4, 0.2], { quantity: 2, importance: 'must' }),
      slot('Bowl in the color', 'filler', [0.06, 0.35, 0.22, 0.1]),
      slot('Frame, leaning', 'personal', [0.5, 0.35, 0.26, 0.24]),
      slot('Books, lying', 'riser', [0.08, 0.68, 0.28, 0.07]),
      slot('Vase in the color', 'height', [0.7, 0.68, 0.14, 0.2]),
    ],
  },
  {
    id: 'galleryGrid',
    name: 'Six alike in a grid',
    spotKinds: ['galleryWall', 'wall'],
    field: galleryField,
    reason: 'The same frame six times with equal gaps of 2 to 3 in reads as one large picture and is quick to hang.',
    slots: [
      slot('Frame', 'anchor', [0.05, 0.06, 0.27, 0.42], { quantity: 6, importance: 'must' }),
      slot('Print or mat', 'personal', [0.08, 0.1, 0.21, 0.34], { quantity: 6 }),
    ],
  },
  {
    id: 'gallerySalon',
    name: 'One large, smaller ones around it',
    spotKinds: ['galleryWall', 'wall'],
    field: galleryField,
    reason: 'Start with the largest a little off the middle; keep the gaps alike and the outline loose.',
    slots: [
      slot('Largest frame', 'anchor', [0.32, 0.16, 0.36, 0.56], { importance: 'must' }),
      slot('Middle frames', 'personal', [0.05, 0.24, 0.235, 0.44], { quantity: 2 }),
      slot('Small frames', 'personal', [0.05, 0.77, 0.175, 0.15], { quantity: 3 }),
      slot('Something that is no frame', 'texture', [0.68, 0.77, 0.27, 0.15]),
    ],
  },
  {
    id: 'bedSides',
    name: 'Bed with a pair and something above',
    spotKinds: ['bedWall'],
    reason:
      'Nightstands at mattress height, light at the reading eye, and one wide thing over the bed that does not fall on a sleeper.',
    slots: [
      slot('Nightstand, left', 'function', [0.04, 0, 0.14, 0.27], { importance: 'must' }),
      slot('Nightstand, right', 'function', [0.82, 0, 0.14, 0.27], { importance: 'must' }),
      slot('Reading lamps', 'light', [0.06, 0.27, 0.1, 0.26], { quantity: 2 }),
      slot('Over the bed', 'anchor', [0.34, 0.53, 0.32, 0.22]),
      slot('Pillows', 'texture', [0.3, 0.26, 0.085, 0.12], { quantity: 4, importance: 'nice' }),
    ],
  },
  {
    id: 'porchWelcome',
    name: 'Two pots and a wreath',
    spotKinds: ['porch'],
    reason: 'Height at both sides of the door, the wreath at the eye, the step itself left free.',
    slots: [
      slot('Tall planter', 'greenery', [0.01, 0, 0.12, 0.34], { quantity: 2, importance: 'must' }),
      slot('Wreath', 'anchor', [0.36, 0.52, 0.28, 0.21]),
      slot('Lantern', 'light', [0.135, 0, 0.075, 0.18]),
      slot('Door mat', 'function', [0.34, 0, 0.32, 0.02]),
    ],
  },
  {
    id: 'floorCorner',
    name: 'Reading corner',
    spotKinds: ['floorArea'],
    reason: 'A chair turned by a third toward the room, light behind the shoulder, a place for a cup within reach.',
    slots: [
      slot('Rug', 'texture', [0.1, 0.1, 0.75, 0.75]),
      slot('Chair', 'anchor', [0.2, 0.35, 0.3, 0.36], { importance: 'must' }),
      slot('Floor lamp', 'light', [0.1, 0.74, 0.12, 0.14]),
      slot('Side table', 'function', [0.55, 0.45, 0.16, 0.18]),
      slot('Plant', 'greenery', [0.74, 0.74, 0.16, 0.18]),
    ],
  },
  {
    id: 'drawerBins',
    name: 'Drawer in lanes',
    spotKinds: ['drawer'],
    reason:
      'Long things along one side, small bins along the other; a finger of air so that it closes over the knob’s screw.',
    slots: [
      slot('Long bin', 'function', [0.03, 0.05, 0.3, 0.9], { importance: 'must' }),
      slot('Small bins', 'function', [0.37, 0.05, 0.28, 0.28], { quantity: 3 }),
      slot('Liner', 'texture', [0.01, 0.01, 0.98, 0.98], { importance: 'nice' }),
    ],
  },
];
