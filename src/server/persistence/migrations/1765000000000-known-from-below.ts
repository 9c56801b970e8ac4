import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is not known of a piece until somebody looks. */
const added = [
  ['carries_g', 'double precision'],
  ['inner_width_mm', 'double precision'],
  ['inner_depth_mm', 'double precision'],
  ['inner_height_mm', 'double precision'],
  ['tiers', 'integer'],
  ['fresh_days', 'integer'],
] as const;

/**
 * What was paid and how many there are may be known from below only; a piece says what it carries and
 * holds; a find that was paid for can be put away.
 */
export class KnownFromBelow1765000000000 implements MigrationInterface {
  name = 'KnownFromBelow1765000000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "ledger_line" ADD "at_least" boolean NOT NULL DEFAULT false');
    await queryRunner.query('ALTER TABLE "ledger_line" ALTER COLUMN "at_least" DROP DEFAULT');
    await queryRunner.query('ALTER TABLE "piece" ADD "counted" boolean NOT NULL DEFAULT true');
    await queryRunner.query('ALTER TABLE "piece" ALTER COLUMN "counted" DROP DEFAULT');
    await queryRunner.query(`ALTER TABLE "piece" ADD "outline" text NOT NULL DEFAULT 'unknown'`);
    await queryRunner.query('ALTER TABLE "piece" ALTER COLUMN "outline" DROP DEFAULT');
    for (const [column, type] of added) await queryRunner.query(`ALTER TABLE "piece" ADD "${column}" ${type}`);
    await queryRunner.query('ALTER TABLE "sighting" ADD "archived" boolean NOT NULL DEFAULT false');
    await queryRunner.query('ALTER TABLE "sighting" ALTER COLUMN "archived" DROP DEFAULT');
    await queryRunner.query('ALTER TABLE "spot" ADD "gap_mm" double precision');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "sighting" DROP COLUMN "archived"');
    await queryRunner.query('ALTER TABLE "spot" DROP COLUMN "gap_mm"');
    for (const column of [...added.map(([name]) => name), 'outline', 'counted'])
      await queryRunner.query(`ALTER TABLE "piece" DROP COLUMN "${column}"`);
    await queryRunner.query('ALTER TABLE "ledger_line" DROP COLUMN "at_least"');
  }
}
