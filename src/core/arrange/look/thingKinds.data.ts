/** How a kind of thing is recognized: by its template, by words in its name; words that say it is none after all. */
interface KindWords {
  templates?: readonly string[];
  words?: RegExp;
  not?: RegExp;
}

const flameless = /\b(?:flameless|led|battery|electric|faux flame)\b/i;

/**
 * What a thing is, as far as the checks of a look ask: by its kind of piece and by what it is called (common practice, no
 * source). One thing may be several: a paper garland is a garland and burns.
 */
export const thingKindRows = {
  candle: {
    templates: ['candlestick', 'hurricane', 'candle'],
    words: /\b(?:candles?|tapers?|votives?|tea ?lights?|pillars?)\b/i,
    not: flameless,
  },
  flameless: { words: flameless },
  lantern: { templates: ['lantern'], words: /\blanterns?\b/i },
  lamp: {
    templates: ['lampBase', 'tableLamp'],
    words: /\b(?:table lamps?|lamps?|sconces?)\b/i,
    not: /\b(?:shades?|lampshades?|oil lamp)\b/i,
  },
  // A lamp as it stands in a room has its shade on, unless somebody says that it has none.
  shade: {
    templates: ['lampShade'],
    words: /\b(?:lamp ?shades?|(?:table|desk|bedside|reading|buffet|floor|standing) lamps?)\b/i,
    not: /\b(?:no (?:lamp ?)?shade|without (?:a )?(?:lamp ?)?shade|bare|base)\b/i,
  },
  clock: { words: /\bclocks?\b/i },
  stringLights: { words: /\b(?:string|fairy|christmas) ?lights?\b|\blight strings?\b/i },
  art: {
    templates: ['pictureFrame'],
    words: /\b(?:frames?|prints?|art|sign|signs|canvas|painting|picture|poster|maps?|charts?)\b/i,
    not: /\b(?:mirror|window frame|bed frame)\b/i,
  },
  mirror: { templates: ['mirror'], words: /\bmirrors?\b/i },
  plate: { words: /\b(?:plates?|platters?|chargers?)\b/i },
  // What has no other place than the wall, where there is one.
  hung: {
    words:
      /\b(?:sconces?|(?:coat|key|towel|wall|row of) hooks?|(?:coat|towel|key|hat|peg|mug) (?:racks?|rails?)|(?:peg|cork|bulletin|pin|chalk|memo|notice|white) ?boards?|hooks|wall (?:clocks?|lamps?|lights?|baskets?|vases?|planters?|pockets?|hangings?|shelf|shelves)|plate rails?|macram[eé]|tapestr(?:y|ies)|pennants?|banners?|antlers?|maps?|(?:nautical|sea) charts?)\b/i,
    not: /\b(?:standing|stand|floor|tree|table|curtain hooks?|shower hooks?)\b/i,
  },
  // What has no other place than the floor.
  onFloor: {
    words:
      /\b(?:waste ?(?:paper )?(?:bins?|baskets?)|trash (?:cans?|bins?)|umbrella stands?|(?:floor|standing) (?:lamps?|mirrors?|vases?|plants?|baskets?|lanterns?|clocks?|cushions?)|shoe racks?|boot trays?|hampers?|laundry baskets?|log (?:baskets?|holders?|racks?)|coat (?:trees?|stands?)|dog beds?|door ?mats?|ottomans?|poufs?|foot ?stools?)\b/i,
  },
  // What stands by itself, though its kind hangs: a clock with feet, a small photo in its frame.
  standsUp: {
    words:
      /\b(?:(?:alarm|mantel|table|desk|carriage|grandfather|longcase|tall) clocks?|(?:framed|family|desk|table) photos?|photo frames?)\b/i,
    not: /\b(?:wall|hung|hanging|collage)\b/i,
  },
  // What stands before a sofa or a chair.
  beforeSeat: { words: /\b(?:(?:coffee|cocktail) tables?|ottomans?|foot ?stools?|hassocks?|poufs?)\b/i },
  // What hangs from a mantel’s edge.
  stocking: { words: /\bstockings?\b/i, not: /\b(?:holders?|hooks?|hangers?)\b/i },
  // What is looked at: nothing hangs behind it.
  display: {
    words: /\b(?:televisions?|tvs?|(?:flat|computer) screens?|monitors?|aquariums?|fish tanks?)\b/i,
    not: /\b(?:stand|console|unit|cabinet|shelf)\b/i,
  },
  // What hangs on the wall for coats, hats and bags to hang from.
  hooks: {
    words: /\b(?:(?:coat|hat|peg|bag|robe) (?:hooks?|racks?|rails?)|(?:wall|row of) hooks?|peg ?(?:rails?|racks?))\b/i,
    not: /\b(?:standing|stand|tree)\b/i,
  },
  rug: { templates: ['rug'], words: /\b(?:rugs?|carpet|mat)\b/i, not: /\b(?:place ?mats?|bath mat)\b/i },
  curtain: { templates: ['curtain'], words: /\b(?:curtains?|drapes?)\b/i, not: /\brods?\b/i },
  wreath: { templates: ['wreath'], words: /\bwreaths?\b/i },
  garland: { templates: ['garland'], words: /\b(?:garlands?|swags?)\b/i },
  tree: { words: /\b(?:christmas |fir |table)?trees?\b/i, not: /\b(?:branch|print|tree of|cake)\b/i },
  ornaments: { words: /\b(?:ornaments?|baubles?)\b/i },
  // What lies along a table, or beneath all that is in a drawer.
  runner: { words: /\b(?:(?:table )?runners?|(?:drawer |shelf )?liners?)\b/i },
  setting: { words: /\b(?:dinner plates?|place settings?|chargers?)\b/i },
  // What each guest has before them, and a cupboard in sets.
  tableware: {
    words:
      /\b(?:plates?|chargers?|napkins?|place ?mats?|goblets?|glasses|tumblers?|cups?|mugs?|saucers?|place cards?)\b/i,
    not: /\b(?:stacks?|piles?) of\b/i,
  },
  vase: { templates: ['vase'], words: /\b(?:vases?|jugs?|pitchers?|urns?)\b/i },
  stems: { templates: ['foliage'], words: /\b(?:stems?|branch(?:es)?|bouquet|flowers?|bunch)\b/i },
  books: { templates: ['books'], words: /\bbooks?\b/i, not: /\b(?:bookcase|bookshelf|book ?ends?)\b/i },
  tray: { templates: ['tray'], words: /\btrays?\b/i },
  riser: {
    templates: ['books', 'tray', 'crate'],
    words: /\b(?:risers?|cake stand|pedestal|books?|trays?|crates?)\b/i,
    not: /\bbookcase\b/i,
  },
  fruit: {
    words: /\b(?:fruit|lemons?|oranges?|apples?|pears?|bananas?|limes?)\b/i,
    not: /\b(?:faux|wooden|paper|print)\b/i,
  },
  glass: { templates: ['hurricane', 'jar', 'mirror'], words: /\b(?:glass|crystal|mirror)\b/i },
  textile: {
    templates: ['flatCloth', 'curtain', 'cushion', 'bow', 'rug'],
    words: /\b(?:linen|cotton|cloth|fabric|ribbon|throw|cushion|pillow|napkins?|burlap|felt)\b/i,
  },
  paper: { words: /\b(?:paper|card(?:board|stock)?|books?|garland of pages|tissue)\b/i },
  dry: {
    templates: ['foliage', 'wreath', 'garland'],
    words:
      /\b(?:dried|moss|straw|wicker|rattan|seagrass|pampas|pine ?cones?|twigs?|leaves|greenery|eucalyptus|fir|cedar|faux (?:stems?|plant|greens?))\b/i,
  },
  living: {
    words: /\b(?:potted|house ?plant|living|ferns?|pothos|monstera|succulents?|ivy|snake plant|peace lily|orchids?)\b/i,
    not: /\b(?:faux|silk|print|artificial)\b/i,
  },
  clothing: { templates: ['dresser', 'drawerFronts'], words: /\b(?:dresser|chest of drawers|wardrobe)\b/i },
  storage: { templates: ['basket', 'roundBasket', 'crate', 'cabinet', 'dresser', 'nightstand', 'bookcase'] },
  floorPiece: {
    templates: ['dresser', 'bookcase', 'cabinet', 'nightstand', 'consoleTable', 'table', 'chair', 'stool', 'screen'],
    words:
      /\b(?:pianos?|cribs?|wardrobes?|armoires?|(?:tv|television) stands?|media consoles?|coat (?:trees?|stands?)|hall trees?|hay ?bales?|steamer trunks?|grandfather clocks?)\b/i,
  },
  seat: {
    templates: ['chair', 'stool'],
    words:
      /\b(?:(?:arm|rocking )?chairs?|stools?|bench(?:es)?|sofas?|couch(?:es)?|love ?seats?|settees?|futons?|daybeds?|recliners?|ottomans?|poufs?|porch swings?)\b/i,
    not: /\b(?:chair (?:pads?|cushions?|covers?))\b/i,
  },
  small: { templates: ['egg'], words: /\b(?:beads?|marbles?|buttons?|coins?|eggs?|pebbles?|button cells?|acorns?)\b/i },
  button: { words: /\b(?:flameless|led) (?:candles?|tea ?lights?|votives?)\b/i },
} as const satisfies Readonly<Record<string, KindWords>>;

export type ThingKind = keyof typeof thingKindRows;
