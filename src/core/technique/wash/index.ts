import { technique } from '../parts';

const PAINT_HIDES_PER_COAT = 1 - (2 / 62) ** (1 / 3);

/**
 * Paint let down with water, brushed on and dabbed: a veil, no cover. The mix covers 17.18 (12.3 to 22.1) m²/L at one
 * to one; a coat of it hides as the share of paint in it, on the law that films of half the pigment hide as half a coat
 * (a modelling choice).
 */
export const wash = technique({
  id: 'wash',
  words: ['whitewash', 'whitewashed', 'wash', 'washed', 'limewash', 'pickle', 'pickled', 'thinned'],
  name: 'Wash, thinned with water',
  family: 'translucent',
  remark: 'brush on, dab drips and puddles with a rag at once; the ground shows through',
  accepts: (coating) =>
    coating.id === 'bondingPrimer' || (coating.group === 'waterbornePaint' && coating.techniqueId === 'brushOn'),
  parameters: [
    { id: 'paintParts', label: 'Paint, parts', kind: 'number', standard: 1, minimum: 1, maximum: 10 },
    { id: 'waterParts', label: 'Water, parts', kind: 'number', standard: 1, minimum: 0, maximum: 10 },
  ],
  rate: { perM2: 'wash' },
  paintShare: ({ paintParts = 1, waterParts = 1 }) => paintParts / (paintParts + waterParts),
  spreadingRateKey: 'technique.wash.spreadingRateM2PerL',
  extras: [{ kindId: 'rag', perM2: 0.5 }],
  coats: 'table',
  opacity: (_coating, { paintParts = 1, waterParts = 1 }) =>
    1 - (1 - PAINT_HIDES_PER_COAT) ** (paintParts / (paintParts + waterParts)),
  mixedLifeHours: 48,
});
