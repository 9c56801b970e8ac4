import { randomUUID } from 'node:crypto';
import { labFromHex } from '@core/color/lab';
import { blankOption } from '@core/model/blankOption';
import type { PieceRow } from '@core/model/rows';
import { findFromPiece } from '@core/plan/stashPieces';
import { unknownPiece } from '@core/sourcing/unknownPiece';
import { describe, expect, it } from 'vitest';
import type { HouseTable } from '../core/formats/house/planImport';
import { newSlot, newSupply } from '../core/plan/newRows';
import { attic, freshStudio, nightstandOption, studioApp, type TestStudio, testStudio } from './test/studio';

const { own, studio } = await freshStudio();
const { database } = own;

const locale = { units: 'us', currency: 'USD', today: '2026-06-01' } as const;
const piece = (name: string, change: Partial<PieceRow> = {}): PieceRow => ({
  ...unknownPiece(randomUUID(), name, locale),
  ...change,
});
const inHouse: TestStudio['command'] = (_house, kind, payload, change) =>
  studio.command(studio.studioId, kind, payload, change);
const add = async (...pieces: PieceRow[]) => {
  const done = await inHouse('', 'addPieces', { pieces });
  expect(done.status, done.text).toBe(200);
  return done.json;
};
const search = async (query: string) => (await studio.send('GET', `/api/house/pieces?${query}`)).json;
const names = async (query: string): Promise<string[]> => (await search(query)).pieces.map((row: PieceRow) => row.name);

/** What a page sends to fill a slot from the house. */
function use(slotId: string, row: PieceRow, count = 1) {
  const find = findFromPiece(randomUUID(), row);
  return {
    slotId,
    pieceId: row.id,
    count,
    find,
    option: {
      id: randomUUID(),
      version: 1,
      slotId,
      kind: 'own' as const,
      parts: [{ findId: find.id, offerId: null, pieces: 1 }],
      recipeId: null,
      ...blankOption,
    },
    fillId: randomUUID(),
    gap: null,
  };
}

describe('pieces of the stash', () => {
  it('are kept in the house, changed, removed, and come back by undo', async () => {
    const vase = piece('Tall blue vase', { heightMm: 420, color: labFromHex('#2f5f8f'), standsAt: 'mantel' });
    await add(vase);
    expect((await search('words=blu')).pieces).toEqual([vase]);
    const edited = await inHouse('', 'editPiece', { id: vase.id, values: { box: '4', standsAt: '' } });
    expect(edited.status).toBe(200);
    expect((await search('words=vase')).pieces[0]).toMatchObject({ box: '4', version: 2 });
    const gone = await inHouse('', 'removePieces', { ids: [vase.id] });
    expect((await search('words=vase')).total).toBe(0);
    const back = await inHouse('', 'undo', { actId: gone.json.actId, reversalIds: [] });
    expect(back.status, back.text).toBe(200);
    expect(await names('words=vase')).toEqual(['Tall blue vase']);
  });

  it('are refused by field, value and what is accepted', async () => {
    const refused = await inHouse('', 'addPieces', { pieces: [piece('', { heightMm: -3 })] });
    expect(refused.status).toBe(422);
    expect(refused.json.fields).toEqual(
      expect.arrayContaining([
        { field: 'pieces.0.name', value: '', accepted: 'text of 1 to 120 characters' },
        expect.objectContaining({ field: 'pieces.0.heightMm', value: -3 }),
      ]),
    );
  });

  it('tell two tabs that changed the same piece, with both versions', async () => {
    const jug = piece('Milk jug');
    await add(jug);
    await inHouse('', 'editPiece', { id: jug.id, values: { box: '1' } }, { expect: { [`pieces:${jug.id}`]: 1 } });
    const late = await inHouse(
      '',
      'editPiece',
      { id: jug.id, values: { box: '2' } },
      { expect: { [`pieces:${jug.id}`]: 1 } },
    );
    expect(late.status).toBe(409);
    expect(late.json.conflicts[0]).toMatchObject({ theirs: { box: '1' }, mine: { box: '2' } });
  });

  it('belong to their studio alone', async () => {
    const other = await testStudio(database, randomUUID());
    // The installation has one studio; a second one is made by hand, as a host of many would.
    const foreign = randomUUID();
    await database.source.query('insert into "studio" (id, name) values ($1, $2)', [foreign, 'Other']);
    const outsider = studioApp(database, foreign);
    expect((await outsider.send('GET', '/api/house/pieces')).json.total).toBe(0);
    expect((await other.send('GET', '/api/house/pieces')).json.total).toBeGreaterThan(0);
  });

  it('in the house, nothing of a project can be changed', async () => {
    const { slotId } = await attic(studio);
    const refused = await inHouse('', 'addSlot', { row: newSlot(randomUUID(), randomUUID(), 1, 'x') });
    expect(refused.status).toBe(422);
    const left = await inHouse('', 'leaveOut', { slotId });
    expect(left.status).toBe(422);
  });
});

