import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { readProjectFile } from '../formats/project/read';
import { computePlan } from '../plan/computePlan';
import { againstPlan } from './againstPlan';
import { cameToSentence, missSentences, originSentence, savedSentence } from './closingWords';
import { explainCameTo, explainHoursCameTo, explainPerHour, explainSaved } from './explainClosing';
import { looseEnds } from './looseEnds';
import { cashOf, minutesOf, reckon } from './reckon';
import { originShares, savedAgainstNew } from './saved';
import { taughtFactors } from './workByKind';

const path = fileURLToPath(new URL('../../../demo/4-hall-console.project.json', import.meta.url));
const read = readProjectFile(JSON.parse(readFileSync(path, 'utf8')));
if (!read.ok) throw new Error(JSON.stringify(read.errors));
const plan = computePlan(read.file, Date.parse(read.file.asOf));
const reckoning = reckon(plan);
const saved = savedAgainstNew(plan, reckoning);
const frozen = plan.rows.planFreezes[0]?.plan;
if (!frozen) throw new Error('the finished demo has no frozen plan');

describe('the demo that is finished', () => {
  it('has nothing left to buy or to do, and was in time', () => {
    expect([plan.purse.money.planned.likely, plan.purse.hands.planned.likely]).toEqual([0, 0]);
    expect(plan.purse.days.inHand).toBeGreaterThanOrEqual(0);
    expect(plan.slots.every(({ open }) => open === 0)).toBe(true);
  });

  it('came to what its books and its log say', () => {
    const { spent, promised } = plan.purse.money;
    expect(cashOf(reckoning.all)).toBe(spent + promised);
    const logged = plan.rows.logEntries.reduce((sum, { minutes }) => sum + minutes, 0);
    expect(minutesOf(reckoning.all)).toBeCloseTo(logged, 6);
    expect(saved.notLoggedMinutes).toBeLessThan(1);
  });

  it('says so in sentences', () => {
    expect(cameToSentence(reckoning, frozen, 'USD')).toMatch(
      /^It came to \$[\d.]+, \$[\d.]+ off the shelf and \d+ h \d\d: .* than planned, .* than planned\.$/,
    );
    expect(savedSentence(saved, 'USD')).toMatch(
      /^Buying it all new would have cost \$[\d.]+ more, so an hour of yours earned \$[\d.]+\. Nothing is held against Bowl for keys|Something green/,
    );
    expect(originSentence(originShares(plan, reckoning, saved))).toMatch(/^\d+ % of it was owned already; /);
    const against = againstPlan(plan, frozen, reckoning);
    expect(missSentences(against, taughtFactors(plan), frozen, 'USD').length).toBeGreaterThan(0);
  });

  it('gives its reasons, each figure the sum of its lines', () => {
    const money = explainCameTo(reckoning);
    expect(money.value).toBe(cashOf(reckoning.all));
    expect(money.because.reduce((sum, { value }) => sum + Number(value), 0)).toBe(money.value);
    expect(explainSaved(saved).value).toBe(saved.saved);
    for (const line of explainSaved(saved).because)
      expect(line.because.reduce((sum, { value }) => sum + Number(value), 0)).toBe(line.value);
    expect(Number(explainHoursCameTo(reckoning, () => '').value)).toBeCloseTo(minutesOf(reckoning.all), 3);
    const hour = explainPerHour(saved);
    const [won, hours] = hour.because;
    expect(Math.round(Number(won?.value) / Number(hours?.value))).toBe(hour.value);
  });

  it('still has loose ends: what goes back, what was borrowed, what fits nowhere, what is left in the can', () => {
    const kinds = new Set(looseEnds(plan).open.map(({ about }) => about.kind));
    expect([...kinds].sort()).toEqual(['borrowed', 'leftover', 'misfit', 'own']);
  });
});
