import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Columns that other tables are joined by: who fills a slot with an option, and the packs of a supply. */
const indexes = [
  ['ix_fill_option_id', 'fill', 'option_id'],
  ['ix_pack_supply_id', 'pack', 'supply_id'],
] as const;

export class JoinedColumns1764500000000 implements MigrationInterface {
  name = 'JoinedColumns1764500000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const [name, table, column] of indexes)
      await queryRunner.query(`CREATE INDEX "${name}" ON "${table}" ("studio_id", "${column}")`);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    for (const [name] of indexes) await queryRunner.query(`DROP INDEX "${name}"`);
  }
}