describe('the search', () => {
  it('finds by words, size, role, season, place, and what nobody used for long', async () => {
    await add(
      piece('Pine candlestick', { heightMm: 300, roles: ['height', 'light'], lastUsedOn: '2026-05-01' }),
      piece('Brass candlestick', { heightMm: 180, roles: ['light'], lastUsedOn: '2023-12-01', season: 'winter' }),
      piece('Fern in a pot', { heightMm: 350, roles: ['greenery'], box: '9', standsAt: '' }),
    );
    expect((await names('words=candle')).sort()).toEqual(['Brass candlestick', 'Pine candlestick']);
    expect(await names('words=candle&minHeight=250')).toEqual(['Pine candlestick']);
    expect(await names('role=greenery')).toEqual(['Fern in a pot']);
    expect(await names('words=candle&season=summer')).toEqual(['Pine candlestick']);
    expect(await names('words=candle&unusedSince=2025-06-01')).toEqual(['Brass candlestick']);
    expect(await names('words=candle&sort=tallest')).toEqual(['Pine candlestick', 'Brass candlestick']);
    // What sleeps longest is offered first.
    expect(await names('words=candlestick')).toEqual(['Brass candlestick', 'Pine candlestick']);
    expect(await names('only=stored&words=fern')).toEqual(['Fern in a pot']);
  });

  it('finds what there is room in, turned as it fits; a round thing has one measure across', async () => {
    await add(
      piece('Long pannier', { innerWidthMm: 200, innerDepthMm: 500, innerHeightMm: 300 }),
      piece('Round pannier', { innerWidthMm: 320, innerHeightMm: 250 }),
      piece('Pannier nobody measured', {}),
    );
    expect(await names('words=pannier&holdsWidth=450')).toEqual(['Long pannier']);
    expect((await names('words=pannier&holdsWidth=310')).sort()).toEqual(['Long pannier', 'Round pannier']);
    expect(await names('words=pannier&holdsWidth=300&holdsDepth=310')).toEqual(['Round pannier']);
    expect(await names('words=pannier&holdsHeight=280')).toEqual(['Long pannier']);
    expect(await names('words=pannier&holdsWidth=450&holdsHeight=400')).toEqual([]);
  });

  it('takes what nobody counted for free, however often it is promised', async () => {
    await add(piece('Pinecones', { count: 1, counted: false }));
    const { projectId, slotId } = await attic(studio);
    const [cones] = (await studio.send('GET', '/api/house/pieces?words=pinecones')).json.pieces;
    const find = findFromPiece(randomUUID(), cones);
    const { option } = nightstandOption(slotId);
    const own = { ...option, kind: 'own' as const, parts: [{ findId: find.id, offerId: null, pieces: 1 }] };
    const payload = { slotId, pieceId: cones.id, count: 1, find, option: own, fillId: randomUUID(), gap: null };
    expect((await studio.command(projectId, 'usePiece', payload)).status).toBe(200);
    expect(await names('words=pinecones&freeFrom=2026-01-01&freeUntil=2027-01-01')).toEqual(['Pinecones']);
  });

  it('finds near a color by CIEDE2000, the nearest first', async () => {
    await add(
      piece('Teal bowl', { color: labFromHex('#2f6f73') }),
      piece('Sea bowl', { color: labFromHex('#3b7d84') }),
      piece('Red bowl', { color: labFromHex('#b03030') }),
      piece('Red bowl with teal rim', { color: labFromHex('#b03030'), accent: labFromHex('#2f6f73') }),
    );
    const near = await names('words=bowl&near=2f6f73');
    expect(near.slice(0, 2).sort()).toEqual(['Red bowl with teal rim', 'Teal bowl']);
    expect(near.slice(2)).toEqual(['Sea bowl']);
  });

  it('refuses what it cannot search by, by name', async () => {
    const refused = await studio.send('GET', '/api/house/pieces?minHeight=tall&role=hero');
    expect(refused.status).toBe(422);
    expect(refused.json.fields.map((field: { field: string }) => field.field).sort()).toEqual(['minHeight', 'role']);
  });
});

