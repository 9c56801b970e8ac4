import type { ReceiptLine } from './receipt';

/** What the lines of a receipt are called. */
export const receiptLineNames: Record<ReceiptLine['kind'], string> = {
  tag: 'Tag',
  markdown: 'Markdown',
  couponMoney: 'Coupon',
  couponPercent: 'Coupon',
  couponUnknown: 'Coupon, money or percent',
  buyGet: 'Some of them free',
  secondLess: 'Second for less',
  fee: 'Fee',
  delivery: 'Delivery',
  tax: 'Tax',
};
