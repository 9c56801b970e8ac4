import { reckon } from '@core/closing/reckon';
import { formatMoney } from '@core/kernel/formatMoney';
import { withFinds } from '@core/model/finds';
import type { BillRow, StoredRows } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { sumsOfBill } from '@core/sheets/billSheet';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { demoAndPerson } from './lib/demo';
import { addWay, beginProject, sketchSpot } from './lib/ownProject';

/** What goes to others: the client's sheet, how it was made, what was bought, quotes and invoices; as files and on the page. */
const { euporia, person } = await demoAndPerson();
const { projects } = (await euporia.json('/api/projects')) as { projects: { id: string; name: string }[] };
const hall = projects.find(({ name }) => name === 'Hall console')?.id ?? '';
const rowsOf = async (id: string) => withFinds((await euporia.json(`/api/projects/${id}/snapshot`)) as StoredRows);

/** The text of a PDF that is saved by a button, and how many pictures are in it. */
async function savedPdf(): Promise<{ text: string; pages: number }> {
  const bytes = await person.downloadBytes('Save as PDF');
  const pdf = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false }).promise;
  const texts: string[] = [];
  for (let n = 1; n <= pdf.numPages; n += 1) {
    const { items } = await (await pdf.getPage(n)).getTextContent();
    texts.push(items.map((item) => ('str' in item ? item.str + (item.hasEOL ? ' ' : '') : '')).join(''));
  }
  return { text: texts.join(' '), pages: pdf.numPages };
}

describe('the sheets of the hall that is finished', () => {
  it('has a sheet for the client, on the page and as a PDF, with costs only where they are wanted', async () => {
    await person.goto(`${euporia.address}/p/${hall}/wrap?tab=sheets`);
    await person.press('Open the client’s sheet');
    await person.seeText('Living with it');
    await person.notText('of a budget of');
    const plain = await savedPdf();
    for (const words of ['Hall console', 'Turned wooden lamp', 'found second-hand', 'Wipe it with a damp cloth'])
      expect(plain.text).toContain(words);
    expect(plain.text).not.toContain('$');
    await person.click('//label[contains(., "Show what it came to")]');
    await person.seeText('It came to');
    const plan = computePlan(await rowsOf(hall), Date.now());
    const { all } = reckon(plan);
    expect((await savedPdf()).text).toContain(formatMoney(all.paid + all.cashToGo, 'USD'));
    const table = await person.download('As a table (CSV)');
    expect(table.split('\r\n')).toHaveLength(plan.chosen.length + 1);
    expect(JSON.parse(await person.download('As data (JSON)')).spots).toHaveLength(plan.rows.spots.length);
  });

  it('tells how it was made and what was bought', async () => {
    await person.press('All sheets');
    await person.press('Open the makers’ sheet');
    await person.seeText('Layers, from the bottom up');
    expect((await savedPdf()).text).toContain('Chalk-type paint, coat 1 of 2');
    await person.press('All sheets');
    await person.press('Open the shopping record');
    await person.seeText('The Blue Gate Sale');
    const { money } = computePlan(await rowsOf(hall), Date.now()).purse;
    expect((await savedPdf()).text).toContain(formatMoney(money.spent, 'USD'));
  });
});

