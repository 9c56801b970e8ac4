import type { LookPieceRow, LookRow } from '../../model/rows';

/** A look in which nothing stands yet. */
export const newLook = (id: string, spotId: string, name: string, position: number): LookRow => ({
  id,
  version: 1,
  spotId,
  name,
  note: '',
  position,
  setAside: [],
  photo: null,
  votes: [],
});

/** A piece that stands at the left end of its spot, at the front edge; what it is, is said by `of`. */
export const newPlacement = (id: string, lookId: string, of: Partial<LookPieceRow> = {}): LookPieceRow => ({
  version: 1,
  slotId: null,
  optionId: null,
  nth: 0,
  pieceId: null,
  drawn: null,
  name: '',
  xMm: 0,
  footMm: 0,
  frontMm: 0,
  size: null,
  stance: 'stands',
  turned: false,
  onId: null,
  layer: 0,
  hanger: null,
  heldBy: null,
  weightG: null,
  ...of,
  id,
  lookId,
});
