import { detailFactors } from '../../catalog/labor.data';
import type { Technique } from '../technique';

/**
 * Brushing: V = area × texture × (k + n − 1) ÷ spreading rate × (1 + loss), in mL, with the absorption k on the first
 * coat only and the loss once. Source: the quantity model of the trade (common practice, from memory).
 */
export const brushOn: Technique = {
  id: 'brushOn',
  name: 'By brush',
  place: 'ventilated',
  rateKey: 'labor.brushMinutesPerM2',
  cleanUpKey: (coating) =>
    coating.cleanUp === 'water' ? 'session.cleanUpWaterMinutes' : 'session.cleanUpSolventMinutes',
  detailFactor: (detail) => detailFactors[detail].brush,
  toolIds: ['brush'],
  quantity: (input) =>
    input.coats <= 0
      ? 0
      : ((input.projectedAreaM2 * input.texture * (input.absorption + input.coats - 1)) / input.spreadingRate) *
        1000 *
        (1 + input.lossPercent / 100),
};
