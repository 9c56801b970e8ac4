/** What money goes to, in the order in which it is told. */
export const moneyKinds = ['pieces', 'supplies', 'tools', 'delivery', 'trips', 'fees', 'deposits', 'sold'] as const;
export type MoneyKind = (typeof moneyKinds)[number];
