import type { Hazard } from '../catalog/coating';
import type { Household } from '../state/brief';
import type { MadeTrait } from '../state/madeTrait';
import type { CareKind, CordCondition, Era, LeadTest } from '../state/pieceState';
import type { Place, StepKind } from '../state/step';
import type { ZoneUse } from '../surface/zone';

/** Everything a caution may look at, gathered by whoever plans; a rule never sees more than this. */
export interface SafetyFacts {
  /** Steps the plan really contains, with what they do and use. */
  steps: {
    id: string;
    kind: StepKind;
    hazard: Hazard | null;
    place: Place;
    tools: readonly string[];
  }[];
  piece: {
    id: string;
    name: string;
    kind: CareKind;
    /** Whether an old finish lies on it that may hold lead. */
    oldFinish: boolean;
    era: Era;
    leadTest: LeadTest;
    cordCondition: CordCondition;
    /** Materials of its zones. */
    materials: readonly string[];
    /** Overall height, mm, or null when it is not known. */
    heightMm: number | null;
    storesThings: boolean;
    isShade: boolean;
    isMusty: boolean;
    /** Area of old finish that is worked on, m², all like pieces together. */
    disturbedM2: number;
    /** What its making says of it: it burns, it holds a flame, chewing it harms. */
    traits: readonly MadeTrait[];
  } | null;
  uses: ReadonlySet<ZoneUse>;
  foodSafeFinish: boolean;
  household: Household;
}
