import { Button } from 'antd';
import { useState } from 'react';
import { copied } from './plainHttp';
import { saveFile } from './saveFile';
import styles from './shell.module.css';

/** What can be done with a list: copy it as text, save it as CSV, print it. */
export function ListActs(props: { text: () => string; csv: () => Promise<string>; fileName: string }) {
  const [said, setSaid] = useState<string | null>(null);
  const copy = async () => {
    const isDone = await copied(props.text());
    setSaid(isDone ? 'Copied' : 'The browser did not let us copy; print it or save the CSV');
  };
  // The byte order mark lets spreadsheets read accents.
  const save = async () => saveFile(props.fileName, 'text/csv', `\uFEFF${await props.csv()}`);
  return (
    <span className={styles.listActs}>
      <Button onClick={() => void copy()}>Copy as text</Button>
      <Button onClick={() => void save()}>Save as CSV</Button>
      <Button onClick={() => window.print()}>Print</Button>
      {said !== null && <span role="status">{said}</span>}
    </span>
  );
}
