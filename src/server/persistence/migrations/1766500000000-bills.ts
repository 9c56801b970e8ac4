import type { MigrationInterface, QueryRunner } from 'typeorm';

const ofStudio = `"studio_id" uuid NOT NULL, "id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid`;
const head = `"studio_id" uuid NOT NULL, "id" uuid NOT NULL, "project_id" uuid NOT NULL, "version" integer NOT NULL DEFAULT '1', "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "deleted_at" TIMESTAMP WITH TIME ZONE, "act_id" uuid`;

const statements = [
  `CREATE TABLE "letterhead" (${ofStudio}, "from" text NOT NULL, "tax_id" text NOT NULL, "pay_to" text NOT NULL, "currency" text NOT NULL, "hour_rate" bigint, "markup_thousandths" integer NOT NULL, "shows_markup" boolean NOT NULL, "tax_name" text NOT NULL, "tax_thousandths" integer NOT NULL, "is_tax_included" boolean NOT NULL, "pay_within_days" integer NOT NULL, "note" text NOT NULL, "prefix" text NOT NULL, "first_number" integer NOT NULL, CONSTRAINT "PK_letterhead" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE TABLE "bill_draft" (${head}, "kind" text NOT NULL, "body" jsonb NOT NULL, CONSTRAINT "PK_bill_draft" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_bill_draft_project" ON "bill_draft" ("studio_id", "project_id")`,
  `CREATE TABLE "bill" (${head}, "kind" text NOT NULL, "series" text NOT NULL, "number" integer, "prefix" text NOT NULL, "issued_on" date NOT NULL, "done_on" date, "body" jsonb NOT NULL, "deposits" jsonb NOT NULL, "cancels_id" uuid, CONSTRAINT "PK_bill" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_bill_project" ON "bill" ("studio_id", "project_id")`,
  `CREATE UNIQUE INDEX "uq_bill_cancels_id" ON "bill" ("studio_id", "cancels_id")`,
  `CREATE TABLE "client_payment" (${head}, "on_date" date NOT NULL, "amount" bigint NOT NULL, "what" text NOT NULL, "bill_id" uuid, CONSTRAINT "PK_client_payment" PRIMARY KEY ("studio_id", "id"))`,
  `CREATE INDEX "ix_client_payment_project" ON "client_payment" ("studio_id", "project_id")`,
  `ALTER TABLE "letterhead" ADD CONSTRAINT "fk_letterhead_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "bill_draft" ADD CONSTRAINT "fk_bill_draft_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "bill_draft" ADD CONSTRAINT "fk_bill_draft_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "bill" ADD CONSTRAINT "fk_bill_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "bill" ADD CONSTRAINT "fk_bill_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "bill" ADD CONSTRAINT "fk_bill_cancels_id" FOREIGN KEY ("studio_id", "cancels_id") REFERENCES "bill"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "client_payment" ADD CONSTRAINT "fk_client_payment_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "client_payment" ADD CONSTRAINT "fk_client_payment_project_id" FOREIGN KEY ("studio_id", "project_id") REFERENCES "project"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "client_payment" ADD CONSTRAINT "fk_client_payment_bill_id" FOREIGN KEY ("studio_id", "bill_id") REFERENCES "bill"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `CREATE UNIQUE INDEX "uq_bill_series_number" ON "bill" ("studio_id", "series", "number")`,
  `CREATE TABLE "wish" (${ofStudio}, "what" text NOT NULL, "target" bigint, "currency" text NOT NULL, "source_id" uuid, "sale_on" date, "use" text NOT NULL, "note" text NOT NULL, "got_on" date, CONSTRAINT "PK_wish" PRIMARY KEY ("studio_id", "id"))`,
  `ALTER TABLE "wish" ADD CONSTRAINT "fk_wish_studio_id" FOREIGN KEY ("studio_id") REFERENCES "studio"("id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `ALTER TABLE "wish" ADD CONSTRAINT "fk_wish_source_id" FOREIGN KEY ("studio_id", "source_id") REFERENCES "source"("studio_id","id") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `CREATE FUNCTION bill_has_number() RETURNS trigger LANGUAGE plpgsql AS $$
   BEGIN
     IF NEW.number IS NULL THEN RAISE EXCEPTION 'a bill without a number' USING ERRCODE = 'not_null_violation'; END IF;
     RETURN NEW;
   END $$`,
  `CREATE TRIGGER bill_has_number BEFORE INSERT ON "bill" FOR EACH ROW EXECUTE FUNCTION bill_has_number()`,
  `CREATE TRIGGER bill_is_record BEFORE UPDATE OR DELETE ON "bill" FOR EACH ROW EXECUTE FUNCTION refuse_record_change()`,
];

/** Bills, their drafts, what stands on all of them, what the client paid; and what is looked out for. */
export class Bills1766500000000 implements MigrationInterface {
  name = 'Bills1766500000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const statement of statements) await queryRunner.query(statement);
  }

  async down(): Promise<void> {
    throw new Error('bills are not thrown away');
  }
}
