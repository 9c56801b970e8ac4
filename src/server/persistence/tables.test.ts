import { randomUUID } from 'node:crypto';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { lots } from '../../core/fixtures/lots';
import { sampleRow } from '../../core/fixtures/sampleRow';
import { type ChangedTable, type Entity, entityOf, tableNames } from '../../core/model/entities';
import { attic, freshStudio } from '../test/studio';
import { allEntities, type StoredRow, schemaOf } from './entities';
import { rowJsonSql } from './sql/rowJson';
import { fromStored, physicalColumns, specFor, specOf, toStored } from './tables';

const { own, studio } = await freshStudio();

describe('a table that is added to the model', () => {
  const spec = specFor(lots as unknown as Entity<ChangedTable>);
  let source: DataSource;
  let place: { projectId: string; spotId: string };
  beforeAll(async () => {
    place = await attic(studio);
    source = new DataSource({ type: 'postgres', url: own.url, entities: [...allEntities, schemaOf(spec)] });
    await source.initialize();
  });
  afterAll(() => source.destroy());

  const keep = (row: Record<string, unknown>) =>
    source.manager.insert('lot', {
      ...toStored(spec, row),
      studioId: studio.studioId,
      id: String(row.id),
      projectId: place.projectId,
    });
  const lot = (change: Record<string, unknown> = {}) => ({
    id: randomUUID(),
    version: 1,
    code: `lot ${randomUUID().slice(0, 8)}`,
    story: 'two\nlines',
    pieces: 3,
    weightKg: 2.5,
    color: { L: 40, a: -12.5, b: 3 },
    sightings: [randomUUID()],
    spotId: place.spotId,
    ...change,
  });

  it('wants just its own table, which the test for drift would write down for a migration', async () => {
    const { upQueries } = await source.driver.createSchemaBuilder().log();
    const wanted = upQueries.map(({ query }) => query);
    expect(wanted.every((query) => query.includes('"lot"'))).toBe(true);
    expect(wanted[0]).toMatch(/^CREATE TABLE "lot" \(.*"weight_kg" double precision,.*"sightings" jsonb NOT NULL/);
    for (const { query } of upQueries) await source.query(query);
    expect((await source.driver.createSchemaBuilder().log()).upQueries).toEqual([]);
  });

  it('keeps rows as its own schema has them', async () => {
    for (const row of [lot(), lot({ weightKg: null, color: null, spotId: null, sightings: [] })]) {
      expect(lots.row.safeParse(row).success).toBe(true);
      await keep(row);
      const [found] = await source.query(`select ${rowJsonSql(spec, 't')} as row from "lot" t where t.id = $1`, [
        row.id,
      ]);
      expect(found.row).toEqual(row);
      const stored = await source.manager.findOneByOrFail(schemaOf(spec).options.name, { id: row.id });
      expect(fromStored(spec, stored as StoredRow)).toEqual(row);
    }
  });

  it('is guarded by the database: no spot that is not there, no code twice', async () => {
    await expect(keep(lot({ spotId: randomUUID() }))).rejects.toThrow(/fk_lot_spot_id/);
    const row = lot();
    await keep(row);
    await expect(keep(lot({ code: row.code }))).rejects.toThrow(/uq_lot_project_id_code/);
  });
});

describe('every table of the model', () => {
  it.each([...tableNames])('%s: a row goes into its columns and comes out of them', async (table) => {
    const spec = specOf(table);
    const columns = physicalColumns(spec);
    for (const filled of [false, true]) {
      const row = sampleRow(table, filled);
      const kept = toStored(spec, row);
      // The same properties as the entity has, and the same row again by both ways that rows are read.
      expect(Object.keys(kept).sort()).toEqual(columns.map(({ property }) => property).sort());
      expect(fromStored(spec, { id: String(row.id), version: 1, ...kept })).toEqual(row);
      const types = { int: 'int', bigint: 'bigint', double: 'double precision', json: 'jsonb' } as const;
      const typed = columns.map(({ column, type }) => `"${column}" ${type in types ? types[type as 'int'] : type}`);
      const named = Object.fromEntries(columns.map(({ property, column }) => [column, kept[property]]));
      const [found] = await own.database.source.query(
        `select ${rowJsonSql(spec, 'r')} as row from jsonb_to_recordset($1::jsonb) as r(id uuid, version int, ${typed.join(', ')})`,
        [JSON.stringify([{ id: row.id, version: 1, ...named }])],
      );
      expect(entityOf(table).row.safeParse(found.row).error?.issues ?? []).toEqual([]);
      expect(found.row).toEqual(row);
    }
  });

  it('a field that it does not have is a fault of the caller, not lost', () => {
    expect(() => toStored(specOf('spots'), { nobody: 1 })).toThrow('spot has no field "nobody"');
  });
});
