import { randomUUID } from 'node:crypto';
import type { WrittenFile } from '@core/formats/project/projectFile';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { newLook, newPlacement } from '../core/arrange/look/newLook';
import { newPiece } from '../core/sourcing/newPiece';
import { attic, freshStudio, HOST } from './test/studio';

const { studio } = await freshStudio();

/** A look with a bowl on books, as a device sends it: the bowl named before what it stands on. */
async function arranged() {
  const { projectId, slotId, spotId } = await attic(studio);
  const look = newLook(randomUUID(), spotId, 'First look', 0);
  const drawn = (templateId: string) => ({ templateId, measures: {}, color: null });
  const books = newPlacement(randomUUID(), look.id, { drawn: drawn('books'), xMm: 100 });
  const bowl = newPlacement(randomUUID(), look.id, { drawn: drawn('planter'), xMm: 120, footMm: 90, onId: books.id });
  const added = await studio.command(projectId, 'addLook', { row: look, pieces: [bowl, books] });
  expect(added.status).toBe(200);
  return { projectId, slotId, spotId, look, books, bowl };
}

const placeOf = ({ id, footMm, frontMm, onId, layer }: ReturnType<typeof newPlacement>, xMm: number) => ({
  id,
  xMm,
  footMm,
  frontMm,
  onId,
  layer,
});

describe('a look on the server', () => {
  it('is kept with its pieces, whatever order they were sent in', async () => {
    const { projectId, books, bowl } = await arranged();
    const { lookPieces } = await studio.rows(projectId);
    expect(lookPieces.find(({ id }) => id === bowl.id)?.onId).toBe(books.id);
  });

  it('whose piece four devices move at once has it where one of them put it, whole', async () => {
    const { projectId, books } = await arranged();
    const wanted = [200, 300, 400, 500];
    const answers = await Promise.all(
      wanted.map((xMm) => studio.command(projectId, 'movePieces', { places: [placeOf(books, xMm)] })),
    );
    for (const { status } of answers) expect([200, 409]).toContain(status);
    const { lookPieces } = await studio.rows(projectId);
    const moved = lookPieces.find(({ id }) => id === books.id);
    expect(wanted).toContain(moved?.xMm);
    expect(moved?.version).toBe(1 + answers.filter(({ status }) => status === 200).length);
  });

  it('of which one device moves a piece that another has moved since is shown both', async () => {
    const { projectId, books } = await arranged();
    const seen = { expect: { [`lookPieces:${books.id}`]: 1 } };
    expect((await studio.command(projectId, 'movePieces', { places: [placeOf(books, 250)] }, seen)).status).toBe(200);
    const late = await studio.command(projectId, 'movePieces', { places: [placeOf(books, 700)] }, seen);
    expect([late.status, late.json.code]).toEqual([409, 'conflict']);
  });

  it('goes with its spot; one undo brings spot, look and pieces back', async () => {
    const { projectId, spotId, look } = await arranged();
    const before = await studio.rows(projectId);
    const removed = await studio.command(projectId, 'removeSpot', { id: spotId });
    expect(removed.status).toBe(200);
    expect((await studio.rows(projectId)).looks).toEqual([]);
    const undone = await studio.command(projectId, 'undo', { actId: removed.json.actId, reversalIds: [] });
    expect(undone.status).toBe(200);
    const after = await studio.rows(projectId);
    expect(after.looks.map(({ id }) => id)).toEqual([look.id]);
    expect(after.lookPieces).toHaveLength(before.lookPieces.length);
  });

  it('travels in the file: a copy has the same arrangement under ids of its own', async () => {
    const { projectId } = await arranged();
    const file = (await studio.send('GET', `/api/projects/${projectId}/file`)).json as WrittenFile;
    const brought = await studio.work('importProject', { mode: 'copy', file });
    expect(brought.status).toBe(200);
    const copy = await studio.rows(brought.json.projectId);
    const bowl = copy.lookPieces.find(({ onId }) => onId !== null);
    expect(copy.lookPieces).toHaveLength(2);
    expect(copy.lookPieces.some(({ id }) => id === bowl?.onId)).toBe(true);
    expect(file.lookPieces.some(({ id }) => id === bowl?.id)).toBe(false);
  });

  it('refuses in words what cannot be: a piece on itself, a fixing that there is not, a place that is none', async () => {
    const { projectId, books, bowl } = await arranged();
    const onItself = await studio.command(projectId, 'movePieces', {
      places: [{ ...placeOf(books, 100), onId: bowl.id }],
    });
    expect([onItself.status, JSON.stringify(onItself.json)]).toEqual([
      422,
      expect.stringContaining('does not stand on this one'),
    ]);
    const edit = (values: object) => studio.command(projectId, 'editLookPieces', { edits: [{ id: books.id, values }] });
    expect(JSON.stringify((await edit({ heldBy: { fixingId: 'glue', ratedG: null } })).json)).toContain(
      'one of adhesive1',
    );
    expect(JSON.stringify((await edit({ xMm: 'left' })).json)).toContain('a place in mm');
    const gone = await studio.command(projectId, 'takeAway', { ids: [randomUUID()] });
    expect(JSON.stringify(gone.json)).toContain('pieces that are still in the look');
  });

  it('in which a piece of the house is placed has that piece in the answer: a page holds only what its project speaks of', async () => {
    const { projectId, look } = await arranged();
    const clock = newPiece(randomUUID(), 'Mantel clock', { units: 'us', currency: 'USD', today: '2026-06-01' });
    expect((await studio.command(studio.studioId, 'addPieces', { pieces: [clock] })).status).toBe(200);
    const placed = await studio.command(projectId, 'placePieces', {
      rows: [newPlacement(randomUUID(), look.id, { pieceId: clock.id })],
    });
    const sent = placed.json.rows as { table: string; row: { id: string; name: string } }[];
    expect(sent.find(({ table }) => table === 'pieces')?.row).toMatchObject({ id: clock.id, name: 'Mantel clock' });
    expect((await studio.rows(projectId)).pieces.map(({ id }) => id)).toContain(clock.id);
  });

  it('holds a piece of the house: no slot or look of another project gets it, both at once neither', async () => {
    const [mine, other] = [await arranged(), await arranged()];
    const clock = newPiece(randomUUID(), 'Ship clock', { units: 'us', currency: 'USD', today: '2026-06-01' });
    await studio.command(studio.studioId, 'addPieces', { pieces: [clock] });
    const place = ({ projectId, look }: typeof mine) =>
      studio.command(projectId, 'placePieces', { rows: [newPlacement(randomUUID(), look.id, { pieceId: clock.id })] });
    const answers = await Promise.all([place(mine), place(other)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422]);
    const late = answers.find(({ status }) => status === 422);
    expect(late?.json.fields[0]).toMatchObject({
      field: 'the looks of Bed wall',
      value: 'Ship clock',
      accepted: expect.stringContaining('promised to the looks of Bed wall'),
    });
    // Another look of the same spot shares it.
    const holder = answers[0]?.status === 200 ? mine : other;
    const second = newLook(randomUUID(), holder.spotId, 'Second look', 1);
    const copy = newPlacement(randomUUID(), second.id, { pieceId: clock.id });
    const shared = await studio.command(holder.projectId, 'addLook', { row: second, pieces: [copy] });
    expect(shared.status, shared.text).toBe(200);
    // A search for what is free then does not find it, nor does the ranking for a slot of the other project.
    await studio.command(holder.projectId, 'editProject', {
      id: holder.projectId,
      values: { revealDate: '2026-07-01', standsUntil: '2026-07-31' },
    });
    const free = async (from: string, until: string) =>
      (await studio.send('GET', `/api/house/pieces?words=ship clock&freeFrom=${from}&freeUntil=${until}`)).json.total;
    expect(await free('2026-07-10', '2026-07-20')).toBe(0);
    expect(await free('2026-08-10', '2026-08-20')).toBe(1);
    // The house says where it stands.
    const { placements } = (await studio.send('GET', '/api/house/pieces?words=ship clock')).json;
    expect(placements).toMatchObject([{ slotNumber: null, count: 1, projectId: holder.projectId }]);
  });

  it('leaves holes in the house, for every project', async () => {
    const { projectId } = await arranged();
    const row = {
      id: randomUUID(),
      version: 1,
      place: 'Attic, bed wall',
      edge: 'the door frame',
      fromEdgeMm: 76.2,
      heightMm: 1638.3,
      what: 'Frame',
      madeOn: '2026-06-01',
      filled: false,
    };
    expect((await studio.command(projectId, 'recordHoles', { rows: [row] })).status).toBe(200);
    const { projectId: another } = await attic(studio);
    expect((await studio.rows(another)).holes.map(({ id }) => id)).toContain(row.id);
  });
});