describe('one piece, one place', () => {
  const dates = async (projectId: string, revealDate: string | null, standsUntil: string | null) => {
    const rows = await studio.rows(projectId);
    return studio.command(projectId, 'editProject', { id: rows.project.id, values: { revealDate, standsUntil } });
  };

  it('fills a slot, is refused to a second spot on overlapping dates with who has it, and is free after', async () => {
    const lantern = piece('Storm lantern');
    await add(lantern);
    const first = await attic(studio);
    const second = await attic(studio);
    await dates(first.projectId, '2026-06-20', '2026-07-31');
    await dates(second.projectId, '2026-07-01', null);
    const filled = await studio.command(first.projectId, 'usePiece', use(first.slotId, lantern));
    expect(filled.status, filled.text).toBe(200);
    const rows = await studio.rows(first.projectId);
    expect(rows.fills).toHaveLength(1);
    expect(rows.pieces.map((row) => row.name)).toEqual(['Storm lantern']);
    expect(rows.finds[0]).toMatchObject({ state: 'owned', pieceId: lantern.id });

    const refused = await studio.command(second.projectId, 'usePiece', use(second.slotId, lantern));
    expect(refused.status).toBe(422);
    expect(refused.json.fields[0]).toMatchObject({ value: 'Storm lantern' });
    expect(refused.json.fields[0].accepted).toContain(
      'promised to slot 1, Nightstand, left, in Attic bedroom until 2026-07-31',
    );
    expect((await studio.rows(second.projectId)).finds).toHaveLength(0);

    await dates(second.projectId, '2026-08-01', null);
    expect((await studio.command(second.projectId, 'usePiece', use(second.slotId, lantern))).status).toBe(200);
    // Moving the dates together again is refused as well, from either side.
    const moved = await dates(first.projectId, '2026-06-20', '2026-08-15');
    expect(moved.status).toBe(422);
    const free = await search('words=storm&freeFrom=2026-07-01&freeUntil=2026-07-02');
    expect(free.total).toBe(0);
    expect((await search('words=storm&freeFrom=2026-06-01&freeUntil=2026-06-10')).total).toBe(1);
  });

  it('of which there are several goes to as many places', async () => {
    const jars = piece('Clear jar', { count: 3 });
    await add(jars);
    const places = [await attic(studio), await attic(studio)];
    for (const { projectId, slotId } of places) {
      const rows = await studio.rows(projectId);
      await studio.command(projectId, 'editSlot', { id: rows.slots[0]?.id ?? '', values: { quantity: 3 } });
      expect(slotId).toBe(rows.slots[0]?.id);
    }
    const [one, two] = places as [(typeof places)[number], (typeof places)[number]];
    expect((await studio.command(one.projectId, 'usePiece', use(one.slotId, jars, 2))).status).toBe(200);
    expect((await studio.command(two.projectId, 'usePiece', use(two.slotId, jars, 2))).status).toBe(422);
    expect((await studio.command(two.projectId, 'usePiece', use(two.slotId, jars, 1))).status).toBe(200);
  });

  it('of which one broke does not stand in the way of other work, only of a new promise', async () => {
    const bowls = piece('Punch bowl', { count: 2 });
    await add(bowls);
    const [one, two] = [await attic(studio), await attic(studio)];
    for (const { projectId, slotId } of [one, two])
      expect((await studio.command(projectId, 'usePiece', use(slotId, bowls))).status).toBe(200);
    expect((await inHouse('', 'editPiece', { id: bowls.id, values: { count: 1 } })).status).toBe(200);
    const rows = await studio.rows(one.projectId);
    const renamed = await studio.command(one.projectId, 'editProject', {
      id: rows.project.id,
      values: { room: 'Attic' },
    });
    expect(renamed.status, renamed.text).toBe(200);
    expect((await dates(one.projectId, '2026-07-01', null)).status).toBe(422);
  });

  it('is not given twice by two projects at the same moment', async () => {
    const clock = piece('Mantel clock');
    await add(clock);
    const places = [await attic(studio), await attic(studio), await attic(studio)];
    const answers = await Promise.all(
      places.map(({ projectId, slotId }) => studio.command(projectId, 'usePiece', use(slotId, clock))),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 422, 422]);
  });

  it('leaves a note where it stood, and takes it along when undone', async () => {
    const boat = piece('Model boat', { standsAt: 'mantel' });
    await add(boat);
    const { projectId, slotId } = await attic(studio);
    const gap = {
      id: randomUUID(),
      version: 1,
      place: 'mantel',
      what: 'Model boat',
      sinceOn: '2026-06-01',
      done: false,
    };
    const done = await studio.command(projectId, 'usePiece', { ...use(slotId, boat), gap });
    expect(done.status, done.text).toBe(200);
    const gaps = async () => (await studio.send('GET', '/api/house')).json.gaps;
    expect(await gaps()).toEqual([gap]);
    const undone = await studio.command(projectId, 'undo', { actId: done.json.actId, reversalIds: [] });
    expect(undone.status, undone.text).toBe(200);
    expect(await gaps()).toEqual([]);
  });
});

