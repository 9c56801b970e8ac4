/**
 * The one place where Euporia's look is decided: the build writes these values into the page as CSS variables (`--ink`
 * and so on), and the component library takes them from here.
 */
export const look = {
  plaster: '#f4f5f2',
  'plaster-deep': '#e9ece8',
  sheet: '#ffffff',
  'sheet-dim': '#fafbf9',
  ink: '#1d2b3a',
  'ink-2': '#4d5b68',
  'ink-3': '#5c6873',
  'ink-4': '#6b7680',
  line: '#d5dad7',
  'line-deep': '#aab4bb',
  tape: '#f5c518',
  'tape-line': '#c99f05',
  'tape-deep': '#8a6a00',
  blueprint: '#2b5d8a',
  'blueprint-pale': '#dfe8f0',
  moss: '#3f6b4a',
  'moss-pale': '#cfe0d3',
  brick: '#a33b2b',
  'brick-pale': '#fdf3f1',
  clay: '#9c5413',
  'clay-pale': '#fff8ef',
  wall: '#f7f5ef',
  'wood-pale': '#cdb79a',
  radius: '3px',
  lift: '0 1px 0 #c9cfcc, 0 6px 14px -8px rgb(29 43 58 / 0.45)',
  serif: '"Bitter Variable", "Bitter", serif',
  sans: '"Figtree Variable", "Figtree", sans-serif',
} as const;

/** The values as a stylesheet of CSS variables. */
export const lookSheet = (): string =>
  `:root{${Object.entries(look)
    .map(([name, value]) => `--${name}:${value}`)
    .join(';')}}`;
