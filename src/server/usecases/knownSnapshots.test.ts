import { gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { KnownSnapshots } from './knownSnapshots';

const text =
  (tag: string, body = `{"at":"${tag}"}`) =>
  async () => ({ body, tag });
const never = async (): Promise<null> => {
  throw new Error('it was read though it is known');
};

describe('a snapshot that many look at', () => {
  it('is read and packed once for a state, also for those who ask while it is being read', async () => {
    const known = new KnownSnapshots();
    const [a, b] = await Promise.all([known.take('p', '1.1', text('1.1')), known.take('p', '1.1', never)]);
    expect(gunzipSync(a?.bytes ?? Buffer.of()).toString()).toBe('{"at":"1.1"}');
    expect(b).toBe(a);
    expect(await known.take('p', '1.1', never)).toBe(a);
  });

  it('is read anew in another state; of two that are read at once the later one stays', async () => {
    const known = new KnownSnapshots();
    await known.take('p', '1.1', text('1.1'));
    expect((await known.take('p', '2.1', text('2.1')))?.tag).toBe('2.1');
    // Between asking for its state and reading it somebody wrote.
    expect((await known.take('p', '3.1', text('4.1')))?.tag).toBe('4.1');
    expect((await known.take('p', '4.1', never))?.tag).toBe('4.1');
    const slow = known.take('p', '5.1', async () => {
      await new Promise((done) => setTimeout(done, 20));
      return { body: 'five', tag: '5.1' };
    });
    await known.take('p', '6.1', text('6.1'));
    await slow;
    expect((await known.take('p', '6.1', never))?.tag).toBe('6.1');
  });

  it('that is gone, or could not be read, is asked for again', async () => {
    const known = new KnownSnapshots();
    expect(await known.take('p', '1.1', async () => null)).toBeNull();
    await expect(known.take('p', '1.1', never)).rejects.toThrow('it was read');
    expect((await known.take('p', '1.1', text('1.1')))?.tag).toBe('1.1');
  });

  it('is forgotten when others need the room: the one that was asked for longest ago first', async () => {
    // Each takes a little more than twenty bytes packed.
    const known = new KnownSnapshots(100);
    for (const name of ['a', 'b', 'c', 'd', 'e', 'f', 'g']) {
      await known.take(name, '1.1', text('1.1', `{"${name}":1}`));
      if (name !== 'a') await known.take('b', '1.1', text('1.1'));
    }
    let isRead = false;
    await known.take('a', '1.1', async () => {
      isRead = true;
      return { body: 'again', tag: '1.1' };
    });
    expect(isRead).toBe(true);
    expect((await known.take('b', '1.1', never))?.tag).toBe('1.1');
  });
});
