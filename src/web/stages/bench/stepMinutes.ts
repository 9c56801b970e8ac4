import type { StepRunRow } from '@core/model/rows';

/** How long hands were at a step until a moment, ms; a clock that was put back counts nothing. */
export const workedMs = ({ stretches }: Pick<StepRunRow, 'stretches'>, nowMs: number): number =>
  stretches.reduce((sum, { startMs, endMs }) => sum + Math.max(0, (endMs ?? nowMs) - startMs), 0);

/** Time as a timer shows it: 0:31:08. */
export function timerWords(ms: number): string {
  const seconds = Math.floor(ms / 1000);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${Math.floor(seconds / 3600)}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`;
}
