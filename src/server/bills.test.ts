import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { usualTerms } from '../core/closing/proposedBill';
import { billBody } from '../core/fixtures/bills';
import type { BillRow } from '../core/model/rows';
import type { BillBody } from '../core/model/values/bill';
import { attic, freshStudio } from './test/studio';

const { studio } = await freshStudio();

const line = (what = 'Hands-on') => ({
  id: randomUUID(),
  what,
  quantityThousandths: 2500,
  unit: 'h',
  unitPrice: 4000,
  taxThousandths: 6000,
});

/** A draft in a project; its id. */
async function draft(projectId: string, body: Partial<BillBody> = {}, kind = 'invoice') {
  const id = randomUUID();
  const row = { id, version: 1, kind, body: billBody({ lines: [line()], ...body }) };
  expect((await studio.command(projectId, 'addBillDraft', { row })).status).toBe(200);
  return id;
}

const issue = (projectId: string, draftId: string, billId: string = randomUUID()) =>
  studio.command(projectId, 'issueBill', { draftId, billId, issuedOn: '2026-06-01', doneOn: null });

const bills = async (projectId: string): Promise<BillRow[]> => (await studio.rows(projectId)).bills;
const numbersOf = (rows: readonly BillRow[], series = 'invoices') =>
  rows.flatMap((bill) => (bill.series === series && bill.number !== null ? [bill.number] : [])).sort((a, b) => a - b);

describe('the numbers of bills', () => {
  it('run on over all projects, without a gap, however many are made out at once', async () => {
    const places = [await attic(studio), await attic(studio), await attic(studio)];
    const drafts: { projectId: string; draftId: string }[] = [];
    for (let n = 0; n < 18; n += 1) {
      const { projectId } = places[n % 3] ?? places[0] ?? { projectId: '' };
      drafts.push({ projectId, draftId: await draft(projectId, n % 6 === 5 ? { to: '' } : {}) });
    }
    const answers = await Promise.all(drafts.map(({ projectId, draftId }) => issue(projectId, draftId)));
    // Those without whoever pays are refused, and take no number.
    expect(answers.map(({ status }) => status).filter((status) => status === 200)).toHaveLength(15);
    const all = (await Promise.all(places.map(({ projectId }) => bills(projectId)))).flat();
    expect(numbersOf(all)).toEqual(Array.from({ length: 15 }, (_, n) => n + 1));
    // The answer says the number that was given.
    for (const { status, json } of answers)
      if (status === 200)
        expect(json.rows.find(({ table }: { table: string }) => table === 'bills').row.number).toBeGreaterThan(0);
  });

  it('are given once for the same command, however often it is sent', async () => {
    const { projectId } = await attic(studio);
    const draftId = await draft(projectId);
    const command = {
      key: randomUUID(),
      projectId,
      kind: 'issueBill',
      payload: { draftId, billId: randomUUID(), issuedOn: '2026-06-01', doneOn: null },
      expect: {},
    };
    const answers = await Promise.all([1, 2, 3].map(() => studio.send('POST', '/api/commands', command)));
    for (const answer of answers) expect([answer.status, answer.json]).toEqual([200, answers[0]?.json]);
    expect(await bills(projectId)).toHaveLength(1);
  });

  it('of quotes run by themselves, and begin where the letterhead says', async () => {
    const { projectId } = await attic(studio);
    const values = { ...usualTerms('USD'), from: 'Ada Quill', prefix: 'Q-', firstNumber: 120 };
    expect((await studio.command(projectId, 'saveLetterhead', { id: randomUUID(), values })).status).toBe(200);
    for (let n = 0; n < 3; n += 1) await issue(projectId, await draft(projectId, {}, 'quote'));
    const quotes = (await bills(projectId)).filter(({ kind }) => kind === 'quote');
    expect(numbersOf(quotes, 'quotes')).toEqual([120, 121, 122]);
    expect(new Set(quotes.map(({ prefix }) => prefix))).toEqual(new Set(['Q-']));
    // A second letterhead from another device is the same one.
    await studio.command(projectId, 'saveLetterhead', { id: randomUUID(), values: { ...values, from: 'Ada' } });
    expect((await studio.rows(projectId)).letterheads).toMatchObject([{ from: 'Ada' }]);
  });

  it('stay taken when the project is removed', async () => {
    const { projectId } = await attic(studio);
    await issue(projectId, await draft(projectId));
    const [last] = numbersOf(await bills(projectId)).slice(-1);
    await studio.command(projectId, 'removeProject', { id: projectId });
    const next = await attic(studio);
    await issue(next.projectId, await draft(next.projectId));
    expect(numbersOf(await bills(next.projectId))).toEqual([(last ?? 0) + 1]);
  });
});

