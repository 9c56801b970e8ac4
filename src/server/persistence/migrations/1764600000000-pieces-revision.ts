import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The state of a studio's pieces, beside that of all its shared rows. */
export class PiecesRevision1764600000000 implements MigrationInterface {
  name = 'PiecesRevision1764600000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "studio" ADD "pieces_revision" integer NOT NULL DEFAULT 1');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "studio" DROP COLUMN "pieces_revision"');
  }
}
