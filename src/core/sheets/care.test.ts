import { describe, expect, it } from 'vitest';
import { cleaningOf, cleaningTexts } from '../catalog/care.data';
import { coatings } from '../catalog/coatings';
import { uuid } from '../fixtures/following';
import { AS_OF, card, fill, find, option, project, recipe, rows, slot } from '../fixtures/projectRows';
import { foundSurface } from '../fixtures/recipes';
import type { ProjectRows } from '../model/rows';
import { acknowledgmentTrigger } from '../plan/acknowledgment';
import { computePlan } from '../plan/computePlan';
import { safetyRules } from '../safety/cautions';
import { emptyHousehold } from '../state/brief';
import { careOf } from './care';
import { curingWords } from './clientSheet';

const teal = card(uuid(3), 'Teal', '#2f5d62');

/** A piece in one coating, chosen and not done yet. */
function pieceIn(coatingId: string, of: Parameters<typeof find>[2] = {}, change: Partial<ProjectRows> = {}) {
  const stand = find('stand', 1200, { materialId: 'pine', ...of });
  return computePlan(
    rows({
      slots: [slot('s1', { number: 1, name: 'Nightstand' })],
      finds: [stand],
      colorCards: [teal],
      recipes: [recipe('r', stand, coatingId, teal.id)],
      options: [
        option('over', 's1', 'makeover', { parts: [{ findId: 'stand', offerId: null, pieces: 1 }], recipeId: 'r' }),
      ],
      fills: [fill('s1', 'over')],
      ...change,
    }),
    AS_OF,
  );
}
const careIn = (...of: Parameters<typeof pieceIn>) => {
  const plan = pieceIn(...of);
  const [only] = plan.chosen;
  if (!only) throw new Error('nothing chosen');
  return careOf(plan, only);
};

// Common practice, no source.
describe('how a face is cleaned', () => {
  const laid = (productId: string, change = {}) => ({ ...foundSurface('pine'), productId, sealed: true, ...change });
  it.each([
    ['waterClear', { film: 'waterborne', sheen: 'satin' }, 'damp'],
    ['oilPolyurethane', { film: 'oil', sheen: 'gloss' }, 'damp'],
    ['clearWax', { film: 'wax', sheen: 'satin' }, 'dust'],
    ['decoupageMedium', { film: 'waterborne', sheen: 'satin' }, 'barelyDamp'],
    ['chalk', { film: 'powdery', sheen: 'matt', porous: true, sealed: false }, 'dust'],
    ['wallAcrylic', { film: 'waterborne', sheen: 'matt' }, 'barelyDamp'],
    ['wallAcrylic', { film: 'waterborne', sheen: 'satin' }, 'damp'],
  ] as const)('%s, %o: %s', (id, state, way) => {
    expect(cleaningOf(laid(id, state), coatings.find(id))).toBe(way);
  });

  it('of every coating that lies open is something, and the driest for what drinks', () => {
    for (const coating of coatings.all)
      expect(cleaningTexts[cleaningOf(laid(coating.id, { film: coating.film }), coating)]).toBeTruthy();
    expect(cleaningOf(foundSurface('pine'), undefined)).toBe('dust');
  });
});

