import type { ImportedAnswer, RefusedAnswer } from '@contract/answers';
import { errorCodes } from '@contract/errors';
import { PROJECT_FILE_VERSION, type ProjectFile, readProjectFile } from '@contract/projectFile';
import { studioTables, type TableName, tableNames } from '@contract/rows';
import { pieceFingerprint } from '@core/formats/house/planImport';
import { sameValue } from '@core/kernel/sameValue';
import type { ProjectRows, Row } from '@core/plan/rows';
import { ledgerInOrder } from '@core/pricing/ledger';
import { type ActChange, recordAct } from '../persistence/acts';
import type { Database } from '../persistence/database';
import { copyPhotoBytes } from '../persistence/photoBytes';
import { piecePrints } from '../persistence/pieces';
import { insertRow, readRow, type StoredRow, updateRow } from '../persistence/rowStore';
import { inTransaction, type StudioScope, type Transaction } from '../persistence/scope';
import { lockProject, projectRows, raiseRevision } from '../persistence/snapshots';
import { summaryOf } from './summary';
import type { Surroundings } from './surroundings';

export type ImportMode = 'copy' | 'update';
export type ImportAnswer = { status: 200; body: ImportedAnswer } | { status: number; body: RefusedAnswer };

/** Tables in an order in which a reference always points to a row already written. */
const order: TableName[] = [
  'spots',
  'slots',
  'colorCards',
  'pieces',
  'finds',
  'offers',
  'recipes',
  'options',
  'fills',
  'supplies',
  'packs',
  'tools',
  'ledger',
  'overrides',
  'acknowledgments',
  'photos',
  'inspirations',
  'patterns',
  'priceNotes',
  'gaps',
  'searches',
  'supplyUses',
  'studioRecipes',
];

/**
 * Imports a parsed project file, all or nothing. `copy` gives every row a new id; studio rows that mean the same
 * (a supply of the same kind, color and sheen, a tool, a color card by name and color) are joined to those there are.
 * `update` writes the file's state over the project of the same id in the same studio.
 */
export async function importProject(
  database: Database,
  scope: StudioScope,
  input: unknown,
  mode: ImportMode,
  around: Surroundings,
): Promise<ImportAnswer> {
  const read = readProjectFile(input);
  if (!read.ok)
    return {
      status: errorCodes[read.code].status,
      body: { code: read.code, sentence: errorCodes[read.code].sentence, fields: read.errors },
    };
  const file = withoutPhotos(read.file);
  return inTransaction(database, scope, (transaction) =>
    mode === 'update' ? updateFrom(transaction, file, around) : copyFrom(transaction, file, around),
  );
}

/** Pictures do not travel in a file yet: what refers to one goes without it. */
function withoutPhotos(file: ProjectFile): ProjectFile {
  const { brief } = file.project;
  return {
    ...file,
    photos: [],
    inspirations: file.inspirations.map((row) => ({ ...row, photoId: null })),
    project: {
      ...file.project,
      brief: { ...brief, anchor: brief.anchor && { ...brief.anchor, photoId: null } },
    },
  };
}

/** Every id of the file replaced, in text and in nested parameters alike, by a map from old to new. */
function withIds<T>(value: T, ids: ReadonlyMap<string, string>): T {
  if (typeof value === 'string') {
    const whole = ids.get(value);
    if (whole !== undefined) return whole as T;
    return value.replace(
      /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/gi,
      (found) => ids.get(found) ?? found,
    ) as T;
  }
  if (Array.isArray(value)) return value.map((entry) => withIds(entry, ids)) as T;
  if (value !== null && typeof value === 'object') {
    return Object.fromEntries(
      Object.entries(value).map(([key, entry]) => [withIds(key, ids), withIds(entry, ids)]),
    ) as T;
  }
  return value;
}

