import { commonPractice } from '../kernel/source';
import type { Coating } from './coating';
import { coatings } from './coatings';
import { figure } from './figure';
import type { Substrate } from './substrate';
import { hardFaceRows } from './substrates/hardFaces.data';
import { oldFinishRows, plainNames } from './substrates/oldFinishes.data';
import { softGoodRows } from './substrates/softGoods.data';
import { woodRows } from './substrates/woods.data';

/** The finish that a known product left behind: "chalk-type paint, there already". */
function leftBy(coating: Coating): Substrate {
  return {
    id: finishLeftBy(coating.id),
    name: `${coating.name}, there already`,
    layer: 'oldFinish',
    film: coating.film,
    porous: coating.film === 'powdery',
    hard: false,
    sheen: null,
    plainly: plainNames[coating.id] ?? '',
    bleed: 'none',
    absorption: figure(1, 1, 1),
    texture: figure(1, 1, 1),
    prepare: coating.film === 'powdery' ? ['dust'] : ['clean'],
    dryHours: figure(0.5, 1, 2),
    scuffs: true,
    primer: null,
    productId: coating.id,
    risk: 0,
    usualColor: coating.primer?.color ?? '#d8d2c6',
    words: [],
    remark: 'What it is decides what holds on it.',
    source: commonPractice,
  };
}

/** The id of the finish that a coating leaves behind once it is dry. */
export const finishLeftBy = (coatingId: string): string => `laid.${coatingId}`;

/** The substrates table (common practice, from memory): materials, old finishes, and what each product leaves behind. */
export const substrateRows: readonly Substrate[] = [
  ...woodRows,
  ...hardFaceRows,
  ...softGoodRows,
  ...oldFinishRows,
  ...coatings.all.filter((row) => row.film !== 'none' || row.role === 'translucent').map(leftBy),
];
