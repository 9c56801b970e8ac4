import { defineEntity } from '../entity';
import { line, oneOf, paragraph, refersTo, yesNo } from '../fields';
import { priceStorySchema } from '../values/price';

/** What the stylist says of a piece that was seen; whether it was bought or ordered, the ledger says. */
export const sightingStates = ['seen', 'owned', 'passed'] as const;

/**
 * A piece as a project sees it: where it was seen, how its price came about, what the project makes of it. What the
 * piece is stands with the piece, what was paid for it in the ledger; together they are a *find*.
 */
export const sighting = defineEntity({
  table: 'sightings',
  name: 'sighting',
  noun: 'find',
  owner: 'project',
  travels: 'always',
  indexed: [['pieceId']],
  fields: {
    pieceId: refersTo('pieces'),
    source: line(0, 120),
    state: oneOf(sightingStates),
    story: priceStorySchema,
    note: paragraph(0, 2000),
    /** Why it was taken although no slot asks for it; empty while nobody said. */
    reason: paragraph(0, 400),
    /** Put away: money was paid for it, so it stays in the books, and is offered for nothing any more. */
    archived: yesNo,
  },
});
