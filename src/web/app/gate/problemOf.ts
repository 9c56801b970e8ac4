import { ApiError } from '../api';

/** What a refusal says, with what would be accepted where a field is the matter. */
export function problemOf(error: unknown): string {
  if (!(error instanceof ApiError)) return 'Something went wrong. Try again.';
  const { sentence, fields = [] } = error.answer;
  const accepted = fields.map(({ accepted: wanted }) => `Wanted: ${wanted}.`).join(' ');
  return accepted === '' ? sentence : accepted;
}
