import type { SketchRoom, SpotKind } from '../catalog/spotKind';
import type { Finding } from '../kernel/finding';
import type { Source } from '../kernel/source';
import type { SpotRow } from '../model/rows';
import type { Brief } from '../state/brief';
import type { PlacedSlot } from './sketchBoxes';

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
  check(facts: SketchFacts): Finding[];
}

/** A finding of a sketch about one slot, or about the spot where `slotId` is null. */
export function sketchFinding(
  code: string,
  severity: Finding['severity'],
  facts: SketchFacts,
  slotId: string | null,
  figures: Finding['figures'],
): Finding {
  return {
    code: `sketch.${code}`,
    severity,
    where: slotId === null ? { kind: 'slot', id: facts.spot.id } : { kind: 'slot', id: slotId },
    figures,
  };
}
