import type { CutAs, CutShape } from '../artwork/artwork';
import type { Coating } from '../catalog/coating';
import type { Consumable } from '../catalog/consumable';
import type { laborEach } from '../catalog/labor.data';
import type { StockFacts } from '../catalog/stockFacts';
import type { Turn } from '../cutting/part';
import type { Outline } from '../surface/outline';
import type { Face } from '../surface/unroll';
import type { DetailKind } from '../surface/zone';
import type { TechniqueValues } from './technique';

/** How a technique asks for a shape: whether it is mirrored goes by its film. */
export type CutRule = Omit<CutAs, 'isMirrored'>;

/** A shape that somebody chose to cut. */
export interface ChosenShape {
  name: string;
  /** The shape as it is cut; null where it has no such color. */
  cut(as: CutRule): CutShape | null;
}

/** What a zone is to somebody who covers it with sheets. */
export interface SheetQuestion {
  /** Its faces laid flat, of one shape; none where only torn pieces follow it. */
  faces: readonly Face[];
  /** How many such shapes there are, both sides counted. */
  times: number;
  /** How many like pieces are made over together. */
  pieces: number;
  /** Whether there is a cutting machine in the house. */
  hasMachine: boolean;
  /** How fiddly its surface is. */
  detail: DetailKind;
  /** Area of all of them, m², without texture. */
  areaM2: number;
  stock: StockFacts;
  /** Whether the print has a way up, and the zone stands so that it shows. */
  isUpright: boolean;
  /** The shapes that were chosen; none where it is a plain box. */
  shapes: readonly ChosenShape[];
}

/** One piece to cut, and where on its face it goes. */
export interface SheetPiece {
  name: string;
  faceId: string;
  /** With bleed, overlap and wrap in it, mm. */
  widthMm: number;
  lengthMm: number;
  outline: Outline | null;
  /** What the blade follows, where that is more than the outline. */
  lines?: Outline | null;
  turn: Turn;
  /** How often it is cut for the whole zone of one piece; a share where only some of several pieces get it. */
  count: number;
  /** Its corner on the face, mm from the face's; below 0 where it is turned over the edge. Null where it may lie anywhere. */
  onFace: { xMm: number; yMm: number } | null;
}

/** What covering a zone takes of its stock. */
export interface SheetDemand {
  pieces: readonly SheetPiece[];
  /** What is taken without a layout, in the supply's unit: torn pieces, motifs by the sheet. */
  units: number;
  /** Pieces laid by hand, as minutes count them. */
  laidPieces: number;
  /** What laying takes where it is more than so many pieces: weeding by the letter, applying by area. */
  work?: readonly { rate: keyof typeof laborEach; units: number }[];
  /** Length that the blade follows, mm; by the boxes of the pieces where it is not known. */
  cutMm?: number;
  /** Whether a machine cuts it. */
  byMachine?: boolean;
  /** Tape that carries shapes over, m² with its edges; nothing where they are pressed on or lie on a sheet of their own. */
  transferM2?: number;
}

/** How a technique cuts: from which kinds, and into what. */
export interface SheetWork {
  /** Kinds of paper or cloth it takes beside its medium; none where its coating is the film itself. */
  accepts(kind: Consumable): boolean;
  /** Whether it cuts shapes and lettering that somebody draws. */
  cutsShapes?: boolean;
  /** Why it cannot cover a zone; null where it can. */
  cannot(question: SheetQuestion): string | null;
  cut(question: SheetQuestion, values: TechniqueValues): SheetDemand;
}

/** Whether a layer's coating is itself what is cut. */
export const isFilm = (coating: Pick<Coating, 'role'>): boolean => coating.role === 'film';
