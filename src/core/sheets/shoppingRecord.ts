import { longDate } from '../calendar/sayDay';
import { decimalMoney, formatMoney } from '../kernel/formatMoney';
import type { ProjectRows } from '../model/rows';
import type { LedgerKind } from '../pricing/ledger';
import { ledgerEntries } from '../sourcing/ledgerLists';
import type { SheetBlock, SheetDocument } from './sheetDocument';

/** A line of what was bought, ordered or came back. */
export interface BoughtLine {
  /** Local date of the place. */
  onDate: string;
  where: string;
  what: string;
  kind: LedgerKind;
  /** Minor units; what came back is negative. */
  amount: number;
  /** Whether the amount is a guess, or may have been more. */
  isGuess: boolean;
  atLeast: boolean;
  /** What was paid in other money, as it was paid. */
  foreign: string;
}

const kindNames: Readonly<Record<LedgerKind, string>> = {
  payment: 'paid',
  promise: 'ordered',
  refund: 'came back',
  saleIncome: 'sold',
};

/** Everything that money went for, place by place and day by day, the earliest first. */
export const shoppingRecordOf = (rows: ProjectRows): BoughtLine[] =>
  ledgerEntries(rows)
    .map(({ line, what, source, signed, onDate }) => ({
      onDate,
      where: source,
      what,
      kind: line.kind,
      amount: signed,
      isGuess: line.estimated,
      atLeast: line.atLeast,
      foreign: line.foreign === null ? '' : formatMoney(line.foreign.amount, line.foreign.currency),
    }))
    .reverse();

/** Lines of one place on one day, as one receipt would have them. */
function byErrand(lines: readonly BoughtLine[]): { where: string; onDate: string; lines: BoughtLine[] }[] {
  const errands = new Map<string, { where: string; onDate: string; lines: BoughtLine[] }>();
  for (const line of lines) {
    const key = `${line.onDate} ${line.where}`;
    const errand = errands.get(key) ?? { where: line.where, onDate: line.onDate, lines: [] };
    errand.lines.push(line);
    errands.set(key, errand);
  }
  return [...errands.values()];
}

const guessWords = ({ isGuess, atLeast }: BoughtLine): string => (atLeast ? 'at least ' : isGuess ? 'about ' : '');

/** What was bought where and when, as it is printed: errand by errand, with what it comes to. */
export function shoppingRecordDocument(
  projectName: string,
  currency: string,
  lines: readonly BoughtLine[],
): SheetDocument {
  const title = `${projectName}: what was bought`;
  const money = (minor: number) => formatMoney(minor, currency);
  const sum = (of: readonly BoughtLine[]) => of.reduce((total, { amount }) => total + amount, 0);
  const table = (of: readonly BoughtLine[], name: string): SheetBlock => ({
    kind: 'table',
    name,
    columns: [
      { name: 'What', share: 6 },
      { name: '', share: 2 },
      { name: 'Amount', share: 3, isFigure: true },
    ],
    rows: of.map((line) => [
      line.what,
      line.kind === 'payment' ? '' : kindNames[line.kind],
      `${guessWords(line)}${money(line.amount)}${line.foreign === '' ? '' : ` (${line.foreign})`}`,
    ]),
    ...(of.length > 1 ? { totals: [['', '', money(sum(of))]] } : {}),
  });
  return {
    title,
    fileName: `${projectName} shopping record`,
    blocks: [
      { kind: 'heading', text: title, level: 1 },
      ...(lines.length === 0 ? [{ kind: 'text' as const, text: 'Nothing was bought yet.' }] : []),
      ...byErrand(lines).flatMap(({ where, onDate, lines: of }): SheetBlock[] => {
        const name = `${where === '' ? 'No place noted' : where}, ${longDate(onDate)}`;
        return [{ kind: 'heading', text: name, level: 3 }, table(of, name)];
      }),
      ...(lines.length === 0
        ? []
        : [{ kind: 'facts' as const, facts: [{ name: 'All together', value: money(sum(lines)) }] }]),
    ],
  };
}

/** The same as rows for a spreadsheet: amounts as decimal numbers of the currency. */
export function shoppingRecordTable(
  currency: string,
  lines: readonly BoughtLine[],
): { fields: string[]; rows: string[][] } {
  return {
    fields: ['Date', 'Where', 'What', 'Kind', `Amount (${currency})`, 'How sure', 'Paid in other money'],
    rows: lines.map((line) => [
      line.onDate,
      line.where,
      line.what,
      kindNames[line.kind],
      decimalMoney(line.amount, currency),
      line.atLeast ? 'at least' : line.isGuess ? 'about' : 'exact',
      line.foreign,
    ]),
  };
}
