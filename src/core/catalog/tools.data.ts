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
  tool('scissors', 'Scissors, large and small', [5, 9, 16], true),
  tool('craftKnife', 'Craft knife with blades', [3, 6, 12], true),
  tool('steelRule', 'Steel rule and cutting mat', [10, 16, 28], true),
  tool('brayer', 'Brayer, or a plastic card', [4, 8, 14], true),
  tool('squeegee', 'Felt-edged squeegee', [2, 4, 8], true),
  tool('handSaw', 'Saw with a miter box', [15, 25, 45], true),
  tool('square', 'Carpenter’s square', [6, 10, 18], true),
  tool('clamps', 'Clamps, a pair', [8, 14, 25], true),
  tool('drill', 'Drill with bits', [35, 60, 110], true),
  tool('level', 'Spirit level', [6, 12, 25], true),
  tool('studFinder', 'Stud finder', [10, 20, 40], true),
  tool('hammer', 'Hammer', [8, 14, 25], true),
  tool('sewingMachine', 'Sewing machine', [90, 150, 300], false),
  tool('iron', 'Iron with board', [15, 30, 60], true),
  tool('pins', 'Pins and chalk', [3, 5, 9], true),
  tool('stapleGun', 'Staple gun', [12, 20, 35], true),
  tool('cuttingMachine', 'Cutting machine for film', [150, 250, 400], false),
  tool('glueGun', 'Hot glue gun', [6, 12, 25], true),
  tool('wireCutter', 'Wire cutters', [5, 9, 16], true),
  tool('pruner', 'Hand pruner', [8, 14, 28], true),
  tool('printer', 'Printer', [60, 110, 200], true),
  tool('matCutter', 'Mat cutter with 45° blade', [15, 28, 60], false),
  tool('screwdriver', 'Screwdriver', [4, 8, 15], true),
];
