import type { SlotRole } from '../model/rows';
import type { PieceFacts } from '../recipe/recipeContext';
import { furnitureTemplates } from '../surface/templates';

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
  more: Partial<Omit<PieceKind, 'id' | 'words' | 'roles'>> & { ownWords?: boolean } = {},
): PieceKind => {
  const templateId = more.templateId ?? 'freeBox';
  // A thing of furniture goes by all the names that its template knows.
  const named = templateId === 'freeBox' || more.ownWords ? [] : furnitureTemplates.get(templateId).words;
  const { ownWords: _ownWords, ...rest } = more;
  return {
    id,
    roles,
    templateId,
    care: 'ordinary',
    fragile: false,
    ...rest,
    words: [...new Set([...words, ...named.filter((word) => !isElsewhere(word, id))])],
  };
};

/** Words that a template shares with a kind of their own. */
const elsewhere: Readonly<Record<string, readonly string[]>> = {
  dish: ['bowl'],
  sign: ['sign'],
  bed: ['bed head', 'headboard', 'bedhead', 'footboard'],
  screen: ['screen'],
  seat: ['stool', 'bench', 'step stool', 'bar stool', 'counter stool', 'round stool', 'milking stool'],
  can: ['milk can'],
  jar: ['bottle'],
  desk: ['desk'],
  mirror: ['mirror frame'],
  table: ['end table'],
};
const isElsewhere = (word: string, id: string): boolean =>
  Object.entries(elsewhere).some(([owner, words]) => owner !== id && words.includes(word));