describe('pictures of a look', () => {
  it('stay where they are when the project is brought up to date from its file, which carries none', async () => {
    const { projectId, look } = await arranged();
    const photoId = randomUUID();
    const bytes = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#cccccc' } })
      .png()
      .toBuffer();
    const put = await studio.app.request(`http://${HOST}/api/photos/${photoId}?name=before.png`, {
      method: 'PUT',
      headers: { host: HOST, 'content-type': 'image/png' },
      body: bytes as BodyInit,
    });
    const size = await put.json();
    const { widthPx, heightPx, sizeBytes } = size;
    const photo = {
      id: photoId,
      version: 1,
      kind: 'before' as const,
      name: 'Before',
      atMs: 1_780_000_000_000,
      shows: null,
    };
    await studio.command(projectId, 'addPhoto', {
      photo: { ...photo, widthPx, heightPx, sizeBytes },
      inspiration: null,
      aboutId: null,
      find: null,
    });
    const corner = (x: number, y: number) => ({ x, y });
    const plane = {
      photoId,
      corners: [corner(0.1, 0.1), corner(0.9, 0.1), corner(0.9, 0.8), corner(0.1, 0.8)],
      widthMm: 1000,
      heightMm: 700,
      xMm: 0,
      heightAtMm: 0,
      recolored: [],
    };
    const set = await studio.command(projectId, 'editLook', { id: look.id, values: { photo: plane } });
    expect(set.status, set.text).toBe(200);
    const file = (await studio.send('GET', `/api/projects/${projectId}/file`)).json as WrittenFile;
    expect(file.looks[0]?.photo?.photoId).toBeNull();
    const renamed = { ...file, looks: file.looks.map((row) => ({ ...row, name: 'Called otherwise' })) };
    const updated = await studio.work('importProject', { mode: 'update', file: renamed });
    expect(updated.status, updated.text).toBe(200);
    const [after] = (await studio.rows(projectId)).looks;
    expect(after?.name).toBe('Called otherwise');
    expect(after?.photo?.photoId).toBe(photoId);
  });
});
