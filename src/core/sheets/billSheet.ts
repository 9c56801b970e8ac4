import { dateAfter } from '../calendar/localDates';
import { longDate } from '../calendar/sayDay';
import { decimalMoney, formatMoney } from '../kernel/formatMoney';
import type { BillRow } from '../model/rows';
import type { BillKind } from '../model/values/billKinds';
import { type BillSums, billSums, QUANTITY_SCALE } from '../pricing/bill';
import type { SheetBlock, SheetDocument } from './sheetDocument';

export const billKindNames: Readonly<Record<BillKind, string>> = {
  quote: 'Quote',
  invoice: 'Invoice',
  creditNote: 'Credit note',
};

/** A number as it stands on a bill; what was not sent yet has none. */
export const billNumber = ({ prefix, number }: Pick<BillRow, 'prefix' | 'number'>): string =>
  number === null ? 'number follows' : `${prefix}${number}`;

/** A quantity as it is written: 2.5, 1. */
export const quantityWords = (thousandths: number): string => String(thousandths / QUANTITY_SCALE).replace('-', '−');

/** A percentage of thousandths: "8.25 %". */
export const percentWords = (thousandths: number): string => `${thousandths / 1000} %`;

/** What a bill comes to. */
export const sumsOfBill = ({ body, deposits }: Pick<BillRow, 'body' | 'deposits'>): BillSums =>
  billSums(body.lines, body.isTaxIncluded, deposits);

/**
 * A bill as it is printed.
 * @param canceled the invoice that a credit note takes back
 */
export function billDocument(
  bill: BillRow,
  canceled: Pick<BillRow, 'prefix' | 'number' | 'issuedOn'> | null,
): SheetDocument {
  const { kind, body, issuedOn, doneOn } = bill;
  const name = `${billKindNames[kind]} ${billNumber(bill)}`;
  return {
    title: name,
    fileName: name,
    blocks: [
      { kind: 'address', lines: linesOf(body.from) },
      { kind: 'address', lines: linesOf(body.to) },
      { kind: 'heading', text: name, level: 1 },
      {
        kind: 'facts',
        facts: [
          { name: 'Date', value: longDate(issuedOn) },
          { name: 'Done on', value: doneOn === null ? '' : longDate(doneOn) },
          { name: 'For', value: body.about },
          { name: 'Tax number', value: body.taxId },
          {
            name: 'Takes back',
            value: canceled === null ? '' : `Invoice ${billNumber(canceled)} of ${longDate(canceled.issuedOn)}`,
          },
        ].filter(({ value }) => value !== ''),
      },
      ...lineBlocks(bill),
      ...endBlocks(bill),
    ],
  };
}

const linesOf = (text: string): string[] => text.split('\n').filter((line) => line.trim() !== '');

function lineBlocks(bill: BillRow): SheetBlock[] {
  const { body } = bill;
  const sums = sumsOfBill(bill);
  const money = (minor: number) => formatMoney(minor, body.currency);
  const rates = sums.byRate.filter(({ taxThousandths }) => taxThousandths > 0);
  const isMixed = sums.byRate.length > 1;
  const blanks = isMixed ? ['', '', ''] : ['', ''];
  const total = (label: string, minor: number) => [label, ...blanks, money(minor)];
  return [
    {
      kind: 'table',
      name: 'Lines',
      columns: [
        { name: 'What', share: 6 },
        { name: 'Quantity', share: 2, isFigure: true },
        { name: 'Each', share: 2.4, isFigure: true },
        ...(isMixed ? [{ name: body.taxName || 'Tax', share: 1.6, isFigure: true }] : []),
        { name: body.isTaxIncluded && rates.length > 0 ? 'With tax' : 'Amount', share: 2.6, isFigure: true },
      ],
      rows: body.lines.map((line, n) => [
        line.what,
        [quantityWords(line.quantityThousandths), line.unit].filter((part) => part !== '').join(' '),
        money(line.unitPrice),
        ...(isMixed ? [percentWords(line.taxThousandths)] : []),
        money(sums.lines[n] ?? 0),
      ]),
      totals: [
        ...(rates.length === 0 || body.isTaxIncluded ? [] : [total('Without tax', sums.net)]),
        ...(body.isTaxIncluded
          ? []
          : rates.map(({ taxThousandths, base, tax }) =>
              total(
                `${body.taxName || 'Tax'} ${percentWords(taxThousandths)}${isMixed ? ` on ${money(base)}` : ''}`,
                tax,
              ),
            )),
        total('Total', sums.total),
        ...(body.isTaxIncluded
          ? rates.map(({ taxThousandths, tax }) =>
              total(`of that ${body.taxName || 'tax'} ${percentWords(taxThousandths)}`, tax),
            )
          : []),
        ...bill.deposits.map(({ onDate, amount, what }) =>
          total(`${what === '' ? 'Paid' : what}, ${longDate(onDate)}`, -amount),
        ),
        ...(bill.deposits.length === 0
          ? []
          : [total(sums.due >= 0 ? 'To pay' : 'To be paid back', Math.abs(sums.due))]),
      ],
    },
  ];
}

/** Until when, and where to pay. */
function endBlocks(bill: BillRow): SheetBlock[] {
  const { kind, body, issuedOn } = bill;
  const until = longDate(dateAfter(issuedOn, body.payWithinDays));
  const { due } = sumsOfBill(bill);
  const said: Readonly<Record<BillKind, string>> = {
    quote: `This offer holds until ${until}.`,
    invoice:
      due < 0
        ? 'Paid already; what was paid beyond it comes back.'
        : due === 0
          ? 'Nothing is left to be paid.'
          : body.payWithinDays === 0
            ? 'To be paid at once.'
            : `To be paid by ${until}.`,
    creditNote: '',
  };
  return [
    ...(said[kind] === '' ? [] : [{ kind: 'text' as const, text: said[kind] }]),
    ...(kind === 'invoice' && due > 0 && body.payTo !== '' ? [{ kind: 'text' as const, text: body.payTo }] : []),
    ...(body.note === '' ? [] : [{ kind: 'text' as const, text: body.note }]),
  ];
}

/** The lines of a bill as rows for a spreadsheet, with what they come to. */
export function billTable(bill: BillRow): { fields: string[]; rows: string[][] } {
  const { body } = bill;
  const money = (minor: number) => decimalMoney(minor, body.currency);
  const sums = sumsOfBill(bill);
  const sum = (what: string, minor: number) => [what, '', '', '', '', money(minor)];
  return {
    fields: ['What', 'Quantity', 'Unit', `Each (${body.currency})`, 'Tax %', `Amount (${body.currency})`],
    rows: [
      ...body.lines.map((line, n) => [
        line.what,
        String(line.quantityThousandths / QUANTITY_SCALE),
        line.unit,
        money(line.unitPrice),
        String(line.taxThousandths / 1000),
        money(sums.lines[n] ?? 0),
      ]),
      ...sums.byRate
        .filter(({ tax }) => tax !== 0)
        .map(({ taxThousandths, tax }) => sum(`Tax ${taxThousandths / 1000} %`, tax)),
      sum('Total', sums.total),
      ...(sums.deposits === 0 ? [] : [sum('Paid before', -sums.deposits), sum('To pay', sums.due)]),
    ],
  };
}
