import { describe, expect, it } from 'vitest';
import type { Severity } from '../kernel/finding';
import { emptyHousehold } from '../state/brief';
import type { ZoneUse } from '../surface/zone';
import { cautionsFor, safetyRules } from './cautions';
import type { SafetyFacts } from './facts';

type Piece = NonNullable<SafetyFacts['piece']>;
type StepFacts = SafetyFacts['steps'][number];

const step = (kind: StepFacts['kind'], change: Partial<StepFacts> = {}): StepFacts => ({
  id: `${kind}-${change.hazard ?? ''}`,
  kind,
  hazard: null,
  place: 'indoors',
  tools: [],
  ...change,
});
const piece = (change: Partial<Piece> = {}): Piece => ({
  id: 'piece',
  name: 'Box',
  kind: 'ordinary',
  oldFinish: false,
  era: 'recent',
  leadTest: 'notTested',
  cordCondition: 'none',
  materials: ['veneer'],
  heightMm: 400,
  storesThings: false,
  isShade: false,
  isMusty: false,
  disturbedM2: 0,
  traits: [],
  ...change,
});
const facts = (change: Partial<SafetyFacts> = {}): SafetyFacts => ({
  steps: [step('clean'), step('coat', { hazard: 'waterborne' }), step('reassemble')],
  piece: piece(),
  uses: new Set<ZoneUse>(['handled']),
  foodSafeFinish: false,
  household: emptyHousehold,
  ...change,
});
const home = (change: Partial<SafetyFacts['household']>) => ({ ...emptyHousehold, ...change });
const coat = (hazard: NonNullable<StepFacts['hazard']>) => facts({ steps: [step('coat', { hazard })] });
const oldPaint = (change: Partial<Piece> = {}) => piece({ oldFinish: true, era: 'unknown', ...change });
const uses = (...list: ZoneUse[]) => new Set<ZoneUse>(list);

/**
 * One case that must raise each caution with its severity, and one just beside it that must not: the triggers of the
 * trade's safety sheet (its standards recalled from memory).
 */