describe('what whoever lives with a piece is told', () => {
  it('of chalk paint under a clear coat: a damp cloth, indoors, and until when it hardens', () => {
    const care = careIn('chalk');
    expect(care.notes).toContain(cleaningTexts.damp);
    expect(care.notes.join(' ')).toMatch(/stays indoors|Outdoors only where the labels allow it/);
    expect(care.hardOn !== null && care.usableOn !== null && care.hardOn >= care.usableOn).toBe(true);
    expect(curingWords(care, '2026-01-01')).toMatch(/^Leave it be until [A-Z][a-z]+ \d+, \d{4}\.$/);
    expect(curingWords(care, care.usableOn ?? '')).toMatch(/^Until .* it is still hardening/);
    expect(curingWords(care, '2030-01-01')).toBe('');
  });

  it('of wax: dry dusting, nothing hot, wax again', () => {
    const notes = careIn('clearWax').notes.join(' ');
    expect(notes).toContain('Dust it dry');
    expect(notes).toContain('softens from about 50 °C');
    expect(notes).toContain('Wax it again');
  });

  it('never without what can harm: lead, tipping, food', () => {
    const old = { finishId: 'glossyVarnish', era: 'old', leadTest: 'positive' } as const;
    expect(careIn('chalk', old).cautions.join(' ')).toMatch(/holds lead/);
    const tall = careIn('chalk', { templateId: 'dresser', measures: { widthMm: 900, heightMm: 1200, depthMm: 450 } });
    expect(tall.cautions.join(' ')).toMatch(/anchored to a stud/);
  });

  it('is the same whether a step was skipped or a caution acknowledged', () => {
    const old = { finishId: 'glossyVarnish', era: 'old', leadTest: 'positive' } as const;
    const plain = careIn('chalk', old);
    const stand = find('stand', 1200, { materialId: 'pine', ...old });
    const row = recipe('r', stand, 'chalk', teal.id);
    const plan = pieceIn('chalk', old);
    const steps = plan.recipes.get('r')?.steps ?? [];
    const skipped = {
      ...row,
      body: { ...row.body, stepEdits: Object.fromEntries(steps.map(({ id }) => [id, { skipped: true }])) },
    };
    // As the page notes it: each caution by what triggers it.
    const acknowledgments = (plan.recipes.get('r')?.findings ?? []).map((finding, n) => ({
      id: uuid(50 + n),
      version: 1,
      recipeId: 'r',
      trigger: acknowledgmentTrigger(finding),
      by: 'me',
      atMs: AS_OF,
    }));
    expect(acknowledgments.length).toBeGreaterThan(0);
    expect(careIn('chalk', old, { acknowledgments }).cautions).toEqual(plain.cautions);
    const ofLead = plain.cautions.filter((text) => text.includes('lead'));
    expect(ofLead.length).toBeGreaterThan(0);
    const other = careIn('chalk', old, { recipes: [skipped], acknowledgments });
    expect(other.cautions.filter((text) => text.includes('lead'))).toEqual(ofLead);
  });

  it('of a child in the house who climbs: the caution stays, whoever is told', () => {
    const household = { ...emptyHousehold, youngestChildYears: 3 };
    const care = careIn(
      'chalk',
      { templateId: 'dresser', measures: { widthMm: 900, heightMm: 1200, depthMm: 450 } },
      { project: project({ household }) },
    );
    expect(care.cautions.length).toBeGreaterThan(0);
  });
});

describe('cautions that go along with a piece', () => {
  it('are told in words that speak of living with it, not of making it', () => {
    const told = safetyRules.all.filter(({ afterwards }) => afterwards !== undefined);
    expect(told.length).toBeGreaterThan(15);
    for (const { afterwards = '' } of told) {
      expect(afterwards.length).toBeGreaterThan(25);
      expect(afterwards).not.toMatch(/respirator|while this is sprayed|mask/i);
    }
  });

  it('are all but those that only the work itself asks for', () => {
    const silent = safetyRules.all.filter(({ afterwards }) => afterwards === undefined).map(({ id }) => id);
    // What only the work itself asks for; a new caution is told afterwards, or named here.
    expect(silent.sort()).toEqual(
      [
        ...['aerosol.air', 'vapor.ignition', 'solvent.air', 'pregnancy.air', 'rags.selfHeating', 'stripper.choice'],
        ...['cleaners.neverMix', 'powder.lime', 'product.twoPart', 'dust.mask', 'timber.treated', 'mold.musty'],
        ...['lift.heavy', 'pets.drying', 'drying.bedroom', 'place.damp', 'place.works', 'lead.area'],
        ...['wall.pipes', 'saw.hands', 'blade.hand'],
      ].sort(),
    );
  });
});
