import { stated } from '@core/kernel/price';
import { withFinds } from '@core/model/finds';
import type { StoredRows } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { describe, expect, it } from 'vitest';
import { demoAndPerson } from './lib/demo';

/** The pooled shopping list in the real page: where else, and what else, could be bought. */
const { euporia, person, attic } = await demoAndPerson();

/** What is left to pay, as the plan comes to from what the server keeps. */
const planned = async () => {
  const stored = (await euporia.json(`/api/projects/${attic}/snapshot`)) as StoredRows;
  return computePlan(withFinds(stored), Date.now()).sums.cash.likely;
};
const dollars = (minor: number) => `$${(minor / 100).toFixed(2)}`;

describe('the shopping list of the attic', () => {
  it('names what does as well, how long what is left keeps, and comes to what the purse plans', async () => {
    await person.goto(euporia.address);
    await person.press('Attic bedroom');
    await person.stage('Balance');
    await person.press('Shopping list');
    await person.seeText(`less what is in the house: ${dollars(await planned())}`);
    await person.seeText('good for about 24 months once opened');
    await person.seeText('or Waterborne polyurethane, satin');
    // What is taken for what it alone does stands in for nothing.
    expect(await person.text()).not.toContain('or Grout colorant');
  });

  it('takes another product in all recipes that lay it, as one act', async () => {
    const before = await planned();
    await person.press('Not there: Water-clear topcoat');
    const words = await (
      await person.see('//button[@aria-label="Take Waterborne polyurethane, satin instead"]/ancestor::li')
    ).getText();
    const [, amount = '0', direction = ''] = /\$([\d.]+) (more|less)/.exec(words) ?? [];
    await person.press('Take Waterborne polyurethane, satin instead');
    await person.saved();
    const by = Math.round(Number(amount) * 100) * (direction === 'less' ? -1 : 1);
    expect(await planned()).toBe(before + by);
    await person.notText('Water-clear topcoat, satin:');
    await person.press('Take it back');
    await person.seeText('Water-clear topcoat, satin:');
    await person.saved();
    expect(await planned()).toBe(before);
  });

  it('knows a place that sends an order, and says when buying elsewhere is better all together', async () => {
    const note = async (price: string, where: string) => {
      await person.fill('Its price, before tax', price);
      await person.fill('Where', where);
      await person.press('Note the price');
      await person.saved();
    };
    await person.press('Not there: Water-based stain');
    await person.click('//summary[.="Seen at another place"]');
    await person.fill('Its price, before tax', 'cheap');
    await person.seeText('“cheap” is not an amount of money');
    await note('4', 'Parcel House');
    await person.press('Not there: Water-based stain');
    await person.click('//summary[.="Seen at another place"]');
    await note('8', 'Corner Row');
    await person.seeText('Buy at Corner Row');
    await person.stage('Hunt');
    await person.press('Places');
    await person.press('Parcel House');
    await person.choose('Sends things', 'yes, an order at a time');
    await person.fill('An order is sent for', '9');
    await person.saved();
    await person.stage('Balance');
    await person.press('Shopping list');
    await person.seeText('What it is sent for');
    await person.seeText('The same things, bought elsewhere: saves');
    const before = await planned();
    const said = await person.text();
    const [, saved = '0'] = /bought elsewhere: saves \$(\d+\.\d\d)/.exec(said) ?? [];
    await person.press('Buy them there');
    await person.notText('What it is sent for');
    await person.saved();
    expect(before - (await planned())).toBe(Math.round(Number(saved) * 100));
    await person.press('Take it back');
    await person.seeText('What it is sent for');
    await person.saved();
    expect(await planned()).toBe(before);
  });

  it('teaches the price book what a pack really cost, when it is ticked', async () => {
    await person.press('Bought: Waterborne enamel');
    await person.fill('Paid at the till', '15.90');
    await person.press('Bought for $15.90');
    await person.notText('Waterborne enamel, Harbor teal, satin: 1 × sample');
    await person.saved();
    const stored = (await euporia.json(`/api/projects/${attic}/snapshot`)) as StoredRows;
    const kinds = new Map(stored.supplies.map(({ id, kindId }) => [id, kindId]));
    const learned = stored.packs.filter(({ supplyId }) => kinds.get(supplyId) === 'waterborneEnamel');
    // 15.00 and 6 % tax.
    expect(learned.map(({ price }) => price)).toContainEqual(stated(1500));
    await person.press('Take it back');
    await person.seeText('Waterborne enamel, Harbor teal, satin: 1 × sample');
    await person.saved();
  });
});
