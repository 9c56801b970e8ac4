import { MM_PER_INCH } from '../../kernel/units';
import type { Coating, FilmFacts } from '../coating';
import { packs } from '../consumables/row';
import { type CutStock, LEAST_OFFCUT_MM } from '../cutStock';
import { figure } from '../figure';
import { brushWeather, coating } from './row';

/** Film off a roll; of a craft roll 12 in wide a cutter's mat and rollers leave 11.5 in to use. */
const roll = (widthMm: number, more: Partial<CutStock> = {}): CutStock => ({
  form: 'roll',
  widthMm,
  lengthMm: null,
  marginMm: 0,
  gapMm: 0,
  leastOffcutMm: LEAST_OFFCUT_MM.sheet,
  byTheStep: false,
  ...more,
});
const craftRoll = roll(12 * MM_PER_INCH, { marginMm: 0.25 * MM_PER_INCH, gapMm: 2 });

const craftPacks = (foot: number): Coating['packs'] =>
  packs(
    ['roll 12 in × 5 ft', 1.524, foot * 4, foot * 5, foot * 8],
    ['roll 12 in × 10 ft', 3.048, foot * 7, foot * 9, foot * 14],
  );

/** One row: a film is laid once, dry, and holds at once; it may bear load after a day and be washed after three. */
function film(
  row: Pick<Coating, 'id' | 'name' | 'techniqueId' | 'packs'> & { cut: CutStock; facts: FilmFacts } & Partial<Coating>,
): Coating {
  const { facts, ...rest } = row;
  const across = row.cut.widthMm / 1000;
  return {
    ...coating({
      role: 'film',
      group: 'film',
      film: 'vinyl',
      unit: 'm',
      // A meter of the roll covers as many square meters as it is wide.
      rate: [across, across, across],
      coatsSimilar: [1, 1, 1],
      touch: [0, 0, 0],
      recoatAfter: [0, 0, 0],
      handle: [24, 24, 24],
      cureDays: [3, 3, 3],
      openedMonths: [12, 24, 60],
      limits: brushWeather(95),
      sheens: ['matt', 'satin', 'gloss'],
      outdoors: 'no',
      hazard: 'none',
      cleanUp: 'dry',
      ...rest,
    }),
    adhesive: facts,
  };
}

const facts = (
  isRemovable: boolean,
  years: readonly [number, number, number],
  more: Partial<FilmFacts> = {},
): FilmFacts => ({
  isRemovable,
  lifeYears: figure(...years),
  leastStrokeMm: figure(1, 1.5, 2),
  leastLetterMm: figure(8, 10, 12),
  leastScriptMm: figure(15, 18, 25),
  isMirrored: false,
  shrinkMmPerM: figure(1, 2, 3),
  ...more,
});

/** Adhesive films and heat-transfer film (common practice, from memory). */
export const filmRows: readonly Coating[] = [
  film({
    id: 'permanentFilm',
    name: 'Permanent craft film',
    techniqueId: 'filmShapes',
    cut: craftRoll,
    packs: craftPacks(1.3),
    outdoors: 'yes',
    facts: facts(false, [3, 5, 6]),
  }),
  film({
    id: 'removableFilm',
    name: 'Removable craft film',
    techniqueId: 'filmShapes',
    cut: craftRoll,
    packs: craftPacks(1.2),
    facts: facts(true, [1, 2, 3]),
  }),
  film({
    id: 'castFilm',
    name: 'Cast film, for long use outdoors',
    techniqueId: 'filmShapes',
    cut: craftRoll,
    packs: craftPacks(2.4),
    outdoors: 'yes',
    facts: facts(false, [5, 7, 12], { shrinkMmPerM: figure(0, 0.3, 0.5) }),
  }),
  film({
    id: 'heatTransferFilm',
    name: 'Heat-transfer film',
    techniqueId: 'filmShapes',
    cut: craftRoll,
    packs: craftPacks(2.2),
    facts: facts(false, [3, 5, 8], { isMirrored: true, leastStrokeMm: figure(2, 2, 3) }),
  }),
  film({
    id: 'wrapFilm',
    name: 'Furniture and shelf film',
    techniqueId: 'filmPanels',
    cut: roll(450),
    packs: packs(['roll 45 cm × 2 m', 2, 5, 8, 14], ['roll 45 cm × 5 m', 5, 10, 16, 28]),
    facts: facts(true, [1, 3, 5]),
  }),
  film({
    id: 'wallFilm',
    name: 'Peel-and-stick wall film',
    techniqueId: 'filmDrops',
    cut: roll(530),
    packs: packs(['roll 53 cm × 2.5 m', 2.5, 12, 18, 30], ['roll 53 cm × 10 m', 10, 30, 45, 80]),
    facts: facts(true, [1, 3, 5]),
  }),
  film({
    id: 'windowFilm',
    name: 'Frosted window film',
    techniqueId: 'filmDrops',
    cut: roll(450),
    packs: packs(['roll 45 cm × 2 m', 2, 7, 11, 18]),
    facts: facts(true, [2, 4, 7]),
  }),
];
