import { HOUSE_FILE_LIMIT, type HouseImportRequest, type HousePreviewAnswer } from '@contract/house';
import { hasEnded } from '@contract/jobState';
import type { Fate, HouseTable } from '@core/formats/house/planImport';
import { problemWords } from '@core/words/problemWords';
import { useQueryClient } from '@tanstack/react-query';
import { Button } from 'antd';
import { useRef, useState } from 'react';
import { ApiError, api } from '../../app/api';
import { FileLink } from '../../app/FileLink';
import { useHouse } from '../../app/houseStore';
import { doneWork, useWorks, type Work } from '../../app/longWork';
import { WorkLine } from '../../app/WorkLine';
import { BigChoice } from '../../ui/basics';
import { OneOf } from '../../ui/Choice';
import { decodeText } from './decodeText';
import styles from './house.module.css';

const kinds: readonly { value: HouseTable; title: string; hint: string }[] = [
  { value: 'pieces', title: 'Pieces', hint: 'name, sizes, where it is …' },
  { value: 'supplies', title: 'Supplies', hint: 'kind, color, what is left …' },
  { value: 'prices', title: 'Prices', hint: 'packs, sizes, shops …' },
];
const fateWords: Record<Fate, string> = { new: 'new', change: 'changed', same: 'here already', bad: 'not taken' };

