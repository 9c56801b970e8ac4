import { detailFactors } from '../../catalog/labor.data';
import { sprayedAmount, technique } from '../parts';

/** A stone or cast effect from the can: makes cheap things look cast. */
export const textureSpray = technique({
  id: 'textureSpray',
  words: ['stone effect', 'stone spray', 'texture spray', 'cast look'],
  name: 'Texture spray',
  family: 'cover',
  remark: 'short bursts, turning the piece; a clear coat after a day where it is handled or outdoors',
  skillAsked: 'a steady sweep; practice on cardboard',
  accepts: (coating) => coating.id === 'aerosolStone',
  place: 'outdoors',
  rate: { perM2: 'spray' },
  detailFactor: (detail) => detailFactors[detail].spray,
  toolIds: ['respirator'],
  quantity: sprayedAmount,
});
