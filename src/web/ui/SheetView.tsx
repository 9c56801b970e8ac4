import type { SheetBlock, SheetDocument } from '@core/sheets/sheetDocument';
import type { ReactNode } from 'react';
import styles from './sheetView.module.css';

/**
 * A sheet of paper on the page: what its PDF says, in the same order. Pictures come from whoever shows it; one that is not
 * there is left out.
 */
export function SheetView(props: { sheet: SheetDocument; picture?: (key: string) => ReactNode }) {
  const { sheet, picture = () => null } = props;
  return (
    <article className={styles.sheet} aria-label={sheet.title}>
      {sheet.blocks.map((block, n) => (
        // Blocks have no names of their own, and a sheet is drawn anew as a whole.
        <Block key={n} block={block} picture={picture} />
      ))}
    </article>
  );
}

function Block(props: { block: SheetBlock; picture: (key: string) => ReactNode }) {
  const { block, picture } = props;
  switch (block.kind) {
    case 'heading': {
      const Heading = `h${block.level}` as const;
      return <Heading>{block.text}</Heading>;
    }
    case 'text':
      return <p className={block.isSmall ? styles.small : styles.lines}>{block.text}</p>;
    case 'address':
      return <p className={styles.address}>{block.lines.join('\n')}</p>;
    case 'facts':
      return (
        <dl className={styles.facts}>
          {block.facts.map(({ name, value }) => (
            <div key={name}>
              <dt>{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
      );
    case 'swatches':
      return (
        <ul className={styles.swatches} aria-label="Colors">
          {block.swatches.map(({ name, hex }) => (
            <li key={`${name} ${hex}`}>
              <i style={{ background: hex }} />
              {name}
            </li>
          ))}
        </ul>
      );
    case 'list':
      return (
        <ul className={styles.list}>
          {block.items.map((item) => (
            <li key={item}>{item}</li>
          ))}
        </ul>
      );
    case 'caution':
      return (
        <p className={styles.caution} role="note">
          {block.text}
        </p>
      );
    case 'pictures': {
      const shown = block.pictures.flatMap(({ key, caption }) => {
        const content = picture(key);
        return content ? [{ key, caption, content }] : [];
      });
      return shown.length === 0 ? null : (
        <div className={styles.pictures}>
          {shown.map(({ key, caption, content }) => (
            <figure key={key} data-picture={key}>
              {content}
              {caption !== '' && <figcaption>{caption}</figcaption>}
            </figure>
          ))}
        </div>
      );
    }
    case 'table':
      return <Table table={block} />;
    default:
      return block satisfies never;
  }
}

function Table(props: { table: Extract<SheetBlock, { kind: 'table' }> }) {
  const { name, columns, rows, totals = [] } = props.table;
  const cells = (row: readonly string[], Cell: 'td' | 'th') =>
    columns.map((column, n) => (
      <Cell key={n} className={column.isFigure ? styles.figure : undefined}>
        {Cell === 'th' && row[n] === '' ? <span className="visually-hidden">kind</span> : row[n]}
      </Cell>
    ));
  return (
    <div className={styles.scroll}>
      <table>
        <caption className="visually-hidden">{name}</caption>
        <thead>
          <tr>
            {cells(
              columns.map((column) => column.name),
              'th',
            )}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, n) => (
            <tr key={n}>{cells(row, 'td')}</tr>
          ))}
        </tbody>
        {totals.length > 0 && (
          <tfoot>
            {totals.map((row) => (
              <tr key={row.join(' ')}>{cells(row, 'td')}</tr>
            ))}
          </tfoot>
        )}
      </table>
    </div>
  );
}
