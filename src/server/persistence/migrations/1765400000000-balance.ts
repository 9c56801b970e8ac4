import type { MigrationInterface, QueryRunner } from 'typeorm';

const statements = [
  `ALTER TABLE "slot" ADD "locked" boolean NOT NULL DEFAULT false`,
  `ALTER TABLE "slot" ALTER COLUMN "locked" DROP DEFAULT`,
];

/** Slots whose choice stays whatever Balance finds. */
export class Balance1765400000000 implements MigrationInterface {
  name = 'Balance1765400000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`ALTER TABLE "slot" DROP COLUMN "locked"`);
  }
}
