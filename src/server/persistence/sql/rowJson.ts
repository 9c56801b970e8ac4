import { LAB, type PhysicalColumn, snake, subjectProperty, subjects, type TableSpec } from '../tables';

/**
 * SQL that builds a row's JSON, with the alias of its table. By hand, since a snapshot is put together inside the
 * database: one statement and one text, where entities would be made of ten thousand rows only to be written out again.
 */
export function rowJsonSql(spec: TableSpec, alias: string): string {
  const at = (column: PhysicalColumn | undefined) => `${alias}."${column?.column}"`;
  const parts = [`${alias}.id as "id"`, `${alias}.version as "version"`];
  for (const { field, type, columns } of spec.columns) {
    const [first] = columns;
    switch (type) {
      case 'lab': {
        const numbers = LAB.map((part, n) => `'${part}', ${at(columns[n])}`).join(', ');
        parts.push(`case when ${at(first)} is null then null else json_build_object(${numbers}) end as "${field}"`);
        break;
      }
      case 'subject': {
        const cases = subjects.map(([kind]) => {
          const id = `${alias}."${snake(subjectProperty(kind))}"`;
          return `when ${id} is not null then json_build_object('kind', '${kind}', 'id', ${id})`;
        });
        parts.push(`case ${cases.join(' ')} end as "${field}"`);
        break;
      }
      default:
        parts.push(`${at(first)} as "${field}"`);
    }
  }
  // A function takes at most a hundred arguments, a row has more fields than fifty.
  return `(select row_to_json(r) from (select ${parts.join(', ')}) r)`;
}