describe('the bills of all projects', () => {
  it('are listed with what is paid, those of removed projects among them', async () => {
    const { projectId } = await attic(studio);
    const billId = randomUUID();
    await issue(projectId, await draft(projectId), billId);
    const payment = { id: randomUUID(), version: 1, onDate: '2026-06-03', amount: 4000, what: '', billId };
    await studio.command(projectId, 'addClientPayment', { row: payment });
    await studio.command(projectId, 'removeProject', { id: projectId });
    const { json } = await studio.send('GET', '/api/bills?limit=200');
    const found = json.bills.find(({ bill }: { bill: BillRow }) => bill.id === billId);
    expect(found).toMatchObject({ paid: 4000, isRemoved: true, isTakenBack: false, projectId });
    expect(json.total).toBe(json.bills.length);
    const first = await studio.send('GET', '/api/bills?limit=1');
    expect([first.json.bills.length, first.json.total]).toEqual([1, json.total]);
  });
});

describe('a bill that was made out', () => {
  it('is never changed: no undo, no edit; a credit note takes it back once, and what was paid counts for the next', async () => {
    const { projectId } = await attic(studio);
    const payment = { id: randomUUID(), version: 1, onDate: '2026-05-20', amount: 5000, what: 'Deposit', billId: null };
    await studio.command(projectId, 'addClientPayment', { row: payment });
    const billId = randomUUID();
    const made = await issue(projectId, await draft(projectId), billId);
    expect((await studio.rows(projectId)).bills).toMatchObject([
      { deposits: [{ amount: 5000, what: 'Deposit', onDate: '2026-05-20' }] },
    ]);
    expect((await studio.rows(projectId)).clientPayments).toMatchObject([{ billId }]);
    const undone = await studio.command(projectId, 'undo', { actId: made.json.actId, reversalIds: [] });
    expect(undone.status).toBe(422);
    expect(undone.json.fields).toMatchObject([
      { field: 'bill', accepted: expect.stringContaining('never taken away') },
    ]);
    const cancel = (draftId: string | null) =>
      studio.command(projectId, 'cancelBill', { billId, creditNoteId: randomUUID(), issuedOn: '2026-06-02', draftId });
    expect((await cancel(randomUUID())).status).toBe(200);
    expect((await cancel(null)).status).toBe(422);
    const { bills: all, billDrafts, clientPayments } = await studio.rows(projectId);
    expect(all.map(({ kind }) => kind).sort()).toEqual(['creditNote', 'invoice']);
    expect(all.find(({ kind }) => kind === 'creditNote')?.body.lines[0]?.quantityThousandths).toBe(-2500);
    expect(billDrafts).toHaveLength(1);
    expect(clientPayments).toMatchObject([{ billId: null }]);
  });

  it('stays where it is: no file, no copy takes it along, and its own file does not take it away', async () => {
    const { projectId } = await attic(studio);
    await issue(projectId, await draft(projectId));
    const file = (await studio.send('GET', `/api/projects/${projectId}/file`)).json;
    expect(file.bills).toEqual([]);
    expect((await studio.work('importProject', { mode: 'update', file })).status).toBe(200);
    expect(await bills(projectId)).toHaveLength(1);
    const copied = await studio.work('importProject', { mode: 'copy', file });
    expect(await bills(copied.json.projectId)).toEqual([]);
  });

  it.each([
    ['from', { from: '' }],
    ['to', { to: '' }],
    ['lines', { lines: [] }],
  ] as [string, Partial<BillBody>][])('wants to know %s first', async (field, body) => {
    const { projectId } = await attic(studio);
    const answer = await issue(projectId, await draft(projectId, body));
    expect(answer.status).toBe(422);
    expect(answer.json.fields).toMatchObject([{ field }]);
    expect((await studio.rows(projectId)).billDrafts).toHaveLength(1);
  });
});
