import { commonPractice, type Source } from '../kernel/source';
import type { StepKind } from '../state/step';
import type { Bleed, Film } from '../state/surfaceState';
import { type Figure, figure } from './figure';

/** What a finish group asks for as the first layer on a substrate. */
export interface PrimerColumn {
  waterbornePaint: PrimerDemand;
  solventPaint: PrimerDemand;
  clear: PrimerDemand;
}
/** `primers` in order of preference; empty means the layer may lie on the prepared surface itself. */
export interface PrimerDemand {
  verdict: 'scuff' | 'barrierPrimer' | 'notKnown';
  primers: readonly string[];
  reason: string;
}

/**
 * One row of the substrates table: a bare material, or an old finish that lies on one.
 * `absorption` multiplies the first coat; `texture` multiplies the area.
 */
export interface Substrate {
  id: string;
  name: string;
  layer: 'material' | 'oldFinish';
  film: Film;
  porous: boolean;
  hard: boolean;
  bleed: Bleed;
  absorption: Figure;
  texture: Figure;
  prepare: readonly StepKind[];
  primer: PrimerColumn;
  /** How a piece of it looks when nobody has picked a color, for drawing and hiding. */
  usualColor: string;
  words: readonly string[];
  remark: string;
  source: Source;
}

const bare = (reason: string): PrimerDemand => ({ verdict: 'scuff', primers: [], reason });

