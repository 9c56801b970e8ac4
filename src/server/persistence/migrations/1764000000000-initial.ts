import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The first shape of the data. Every reference is composite with the studio: a reference across studios cannot be stored. */
const statements = [
  `CREATE TABLE "studio" ("id" uuid NOT NULL, "name" text NOT NULL, "revision" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), CONSTRAINT "PK_4c17ecb2b175322407ebbaef5c7" PRIMARY KEY ("id"))`,
  `CREATE TABLE "act" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid, "device" text NOT NULL, "kind" text NOT NULL, "changes" jsonb NOT NULL, "undoes_id" uuid, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), CONSTRAINT "PK_ed0b35bfc36761d0383d730703a" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_act_project" ON "act" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_act_undoes_id" ON "act" ("studio_id", "undoes_id")`,
  `CREATE TABLE "request_key" ("studio_id" uuid NOT NULL, "key" uuid NOT NULL, "body_hash" text NOT NULL, "status" integer, "answer" jsonb, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), CONSTRAINT "PK_23a9370cd681797f1bfc6d393bb" PRIMARY KEY ("studio_id", "key"))`,
  `CREATE TABLE "project" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "revision" integer NOT NULL DEFAULT '1', "summary" jsonb, "name" text NOT NULL, "room" text NOT NULL, "currency" text NOT NULL, "units" text NOT NULL, "time_zone" text NOT NULL, "budget" bigint NOT NULL, "contingency_thousandths" integer NOT NULL, "tax" jsonb NOT NULL, "hours_on_hand_minutes" integer, "skill" text NOT NULL, "hour_value" bigint, "reveal_date" date, "school" text NOT NULL, "eye" text NOT NULL, "household" jsonb NOT NULL, CONSTRAINT "PK_3bf584506e1f1e87442dfb3f84b" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "spot" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "kind" text NOT NULL, "width_mm" double precision, "depth_mm" double precision, "height_mm" double precision, "position" integer NOT NULL, CONSTRAINT "PK_f0f49ecc78a8ee8c109165fd588" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_spot_project" ON "spot" ("studio_id", "project_id")`,
  `CREATE TABLE "slot" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "spot_id" uuid NOT NULL, "number" integer NOT NULL, "name" text NOT NULL, "quantity" integer NOT NULL, "importance" text NOT NULL, "width" jsonb NOT NULL, "depth" jsonb NOT NULL, "height" jsonb NOT NULL, "note" text NOT NULL, "left_out" boolean NOT NULL, CONSTRAINT "PK_9e227fad92db38a53d263a459e2" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_slot_project" ON "slot" ("studio_id", "project_id")`,
  `CREATE TABLE "color_card" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "lab_l" double precision NOT NULL, "lab_a" double precision NOT NULL, "lab_b" double precision NOT NULL, CONSTRAINT "PK_b0d177262c50a21ffb1b848a088" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "find" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "source" text NOT NULL, "state" text NOT NULL, "kind" text NOT NULL, "template_id" text NOT NULL, "measures" jsonb NOT NULL, "material_id" text NOT NULL, "finish_id" text, "sheen" text NOT NULL, "color_l" double precision, "color_a" double precision, "color_b" double precision, "era" text NOT NULL, "lead_test" text NOT NULL, "cord_condition" text NOT NULL, "story" jsonb NOT NULL, "repair_minutes" integer NOT NULL, "note" text NOT NULL, CONSTRAINT "PK_da370108dff7b8230c73aacb54f" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_find_project" ON "find" ("studio_id", "project_id")`,
  `CREATE TABLE "offer" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "source" text NOT NULL, "price" jsonb NOT NULL, "delivery" bigint NOT NULL, "delivery_taxed" boolean NOT NULL, "pieces" integer NOT NULL, "assembly_minutes" integer NOT NULL, "lead_days" integer NOT NULL, "template_id" text NOT NULL, "measures" jsonb NOT NULL, "color_l" double precision, "color_a" double precision, "color_b" double precision, CONSTRAINT "PK_995bd1fc7463394b7030191b560" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_offer_project" ON "offer" ("studio_id", "project_id")`,
  `CREATE TABLE "recipe" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "body" jsonb NOT NULL, CONSTRAINT "PK_519bec914215129736add00a4a9" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_recipe_project" ON "recipe" ("studio_id", "project_id")`,
  `CREATE TABLE "option" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "slot_id" uuid NOT NULL, "kind" text NOT NULL, "parts" jsonb NOT NULL, "recipe_id" uuid, "hands_on_minutes" integer, "liking" integer, "yardstick" boolean NOT NULL, CONSTRAINT "PK_49677f502abf66143bfd9bf4b3e" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_option_project" ON "option" ("studio_id", "project_id")`,
  `CREATE TABLE "fill" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "slot_id" uuid NOT NULL, "option_id" uuid NOT NULL, "count" integer NOT NULL, CONSTRAINT "PK_e8ba5d3a5b77179225ae2bc3799" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_fill_project" ON "fill" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_fill_slot_id_option_id" ON "fill" ("studio_id", "slot_id", "option_id") WHERE deleted_at IS NULL`,
  `CREATE TABLE "supply" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "kind_id" text NOT NULL, "color_card_id" uuid, "sheen" text, "stash" jsonb NOT NULL, "unit_cost_millionths" bigint, CONSTRAINT "PK_358416e599105c30b607ccaf771" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "pack" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "supply_id" uuid NOT NULL, "name" text NOT NULL, "size" double precision NOT NULL, "price" jsonb NOT NULL, "source" text NOT NULL, "seen_on" text NOT NULL, CONSTRAINT "PK_0c8441eb766e3c825fc623d2534" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "tool" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "tool_id" text NOT NULL, "owned" boolean NOT NULL, CONSTRAINT "PK_6cfdefb606ad8ef7e765272c494" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE UNIQUE INDEX "uq_tool_tool_id" ON "tool" ("studio_id", "tool_id") WHERE deleted_at IS NULL`,
  `CREATE TABLE "ledger_line" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "kind" text NOT NULL, "amount" bigint NOT NULL, "at_ms" bigint NOT NULL, "find_id" uuid, "offer_id" uuid, "supply_id" uuid, "reverses_id" uuid, "note" text NOT NULL, CONSTRAINT "PK_e36ac1bff0939c543a974a744bf" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_ledger_line_project" ON "ledger_line" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_ledger_line_reverses_id" ON "ledger_line" ("studio_id", "reverses_id")`,
  `CREATE TABLE "override" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "key" text NOT NULL, "scope" text NOT NULL, "value" double precision NOT NULL, "note" text NOT NULL, CONSTRAINT "PK_0b7883e56f3d3fcf79950b9dfcb" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_override_project" ON "override" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_override_project_id_key_scope" ON "override" ("studio_id", "project_id", "key", "scope") WHERE deleted_at IS NULL`,
  `CREATE TABLE "acknowledgment" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "recipe_id" uuid NOT NULL, "trigger" text NOT NULL, "by" text NOT NULL, "at_ms" bigint NOT NULL, CONSTRAINT "PK_5a89493338a334cb8a9e00c36e9" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_acknowledgment_project" ON "acknowledgment" ("studio_id", "project_id")`,
  `ALTER TABLE "act" ADD CONSTRAINT "fk_act_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "act" ADD CONSTRAINT "fk_act_undoes_id" FOREIGN KEY ("studio_id", "undoes_id") REFERENCES "act"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "request_key" ADD CONSTRAINT "fk_request_key_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "project" ADD CONSTRAINT "fk_project_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "spot" ADD CONSTRAINT "fk_spot_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "spot" ADD CONSTRAINT "fk_spot_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "slot" ADD CONSTRAINT "fk_slot_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "slot" ADD CONSTRAINT "fk_slot_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "slot" ADD CONSTRAINT "fk_slot_spot_id" FOREIGN KEY ("studio_id", "spot_id") REFERENCES "spot"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "color_card" ADD CONSTRAINT "fk_color_card_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "find" ADD CONSTRAINT "fk_find_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "find" ADD CONSTRAINT "fk_find_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "offer" ADD CONSTRAINT "fk_offer_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "offer" ADD CONSTRAINT "fk_offer_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "recipe" ADD CONSTRAINT "fk_recipe_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "recipe" ADD CONSTRAINT "fk_recipe_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "option" ADD CONSTRAINT "fk_option_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "option" ADD CONSTRAINT "fk_option_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "option" ADD CONSTRAINT "fk_option_slot_id" FOREIGN KEY ("studio_id", "slot_id") REFERENCES "slot"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "option" ADD CONSTRAINT "fk_option_recipe_id" FOREIGN KEY ("studio_id", "recipe_id") REFERENCES "recipe"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "fill" ADD CONSTRAINT "fk_fill_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "fill" ADD CONSTRAINT "fk_fill_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "fill" ADD CONSTRAINT "fk_fill_slot_id" FOREIGN KEY ("studio_id", "slot_id") REFERENCES "slot"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "fill" ADD CONSTRAINT "fk_fill_option_id" FOREIGN KEY ("studio_id", "option_id") REFERENCES "option"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "supply" ADD CONSTRAINT "fk_supply_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "supply" ADD CONSTRAINT "fk_supply_color_card_id" FOREIGN KEY ("studio_id", "color_card_id") REFERENCES "color_card"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "pack" ADD CONSTRAINT "fk_pack_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "pack" ADD CONSTRAINT "fk_pack_supply_id" FOREIGN KEY ("studio_id", "supply_id") REFERENCES "supply"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "tool" ADD CONSTRAINT "fk_tool_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_find_id" FOREIGN KEY ("studio_id", "find_id") REFERENCES "find"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_offer_id" FOREIGN KEY ("studio_id", "offer_id") REFERENCES "offer"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_supply_id" FOREIGN KEY ("studio_id", "supply_id") REFERENCES "supply"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "ledger_line" ADD CONSTRAINT "fk_ledger_line_reverses_id" FOREIGN KEY ("studio_id", "reverses_id") REFERENCES "ledger_line"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "override" ADD CONSTRAINT "fk_override_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "override" ADD CONSTRAINT "fk_override_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "acknowledgment" ADD CONSTRAINT "fk_acknowledgment_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "acknowledgment" ADD CONSTRAINT "fk_acknowledgment_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "acknowledgment" ADD CONSTRAINT "fk_acknowledgment_recipe_id" FOREIGN KEY ("studio_id", "recipe_id") REFERENCES "recipe"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
];

/** Records (the ledger, acts) are never updated or deleted; a request key's answer is set once. */
const guards = [
  `CREATE FUNCTION refuse_record_change() RETURNS trigger LANGUAGE plpgsql AS $$
   BEGIN RAISE EXCEPTION '% is a record: it is never changed', TG_TABLE_NAME USING ERRCODE = 'restrict_violation'; END $$`,
  `CREATE TRIGGER act_is_record BEFORE UPDATE OR DELETE ON "act" FOR EACH ROW EXECUTE FUNCTION refuse_record_change()`,
  `CREATE TRIGGER ledger_line_is_record BEFORE UPDATE OR DELETE ON "ledger_line" FOR EACH ROW EXECUTE FUNCTION refuse_record_change()`,
  `CREATE FUNCTION answer_once() RETURNS trigger LANGUAGE plpgsql AS $$
   BEGIN
     IF OLD.status IS NOT NULL OR NEW.body_hash <> OLD.body_hash THEN
       RAISE EXCEPTION 'the answer of a request key is set once' USING ERRCODE = 'restrict_violation';
     END IF;
     RETURN NEW;
   END $$`,
  `CREATE TRIGGER request_key_answer_once BEFORE UPDATE ON "request_key" FOR EACH ROW EXECUTE FUNCTION answer_once()`,
  `CREATE FUNCTION option_parts_stay_in_studio() RETURNS trigger LANGUAGE plpgsql AS $$
   BEGIN
     IF EXISTS (
       SELECT 1 FROM jsonb_array_elements(NEW.parts) part
       WHERE (part->>'findId' IS NOT NULL AND NOT EXISTS (SELECT 1 FROM "find" f WHERE f.studio_id = NEW.studio_id AND f.id = (part->>'findId')::uuid))
          OR (part->>'offerId' IS NOT NULL AND NOT EXISTS (SELECT 1 FROM "offer" o WHERE o.studio_id = NEW.studio_id AND o.id = (part->>'offerId')::uuid))
     ) THEN
       RAISE EXCEPTION 'an option refers to a piece that its studio does not have' USING ERRCODE = 'foreign_key_violation';
     END IF;
     RETURN NEW;
   END $$`,
  `CREATE TRIGGER option_parts_in_studio BEFORE INSERT OR UPDATE OF parts ON "option" FOR EACH ROW EXECUTE FUNCTION option_parts_stay_in_studio()`,
];

export class Initial1764000000000 implements MigrationInterface {
  name = 'Initial1764000000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of [...statements, ...guards]) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('the first shape of the data is not taken back');
  }
}
