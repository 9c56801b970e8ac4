import type { DoneAnswer, RefusedAnswer } from '@contract/answers';
import type { ErrorCode } from '@contract/errors';
import { errorCodes } from '@contract/errors';

/** What a use case answers: a status with what was done, or why not. */
export interface Answer {
  status: number;
  body: DoneAnswer | RefusedAnswer;
}

/** A refusal by its code. */
export const refused = (code: ErrorCode, more: Partial<RefusedAnswer> = {}): Answer => ({
  status: errorCodes[code].status,
  body: { code, sentence: errorCodes[code].sentence, ...more },
});

/** The answer for something that is not here. */
export const notFound = () => {
  const { status, sentence } = errorCodes.notFound;
  return { status, body: { code: 'notFound' as const, sentence } };
};

/** Thrown inside a savepoint to go back to it with an answer. */
export class Refusal extends Error {
  readonly answer: Answer;
  constructor(answer: Answer) {
    super(answer.body && 'code' in answer.body ? answer.body.code : 'refused');
    this.answer = answer;
  }
}