async function studioRows({
  scope,
  manager,
}: Transaction): Promise<Pick<ProjectRows, 'colorCards' | 'supplies' | 'tools'>> {
  const list = (sql: string) => manager.query(sql, [scope.studioId]);
  return {
    colorCards: await list(
      "select id, name, json_build_object('L', lab_l, 'a', lab_a, 'b', lab_b) as lab from \"color_card\" where studio_id = $1 and deleted_at is null",
    ),
    supplies: await list(
      'select id, kind_id as "kindId", color_card_id as "colorCardId", sheen from "supply" where studio_id = $1 and deleted_at is null',
    ),
    tools: await list('select id, tool_id as "toolId" from "tool" where studio_id = $1 and deleted_at is null'),
  };
}

/**
 * Fills of a file that draw on pieces which are in the house already: they stay behind in a copy, since a piece is in
 * one place at a time and the project that is copied may have promised it. The ways to fill the slot come along.
 */
function fillsOfPieces(file: ProjectFile, joined: ReadonlySet<string>): ReadonlySet<string> {
  const finds = new Set(
    file.finds.filter((find) => find.pieceId !== null && joined.has(find.pieceId)).map((find) => find.id),
  );
  const options = new Set(
    file.options
      .filter((option) => option.parts.some((part) => part.findId !== null && finds.has(part.findId)))
      .map((option) => option.id),
  );
  return new Set(file.fills.filter((fill) => options.has(fill.optionId)).map((fill) => fill.id));
}

/** Writes a file's rows under new ids as a project of its own; `projectId` names it where the device has made the id. */
export async function copyFrom(
  transaction: Transaction,
  file: ProjectFile,
  around: Surroundings,
  projectIdWished: string | null = null,
): Promise<ImportAnswer> {
  const ids = new Map<string, string>([[file.project.id, projectIdWished ?? around.newId()]]);
  for (const table of tableNames) for (const row of file[table] as readonly Row[]) ids.set(row.id, around.newId());
  const present = await studioRows(transaction);
  const joined = new Set<string>();
  const join = (oldId: string, sameId: string | undefined) => {
    if (sameId === undefined) return;
    ids.set(oldId, sameId);
    joined.add(oldId);
  };
  for (const card of file.colorCards) {
    join(
      card.id,
      present.colorCards.find(
        (other) =>
          other.name === card.name &&
          Math.abs(other.lab.L - card.lab.L) + Math.abs(other.lab.a - card.lab.a) + Math.abs(other.lab.b - card.lab.b) <
            0.01,
      )?.id,
    );
  }
  for (const supply of file.supplies) {
    const cardId = supply.colorCardId === null ? null : (ids.get(supply.colorCardId) ?? null);
    join(
      supply.id,
      present.supplies.find(
        (other) => other.kindId === supply.kindId && other.colorCardId === cardId && other.sheen === supply.sheen,
      )?.id,
    );
  }
  // A piece that is in the house already is that piece: the same id, or the same thing by name, size and store.
  const prints = await piecePrints(transaction);
  const here = new Set(prints.map((piece) => piece.id));
  const byPrint = new Map(prints.map((piece) => [pieceFingerprint(piece), piece.id]));
  for (const piece of file.pieces) join(piece.id, here.has(piece.id) ? piece.id : byPrint.get(pieceFingerprint(piece)));
  const promised = fillsOfPieces(file, joined);
  for (const tool of file.tools) join(tool.id, present.tools.find((other) => other.toolId === tool.toolId)?.id);
  for (const pack of file.packs) if (joined.has(pack.supplyId)) joined.add(pack.id);

  const projectId = ids.get(file.project.id) as string;
  const actId = around.newId();
  const changes: ActChange[] = [];
  const put = async (table: TableName | 'project', row: StoredRow) => {
    await insertRow(transaction, table, row, projectId, actId);
    changes.push({ table, id: row.id, before: null, after: row, version: row.version });
  };
  for (const photo of file.photos) await copyPhotoBytes(transaction, photo.id, ids.get(photo.id) as string);
  await put('project', { ...withIds(file.project as unknown as StoredRow, ids), version: 1 });
  for (const table of order) {
    const list = table === 'ledger' ? ledgerInOrder(file.ledger) : (file[table] as readonly Row[]);
    for (const row of list)
      if (!joined.has(row.id) && !promised.has(row.id))
        await put(table, { ...withIds(row as StoredRow, ids), version: 1 });
  }
  return finish(transaction, projectId, file.project.name, actId, changes, 'copy', around);
}

