/** Colors of what is drawn and is no zone: nothing that a finish changes. Choices for the eye, not figures of the trade. */
export const inks = {
  open: '#ffffff',
  paper: '#f5efe0',
  print: '#b9cdd0',
  glass: '#e4eeee',
  mirror: '#dfe8ea',
  wax: '#f4ead2',
  flame: '#f2b33d',
  leaf: '#6b7f52',
  stem: '#7a6a4c',
  soil: '#5b4636',
  water: '#cfe0e4',
  metal: '#b9b4a6',
  wood: '#c9a878',
  linen: '#e9e2d0',
  lit: '#fbeec2',
  dark: '#3a3f45',
} as const;
export type Ink = keyof typeof inks;
