import { estimatedShelfPrice } from '../catalog/assumptions';
import { coatings } from '../catalog/coatings';
import type { SupplyUnit } from '../catalog/consumables';
import { supplyKind } from '../catalog/supplyKinds';
import type { Amount } from '../kernel/amount';
import { UNIT_PRICE_SCALE } from '../kernel/money';
import { amountOfPrice, type Price } from '../kernel/price';
import type { ProjectRows, SupplyRow } from '../model/rows';
import { cheapestPacks, type PackChoice, type PackPurchase } from '../pricing/cheapestPacks';
import { withTax } from '../pricing/offer';
import { partsOfSupplyKey, supplyKey } from '../recipe/supplyKey';

/** A pack as it can be bought: its shelf price and where that is from. */
export interface BookPack {
  id: string;
  name: string;
  size: number;
  price: Price;
  source: string;
  /** Price at the till, tax in it; null when unknown. */
  till: Amount | null;
}

/** One supply with its name, stash and packs; made from its row, or from the tables while there is none. */
export interface BookSupply {
  key: string;
  row: SupplyRow | null;
  name: string;
  colorHexLab: { L: number; a: number; b: number } | null;
  unit: SupplyUnit;
  stash: number;
  stashState: 'none' | 'exact' | 'about';
  packs: BookPack[];
  /** Whether the pack prices are the tables' estimates. */
  estimated: boolean;
  /** Minor units per unit of supply at the likely price, for valuing the stash; null while unknown. */
  unitCost: { value: number; from: 'paid' | 'replace' } | null;
}

/** What is bought of a supply, in packs: "1 × quart + 2 × sample". Empty when the stash covers the need. */
export function packWords(supply: BookSupply, purchase: PackPurchase): string {
  return purchase.packs
    .map((pack) => `${pack.count} × ${supply.packs.find((known) => known.id === pack.id)?.name ?? ''}`)
    .join(' + ');
}

/** Looks supplies up by key and remembers the cheapest packs for a need. */
export class SupplyBook {
  private readonly known = new Map<string, BookSupply>();
  private readonly purchases = new Map<string, PackPurchase>();
  private readonly rows: ProjectRows;
  private readonly rowByKey: Map<string, SupplyRow>;

  constructor(rows: ProjectRows) {
    this.rows = rows;
    this.rowByKey = new Map(rows.supplies.map((row) => [supplyKey(row.kindId, row.colorCardId, row.sheen), row]));
  }

  /** Whether everything this book was made from is the same in other rows. */
  holdsFor(rows: ProjectRows): boolean {
    const [mine, theirs] = [this.rows.project, rows.project];
    return (
      rows.supplies === this.rows.supplies &&
      rows.packs === this.rows.packs &&
      rows.colorCards === this.rows.colorCards &&
      theirs.tax === mine.tax &&
      theirs.currency === mine.currency &&
      theirs.units === mine.units
    );
  }

  /** The supply behind a key; never missing, since the tables stand in for a row. */
  get(key: string): BookSupply {
    const known = this.known.get(key);
    if (known) return known;
    const made = this.make(key);
    this.known.set(key, made);
    return made;
  }

  /** The cheapest whole packs for what the stash does not cover. */
  purchase(key: string, need: number): PackPurchase {
    const supply = this.get(key);
    const short = Math.max(0, need - supply.stash);
    const memo = `${key}#${short}`;
    const known = this.purchases.get(memo);
    if (known) return known;
    const choices: PackChoice[] = supply.packs.map((pack) => ({ id: pack.id, size: pack.size, price: pack.till }));
    const bought = cheapestPacks(short, choices);
    this.purchases.set(memo, bought);
    return bought;
  }

  /** Value of the stash that a need takes, minor units at the likely price. */
  stashValue(key: string, need: number): number {
    const supply = this.get(key);
    return Math.min(need, supply.stash) * (supply.unitCost?.value ?? 0);
  }

  private make(key: string): BookSupply {
    const { kindId, colorCardId, sheen } = partsOfSupplyKey(key);
    const row = this.rowByKey.get(key) ?? null;
    const { project } = this.rows;
    const coating = coatings.find(kindId);
    const kind = supplyKind(kindId);
    const card = this.rows.colorCards.find((candidate) => candidate.id === colorCardId);
    const own = row
      ? this.rows.packs.filter(
          (pack) => pack.supplyId === row.id && (pack.currency === '' || pack.currency === project.currency),
        )
      : [];
    const till = (price: Price): Amount | null =>
      price.state === 'unknown' ? null : withTax(amountOfPrice(price), project.tax);
    const market = project.units === 'us' ? 'us' : 'metric';
    const tablePacks = (kind?.packs ?? []).filter((pack) => pack.market === market);
    const packs: BookPack[] =
      own.length > 0
        ? own.map((pack) => ({
            id: pack.id,
            name: pack.name,
            size: pack.size,
            price: pack.price,
            source: pack.source,
            till: till(pack.price),
          }))
        : tablePacks.map((pack) => {
            const price = estimatedShelfPrice(pack.estimate, project.currency);
            return { id: pack.id, name: pack.name, size: pack.size, price, source: '', till: till(price) };
          });
    const parts = [kind?.name ?? kindId];
    if (card) parts.push(card.name);
    if (coating && coating.sheens.length > 1 && sheen) parts.push(sheen);
    return {
      key,
      row,
      name: parts.join(', '),
      colorHexLab: card?.lab ?? null,
      unit: kind?.unit ?? 'mL',
      stash: row && row.stash.state !== 'none' ? row.stash.amount : 0,
      stashState: row?.stash.state ?? 'none',
      packs,
      estimated: own.length === 0,
      unitCost: unitCostOf(row, packs),
    };
  }
}

function unitCostOf(row: SupplyRow | null, packs: readonly BookPack[]): BookSupply['unitCost'] {
  if (row && row.unitCostMillionths !== null) return { value: row.unitCostMillionths / UNIT_PRICE_SCALE, from: 'paid' };
  const rates = packs.flatMap((pack) => (pack.till && pack.size > 0 ? [pack.till.likely / pack.size] : []));
  return rates.length > 0 ? { value: Math.min(...rates), from: 'replace' } : null;
}
