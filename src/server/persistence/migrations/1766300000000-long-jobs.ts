import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Long work that waits in the database; and the code by which a studio is set up, known to every server. */
export class LongJobs1766300000000 implements MigrationInterface {
  name = 'LongJobs1766300000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('work that somebody waits for is not thrown away');
  }
}

const statements = [
  `CREATE TABLE "long_job" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "kind" text NOT NULL, "title" text NOT NULL, "project_id" uuid, "device" text NOT NULL, "role" text, "asked" json, "asked_hash" text NOT NULL, "state" text NOT NULL, "done" integer NOT NULL DEFAULT '0', "of" integer NOT NULL DEFAULT '0', "tries" integer NOT NULL DEFAULT '0', "result" jsonb, "refusal" jsonb, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "beat_at" TIMESTAMP WITH TIME ZONE, "ended_at" TIMESTAMP WITH TIME ZONE, CONSTRAINT "PK_LONG_JOB" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_long_job_latest" ON "long_job" ("studio_id", "created_at")`,
  `CREATE INDEX "ix_long_job_open" ON "long_job" ("beat_at") WHERE ended_at IS NULL`,
  `CREATE TABLE "set_up_code" ("code_hash" text NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), CONSTRAINT "PK_SET_UP_CODE" PRIMARY KEY ("code_hash"))`,
  `ALTER TABLE "long_job" ADD CONSTRAINT "fk_long_job_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
];
