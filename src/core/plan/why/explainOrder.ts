import { mapAmount } from '../../kernel/amount';
import { type Explained, explain, explainMoney, explainMoneySum } from '../../kernel/explained';
import { calculated, estimated, fromYou } from '../../kernel/source';
import { offerCash, offerDelivery, offerPackPrice } from '../../pricing/offer';
import type { AddedLine } from '../added';
import type { OrderPool } from '../model/pools';

/** What an order costs the plan: whole packs and one delivery, less what the rest of the plan orders anyway. */
export function explainOrder(pool: OrderPool, line: Pick<AddedLine, 'before' | 'after' | 'cash'>): Explained {
  const { offer, tax } = pool;
  if (pool.isSettled)
    return explain(`${offer.name}: already ordered, whichever you choose`, 0, 'money', {
      source: fromYou,
      note: 'paid or promised; it costs nothing more',
    });
  const packs = Math.ceil(line.after.amount / Math.max(1, offer.pieces));
  const because = [
    explainMoney(
      packs === 1 ? 'One pack' : `${packs} packs`,
      mapAmount(offerPackPrice(offer, tax), (minor) => minor * packs),
      { source: offer.price.state === 'estimated' ? estimated : fromYou, note: 'tax in it' },
    ),
  ];
  if (offer.delivery !== 0)
    because.push(
      explainMoney('Delivery', offerDelivery(offer, tax), {
        source: fromYou,
        note: offer.delivery === null ? 'not known yet' : 'once an order',
      }),
    );
  if (line.before.amount > 0)
    because.push(
      explainMoney(
        'The rest of the plan orders anyway',
        mapAmount(offerCash(offer, line.before.amount, tax), (minor) => -minor),
        { source: calculated },
      ),
    );
  return explainMoneySum(packs === 1 ? offer.name : `${offer.name}, ${packs} ×`, line.cash, because, {
    source: calculated,
  });
}
