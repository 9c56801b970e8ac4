import { defineEntity } from '../entity';
import { line, localDate, oneOf, paragraph, refersTo, yesNo } from '../fields';
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
    /** Where it was seen; null while nobody said. */
    sourceId: refersTo('sources').nullable(),
    state: oneOf(sightingStates),
    story: priceStorySchema,
    note: paragraph(0, 2000),
    /** Why it was taken although no slot asks for it; empty while nobody said. */
    reason: paragraph(0, 400),
    /** Put away: money was paid for it, so it stays in the books, and is offered for nothing any more. */
    archived: yesNo,
    /** The color of its tag, for shops that mark down by it; empty where it has none. */
    tagColor: line(0, 40),
    /** Whether there are more of it on the shelf; null as its kind of place has it. */
    plenty: yesNo.nullable(),
    /** The day on which it is thought over again; null while nobody thinks about it. */
    thinkUntil: localDate.nullable(),
    /** Why it was bought, thought over or passed, in the stylist's words. */
    because: paragraph(0, 400),
    /** Local date on which it was seen; null for what was never met in a shop. */
    seenOn: localDate.nullable(),
    /** Pictures of it and of its tag. */
    photoId: refersTo('photos').nullable(),
    tagPhotoId: refersTo('photos').nullable(),
    /** What takes its place once it has wilted. */
    standIn: line(0, 120),
  },
});
