import { randomUUID } from 'node:crypto';
import { addressOf } from '@contract/addresses';
import { changeEvent } from '@contract/answers';
import { newSlot } from '@core/plan/newRows';
import { describe, expect, it } from 'vitest';
import { attic, freshStudio, HOST, studioApp } from './test/studio';

/** Changes of others, as they are told of: from a second server on the same database, too. */
const { own, studio } = await freshStudio();
const place = await attic(studio);
const elsewhere = studioApp(own.database, studio.studioId, { summaryPatienceMs: 0 });
const addSlot = (at: Pick<typeof studio, 'command'>) =>
  at.command(place.projectId, 'addSlot', { row: newSlot(randomUUID(), place.spotId, 9, 'One more') });

/** What a stream tells, one after the other. */
async function watching(projectId: string) {
  const response = await studio.app.request(`http://${HOST}${addressOf('watchProject', { projectId })}`, {
    headers: { host: HOST },
  });
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  const next = async (): Promise<{ tag: string; who: string | null }> => {
    for (;;) {
      const end = rest.indexOf('\n\n');
      if (end >= 0) {
        const block = rest.slice(0, end);
        rest = rest.slice(end + 2);
        const data = /^data: (.*)$/m.exec(block)?.[1];
        if (data) return changeEvent.parse(JSON.parse(data));
        continue;
      }
      const chunk = await reader?.read();
      if (!chunk || chunk.done) throw new Error('the stream is over');
      rest += chunk.value;
    }
  };
  return { response, next, end: () => reader?.cancel() };
}

describe('a project that is watched', () => {
  it('says its state at once, then each change, with the state that is read afterwards', async () => {
    const stream = await watching(place.projectId);
    expect(stream.response.headers.get('content-type')).toMatch(/^text\/event-stream/);
    const first = await stream.next();
    const told = stream.next();
    await addSlot(studio);
    const { tag } = await told;
    expect(tag).not.toBe(first.tag);
    const snapshot = await studio.send('GET', `/api/projects/${place.projectId}/snapshot`);
    expect(snapshot.headers.get('etag')).toBe(`W/"${tag}"`);
    await stream.end();
  });

  it('tells of what was done on another server', async () => {
    const stream = await watching(place.projectId);
    await stream.next();
    const told = stream.next();
    expect((await addSlot(elsewhere)).status).toBe(200);
    await told;
    await stream.end();
  });

  it('that is not there is not watched', async () => {
    const { response } = await watching(randomUUID());
    expect(response.status).toBe(404);
  });
});
