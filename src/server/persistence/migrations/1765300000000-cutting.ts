import type { MigrationInterface, QueryRunner } from 'typeorm';

const statements = [
  `CREATE TABLE "artwork" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "width_mm" double precision NOT NULL, "height_mm" double precision NOT NULL, "layers" jsonb NOT NULL, "text" jsonb, CONSTRAINT "PK_cadfb8a8b85349c9a37fcf7d19c" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_artwork_project" ON "artwork" ("studio_id", "project_id")`,
  `CREATE TABLE "layout" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "kind_id" text NOT NULL, "color_card_id" uuid, "sheen" text, "pins" jsonb NOT NULL, CONSTRAINT "PK_54ed9cfcd0b6dccfe525969e963" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_layout_project" ON "layout" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_layout_project_id_kind_id_color_card_id_sheen" ON "layout" ("studio_id", "project_id", "kind_id", "color_card_id", "sheen") NULLS NOT DISTINCT WHERE deleted_at IS NULL`,
  `ALTER TABLE "supply" ADD "stock" jsonb`,
  `ALTER TABLE "supply" ADD "offcuts" jsonb NOT NULL DEFAULT '[]'`,
  `ALTER TABLE "supply" ALTER COLUMN "offcuts" DROP DEFAULT`,
  `ALTER TABLE "supply_use" ADD "cut" jsonb`,
  // Film by its plain name is told apart from film that stays.
  `UPDATE "supply" SET "kind_id" = 'removableFilm' WHERE "kind_id" = 'film'`,
  `ALTER TABLE "artwork" ADD CONSTRAINT "fk_artwork_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "artwork" ADD CONSTRAINT "fk_artwork_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "layout" ADD CONSTRAINT "fk_layout_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "layout" ADD CONSTRAINT "fk_layout_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "layout" ADD CONSTRAINT "fk_layout_color_card_id" FOREIGN KEY ("studio_id", "color_card_id") REFERENCES "color_card"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
];

/** Stock that is cut: sizes and leftovers of supplies, artworks, and what was laid by hand. */
export class Cutting1765300000000 implements MigrationInterface {
  name = 'Cutting1765300000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('artworks and leftovers are not thrown away');
  }
}
