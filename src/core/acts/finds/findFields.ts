import { z } from 'zod';
import { piece } from '../../model/entities/piece';
import { sighting } from '../../model/entities/sighting';
import { id, oneOf, version } from '../../model/fields';
import { findStates, pieceFields } from '../../model/finds';
import type { PieceRow, SightingRow } from '../../model/rows';
import { unknownPiece } from '../../sourcing/unknownPiece';

type PieceField = (typeof pieceFields)[number];

/** The fields of a piece that a find shows, by their schemas. */
const ofPiece = Object.fromEntries(pieceFields.map((field) => [field, piece.fields[field]])) as Pick<
  typeof piece.fields,
  PieceField
>;

/** Every field of a find: the sighting's own and those of its piece. */
export const findFields = { ...sighting.fields, ...ofPiece };

/** A find as a page sends it: one thing to the stylist, a piece and a sighting to the tables. */
export const findSchema = z.strictObject({ id, version, ...findFields, state: oneOf(findStates) });
export type FindPayload = z.output<typeof findSchema>;

/** Whether a field of a find is its piece's. */
export const isPieceField = (field: string): field is PieceField => (pieceFields as readonly string[]).includes(field);

/** A find taken apart: the piece that it is, as something only seen so far, and the sighting of it. */
export function partsOfFind(find: FindPayload, currency: string): { piece: PieceRow; sighting: SightingRow } {
  const own = Object.fromEntries(pieceFields.map((field) => [field, find[field]])) as Pick<PieceRow, PieceField>;
  const { id: sightingId, pieceId } = find;
  const seen = Object.fromEntries(
    Object.keys(sighting.fields).map((field) => [field, find[field as keyof FindPayload]]),
  ) as Omit<SightingRow, 'id' | 'version'>;
  // Whether it is bought or ordered, the ledger says.
  const state = find.state === 'owned' || find.state === 'passed' ? find.state : 'seen';
  return {
    piece: {
      ...unknownPiece(pieceId, find.name, { units: 'metric', currency, today: '' }),
      ...own,
      seenOn: null,
    },
    sighting: { ...seen, id: sightingId, version: 1, state },
  };
}