/** Proposals only, each open to change (common practice, no source). The first words that are said win. */
export const pieceKinds: readonly PieceKind[] = [
  kind('lamp', ['lamp', 'sconce', 'chandelier', 'pendant', 'night light'], ['light', 'height'], {
    templateId: 'lampBase',
    care: 'lamp',
  }),
  kind('shade', [], ['light', 'texture'], { templateId: 'lampShade' }),
  kind('candle', ['candle', 'taper', 'tealight', 'tea light', 'votive', 'pillar'], ['scent', 'light'], {
    care: 'candle',
  }),
  kind('candlestick', ['votive holder', 'taper holder', 'candle stand', 'sconce for candles'], ['height', 'light'], {
    templateId: 'candlestick',
  }),
  kind('lantern', ['hurricane'], ['light', 'height'], { templateId: 'lantern' }),
  kind('lights', ['lights', 'string lights', 'fairy lights', 'rope lights'], ['light', 'texture']),
  kind(
    'seat',
    ['stool', 'bench', 'footstool', 'foot stool', 'ottoman', 'pouf', 'settee', 'sofa', 'couch'],
    ['function'],
    {
      templateId: 'table',
      ownWords: true,
    },
  ),
  kind('chair', ['recliner'], ['function'], { templateId: 'chair' }),
  kind('bookend', ['bookend', 'book end'], ['function', 'personal']),
  kind('can', ['milk can', 'churn', 'barrel', 'watering can', 'paint can'], ['height', 'greenery'], {
    templateId: 'planter',
    ownWords: true,
  }),
  kind('nightstand', [], ['function'], { templateId: 'nightstand' }),
  kind('desk', ['desk', 'writing desk', 'secretary'], ['function'], { templateId: 'table', ownWords: true }),
  kind('dresser', ['chest of drawer', 'bureau', 'tallboy', 'highboy'], ['function', 'anchor'], {
    templateId: 'dresser',
  }),
  kind('cabinet', ['china cabinet', 'pantry', 'linen press', 'closet'], ['function', 'anchor'], {
    templateId: 'cabinet',
  }),
  kind('bookcase', ['book case', 'book shelf', 'etagere'], ['function', 'anchor'], { templateId: 'bookcase' }),
  kind('shelf', ['picture ledge', 'plate ledge'], ['function'], { templateId: 'shelf' }),
  kind('console', [], ['function', 'anchor'], { templateId: 'consoleTable' }),
  kind('table', ['dining table', 'bistro table', 'card table', 'farm table', 'end table'], ['function'], {
    templateId: 'table',
  }),
  kind('bed', ['bed', 'bed frame', 'bedstead'], ['anchor'], { templateId: 'bedHead' }),
  // What a small child sleeps in, chews or rides on: what it is painted with is another question.
  kind('crib', ['crib', 'cot', 'cradle', 'bassinet'], ['anchor'], {
    templateId: 'bedHead',
    ownWords: true,
    care: 'toyOrCot',
  }),
  kind('toy', ['toy', 'doll', 'doll house', 'dollhouse', 'rocking horse', 'teddy bear', 'toy block'], ['personal'], {
    care: 'toyOrCot',
  }),
  kind('screen', ['room divider', 'folding screen', 'screen', 'paravent'], ['height', 'anchor'], {
    templateId: 'screen',
    ownWords: true,
  }),
  kind('door', ['shutter', 'window frame', 'window sash'], ['anchor', 'height'], { templateId: 'door' }),
  kind('wall', [], ['anchor'], { templateId: 'wall' }),
  kind('window', ['window pane', 'glass door', 'shower screen', 'skylight'], ['anchor'], { templateId: 'window' }),
  kind('drawers', ['drawer front', 'drawer fronts', 'drawers'], ['function'], {
    templateId: 'drawerFronts',
    ownWords: true,
  }),
  kind('mirror', ['looking glass'], ['anchor', 'light'], { templateId: 'mirror', fragile: true }),
  kind(
    'frame',
    ['frame', 'picture', 'print', 'painting', 'photo', 'poster', 'canvas', 'drawing', 'shadow box frame'],
    ['personal', 'height'],
    {
      templateId: 'pictureFrame',
    },
  ),
  kind('sign', ['sign', 'plaque', 'chalkboard', 'letter', 'letters', 'marquee'], ['anchor', 'personal'], {
    templateId: 'door',
    ownWords: true,
  }),
  kind('clock', ['clock'], ['anchor', 'personal'], { templateId: 'door', ownWords: true }),
  kind('book', ['book', 'atlas', 'ledger', 'cookbook', 'magazine', 'dictionary'], ['riser', 'personal']),
  kind('pedestal', ['pedestal', 'riser', 'cake stand', 'plant stand', 'stand', 'tiered stand'], ['riser', 'height']),
  kind(
    'rack',
    [
      'rack',
      'coat rack',
      'towel rack',
      'magazine rack',
      'wine rack',
      'hat stand',
      'coat stand',
      'hall tree',
      'peg rail',
      'peg rack',
      'easel',
    ],
    ['function'],
  ),
  kind('ladder', ['ladder', 'step ladder'], ['height', 'function']),
  kind('cart', ['cart', 'bar cart', 'trolley', 'wagon'], ['function']),
  kind(
    'box',
    [
      'box',
      'chest',
      'trunk',
      'suitcase',
      'toolbox',
      'jewelry box',
      'hat box',
      'tin',
      'case',
      'drawer',
      'crate',
      'caddy',
    ],
    ['riser', 'function'],
  ),
  kind('tray', ['board', 'charger', 'lazy susan', 'tiered tray', 'tier tray'], ['function', 'riser'], {
    templateId: 'tray',
  }),
  kind('vase', ['urn', 'demijohn', 'ewer', 'carafe', 'decanter'], ['height', 'greenery'], {
    templateId: 'vase',
    fragile: true,
  }),
  kind('basin', ['bird bath', 'birdbath', 'fountain', 'basin'], ['anchor']),
  kind('planter', ['flower pot', 'flowerpot', 'jardiniere', 'window box', 'trough'], ['greenery', 'height'], {
    templateId: 'planter',
  }),
  kind(
    'plant',
    [
      'plant',
      'fern',
      'ivy',
      'palm',
      'succulent',
      'cactus',
      'tree',
      'topiary',
      'pothos',
      'monstera',
      'philodendron',
      'aloe',
      'orchid',
      'ficus',
      'begonia',
      'geranium',
      'jade',
      'dracaena',
      'peace lily',
      'yucca',
      'herb',
      'bonsai',
    ],
    ['greenery'],
  ),
  kind(
    'stems',
    [
      'stem',
      'branch',
      'flower',
      'eucalyptus',
      'lavender',
      'grass',
      'pampas',
      'hydrangea',
      'wreath',
      'garland',
      'greenery',
      'bunch',
      'bouquet',
      'swag',
      'twig',
      'rose',
      'peony',
      'tulip',
    ],
    ['greenery', 'texture'],
    { templateId: 'foliage' },
  ),
  kind('basket', ['bin'], ['texture', 'function'], { templateId: 'basket' }),
  kind(
    'textile',
    [
      'runner',
      'liner',
      'drawer liner',
      'shelf liner',
      'throw',
      'pillow',
      'cushion',
      'napkin',
      'blanket',
      'rug',
      'mat',
      'cloth',
      'tablecloth',
      'quilt',
      'doily',
      'towel',
      'scarf',
      'bedspread',
      'coverlet',
      'placemat',
      'tapestry',
      'macrame',
      'lace',
      'doormat',
      'duvet',
      'stocking',
      'tassel',
    ],
    ['texture'],
  ),
  kind('curtain', ['curtain', 'curtain panel', 'drape', 'valance', 'blind'], ['texture', 'height']),
  kind('rod', ['rod', 'curtain rod', 'curtain pole', 'dowel'], ['function']),
  kind('hardware', ['knob', 'handle', 'hook', 'hinge', 'caster', 'pull', 'bracket', 'escutcheon'], ['function']),
  kind(
    'dish',
    [
      'bowl',
      'plate',
      'cup',
      'mug',
      'dish',
      'teapot',
      'glass',
      'goblet',
      'tumbler',
      'saucer',
      'teacup',
      'tureen',
      'compote',
      'gravy boat',
      'creamer',
      'coupe',
    ],
    ['function', 'filler'],
    { care: 'tableware', fragile: true },
  ),
  kind(
    'jar',
    ['jar', 'bottle', 'canister', 'canister set', 'apothecary jar', 'cloche', 'glass dome', 'dome', 'bell jar'],
    ['function', 'filler'],
    {
      templateId: 'vase',
      fragile: true,
      ownWords: true,
    },
  ),
  kind(
    'shell',
    ['shell', 'driftwood', 'driftwood piece', 'coral', 'stone', 'pebble', 'sea glass', 'pinecone', 'bead'],
    ['texture', 'filler'],
  ),
  kind(
    'figure',
    [
      'figure',
      'bird',
      'bust',
      'statue',
      'boat',
      'boat model',
      'buoy',
      'pumpkin',
      'ornament',
      'egg',
      'star',
      'bell',
      'figurine',
      'angel',
      'paperweight',
      'elephant',
      'horse',
      'rabbit',
      'owl',
      'dog',
      'cat',
      'duck',
      'rooster',
      'fish',
      'deer',
      'bear',
      'turtle',
      'angel',
      'gnome',
      'model',
      'globe',
      'sculpture',
      'trinket',
      'birdcage',
      'typewriter',
      'radio',
      'scale',
      'wind chime',
    ],
    ['personal', 'filler'],
  ),
];
