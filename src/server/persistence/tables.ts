import type { ChangedTable } from '@contract/changes';

/** How a field of a row is kept: `lab` spreads over three columns, `json` holds a versioned parameter shape. */
export type ColumnType = 'uuid' | 'text' | 'int' | 'bigint' | 'double' | 'boolean' | 'date' | 'json' | 'lab';

export interface ColumnSpec {
  field: string;
  column: string;
  type: ColumnType;
  nullable: boolean;
}

/** One table of rows: its columns, whom it belongs to, what it refers to. */
export interface TableSpec {
  table: ChangedTable;
  name: string;
  owner: 'studio' | 'project';
  columns: ColumnSpec[];
  /** Composite foreign keys, always with the studio: column → table. */
  references: { column: string; table: string }[];
  /** Unique among rows that are not deleted, with the studio. */
  unique: string[][];
  /** Further columns that searches go by, with the studio. */
  indexed: string[][];
  /** What of it a project's snapshot holds: its rows, only those that its finds are, or none. */
  snapshot: 'all' | 'linked' | 'none';
  /** Never updated or deleted; a trigger refuses it. */
  record: boolean;
}

const snake = (field: string) => field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** `name:type`, with `?` for nullable. */
function columns(...specs: string[]): ColumnSpec[] {
  return specs.map((spec) => {
    const [field = '', kind = 'text'] = spec.split(':');
    const nullable = kind.endsWith('?');
    return { field, column: snake(field), type: kind.replace('?', '') as ColumnType, nullable };
  });
}

const owned = {
  owner: 'project' as const,
  references: [] as TableSpec['references'],
  unique: [] as string[][],
  indexed: [] as string[][],
  snapshot: 'all' as TableSpec['snapshot'],
  record: false,
};

