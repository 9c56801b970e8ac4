import { detailFactors, sprayEfficiency } from '../../catalog/labor.data';
import type { Technique } from '../technique';

/**
 * Spraying from a can: cans = projected area × n ÷ (rate × e), with e the share that lands on the piece and no texture
 * factor, absorption or further loss. Source: the quantity model of the trade (common practice, from memory).
 */
export const sprayOn: Technique = {
  id: 'sprayOn',
  name: 'By aerosol',
  place: 'outdoors',
  rateKey: 'labor.sprayMinutesPerM2',
  cleanUpKey: () => 'session.cleanUpAerosolMinutes',
  detailFactor: (detail) => detailFactors[detail].spray,
  toolIds: ['respirator'],
  quantity: (input) => (input.projectedAreaM2 * input.coats) / (input.spreadingRate * sprayEfficiency[input.detail]),
};
