import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A link may show the photos of the room; those that were made before show none. */
export class PhotosByLink1766600000000 implements MigrationInterface {
  name = 'PhotosByLink1766600000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`ALTER TABLE "share_link" ADD "shows_photos" boolean NOT NULL DEFAULT false`);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`ALTER TABLE "share_link" DROP COLUMN "shows_photos"`);
  }
}
