import type { WallTemplate } from '../../arrange/hanging/wallTemplate';
import type { DrawnUnit } from './cutDrawing';

/** Paper templates in the form that the files of cutting guides are written from: one sheet a thing, its nails as marks. */
export const templateUnits = (templates: readonly WallTemplate[]): DrawnUnit[] =>
  templates.map(({ name, widthMm, heightMm, lines }, n) => ({
    title: `${n + 1} ${name}`,
    widthMm,
    lengthMm: heightMm,
    leftovers: [],
    parts: [
      {
        number: n + 1,
        name,
        nth: 1,
        xMm: 0,
        yMm: 0,
        widthMm,
        lengthMm: heightMm,
        turnedDeg: 0,
        outline: lines,
        lines,
      },
    ],
  }));
