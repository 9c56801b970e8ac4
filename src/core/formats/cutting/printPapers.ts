/** Papers that guides are printed on, mm (ISO 216; ANSI Y14.1). */
export const printPapers = {
  a4: { name: 'A4', widthMm: 210, lengthMm: 297 },
  letter: { name: 'Letter', widthMm: 215.9, lengthMm: 279.4 },
} as const;
export type PrintPaper = keyof typeof printPapers;