const cases: [rule: string, raises: SafetyFacts, severity: Severity, spares: SafetyFacts][] = [
  ['wall.pipes', facts({ steps: [step('drill')] }), 'stop', facts({ steps: [step('saw')] })],
  ['saw.hands', facts({ steps: [step('saw')] }), 'stop', facts({ steps: [step('cut')] })],
  [
    'blade.hand',
    facts({ steps: [step('cut', { tools: ['craftKnife'] })] }),
    'warn',
    facts({ steps: [step('cut', { tools: ['iron'] })] }),
  ],
  [
    'glue.hot',
    facts({ steps: [step('arrange', { tools: ['glueGun'] })], household: home({ youngestChildYears: 4 }) }),
    'stop',
    facts({ steps: [step('arrange')], household: home({ youngestChildYears: 4 }) }),
  ],
  [
    'glue.hot',
    facts({ steps: [step('arrange', { tools: ['glueGun'] })] }),
    'warn',
    facts({ steps: [step('arrange')] }),
  ],
  [
    'greens.fire',
    facts({ piece: piece({ traits: ['burns'] }) }),
    'stop',
    facts({ piece: piece({ traits: ['flame'] }) }),
  ],
  [
    'flame.alive',
    facts({ piece: piece({ traits: ['flame'] }) }),
    'stop',
    facts({ piece: piece({ traits: ['buttonCells'] }) }),
  ],
  [
    'cells.swallowed',
    facts({ piece: piece({ traits: ['buttonCells'] }), household: home({ youngestChildYears: 2 }) }),
    'stop',
    facts({ piece: piece({ traits: ['flame'] }), household: home({ youngestChildYears: 2 }) }),
  ],
  ['cells.swallowed', facts({ piece: piece({ traits: ['buttonCells'] }) }), 'note', facts()],
  [
    'plants.chewed',
    facts({ piece: piece({ traits: ['sickens'] }), household: home({ pets: ['cat'] }) }),
    'warn',
    facts({ household: home({ pets: ['cat'] }) }),
  ],
  [
    'plants.chewed',
    facts({ piece: piece({ traits: ['kills'] }), household: home({ youngestChildYears: 1 }) }),
    'stop',
    facts({ household: home({ youngestChildYears: 1 }) }),
  ],
  ['plants.chewed', facts({ piece: piece({ traits: ['sickens'] }) }), 'note', facts()],
  [
    'kind.recalled',
    facts({ piece: piece({ kind: 'dropSideCot' }) }),
    'refuse',
    facts({ piece: piece({ kind: 'toyOrCot' }) }),
  ],
  ['kind.hotAppliance', facts({ piece: piece({ kind: 'spaceHeater' }) }), 'refuse', facts()],
  ['product.twoPart', coat('epoxy'), 'refuse', coat('oil')],
  [
    'lead.found',
    facts({ piece: oldPaint({ leadTest: 'positive' }) }),
    'stop',
    facts({ piece: oldPaint({ leadTest: 'negative' }) }),
  ],
  [
    'lead.oldFinish',
    facts({ piece: oldPaint(), steps: [step('sandBack')] }),
    'stop',
    facts({ piece: oldPaint({ era: 'recent' }), steps: [step('sandBack')] }),
  ],
  [
    'lead.area',
    facts({ piece: oldPaint({ disturbedM2: 0.6 }), steps: [step('strip')] }),
    'stop',
    facts({ piece: oldPaint({ disturbedM2: 0.5 }), steps: [step('strip')] }),
  ],
  [
    'lead.child',
    facts({ piece: oldPaint(), household: home({ youngestChildYears: 5 }) }),
    'stop',
    facts({ piece: oldPaint(), household: home({ youngestChildYears: 6 }) }),
  ],
  [
    'lamp.wiring',
    facts({ piece: piece({ kind: 'lamp', cordCondition: 'damaged' }) }),
    'stop',
    facts({ piece: piece({ kind: 'lamp', cordCondition: 'none' }) }),
  ],
  ['aerosol.air', coat('aerosol'), 'stop', coat('waterborne')],
  ['vapor.ignition', coat('spirit'), 'stop', coat('wax')],
  ['stripper.choice', facts({ steps: [step('strip')] }), 'stop', facts({ steps: [step('sandBack')] })],
  ['cleaners.neverMix', facts({ steps: [step('etch')] }), 'stop', facts({ steps: [step('clean')] })],
  ['powder.lime', coat('powder'), 'warn', coat('waterborne')],
  [
    'asbestos.old',
    facts({ piece: piece({ materials: ['groutJoint'], era: 'unknown' }) }),
    'stop',
    facts({ piece: piece({ materials: ['groutJoint'] }) }),
  ],
  ['solvent.air', facts({ steps: [step('dewax')] }), 'warn', facts({ steps: [step('clean')] })],
  [
    'pregnancy.air',
    facts({ steps: [step('coat', { hazard: 'oil' })], household: home({ pregnancy: true }) }),
    'stop',
    facts({ household: home({ pregnancy: true }) }),
  ],
  ['rags.selfHeating', coat('wax'), 'stop', coat('spirit')],
  ['dust.mask', facts({ steps: [step('sandBetween')] }), 'warn', facts({ steps: [step('alcoholWipe')] })],
  [
    'timber.treated',
    facts({ piece: piece({ materials: ['pine'], era: 'unknown' }), steps: [step('scuff')] }),
    'note',
    facts({ piece: piece({ materials: ['pine'] }), steps: [step('scuff')] }),
  ],
  ['mold.musty', facts({ piece: piece({ isMusty: true }) }), 'warn', facts()],
  ['food.contact', facts({ uses: uses('food') }), 'stop', facts({ uses: uses('food'), foodSafeFinish: true })],
  [
    'food.oldGlaze',
    facts({ uses: uses('food'), piece: piece({ materials: ['glazedCeramic'], era: 'unknown' }) }),
    'warn',
    facts({ uses: uses('seen'), piece: piece({ materials: ['glazedCeramic'], era: 'unknown' }) }),
  ],
  ['flame.clearance', facts({ uses: uses('flame') }), 'stop', facts({ uses: uses('nearHeat') })],
  ['shade.heat', facts({ piece: piece({ isShade: true }) }), 'warn', facts()],
  [
    'glass.heat',
    facts({ piece: piece({ materials: ['glass'] }), uses: uses('nearHeat') }),
    'warn',
    facts({ piece: piece({ materials: ['glass'] }) }),
  ],
  [
    'foam.fire',
    facts({ piece: piece({ materials: ['polystyreneFoam'] }), uses: uses('flame') }),
    'stop',
    facts({ uses: uses('flame') }),
  ],
  ['child.contact', facts({ piece: piece({ kind: 'toyOrCot' }) }), 'stop', facts()],
  [
    'furniture.tipOver',
    facts({ piece: piece({ storesThings: true, heightMm: 686 }), household: home({ youngestChildYears: 3 }) }),
    'stop',
    facts({ piece: piece({ storesThings: true, heightMm: 685 }), household: home({ youngestChildYears: 3 }) }),
  ],
  [
    'lift.heavy',
    facts({ piece: piece({ storesThings: true, heightMm: 1800 }), steps: [step('dismantle')] }),
    'note',
    facts({ piece: piece({ heightMm: 1800 }), steps: [step('dismantle')] }),
  ],
  [
    'pets.drying',
    facts({ steps: [step('coat', { hazard: 'aerosol' })], household: home({ pets: ['bird'] }) }),
    'stop',
    facts({ household: home({ pets: ['bird'] }) }),
  ],
  ['drying.bedroom', facts(), 'note', facts({ steps: [step('clean')] })],
  ['place.damp', facts({ household: home({ damp: true }) }), 'note', facts()],
  ['place.food', facts({ household: home({ foodNear: true }) }), 'note', facts()],
  ['place.works', facts({ household: home({ buildingWorks: true }) }), 'note', facts()],
  ['place.heat', facts({ household: home({ heatNear: true }) }), 'warn', facts()],
];
const raised = (of: SafetyFacts, rule: string) =>
  cautionsFor(of, 'recipe').filter((finding) => finding.code === `caution.${rule}`);

