import { type PrintPaper, printPapers } from '@core/formats/cutting/printPapers';
import { listed } from '@core/kernel/listed';
import type { SheetDocument } from '@core/sheets/sheetDocument';
import { Button } from 'antd';
import { type ReactNode, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useLocale } from '../../../app/projectStore';
import { fileName, saveBlob, saveFile } from '../../../app/saveFile';
import shell from '../../../app/shell.module.css';
import { Choice } from '../../../ui/Choice';
import { SheetView } from '../../../ui/SheetView';
import styles from './sheets.module.css';
import { pdfOf } from './sheetWriter';

/** A sheet as it is printed, with what makes a file of it: a PDF, the same as a table, the same as data. */
export function Paper(props: {
  sheet: SheetDocument;
  picture?: (key: string) => ReactNode;
  table?: () => { fields: string[]; rows: string[][] };
  data: () => unknown;
  /** What is set on it, above. */
  children?: ReactNode;
}) {
  const { sheet, picture, table, data, children } = props;
  const { units } = useLocale();
  const [paper, setPaper] = useState<PrintPaper>(units === 'us' ? 'letter' : 'a4');
  const [state, setState] = useState<{ isBusy: boolean; said: string; isProblem: boolean }>({
    isBusy: false,
    said: '',
    isProblem: false,
  });
  const shown = useRef<HTMLDivElement>(null);
  const name = fileName(sheet.fileName);
  const savePdf = async () => {
    if (!shown.current) return;
    setState({ isBusy: true, said: '', isProblem: false });
    try {
      const { bytes, pages, missing } = await pdfOf(sheet, paper, shown.current);
      saveBlob(`${name}.pdf`, new Blob([bytes as BlobPart], { type: 'application/pdf' }));
      const lost =
        missing.length === 0
          ? ''
          : ` No typeface has ${listed(missing)}: question marks stand there; printing has them.`;
      setState({
        isBusy: false,
        said: `Saved: ${pages} ${pages === 1 ? 'page' : 'pages'}.${lost}`,
        isProblem: missing.length > 0,
      });
    } catch {
      setState({
        isBusy: false,
        said: 'The PDF could not be made: its typefaces did not come. Try again with a connection, or print.',
        isProblem: true,
      });
    }
  };
  const saveTable = async (asked: NonNullable<typeof table>) => {
    try {
      const { writeTable } = await import('@core/formats/table/writeTable');
      const { fields, rows } = asked();
      saveFile(`${name}.csv`, 'text/csv', writeTable(fields, rows));
      setState({ isBusy: false, said: '', isProblem: false });
    } catch {
      setState({
        isBusy: false,
        said: 'What writes tables did not come. Try again with a connection.',
        isProblem: true,
      });
    }
  };
  return (
    <main className={`${shell.page} ${styles.page}`}>
      <div className={styles.tools}>
        <p className={styles.back}>
          <Link to="../wrap?tab=sheets">All sheets</Link>
        </p>
        {children}
        <div className={styles.buttons}>
          <Choice
            label="Paper"
            hideLabel
            value={paper}
            width={120}
            options={Object.entries(printPapers).map(([id, of]) => ({ value: id as PrintPaper, label: of.name }))}
            onChange={setPaper}
          />
          <Button type="primary" loading={state.isBusy} onClick={() => void savePdf()}>
            Save as PDF
          </Button>
          <Button onClick={() => window.print()}>Print</Button>
          {table && <Button onClick={() => void saveTable(table)}>As a table (CSV)</Button>}
          <Button onClick={() => saveFile(`${name}.json`, 'application/json', `${JSON.stringify(data(), null, 2)}\n`)}>
            As data (JSON)
          </Button>
        </div>
        <p role={state.isProblem ? 'alert' : 'status'} className="small">
          {state.said}
        </p>
      </div>
      <div ref={shown}>
        <SheetView sheet={sheet} {...(picture ? { picture } : {})} />
      </div>
    </main>
  );
}
