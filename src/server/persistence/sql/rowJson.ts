import { LAB, type PhysicalColumn, snake, subjectProperty, subjects, type TableSpec } from '../tables';

/**
 * SQL that builds a row's JSON, with the alias of its table. By hand, since a snapshot is put together inside the
 * database: one statement and one text, where entities would be made of ten thousand rows only to be written out again.
 */
export function rowJsonSql(spec: TableSpec, alias: string): string {
  const at = (column: PhysicalColumn | undefined) => `${alias}."${column?.column}"`;
  const parts = [`'id', ${alias}.id`, `'version', ${alias}.version`];
  for (const { field, type, columns } of spec.columns) {
    const [first] = columns;
    switch (type) {
      case 'lab': {
        const numbers = LAB.map((part, n) => `'${part}', ${at(columns[n])}`).join(', ');
        parts.push(`'${field}', case when ${at(first)} is null then null else json_build_object(${numbers}) end`);
        break;
      }
      case 'subject': {
        const cases = subjects.map(([kind]) => {
          const id = `${alias}."${snake(subjectProperty(kind))}"`;
          return `when ${id} is not null then json_build_object('kind', '${kind}', 'id', ${id})`;
        });
        parts.push(`'${field}', case ${cases.join(' ')} end`);
        break;
      }
      default:
        parts.push(`'${field}', ${at(first)}`);
    }
  }
  return `json_build_object(${parts.join(', ')})`;
}
