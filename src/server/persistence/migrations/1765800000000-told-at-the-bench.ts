import type { MigrationInterface, QueryRunner } from 'typeorm';

const statements = [`ALTER TABLE "photo" ADD "shows" jsonb`, `ALTER TABLE "step_run" ADD "wrong" text`];

/** What is told of a step at the bench: pictures of it, and what went wrong at work that is no coat. */
export class ToldAtTheBench1765800000000 implements MigrationInterface {
  name = 'ToldAtTheBench1765800000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('what was told is not thrown away');
  }
}
