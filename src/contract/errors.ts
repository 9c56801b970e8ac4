/** The closed set of error codes, each with one status and one sentence. */
export const errorCodes = {
  'request.malformed': { status: 400, sentence: 'The request could not be read.' },
  'request.foreign': { status: 403, sentence: 'This request does not come from Euporia’s own page.' },
  'request.contentType': { status: 415, sentence: 'Only JSON is accepted here.' },
  'request.tooLarge': { status: 413, sentence: 'That is larger than Euporia accepts.' },
  'signIn.required': { status: 401, sentence: 'Sign in first.' },
  'signIn.refused': { status: 401, sentence: 'That is not the name and pass phrase of anybody here.' },
  'code.refused': { status: 401, sentence: 'That code is not valid, was used already, or its time is over.' },
  'attempts.tooMany': { status: 429, sentence: 'Too many tries. Wait a quarter of an hour, then try again.' },
  forbidden: { status: 403, sentence: 'Your part in this studio does not include that.' },
  'confirm.required': { status: 403, sentence: 'Give the pass phrase once more for that.' },
  notFound: { status: 404, sentence: 'That is not here (any more).' },
  conflict: { status: 409, sentence: 'Somebody changed the same thing meanwhile.' },
  'fields.refused': { status: 422, sentence: 'Some fields cannot be accepted as they are.' },
  'key.reused': { status: 422, sentence: 'This request key was used for another request.' },
  'command.refused': { status: 422, sentence: 'This cannot be done as things stand.' },
  'undo.builtOn': { status: 409, sentence: 'Something else builds on that by now.' },
  'file.unreadable': { status: 422, sentence: 'This is not a project file that can be read.' },
  'file.notReadBack': {
    status: 409,
    sentence: 'Something in this project could not be read from its file again. Nothing is lost; the places are named.',
  },
  'file.newer': { status: 422, sentence: 'This file was written by a newer Euporia.' },
  'database.gone': {
    status: 503,
    sentence: 'The database does not answer. What you typed is kept here and goes on when it is back.',
  },
  'database.full': {
    status: 503,
    sentence: 'There is no room left for the data. What you typed is kept here and goes on when there is.',
  },
  'server.busy': {
    status: 503,
    sentence: 'Euporia is busy just now. What you typed is kept here and goes on in a moment.',
  },
  unexpected: { status: 500, sentence: 'Something went wrong on our side.' },
} as const;

export type ErrorCode = keyof typeof errorCodes;
