import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What was paid may be known from below only. */
export class PaidAtLeast1765000000000 implements MigrationInterface {
  name = 'PaidAtLeast1765000000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "ledger_line" ADD "at_least" boolean NOT NULL DEFAULT false');
    await queryRunner.query('ALTER TABLE "ledger_line" ALTER COLUMN "at_least" DROP DEFAULT');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "ledger_line" DROP COLUMN "at_least"');
  }
}
