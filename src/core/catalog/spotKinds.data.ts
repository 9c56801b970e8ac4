import type { Board } from '../surface/board';
import { type DrawnShape, drawnRectangle } from '../surface/drawing';
import type { SketchRoom, SpotKind, SpotMeasure } from './spotKind';

/**
 * Kinds of spots with the measures they ask for. Usual sizes and heights are common practice, from memory: they stand in
 * until somebody measures, and are drawn as estimated.
 */
const inches = (n: number) => n * 25.4;

const length = (id: string, label: string, standardInches: number, mostInches = 240): SpotMeasure => ({
  id,
  label,
  kind: 'length',
  standard: inches(standardInches),
  minimum: 0,
  maximum: inches(mostInches),
});
/** How high the base of a spot is above the floor. */
const base = (id: string, label: string, standardInches: number, mostInches: number): SpotMeasure => ({
  ...length(id, label, standardInches, mostInches),
  isBase: true,
});
const count = (id: string, label: string, standard: number, minimum: number, maximum: number): SpotMeasure => ({
  id,
  label,
  kind: 'count',
  standard,
  minimum,
  maximum,
});

/** A surface along the bottom edge of an elevation. */
const boardBelow = (room: SketchRoom): DrawnShape[] => [
  drawnRectangle(null, 0, room.heightMm - room.heightMm * 0.012, room.widthMm, room.heightMm * 0.012),
];
const nothing = (): DrawnShape[] => [];
/** How thick a shelf is taken to be (common practice, no source). */
const SHELF_MM = 20;
/** So many shelves that share a height evenly; the lowest is the base. */
const evenShelves = (room: SketchRoom, number: number): Board[] =>
  Array.from({ length: Math.max(1, number) - 1 }, (_, n) => ({
    topMm: (room.heightMm * (n + 1)) / number,
    thickMm: SHELF_MM,
    leftMm: 0,
    rightMm: room.widthMm,
  }));
/** How many shelves a kind has where nobody counted. */
const RUN_SHELVES = 3;
const BOOKCASE_SHELVES = 5;
/** Tiers of a stand become narrower upward, and share the room between the lowest and the handle. */
const TIERS = 2;
const TIER_GAP_MM = inches(8);
const TIER_MM = 12;
function tiersOf(room: SketchRoom, measures: Readonly<Record<string, number>>): Board[] {
  const { tiers = TIERS, tierGapMm = TIER_GAP_MM, topWidthMm = room.widthMm * 0.7 } = measures;
  return Array.from({ length: Math.max(1, tiers) - 1 }, (_, n) => {
    const wide = room.widthMm + ((topWidthMm - room.widthMm) * (n + 1)) / (tiers - 1);
    return {
      topMm: tierGapMm * (n + 1),
      thickMm: TIER_MM,
      leftMm: (room.widthMm - wide) / 2,
      rightMm: (room.widthMm + wide) / 2,
    };
  });
}
/** A door is so high (common practice, no source). */
const DOOR_MM = inches(80);
/** The bed stands in the middle of its wall. */
function bedOf(room: SketchRoom, measures: Readonly<Record<string, number>>) {
  const { bedWidthMm = inches(60), mattressHeightMm = inches(25) } = measures;
  return { leftMm: (room.widthMm - bedWidthMm) / 2, widthMm: bedWidthMm, mattressMm: mattressHeightMm };
}
/** The knob's screw sticks in through the middle of the front; so thick with its nut. */
const SCREW_MM = 8;
const frame = (room: SketchRoom, edge: number): DrawnShape[] => [
  drawnRectangle(null, 0, 0, room.widthMm, edge),
  drawnRectangle(null, 0, room.heightMm - edge, room.widthMm, edge),
  drawnRectangle(null, 0, 0, edge, room.heightMm),
  drawnRectangle(null, room.widthMm - edge, 0, edge, room.heightMm),
];

