import type { Artwork } from '../artwork/artwork';
import type { Climate } from '../calendar/climate';
import type { Assumptions } from '../catalog/assumptions';
import type { Skill } from '../catalog/labor.data';
import type { OwnStock } from '../catalog/stockFacts';
import type { HidingEye } from '../color/coatsUntilHidden';
import type { Lab } from '../color/lab';
import type { SafetyFacts } from '../safety/facts';
import type { Brief, CoatSchool } from '../state/brief';
import type { WrongProblem } from '../state/mishap';
import type { CareKind, CordCondition, Era, LeadTest, Looked } from '../state/pieceState';
import type { Sheen } from '../state/surfaceState';

/** What a recipe needs to know of a piece. */
export interface PieceFacts {
  id: string;
  name: string;
  kind: CareKind;
  materialId: string;
  /** Old finish on the material, or null when it is bare. */
  finishId: string | null;
  sheen: Sheen;
  color: Lab | null;
  era: Era;
  leadTest: LeadTest;
  cordCondition: CordCondition;
  /** What was looked at when it was inspected. */
  inspected: readonly Looked[];
}

/** A color with a name; the identity of a colored supply. */
export interface ColorCardFacts {
  id: string;
  name: string;
  lab: Lab;
}

/** Something that went wrong before, with what on what. */
export interface Lesson {
  recipeId: string;
  /** What was laid; null where it went wrong at other work. */
  coatingId: string | null;
  substrateId: string;
  problem: WrongProblem;
}

/** Everything a recipe is computed against. */
export interface RecipeContext {
  pieces: ReadonlyMap<string, PieceFacts>;
  colorCards: ReadonlyMap<string, ColorCardFacts>;
  assumptions: Assumptions;
  skill: Skill;
  school: CoatSchool;
  eye: HidingEye;
  /** *Scuff and go*, or *clean, sand, prime*: the second puts a primer under every paint. */
  preparation: Brief['preparation'];
  household: SafetyFacts['household'];
  /** What went wrong in other recipes of the project. */
  lessons: readonly Lesson[];
  /** What supplies say of their own size and print, by supply; what is not there is as usual of its kind. */
  stocks: ReadonlyMap<string, OwnStock>;
  /** Shapes and letterings that can be cut, by id. */
  artworks: ReadonlyMap<string, Artwork>;
  /** Whether there is a cutting machine in the house. */
  hasCuttingMachine: boolean;
}

/** The air that waits are counted for. A surface nobody measured has the temperature of the air. */
export function climateOf(assumptions: Assumptions): Climate {
  const surface = assumptions.get('climate.surfaceC');
  return {
    airC: assumptions.number('climate.airC'),
    humidityPercent: assumptions.number('climate.humidityPercent'),
    surfaceC: surface.source.kind === 'you' ? surface.value : null,
  };
}
