/**
 * Tools that recipes ask for. Prices are rough shelf prices (from memory) in dollars, euros or pounds; `usuallyOwned` ones
 * count as owned until the studio says otherwise.
 */
export interface Tool {
  id: string;
  name: string;
  price: { low: number; likely: number; high: number };
  usuallyOwned: boolean;
}

export const toolRows: readonly Tool[] = [
  { id: 'brush', name: 'Synthetic brush, 2 in', price: { low: 6, likely: 11, high: 18 }, usuallyOwned: true },
  { id: 'sandingBlock', name: 'Sanding block', price: { low: 3, likely: 5, high: 9 }, usuallyOwned: true },
  { id: 'dustMask', name: 'Dust mask, N95 or P2', price: { low: 2, likely: 3, high: 5 }, usuallyOwned: true },
  {
    id: 'respirator',
    name: 'Respirator for organic vapor and particles',
    price: { low: 25, likely: 35, high: 50 },
    usuallyOwned: false,
  },
  { id: 'screwdriver', name: 'Screwdriver', price: { low: 4, likely: 8, high: 15 }, usuallyOwned: true },
];
