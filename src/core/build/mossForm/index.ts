import { MM_PER_INCH } from '../../kernel/units';
import type { Build, BuildValues } from '../build';
import { choice, length, work } from '../parts';

/** Dried sheet moss: an ounce covers 0.4 square feet (0.3 to 0.6; common practice, from memory). */
export const MOSS_GRAMS_PER_M2 = 28.349523125 / (0.4 * 0.09290304);
/** Over a form it takes a little more than the form's area (common practice, from memory). */
const OVER_A_FORM = 1.15;
/** A dot of glue holds 16 square centimeters, a large stick gives 45 dots, of which a tenth stays in the gun. */
const DOT_M2 = 0.0016;
const DOTS_PER_STICK = 45 * 0.9;

/** Something covered with moss: a panel, a ball, a ring. */
export const mossForm: Build = {
  id: 'mossForm',
  name: 'Moss on a form',
  words: ['moss', 'moss ball', 'moss wreath', 'moss wall', 'moss panel'],
  family: 'greenery',
  remark: 'preserved moss glued on; it keeps 3 to 7 years out of the sun, and is never misted',
  difficulty: 1,
  skillAsked: 'none',
  templateId: 'freeBox',
  parameters: [
    choice('form', 'Form', 0, [
      { value: 0, label: 'panel' },
      { value: 1, label: 'ball' },
      { value: 2, label: 'ring' },
    ]),
    length('widthMm', 'Wide, or across', 12 * MM_PER_INCH, 30, 2400),
    length('heightMm', 'High (panel), or the ring, thick', 12 * MM_PER_INCH, 5, 2400),
  ],
  materials: [{ id: 'moss', label: 'Moss', kindIds: ['moss'] }],
  measures: ({ form = 0, widthMm = 0, heightMm = 0 }) => ({
    widthMm,
    depthMm: form === 0 ? 30 : form === 1 ? widthMm : Math.min(heightMm, widthMm / 2),
    heightMm: form === 0 ? heightMm : widthMm,
  }),
  plan: ({ values }) => {
    const areaM2 = mossedM2(values);
    return {
      parts: [],
      needs: [
        { material: 'moss', kindId: 'moss', amount: areaM2 * OVER_A_FORM * MOSS_GRAMS_PER_M2 },
        { material: null, kindId: 'glueStick', amount: areaM2 / DOT_M2 / DOTS_PER_STICK },
      ],
      works: [
        work({
          id: 'moss',
          kind: 'arrange',
          title: 'Tear the moss into pieces, glue them on, press gaps full with crumbs',
          hint: 'low heat is enough; glove or a stick to press with',
          rate: 'mossDm2',
          units: areaM2 * 100,
          tools: ['glueGun'],
        }),
      ],
      remarks: [],
      traits: ['burns'],
    };
  },
};

/** Area that is covered, m²: a panel's face, a ball, a ring as it closes. */
export function mossedM2({ form = 0, widthMm = 0, heightMm = 0 }: BuildValues): number {
  if (form === 1) return Math.PI * widthMm * widthMm * 1e-6;
  if (form === 0) return widthMm * heightMm * 1e-6;
  const tube = Math.min(heightMm, widthMm / 2);
  return Math.PI * Math.PI * (widthMm - tube) * tube * 1e-6;
}
