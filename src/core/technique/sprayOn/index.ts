import { detailFactors } from '../../catalog/labor.data';
import { sprayedAmount, technique } from '../parts';

/** Spraying from a can, in light coats. */
export const sprayOn = technique({
  id: 'sprayOn',
  words: ['spray', 'sprayed', 'spray paint', 'aerosol', 'rattle can'],
  name: 'By aerosol',
  family: 'cover',
  remark: 'three or four light coats from 10 in away, half overlapping; start and stop beside the piece',
  skillAsked: 'a steady sweep; practice on cardboard',
  accepts: (coating) => coating.unit === 'can' && coating.id !== 'aerosolStone',
  place: 'outdoors',
  rate: { perM2: 'spray' },
  detailFactor: (detail) => detailFactors[detail].spray,
  toolIds: ['respirator'],
  quantity: sprayedAmount,
});
