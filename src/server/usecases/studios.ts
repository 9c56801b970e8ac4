import type { Database } from '../persistence/database';
import {
  addStudio,
  allStudios,
  isStudio,
  type ListedStudio,
  openStudio,
  untouchedStudios,
} from '../persistence/studios';
import type { Environment } from './environment';

/** What a studio begun by the stylist is called. */
const OWN_NAME = 'My studio';

/**
 * The studios of this installation. One of them is open: whoever comes without saying which sees that one. Opening
 * another removes nothing, and a page that was opened in one goes on working in it.
 */
export class Studios {
  private readonly database: Database;
  private readonly environment: Environment;
  private readonly known = new Set<string>();
  private readonly retired: Set<string>;
  /** The one that is open. */
  openId: string;

  /**
   * @param retired studios that a start put aside for a fresh one: a page that is still in one of them comes along, until
   * somebody opens it again
   */
  constructor(database: Database, environment: Environment, openId: string, retired: readonly string[] = []) {
    this.database = database;
    this.environment = environment;
    this.openId = openId;
    this.known.add(openId);
    this.retired = new Set(retired);
  }

  /** All of them, one of them first. */
  async list(firstId: string): Promise<ListedStudio[]> {
    const all = await allStudios(this.database);
    return all.sort((a, b) => Number(b.id === firstId) - Number(a.id === firstId));
  }

  /** Whether a page may say that it is in a studio: one of this installation that was not put aside. */
  async has(id: string): Promise<boolean> {
    if (this.retired.has(id)) return false;
    if (!this.known.has(id)) {
      if (!(await isStudio(this.database, id))) return false;
      this.known.add(id);
    }
    return true;
  }

  /** Opens one; false where there is no such one. */
  async open(id: string): Promise<boolean> {
    if (!(await openStudio(this.database, id))) return false;
    this.known.add(id);
    this.retired.delete(id);
    this.openId = id;
    return true;
  }

  /** Opens a studio with nothing in it: one that was never used where there is one, so that asking twice makes one. */
  async beginEmpty(): Promise<string> {
    const [untouched] = await untouchedStudios(this.database);
    const id = untouched ?? (await this.add());
    await this.open(id);
    return id;
  }

  private async add(): Promise<string> {
    const names = new Set((await allStudios(this.database)).map(({ name }) => name));
    let name = OWN_NAME;
    for (let n = 2; names.has(name); n += 1) name = `${OWN_NAME} ${n}`;
    return addStudio(this.database, this.environment.newId(), name);
  }
}
