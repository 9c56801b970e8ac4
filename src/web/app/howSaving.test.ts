import { describe, expect, it } from 'vitest';
import { howSaving, waitingIn } from './howSaving';

const waiting = { state: 'waiting' };
const refused = { state: 'refused' };

describe('how saving goes', () => {
  it('is done only where nothing waits and nothing is still being made', () => {
    expect(howSaving({ entries: [], isMaking: false, offline: false })).toBe('done');
    expect(howSaving({ entries: [], isMaking: true, offline: false })).toBe('underWay');
    expect(howSaving({ entries: [waiting], isMaking: false, offline: false })).toBe('underWay');
  });

  it('is kept here where the server does not answer, and then counts what is to be sent', () => {
    const entries = [waiting, refused, waiting];
    expect(howSaving({ entries, isMaking: false, offline: true })).toBe('keptHere');
    expect(waitingIn(entries)).toBe(2);
    expect(howSaving({ entries: [refused], isMaking: false, offline: true })).toBe('offline');
  });

  it('is under way without a connection too, while what was asked for is still being made', () => {
    expect(howSaving({ entries: [], isMaking: true, offline: true })).toBe('underWay');
  });
});
