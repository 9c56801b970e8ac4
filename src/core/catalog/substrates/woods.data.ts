import type { Substrate } from '../substrate';
import { bare, direct, needs, never, openGrain, substrate } from './row';

/** What bleeding wood does to a coat, and thirsty wood to the first. */
const BROWN = 'turn brown in spots';
const ROUGH = 'stay rough and thin';

/** Wood and what is made of it. */
export const woodRows: readonly Substrate[] = [
  substrate({
    id: 'pine',
    name: 'Pine',
    porous: true,
    bleed: 'tannin',
    absorption: [1.2, 1.3, 1.5],
    texture: [1, 1.05, 1.1],
    prepare: ['clean', 'scuff'],
    risk: 1,
    primer: openGrain('bare wood', {
      waterbornePaint: needs(
        ['shellacPrimer', 'bondingPrimer'],
        'knots and resin bleed through waterborne paint',
        BROWN,
      ),
      oilPaint: needs(['oilBlockPrimer', 'shellacPrimer'], 'knots and resin bleed; open grain drinks the paint', BROWN),
      solventPaint: needs(['shellacPrimer'], 'knots and resin bleed; open grain drinks the spray', BROWN),
      stain: needs(
        ['waterborneConditioner', 'oilConditioner'],
        'soft wood takes stain in blotches without a conditioner',
        'lie blotchy',
      ),
    }),
    usualColor: '#d9b382',
    words: ['pine', 'wood', 'wooden', 'softwood', 'fir', 'spruce'],
    remark: 'Knots and resin bleed; the first coat raises the grain.',
  }),
  substrate({
    id: 'hardwood',
    name: 'Hardwood, bare',
    porous: true,
    bleed: 'tannin',
    absorption: [1.1, 1.15, 1.3],
    texture: [1, 1.05, 1.15],
    prepare: ['clean', 'scuff'],
    risk: 1,
    primer: openGrain('bare wood', {
      waterbornePaint: needs(['shellacPrimer', 'bondingPrimer'], 'oak, mahogany and cedar bleed tannin', BROWN),
      oilPaint: needs(['oilBlockPrimer', 'shellacPrimer'], 'open grain drinks the paint', ROUGH),
      solventPaint: needs(['shellacPrimer'], 'open grain drinks the spray', ROUGH),
    }),
    usualColor: '#b98a58',
    words: ['hardwood', 'solid oak', 'maple', 'beech', 'birch', 'ash', 'cherry', 'acacia', 'cedar'],
    remark: 'Tannin bleeds; oily exotic woods want an alcohol wipe first.',
  }),
  substrate({
    id: 'veneer',
    name: 'Wood veneer',
    porous: true,
    bleed: 'tannin',
    absorption: [1, 1.1, 1.2],
    prepare: ['clean', 'scuff'],
    risk: 1,
    primer: openGrain('bare wood', {
      waterbornePaint: needs(
        ['shellacPrimer', 'bondingPrimer'],
        'water lifts thin veneer and draws its color up',
        BROWN,
      ),
      oilPaint: needs(['oilBlockPrimer', 'shellacPrimer'], 'open grain drinks the paint', ROUGH),
      solventPaint: needs(['shellacPrimer', 'bondingPrimer'], 'open grain drinks the spray', ROUGH),
      film: needs(['waterClear'], 'bare veneer lets a film go until it is sealed'),
    }),
    usualColor: '#a9794f',
    words: ['veneer', 'veneered', 'oak', 'walnut', 'teak', 'mahogany'],
    remark: 'Half a millimeter thick: sand by hand only, glue down what lifts.',
  }),
  substrate({
    id: 'mdf',
    name: 'MDF or fiberboard',
    porous: true,
    absorption: [1.1, 1.2, 1.3],
    prepare: ['clean', 'scuff', 'sealEdges'],
    risk: 1,
    primer: openGrain('raw board', {
      waterbornePaint: needs(
        ['shellacPrimer', 'oilBlockPrimer'],
        'raw board and its edges swell under a wet waterborne coat',
        'swell the board',
      ),
      oilPaint: needs(['oilBlockPrimer', 'shellacPrimer'], 'raw edges drink coat after coat', ROUGH),
      solventPaint: needs(['shellacPrimer'], 'raw edges drink the spray', ROUGH),
      stain: never('board has no grain: stain only darkens it in patches', 'lie patchy'),
      decoupage: bare('one coat of medium seals the face first'),
      film: needs(['shellacPrimer'], 'raw board sheds fibers and the film with them'),
    }),
    usualColor: '#b99b74',
    words: ['mdf', 'fiberboard', 'fibreboard', 'chipboard', 'particleboard'],
    remark: 'Edges drink twice as much; its dust is fine and resin-bound.',
  }),
  substrate({
    id: 'wicker',
    scuffs: false,
    name: 'Wicker, rattan or sea grass',
    porous: true,
    absorption: [1.1, 1.3, 1.5],
    texture: [1.6, 2, 2.5],
    prepare: ['brushOut', 'clean'],
    dryHours: [24, 24, 48],
    risk: 1,
    primer: openGrain('a dry, brushed-out weave', {
      waterbornePaint: needs(
        ['bondingPrimer'],
        'a weave drinks the first coat and lets it flake where it bends: prime it',
      ),
      solventPaint: direct('a spray reaches into a dry, brushed-out weave'),
      stain: direct('a wash or a stain soaks into the dry weave'),
      decoupage: never('a weave gives paper nothing flat to lie on'),
    }),
    usualColor: '#c2a878',
    words: ['wicker', 'rattan', 'sea grass', 'seagrass', 'bamboo', 'willow', 'cane', 'woven'],
    remark: 'Spray reaches where a brush drips; let it dry a day or two after washing.',
  }),
];
