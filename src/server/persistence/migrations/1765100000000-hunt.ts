import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Places, receipts, trips and ads; what a decision in a shop needs to know of a find, and what the ledger says more. */
const statements = [
  `CREATE TABLE "source" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "kind" text NOT NULL, "tax" jsonb, "returns" jsonb NOT NULL, "minutes_one_way" integer, "distance_m" double precision, "hours" jsonb NOT NULL, "time_zone" text, "patterns" jsonb NOT NULL, "note" text NOT NULL, CONSTRAINT "PK_5c15360b79b3515a94320840fa2" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "receipt" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "source_id" uuid, "on_date" date NOT NULL, "lines" jsonb NOT NULL, "discounts" jsonb NOT NULL, "tax" jsonb NOT NULL, "rounding" text NOT NULL, "paid" bigint, "foreign" jsonb, "photo_id" uuid, "note" text NOT NULL, CONSTRAINT "PK_d26027ac202cef7d2e63615a04b" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "trip" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "on_date" date NOT NULL, "start_minute" integer NOT NULL, "stops" jsonb NOT NULL, "legs" jsonb NOT NULL, "cost_per_km" bigint NOT NULL, "extras" bigint NOT NULL, "ticked" jsonb NOT NULL, "done" boolean NOT NULL, "note" text NOT NULL, CONSTRAINT "PK_0978d6197b0a083938b2dc26309" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "ad" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "feed" text NOT NULL, "number" text NOT NULL, "title" text NOT NULL, "text" text NOT NULL, "place" text NOT NULL, "distance_m" double precision, "currency" text NOT NULL, "prices" jsonb NOT NULL, "width_mm" double precision, "depth_mm" double precision, "height_mm" double precision, "posted_on" text NOT NULL, "followed" boolean NOT NULL, "gone" boolean NOT NULL, "sighting_id" uuid, CONSTRAINT "PK_774845cc1f1f9ec9eccee9a3a84" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE UNIQUE INDEX "uq_source_name" ON "source" ("studio_id", "name") WHERE deleted_at IS NULL`,
  `CREATE INDEX "ix_receipt_project" ON "receipt" ("studio_id", "project_id")`,
  `CREATE INDEX "ix_trip_project" ON "trip" ("studio_id", "project_id")`,
  `CREATE INDEX "ix_ad_project" ON "ad" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_ad_project_id_feed_number" ON "ad" ("studio_id", "project_id", "feed", "number") WHERE deleted_at IS NULL`,
  `ALTER TABLE "piece" ADD "inspected" jsonb NOT NULL DEFAULT '[]'`,
  `ALTER TABLE "sighting" ADD "source_id" uuid`,
  `ALTER TABLE "sighting" ADD "tag_color" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "sighting" ADD "plenty" boolean`,
  `ALTER TABLE "sighting" ADD "think_until" date`,
  `ALTER TABLE "sighting" ADD "because" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "sighting" ADD "seen_on" date`,
  `ALTER TABLE "sighting" ADD "photo_id" uuid`,
  `ALTER TABLE "sighting" ADD "tag_photo_id" uuid`,
  `ALTER TABLE "sighting" ADD "stand_in" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "ledger_line" ADD "deposit_id" uuid`,
  `ALTER TABLE "ledger_line" ADD "source_id" uuid`,
  `ALTER TABLE "ledger_line" ADD "receipt_id" uuid`,
  `ALTER TABLE "ledger_line" ADD "estimated" boolean NOT NULL DEFAULT false`,
  `ALTER TABLE "ledger_line" ADD "pieces" integer`,
  `ALTER TABLE "ledger_line" ADD "refunds_id" uuid`,
  `ALTER TABLE "ledger_line" ADD "foreign" jsonb`,
  `ALTER TABLE "offer" ADD "source_id" uuid`,
  `ALTER TABLE "offer" ADD "dream" boolean NOT NULL DEFAULT false`,
  // Each name that finds and offers gave their places becomes a place.
  `INSERT INTO "source" ("studio_id", "id", "name", "kind", "tax", "returns", "hours", "patterns", "note")
   SELECT DISTINCT ON (n.studio_id, n.name) n.studio_id, gen_random_uuid(), n.name, 'shop', null, '{"state":"unknown"}'::jsonb, '[]'::jsonb, '[]'::jsonb, ''
   FROM (SELECT studio_id, btrim(source) AS name FROM "sighting" UNION SELECT studio_id, btrim(source) FROM "offer") n WHERE n.name <> ''`,
  `UPDATE "sighting" t SET source_id = s.id FROM "source" s WHERE s.studio_id = t.studio_id AND s.name = btrim(t.source)`,
  `UPDATE "offer" t SET source_id = s.id FROM "source" s WHERE s.studio_id = t.studio_id AND s.name = btrim(t.source)`,
  `ALTER TABLE "sighting" DROP COLUMN "source"`,
  `ALTER TABLE "offer" DROP COLUMN "source"`,
  `ALTER TABLE "piece" ALTER COLUMN "inspected" DROP DEFAULT`,
  `ALTER TABLE "sighting" ALTER COLUMN "tag_color" DROP DEFAULT`,
  `ALTER TABLE "sighting" ALTER COLUMN "because" DROP DEFAULT`,
  `ALTER TABLE "sighting" ALTER COLUMN "stand_in" DROP DEFAULT`,
  `ALTER TABLE "ledger_line" ALTER COLUMN "estimated" DROP DEFAULT`,
  `ALTER TABLE "offer" ALTER COLUMN "dream" DROP DEFAULT`,
  `ALTER TABLE "source" ADD CONSTRAINT "fk_source_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "sighting" ADD CONSTRAINT "fk_sighting_source_id" FOREIGN KEY ("studio_id", "source_id") REFERENCES "source"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "sighting" ADD CONSTRAINT "fk_sighting_photo_id" FOREIGN KEY ("studio_id", "photo_id") REFERENCES "photo"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "sighting" ADD CONSTRAINT "fk_sighting_tag_photo_id" FOREIGN KEY ("studio_id", "tag_photo_id") REFERENCES "photo"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "offer" ADD CONSTRAINT "fk_offer_source_id" FOREIGN KEY ("studio_id", "source_id") REFERENCES "source"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "receipt" ADD CONSTRAINT "fk_receipt_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "receipt" ADD CONSTRAINT "fk_receipt_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "receipt" ADD CONSTRAINT "fk_receipt_source_id" FOREIGN KEY ("studio_id", "source_id") REFERENCES "source"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "receipt" ADD CONSTRAINT "fk_receipt_photo_id" FOREIGN KEY ("studio_id", "photo_id") REFERENCES "photo"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_source_id" FOREIGN KEY ("studio_id", "source_id") REFERENCES "source"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_receipt_id" FOREIGN KEY ("studio_id", "receipt_id") REFERENCES "receipt"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_refunds_id" FOREIGN KEY ("studio_id", "refunds_id") REFERENCES "ledger_line"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_deposit_id" FOREIGN KEY ("studio_id", "deposit_id") REFERENCES "piece"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "trip" ADD CONSTRAINT "fk_trip_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "trip" ADD CONSTRAINT "fk_trip_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ad" ADD CONSTRAINT "fk_ad_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ad" ADD CONSTRAINT "fk_ad_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ad" ADD CONSTRAINT "fk_ad_sighting_id" FOREIGN KEY ("studio_id", "sighting_id") REFERENCES "sighting"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
];

export class Hunt1765100000000 implements MigrationInterface {
  name = 'Hunt1765100000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('places, receipts and what was taken back are not thrown away');
  }
}
