import { randomUUID } from 'node:crypto';
import sharp, { type Sharp } from 'sharp';
import { describe, expect, it } from 'vitest';
import { attic, freshStudio, HOST, nightstandOption } from './test/studio';

const { studio } = await freshStudio();

const put = async (
  bytes: Uint8Array,
  id: string = randomUUID(),
  name = 'photo.jpg',
  headers: Record<string, string> = {},
) => {
  const response = await studio.app.request(`http://${HOST}/api/photos/${id}?name=${encodeURIComponent(name)}`, {
    method: 'PUT',
    headers: { host: HOST, 'content-type': 'image/jpeg', ...headers },
    body: bytes as BodyInit,
  });
  return { id, status: response.status, json: await response.json() };
};
const get = async (id: string, size: 'full' | 'thumbnail') => {
  const response = await studio.app.request(`http://${HOST}/api/photos/${id}/${size}`, { headers: { host: HOST } });
  return { status: response.status, headers: response.headers, bytes: Buffer.from(await response.arrayBuffer()) };
};

/** Four quarters: red, green over blue, white; 80 × 60. What an upright picture must show. */
async function quarters() {
  const color = (background: string) =>
    sharp({ create: { width: 40, height: 30, channels: 3, background } })
      .png()
      .toBuffer();
  return sharp({ create: { width: 80, height: 60, channels: 3, background: '#000' } })
    .composite([
      { input: await color('#ff0000'), left: 0, top: 0 },
      { input: await color('#00ff00'), left: 40, top: 0 },
      { input: await color('#0000ff'), left: 0, top: 30 },
      { input: await color('#ffffff'), left: 40, top: 30 },
    ])
    .png()
    .toBuffer();
}
/** The stored pixels that, shown by an orientation tag, give the upright picture (the inverse of each tag, EXIF 2.3). */
const stored: Record<number, readonly ((image: Sharp) => Sharp)[]> = {
  1: [],
  2: [(image) => image.flop()],
  3: [(image) => image.rotate(180)],
  4: [(image) => image.flip()],
  5: [(image) => image.rotate(90), (image) => image.flop()],
  6: [(image) => image.rotate(270)],
  7: [(image) => image.rotate(270), (image) => image.flop()],
  8: [(image) => image.rotate(90)],
};
async function corner(bytes: Buffer, x: number, y: number): Promise<string> {
  const { data, info } = await sharp(bytes).raw().toBuffer({ resolveWithObject: true });
  const at = (Math.floor(y * info.height) * info.width + Math.floor(x * info.width)) * info.channels;
  return [0, 1, 2].map((n) => ((data[at + n] ?? 0) > 127 ? '1' : '0')).join('');
}

