import type { UnitSystem } from './units';

/** note · warn · stop (acknowledged at its step) · refuse (the option cannot be chosen). */
export type Severity = 'note' | 'warn' | 'stop' | 'refuse';

export const severityRank: Record<Severity, number> = { note: 0, warn: 1, stop: 2, refuse: 3 };

/** What a finding is about; `step` carries the step's kind so that a caution stands where it matters. */
export interface Where {
  kind: 'project' | 'slot' | 'option' | 'find' | 'supply' | 'recipe' | 'zone' | 'layer' | 'joint' | 'step' | 'field';
  id: string;
}

/** A repair that can be applied to a recipe as data. */
export type Fix =
  | { kind: 'restoreProposal'; proposal: string }
  | { kind: 'replaceCoating'; layerId: string; coatingId: string }
  | { kind: 'setTechnique'; layerId: string; techniqueId: string }
  | { kind: 'tintPrimer'; layerId: string; tint: 'gray' | 'tinted'; lab: { L: number; a: number; b: number } }
  | { kind: 'setLeadTest'; findId: string }
  | { kind: 'noteConsent'; pieceId: string };

/** What a sentence tells: names, amounts in the units that their names say. */
export type Figures = Readonly<Record<string, number | string | undefined>>;

/**
 * A problem or a hint as data: a code and its figures. Each area lists its codes with their figures and sentences
 * ({@link Sentences}); the union of its findings follows from that list.
 */
export interface Finding<Code extends string = string, F extends Figures = Figures> {
  code: Code;
  severity: Severity;
  where: Where;
  figures: F;
  fix?: Fix;
}

/** How sentences show lengths, temperatures and money. */
export interface SentenceLocale {
  units: UnitSystem;
  currency: string;
}

/** An area's sentences by code, each with the figures that it tells. */
export type Sentences = Readonly<Record<string, (figures: never, locale: SentenceLocale) => string>>;

/** The findings that an area's sentences are about. */
export type FindingOf<S extends Sentences> = {
  [Code in keyof S & string]: Finding<
    Code,
    Parameters<S[Code]> extends [infer F extends Figures, ...unknown[]] ? F : Record<never, never>
  >;
}[keyof S & string];

/** The worst severity among findings, or null when there are none. */
export function worstSeverity(findings: readonly Finding[]): Severity | null {
  let worst: Severity | null = null;
  for (const finding of findings) {
    if (worst === null || severityRank[finding.severity] > severityRank[worst]) worst = finding.severity;
  }
  return worst;
}
