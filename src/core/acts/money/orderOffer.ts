import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { settle, settlement } from './ledgerChanges';

/** Orders something new, or pays for it. */
export const orderOffer = projectAct({
  kind: 'orderOffer',
  title: 'Ordered',
  payload: z.strictObject({ offerId: id, ...settlement }),
  decide: (rows, payload) => {
    const offer = rows.offers.find((row) => row.id === payload.offerId);
    if (!offer) return refuse('offerId', payload.offerId, 'an offer of this project');
    return settle(rows, payload, 'offerId', offer.name, { kind: 'offer', id: offer.id }, { sourceId: offer.sourceId });
  },
});
