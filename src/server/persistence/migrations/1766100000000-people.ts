import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Who may come in, on which devices, by which codes; how often somebody tried. */
export class People1766100000000 implements MigrationInterface {
  name = 'People1766100000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('who may come in is not thrown away');
  }
}

const ofStudio = (table: string) =>
  `ALTER TABLE "${table}" ADD CONSTRAINT "fk_${table}_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`;
const ofPerson = (table: string) =>
  `ALTER TABLE "${table}" ADD CONSTRAINT "fk_${table}_person_id" FOREIGN KEY ("studio_id", "person_id") REFERENCES "person"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`;

const statements = [
  `CREATE TABLE "person" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "name" text NOT NULL, "role" text NOT NULL, "pass_hash" text, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "removed_at" TIMESTAMP WITH TIME ZONE, CONSTRAINT "PK_53298a5b7f664afaff89d9e27fa" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "session" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "person_id" uuid NOT NULL, "token_hash" text NOT NULL, "device" text NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "seen_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "expires_at" TIMESTAMP WITH TIME ZONE NOT NULL, "confirmed_at" TIMESTAMP WITH TIME ZONE, "ended_at" TIMESTAMP WITH TIME ZONE, CONSTRAINT "PK_f6eb6ea17927321d272c4407166" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE UNIQUE INDEX "uq_session_token_hash" ON "session" ("token_hash")`,
  `CREATE TABLE "entry_code" ("studio_id" uuid NOT NULL, "id" uuid NOT NULL, "person_id" uuid NOT NULL, "code_hash" text NOT NULL, "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "expires_at" TIMESTAMP WITH TIME ZONE NOT NULL, "used_at" TIMESTAMP WITH TIME ZONE, CONSTRAINT "PK_3bee17c109fbe84caed90ca8c5c" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_entry_code_hash" ON "entry_code" ("code_hash")`,
  `CREATE TABLE "attempt" ("id" uuid NOT NULL, "who" text NOT NULL, "at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), CONSTRAINT "PK_5f822b29b3128d1c65d3d6c193d" PRIMARY KEY ("id"))`,
  `CREATE INDEX "ix_attempt_who" ON "attempt" ("who", "at")`,
  ofStudio('person'),
  ofStudio('session'),
  ofPerson('session'),
  ofStudio('entry_code'),
  ofPerson('entry_code'),
];
