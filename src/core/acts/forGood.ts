/** Acts whose outcome stays: they are not offered to be taken back, and taking them back is refused. */
export const actsForGood: ReadonlySet<string> = new Set(['issueBill', 'cancelBill']);
