import { describe, expect, it } from 'vitest';
import { gate } from './gate';

describe('what the page asks for', () => {
  it('is told to all who listen, once', () => {
    let told = 0;
    const end = gate.subscribe(() => {
      told += 1;
    });
    gate.wantSignIn();
    gate.wantSignIn();
    expect([told, gate.asking().signIn]).toEqual([1, true]);
    gate.signedIn();
    expect([told, gate.asking().signIn]).toEqual([2, false]);
    end();
    gate.wantSignIn();
    expect(told).toBe(2);
    gate.signedIn();
  });

  it('is asked once for all who wait for the pass phrase, and answered to all of them', async () => {
    const both = [gate.confirm(), gate.confirm()];
    expect(gate.asking().confirm).toBe(true);
    gate.confirmed(true);
    expect(await Promise.all(both)).toEqual([true, true]);
    expect(gate.asking().confirm).toBe(false);
    const later = gate.confirm();
    gate.confirmed(false);
    expect(await later).toBe(false);
  });
});
