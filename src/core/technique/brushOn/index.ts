import { technique } from '../parts';

/** Brush paint, primer, barrier coats and medium, all over. */
export const brushOn = technique({
  id: 'brushOn',
  words: ['paint', 'painted', 'brush', 'brushed', 'repaint'],
  name: 'By brush',
  family: 'cover',
  remark: 'thin coats, with the grain, tip off at the end',
  accepts: (coating) =>
    coating.unit === 'mL' && (coating.role === 'paint' || coating.role === 'primer' || coating.group === 'decoupage'),
});
