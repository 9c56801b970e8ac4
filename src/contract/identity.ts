import { z } from 'zod';
import { roles } from './permissions';

/** The shortest pass phrase: long enough that it is a phrase. */
export const LEAST_PASS_PHRASE = 12;
const MOST_PASS_PHRASE = 200;
const phraseWords = `a pass phrase of ${LEAST_PASS_PHRASE} to ${MOST_PASS_PHRASE} characters, best four words`;

/** A pass phrase that somebody chooses. */
export const newPassPhrase = z
  .string({ error: phraseWords })
  .min(LEAST_PASS_PHRASE, phraseWords)
  .max(MOST_PASS_PHRASE, phraseWords)
  .refine((phrase) => new Set(phrase).size > 4, 'a pass phrase of more than four different characters');
/** A pass phrase that somebody gives. */
const givenPassPhrase = z.string({ error: 'the pass phrase' }).min(1, 'the pass phrase').max(MOST_PASS_PHRASE);
const nameWords = 'a name of 1 to 80 characters';
const personName = z.string({ error: nameWords }).trim().min(1, nameWords).max(80, nameWords);
const deviceWords = 'what the device is called, at most 80 characters';
const deviceName = z.string({ error: deviceWords }).trim().max(80, deviceWords).default('');
const code = z.string({ error: 'the code' }).trim().min(1, 'the code').max(40, 'the code');
const role = z.enum(roles, { error: `one of ${roles.join(', ')}` });

export const setUpSchema = z.strictObject({ code, name: personName, passPhrase: newPassPhrase, device: deviceName });
export const signInSchema = z.strictObject({ name: personName, passPhrase: givenPassPhrase, device: deviceName });
export const useCodeSchema = z.strictObject({ code, device: deviceName });
export const confirmSchema = z.strictObject({ passPhrase: givenPassPhrase });
export const setPassPhraseSchema = z.strictObject({ passPhrase: newPassPhrase, present: givenPassPhrase.nullable() });
export const addPersonSchema = z.strictObject({ name: personName, role: role.exclude(['owner']) });

const personAnswer = z.object({ id: z.uuid(), name: z.string(), role });

/** Who asks, as the server sees them. */
export const whoAnswer = z.object({
  /** `local` where only this machine reaches the studio, so that nobody is asked. */
  access: z.enum(['local', 'signedIn', 'signedOut', 'setUp']),
  person: personAnswer.nullable(),
  hasPassPhrase: z.boolean(),
  studio: z.string().nullable(),
  /** Where other devices reach the studio; null where the server was not told, and for strangers. */
  address: z.url().nullable(),
});
export type WhoAnswer = z.output<typeof whoAnswer>;

export const sessionsAnswer = z.object({
  sessions: z.array(
    z.object({
      id: z.uuid(),
      device: z.string(),
      person: z.string(),
      isThis: z.boolean(),
      sinceMs: z.number(),
      seenMs: z.number(),
    }),
  ),
});
export const peopleAnswer = z.object({
  people: z.array(personAnswer.extend({ hasPassPhrase: z.boolean(), devices: z.number().int() })),
});
/** A code as it is told once; nobody can read it again. */
export const codeAnswer = z.object({
  code: z.string(),
  untilMs: z.number(),
  /** Where other devices reach the studio; null where the server was not told, so that the page's own address must do. */
  address: z.url().nullable(),
});
export const personCodeAnswer = codeAnswer.extend({ person: personAnswer });
