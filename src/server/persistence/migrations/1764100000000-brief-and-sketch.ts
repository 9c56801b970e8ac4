import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What was assumed of a brief and a household when this was written. */
const emptyBrief = {
  version: 1,
  occasion: '',
  mood: '',
  functions: [],
  anchor: null,
  splurge: null,
  palette: [],
  weeks: [],
  beforePhoto: 'wanted',
  preparation: 'scuffAndGo',
  arranging: 'uneven',
  amount: 'layerUp',
  grouping: 'odd',
};
const emptyHousehold = {
  youngestChildYears: null,
  pregnancy: false,
  pets: [],
  rented: false,
  noDrilling: false,
  reversibleOnly: false,
  outdoors: false,
  damp: false,
  heatNear: false,
  foodNear: false,
  buildingWorks: false,
  cordReachMm: null,
};

/** Brief, sketch, photos, inspirations and patterns; rows from before get what was assumed of them until now. */
const statements = [
  `CREATE TABLE "photo_bytes" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "mime" text NOT NULL, "content" bytea NOT NULL, "thumbnail" bytea NOT NULL, "width_px" integer NOT NULL, "height_px" integer NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), CONSTRAINT "PK_69aaabaa24839d919cd2adae870" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "photo" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "kind" text NOT NULL, "name" text NOT NULL, "width_px" integer NOT NULL, "height_px" integer NOT NULL, "size_bytes" integer NOT NULL, "at_ms" bigint NOT NULL, CONSTRAINT "PK_577c53e4a65b323ec64e16ad49e" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_photo_project" ON "photo" ("studio_id", "project_id")`,
  `CREATE TABLE "inspiration" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "photo_id" uuid, "seen_at" text NOT NULL, "taken" text NOT NULL, CONSTRAINT "PK_de48f227302eb7f8d271bb15b34" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_inspiration_project" ON "inspiration" ("studio_id", "project_id")`,
  `CREATE TABLE "pattern" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "name" text NOT NULL, "spot_kind" text NOT NULL, "reason" text NOT NULL, "slots" jsonb NOT NULL, CONSTRAINT "PK_ea64307e60fedaf2456a73aa3fc" PRIMARY KEY ("studio_id", "id"))`,
  `ALTER TABLE "project" ADD "brief" jsonb NOT NULL DEFAULT '${JSON.stringify(emptyBrief)}'`,
  `ALTER TABLE "spot" ADD "measures" jsonb NOT NULL DEFAULT '{}'`,
  `ALTER TABLE "spot" ADD "features" jsonb NOT NULL DEFAULT '[]'`,
  `ALTER TABLE "spot" ADD "tasks" jsonb NOT NULL DEFAULT '[]'`,
  `ALTER TABLE "slot" ADD "role" text`,
  `ALTER TABLE "slot" ADD "per_seat" jsonb`,
  `ALTER TABLE "slot" ADD "color_card_ids" jsonb NOT NULL DEFAULT '[]'`,
  `ALTER TABLE "slot" ADD "share_thousandths" integer`,
  `ALTER TABLE "slot" ADD "box" jsonb`,
  `ALTER TABLE "slot" ADD "star" jsonb`,
  `ALTER TABLE "find" ADD "reason" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "photo_bytes" ADD CONSTRAINT "fk_photo_bytes_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "photo" ADD CONSTRAINT "fk_photo_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "photo" ADD CONSTRAINT "fk_photo_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "photo" ADD CONSTRAINT "fk_photo_id" FOREIGN KEY ("studio_id", "id") REFERENCES "photo_bytes"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "inspiration" ADD CONSTRAINT "fk_inspiration_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "inspiration" ADD CONSTRAINT "fk_inspiration_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "inspiration" ADD CONSTRAINT "fk_inspiration_photo_id" FOREIGN KEY ("studio_id", "photo_id") REFERENCES "photo"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "pattern" ADD CONSTRAINT "fk_pattern_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "project" ALTER COLUMN "brief" DROP DEFAULT`,
  `ALTER TABLE "spot" ALTER COLUMN "measures" DROP DEFAULT`,
  `ALTER TABLE "spot" ALTER COLUMN "features" DROP DEFAULT`,
  `ALTER TABLE "spot" ALTER COLUMN "tasks" DROP DEFAULT`,
  `ALTER TABLE "slot" ALTER COLUMN "color_card_ids" DROP DEFAULT`,
  `ALTER TABLE "find" ALTER COLUMN "reason" DROP DEFAULT`,
  // Stored parameters are completed in place, as the upgrade of a project file does.
  `UPDATE "project" SET "household" = '${JSON.stringify(emptyHousehold)}'::jsonb || "household"`,
  `UPDATE "spot" SET "kind" = 'diningTable' WHERE "kind" = 'table'`,
];

export class BriefAndSketch1764100000000 implements MigrationInterface {
  name = 'BriefAndSketch1764100000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('briefs and sketches are not thrown away');
  }
}