describe('work for pay, in a project of our own', () => {
  it('is offered, paid in part, billed, taken back and billed anew: numbers without a gap, to the cent', async () => {
    await beginProject(person, euporia.address, 'Porch for pay', '400');
    await sketchSpot(person, 'Porch', ['Bench']);
    await person.stage('Compare');
    await addWay(person, 'buy new', 'Bench', 'garden bench', '90');
    await person.press('Buy new: Garden bench');
    await person.stage('Wrap');
    await person.press('Sheets and bills');
    const before = person.interactions;
    await person.fill('Your name and address', 'Ada Quill\n12 Sample Lane');
    await person.fill('Tax is called', 'Sales tax');
    await person.fill('Tax', '6');
    await person.press('Write a quote');
    await person.seeText('How it will look');
    await person.press('Make out the quote');
    await person.seeText('The quote wants the name and address of whoever pays');
    await person.fill('Whoever pays: name and address', 'Bo Ferry\n3 Quay Street');
    await person.press('Make out the quote');
    await person.see('//h1[.="Quote 1"]');
    expect((await savedPdf()).text).toContain('This offer holds until');
    // What was offered becomes an invoice with the same lines; here it is thrown away again.
    await person.press('Write the invoice of it');
    await person.seeValue('What, line 1', 'Bench: pieces and materials');
    await person.press('Throw it away');
    await person.seeText('On all your bills');
    await person.press('Note the payment');
    await person.seeText('Amount: nothing yet');
    await person.fill('Amount', '40');
    await person.fill('What for', 'Deposit');
    await person.press('Note the payment');
    await person.seeText('for what is billed next');
    await person.press('Write an invoice');
    // Nothing was paid yet: the lines are written by hand.
    await person.seeText('No line yet');
    await person.press('Add a line');
    await person.fill('What, line 1', 'Hands-on');
    await person.fill('Quantity, line 1', '2.5');
    await person.fill('Each, line 1', 'forty');
    await person.seeText('“forty” is not an amount of money');
    await person.fill('Each, line 1', '40');
    // The client is known from the quote.
    await person.seeText('$106.00, $66.00 of it still to pay');
    await person.press('Make out the invoice');
    await person.see('//h1[.="Invoice 1"]');
    const { text, pages } = await savedPdf();
    expect(pages).toBe(1);
    for (const words of ['Ada Quill', 'Bo Ferry', '2.5', 'Sales tax 6 %', '$6.00', '$106.00', '−$40.00', '$66.00'])
      expect(text).toContain(words);
    await person.press('Take it back …');
    await person.press('Take it back and write it anew');
    await person.seeText('How it will look');
    await person.seeValue('Quantity, line 1', '2.5');
    await person.fill('Quantity, line 1', '2');
    await person.press('Make out the invoice');
    await person.see('//h1[.="Invoice 3"]');
    await person.seeText('$44.80');
    await person.press('Paid today: $44.80');
    await person.seeText('Paid.');
    await person.saved();
    expect(person.interactions - before).toBeLessThan(45);
    await person.press('All sheets');
    for (const name of ['Quote 1', 'Invoice 1', 'Credit note 2', 'Invoice 3']) await person.see(`//a[.="${name}"]`);
    await person.seeText('taken back');
    const id = (await person.driver.getCurrentUrl()).split('/p/')[1]?.split('/')[0] ?? '';
    const { bills, clientPayments } = await rowsOf(id);
    const totals = (kind: BillRow['kind']) =>
      bills.filter((bill) => bill.kind === kind).map((bill) => sumsOfBill(bill).total);
    expect(totals('invoice').sort((a, b) => a - b)).toEqual([8480, 10_600]);
    expect(totals('creditNote')).toEqual([-10_600]);
    expect(clientPayments.map(({ amount }) => amount).sort((a, b) => a - b)).toEqual([4000, 4480]);
  });

  it('stays as it was sent: nothing offers to take it back, nor does a reload change it', async () => {
    await person.press('Invoice 3');
    await person.see('//h1[.="Invoice 3"]');
    await person.driver.navigate().refresh();
    await person.see('//h1[.="Invoice 3"]');
    expect(await person.count('//button[.="Take it back"]')).toBe(0);
    expect(await person.count('//input[@aria-label="Quantity, line 1"]')).toBe(0);
  });

  it('says so where there is no such bill', async () => {
    const url = await person.driver.getCurrentUrl();
    await person.goto(url.replace(/[^/]+$/, '00000000-0000-4000-8000-000000000000'));
    await person.seeText('There is no such bill');
  });
});