describe('a caution', () => {
  it.each(cases)('%s is raised where it matters, and not just beside it', (rule, raises, severity, spares) => {
    const findings = raised(raises, rule);
    expect(findings.length).toBeGreaterThan(0);
    for (const finding of findings) expect(finding.severity).toBe(severity);
    expect(raised(spares, rule)).toEqual([]);
  });
  it('has a case here for each rule', () => {
    const covered = new Set(cases.map(([rule]) => rule));
    expect(safetyRules.ids.filter((id) => !covered.has(id))).toEqual([]);
  });
  it('names its source, says something, and a refusal names what works instead', () => {
    for (const rule of safetyRules.all) {
      expect(rule.text.length).toBeGreaterThan(20);
      expect(['standard', 'reference', 'common practice']).toContain(rule.source.kind);
    }
    for (const id of ['kind.recalled', 'kind.hotAppliance', 'product.twoPart'])
      expect(safetyRules.get(id).instead).not.toBeNull();
  });
  it('is milder in words where a cord is sound, graver where a child is small', () => {
    expect(raised(facts({ piece: piece({ kind: 'lamp', cordCondition: 'sound' }) }), 'lamp.wiring')[0]?.severity).toBe(
      'warn',
    );
    expect(
      raised(facts({ piece: piece({ storesThings: true, heightMm: 900 }) }), 'furniture.tipOver')[0]?.severity,
    ).toBe('warn');
    expect(raised(facts({ piece: piece({ materials: ['fauxLeaf'] }) }), 'foam.fire')[0]?.severity).toBe('warn');
  });
});
