/**
 * How large things usually are, in inches: what they are called in the singular, how wide, how high and how deep.
 * Furniture is as high as it is however wide somebody has it; all else keeps its proportions. Common practice, no source,
 * from memory: only for the eye, until somebody measures; no price and no area comes from it.
 */
export interface UsualSize {
  words: readonly string[];
  wide: number;
  high: number;
  deep: number;
  /** Whether its height and depth stay while its width is another. */
  isFurniture: boolean;
}

const rows = (isFurniture: boolean, table: string): UsualSize[] =>
  table
    .trim()
    .split('\n')
    .map((row) => {
      const [words = '', sizes = ''] = row.split(':');
      // A side that is missing is no number: a test finds it.
      const [wide = Number.NaN, high = Number.NaN, deep = Number.NaN] = sizes.trim().split(' ').map(Number);
      return { words: words.split(',').map((word) => word.trim()), wide, high, deep, isFurniture };
    });

const furniture = rows(
  true,
  `
  sofa, couch, settee, futon, chesterfield: 80 34 36
  loveseat, love seat: 58 34 36
  daybed: 78 36 40
  sectional: 108 34 60
  armchair, club chair, easy chair, accent chair: 32 34 33
  wing chair, wingback, wingback chair, recliner: 32 42 33
  slipper chair: 26 33 28
  rocking chair, rocker, adirondack chair, adirondack: 28 40 34
  chair, dining chair, side chair, kitchen chair: 18 36 20
  office chair, desk chair: 25 38 25
  high chair: 20 40 22
  bar stool: 16 29 16
  stool, step stool, garden stool: 14 18 14
  footstool, foot stool, hassock: 18 14 14
  vanity stool: 18 18 14
  ottoman: 26 17 20
  pouf, floor pouf, bean bag: 20 15 20
  bench, entry bench, mudroom bench, storage bench, piano bench: 46 18 15
  porch swing: 52 24 26
  coffee table, cocktail table: 46 17 24
  side table, end table, accent table: 18 24 18
  nesting table: 20 22 15
  console table, console, sofa table, entry table, hall table: 48 30 13
  demilune table, demilune: 40 30 14
  dining table, kitchen table, farm table: 72 30 38
  desk, writing desk, secretary: 48 30 24
  vanity: 42 30 18
  nightstand, bedside table, night table: 20 25 16
  dresser, chest of drawers, chest of drawer: 56 34 18
  buffet, sideboard, credenza: 62 35 18
  hutch, china cabinet: 44 78 17
  armoire, wardrobe: 42 76 22
  cabinet: 32 34 16
  filing cabinet, file cabinet: 15 28 22
  bookcase, bookshelf: 32 72 12
  cube shelf, cube organizer: 30 30 15
  ladder shelf: 24 70 16
  plant stand, flower stand: 12 28 12
  bar cart, cart, tea cart, trolley: 32 33 16
  coat tree, coat stand, hall tree, hat stand: 20 70 20
  umbrella stand: 9 22 9
  shoe rack: 30 20 12
  magazine rack: 16 14 9
  wine rack: 20 30 10
  tv stand, media console, tv console: 60 22 16
  crib, cot: 54 36 30
  bassinet, cradle: 34 32 20
  piano, upright piano: 58 48 24
  fire screen, fireplace screen: 38 30 8
  folding screen, room divider: 54 68 2
  headboard, bed head, bedhead: 62 48 3
  trunk, steamer trunk, blanket chest, toy chest, toy box: 34 18 18
  `,
);

