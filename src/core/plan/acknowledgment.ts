import type { Finding } from '../kernel/finding';

/** What an acknowledgment is tied to: it lapses when the caution, its place or its figures change. */
export function acknowledgmentTrigger(finding: Finding): string {
  const figures = Object.keys(finding.figures)
    .sort()
    .map((key) => `${key}=${finding.figures[key]}`)
    .join(';');
  return `${finding.code}|${finding.where.kind}:${finding.where.id}|${figures}`;
}