/** Every table of rows, in an order in which a reference always points to an earlier one. */
export const tableSpecs: readonly TableSpec[] = [
  {
    ...owned,
    table: 'project',
    name: 'project',
    owner: 'studio',
    columns: columns(
      'name',
      'room',
      'currency',
      'units',
      'timeZone',
      'budget:bigint',
      'contingencyThousandths:int',
      'tax:json',
      'hoursOnHandMinutes:int?',
      'skill',
      'hourValue:bigint?',
      'revealDate:date?',
      'standsUntil:date?',
      'school',
      'eye',
      'household:json',
      'brief:json',
    ),
  },
  {
    ...owned,
    table: 'spots',
    name: 'spot',
    columns: columns(
      'name',
      'kind',
      'widthMm:double?',
      'depthMm:double?',
      'heightMm:double?',
      'measures:json',
      'features:json',
      'tasks:json',
      'position:int',
    ),
  },
  {
    ...owned,
    table: 'slots',
    name: 'slot',
    columns: columns(
      'spotId:uuid',
      'number:int',
      'name',
      'quantity:int',
      'importance',
      'width:json',
      'depth:json',
      'height:json',
      'note',
      'leftOut:boolean',
      'role:text?',
      'perSeat:json?',
      'colorCardIds:json',
      'shareThousandths:int?',
      'box:json?',
      'star:json?',
    ),
    references: [{ column: 'spot_id', table: 'spot' }],
  },
  { ...owned, table: 'colorCards', name: 'color_card', owner: 'studio', columns: columns('name', 'lab:lab') },
  {
    ...owned,
    table: 'pieces',
    name: 'piece',
    owner: 'studio',
    snapshot: 'linked',
    columns: columns(
      'name',
      'templateId',
      'kind',
      'widthMm:double?',
      'depthMm:double?',
      'heightMm:double?',
      'weightG:double?',
      'materialId',
      'finishId:text?',
      'sheen',
      'color:lab?',
      'accent:lab?',
      'era',
      'leadTest',
      'cordCondition',
      'roles:json',
      'style',
      'season',
      'standsAt',
      'box',
      'shelf',
      'protection',
      'count:int',
      'sinceYear:int?',
      'uses:int',
      'lastUsedOn:date?',
      'value:bigint?',
      'currency',
      'story',
      'fragile:boolean',
      'borrowedFrom',
      'backBy:date?',
      'mayAlter:boolean',
      'photoId:uuid?',
      'seenOn:date?',
      'sorted:boolean',
    ),
    references: [{ column: 'photo_id', table: 'photo_bytes' }],
    indexed: [['height_mm'], ['last_used_on'], ['name']],
  },
  {
    ...owned,
    table: 'finds',
    name: 'find',
    columns: columns(
      'name',
      'source',
      'state',
      'kind',
      'templateId',
      'measures:json',
      'materialId',
      'finishId:text?',
      'sheen',
      'color:lab?',
      'era',
      'leadTest',
      'cordCondition',
      'story:json',
      'repairMinutes:int',
      'note',
      'reason',
      'pieceId:uuid?',
    ),
    references: [{ column: 'piece_id', table: 'piece' }],
    indexed: [['piece_id']],
  },
  {
    ...owned,
    table: 'offers',
    name: 'offer',
    columns: columns(
      'name',
      'source',
      'price:json',
      'delivery:bigint',
      'deliveryTaxed:boolean',
      'pieces:int',
      'assemblyMinutes:int',
      'leadDays:int',
      'templateId',
      'measures:json',
      'color:lab?',
    ),
  },
  { ...owned, table: 'recipes', name: 'recipe', columns: columns('name', 'body:json', 'doneOn:date?') },
  {
    ...owned,
    table: 'options',
    name: 'option',
    columns: columns(
      'slotId:uuid',
      'kind',
      'parts:json',
      'recipeId:uuid?',
      'handsOnMinutes:int?',
      'liking:int?',
      'yardstick:boolean',
    ),
    references: [
      { column: 'slot_id', table: 'slot' },
      { column: 'recipe_id', table: 'recipe' },
    ],
  },
  {
    ...owned,
    table: 'fills',
    name: 'fill',
    columns: columns('slotId:uuid', 'optionId:uuid', 'count:int'),
    references: [
      { column: 'slot_id', table: 'slot' },
      { column: 'option_id', table: 'option' },
    ],
    unique: [['slot_id', 'option_id']],
  },
  {
    ...owned,
    table: 'supplies',
    name: 'supply',
    owner: 'studio',
    columns: columns(
      'kindId',
      'colorCardId:uuid?',
      'sheen:text?',
      'stash:json',
      'unitCostMillionths:bigint?',
      'base',
      'containerSize:double?',
      'openedOn:date?',
      'keepsUntil:date?',
      'checkedOn:date?',
    ),
    references: [{ column: 'color_card_id', table: 'color_card' }],
  },
  {
    ...owned,
    table: 'packs',
    name: 'pack',
    owner: 'studio',
    columns: columns('supplyId:uuid', 'name', 'size:double', 'price:json', 'currency', 'source', 'seenOn'),
    references: [{ column: 'supply_id', table: 'supply' }],
  },
  {
    ...owned,
    table: 'tools',
    name: 'tool',
    owner: 'studio',
    columns: columns('toolId', 'owned:boolean', 'wear'),
    unique: [['tool_id']],
  },
  {
    ...owned,
    table: 'ledger',
    name: 'ledger_line',
    columns: columns(
      'kind',
      'amount:bigint',
      'atMs:bigint',
      'findId:uuid?',
      'offerId:uuid?',
      'supplyId:uuid?',
      'reversesId:uuid?',
      'note',
    ),
    references: [
      { column: 'find_id', table: 'find' },
      { column: 'offer_id', table: 'offer' },
      { column: 'supply_id', table: 'supply' },
      { column: 'reverses_id', table: 'ledger_line' },
    ],
    unique: [['reverses_id']],
    record: true,
  },
  {
    ...owned,
    table: 'overrides',
    name: 'override',
    columns: columns('key', 'scope', 'value:double', 'note'),
    unique: [['project_id', 'key', 'scope']],
  },
  {
    ...owned,
    table: 'acknowledgments',
    name: 'acknowledgment',
    columns: columns('recipeId:uuid', 'trigger', 'by', 'atMs:bigint'),
    references: [{ column: 'recipe_id', table: 'recipe' }],
  },
  {
    ...owned,
    table: 'photos',
    name: 'photo',
    columns: columns('kind', 'name', 'widthPx:int', 'heightPx:int', 'sizeBytes:int', 'atMs:bigint'),
    references: [{ column: 'id', table: 'photo_bytes' }],
  },
  {
    ...owned,
    table: 'inspirations',
    name: 'inspiration',
    columns: columns('photoId:uuid?', 'seenAt', 'taken'),
    references: [{ column: 'photo_id', table: 'photo' }],
  },
  {
    ...owned,
    table: 'patterns',
    name: 'pattern',
    owner: 'studio',
    columns: columns('name', 'spotKind', 'reason', 'slots:json'),
  },
  {
    ...owned,
    table: 'priceNotes',
    name: 'price_note',
    owner: 'studio',
    columns: columns('subject', 'subjectId', 'name', 'price:json', 'currency', 'source', 'seenOn'),
  },
  {
    ...owned,
    table: 'studioRecipes',
    name: 'studio_recipe',
    owner: 'studio',
    columns: columns('name', 'templateId', 'body:json'),
  },
  {
    ...owned,
    table: 'gaps',
    name: 'gap',
    owner: 'studio',
    snapshot: 'none',
    columns: columns('place', 'what', 'sinceOn:date', 'done:boolean'),
  },
  {
    ...owned,
    table: 'searches',
    name: 'saved_search',
    owner: 'studio',
    snapshot: 'none',
    columns: columns('name', 'query'),
  },
  {
    ...owned,
    table: 'supplyUses',
    name: 'supply_use',
    owner: 'studio',
    snapshot: 'none',
    columns: columns('supplyId:uuid', 'what', 'amount:double', 'onDate:date'),
    references: [{ column: 'supply_id', table: 'supply' }],
    indexed: [['supply_id']],
  },
];

