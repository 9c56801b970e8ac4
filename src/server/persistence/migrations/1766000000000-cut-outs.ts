import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The edge of a piece in a picture of it. */
export class CutOuts1766000000000 implements MigrationInterface {
  name = 'CutOuts1766000000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "piece" ADD "cut_out" jsonb');
  }

  async down(): Promise<void> {
    throw new Error('cut-outs are not thrown away');
  }
}
