import type { Finding } from '../kernel/finding';
import type { RecipeFinding } from './recipeSentences';

/**
 * The same thing said of several zones is said once, naming them all.
 * @param about which findings are folded: those about layers, or those about joints; the others stay as they are
 */
export function saidOnce(findings: readonly RecipeFinding[], about: 'layer' | 'joint'): RecipeFinding[] {
  const kept: RecipeFinding[] = [];
  for (const finding of findings) {
    const at = finding.where.kind === about ? kept.findIndex((known) => isSameThing(known, finding, about)) : -1;
    const known = kept[at];
    if (known) kept[at] = withZone(known, finding);
    else kept.push(finding);
  }
  return kept;
}

function isSameThing(a: Finding, b: Finding, about: 'layer' | 'joint'): boolean {
  return (
    a.where.kind === about &&
    a.code === b.code &&
    a.figures.reason === b.figures.reason &&
    // A joint's place is a zone: there the coating tells which joints are the same.
    (about === 'layer' ? a.where.id === b.where.id : a.figures.coating === b.figures.coating)
  );
}

function withZone<F extends Finding>(finding: F, { figures: { zone } }: Finding): F {
  const zones = finding.figures.zone;
  if (zone === undefined || String(zones).split(', ').includes(String(zone))) return finding;
  return { ...finding, figures: { ...finding.figures, zone: `${zones}, ${zone}` } };
}
