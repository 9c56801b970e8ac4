import type { MigrationInterface, QueryRunner } from 'typeorm';

// The usual workshop as it was when this was written: evenings, weekend days, a table and some floor.
const statements = [
  `CREATE TABLE "weather_day" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "date" date NOT NULL, "hours" jsonb NOT NULL, "source" text NOT NULL, "origin" text NOT NULL, CONSTRAINT "PK_weather_day" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_weather_day_project" ON "weather_day" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_weather_day_project_id_date" ON "weather_day" ("studio_id", "project_id", "date") WHERE deleted_at IS NULL`,
  `CREATE TABLE "bench_plan" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "kind" text NOT NULL, "made_at_ms" bigint NOT NULL, "placed" jsonb NOT NULL, CONSTRAINT "PK_bench_plan" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_bench_plan_project" ON "bench_plan" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_bench_plan_project_id_kind" ON "bench_plan" ("studio_id", "project_id", "kind") WHERE deleted_at IS NULL`,
  `CREATE TABLE "log_entry" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "at_ms" bigint NOT NULL, "what" text NOT NULL, "recipe_name" text NOT NULL, "project_name" text NOT NULL, "work" text NOT NULL, "coating_id" text, "substrate_id" text, "expected_minutes" double precision NOT NULL, "minutes" double precision NOT NULL, "people" integer NOT NULL, "coats" jsonb, "amounts" jsonb NOT NULL, "air" jsonb, "wrong" text, "note" text NOT NULL, "counts" boolean NOT NULL, CONSTRAINT "PK_log_entry" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_log_entry_work" ON "log_entry" ("studio_id", "work")`,
  `CREATE TABLE "step_run" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "recipe_id" uuid, "spot_id" uuid, "option_id" uuid, "step_id" text NOT NULL, "what" text NOT NULL, "state" text NOT NULL, "stretches" jsonb NOT NULL, "people" integer NOT NULL, "by" text NOT NULL, "done_ms" bigint, "log_id" uuid, CONSTRAINT "PK_step_run" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_step_run_project" ON "step_run" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_step_run_project_id_recipe_id_spot_id_option_id_step_id" ON "step_run" ("studio_id", "project_id", "recipe_id", "spot_id", "option_id", "step_id") NULLS NOT DISTINCT WHERE deleted_at IS NULL`,
  `ALTER TABLE "project" ADD "workshop" jsonb`,
  `UPDATE "project" SET "workshop" = '{"version":1,"week":[[{"fromMinute":600,"toMinute":900}],[{"fromMinute":1080,"toMinute":1200}],[{"fromMinute":1080,"toMinute":1200}],[{"fromMinute":1080,"toMinute":1200}],[{"fromMinute":1080,"toMinute":1200}],[{"fromMinute":1080,"toMinute":1200}],[{"fromMinute":600,"toMinute":900}]],"exceptions":[],"helpers":[],"dryingPlaces":[{"id":"table","name":"Table","areaM2":1.2},{"id":"floor","name":"Floor, on a drop cloth","areaM2":3}],"region":"mildCoast","isSouthern":false,"hasShelter":false}'`,
  `ALTER TABLE "project" ALTER COLUMN "workshop" SET NOT NULL`,
  `ALTER TABLE "weather_day" ADD CONSTRAINT "fk_weather_day_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "weather_day" ADD CONSTRAINT "fk_weather_day_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "bench_plan" ADD CONSTRAINT "fk_bench_plan_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "bench_plan" ADD CONSTRAINT "fk_bench_plan_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "log_entry" ADD CONSTRAINT "fk_log_entry_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "step_run" ADD CONSTRAINT "fk_step_run_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "step_run" ADD CONSTRAINT "fk_step_run_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "step_run" ADD CONSTRAINT "fk_step_run_recipe_id" FOREIGN KEY ("studio_id", "recipe_id") REFERENCES "recipe"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "step_run" ADD CONSTRAINT "fk_step_run_spot_id" FOREIGN KEY ("studio_id", "spot_id") REFERENCES "spot"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "step_run" ADD CONSTRAINT "fk_step_run_option_id" FOREIGN KEY ("studio_id", "option_id") REFERENCES "option"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "step_run" ADD CONSTRAINT "fk_step_run_log_id" FOREIGN KEY ("studio_id", "log_id") REFERENCES "log_entry"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
];

/** When and where the making is done, its weather, the plan that is kept, steps at hand, and the log. */
export class Bench1765700000000 implements MigrationInterface {
  name = 'Bench1765700000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('what was logged is not thrown away');
  }
}