describe('a copied project', () => {
  it('shares the pieces of the house instead of doubling them, and leaves them where they are promised', async () => {
    const chest = piece('Copied trunk', { heightMm: 410, photoId: null });
    await add(chest);
    const { projectId, slotId } = await attic(studio);
    expect((await studio.command(projectId, 'usePiece', use(slotId, chest))).status).toBe(200);
    const copied = await studio.send('POST', `/api/projects/${projectId}/copy`, {
      id: randomUUID(),
      kind: 'duplicate',
      name: 'Attic, once more',
    });
    expect(copied.status, copied.text).toBe(200);
    const copy = await studio.rows(copied.json.projectId);
    expect(copy.finds.map((find) => find.pieceId)).toEqual([chest.id]);
    expect(copy.options).toHaveLength(1);
    expect(copy.fills).toHaveLength(0);
    expect((await search('words=copied')).total).toBe(1);
    // The same file from elsewhere, taken in twice, knows the piece by what it is.
    const file = (await studio.send('GET', `/api/projects/${projectId}/file`)).json;
    const foreign = JSON.parse(JSON.stringify(file).replaceAll(chest.id, randomUUID()));
    for (let n = 0; n < 2; n += 1)
      expect((await studio.work('importProject', { mode: 'copy', file: { ...foreign, studioId: 'x' } })).status).toBe(
        200,
      );
    expect((await search('words=copied')).total).toBe(1);
  });

  it('brought up to date from its file keeps the photo of a piece', async () => {
    const { projectId, slotId } = await attic(studio);
    const clock = piece('Clock with a photo');
    await add(clock);
    await studio.command(projectId, 'usePiece', use(slotId, clock));
    const photoId = randomUUID();
    await database.source.query(
      "insert into \"photo_bytes\" (studio_id, id, mime, content, thumbnail, width_px, height_px) values ($1, $2, 'image/jpeg', '', '', 1, 1)",
      [studio.studioId, photoId],
    );
    expect((await inHouse('', 'editPiece', { id: clock.id, values: { photoId } })).status).toBe(200);
    const file = (await studio.send('GET', `/api/projects/${projectId}/file`)).json;
    expect(file.pieces[0].photoId).toBeNull();
    const updated = await studio.work('importProject', { mode: 'update', file });
    expect(updated.status, updated.text).toBe(200);
    expect((await studio.rows(projectId)).pieces[0]?.photoId).toBe(photoId);
  });
});

describe('a find that is a piece', () => {
  it('changes the piece where both know the field', async () => {
    const chest = piece('Sea chest', { heightMm: 400 });
    await add(chest);
    const { projectId, slotId } = await attic(studio);
    await studio.command(projectId, 'usePiece', use(slotId, chest));
    const before = await studio.rows(projectId);
    const findId = before.finds[0]?.id ?? '';
    const edit = await studio.command(projectId, 'editFind', {
      id: findId,
      values: { materialId: 'pine', note: 'smells of salt' },
    });
    expect(edit.status, edit.text).toBe(200);
    const after = await studio.rows(projectId);
    expect(after.pieces[0]?.materialId).toBe('pine');
    expect(after.finds[0]?.note).toBe('smells of salt');
    expect((await search('words=chest')).pieces[0].materialId).toBe('pine');
  });
});

