import type { Substrate } from '../substrate';
import { bare, needs, never, substrate } from './row';

const soakStop = never('a film lies in between: there is nothing to soak into', 'wipe off');

/** Old finishes whose make is not known. What a known product left behind derives from the coatings table. */
export const oldFinishRows: readonly Substrate[] = [
  substrate({
    id: 'soundOldPaint',
    name: 'Sound old paint',
    layer: 'oldFinish',
    film: 'waterborne',
    prepare: ['clean', 'scuff'],
    risk: 0,
    primer: {
      waterbornePaint: bare('matt old paint takes new paint once it is clean and scuffed'),
      oilPaint: bare('sound old paint takes an oil-based one once it is clean and scuffed'),
      solventPaint: bare('sound old paint takes an aerosol once it is clean and scuffed; mist first'),
      clear: bare('a clear coat holds on clean, scuffed paint'),
      stain: soakStop,
      wax: bare('wax lies on it as a polish; it blocks later paint'),
      decoupage: bare('paper holds on clean, scuffed paint'),
      film: bare('film holds on smooth, sound paint that is clean and fully cured'),
    },
    usualColor: '#e8e2d4',
    words: ['painted', 'paint'],
    remark: 'Base unknown: rub with alcohol; what softens is waterborne.',
  }),
  substrate({
    id: 'thickOldPaint',
    name: 'Thick old paint, layer upon layer',
    layer: 'oldFinish',
    film: 'oil',
    absorption: [1, 1.05, 1.2],
    texture: [1, 1.05, 1.1],
    prepare: ['clean', 'sandBack', 'fill'],
    risk: 2,
    primer: {
      waterbornePaint: needs(
        ['bondingPrimer', 'oilBlockPrimer'],
        'old layers of unknown make want a primer that holds them all',
      ),
      oilPaint: needs(
        ['oilBlockPrimer', 'bondingPrimer'],
        'old layers of unknown make want a primer that holds them all',
      ),
      solventPaint: needs(['bondingPrimer', 'oilBlockPrimer'], 'a solvent lifts old layers: prime first'),
      clear: bare('a clear coat holds on clean, scuffed paint and keeps what flakes'),
      stain: soakStop,
      wax: bare('wax lies on it as a polish; it blocks later paint'),
      decoupage: needs(['bondingPrimer'], 'what flakes takes the paper with it'),
      film: never('an uneven ground shows through, and what flakes takes the film with it'),
    },
    usualColor: '#ddd6c6',
    words: ['thick paint', 'layers of paint', 'old paint', 'flaking paint'],
    remark: 'Test for lead first; wet-sand or strip what does not hold.',
  }),
  substrate({
    id: 'glossyVarnish',
    name: 'Glossy varnish',
    layer: 'oldFinish',
    film: 'oil',
    hard: true,
    prepare: ['clean', 'scuff'],
    risk: 2,
    primer: {
      waterbornePaint: needs(
        ['bondingPrimer', 'shellacPrimer'],
        'waterborne paint does not wet out or grip a glossy oil film',
      ),
      oilPaint: bare('an oil-based paint holds on a scuffed old varnish'),
      solventPaint: needs(
        ['bondingPrimer', 'shellacPrimer'],
        'an old clear coat needs an adhesion primer under a spray',
      ),
      clear: bare('a clear coat holds on a scuffed old one'),
      stain: soakStop,
      wax: bare('wax lies on it as a polish; it blocks later paint'),
      decoupage: bare('it peels from gloss until it is scuffed'),
      film: bare('film holds on smooth varnish once it is degreased'),
    },
    usualColor: '#9b6b43',
    words: ['varnish', 'varnished', 'shiny', 'glossy', 'clear coat', 'lacquered'],
    remark: 'Silicone polish leaves fish-eyes: degrease well.',
  }),
];