const byTable = new Map(tableSpecs.map((spec) => [spec.table, spec]));

/** The spec of a snapshot table. */
export function specOf(table: ChangedTable): TableSpec {
  const spec = byTable.get(table);
  if (!spec) throw new Error(`no table "${table}"`);
  return spec;
}

/** Physical columns of a spec: a Lab color takes three. */
export function physicalColumns(
  spec: TableSpec,
): { column: string; type: Exclude<ColumnType, 'lab'>; nullable: boolean }[] {
  return spec.columns.flatMap((column) =>
    column.type === 'lab'
      ? ['l', 'a', 'b'].map((part) => ({
          column: `${column.column}_${part}`,
          type: 'double' as const,
          nullable: column.nullable,
        }))
      : [{ column: column.column, type: column.type, nullable: column.nullable }],
  );
}

/** A row's fields as physical column values; unknown fields are a bug of the caller. */
export function toColumns(spec: TableSpec, fields: Record<string, unknown>): Record<string, unknown> {
  const values: Record<string, unknown> = {};
  for (const [field, value] of Object.entries(fields)) {
    if (field === 'id' || field === 'version') continue;
    const column = spec.columns.find((candidate) => candidate.field === field);
    if (!column) throw new Error(`${spec.name} has no field "${field}"`);
    if (column.type === 'lab') {
      const lab = value as { L: number; a: number; b: number } | null;
      values[`${column.column}_l`] = lab?.L ?? null;
      values[`${column.column}_a`] = lab?.a ?? null;
      values[`${column.column}_b`] = lab?.b ?? null;
    } else values[column.column] = value;
  }
  return values;
}

/** SQL that builds a row's JSON, with the alias of its table. */
export function rowJsonSql(spec: TableSpec, alias: string): string {
  const parts = [`'id', ${alias}.id`, `'version', ${alias}.version`];
  for (const { field, column, type } of spec.columns) {
    if (type === 'lab') {
      parts.push(
        `'${field}', case when ${alias}.${column}_l is null then null else json_build_object('L', ${alias}.${column}_l, 'a', ${alias}.${column}_a, 'b', ${alias}.${column}_b) end`,
      );
    } else parts.push(`'${field}', ${alias}."${column}"`);
  }
  return `json_build_object(${parts.join(', ')})`;
}
