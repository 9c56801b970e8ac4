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
  | { kind: 'setLeadTest'; findId: string };

/** A problem or a hint as data: a code and its figures. English stands in the table of sentences. */
export interface Finding {
  code: string;
  severity: Severity;
  where: Where;
  figures: Record<string, number | string>;
  fix?: Fix;
}

/** The worst severity among findings, or null when there are none. */
export function worstSeverity(findings: readonly Finding[]): Severity | null {
  let worst: Severity | null = null;
  for (const finding of findings) {
    if (worst === null || severityRank[finding.severity] > severityRank[worst]) worst = finding.severity;
  }
  return worst;
}