describe('the ranking for a slot', () => {
  it('puts what fits first, tells why, and sends what is promised elsewhere to the end', async () => {
    const place = await attic(studio);
    const rows = await studio.rows(place.projectId);
    await studio.command(place.projectId, 'editSlot', {
      id: rows.slots[0]?.id ?? '',
      values: { name: 'Heron on the left', role: 'height', height: { minimumMm: 300, maximumMm: 500 } },
    });
    const fitting = piece('Wooden heron', { heightMm: 450, roles: ['height'], lastUsedOn: '2020-01-01' });
    const tall = piece('Giant heron', { heightMm: 900, roles: ['height'] });
    const busy = piece('Iron heron', { heightMm: 450, roles: ['height'] });
    await add(fitting, tall, busy);
    const elsewhere = await attic(studio);
    await studio.command(elsewhere.projectId, 'usePiece', use(elsewhere.slotId, busy));
    const answer = await studio.send('GET', `/api/projects/${place.projectId}/slots/${place.slotId}/fits?limit=200`);
    expect(answer.status, answer.text).toBe(200);
    const order = answer.json.fits.map((fit: { piece: PieceRow }) => fit.piece.name);
    expect(order[0]).toBe('Wooden heron');
    expect(order.indexOf('Giant heron')).toBeGreaterThan(0);
    const last = answer.json.fits.at(-1);
    const iron = answer.json.fits.find((fit: { piece: PieceRow }) => fit.piece.name === 'Iron heron');
    expect(iron).toMatchObject({ free: false });
    expect(iron.placements[0].projectName).toBe('Attic bedroom');
    expect(last.free).toBe(false);
    const giant = answer.json.fits.find((fit: { piece: PieceRow }) => fit.piece.name === 'Giant heron');
    expect(giant.reasons.find((reason: { aspect: string }) => reason.aspect === 'size')).toMatchObject({
      code: 'size.over',
      score: 0,
      figures: { direction: 'height', byMm: 400 },
    });
  });

  it('is the same from a server that remembers the pieces and from one that reads them, after every kind of change', async () => {
    const { projectId, slotId } = await attic(studio);
    const fits = async (app: TestStudio) => {
      const { json } = await app.send('GET', `/api/projects/${projectId}/slots/${slotId}/fits?limit=200`);
      return json.fits.map((fit: { piece: PieceRow; score: number }) => [fit.piece.name, fit.piece.version, fit.score]);
    };
    const other = studioApp(own.database, studio.studioId);
    const both = async () => {
      const remembered = await fits(studio);
      expect(await fits(studioApp(own.database, studio.studioId))).toEqual(remembered);
      return remembered.map(([name]: [string]) => name) as string[];
    };
    const jug = piece('Slate jug', { heightMm: 400 });
    const mug = piece('Slate mug', { heightMm: 120 });
    await add(jug, mug);
    expect(await both()).toEqual(expect.arrayContaining(['Slate jug', 'Slate mug']));
    const edited = await studio.command(studio.studioId, 'editPiece', { id: jug.id, values: { heightMm: 1900 } });
    await both();
    // What belongs to the house and is no piece leaves them as they are.
    await studio.command(studio.studioId, 'setTool', {
      tool: { id: randomUUID(), version: 1, toolId: 'respirator', owned: true, wear: 'good' },
    });
    await both();
    // Another server's write is seen too.
    await other.command(studio.studioId, 'editPiece', { id: mug.id, values: { name: 'Slate cup' } });
    expect(await both()).toContain('Slate cup');
    await studio.command(studio.studioId, 'removePieces', { ids: [mug.id] });
    expect(await both()).not.toContain('Slate cup');
    await studio.command(studio.studioId, 'undo', { actId: edited.json.actId, also: [], reversalIds: [] });
    await both();
    await studio.work('importHouse', {
      kind: 'pieces',
      text: 'Name\nSlate bowl\n',
      units: 'us',
      currency: 'USD',
      today: '2026-06-01',
    });
    expect(await both()).toContain('Slate bowl');
  });

  it('answers 404 for a slot that is not there', async () => {
    const { projectId } = await attic(studio);
    expect((await studio.send('GET', `/api/projects/${projectId}/slots/${randomUUID()}/fits`)).status).toBe(404);
  });
});

