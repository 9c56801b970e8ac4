import { hexFromLab, labFromHex } from '@core/color/lab';
import type { ColorCardRow } from '@core/model/rows';
import { Button } from 'antd';
import { useId, useState } from 'react';
import { Input } from './input';
import { Colored, ListToCome } from './ListToCome';
import { later } from './later';
import { coloredCard } from './ManyOf';
import styles from './ui.module.css';

const ColorList = later(
  async () => (await import('./libraryLists')).ColorList,
  ({ value, options }) => {
    const chosen = options.find((entry) => entry.value === value);
    return <ListToCome>{chosen && <Colored name={chosen.label} color={chosen.color} />}</ListToCome>;
  },
);

/** Picks a color card, or makes one from a name and a color. */
export function ColorCardPicker(props: {
  label: string;
  cards: readonly ColorCardRow[];
  value: string | null;
  onPick: (id: string) => void;
  onMake: (name: string, lab: ColorCardRow['lab']) => void;
  /** Whether making a new one stays closed until it is asked for, even where there is none to pick. */
  closed?: boolean;
}) {
  const id = useId();
  const [making, setMaking] = useState(props.cards.length === 0 && !props.closed);
  const [name, setName] = useState('');
  const [hex, setHex] = useState('#2f5d62');
  const readable = /^#?[0-9a-f]{6}$/i.test(hex);
  const make = () => {
    if (name.trim() === '' || !readable) return;
    props.onMake(name.trim(), labFromHex(hex));
    setName('');
    setMaking(false);
  };
  return (
    <div className={styles.field}>
      <span>
        <label htmlFor={id}>{props.label}</label>
      </span>
      <div style={{ display: 'flex', gap: 8 }}>
        <ColorList
          id={id}
          label={props.label}
          options={props.cards.map(coloredCard)}
          value={props.value}
          onPick={props.onPick}
        />
        <Button onClick={() => setMaking(!making)} aria-expanded={making}>
          New color
        </Button>
      </div>
      {making && (
        <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8, marginTop: 6 }}>
          <input
            type="color"
            aria-label="Pick the color"
            value={readable ? hex : '#ffffff'}
            onChange={(event) => setHex(event.target.value)}
            style={{
              width: 44,
              height: 32,
              padding: 2,
              border: '1px solid var(--ink)',
              background: 'var(--sheet)',
              borderRadius: 3,
            }}
          />
          <Input
            aria-label="Color code"
            value={hex}
            onChange={(event) => setHex(event.target.value.trim())}
            {...(readable ? {} : { status: 'error' as const })}
            style={{ width: 92 }}
            maxLength={7}
          />
          <Input
            style={{ flex: 1, minWidth: 120 }}
            aria-label="Name of the color"
            placeholder="Harbor teal"
            value={name}
            onChange={(event) => setName(event.target.value)}
            onPressEnter={make}
            maxLength={80}
          />
          <Button onClick={make} disabled={name.trim() === '' || !readable}>
            Keep color
          </Button>
          {!readable && (
            <span className={styles.error} role="alert">
              Color code: “{hex}”; accepted: six hex digits like #2f5d62
            </span>
          )}
        </div>
      )}
    </div>
  );
}

/** The present color of a piece, or unknown. */
export function LabField(props: {
  label: string;
  value: ColorCardRow['lab'] | null;
  fallbackHex: string;
  /** What is said while no color is known. */
  unknown?: string;
  onChange: (lab: ColorCardRow['lab'] | null) => void;
}) {
  const id = useId();
  const hex = props.value ? hexFromLab(props.value) : props.fallbackHex;
  return (
    <div className={styles.field}>
      <span>
        <label htmlFor={id}>{props.label}</label>
      </span>
      <div style={{ display: 'flex', gap: 8, alignItems: 'center' }}>
        <input
          id={id}
          type="color"
          value={hex}
          onChange={(event) => props.onChange(labFromHex(event.target.value))}
          style={{
            width: 44,
            height: 32,
            padding: 2,
            border: '1px solid var(--ink)',
            background: 'var(--sheet)',
            borderRadius: 3,
          }}
        />
        {props.value ? (
          <Button size="small" type="text" onClick={() => props.onChange(null)}>
            Forget
          </Button>
        ) : (
          <span className="muted small">{props.unknown ?? 'usual for the material (estimated)'}</span>
        )}
      </div>
    </div>
  );
}
