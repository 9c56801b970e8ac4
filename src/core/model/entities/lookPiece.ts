import { z } from 'zod';
import { fixings } from '../../catalog/fixings';
import { furnitureTemplates } from '../../surface/templates';
import { defineEntity, type RowRule } from '../entity';
import { line, number, oneOf, refersTo, registered, wholeNumber, yesNo } from '../fields';
import { lab, lengthMm, measures, placeMm } from '../values/surface';

/** How a piece is held up. */
export const stances = ['stands', 'lies', 'leans', 'hangs'] as const;
export type Stance = (typeof stances)[number];

export const hangerKinds = ['wire', 'twoRings', 'keyholes', 'middle', 'hook'] as const;
export type HangerKind = (typeof hangerKinds)[number];

/** What a piece hangs by: its own fitting, and how far below its top edge that takes the nail. */
const hanger = z.strictObject({
  kind: oneOf(hangerKinds),
  dropMm: number(0, 3000, 'a drop in mm'),
  /** From one hook to the other of a wire; in from either edge for rings and keyholes; 0 for one in the middle. */
  apartMm: number(0, 5000, 'a length in mm'),
});
export type StoredHanger = z.output<typeof hanger>;

/** What holds it on the wall. */
const heldBy = z.strictObject({
  fixingId: registered(fixings),
  /** What the packet says that one carries, in g; null where it says nothing. */
  ratedG: number(1, 1_000_000, 'a weight in g').nullable(),
});
export type HeldBy = z.output<typeof heldBy>;

/** What it looks like where nothing else says so: foraged, or only thought of. */
const drawn = z.strictObject({
  templateId: registered(furnitureTemplates),
  measures,
  color: lab.nullable(),
});

/** A piece fills a slot or is one of the house; what is neither is described here. */
const isOfOne: RowRule<{ slotId: string | null; pieceId: string | null }> = ({ slotId, pieceId }) =>
  slotId !== null && pieceId !== null
    ? { field: 'pieceId', accepted: 'a slot or a piece of the house, not both' }
    : null;

/** A piece where it is in a look. */
export const lookPiece = defineEntity(
  {
    table: 'lookPieces',
    name: 'look_piece',
    noun: 'piece of the look',
    owner: 'project',
    travels: 'always',
    most: { count: 2000, per: 'project' },
    fields: {
      lookId: refersTo('looks'),
      /** What fills this slot, whatever that will be; its wished size while nothing does. */
      slotId: refersTo('slots').nullable(),
      /** In this look another way than the one that is chosen. */
      optionId: refersTo('options').nullable(),
      /** Which of several, from 0. */
      nth: wholeNumber(0, 2000),
      /** A thing of the house that no slot asks for. */
      pieceId: refersTo('pieces').nullable(),
      /** What it looks like where neither a piece nor a way does; null for a plain box. */
      drawn: drawn.nullable(),
      /** What it is called in the look; empty where what it is says it. */
      name: line(0, 120),
      /** Its left edge from the left end of the spot, its foot above the base, its front from the front edge. */
      xMm: placeMm,
      footMm: placeMm,
      frontMm: placeMm,
      /** Its size as somebody gave it for this look; null as it is. */
      size: z.strictObject({ widthMm: lengthMm, heightMm: lengthMm, depthMm: lengthMm }).nullable(),
      stance: oneOf(stances),
      /** Its side to the front. */
      turned: yesNo,
      /** What it stands on; null for the spot itself. */
      onId: refersTo('lookPieces').nullable(),
      /** The higher, the further in front. */
      layer: wholeNumber(0, 10_000),
      hanger: hanger.nullable(),
      heldBy: heldBy.nullable(),
      /** What it weighs, in g; null where nobody weighed it. */
      weightG: number(1, 1_000_000, 'a weight in g').nullable(),
    },
  },
  isOfOne,
);
