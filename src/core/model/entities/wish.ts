import { defineEntity } from '../entity';
import { line, localDate, minorUnits, paragraph, refersTo } from '../fields';
import { anyCurrency } from '../values/currency';

/** Something to look out for, whatever project it will be for: at which price, where, when it is on sale. */
export const wish = defineEntity({
  table: 'wishes',
  name: 'wish',
  noun: 'wish',
  owner: 'studio',
  travels: 'never',
  most: { count: 1000, per: 'studio' },
  fields: {
    what: line(1, 120),
    /** What it may cost at most, minor units; null where nobody said. */
    target: minorUnits.nullable(),
    currency: anyCurrency,
    sourceId: refersTo('sources').nullable(),
    /** The day of a sale: from then on it is worth going. */
    saleOn: localDate.nullable(),
    /** What it is for: a room, a look, a season. */
    use: line(0, 120),
    note: paragraph(0, 1000),
    gotOn: localDate.nullable(),
  },
});
