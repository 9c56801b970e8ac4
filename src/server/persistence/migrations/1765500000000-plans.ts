import type { MigrationInterface, QueryRunner } from 'typeorm';

const statements = [
  `CREATE TABLE "named_plan" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "note" text NOT NULL, "choices" jsonb NOT NULL, CONSTRAINT "PK_named_plan" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_named_plan_project" ON "named_plan" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_named_plan_project_id_name" ON "named_plan" ("studio_id", "project_id", "name") WHERE deleted_at IS NULL`,
  `ALTER TABLE "named_plan" ADD CONSTRAINT "fk_named_plan_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "named_plan" ADD CONSTRAINT "fk_named_plan_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "option" ADD "resale_after" bigint`,
  `ALTER TABLE "option" ADD "lasts" jsonb NOT NULL DEFAULT '{"uses":null,"looks":null,"years":null}'`,
  `ALTER TABLE "option" ALTER COLUMN "lasts" DROP DEFAULT`,
  `ALTER TABLE "offer" ADD "rented" jsonb`,
];

/** Plans kept by name; renting, resale, and how long a thing is of use. */
export class Plans1765500000000 implements MigrationInterface {
  name = 'Plans1765500000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('plans that were kept are not thrown away');
  }
}
