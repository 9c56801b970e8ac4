import type { Transaction } from './scope';

/** Supplies among some ids that a payment or a promise of any project names. */
export async function paidSupplies({ scope, manager }: Transaction, ids: readonly string[]): Promise<string[]> {
  const found: { id: string }[] = await manager.query(
    'select distinct supply_id as id from "ledger_line" where studio_id = $1 and supply_id = any($2)',
    [scope.studioId, ids],
  );
  return found.map((row) => row.id);
}

/** Color cards among some ids that a palette, a slot, a recipe or a supply of the studio still shows. */
export async function shownColorCards({ scope, manager }: Transaction, ids: readonly string[]): Promise<string[]> {
  const found: { id: string }[] = await manager.query(
    `select c.id from unnest($2::uuid[]) c(id) where
       exists (select 1 from "supply" s where s.studio_id = $1 and s.deleted_at is null and s.color_card_id = c.id)
       or exists (select 1 from "project" p where p.studio_id = $1 and p.deleted_at is null and position(c.id::text in p.brief::text) > 0)
       or exists (select 1 from "slot" t where t.studio_id = $1 and t.deleted_at is null and t.color_card_ids @> jsonb_build_array(c.id::text))
       or exists (select 1 from "studio_recipe" k where k.studio_id = $1 and k.deleted_at is null and position(c.id::text in k.body::text) > 0)
       or exists (select 1 from "recipe" r where r.studio_id = $1 and r.deleted_at is null and position(c.id::text in r.body::text) > 0)`,
    [scope.studioId, ids],
  );
  return found.map((row) => row.id);
}
