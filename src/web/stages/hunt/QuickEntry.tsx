import { newFind } from '@core/sourcing/newFind';
import { type QuickLine, readQuickLine, saysSomething } from '@core/sourcing/quickLine';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { Input } from '../../ui/input';
import styles from './hunt.module.css';

const DRAFT = 'euporia.quickLine';

/** The quick line: shows what it understood while one types; Enter keeps the find. */
export function QuickEntry(props: { onAdded: (id: string) => void; wanted: boolean }) {
  const rows = useRows();
  const { run } = useCommands();
  const locale = useLocale();
  const draftKey = `${DRAFT}.${rows.project.id}`;
  const [text, setText] = useState(() => localStorage.getItem(draftKey) ?? '');
  const input = useRef<HTMLInputElement>(null);
  const line: QuickLine | null = !saysSomething(text) ? null : readQuickLine(text, locale.currency, locale.units);
  useEffect(() => {
    if (props.wanted) document.getElementById('quick-line')?.focus();
  }, [props.wanted]);
  const type = (value: string) => {
    setText(value);
    localStorage.setItem(draftKey, value);
  };
  const add = () => {
    if (!line) return;
    const find = newFind(crypto.randomUUID(), crypto.randomUUID(), line, locale.units);
    run('addFind', { row: { ...find, version: 1 } });
    type('');
    props.onAdded(find.id);
    input.current?.focus();
  };
  return (
    <div className={styles.sheet}>
      <div className={styles.quick}>
        <Input
          id="quick-line"
          aria-label="Quick line: what, price, what happened to it"
          placeholder="nightstand, $12, half off, one drawer sticks"
          value={text}
          onChange={(event) => type(event.target.value)}
          onPressEnter={add}
          size="large"
          autoComplete="off"
        />
        <Button type="primary" size="large" onClick={add} disabled={!line}>
          Keep find
        </Button>
      </div>
      <div className={styles.understood} aria-live="polite">
        {!line && text.trim() !== '' && (
          <span>
            “{text.trim()}” says nothing yet; accepted: a line like <i>nightstand, $12, half off</i>
          </span>
        )}
        {line?.understood.map((part, index) => (
          <span key={`${part.text}-${index}`}>
            {part.text}: {part.as ? <b>{part.as}</b> : <i>noted</i>}
          </span>
        ))}
        {line && line.templateId === null && (
          <span>
            kind of piece: <i>a box of any size, until you say</i>
          </span>
        )}
        {line && line.tag === null && (
          <span>
            price: <i>unknown yet</i>
          </span>
        )}
      </div>
    </div>
  );
}
