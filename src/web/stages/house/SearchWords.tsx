import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { Input, Search } from '../../ui/input';

const TYPING_MS = 120;

/** The search words, asked as they are typed. */
export function Words(props: { value: string; onChange: (value: string) => void }) {
  const [text, setText] = useState(props.value);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  useEffect(() => setText(props.value), [props.value]);
  return (
    <Search
      aria-label="Search the house"
      placeholder="search: blue vase, box 4 …"
      allowClear
      value={text}
      onChange={(event) => {
        const { value } = event.target;
        setText(value);
        if (timer.current) clearTimeout(timer.current);
        timer.current = setTimeout(() => props.onChange(value), TYPING_MS);
      }}
      onSearch={props.onChange}
    />
  );
}

/** Keeps what is asked now under a name. */
export function KeepSearch(props: { onKeep: (name: string) => void }) {
  const [name, setName] = useState<string | null>(null);
  if (name === null)
    return (
      <Button size="small" onClick={() => setName('')}>
        Keep this search
      </Button>
    );
  const keep = () => {
    if (name.trim() !== '') props.onKeep(name.trim());
    setName(null);
  };
  return (
    <Input
      size="small"
      autoFocus
      aria-label="Name of the search"
      placeholder="name it, then Enter"
      value={name}
      maxLength={80}
      onChange={(event) => setName(event.target.value)}
      onPressEnter={keep}
      onBlur={keep}
    />
  );
}
