import { tools } from '../../catalog/tools';
import { furnitureTemplates } from '../../surface/templates';
import { defineEntity } from '../entity';
import { dateOrNothing, line, oneOf } from '../fields';
import { anyCurrency } from '../values/currency';
import { priceSchema } from '../values/price';

/** What a new piece of a kind, or a tool, costs: one line of the price book. */
export const priceNote = defineEntity(
  {
    table: 'priceNotes',
    name: 'price_note',
    noun: 'price',
    owner: 'studio',
    travels: 'never',
    fields: {
      subject: oneOf(['piece', 'tool']),
      /** A furniture template or a tool. */
      subjectId: line(1, 60),
      name: line(1, 120),
      price: priceSchema,
      currency: anyCurrency,
      source: line(0, 120),
      /** Local date, or empty. */
      seenOn: dateOrNothing,
    },
  },
  ({ subject, subjectId }) =>
    (subject === 'tool' ? tools : furnitureTemplates).find(subjectId) === undefined
      ? { field: 'subjectId', accepted: 'a kind of piece or a tool that the tables know' }
      : null,
);