export const spotKindRows: readonly SpotKind[] = [
  {
    id: 'console',
    name: 'Console',
    words: ['console', 'hall table', 'entry table', 'entryway', 'side table', 'vanity', 'desk', 'nightstand'],
    view: 'elevation',
    asks: { width: 'Width of the top', depth: 'Depth of the top', height: 'Free height above it' },
    usual: { widthMm: inches(48), depthMm: inches(14), heightMm: inches(60) },
    measures: [base('surfaceHeightMm', 'Height of the top from the floor', 30, 60)],
    furniture: 'consoleTable',
    hint: 'Measure the top, and the wall above it up to the ceiling or the next thing that hangs.',
    baseHeightMm: inches(30),
    scenery: boardBelow,
  },
  {
    id: 'sideboard',
    name: 'Sideboard',
    words: ['sideboard', 'buffet', 'credenza', 'hutch', 'dresser', 'counter', 'bar', 'island', 'kitchen island'],
    view: 'elevation',
    asks: { width: 'Width of the top', depth: 'Depth of the top', height: 'Free height above it' },
    usual: { widthMm: inches(66), depthMm: inches(18), heightMm: inches(58) },
    measures: [base('surfaceHeightMm', 'Height of the top from the floor', 34, 60)],
    carriedBy: 'body',
    furniture: 'dresser',
    hint: 'Measure the top and the wall above; note sockets that must stay free.',
    baseHeightMm: inches(34),
    scenery: boardBelow,
  },
  {
    id: 'mantel',
    name: 'Mantel',
    words: ['mantel', 'mantelpiece', 'mantle', 'fireplace'],
    view: 'elevation',
    asks: { width: 'Width of the shelf', depth: 'Depth of the shelf', height: 'Free height above it' },
    usual: { widthMm: inches(60), depthMm: inches(8), heightMm: inches(44) },
    measures: [base('surfaceHeightMm', 'Height of the shelf from the floor', 54, 90)],
    carriedBy: 'body',
    hint: 'The shelf is shallower than it looks: measure its depth, and whether a fire is lit below.',
    baseHeightMm: inches(54),
    scenery: boardBelow,
  },
  {
    id: 'tray',
    name: 'Tray',
    words: ['tray', 'serving tray', 'butler tray'],
    view: 'plan',
    asks: { width: 'Inner width', depth: 'Inner depth', height: null },
    usual: { widthMm: inches(16), depthMm: inches(12), heightMm: inches(14) },
    measures: [],
    hint: 'Measure inside the rim, where things stand.',
    baseHeightMm: inches(30),
    scenery: (room) => frame(room, Math.min(room.widthMm, room.heightMm) * 0.03),
  },
  {
    id: 'tieredTray',
    name: 'Tiered tray or stand',
    words: ['tiered tray', 'tiered stand', 'tier tray', 'tier stand', 'cake stand'],
    view: 'elevation',
    asks: { width: 'Width of the lowest tier', depth: 'Depth of the lowest tier', height: 'Height up to the handle' },
    usual: { widthMm: inches(14), depthMm: inches(14), heightMm: inches(20) },
    measures: [
      count('tiers', 'Tiers', TIERS, 1, 5),
      length('tierGapMm', 'From one tier up to the next', TIER_GAP_MM / inches(1), 24),
      length('topWidthMm', 'Width of the top tier', 10, 40),
      base('surfaceHeightMm', 'Height of what it stands on', 36, 60),
    ],
    carriedBy: 'counter',
    hint: 'Measure inside the rims, and from one tier up to the next: the tallest thing decides.',
    baseHeightMm: inches(36),
    boards: tiersOf,
    isShelved: true,
    scenery: (room) => [
      drawnRectangle(null, room.widthMm / 2 - TIER_MM / 2, 0, TIER_MM, room.heightMm),
      ...boardBelow(room),
    ],
  },
  {
    id: 'diningTable',
    name: 'Dining table',
    words: ['dining table', 'kitchen table', 'dinner table', 'picnic table', 'farm table', 'table'],
    view: 'plan',
    asks: { width: 'Length', depth: 'Width', height: null },
    usual: { widthMm: inches(72), depthMm: inches(36), heightMm: inches(30) },
    measures: [
      count('round', 'Round (1) or square-cornered (0)', 0, 0, 1),
      count('seats', 'Seats', 6, 1, 40),
      count('seatsAtEnds', 'of them at the ends', 2, 0, 2),
      length('leavesMm', 'Length that leaves add', 0, 96),
    ],
    hint: 'Count the seats that will be laid; a leaf adds length, not width.',
    baseHeightMm: inches(30),
    scenery: (room, measures) =>
      measures.round
        ? [
            {
              kind: 'ellipse',
              zoneId: null,
              cx: room.widthMm / 2,
              cy: room.heightMm / 2,
              rx: room.widthMm / 2,
              ry: room.heightMm / 2,
              shade: 0,
            },
          ]
        : frame(room, 12),
  },
  {
    id: 'coffeeTable',
    name: 'Coffee table',
    words: ['coffee table', 'cocktail table', 'ottoman'],
    view: 'plan',
    asks: { width: 'Length', depth: 'Width', height: null },
    usual: { widthMm: inches(48), depthMm: inches(24), heightMm: inches(17) },
    measures: [base('surfaceHeightMm', 'Height of the top from the floor', 17, 36)],
    hint: 'Leave room for a cup at every seat around it.',
    baseHeightMm: inches(17),
    scenery: (room) => frame(room, 10),
  },
  {
    id: 'shelfRun',
    name: 'Shelf run',
    words: ['shelf', 'shelving', 'ledge', 'picture ledge', 'plate rail'],
    view: 'elevation',
    asks: { width: 'Length of a shelf', depth: 'Depth', height: 'Height of the whole run' },
    usual: { widthMm: inches(36), depthMm: inches(8), heightMm: inches(36) },
    measures: [
      count('shelves', 'Shelves', RUN_SHELVES, 1, 12),
      base('bottomHeightMm', 'Lowest board above the floor', 48, 96),
    ],
    carriedBy: 'wall',
    hint: 'Boards that are not evenly spaced are marked where they are; else they share the height.',
    baseHeightMm: inches(48),
    boards: (room, { shelves = RUN_SHELVES }) => evenShelves(room, shelves),
    isShelved: true,
    scenery: boardBelow,
  },
  {
    id: 'bookcase',
    name: 'Bookcase',
    words: ['bookcase', 'bookshelf', 'built in', 'etagere'],
    view: 'elevation',
    asks: { width: 'Inner width', depth: 'Inner depth', height: 'Height' },
    usual: { widthMm: inches(32), depthMm: inches(11), heightMm: inches(72) },
    measures: [count('shelves', 'Shelves with the lowest', BOOKCASE_SHELVES, 1, 12)],
    hint: 'Measure inside. Boards that are not evenly spaced are marked where they are; else they share the height.',
    baseHeightMm: 0,
    boards: (room, { shelves = BOOKCASE_SHELVES }) => evenShelves(room, shelves),
    isShelved: true,
    scenery: (room) => frame(room, 18),
  },
  {
    id: 'wall',
    name: 'Wall',
    // What stands on the floor before a wall has that wall for its spot.
    words: [
      'wall',
      'hallway',
      'staircase',
      'stairwell',
      'landing',
      'hearth',
      'bench',
      'sofa',
      'couch',
      'tv',
      'television',
      'media console',
      'tv console',
      'media',
      'mudroom',
      'foyer',
      'office',
      'study',
      'craft room',
      'laundry',
      'laundry room',
    ],
    view: 'elevation',
    asks: { width: 'Width', depth: null, height: 'Height' },
    usual: { widthMm: inches(120), depthMm: 0, heightMm: inches(96) },
    measures: [],
    hint: 'Measure floor to ceiling, and note switches, sockets and vents.',
    baseHeightMm: 0,
    scenery: nothing,
  },
  {
    id: 'galleryWall',
    name: 'Gallery wall',
    words: ['gallery wall', 'gallery'],
    view: 'elevation',
    asks: { width: 'Width of the field', depth: null, height: 'Height of the field' },
    usual: { widthMm: inches(72), depthMm: 0, heightMm: inches(48) },
    measures: [base('bottomHeightMm', 'Lower edge above the floor', 33, 96)],
    carriedBy: 'wall',
    hint: 'Measure the field that frames may fill, not the whole wall.',
    baseHeightMm: inches(33),
    scenery: (room) => frame(room, 6),
  },
  {
    id: 'porch',
    name: 'Porch or step',
    words: ['porch', 'stoop', 'doorstep', 'front step', 'front door', 'patio', 'veranda', 'terrace', 'balcony'],
    view: 'elevation',
    asks: { width: 'Width', depth: 'Depth', height: 'Height to the roof or lintel' },
    usual: { widthMm: inches(72), depthMm: inches(48), heightMm: inches(96) },
    measures: [length('doorWidthMm', 'Width of the door', 36, 96)],
    hint: 'The door must swing and the step stay free; what stands here meets rain and sun.',
    baseHeightMm: 0,
    ownFeatures: (room, measures) => {
      const widthMm = measures.doorWidthMm ?? inches(36);
      return [{ kind: 'door', name: '', xMm: (room.widthMm - widthMm) / 2, yMm: 0, widthMm, heightMm: DOOR_MM }];
    },
    scenery: (room, measures) => {
      const door = measures.doorWidthMm ?? inches(36);
      return [
        drawnRectangle(null, (room.widthMm - door) / 2, room.heightMm - DOOR_MM, door, DOOR_MM, 0.4),
        ...boardBelow(room),
      ];
    },
  },
  {
    id: 'window',
    name: 'Window',
    words: ['window', 'windowsill', 'window sill', 'sill'],
    view: 'elevation',
    asks: { width: 'Width of the sill', depth: 'Depth of the sill', height: 'Height of the glass' },
    usual: { widthMm: inches(40), depthMm: inches(6), heightMm: inches(48) },
    measures: [base('sillHeightMm', 'Sill above the floor', 32, 72)],
    beyondMm: inches(12),
    carriedBy: 'wall',
    hint: 'Check that it still opens, and which way the sun comes in.',
    baseHeightMm: inches(32),
    scenery: (room) => [
      ...frame(room, room.widthMm * 0.03),
      drawnRectangle(null, room.widthMm / 2 - 8, 0, 16, room.heightMm),
    ],
  },
  {
    id: 'cabinetTop',
    name: 'Cabinet top',
    words: ['cabinet top', 'top of the cabinet', 'above the cabinet', 'kitchen cabinet', 'wardrobe top'],
    view: 'elevation',
    asks: { width: 'Width', depth: 'Depth', height: 'Gap to the ceiling' },
    usual: { widthMm: inches(96), depthMm: inches(12), heightMm: inches(16) },
    measures: [base('surfaceHeightMm', 'Height of its top from the floor', 84, 120)],
    carriedBy: 'body',
    hint: 'From below the front third is hidden: measure the gap, then stand where you will look from.',
    baseHeightMm: inches(84),
    scenery: boardBelow,
  },
  {
    id: 'bedWall',
    name: 'Bed wall',
    words: ['bed', 'bed wall', 'headboard', 'bedroom wall'],
    view: 'elevation',
    asks: { width: 'Width of the wall', depth: null, height: 'Height of the wall' },
    usual: { widthMm: inches(132), depthMm: 0, heightMm: inches(96) },
    measures: [
      length('bedWidthMm', 'Width of the bed', 60, 84),
      length('mattressHeightMm', 'Top of the mattress', 25, 48),
    ],
    hint: 'The bed takes the middle: what is left on each side decides the nightstands.',
    baseHeightMm: 0,
    // The bed carries pillows and throws.
    boards: (room, measures) => {
      const { leftMm, widthMm, mattressMm } = bedOf(room, measures);
      return [{ topMm: mattressMm, thickMm: mattressMm, leftMm, rightMm: leftMm + widthMm, name: 'The bed' }];
    },
    scenery: (room, measures) => {
      const { leftMm, widthMm, mattressMm } = bedOf(room, measures);
      const headMm = mattressMm * 1.7;
      return [drawnRectangle(null, leftMm, room.heightMm - headMm, widthMm, headMm, 0.5), ...boardBelow(room)];
    },
  },
  {
    id: 'floorArea',
    name: 'Floor area',
    words: ['corner', 'nook', 'floor', 'alcove', 'reading corner', 'play area'],
    view: 'plan',
    asks: { width: 'Width', depth: 'Depth', height: null },
    usual: { widthMm: inches(120), depthMm: inches(96), heightMm: inches(96) },
    measures: [],
    hint: 'Mark doors with their swing and the way people walk.',
    baseHeightMm: 0,
    scenery: nothing,
  },
  {
    id: 'drawer',
    name: 'Drawer or cabinet inside',
    words: ['drawer', 'cabinet inside', 'inside of the cabinet'],
    view: 'plan',
    asks: { width: 'Inner width', depth: 'Inner depth', height: 'Inner height' },
    usual: { widthMm: inches(14), depthMm: inches(18), heightMm: inches(4) },
    measures: [length('screwMm', 'Knob screw sticks in by', 0.5, 4)],
    hint: 'Measure inside at the narrowest place; a knob’s screw and the slides take room.',
    baseHeightMm: inches(30),
    intrusions: ({ widthMm, measures }) =>
      widthMm === null || !measures.screwMm
        ? []
        : [
            {
              name: 'the knob’s screw',
              xMm: (widthMm - SCREW_MM) / 2,
              yMm: 0,
              widthMm: SCREW_MM,
              heightMm: measures.screwMm,
            },
          ],
    scenery: (room, measures) => [
      ...frame(room, 6),
      drawnRectangle(
        null,
        (room.widthMm - SCREW_MM) / 2,
        room.heightMm - 6 - (measures.screwMm ?? 12),
        SCREW_MM,
        measures.screwMm ?? 12,
      ),
    ],
  },
];
