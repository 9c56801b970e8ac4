import type { Verdict } from '../state/joint';
import type { Film, FilmAge, Sheen } from '../state/surfaceState';
import type { CoatingGroup } from './coating';

/** Conditions on the surface below; each one given must hold. */
export interface UnderCondition {
  products?: readonly string[];
  substrates?: readonly string[];
  films?: readonly Film[];
  sheens?: readonly Sheen[];
  ages?: readonly FilmAge[];
  bleeds?: boolean;
  overHard?: boolean;
  bare?: boolean;
}

/** Conditions on the layer above. `light` is a color of L* over 60. */
export interface OverCondition {
  products?: readonly string[];
  groups?: readonly CoatingGroup[];
  light?: boolean;
}

/** One row of the compatibility table as a predicate on states. Hours are the usual wait of the row. */
export interface JointRule {
  id: string;
  under: UnderCondition;
  over: OverCondition;
  verdict: Verdict;
  waitHours: number;
  reason: string;
  remedy: string | null;
}

/** The compatibility table (common practice, from memory), in the part that the present coatings can meet. */
export const jointRules: readonly JointRule[] = [
  {
    id: 'oldPaintGlossy.waterborne',
    under: { substrates: ['soundOldPaint'], sheens: ['satin', 'gloss', 'unknown'], ages: ['cured'] },
    over: { groups: ['waterbornePaint'] },
    verdict: 'barrierPrimer',
    waitHours: 24,
    reason: 'old paint that is shiny or of unknown sheen needs a bonding primer',
    remedy: 'bondingPrimer',
  },
  {
    id: 'waterborneCured.waterborne',
    under: { films: ['waterborne', 'powdery'], ages: ['cured'] },
    over: { groups: ['waterbornePaint'] },
    verdict: 'scuff',
    waitHours: 0,
    reason: 'a cured film gives no chemical bite',
    remedy: null,
  },
  {
    id: 'waterborneShiny.waterborne',
    under: { films: ['waterborne'], sheens: ['satin', 'gloss'], ages: ['dry', 'cured'] },
    over: { groups: ['waterbornePaint'] },
    verdict: 'scuff',
    waitHours: 4,
    reason: 'a satin or glossy film gives no bite',
    remedy: null,
  },
  {
    id: 'wallAcrylicMatt.chalk',
    under: { products: ['wallAcrylic'], sheens: ['matt'] },
    over: { products: ['chalk'] },
    verdict: 'afterWait',
    waitHours: 4,
    reason: 'sound matt wall paint takes chalk-type paint once it is clean',
    remedy: null,
  },
  {
    id: 'chalk.waterborne',
    under: { products: ['chalk'] },
    over: { products: ['wallAcrylic', 'waterborneEnamel'] },
    verdict: 'afterWait',
    waitHours: 24,
    reason: 'it chalks: dust it off and keep the first coat thin',
    remedy: null,
  },
  {
    id: 'waterborneDry.chalk',
    under: { films: ['waterborne'], sheens: ['matt'], ages: ['dry'] },
    over: { groups: ['waterbornePaint'] },
    verdict: 'afterWait',
    waitHours: 4,
    reason: 'waterborne paints key into each other while young',
    remedy: null,
  },
  {
    id: 'oilGlossCured.waterborne',
    under: { films: ['oil'], sheens: ['gloss', 'unknown'], ages: ['cured'] },
    over: { groups: ['waterbornePaint'] },
    verdict: 'barrierPrimer',
    waitHours: 24,
    reason: 'waterborne paint does not wet out or grip a glossy oil film',
    remedy: 'bondingPrimer',
  },
  {
    id: 'oilMattCured.waterborne',
    under: { films: ['oil'], sheens: ['matt', 'satin'], ages: ['cured'] },
    over: { groups: ['waterbornePaint'] },
    verdict: 'scuff',
    waitHours: 0,
    reason: 'a matt oil film holds paint once it is scuffed with P180 to P220',
    remedy: null,
  },
  {
    id: 'chalk.waterborneClear',
    under: { products: ['chalk'] },
    over: { groups: ['waterborneClear'] },
    verdict: 'afterWait',
    waitHours: 24,
    reason: 'the paint must be dry through; thin the first coat, tannin can wick',
    remedy: null,
  },
  {
    id: 'bleedingWood.lightWaterborne',
    under: { bleeds: true, bare: true },
    over: { groups: ['waterbornePaint'], light: true },
    verdict: 'barrierPrimer',
    waitHours: 1,
    reason: 'knots and tannin bleed through a light waterborne color',
    remedy: 'shellacPrimer',
  },
  {
    id: 'bondingPrimerOverBleed.light',
    under: { products: ['bondingPrimer'], bleeds: true },
    over: { groups: ['waterbornePaint'], light: true },
    verdict: 'barrierPrimer',
    waitHours: 3,
    reason: 'a bonding primer does not hold tannin back from a light color',
    remedy: 'shellacPrimer',
  },
  {
    id: 'bondingPrimerHard.any',
    under: { products: ['bondingPrimer'], overHard: true },
    over: { groups: ['waterbornePaint', 'waterborneClear', 'solventPaint', 'solventClear'] },
    verdict: 'afterWait',
    waitHours: 24,
    reason: 'on gloss or plastic the primer needs a day to grip',
    remedy: null,
  },
  {
    id: 'bondingPrimer.waterborne',
    under: { products: ['bondingPrimer'] },
    over: { groups: ['waterbornePaint', 'waterborneClear'] },
    verdict: 'afterWait',
    waitHours: 3,
    reason: 'paint within 7 to 30 days',
    remedy: null,
  },
  {
    id: 'shellac.any',
    under: { products: ['shellacPrimer'] },
    over: { groups: ['waterbornePaint', 'waterborneClear', 'solventPaint', 'solventClear', 'primer'] },
    verdict: 'afterWait',
    waitHours: 0.75,
    reason: 'a tie coat: everything holds on it',
    remedy: null,
  },
  {
    id: 'youngFilm.shellac',
    under: { films: ['waterborne', 'powdery', 'solvent'], ages: ['dry'] },
    over: { products: ['shellacPrimer'] },
    verdict: 'afterWait',
    waitHours: 24,
    reason: 'its alcohol softens a young film',
    remedy: null,
  },
  {
    id: 'waterborneYoung.solvent',
    under: { products: ['wallAcrylic', 'waterborneEnamel'] },
    over: { groups: ['solventPaint', 'solventClear'] },
    verdict: 'afterWait',
    waitHours: 168,
    reason: 'a soft film wrinkles under the solvent',
    remedy: null,
  },
  {
    id: 'chalk.solvent',
    under: { products: ['chalk'] },
    over: { groups: ['solventPaint', 'solventClear'] },
    verdict: 'afterWait',
    waitHours: 24,
    reason: 'mist the first coat',
    remedy: null,
  },
  {
    id: 'aerosolEnamel.waterborne',
    under: { products: ['aerosolEnamel'] },
    over: { groups: ['waterbornePaint'] },
    verdict: 'scuff',
    waitHours: 48,
    reason: 'water beads on a sprayed film until it is scuffed',
    remedy: null,
  },
  {
    id: 'ferrousBare.waterborne',
    under: { substrates: ['ferrousMetal'], bare: true },
    over: { groups: ['waterbornePaint', 'waterborneClear'] },
    verdict: 'barrierPrimer',
    waitHours: 24,
    reason: 'flash rust',
    remedy: 'rustPrimer',
  },
  {
    id: 'ferrousBare.bondingPrimer',
    under: { substrates: ['ferrousMetal'], bare: true },
    over: { products: ['bondingPrimer'] },
    verdict: 'barrierPrimer',
    waitHours: 24,
    reason: 'a waterborne primer lets bare iron flash-rust',
    remedy: 'rustPrimer',
  },
  {
    id: 'aerosolClear.ferrousBare',
    under: { substrates: ['ferrousMetal'], bare: true },
    over: { groups: ['solventClear'] },
    verdict: 'scuff',
    waitHours: 0,
    reason: 'on bright metal a sprayed clear coat holds; it slows rust, it does not stop it',
    remedy: null,
  },
];
