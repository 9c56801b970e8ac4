import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Of what was ordered it is known whether it has come. */
export class Arrivals1765200000000 implements MigrationInterface {
  name = 'Arrivals1765200000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "offer" ADD "arrived_on" date');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "offer" DROP COLUMN "arrived_on"');
  }
}
