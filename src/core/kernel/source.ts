/** Where a figure comes from, in the order a stylist would trust it least to most. */
export type SourceKind =
  | 'standard'
  | 'reference'
  | 'common practice'
  | 'modelling choice'
  | 'calculated'
  | 'estimated'
  | 'label'
  | 'your log'
  | 'studio'
  | 'you';

/** A figure's source; `memory` says that it was written down without looking the document up again. */
export interface Source {
  kind: SourceKind;
  memory?: boolean;
  document?: string;
}

export const commonPractice: Source = { kind: 'common practice', memory: true };
export const modellingChoice: Source = { kind: 'modelling choice' };
export const calculated: Source = { kind: 'calculated' };
export const estimated: Source = { kind: 'estimated' };
export const fromYou: Source = { kind: 'you' };
export const fromLog: Source = { kind: 'your log' };

/** The tag that stands beside a figure, for example "common practice, from memory". */
export function sourceTag(source: Source): string {
  const parts: string[] = [source.kind];
  if (source.document) parts.push(source.document);
  if (source.memory) parts.push('from memory');
  return parts.join(', ');
}
