import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkNobody, hashOf, isPhraseOf } from './passPhrase';
import { kept, newCode, newToken, shownCode, typedCode } from './secrets';

describe('a pass phrase', () => {
  // Encoded hashes from the test program of Argon2's reference implementation (argon2id, version 19; from memory).
  it.each([
    ['$argon2id$v=19$m=65536,t=1,p=1$c29tZXNhbHQ$9qWtwbpyPd3vm1rB1GThgPzZ3/ydHL92zKL+15XZypg', 'password'],
    ['$argon2id$v=19$m=256,t=2,p=1$c29tZXNhbHQ$nf65EOgLrQMR/uIPnA4rEsF5h7TKyQwu9U1bMCHGi/4', 'password'],
    ['$argon2id$v=19$m=256,t=2,p=2$c29tZXNhbHQ$bQk8UB/VmZZF4Oo79iDXuL5/0ttZwg2f/5U52iv1cDc', 'password'],
    ['$argon2id$v=19$m=65536,t=2,p=1$c29tZXNhbHQ$C4TWUs9rDEvq7w3+J4umqA32aWKB1+DSiRuBfYxFj94', 'differentpassword'],
  ])('is the one that Argon2’s reference hashed: %s', async (encoded, phrase) => {
    expect(await isPhraseOf(phrase, encoded)).toBe(true);
    expect(await isPhraseOf(`${phrase} `, encoded)).toBe(false);
  });

  it('is hashed with its own salt each time, at the cost that we say', async () => {
    const [one, other] = [await hashOf('kelp lantern seven oars'), await hashOf('kelp lantern seven oars')];
    expect(one).not.toBe(other);
    for (const hash of [one, other]) {
      expect(hash.startsWith('$argon2id$v=19$m=19456,t=2,p=1$')).toBe(true);
      expect(await isPhraseOf('kelp lantern seven oars', hash)).toBe(true);
    }
  });

  it('is the same however its letters are written', async () => {
    const hash = await hashOf('caf\u00e9 lantern oars');
    expect(await isPhraseOf('cafe\u0301 lantern oars', hash)).toBe(true);
  });

  it('is nobody’s where there is nobody, or where the hash is none', async () => {
    expect(await checkNobody('kelp lantern seven oars')).toBe(false);
    expect(await isPhraseOf('anything', 'no hash')).toBe(false);
  });
});

describe('a code', () => {
  it('is eight letters and digits that nobody takes for one another, and never the same', () => {
    const codes = Array.from({ length: 2000 }, newCode);
    for (const code of codes) expect(code).toMatch(/^[A-HJ-NP-Z2-9]{8}$/);
    expect(new Set(codes).size).toBe(codes.length);
    // Every character comes, about as often as any other: 16000 draws of 32, five standard deviations wide.
    const counts = new Map<string, number>();
    for (const letter of codes.join('')) counts.set(letter, (counts.get(letter) ?? 0) + 1);
    expect(counts.size).toBe(32);
    for (const count of counts.values()) expect(Math.abs(count - 500)).toBeLessThan(5 * Math.sqrt(500));
  });

  it('is read however somebody types it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(' ', '-', '.', ''), { minLength: 9, maxLength: 9 }),
        fc.boolean(),
        (between, isLower) => {
          const code = newCode();
          const typed = [...code].map((letter, n) => `${between[n]}${letter}`).join('') + between[8];
          expect(typedCode(isLower ? typed.toLowerCase() : typed)).toBe(code);
          expect(typedCode(shownCode(code))).toBe(code);
        },
      ),
    );
  });
});

describe('a token', () => {
  it('has 256 bits, and what is kept of it does not tell it', () => {
    const token = newToken();
    expect(Buffer.from(token, 'base64url')).toHaveLength(32);
    expect(newToken()).not.toBe(token);
    expect(kept(token)).toMatch(/^[0-9a-f]{64}$/);
    expect(kept(token)).not.toContain(token.slice(0, 8));
  });

  it('is kept as SHA-256 has it (FIPS 180-4, “abc”)', () => {
    expect(kept('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
  });
});
