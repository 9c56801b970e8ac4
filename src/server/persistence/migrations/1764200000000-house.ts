import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The words that a piece was searched by when this was written. */
const PIECE_WORDS_SQL =
  "to_tsvector('simple', name || ' ' || style || ' ' || stands_at || ' ' || box || ' ' || shelf || ' ' || story || ' ' || borrowed_from)";

/** The house: pieces, price notes, gaps, kept searches, and what supplies were used on. */
const statements = [
  `CREATE TABLE "piece" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "template_id" text NOT NULL, "kind" text NOT NULL, "width_mm" double precision, "depth_mm" double precision, "height_mm" double precision, "weight_g" double precision, "material_id" text NOT NULL, "finish_id" text, "sheen" text NOT NULL, "color_l" double precision, "color_a" double precision, "color_b" double precision, "accent_l" double precision, "accent_a" double precision, "accent_b" double precision, "era" text NOT NULL, "lead_test" text NOT NULL, "cord_condition" text NOT NULL, "roles" jsonb NOT NULL, "style" text NOT NULL, "season" text NOT NULL, "stands_at" text NOT NULL, "box" text NOT NULL, "shelf" text NOT NULL, "protection" text NOT NULL, "count" integer NOT NULL, "since_year" integer, "uses" integer NOT NULL, "last_used_on" date, "value" bigint, "currency" text NOT NULL, "story" text NOT NULL, "fragile" boolean NOT NULL, "borrowed_from" text NOT NULL, "back_by" date, "may_alter" boolean NOT NULL, "photo_id" uuid, "seen_on" date, "sorted" boolean NOT NULL, CONSTRAINT "PK_937311b774437b0e7f48fc3ed9d" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_piece_height_mm" ON "piece" ("studio_id", "height_mm")`,
  `CREATE INDEX "ix_piece_last_used_on" ON "piece" ("studio_id", "last_used_on")`,
  `CREATE INDEX "ix_piece_name" ON "piece" ("studio_id", "name")`,
  `CREATE TABLE "price_note" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "subject" text NOT NULL, "subject_id" text NOT NULL, "name" text NOT NULL, "price" jsonb NOT NULL, "currency" text NOT NULL, "source" text NOT NULL, "seen_on" text NOT NULL, CONSTRAINT "PK_1debac18f4db933fa8ff0dc1172" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "gap" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "place" text NOT NULL, "what" text NOT NULL, "since_on" date NOT NULL, "done" boolean NOT NULL, CONSTRAINT "PK_c7f946c24f7063f68400a8ae547" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "saved_search" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "query" text NOT NULL, CONSTRAINT "PK_9f786d89e8ce1498e391ab4be2b" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "supply_use" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "supply_id" uuid NOT NULL, "what" text NOT NULL, "amount" double precision NOT NULL, "on_date" date NOT NULL, CONSTRAINT "PK_e29a1f0a5262badde12b8004c98" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_supply_use_supply_id" ON "supply_use" ("studio_id", "supply_id")`,
  `ALTER TABLE "project" ADD "stands_until" date`,
  `ALTER TABLE "find" ADD "piece_id" uuid`,
  `ALTER TABLE "recipe" ADD "done_on" date`,
  `ALTER TABLE "supply" ADD "base" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "supply" ADD "container_size" double precision`,
  `ALTER TABLE "supply" ADD "opened_on" date`,
  `ALTER TABLE "supply" ADD "keeps_until" date`,
  `ALTER TABLE "supply" ADD "checked_on" date`,
  `ALTER TABLE "pack" ADD "currency" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "tool" ADD "wear" text NOT NULL DEFAULT 'good'`,
  `CREATE INDEX "ix_find_piece_id" ON "find" ("studio_id", "piece_id")`,
  `ALTER TABLE "piece" ADD CONSTRAINT "fk_piece_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "piece" ADD CONSTRAINT "fk_piece_photo_id" FOREIGN KEY ("studio_id", "photo_id") REFERENCES "photo_bytes"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "find" ADD CONSTRAINT "fk_find_piece_id" FOREIGN KEY ("studio_id", "piece_id") REFERENCES "piece"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "price_note" ADD CONSTRAINT "fk_price_note_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "gap" ADD CONSTRAINT "fk_gap_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "saved_search" ADD CONSTRAINT "fk_saved_search_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "supply_use" ADD CONSTRAINT "fk_supply_use_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "supply_use" ADD CONSTRAINT "fk_supply_use_supply_id" FOREIGN KEY ("studio_id", "supply_id") REFERENCES "supply"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "supply" ALTER COLUMN "base" DROP DEFAULT`,
  `ALTER TABLE "pack" ALTER COLUMN "currency" DROP DEFAULT`,
  `ALTER TABLE "tool" ALTER COLUMN "wear" DROP DEFAULT`,
  `CREATE INDEX "ix_piece_words" ON "piece" USING gin ((${PIECE_WORDS_SQL}))`,
];

export class House1764200000000 implements MigrationInterface {
  name = 'House1764200000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('what is in the house is not thrown away');
  }
}
