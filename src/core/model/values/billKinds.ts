/** What is offered beforehand, what is asked for afterwards, and what takes that back. */
export const billKinds = ['quote', 'invoice', 'creditNote'] as const;
export type BillKind = (typeof billKinds)[number];
/** What is written by hand; a credit note follows from its invoice. */
export const draftKinds = ['quote', 'invoice'] as const satisfies readonly BillKind[];
export type DraftKind = (typeof draftKinds)[number];

/** Numbers run on within a series: invoices and what takes them back have one, quotes another. */
export const billSeries = ['quotes', 'invoices'] as const;
export type BillSeries = (typeof billSeries)[number];
export const seriesOf = (kind: BillKind): BillSeries => (kind === 'quote' ? 'quotes' : 'invoices');

/** The most lines that a bill has. */
export const MOST_LINES = 200;
