import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Links to one project's sheet, for somebody who is not of the studio. */
export class Links1766200000000 implements MigrationInterface {
  name = 'Links1766200000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('who sees a project by a link is not thrown away');
  }
}

const statements = [
  `CREATE TABLE "share_link" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "token_hash" text NOT NULL, "made_by" text NOT NULL, "shows_costs" boolean NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "expires_at" TIMESTAMP WITH TIME ZONE NOT NULL, "ended_at" TIMESTAMP WITH TIME ZONE, CONSTRAINT "PK_SHARE_LINK" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE UNIQUE INDEX "uq_share_link_token_hash" ON "share_link" ("token_hash")`,
  `ALTER TABLE "share_link" ADD CONSTRAINT "fk_share_link_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
];
