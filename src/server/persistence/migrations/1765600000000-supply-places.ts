import type { MigrationInterface, QueryRunner } from 'typeorm';

const statements = [
  `CREATE TABLE "supply_place" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "supply_key" text NOT NULL, "place" text NOT NULL, CONSTRAINT "PK_supply_place" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_supply_place_project" ON "supply_place" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_supply_place_project_id_supply_key" ON "supply_place" ("studio_id", "project_id", "supply_key") WHERE deleted_at IS NULL`,
  `ALTER TABLE "supply_place" ADD CONSTRAINT "fk_supply_place_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "supply_place" ADD CONSTRAINT "fk_supply_place_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "source" ADD "delivers" jsonb`,
  `UPDATE "offer" SET "rented" = "rented" || '{"wentBackOn":null}' WHERE "rented" IS NOT NULL`,
];

/** Where the stylist buys a supply, and what places send an order for. */
export class SupplyPlaces1765600000000 implements MigrationInterface {
  name = 'SupplyPlaces1765600000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('what was chosen is not thrown away');
  }
}
