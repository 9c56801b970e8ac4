import type { SketchRoom, SpotKind } from '../catalog/spotKind';
import type { Source } from '../kernel/source';
import type { SpotRow } from '../model/rows';
import type { Brief } from '../state/brief';
import type { PlacedSlot } from './sketchBoxes';
import type { SketchFinding } from './sketchSentences';

/** What a check of a sketch looks at. */
export interface SketchFacts {
  spot: SpotRow;
  kind: SpotKind;
  room: SketchRoom;
  seats: number;
  /** Widths and heights are only judged where somebody gave them: by a placed box or by a wished size. */
  slots: readonly PlacedSlot[];
  school: Pick<Brief, 'arranging' | 'grouping' | 'amount'>;
}

/**
 * One rule over a sketch, with the formula it uses and where that is from. To add one: a file in `checks/`, a line in
 * `sketchChecks.ts`, a sentence.
 */
export interface SketchCheck {
  id: string;
  source: Source;
  check(facts: SketchFacts): SketchFinding[];
}

/** What a finding of a sketch is about: one slot, or the spot where `slotId` is null. */
export function placeInSketch(facts: SketchFacts, slotId: string | null): SketchFinding['where'] {
  return { kind: 'slot', id: slotId ?? facts.spot.id };
}