/** The substrates table: common practice, from memory; sound old paint and glossy varnish are finishes upon a material. */
export const substrateRows: readonly Substrate[] = [
  {
    id: 'pine',
    name: 'Pine',
    layer: 'material',
    film: 'none',
    porous: true,
    hard: false,
    bleed: 'tannin',
    absorption: figure(1.2, 1.3, 1.5),
    texture: figure(1, 1.05, 1.1),
    prepare: ['clean', 'scuff'],
    primer: {
      waterbornePaint: {
        verdict: 'barrierPrimer',
        primers: ['shellacPrimer', 'bondingPrimer'],
        reason: 'knots and resin bleed through waterborne paint',
      },
      solventPaint: {
        verdict: 'barrierPrimer',
        primers: ['shellacPrimer'],
        reason: 'knots and resin bleed; open grain drinks the spray',
      },
      clear: bare('a clear coat soaks into bare wood'),
    },
    usualColor: '#d9b382',
    words: ['pine', 'wood', 'wooden', 'softwood', 'fir', 'spruce'],
    remark: 'Knots and resin bleed; the first coat raises the grain.',
    source: commonPractice,
  },
  {
    id: 'veneer',
    name: 'Wood veneer',
    layer: 'material',
    film: 'none',
    porous: true,
    hard: false,
    bleed: 'tannin',
    absorption: figure(1, 1.1, 1.2),
    texture: figure(1, 1, 1),
    prepare: ['clean', 'scuff'],
    primer: {
      waterbornePaint: {
        verdict: 'barrierPrimer',
        primers: ['shellacPrimer', 'bondingPrimer'],
        reason: 'water lifts thin veneer and draws its color up',
      },
      solventPaint: {
        verdict: 'barrierPrimer',
        primers: ['shellacPrimer', 'bondingPrimer'],
        reason: 'open grain drinks the spray',
      },
      clear: bare('a clear coat soaks into bare wood'),
    },
    usualColor: '#a9794f',
    words: ['veneer', 'veneered', 'oak', 'walnut', 'teak', 'mahogany'],
    remark: 'Half a millimeter thick: sand by hand only, glue down what lifts.',
    source: commonPractice,
  },
  {
    id: 'laminate',
    name: 'Laminate',
    layer: 'material',
    film: 'none',
    porous: false,
    hard: true,
    bleed: 'none',
    absorption: figure(1, 1, 1),
    texture: figure(1, 1, 1),
    prepare: ['clean', 'scuff'],
    primer: {
      waterbornePaint: {
        verdict: 'barrierPrimer',
        primers: ['bondingPrimer', 'shellacPrimer'],
        reason: 'nothing grips a closed plastic face without an adhesion primer',
      },
      solventPaint: {
        verdict: 'barrierPrimer',
        primers: ['bondingPrimer', 'shellacPrimer'],
        reason: 'nothing grips a closed plastic face without an adhesion primer',
      },
      clear: { verdict: 'notKnown', primers: [], reason: 'no rule tells how a clear coat alone holds on laminate' },
    },
    usualColor: '#c9c1b2',
    words: ['laminate', 'melamine', 'particle board', 'flat pack'],
    remark: 'Edges chip; a swollen core cannot be saved.',
    source: commonPractice,
  },
  {
    id: 'ferrousMetal',
    name: 'Iron or steel',
    layer: 'material',
    film: 'none',
    porous: false,
    hard: true,
    bleed: 'none',
    absorption: figure(1, 1, 1.1),
    texture: figure(1, 1.05, 1.2),
    prepare: ['clean', 'removeRust'],
    primer: {
      waterbornePaint: {
        verdict: 'barrierPrimer',
        primers: ['rustPrimer', 'shellacPrimer'],
        reason: 'bare iron flash-rusts under waterborne paint',
      },
      solventPaint: {
        verdict: 'barrierPrimer',
        primers: ['rustPrimer', 'shellacPrimer'],
        reason: 'rust creeps under an unprimed film',
      },
      clear: {
        verdict: 'barrierPrimer',
        primers: [],
        reason: 'a waterborne clear coat lets bare iron rust; an aerosol clear only slows it',
      },
    },
    usualColor: '#6b6a68',
    words: ['metal', 'iron', 'steel', 'wrought iron', 'tin'],
    remark: 'Prime within four hours of sanding; flash rust follows water.',
    source: commonPractice,
  },
  {
    id: 'nonferrousMetal',
    name: 'Brass, copper, aluminum or zinc',
    layer: 'material',
    film: 'none',
    porous: false,
    hard: true,
    bleed: 'none',
    absorption: figure(1, 1, 1),
    texture: figure(1, 1, 1),
    prepare: ['clean', 'scuff'],
    primer: {
      waterbornePaint: {
        verdict: 'barrierPrimer',
        primers: ['bondingPrimer', 'shellacPrimer'],
        reason: 'the skin of oxide lets go of paint: abrade, then prime the same day',
      },
      solventPaint: {
        verdict: 'barrierPrimer',
        primers: ['bondingPrimer', 'shellacPrimer'],
        reason: 'oil-based paint turns to soap on zinc, and the skin of oxide lets go of it',
      },
      clear: bare('a clear coat keeps polished metal from tarnishing, if no finger touches it before'),
    },
    usualColor: '#b08d3c',
    words: ['brass', 'copper', 'bronze', 'aluminum', 'aluminium', 'zinc', 'galvanized', 'pewter', 'silver plate'],
    remark: 'Degrease and abrade, and coat the same day; new galvanizing is oily.',
    source: commonPractice,
  },
  {
    id: 'glass',
    name: 'Glass',
    layer: 'material',
    film: 'none',
    porous: false,
    hard: true,
    bleed: 'none',
    absorption: figure(0.9, 1, 1),
    texture: figure(1, 1, 1),
    prepare: ['clean'],
    primer: {
      waterbornePaint: {
        verdict: 'barrierPrimer',
        primers: ['bondingPrimer', 'shellacPrimer'],
        reason: 'nothing grips glass without an adhesion primer, and wet washing lifts even that',
      },
      solventPaint: {
        verdict: 'barrierPrimer',
        primers: ['bondingPrimer', 'shellacPrimer'],
        reason: 'nothing grips glass without an adhesion primer',
      },
      clear: { verdict: 'notKnown', primers: [], reason: 'no rule tells how a clear coat alone holds on glass' },
    },
    usualColor: '#cfdcd8',
    words: ['glass', 'crystal'],
    remark: 'Outside only, and a finger below the lip; wipe with alcohol and do not wash afterwards.',
    source: commonPractice,
  },
  {
    id: 'glazedCeramic',
    name: 'Glazed ceramic or china',
    layer: 'material',
    film: 'none',
    porous: false,
    hard: true,
    bleed: 'none',
    absorption: figure(1, 1, 1),
    texture: figure(1, 1, 1),
    prepare: ['clean', 'scuff'],
    primer: {
      waterbornePaint: {
        verdict: 'barrierPrimer',
        primers: ['bondingPrimer', 'shellacPrimer'],
        reason: 'a glaze is glass: nothing grips it without an adhesion primer',
      },
      solventPaint: {
        verdict: 'barrierPrimer',
        primers: ['bondingPrimer', 'shellacPrimer'],
        reason: 'a glaze is glass: nothing grips it without an adhesion primer',
      },
      clear: { verdict: 'notKnown', primers: [], reason: 'no rule tells how a clear coat alone holds on a glaze' },
    },
    usualColor: '#ece7dc',
    words: ['ceramic', 'china', 'porcelain', 'stoneware', 'glazed', 'pottery'],
    remark: 'Not for food or the dishwasher once it is painted.',
    source: commonPractice,
  },
  {
    id: 'terracotta',
    name: 'Terracotta',
    layer: 'material',
    film: 'none',
    porous: true,
    hard: true,
    bleed: 'none',
    absorption: figure(1.3, 1.6, 2),
    texture: figure(1, 1.05, 1.15),
    prepare: ['clean'],
    primer: {
      waterbornePaint: bare('raw clay drinks the first coat and holds it'),
      solventPaint: bare('raw clay takes a spray directly once it is dry'),
      clear: bare('a clear coat soaks into raw clay'),
    },
    usualColor: '#b5673f',
    words: ['terracotta', 'terra cotta', 'clay'],
    remark: 'Seal the inside of a planted pot: water and salts push paint off from behind. Dry a day or two first.',
    source: commonPractice,
  },
  {
    id: 'wicker',
    name: 'Wicker, rattan or sea grass',
    layer: 'material',
    film: 'none',
    porous: true,
    hard: false,
    bleed: 'none',
    absorption: figure(1.1, 1.3, 1.5),
    texture: figure(1.6, 2, 2.5),
    prepare: ['clean'],
    primer: {
      waterbornePaint: bare('a dry, brushed-out weave holds paint by itself'),
      solventPaint: bare('a spray reaches into a dry, brushed-out weave'),
      clear: bare('a clear coat soaks into the weave'),
    },
    usualColor: '#c2a878',
    words: ['wicker', 'rattan', 'sea grass', 'seagrass', 'bamboo', 'willow', 'cane', 'woven'],
    remark: 'Spray reaches where a brush drips; let it dry a day or two after washing.',
    source: commonPractice,
  },
  {
    id: 'soundOldPaint',
    name: 'Sound old paint',
    layer: 'oldFinish',
    film: 'waterborne',
    porous: false,
    hard: false,
    bleed: 'none',
    absorption: figure(1, 1, 1),
    texture: figure(1, 1, 1),
    prepare: ['clean', 'scuff'],
    primer: {
      waterbornePaint: bare('matt old paint takes new paint once it is clean and scuffed'),
      solventPaint: bare('sound old paint takes an aerosol once it is clean and scuffed; mist first'),
      clear: bare('a clear coat holds on clean, scuffed paint'),
    },
    usualColor: '#e8e2d4',
    words: ['painted', 'paint'],
    remark: 'Base unknown: rub with alcohol; what softens is waterborne.',
    source: commonPractice,
  },
  {
    id: 'glossyVarnish',
    name: 'Glossy varnish',
    layer: 'oldFinish',
    film: 'oil',
    porous: false,
    hard: true,
    bleed: 'none',
    absorption: figure(1, 1, 1),
    texture: figure(1, 1, 1),
    prepare: ['clean', 'scuff'],
    primer: {
      waterbornePaint: {
        verdict: 'barrierPrimer',
        primers: ['bondingPrimer', 'shellacPrimer'],
        reason: 'waterborne paint does not wet out or grip a glossy oil film',
      },
      solventPaint: {
        verdict: 'barrierPrimer',
        primers: ['bondingPrimer', 'shellacPrimer'],
        reason: 'an old clear coat needs an adhesion primer under a spray',
      },
      clear: bare('a clear coat holds on a scuffed old one'),
    },
    usualColor: '#9b6b43',
    words: ['varnish', 'varnished', 'shiny', 'glossy', 'clear coat', 'lacquered'],
    remark: 'Silicone polish leaves fish-eyes: degrease well.',
    source: commonPractice,
  },
];