describe('risers', () => {
  it('make up a missing height from what is owned', async () => {
    await add(
      piece('Atlas', { heightMm: 40, widthMm: 250, depthMm: 200, roles: ['riser'] }),
      piece('Novel', { heightMm: 25, widthMm: 180, depthMm: 120, roles: ['riser'] }),
      piece('Not a riser', { heightMm: 65, roles: ['filler'] }),
    );
    const answer = await studio.send('GET', '/api/house/risers?gapMm=66&toleranceMm=5');
    expect(answer.json.combinations[0]).toMatchObject({ heightMm: 65, offMm: -1 });
    expect(answer.json.combinations[0].pieces.map((row: { name: string }) => row.name)).toEqual(['Atlas', 'Novel']);
    expect(answer.json.combinations[0]).toMatchObject({ loadKnown: false, slender: false });
    // A heavy square thing on a round drum that is too small for its corners and for its weight.
    await add(
      piece('Drum', { heightMm: 120, widthMm: 170, depthMm: 170, outline: 'round', carriesG: 900, roles: ['riser'] }),
    );
    const drums = async (more: string) =>
      (await studio.send('GET', `/api/house/risers?gapMm=120&toleranceMm=2&${more}`)).json.combinations.length;
    expect(await drums('widthMm=200&depthMm=200&outline=round&weightG=800')).toBe(1);
    expect(await drums('widthMm=220&depthMm=220&outline=square&weightG=800')).toBe(0);
    expect(await drums('widthMm=200&depthMm=200&outline=round&weightG=1000')).toBe(0);
    expect((await studio.send('GET', '/api/house/risers?gapMm=0')).status).toBe(422);
  });
});

describe('what projects share', () => {
  it('is not removed from the house while one of them refers to it', async () => {
    const { projectId } = await attic(studio);
    const rows = await studio.rows(projectId);
    const card = { id: randomUUID(), version: 1, name: 'Shared green', lab: labFromHex('#4f7a4b') };
    await inHouse('', 'addColorCard', { row: card });
    const supply = newSupply(randomUUID(), 'chalk', card.id, 'matt');
    const bought = await studio.command(projectId, 'buySupply', {
      supply,
      amount: 946,
      paid: 2400,
      ledgerId: randomUUID(),
      atMs: 0,
    });
    expect(bought.status, bought.text).toBe(200);
    const refused = await inHouse('', 'removeSupply', { id: supply.id });
    expect(refused.status).toBe(422);
    expect(refused.json.fields[0].accepted).toContain('no project has paid for');
    // The project can still be worked on.
    const renamed = await studio.command(projectId, 'editProject', { id: rows.project.id, values: { room: 'Loft' } });
    expect(renamed.status, renamed.text).toBe(200);
  });

  it('keeps a color that came with a file once a palette shows it', async () => {
    const answered = await studio.work('importHouse', {
      kind: 'supplies',
      text: 'Kind,Color,Color code,Left\nRibbon,Sea pink,#e0a0a0,3',
      units: 'us',
      currency: 'USD',
      today: '2026-06-01',
    });
    const { actId } = answered.json;
    const cards = (await studio.send('GET', '/api/house')).json.colorCards;
    const pink = cards.find((card: { name: string }) => card.name === 'Sea pink');
    const { projectId } = await attic(studio);
    const { project } = await studio.rows(projectId);
    const brief = { ...project.brief, palette: [{ colorCardId: pink.id, role: 'accent' as const }] };
    expect((await studio.command(projectId, 'editProject', { id: project.id, values: { brief } })).status).toBe(200);
    const undone = await inHouse('', 'undo', { actId, reversalIds: [] });
    expect(undone.status).toBe(422);
    expect(undone.json.fields[0]).toMatchObject({ field: 'colorCard', value: pink.id });
    expect((await studio.command(projectId, 'editProject', { id: project.id, values: { room: 'x' } })).status).toBe(
      200,
    );
  });
});

