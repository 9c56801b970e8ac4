import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Several studios beside one another, of which the one opened last is shown. */
export class Studios1764900000000 implements MigrationInterface {
  name = 'Studios1764900000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "studio" ADD "opened_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now()');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "studio" DROP COLUMN "opened_at"');
  }
}