const others = rows(
  false,
  `
  television, tv, flat screen: 44 26 9
  monitor, computer monitor: 24 18 8
  laptop, computer: 14 10 9
  printer: 17 9 14
  speaker: 8 14 9
  record player, turntable: 17 8 14
  radio: 11 7 5
  typewriter: 14 9 13
  camera: 6 4 4
  telephone, phone: 8 6 8
  scale: 11 13 9
  fan, desk fan, table fan: 12 17 9
  space heater, heater: 10 18 8
  humidifier, air purifier: 9 13 9
  diffuser: 5 6 5
  toaster: 12 8 8
  microwave: 19 11 14
  mixer, stand mixer: 14 14 9
  sewing machine: 16 12 8
  blender: 8 15 8
  coffee maker, coffee machine, espresso machine: 10 13 12
  fish tank, aquarium: 24 14 12
  fish bowl, fishbowl: 9 8 9
  bird cage, birdcage: 12 22 12
  dog bed, pet bed, cat bed: 30 8 24
  wall clock, clock, kitchen clock: 14 14 2
  mantel clock, table clock, alarm clock, desk clock: 8 9 4
  carriage clock: 5 7 4
  grandfather clock: 18 76 11
  cork board, corkboard, bulletin board, pin board, memo board, pegboard, peg board: 24 18 1
  chalkboard, blackboard, menu board: 18 24 1
  letter board, message board: 12 16 1
  sign, welcome sign, plaque: 20 8 1
  map: 36 24 1
  tapestry: 50 60 1
  macrame, wall hanging, macrame hanging: 20 34 1
  banner, bunting: 60 10 1
  flag: 36 24 1
  pennant: 24 10 1
  stocking: 9 18 1
  throw, blanket, throw blanket, quilt, afghan: 18 6 12
  towel, hand towel: 12 4 9
  sheepskin, hide: 24 3 36
  changing pad: 17 4 32
  seat cushion, seat pad, bench cushion: 18 3 18
  mattress: 60 10 80
  waste bin, waste basket, wastebasket: 11 13 11
  trash can, trash bin, recycling bin: 14 24 14
  hamper, laundry hamper, laundry basket: 17 24 14
  log holder, log rack: 20 18 14
  log basket: 18 14 14
  bucket, pail: 11 11 11
  milk can, milk churn: 12 24 12
  watering can: 14 12 8
  butter churn: 10 26 10
  washboard: 12 23 2
  fireplace tool, poker set, fire tool: 9 29 9
  soap dispenser, soap bottle, lotion bottle, pump bottle: 3 8 3
  toilet paper holder, toilet paper: 6 6 6
  paper towel holder, paper towel: 7 13 7
  toothbrush holder, pencil cup, pencil holder, pen cup: 4 5 4
  soap dish: 5 2 4
  tissue box: 5 5 5
  jewelry box: 10 6 7
  jewelry stand, jewelry tree: 9 14 6
  box, keepsake box: 9 5 7
  hat box: 14 9 14
  tin, canister: 6 8 6
  suitcase, case: 22 8 16
  caddy, toolbox, tool box: 16 9 9
  bread box: 16 9 10
  cutting board, bread board, chopping board: 10 16 1
  knife block: 5 9 7
  utensil crock: 6 13 6
  bowl, dough bowl, mixing bowl: 12 5 12
  fruit bowl, lemon, apple, orange, pear, lime, fruit: 12 7 12
  dish, ring dish, trinket dish: 5 2 5
  plate, dinner plate: 10 1 10
  cup, mug, teacup: 4 4 4
  teapot: 10 7 7
  kettle: 9 9 8
  gravy boat: 9 5 4
  goblet, glass, wine glass, tumbler: 3 8 3
  tureen, soup tureen: 13 10 10
  compote, footed bowl: 10 8 10
  trophy: 8 14 8
  pitcher, jug: 8 10 6
  decanter: 5 11 5
  bottle, wine bottle: 3 12 3
  cocktail shaker: 4 9 4
  ice bucket: 9 9 9
  napkin holder: 7 5 3
  butter dish: 8 4 5
  tea set: 15 9 11
  cake stand: 11 6 11
  tiered stand, tiered tray: 13 19 13
  napkin: 9 0.3 9
  place mat, placemat: 18 0.2 13
  coaster: 4 0.3 4
  tea towel, dish towel: 9 0.6 12
  pedestal: 9 6 9
  riser: 12 3 8
  globe, world globe: 12 16 12
  snow globe: 5 6 5
  bookend: 5 6 4
  album, atlas: 11 3 9
  easel: 12 18 8
  statue, bust, figurine: 7 13 6
  nutcracker: 5 15 5
  garden gnome, gnome: 6 12 6
  bird, duck, owl, dove: 6 5 4
  rooster, hen, goose, swan: 9 12 6
  rabbit, bunny: 7 11 5
  reindeer, deer: 10 15 5
  horse: 11 10 4
  rocking horse: 30 26 12
  bear, stuffed bear, teddy bear: 10 12 8
  fish, whale, turtle: 12 7 4
  boat, sailboat, ship: 14 15 5
  buoy, float: 6 18 6
  pumpkin: 10 8 10
  gourd, squash: 6 7 6
  ornament, bauble: 3 3 3
  ball, orb: 5 5 5
  star, snowflake, starfish: 9 9 2
  bell: 4 5 4
  wind chime: 5 20 5
  shell, seashell, conch: 5 4 4
  driftwood: 18 7 6
  coral: 9 8 6
  antler: 20 14 9
  stone, rock, geode, crystal: 6 5 5
  pinecone, pine cone, acorn: 4 5 4
  bead, bead garland: 16 1 3
  string light, fairy light, twinkle light: 60 8 1
  skull: 6 7 8
  witch hat, hat, straw hat, sun hat: 15 6 14
  cauldron: 13 11 13
  hay bale, straw bale, bale: 32 15 16
  corn stalk: 16 66 10
  sleigh: 16 11 7
  sled: 44 9 20
  ski, oar, paddle: 6 62 2
  guitar: 15 40 5
  violin: 9 24 4
  mailbox: 9 10 19
  feather: 3 12 1
  cloche, bell jar, glass dome, terrarium: 8 12 8
  bird nest, nest: 6 3 6
  bird house, birdhouse: 7 10 6
  dollhouse: 24 28 12
  gingerbread house, village house: 7 8 6
  lighthouse: 6 16 6
  anchor: 12 16 2
  fern: 18 16 18
  fiddle leaf fig, ficus, fig, palm, olive tree: 26 60 26
  snake plant: 10 28 10
  pothos, ivy, spider plant: 12 10 12
  aloe, succulent: 5 6 5
  cactus: 5 9 5
  orchid: 9 22 7
  topiary, boxwood: 10 20 10
  boxwood ball: 10 10 10
  christmas tree: 44 78 44
  tree: 18 30 18
  tulip, hyacinth, daffodil, amaryllis, poinsettia: 10 14 10
  mum, chrysanthemum: 14 14 14
  air plant: 4 5 4
  chandelier: 24 22 24
  pendant, pendant lamp, pendant light: 14 18 14
  sconce, wall sconce, wall lamp: 7 13 6
  table lamp: 14 27 14
  buffet lamp: 11 32 11
  bedside lamp: 11 26 11
  desk lamp, reading lamp, small lamp: 9 18 9
  floor lamp, standing lamp, arc lamp, torchiere: 16 60 16
  oil lamp, hurricane lamp: 6 14 6
  candelabra, menorah: 14 13 5
  candle snuffer: 9 2 2
  tea light, tealight, votive: 2 2 2
  door mat, doormat: 30 1 18
  bath mat: 32 1 20
  rug, carpet: 96 0.4 60
  ladder, blanket ladder: 20 66 4
  `,
);

export const usualSizes: readonly UsualSize[] = [...furniture, ...others];
