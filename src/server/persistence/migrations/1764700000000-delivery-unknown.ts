import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What delivery comes to may be unknown. */
export class DeliveryUnknown1764700000000 implements MigrationInterface {
  name = 'DeliveryUnknown1764700000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "offer" ALTER COLUMN "delivery" DROP NOT NULL');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('UPDATE "offer" SET "delivery" = 0 WHERE "delivery" IS NULL');
    await queryRunner.query('ALTER TABLE "offer" ALTER COLUMN "delivery" SET NOT NULL');
  }
}