describe('a photo', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('with EXIF orientation %d is kept upright', async (orientation) => {
    let turned = await quarters();
    for (const turn of stored[orientation] ?? []) turned = await turn(sharp(turned)).png().toBuffer();
    const tagged = await sharp(turned).withMetadata({ orientation }).jpeg({ quality: 95 }).toBuffer();
    const { id, status, json } = await put(tagged);
    expect(status).toBe(200);
    expect(json).toMatchObject({ widthPx: 80, heightPx: 60 });
    for (const size of ['full', 'thumbnail'] as const) {
      const { bytes } = await get(id, size);
      expect([
        await corner(bytes, 0.25, 0.25),
        await corner(bytes, 0.75, 0.25),
        await corner(bytes, 0.25, 0.75),
        await corner(bytes, 0.75, 0.75),
      ]).toEqual(['100', '010', '001', '111']);
    }
  });

  it('leaves every tag behind, where it was taken too', async () => {
    const located = await sharp(await quarters())
      .withExif({ IFD0: { Copyright: 'nobody' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg()
      .toBuffer();
    expect((await sharp(located).metadata()).exif).toBeDefined();
    const { id } = await put(located);
    for (const size of ['full', 'thumbnail'] as const) {
      const meta = await sharp((await get(id, size)).bytes).metadata();
      expect([meta.exif, meta.iptc, meta.xmp]).toEqual([undefined, undefined, undefined]);
    }
  });

  it('is sized and gets a thumbnail; it never changes, so it may be kept by the browser', async () => {
    const large = await sharp({ create: { width: 4000, height: 3000, channels: 3, background: '#2f5d62' } })
      .jpeg()
      .toBuffer();
    const { id, json } = await put(large);
    expect(json).toMatchObject({ widthPx: 2400, heightPx: 1800 });
    const thumbnail = await get(id, 'thumbnail');
    expect((await sharp(thumbnail.bytes).metadata()).width).toBe(360);
    expect(thumbnail.headers.get('content-type')).toBe('image/jpeg');
    expect(thumbnail.headers.get('cache-control')).toContain('immutable');
  });

  it('sent twice under one id is kept once', async () => {
    const first = await put(
      await sharp(await quarters())
        .jpeg()
        .toBuffer(),
    );
    const again = await put(
      await sharp({ create: { width: 9, height: 9, channels: 3, background: '#000' } })
        .jpeg()
        .toBuffer(),
      first.id,
    );
    expect(again.json).toEqual(first.json);
  });

  it('with transparency is laid on white', async () => {
    const { id } = await put(
      await sharp({ create: { width: 20, height: 20, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } })
        .png()
        .toBuffer(),
    );
    expect(await corner((await get(id, 'full')).bytes, 0.5, 0.5)).toBe('111');
  });

  it.each<[string, () => Promise<Uint8Array>, RegExp]>([
    ['notes.txt', async () => Buffer.from('a list of things to buy'), /not a picture|cannot be decoded/],
    ['empty.jpg', async () => new Uint8Array(), /nothing in it/],
    [
      'cut.jpg',
      async () =>
        (
          await sharp({
            create: {
              width: 900,
              height: 900,
              channels: 3,
              background: '#888',
              noise: { type: 'gaussian', mean: 128, sigma: 50 },
            },
          })
            .jpeg()
            .toBuffer()
        ).subarray(0, 9000),
      /cut off|damaged|cannot be decoded/,
    ],
    [
      'drawing.svg',
      async () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
      /cannot be decoded/,
    ],
  ])('%s is refused by name', async (name, bytes, why) => {
    const answer = await put(await bytes(), randomUUID(), name);
    expect(answer.status).toBe(422);
    expect(answer.json.fields[0]).toMatchObject({ field: name, accepted: expect.stringContaining('JPEG') });
    expect(answer.json.fields[0].value).toMatch(why);
    expect((await get(answer.id, 'full')).status).toBe(404);
  });

  it('over 10 MB, or from elsewhere, or as a form, is refused', async () => {
    expect((await put(new Uint8Array(11 * 1024 * 1024))).status).toBe(413);
    const good = await sharp(await quarters())
      .jpeg()
      .toBuffer();
    expect((await put(good, randomUUID(), 'x', { origin: 'http://evil.example' })).status).toBe(403);
    expect((await put(good, randomUUID(), 'x', { 'content-type': 'multipart/form-data' })).status).toBe(415);
  });

  it('joins its project by a command, can be removed and brought back; without bytes it cannot be added', async () => {
    const { projectId } = await attic(studio);
    const { id, json } = await put(
      await sharp(await quarters())
        .jpeg()
        .toBuffer(),
    );
    const photo = { id, version: 1, kind: 'before' as const, name: 'before.jpg', atMs: 1, ...json };
    expect((await studio.command(projectId, 'addPhoto', { photo, inspiration: null })).status).toBe(200);
    expect((await studio.rows(projectId)).photos).toHaveLength(1);
    const removed = await studio.command(projectId, 'removePhoto', { id });
    expect((await studio.rows(projectId)).photos).toEqual([]);
    await studio.command(projectId, 'undo', { actId: removed.json.actId, reversalIds: [] });
    expect((await studio.rows(projectId)).photos[0]?.id).toBe(id);
    const ghost = await studio.command(projectId, 'addPhoto', {
      photo: { ...photo, id: randomUUID() },
      inspiration: null,
    });
    expect([ghost.status, ghost.json.code]).toEqual([422, 'command.refused']);
  });
});

describe('a copy of a project', () => {
  const copy = (projectId: string, kind: string, id: string = randomUUID(), name = 'Copy') =>
    studio.send('POST', `/api/projects/${projectId}/copy`, { id, kind, name });

  it('duplicates everything, photos too, and leaves the first alone', async () => {
    const { projectId, slotId } = await attic(studio);
    const payload = nightstandOption(slotId);
    await studio.command(projectId, 'addOption', payload);
    await studio.command(projectId, 'choose', { slotId, optionId: payload.option.id, count: 1, fillId: randomUUID() });
    const { id, json } = await put(
      await sharp(await quarters())
        .jpeg()
        .toBuffer(),
    );
    await studio.command(projectId, 'addPhoto', {
      photo: { id, version: 1, kind: 'inspiration', name: 'x', atMs: 1, ...json },
      inspiration: { id: randomUUID(), version: 1, photoId: id, seenAt: 'a window', taken: 'the blue' },
    });
    const copyId = randomUUID();
    const answer = await copy(projectId, 'duplicate', copyId);
    expect(answer.json).toMatchObject({ projectId: copyId, name: 'Copy' });
    const copied = await studio.rows(copyId);
    expect([copied.slots.length, copied.finds.length, copied.fills.length, copied.photos.length]).toEqual([1, 1, 1, 1]);
    expect(copied.inspirations[0]).toMatchObject({ photoId: copied.photos[0]?.id, taken: 'the blue' });
    expect(copied.photos[0]?.id).not.toBe(id);
    expect((await get(copied.photos[0]?.id ?? '', 'full')).status).toBe(200);
    // The same request again gives the same copy.
    expect((await copy(projectId, 'duplicate', copyId)).json.projectId).toBe(copyId);
    expect((await studio.rows(projectId)).fills).toHaveLength(1);
  });

  it('for the next season keeps spots and slots, and opens every slot', async () => {
    const { projectId, slotId } = await attic(studio);
    const payload = nightstandOption(slotId);
    await studio.command(projectId, 'addOption', payload);
    await studio.command(projectId, 'choose', { slotId, optionId: payload.option.id, count: 1, fillId: randomUUID() });
    await studio.command(projectId, 'editSlot', { id: slotId, values: { star: { what: 'hall mirror' } } });
    const { json } = await copy(projectId, 'nextSeason');
    const next = await studio.rows(json.projectId);
    expect(next.spots.map((spot) => spot.name)).toEqual(['Bed wall']);
    expect(next.slots[0]).toMatchObject({ name: 'Nightstand, left', star: null });
    expect([next.finds, next.options, next.fills, next.ledger]).toEqual([[], [], [], []]);
    expect(next.project.revealDate).toBeNull();
    // What comes again every year keeps its day; the leap day falls on the last of February.
    const { project } = await studio.rows(projectId);
    await studio.command(projectId, 'editProject', {
      id: projectId,
      values: { revealDate: '2028-02-29', brief: { ...project.brief, comesAgain: true, leavingDate: '2028-03-31' } },
    });
    const again = await studio.rows((await copy(projectId, 'nextSeason')).json.projectId);
    expect(again.project).toMatchObject({ revealDate: '2029-02-28', brief: { comesAgain: true, leavingDate: null } });
  });

  it('as a pattern for another room keeps spots and slots; days, occasion and what is damp or hot stay here', async () => {
    const { projectId } = await attic(studio);
    const { project } = await studio.rows(projectId);
    await studio.command(projectId, 'editProject', {
      id: projectId,
      values: {
        revealDate: '2028-02-20',
        household: { ...project.household, damp: true, youngestChildYears: 3 },
        brief: { ...project.brief, occasion: 'a visit' },
      },
    });
    const id = randomUUID();
    const { json } = await studio.send('POST', `/api/projects/${projectId}/copy`, {
      id,
      kind: 'pattern',
      name: 'Guest room',
      room: 'Guest room',
    });
    const made = await studio.rows(json.projectId);
    expect(made.project).toMatchObject({ name: 'Guest room', room: 'Guest room', revealDate: null });
    expect(made.project.household).toMatchObject({ damp: false, youngestChildYears: 3 });
    expect(made.project.brief.occasion).toBe('');
    expect([made.spots.length, made.slots.length, made.fills.length]).toEqual([1, 1, 0]);
  });

  it('of nothing, or of an unknown kind, is refused', async () => {
    expect((await copy(randomUUID(), 'duplicate')).status).toBe(404);
    const { projectId } = await attic(studio);
    expect((await copy(projectId, 'twice')).json.fields[0].field).toBe('kind');
  });
});

describe('slots for each seat', () => {
  it('follow the seats of their spot, and choices are cut to what is asked', async () => {
    const { projectId, spotId, slotId } = await attic(studio);
    await studio.command(projectId, 'editSpot', {
      id: spotId,
      values: { kind: 'diningTable', measures: { seats: 6 } },
    });
    await studio.command(projectId, 'editSlot', { id: slotId, values: { perSeat: { parts: 1, spares: 2 } } });
    expect((await studio.rows(projectId)).slots[0]?.quantity).toBe(8);
    const payload = nightstandOption(slotId);
    await studio.command(projectId, 'addOption', {
      ...payload,
      find: { ...payload.find, story: { ...payload.find.story, pieces: 8 }, count: 8 },
    });
    await studio.command(projectId, 'choose', { slotId, optionId: payload.option.id, count: 8, fillId: randomUUID() });
    const fewer = await studio.command(projectId, 'editSpot', { id: spotId, values: { measures: { seats: 4 } } });
    expect(fewer.status).toBe(200);
    const after = await studio.rows(projectId);
    expect([after.slots[0]?.quantity, after.fills[0]?.count]).toEqual([6, 6]);
    await studio.command(projectId, 'undo', { actId: fewer.json.actId, reversalIds: [] });
    const back = await studio.rows(projectId);
    expect([back.slots[0]?.quantity, back.fills[0]?.count]).toEqual([8, 8]);
  });
});
