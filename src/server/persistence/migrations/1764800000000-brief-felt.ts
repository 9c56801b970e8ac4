import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What was assumed of a brief until now, written out. */
const added = { beforePhotoWhy: '', wishedBudget: null, leavingDate: null, comesAgain: false };

/** A wish below the budget, a leaving date, a reason for a photo waived, and slots that keep a function. */
export class BriefFelt1764800000000 implements MigrationInterface {
  name = 'BriefFelt1764800000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`ALTER TABLE "slot" ADD "keeps" jsonb NOT NULL DEFAULT '[]'`);
    await queryRunner.query('ALTER TABLE "slot" ALTER COLUMN "keeps" DROP DEFAULT');
    await queryRunner.query(`UPDATE "project" SET "brief" = '${JSON.stringify(added)}'::jsonb || "brief"`);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "slot" DROP COLUMN "keeps"');
    await queryRunner.query(`UPDATE "project" SET "brief" = "brief" - '{${Object.keys(added).join(',')}}'::text[]`);
  }
}
