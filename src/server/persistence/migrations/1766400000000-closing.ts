import type { MigrationInterface, QueryRunner } from 'typeorm';

const ofStudio = `"studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid`;
const head = `"studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid`;

const statements = [
  `CREATE TABLE "plan_freeze" (${head}, "at_ms" bigint NOT NULL, "why" text NOT NULL, "note" text NOT NULL, "plan" jsonb NOT NULL, CONSTRAINT "PK_plan_freeze" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_plan_freeze_project" ON "plan_freeze" ("studio_id", "project_id")`,
  `CREATE TABLE "loose_end" (${head}, "about" jsonb NOT NULL, "what" text NOT NULL, "due_on" date, "done_on" date, "way" text, "note" text NOT NULL, CONSTRAINT "PK_loose_end" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_loose_end_project" ON "loose_end" ("studio_id", "project_id")`,
  `CREATE TABLE "box" (${ofStudio}, "name" text NOT NULL, "shelf" text NOT NULL, "protection" text NOT NULL, "note" text NOT NULL, "checked_on" date, "look_again_on" date, CONSTRAINT "PK_box" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE UNIQUE INDEX "uq_box_name" ON "box" ("studio_id", "name") WHERE deleted_at IS NULL`,
  `ALTER TABLE "box" ADD CONSTRAINT "fk_box_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "photo" ADD "pair" jsonb`,
  `ALTER TABLE "project" ADD "archived_on" date`,
  `ALTER TABLE "plan_freeze" ADD CONSTRAINT "fk_plan_freeze_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "loose_end" ADD CONSTRAINT "fk_loose_end_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "plan_freeze" ADD CONSTRAINT "fk_plan_freeze_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "loose_end" ADD CONSTRAINT "fk_loose_end_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
];

/** Plans as they were frozen, what is left to do after the work, and boxes in which things sleep. */
export class Closing1766400000000 implements MigrationInterface {
  name = 'Closing1766400000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('frozen plans are not thrown away');
  }
}
