import { recipeBody2 } from '@core/formats/project/upgrades/recipes';
import type { MigrationInterface, QueryRunner } from 'typeorm';

const ROW = `"studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid`;

/** A price range written from its high end to its low one, turned round; `price` names an expression. */
const ordered = (price: string) =>
  `case when (${price} ->> 'low') is not null and (${price} ->> 'high') is not null and (${price} ->> 'low')::numeric > (${price} ->> 'high')::numeric
     then ${price} || jsonb_build_object('low', ${price} -> 'high', 'high', ${price} -> 'low') else ${price} end`;

/**
 * One physical thing has one row, and what was paid stands in the ledger alone: finds become pieces with sightings of
 * them, ledger lines name their subject, supplies that are the same become one. Acts from before are kept and can no
 * longer be taken back: they speak of rows of another shape.
 */
const statements = [
  // Acts say which shape their rows have, and may take back several at once.
  `ALTER TABLE "act" ADD "shape" integer NOT NULL DEFAULT '1'`,
  `ALTER TABLE "act" ADD "also_undoes" jsonb NOT NULL DEFAULT '[]'`,

  // A piece knows its measures, its flaws, and whether it is in the house. Pieces that left stay known.
  `ALTER TABLE "piece" ADD "measures" jsonb NOT NULL DEFAULT '{}'`,
  `ALTER TABLE "piece" ADD "repair_minutes" integer NOT NULL DEFAULT 0`,
  `ALTER TABLE "piece" ADD "in_house" boolean NOT NULL DEFAULT true`,
  `UPDATE "piece" p SET "in_house" = false, "deleted_at" = null WHERE p."deleted_at" IS NOT NULL AND EXISTS (SELECT 1 FROM "find" f WHERE f.studio_id = p.studio_id AND f.piece_id = p.id)`,
  `UPDATE "piece" p SET "measures" = f.measures, "repair_minutes" = f.repair_minutes
   FROM (SELECT DISTINCT ON (studio_id, piece_id) studio_id, piece_id, measures, repair_minutes FROM "find" WHERE piece_id IS NOT NULL ORDER BY studio_id, piece_id, (deleted_at IS NULL) DESC, created_at) f
   WHERE f.studio_id = p.studio_id AND f.piece_id = p.id`,

  // What a find was becomes a piece of its own, where it was none of the house's.
  `ALTER TABLE "find" ADD "was_piece" uuid`,
  `UPDATE "find" SET "was_piece" = coalesce(piece_id, gen_random_uuid())`,
  `INSERT INTO "piece" ("studio_id", "id", "version", "created_at", "updated_at", "act_id", "name", "template_id", "kind", "width_mm", "depth_mm", "height_mm", "weight_g", "material_id", "finish_id", "sheen", "color_l", "color_a", "color_b", "era", "lead_test", "cord_condition", "roles", "style", "season", "stands_at", "box", "shelf", "protection", "count", "uses", "currency", "story", "fragile", "borrowed_from", "may_alter", "sorted", "measures", "repair_minutes", "in_house")
   SELECT f.studio_id, f.was_piece, 1, f.created_at, f.updated_at, f.act_id, f.name, f.template_id, f.kind, null, null, null, null, f.material_id, f.finish_id, f.sheen, f.color_l, f.color_a, f.color_b, f.era, f.lead_test, f.cord_condition, '[]', '', 'any', '', '', '', '',
     greatest(0, least(1000000, coalesce((f.story ->> 'usable')::int, 1) * coalesce((f.story ->> 'quantity')::int, 1))), 0, p.currency, '', false, '', false, true, f.measures, f.repair_minutes, false
   FROM "find" f JOIN "project" p ON p.studio_id = f.studio_id AND p.id = f.project_id WHERE f.piece_id IS NULL`,
  `ALTER TABLE "piece" ALTER COLUMN "measures" DROP DEFAULT`,
  `ALTER TABLE "piece" ALTER COLUMN "repair_minutes" DROP DEFAULT`,
  `ALTER TABLE "piece" ALTER COLUMN "in_house" DROP DEFAULT`,

  `CREATE TABLE "sighting" (${ROW}, "piece_id" uuid NOT NULL, "source" text NOT NULL, "state" text NOT NULL, "story" jsonb NOT NULL, "note" text NOT NULL, "reason" text NOT NULL, CONSTRAINT "PK_SIGHTING" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_sighting_project" ON "sighting" ("studio_id", "project_id")`,
  `CREATE INDEX "ix_sighting_piece_id" ON "sighting" ("studio_id", "piece_id")`,
  `INSERT INTO "sighting" ("studio_id", "id", "project_id", "version", "created_at", "updated_at", "deleted_at", "act_id", "piece_id", "source", "state", "story", "note", "reason")
   SELECT f.studio_id, f.id, f.project_id, f.version, f.created_at, f.updated_at, f.deleted_at, f.act_id, f.was_piece, f.source,
     case when f.state in ('bought', 'promised') then 'seen' else f.state end,
     ((f.story - 'usable') || '{"version": 2}'::jsonb) || jsonb_build_object('tag', ${ordered(`(f.story -> 'tag')`)}), f.note, f.reason
   FROM "find" f`,
  `ALTER TABLE "sighting" ADD CONSTRAINT "fk_sighting_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "sighting" ADD CONSTRAINT "fk_sighting_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "sighting" ADD CONSTRAINT "fk_sighting_piece_id" FOREIGN KEY ("studio_id", "piece_id") REFERENCES "piece"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,

  // A ledger line names one subject, in a column for each kind.
  `ALTER TABLE "ledger_line" DISABLE TRIGGER USER`,
  `ALTER TABLE "ledger_line" ADD "piece_id" uuid`,
  `ALTER TABLE "ledger_line" ADD "tool_id" uuid`,
  `ALTER TABLE "ledger_line" ADD "delivery_id" uuid`,
  `ALTER TABLE "ledger_line" ADD "fee_id" uuid`,
  `UPDATE "ledger_line" l SET "piece_id" = f.was_piece FROM "find" f WHERE f.studio_id = l.studio_id AND f.id = l.find_id`,
  `UPDATE "ledger_line" SET "offer_id" = null, "supply_id" = null WHERE "piece_id" IS NOT NULL`,
  `UPDATE "ledger_line" SET "supply_id" = null WHERE "offer_id" IS NOT NULL`,
  `UPDATE "ledger_line" SET "fee_id" = "project_id" WHERE "piece_id" IS NULL AND "offer_id" IS NULL AND "supply_id" IS NULL`,
  `ALTER TABLE "ledger_line" DROP CONSTRAINT "fk_ledger_line_find_id"`,
  `ALTER TABLE "ledger_line" DROP COLUMN "find_id"`,
  // What was called bought or ordered and stands in no book is written down: how much it was, nobody knows.
  `INSERT INTO "ledger_line" ("studio_id", "id", "project_id", "version", "created_at", "updated_at", "act_id", "kind", "amount", "at_ms", "piece_id", "note")
   SELECT f.studio_id, gen_random_uuid(), f.project_id, 1, f.updated_at, f.updated_at, f.act_id, case f.state when 'bought' then 'payment' else 'promise' end, 0,
     (extract(epoch from f.updated_at) * 1000)::bigint, f.was_piece, 'what was paid was not kept'
   FROM "find" f WHERE f.state in ('bought', 'promised') AND f.deleted_at IS NULL AND NOT EXISTS (
     SELECT 1 FROM "ledger_line" l WHERE l.studio_id = f.studio_id AND l.piece_id = f.was_piece AND l.kind in ('payment', 'promise') AND l.reverses_id IS NULL
       AND NOT EXISTS (SELECT 1 FROM "ledger_line" r WHERE r.studio_id = l.studio_id AND r.reverses_id = l.id
         AND NOT EXISTS (SELECT 1 FROM "ledger_line" q WHERE q.studio_id = r.studio_id AND q.reverses_id = r.id)))`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_piece_id" FOREIGN KEY ("studio_id", "piece_id") REFERENCES "piece"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_tool_id" FOREIGN KEY ("studio_id", "tool_id") REFERENCES "tool"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_delivery_id" FOREIGN KEY ("studio_id", "delivery_id") REFERENCES "offer"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_fee_id" FOREIGN KEY ("studio_id", "fee_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,

  // Supplies that are the same become the one that counted: the one made last.
  `CREATE TEMP TABLE "twin" ON COMMIT DROP AS
   SELECT s.studio_id, s.id, first_value(s.id) OVER w AS kept FROM "supply" s WHERE s.deleted_at IS NULL
   WINDOW w AS (PARTITION BY s.studio_id, s.kind_id, s.color_card_id, s.sheen ORDER BY s.created_at DESC, s.id DESC)`,
  `UPDATE "ledger_line" l SET "supply_id" = t.kept FROM "twin" t WHERE t.studio_id = l.studio_id AND t.id = l.supply_id AND t.id <> t.kept`,
  `UPDATE "supply_use" u SET "supply_id" = t.kept FROM "twin" t WHERE t.studio_id = u.studio_id AND t.id = u.supply_id AND t.id <> t.kept`,
  `UPDATE "pack" p SET "deleted_at" = now(), "version" = p."version" + 1 FROM "twin" t WHERE t.studio_id = p.studio_id AND t.id = p.supply_id AND t.id <> t.kept AND p.deleted_at IS NULL`,
  `UPDATE "supply" s SET "deleted_at" = now(), "version" = s."version" + 1 FROM "twin" t WHERE t.studio_id = s.studio_id AND t.id = s.id AND t.id <> t.kept`,
  `ALTER TABLE "ledger_line" ENABLE TRIGGER USER`,
  `CREATE UNIQUE INDEX "uq_supply_kind_id_color_card_id_sheen" ON "supply" ("studio_id", "kind_id", "color_card_id", "sheen") NULLS NOT DISTINCT WHERE deleted_at IS NULL`,

  `ALTER TABLE "recipe" ADD "uses" jsonb NOT NULL DEFAULT '[]'`,
  `ALTER TABLE "recipe" ALTER COLUMN "uses" DROP DEFAULT`,
  `UPDATE "offer" SET "price" = ${ordered('price')}`,
  `UPDATE "pack" SET "price" = ${ordered('price')}`,
  `UPDATE "price_note" SET "price" = ${ordered('price')}`,

  // A choice and an assumption are one of their kind within their project.
  `DROP INDEX "uq_fill_slot_id_option_id"`,
  `CREATE UNIQUE INDEX "uq_fill_project_id_slot_id_option_id" ON "fill" ("studio_id", "project_id", "slot_id", "option_id") WHERE deleted_at IS NULL`,

  `CREATE OR REPLACE FUNCTION option_parts_stay_in_studio() RETURNS trigger LANGUAGE plpgsql AS $$
   BEGIN
     IF EXISTS (
       SELECT 1 FROM jsonb_array_elements(NEW.parts) part
       WHERE (part->>'findId' IS NOT NULL AND NOT EXISTS (SELECT 1 FROM "sighting" f WHERE f.studio_id = NEW.studio_id AND f.id = (part->>'findId')::uuid))
          OR (part->>'offerId' IS NOT NULL AND NOT EXISTS (SELECT 1 FROM "offer" o WHERE o.studio_id = NEW.studio_id AND o.id = (part->>'offerId')::uuid))
     ) THEN
       RAISE EXCEPTION 'an option refers to a piece that its studio does not have' USING ERRCODE = 'foreign_key_violation';
     END IF;
     RETURN NEW;
   END $$`,
  `DROP TABLE "find"`,

  // The app's role counts afresh by this, as it owns no table.
  `CREATE FUNCTION take_stock() RETURNS void LANGUAGE plpgsql SECURITY DEFINER SET search_path = public AS $$ BEGIN ANALYZE "piece"; END $$`,
];

export class PiecesAndSightings1764400000000 implements MigrationInterface {
  name = 'PiecesAndSightings1764400000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
    // Recipes of the first shape are brought to the present one, as a file's are.
    for (const table of ['recipe', 'studio_recipe']) {
      const old: { id: string; body: unknown }[] = await queryRunner.query(
        `SELECT id, body FROM "${table}" WHERE body ->> 'version' = '1'`,
      );
      for (const { id, body } of old)
        await queryRunner.query(`UPDATE "${table}" SET body = $2 WHERE id = $1`, [
          id,
          JSON.stringify(recipeBody2(body)),
        ]);
    }
  }

  async down(): Promise<void> {
    throw new Error('finds are not taken apart and put together again');
  }
}
