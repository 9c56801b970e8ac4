import { createHash, randomBytes, randomInt } from 'node:crypto';

/** Letters and digits that nobody takes for one another, read aloud or typed from a screen. */
const ALPHABET = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 8;
const TOKEN_BYTES = 32;

/** A token that only the device has: 256 bits by chance. */
export const newToken = (): string => randomBytes(TOKEN_BYTES).toString('base64url');

/** A code of eight characters, 40 bits by chance: good for minutes, for one use, and for few tries. */
export const newCode = (): string =>
  Array.from({ length: CODE_LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');

/** A code as it is shown: in two groups of four. */
export const shownCode = (code: string): string => `${code.slice(0, 4)}-${code.slice(4)}`;

/** A code as somebody typed it: blanks and dashes do not count, nor does the case. */
export const typedCode = (text: string): string => text.toUpperCase().replace(/[^A-Z0-9]/g, '');

/**
 * What is kept of a token or a code. Both are long enough by chance that a plain hash keeps them: whoever reads the table
 * can come in with neither.
 */
export const kept = (secret: string): string => createHash('sha256').update(secret).digest('hex');