/** Tables in from a spreadsheet and out to one: every line is shown before anything is written. */
export function Files() {
  const { locale, today, noteAct } = useHouse();
  const client = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const [kind, setKind] = useState<HouseTable>('pieces');
  const [file, setFile] = useState<{ name: string; text: string; key: string } | null>(null);
  const [preview, setPreview] = useState<HousePreviewAnswer | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  /** What brings a file in, or brought the last one in. */
  const [work, setWork] = useState<Work<'importHouse'> | null>(null);
  const running = work !== null && !hasEnded(work.state);
  const others = useWorks('importHouse').filter(({ id }) => id !== work?.id);
  const latest = useRef(0);
  const intent = (text: string, of: HouseTable, mapping?: (string | null)[]): HouseImportRequest => ({
    kind: of,
    text,
    units: locale.units,
    currency: locale.currency as HouseImportRequest['currency'],
    today,
    ...(mapping ? { mapping } : {}),
  });
  const sentenceOf = (error: unknown) =>
    error instanceof ApiError && error.answer.fields?.[0]
      ? `${error.answer.sentence} ${problemWords(error.answer.fields[0])}`
      : error instanceof Error
        ? error.message
        : 'It could not be read.';
  const look = async (text: string, of: HouseTable, mapping?: (string | null)[]) => {
    latest.current += 1;
    const mine = latest.current;
    setProblem(null);
    setWork(null);
    try {
      const answer = await api.previewHouse(intent(text, of, mapping));
      if (latest.current === mine) setPreview(answer);
    } catch (error) {
      if (latest.current === mine) setProblem(sentenceOf(error));
    }
  };
  const take = async (chosen: File) => {
    setPreview(null);
    if (chosen.size > HOUSE_FILE_LIMIT) {
      setProblem(`${chosen.name}: ${Math.round(chosen.size / 1024 / 1024)} MB; accepted: a CSV file of at most 10 MB`);
      return;
    }
    const text = decodeText(new Uint8Array(await chosen.arrayBuffer()));
    if (text === null) {
      setProblem(`${chosen.name}: not a text file; accepted: CSV, as a spreadsheet saves it`);
      return;
    }
    setFile({ name: chosen.name, text, key: crypto.randomUUID() });
    await look(text, kind);
  };
  const bring = async () => {
    if (!file || !preview) return;
    try {
      // One id for one file as it was shown: pressed twice, or sent again, it is brought in once.
      const asked = intent(file.text, kind, preview.mapping);
      const wanted = { id: file.key, kind: 'importHouse', title: file.name.slice(0, 200), asked } as const;
      const { result, title } = await doneWork(client, wanted, setWork);
      if (!result) return;
      if (result.actId !== null) noteAct(result.actId, `${title} brought in`);
      setFile(null);
      setPreview(null);
      await client.invalidateQueries({ queryKey: ['house'] });
    } catch (error) {
      setWork(null);
      setProblem(sentenceOf(error));
    }
  };
  const takes = preview ? (preview.counts.new ?? 0) + (preview.counts.change ?? 0) : 0;
  return (
    <div className={styles.files}>
      <section aria-label="Bring a file in">
        <h2>Bring a file in</h2>
        <BigChoice
          label="What is in it"
          value={kind}
          choices={kinds}
          onChange={(next) => {
            setKind(next);
            setPreview(null);
            if (file) void look(file.text, next);
          }}
        />
        <input
          ref={input}
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          className="visually-hidden"
          aria-label="CSV file for the house"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            event.target.value = '';
            if (chosen) void take(chosen);
          }}
        />
        <p className={styles.bar}>
          <Button onClick={() => input.current?.click()}>Choose a CSV file</Button>
          <span className="muted small">
            comma, semicolon or tab; nothing is written before you have seen every line
          </span>
        </p>
        {problem && (
          <p role="alert" className={styles.trouble}>
            {problem}
          </p>
        )}
        {others.map((one) => (
          <WorkLine key={one.id} work={one} what={`Bringing ${one.title} in:`} />
        ))}
        {work?.result && (
          <p role="status">
            Done: {work.result.counts.new ?? 0} new, {work.result.counts.change ?? 0} changed,{' '}
            {work.result.counts.same ?? 0} here already, {work.result.counts.bad ?? 0} not taken.
          </p>
        )}
        {work?.state === 'cancelled' && <p role="status">Cancelled; nothing was written.</p>}
        {work?.refusal && (
          <p role="alert" className={styles.trouble}>
            {work.refusal.sentence} {work.refusal.fields?.[0] ? problemWords(work.refusal.fields[0]) : ''} Nothing was
            written.
          </p>
        )}
        {file && preview && (
          <Preview name={file.name} preview={preview} onMapping={(mapping) => void look(file.text, kind, mapping)} />
        )}
        {file && preview && (
          <p className={styles.bar}>
            <Button type="primary" disabled={takes === 0 || running} onClick={() => void bring()}>
              {takes === 0 ? 'Nothing to bring in' : `Bring ${takes} in`}
            </Button>
            {!running && (
              <Button
                onClick={() => {
                  setFile(null);
                  setPreview(null);
                }}
              >
                Cancel
              </Button>
            )}
          </p>
        )}
        {running && <WorkLine work={work} what={`Bringing ${work.title} in:`} />}
      </section>
      <section aria-label="Take a file out">
        <h2>Take a file out</h2>
        <p className="muted">
          CSV that any spreadsheet reads. Read back in, a line with its id changes the piece it names; cells that a
          spreadsheet would run are made harmless.
        </p>
        <ul>
          {kinds.map((entry) => (
            <li key={entry.value}>
              <FileLink
                name="exportHouse"
                asked={{
                  places: { kind: entry.value },
                  query: { units: locale.units, currency: locale.currency },
                }}
              >
                {entry.title}
              </FileLink>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

/** What a file would do, line by line, with the columns to put right. */
function Preview(props: {
  name: string;
  preview: HousePreviewAnswer;
  onMapping: (mapping: (string | null)[]) => void;
}) {
  const { preview } = props;
  return (
    <div className={styles.preview}>
      <h3>{props.name}</h3>
      <p role="status">
        {preview.total} {preview.total === 1 ? 'line' : 'lines'}: <b>{preview.counts.new ?? 0} new</b>,{' '}
        {preview.counts.change ?? 0} changed, {preview.counts.same ?? 0} here already,{' '}
        <b className={(preview.counts.bad ?? 0) > 0 ? styles.late : undefined}>{preview.counts.bad ?? 0} not taken</b>.
        Read with {preview.delimiter === ';' ? 'semicolons' : preview.delimiter === '\t' ? 'tabs' : 'commas'} and a
        decimal {preview.decimal === ',' ? 'comma' : 'point'}.
      </p>
      <fieldset aria-label="Columns" className={styles.mapping}>
        {preview.fields.map((field, n) => (
          <div key={`${field}${n}`}>
            <span>{field || `column ${n + 1}`}</span>
            <OneOf
              label={`Column ${field || n + 1}`}
              size="small"
              value={preview.mapping[n] ?? ''}
              options={[
                { value: '', label: 'leave out' },
                ...preview.columns.map((column) => ({
                  value: column.id,
                  label: column.heading.replace(/ \(.*\)$/, ''),
                })),
              ]}
              onChange={(id) =>
                props.onMapping(
                  preview.mapping.map((known, at) =>
                    at === n ? id || null : id !== '' && known === id ? null : known,
                  ),
                )
              }
            />
          </div>
        ))}
      </fieldset>
      <ul aria-label="Lines" className={styles.lines}>
        {preview.lines.slice(0, 200).map((line) => (
          <li key={line.line} data-fate={line.fate}>
            <span>{line.line}</span>
            <b>{fateWords[line.fate]}</b>
            <span>
              {line.label}
              {line.problems.map((entry) => (
                <small key={entry.field}>
                  {entry.field}: “{entry.value}”; accepted: {entry.accepted}
                </small>
              ))}
            </span>
          </li>
        ))}
      </ul>
      {preview.lines.length > 200 && (
        <p className="muted small">The first 200 lines; those that are not taken come first.</p>
      )}
    </div>
  );
}
