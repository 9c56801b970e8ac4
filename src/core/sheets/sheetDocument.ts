/** A color with its name, as it is shown on a sheet. */
export interface SheetSwatch {
  name: string;
  /** #rrggbb */
  hex: string;
}

/** A column of a table on a sheet. */
export interface SheetColumn {
  name: string;
  /** Figures stand at the end of their column. */
  isFigure?: boolean;
  /** How wide it is beside the others. */
  share: number;
}

/** A picture of a sheet, by a key; whoever prints the sheet has it, or leaves it out. */
export interface SheetPicture {
  key: string;
  caption: string;
}

/** One thing after the other on a sheet. */
export type SheetBlock =
  | { kind: 'heading'; text: string; level: 1 | 2 | 3 }
  | { kind: 'text'; text: string; isSmall?: boolean }
  | { kind: 'address'; lines: readonly string[] }
  | { kind: 'facts'; facts: readonly { name: string; value: string }[] }
  | { kind: 'swatches'; swatches: readonly SheetSwatch[] }
  | { kind: 'list'; items: readonly string[] }
  | { kind: 'caution'; text: string }
  | { kind: 'pictures'; pictures: readonly SheetPicture[] }
  | {
      kind: 'table';
      name: string;
      columns: readonly SheetColumn[];
      rows: readonly (readonly string[])[];
      /** Rows at its foot, set apart: what it comes to. */
      totals?: readonly (readonly string[])[];
    };

/**
 * What stands on a sheet of paper, whatever it is printed with: the page, the PDF and the tests read the same blocks.
 * Every text is as a person reads it.
 */
export interface SheetDocument {
  title: string;
  /** A file's name without its ending. */
  fileName: string;
  blocks: readonly SheetBlock[];
}

/** The keys of the pictures that a sheet shows, each once. */
export const picturesOf = ({ blocks }: SheetDocument): string[] => [
  ...new Set(blocks.flatMap((block) => (block.kind === 'pictures' ? block.pictures.map(({ key }) => key) : []))),
];

/** A heading, where something stands under it. */
export function under(heading: SheetBlock, blocks: readonly SheetBlock[]): SheetBlock[] {
  return blocks.length === 0 ? [] : [heading, ...blocks];
}
