/** Open typefaces that come with the app (SIL Open Font License), each with the file that has its outlines. */
export const fonts = [
  {
    id: 'nunito700',
    name: 'Plain, bold',
    kind: 'plain',
    file: '@fontsource/nunito/files/nunito-latin-700-normal.woff',
  },
  {
    id: 'nunito400',
    name: 'Plain',
    kind: 'plain',
    file: '@fontsource/nunito/files/nunito-latin-400-normal.woff',
  },
  {
    id: 'oswald700',
    name: 'Narrow, bold',
    kind: 'plain',
    file: '@fontsource/oswald/files/oswald-latin-700-normal.woff',
  },
  {
    id: 'lora700',
    name: 'With serifs, bold',
    kind: 'plain',
    file: '@fontsource/lora/files/lora-latin-700-normal.woff',
  },
  { id: 'lora400', name: 'With serifs', kind: 'plain', file: '@fontsource/lora/files/lora-latin-400-normal.woff' },
  {
    id: 'dancingScript700',
    name: 'Handwritten, bold',
    kind: 'script',
    file: '@fontsource/dancing-script/files/dancing-script-latin-700-normal.woff',
  },
  {
    id: 'dancingScript400',
    name: 'Handwritten',
    kind: 'script',
    file: '@fontsource/dancing-script/files/dancing-script-latin-400-normal.woff',
  },
] as const;

export type FontId = (typeof fonts)[number]['id'];

/** A typeface by its id; undefined for one that is not bundled any more. */
export const fontOf = (id: string): (typeof fonts)[number] | undefined => fonts.find((font) => font.id === id);

/** Whether a typeface joins its letters, so that they have to be larger to hold. */
export const isScript = (id: string): boolean => fontOf(id)?.kind === 'script';