describe('the panels', () => {
  it('add up what there is, what sleeps, what goes back, and how much of a look was owned', async () => {
    await add(
      piece('Lent easel', { borrowedFrom: 'the neighbor', backBy: '2026-06-30' }),
      piece('Valued clock', { value: 4500, lastUsedOn: '2024-01-01' }),
    );
    const place = await attic(studio);
    const stool = piece('Valued stool', { value: 2000 });
    await add(stool);
    await studio.command(place.projectId, 'usePiece', use(place.slotId, stool));
    const { json } = await studio.send('GET', '/api/house/panels');
    expect(json.borrowed.map((row: PieceRow) => row.name)).toEqual(['Lent easel']);
    expect(json.sleeping.count).toBeGreaterThanOrEqual(1);
    // What was never used has slept longest and comes first; nothing used within the year is among them.
    const lastUses = json.sleeping.pieces.map((row: PieceRow) => row.lastUsedOn ?? '');
    expect(lastUses).toEqual([...lastUses].sort());
    expect(lastUses.every((date: string) => date < '2025-06-02')).toBe(true);
    expect(await names('words=valued&unusedSince=2025-06-01')).toEqual(['Valued stool', 'Valued clock']);
    expect(json.owned.find((row: { projectId: string }) => row.projectId === place.projectId)).toMatchObject({
      filled: 1,
      fromHouse: 1,
      value: 2000,
      fromHouseValue: 2000,
    });
  });

  it('and the start page follow a price that was noted in the house', async () => {
    const place = await attic(studio);
    const rows = await studio.rows(place.projectId);
    expect(rows.fills).toHaveLength(0);
    const clock = piece('Priced clock', { value: 1000 });
    await add(clock);
    await studio.command(place.projectId, 'usePiece', use(place.slotId, clock));
    const value = async () => {
      const { projects } = (await studio.send('GET', '/api/projects?limit=200')).json;
      return projects.find((project: { id: string }) => project.id === place.projectId).summary.owned.fromHouseValue;
    };
    expect(await value()).toBe(1000);
    await inHouse('', 'editPiece', { id: clock.id, values: { value: 2500 } });
    expect(await value()).toBe(2500);
  });

  it('gives a borrowed piece back, and only a borrowed one', async () => {
    const ladder = piece('Lent ladder', { borrowedFrom: 'the chapel' });
    const ours = piece('Our ladder');
    await add(ladder, ours);
    expect((await inHouse('', 'giveBack', { id: ours.id })).status).toBe(422);
    expect((await inHouse('', 'giveBack', { id: ladder.id })).status).toBe(200);
    expect(await names('words=ladder')).toEqual(['Our ladder']);
  });
});

