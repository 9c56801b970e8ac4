import { technique } from '../parts';

/** A brushed clear coat. */
export const clearCoat = technique({
  id: 'clearCoat',
  words: ['clear coat', 'varnish', 'varnished', 'seal', 'sealed', 'lacquer'],
  name: 'Clear coat, by brush',
  family: 'protect',
  remark: 'flow it on, do not go back over it; a light scuff between coats',
  accepts: (coating) => coating.role === 'clear' && coating.unit === 'mL' && coating.group !== 'wax',
  rate: { perM2: 'clear' },
  coats: 'table',
});
