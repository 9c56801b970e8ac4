import type { SlotRole } from '../model/rows';
import type { PieceFacts } from '../recipe/recipeContext';

/** A kind of thing that houses are full of: the words for it, and what it usually does in an arrangement. */
export interface PieceKind {
  id: string;
  words: readonly string[];
  roles: readonly SlotRole[];
  templateId: string;
  care: PieceFacts['kind'];
  fragile: boolean;
}

const kind = (
  id: string,
  words: readonly string[],
  roles: readonly SlotRole[],
  more: Partial<Omit<PieceKind, 'id' | 'words' | 'roles'>> = {},
): PieceKind => ({ id, words, roles, templateId: 'freeBox', care: 'ordinary', fragile: false, ...more });

/** Proposals only, each open to change (common practice, no source). The first words that are said win. */
export const pieceKinds: readonly PieceKind[] = [
  kind('lamp', ['lamp', 'sconce'], ['light', 'height'], { templateId: 'lampBase', care: 'lamp' }),
  kind('candle', ['candle', 'taper', 'tealight', 'votive'], ['scent', 'light'], { care: 'candle' }),
  kind('candlestick', ['candlestick', 'candle holder', 'candelabra'], ['height', 'light'], {
    templateId: 'candlestick',
  }),
  kind('lantern', ['lantern'], ['light', 'height'], { templateId: 'lantern' }),
  kind('lights', ['lights', 'string lights', 'fairy lights'], ['light', 'texture']),
  kind('seat', ['stool', 'bench'], ['function'], { templateId: 'table' }),
  kind('chair', ['chair', 'armchair', 'ottoman'], ['function']),
  kind('bookend', ['bookend'], ['function', 'personal']),
  kind('can', ['milk can', 'churn', 'barrel'], ['height', 'greenery'], { templateId: 'planter' }),
  kind('nightstand', ['nightstand', 'bedside table'], ['function'], { templateId: 'nightstand' }),
  kind('mirror', ['mirror'], ['anchor', 'light'], { templateId: 'mirror', fragile: true }),
  kind('frame', ['frame', 'picture', 'print', 'painting', 'photo'], ['personal', 'height'], {
    templateId: 'pictureFrame',
  }),
  kind('sign', ['sign', 'clock'], ['anchor', 'personal'], { templateId: 'door' }),
  kind('book', ['book', 'books'], ['riser', 'personal']),
  kind('pedestal', ['pedestal', 'riser', 'cake stand', 'stand'], ['riser', 'height']),
  kind('box', ['box', 'chest', 'crate', 'trunk'], ['riser', 'function']),
  kind('tray', ['tray', 'board', 'platter'], ['function', 'riser'], { templateId: 'tray' }),
  kind('vase', ['vase', 'jug', 'pitcher', 'urn', 'demijohn'], ['height', 'greenery'], {
    templateId: 'vase',
    fragile: true,
  }),
  kind('planter', ['planter', 'pot', 'cachepot', 'bucket', 'watering can'], ['greenery', 'height'], {
    templateId: 'planter',
  }),
  kind('plant', ['plant', 'fern', 'ivy', 'palm', 'succulent'], ['greenery']),
  kind(
    'stems',
    ['stems', 'stem', 'branches', 'branch', 'flowers', 'eucalyptus', 'lavender', 'grass', 'wreath', 'garland'],
    ['greenery', 'texture'],
  ),
  kind('basket', ['basket', 'hamper'], ['texture', 'function'], { templateId: 'basket' }),
  kind('textile', ['runner', 'throw', 'pillow', 'cushion', 'napkin', 'blanket', 'rug', 'cloth'], ['texture']),
  kind('dish', ['bowl', 'plate', 'cup', 'mug', 'dish', 'teapot', 'glass', 'goblet'], ['function', 'filler'], {
    care: 'tableware',
    fragile: true,
  }),
  kind('jar', ['jar', 'bottle', 'canister'], ['function', 'filler'], { templateId: 'vase', fragile: true }),
  kind('shell', ['shell', 'driftwood', 'coral', 'stone', 'pebble', 'pinecone', 'beads'], ['texture', 'filler']),
  kind(
    'figure',
    ['figure', 'bird', 'bust', 'statue', 'boat', 'buoy', 'pumpkin', 'ornament', 'egg', 'star', 'bell'],
    ['personal', 'filler'],
  ),
];
