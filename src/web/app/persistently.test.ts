import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { persistently } from './persistently';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('a part of the app that somebody waits for', () => {
  it('is asked for once where it comes at once', async () => {
    const load = vi.fn(async () => 'here');
    await expect(persistently(load)).resolves.toBe('here');
    expect(load).toHaveBeenCalledTimes(1);
  });

  it('is asked for again a second after each failure, until it comes', async () => {
    let tries = 0;
    const load = vi.fn(async () => {
      tries += 1;
      if (tries < 4) throw new Error('no signal');
      return 'here';
    });
    const coming = persistently(load);
    await vi.advanceTimersByTimeAsync(2_500);
    expect(load).toHaveBeenCalledTimes(3);
    await vi.advanceTimersByTimeAsync(1_000);
    await expect(coming).resolves.toBe('here');
    await vi.advanceTimersByTimeAsync(60_000);
    expect(load).toHaveBeenCalledTimes(4);
  });
});