/** The file's state with the pictures that the project has here, since a file brings none. */
function withPhotosOf(rows: ProjectRows, file: ProjectFile): ProjectFile {
  const { brief } = file.project;
  const photoOf = new Map(rows.inspirations.map((row) => [row.id, row.photoId]));
  return {
    ...file,
    photos: rows.photos,
    pieces: file.pieces.map((piece) => ({
      ...piece,
      photoId: rows.pieces.find((row) => row.id === piece.id)?.photoId ?? null,
    })),
    inspirations: file.inspirations.map((row) => ({ ...row, photoId: photoOf.get(row.id) ?? null })),
    project: {
      ...file.project,
      brief: {
        ...brief,
        anchor: brief.anchor && { ...brief.anchor, photoId: rows.project.brief.anchor?.photoId ?? null },
      },
    },
  };
}

async function updateFrom(transaction: Transaction, given: ProjectFile, around: Surroundings): Promise<ImportAnswer> {
  const { studioId } = transaction.scope;
  const rows =
    given.studioId === studioId && (await lockProject(transaction, given.project.id))
      ? await projectRows(transaction, given.project.id)
      : null;
  if (!rows) {
    const { status, sentence } = errorCodes.notFound;
    return {
      status,
      body: {
        code: 'notFound',
        sentence,
        fields: [
          {
            field: 'project.id',
            value: given.project.id,
            accepted: 'a project of this studio; import it as a copy instead',
          },
        ],
      },
    };
  }
  const file = withPhotosOf(rows, given);
  const actId = around.newId();
  const changes: ActChange[] = [];
  const write = async (table: TableName | 'project', before: StoredRow, values: StoredRow | null) => {
    if (values && sameValue({ ...before, version: 0 }, { ...values, version: 0 })) return;
    await updateRow(transaction, table, before.id, before.version, values ?? {}, actId, values === null);
    changes.push({
      table,
      id: before.id,
      before,
      after: values ? { ...values, version: before.version + 1 } : null,
      version: before.version + 1,
    });
  };
  await write('project', rows.project as unknown as StoredRow, file.project as unknown as StoredRow);
  for (const table of order) {
    // The ledger is a record: lines that are here stay, lines that are missing come.
    const here = new Map((rows[table] as readonly Row[]).map((row) => [row.id, row as StoredRow]));
    const list: readonly Row[] = table === 'ledger' ? ledgerInOrder(file.ledger) : file[table];
    const wanted = new Map(list.map((row) => [row.id, row as StoredRow]));
    if (table !== 'ledger' && !studioTables.has(table))
      for (const [id, row] of here) if (!wanted.has(id)) await write(table, row, null);
    for (const [id, row] of wanted) {
      const before = here.get(id);
      if (before) {
        if (table !== 'ledger') await write(table, before, row);
        continue;
      }
      const buried = await readRow(transaction, table, id);
      if (buried) {
        await updateRow(transaction, table, id, buried.row.version, row, actId, false);
        changes.push({
          table,
          id,
          before: null,
          after: { ...row, version: buried.row.version + 1 },
          version: buried.row.version + 1,
        });
      } else {
        await insertRow(transaction, table, { ...row, version: 1 }, file.project.id, actId);
        changes.push({ table, id, before: null, after: { ...row, version: 1 }, version: 1 });
      }
    }
  }
  return finish(transaction, file.project.id, file.project.name, actId, changes, 'update', around);
}

async function finish(
  transaction: Transaction,
  projectId: string,
  name: string,
  actId: string,
  changes: ActChange[],
  mode: ImportMode,
  around: Surroundings,
): Promise<ImportAnswer> {
  await recordAct(transaction, { id: actId, kind: `import.${mode}.${PROJECT_FILE_VERSION}`, projectId, changes }, null);
  const rows = await projectRows(transaction, projectId);
  if (rows) await raiseRevision(transaction, projectId, summaryOf(rows, around.nowMs()), true);
  return { status: 200, body: { projectId, name, mode } };
}
