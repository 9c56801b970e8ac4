import type { MigrationInterface, QueryRunner } from 'typeorm';

const statements = [
  `CREATE TABLE "look" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "spot_id" uuid NOT NULL, "name" text NOT NULL, "note" text NOT NULL, "position" integer NOT NULL, "set_aside" jsonb NOT NULL, "photo" jsonb, "votes" jsonb NOT NULL, CONSTRAINT "PK_look" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_look_project" ON "look" ("studio_id", "project_id")`,
  `CREATE TABLE "look_piece" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "look_id" uuid NOT NULL, "slot_id" uuid, "option_id" uuid, "nth" integer NOT NULL, "piece_id" uuid, "drawn" jsonb, "name" text NOT NULL, "x_mm" double precision NOT NULL, "foot_mm" double precision NOT NULL, "front_mm" double precision NOT NULL, "size" jsonb, "stance" text NOT NULL, "turned" boolean NOT NULL, "on_id" uuid, "layer" integer NOT NULL, "hanger" jsonb, "held_by" jsonb, "weight_g" double precision, CONSTRAINT "PK_look_piece" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_look_piece_project" ON "look_piece" ("studio_id", "project_id")`,
  `CREATE TABLE "hole" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid, "place" text NOT NULL, "edge" text NOT NULL, "from_edge_mm" double precision NOT NULL, "height_mm" double precision NOT NULL, "what" text NOT NULL, "made_on" date NOT NULL, "filled" boolean NOT NULL, CONSTRAINT "PK_hole" PRIMARY KEY ("studio_id", "id"))`,
  `ALTER TABLE "spot" ADD "wall" jsonb`,
  `ALTER TABLE "spot" ADD "daylight" text`,
  `UPDATE "spot" SET "daylight" = 'unknown'`,
  `ALTER TABLE "spot" ALTER COLUMN "daylight" SET NOT NULL`,
  `ALTER TABLE "look" ADD CONSTRAINT "fk_look_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "look_piece" ADD CONSTRAINT "fk_look_piece_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "hole" ADD CONSTRAINT "fk_hole_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "look" ADD CONSTRAINT "fk_look_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "look_piece" ADD CONSTRAINT "fk_look_piece_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "look" ADD CONSTRAINT "fk_look_spot_id" FOREIGN KEY ("studio_id", "spot_id") REFERENCES "spot"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "look_piece" ADD CONSTRAINT "fk_look_piece_look_id" FOREIGN KEY ("studio_id", "look_id") REFERENCES "look"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "look_piece" ADD CONSTRAINT "fk_look_piece_slot_id" FOREIGN KEY ("studio_id", "slot_id") REFERENCES "slot"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "look_piece" ADD CONSTRAINT "fk_look_piece_option_id" FOREIGN KEY ("studio_id", "option_id") REFERENCES "option"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "look_piece" ADD CONSTRAINT "fk_look_piece_piece_id" FOREIGN KEY ("studio_id", "piece_id") REFERENCES "piece"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "look_piece" ADD CONSTRAINT "fk_look_piece_on_id" FOREIGN KEY ("studio_id", "on_id") REFERENCES "look_piece"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
];

/** Looks with the places of their pieces, holes in walls, and what nails and plants ask of a spot. */
export class Looks1765900000000 implements MigrationInterface {
  name = 'Looks1765900000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('looks are not thrown away');
  }
}
