import { z } from 'zod';
import { entityOf } from '../../model/entities';
import { supplyPlace } from '../../model/entities/supplyPlace';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { insert, type RowChange, remove, update } from '../changes';

const { supplyKey, place } = supplyPlace.fields;

/** Says where supplies are bought for this project; without a place the lowest price decides again. */
export const buySuppliesAt = projectAct({
  kind: 'buySuppliesAt',
  title: 'Place to buy changed',
  payload: z.strictObject({
    places: z
      .array(z.strictObject({ id, supplyKey, place: place.nullable() }))
      .min(1)
      .max(300, 'at most 300 supplies'),
  }),
  decide: (rows, { places }) => {
    const twice = places.find((one, n) => places.findIndex((other) => other.supplyKey === one.supplyKey) !== n);
    if (twice) return refuse('places', twice.supplyKey, `each ${entityOf('supplyPlaces').noun} once`);
    return places.flatMap((one): RowChange[] => {
      const known = rows.supplyPlaces.find((row) => row.supplyKey === one.supplyKey);
      if (one.place === null) return known ? [remove('supplyPlaces', known.id)] : [];
      return [
        known
          ? update('supplyPlaces', known.id, { place: one.place })
          : insert('supplyPlaces', { id: one.id, supplyKey: one.supplyKey, place: one.place }),
      ];
    });
  },
});
