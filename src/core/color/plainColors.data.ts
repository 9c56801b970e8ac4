/**
 * Colors that everybody has a word for, for the first card of a wish like "paint it navy". Values of the words that CSS
 * names are those of the CSS Color Module (from memory); the others are ours.
 */
export const plainColors: readonly { name: string; words: readonly string[]; hex: string }[] = [
  { name: 'White', words: ['white', 'whitewash', 'whitewashed'], hex: '#ffffff' },
  { name: 'Off white', words: ['off white', 'ivory', 'antique white'], hex: '#faf6ec' },
  { name: 'Cream', words: ['cream', 'eggshell'], hex: '#f3e9d2' },
  { name: 'Black', words: ['black'], hex: '#000000' },
  { name: 'Charcoal', words: ['charcoal', 'graphite'], hex: '#36393b' },
  { name: 'Gray', words: ['gray', 'grey'], hex: '#808080' },
  { name: 'Pale gray', words: ['pale gray', 'light gray', 'light grey', 'pale grey'], hex: '#d3d3d3' },
  { name: 'Navy', words: ['navy', 'navy blue', 'dark blue'], hex: '#000080' },
  { name: 'Blue', words: ['blue'], hex: '#2f5f9e' },
  { name: 'Pale blue', words: ['pale blue', 'light blue', 'sky blue'], hex: '#add8e6' },
  { name: 'Teal', words: ['teal'], hex: '#008080' },
  { name: 'Green', words: ['green'], hex: '#3f7a4a' },
  { name: 'Sage', words: ['sage', 'sage green'], hex: '#9caf88' },
  { name: 'Olive', words: ['olive', 'olive green'], hex: '#808000' },
  { name: 'Mint', words: ['mint', 'mint green'], hex: '#bfe3d0' },
  { name: 'Red', words: ['red'], hex: '#b3261e' },
  { name: 'Brick', words: ['brick', 'rust', 'terracotta red'], hex: '#a2543b' },
  { name: 'Pink', words: ['pink', 'blush', 'rose'], hex: '#e8b4bc' },
  { name: 'Orange', words: ['orange'], hex: '#e07b2a' },
  { name: 'Yellow', words: ['yellow', 'mustard'], hex: '#e0b83a' },
  { name: 'Tan', words: ['tan', 'beige', 'sand', 'taupe'], hex: '#c8ad8d' },
  { name: 'Brown', words: ['brown', 'dark brown', 'chocolate'], hex: '#5a3d2b' },
  { name: 'Walnut', words: ['walnut', 'dark walnut'], hex: '#5b3a23' },
  { name: 'Oak', words: ['oak', 'honey'], hex: '#b98a58' },
  { name: 'Purple', words: ['purple', 'violet', 'lavender', 'plum'], hex: '#6f4a7e' },
  { name: 'Gold', words: ['gold', 'brass', 'golden'], hex: '#b08d3c' },
  { name: 'Silver', words: ['silver', 'pewter'], hex: '#c0c0c0' },
  { name: 'Bronze', words: ['bronze', 'copper'], hex: '#8a5a34' },
];