describe('a file for the house', () => {
  const locale = { units: 'us', currency: 'USD', today: '2026-06-01' } as const;
  const preview = async (kind: string, text: string, more: object = {}) =>
    (await studio.send('POST', '/api/house/import/preview', { kind, text, ...locale, ...more })).json;
  const bring = async (kind: HouseTable, text: string) =>
    (await studio.work('importHouse', { kind, text, ...locale })).json;
  const undo = (actId: string) => inHouse('', 'undo', { actId, reversalIds: [] });

  it('is shown before it is written, then written with progress, and taken back as one act', async () => {
    const text = '\uFEFFName;Height (cm);Box\r\n"Urn; gray";40,5;7\r\nBroken urn;high;7\r\n=Urn;30;8\r\n';
    const shown = await preview('pieces', text);
    expect(shown).toMatchObject({ delimiter: ';', decimal: ',', total: 3, counts: { new: 2, bad: 1 } });
    expect(shown.lines[0]).toMatchObject({ line: 3, fate: 'bad', problems: [{ field: 'Height (cm)', value: 'high' }] });
    expect(await names('words=urn')).toEqual([]);

    const answered = await bring('pieces', text);
    expect(answered.counts).toMatchObject({ new: 2, bad: 1 });
    expect((await search('words=urn&sort=name')).pieces.map((row: PieceRow) => [row.name, row.heightMm])).toEqual([
      ['=Urn', 300],
      ['Urn; gray', 405],
    ]);
    // The same file once more brings nothing.
    expect((await preview('pieces', text)).counts).toMatchObject({ new: 0, same: 2 });

    const csv = (await studio.send('GET', '/api/house/file/pieces?units=us&currency=USD')).text;
    expect(csv).toContain('"\'=Urn"');
    expect((await preview('pieces', csv)).counts).toMatchObject({ new: 0, change: 0, bad: 0 });

    const back = await undo(answered.actId);
    expect(back.status, back.text).toBe(200);
    expect(await names('words=urn')).toEqual([]);
    // A removed piece comes back as one of its own.
    expect((await bring('pieces', csv)).counts.new).toBe(2);
    expect((await names('words=urn')).length).toBe(2);
  });

  it('changes what it names by id, and gives the old state back', async () => {
    const kettle = piece('Copper kettle', { box: '1' });
    await add(kettle);
    const answered = await bring('pieces', `Id,Name,Box\n${kettle.id},Copper kettle,9`);
    expect(answered.counts).toMatchObject({ change: 1 });
    expect((await search('words=kettle')).pieces[0]).toMatchObject({ box: '9', version: 2 });
    expect((await undo(answered.actId)).status).toBe(200);
    expect((await search('words=kettle')).pieces[0]).toMatchObject({ box: '1', version: 3 });
  });

  it('is not taken back over what was changed since; both versions are told', async () => {
    const answered = await bring('pieces', 'Name\nPewter mug\nPewter plate');
    const mug = (await search('words=mug')).pieces[0];
    await inHouse('', 'editPiece', { id: mug.id, values: { box: 'kitchen' } });
    const refused = await undo(answered.actId);
    expect(refused.status).toBe(409);
    expect(refused.json.conflicts).toHaveLength(1);
    expect(refused.json.conflicts[0].theirs).toMatchObject({ name: 'Pewter mug', box: 'kitchen' });
    expect((await names('words=pewter')).length).toBe(2);
  });

  it('brings supplies with their color cards, and prices with their packs', async () => {
    const supplies = await bring(
      'supplies',
      'Kind,Color,Color code,Sheen,Left,Full can holds\nChalk-type paint,Storm,#445566,matt,16 fl oz,1 qt',
    );
    expect(supplies.counts).toMatchObject({ new: 1, bad: 0 });
    const prices = await bring(
      'prices',
      'Kind,Color,Sheen,Pack,Size,Price,Source\nChalk-type paint,Storm,matt,quart,1 qt,22.50,The Penny Shelf',
    );
    expect(prices.counts).toMatchObject({ new: 1, bad: 0 });
    const { json } = await studio.send('GET', '/api/house');
    const storm = json.colorCards.find((row: { name: string }) => row.name === 'Storm');
    const supply = json.supplies.find((row: { colorCardId: string }) => row.colorCardId === storm.id);
    expect(supply.stash.amount).toBeCloseTo(473.18, 1);
    expect(json.packs.filter((row: { supplyId: string }) => row.supplyId === supply.id)).toMatchObject([
      { name: 'quart', currency: 'USD', source: 'The Penny Shelf' },
    ]);
    for (const kind of ['supplies', 'prices'] as const) {
      const csv = (await studio.send('GET', `/api/house/file/${kind}?units=us&currency=USD`)).text;
      expect((await preview(kind, csv)).counts).toMatchObject({ new: 0, change: 0, bad: 0 });
    }
  });

  it('of nearly ten thousand rows goes in whole and out as one act; what no longer fits is refused whole', async () => {
    const lines = Array.from({ length: 9_900 }, (_, n) => `Crate ${n},${10 + (n % 60)},box ${n % 40}`);
    const answered = await bring('pieces', `Name,Height,Box\n${lines.join('\n')}`);
    expect(answered.counts).toMatchObject({ new: 9_900, bad: 0 });
    expect((await search('words=crate')).total).toBe(9_900);
    const more = Array.from({ length: 101 }, (_, n) => `Hamper ${n},30,attic`);
    const refused = await bring('pieces', `Name,Height,Box\n${more.join('\n')}`);
    expect(refused).toMatchObject({
      code: 'command.refused',
      fields: [{ accepted: expect.stringContaining('10000') }],
    });
    expect((await search('words=hamper')).total).toBe(0);
    expect((await undo(answered.actId)).status).toBe(200);
    expect((await search('words=crate')).total).toBe(0);
  });

  it('that is none is refused by name', async () => {
    const refused = await studio.send('POST', '/api/house/import/preview', { kind: 'pets', text: '', ...locale });
    expect(refused.status).toBe(422);
    expect(refused.json.fields[0]).toMatchObject({ field: 'kind', value: 'pets' });
    expect((await preview('pieces', '')).total).toBe(0);
  });
});
