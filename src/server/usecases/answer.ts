import type { DoneAnswer, RefusedAnswer } from '@contract/answers';
import { type ErrorCode, errorCodes } from '@contract/errors';

/** A refusal with its status. */
export interface Refused {
  status: number;
  body: RefusedAnswer;
}

/** What a use case answers: a status with what was done, or why not. */
export type AnswerWith<Body> = { status: number; body: Body } | Refused;
export type Answer = AnswerWith<DoneAnswer>;

/** A refusal by its code. */
export const refused = (code: ErrorCode, more: Partial<RefusedAnswer> = {}): Refused => ({
  status: errorCodes[code].status,
  body: { code, sentence: errorCodes[code].sentence, ...more },
});

/** Thrown where nothing that was written shall stay; its answer is sent. */
export class Refusal extends Error {
  readonly answer: Refused;
  constructor(answer: Refused) {
    super(answer.body.code);
    this.answer = answer;
  }
}

const isRefused = (answer: AnswerWith<object>): answer is Refused => answer.status !== 200;

/**
 * What was done.
 * @throws Refusal where it was refused
 */
export function doneOrRefused<Body extends object>(answer: AnswerWith<Body>): Body {
  if (isRefused(answer)) throw new Refusal(answer);
  return answer.body as Body;
}
