import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Recipes that the studio keeps. Recipes of an older shape are brought up when they are read. */
const statements = [
  `CREATE TABLE "studio_recipe" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "template_id" text NOT NULL, "body" jsonb NOT NULL, CONSTRAINT "PK_eb7122ca1e0ad190b35180594de" PRIMARY KEY ("studio_id", "id"))`,
  `ALTER TABLE "studio_recipe" ADD CONSTRAINT "fk_studio_recipe_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
];

export class StudioRecipes1764300000000 implements MigrationInterface {
  name = 'StudioRecipes1764300000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('what the studio keeps is not thrown away');
  }
}
