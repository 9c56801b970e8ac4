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

const tool = (
  id: string,
  name: string,
  [low, likely, high]: [number, number, number],
  usuallyOwned: boolean,
): Tool => ({ id, name, price: { low, likely, high }, usuallyOwned });

export const toolRows: readonly Tool[] = [
  tool('brush', 'Synthetic brush, 2 in', [6, 11, 18], true),
  tool('artistBrush', 'Small round and flat brushes', [4, 7, 12], true),
  tool('chipBrush', 'Stiff bristle brush', [1, 2, 4], true),
  tool('miniRoller', 'Mini-roller with tray and sleeves', [6, 10, 16], true),
  tool('roller', 'Wall roller with tray, pole and sleeves', [12, 20, 35], true),
  tool('foamPad', 'Foam pads', [2, 3, 5], true),
  tool('stencilBrush', 'Stencil brush', [4, 6, 10], false),
  tool('stencil', 'Stencil', [6, 12, 25], false),
  tool('waxBrush', 'Wax brush', [10, 16, 30], false),
  tool('sandingBlock', 'Sanding block', [3, 5, 9], true),
  tool('scraper', 'Scraper', [4, 7, 12], true),
  tool('dustMask', 'Dust mask, N95 or P2', [2, 3, 5], true),
  tool('respirator', 'Respirator for organic vapor and particles', [25, 35, 50], false),
  tool('chemicalGloves', 'Chemical-resistant gloves', [4, 7, 12], true),
  tool('screwdriver', 'Screwdriver', [4, 8, 15], true),
];
