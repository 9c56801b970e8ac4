import { hash, verify } from '@node-rs/argon2';

/** By which number the library knows argon2id. */
const ARGON2ID = 2;
/**
 * How hard a pass phrase is to guess from its hash: argon2id with 19 MiB and two passes (OWASP Password Storage Cheat
 * Sheet, from memory).
 */
const COST = { algorithm: ARGON2ID, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** Phrases that look alike are alike: letters that can be written in two ways are written in one. */
const plain = (phrase: string): string => phrase.normalize('NFKC');

/** The hash of a pass phrase, with its salt and cost in it. */
export const hashOf = (phrase: string): Promise<string> => hash(plain(phrase), COST);

/** Whether a phrase is the one that was hashed; compared in constant time by the library. */
export async function isPhraseOf(phrase: string, passHash: string): Promise<boolean> {
  try {
    return await verify(passHash, plain(phrase));
  } catch {
    return false;
  }
}

let nobody: Promise<string> | null = null;

/** Spends as long as a check does, so that how long it takes does not tell whether there is such a person. */
export async function checkNobody(phrase: string): Promise<false> {
  nobody ??= hashOf('nobody has this pass phrase');
  await isPhraseOf(phrase, await nobody);
  return false;
}
