import { unitOfKind } from '@core/catalog/supplyKinds';
import { tools } from '@core/catalog/tools';
import { stated } from '@core/kernel/price';
import type { PriceNoteRow } from '@core/model/rows';
import { newPack } from '@core/plan/newRows';
import { furnitureTemplates } from '@core/surface/templates';
import { supplyWords } from '@core/words/supplyWords';
import { Button } from 'antd';
import { useState } from 'react';
import { useHouse } from '../../app/houseStore';
import { Choice } from '../../ui/Choice';
import { DateField, MoneyField, SupplyAmountField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './house.module.css';
import { supplyName } from './supplyNames';

/** A price for a supply that is known here, a tool, or something sold new. */
export function AddPrice(props: { onDone: () => void }) {
  const { rows, locale, run, today } = useHouse();
  const subjects = [
    ...rows.supplies.map((supply) => ({ value: `supply:${supply.id}`, label: supplyName(supply, rows.colorCards) })),
    ...tools.all.map((tool) => ({ value: `tool:${tool.id}`, label: `Tool: ${tool.name}` })),
    ...furnitureTemplates.all.map((template) => ({ value: `piece:${template.id}`, label: `New: ${template.name}` })),
  ];
  const [subject, setSubject] = useState(subjects[0]?.value ?? '');
  const [name, setName] = useState('');
  const [size, setSize] = useState<number | null>(null);
  const [price, setPrice] = useState<number | null>(null);
  const [source, setSource] = useState('');
  const [seenOn, setSeenOn] = useState<string | null>(today);
  const [kind = '', id = ''] = subject.split(':');
  const supply = kind === 'supply' ? rows.supplies.find((row) => row.id === id) : undefined;
  const unit = supply ? unitOfKind(supply.kindId) : 'piece';
  const ready = price !== null && (supply === undefined || size !== null);
  const save = () => {
    if (price === null) return;
    const seen = { source, seenOn: seenOn ?? '' };
    if (supply && size !== null) {
      const pack = newPack(
        crypto.randomUUID(),
        supply.id,
        name || supplyWords(size, unit, locale.units),
        size,
        stated(price),
        locale.currency,
      );
      run('saveSupply', {
        supply,
        packs: [...rows.packs.filter((other) => other.supplyId === supply.id), { ...pack, ...seen }],
      });
    } else {
      const label = subjects.find((entry) => entry.value === subject)?.label ?? '';
      const note: PriceNoteRow = {
        id: crypto.randomUUID(),
        version: 1,
        subject: kind as 'tool' | 'piece',
        subjectId: id,
        name: name || label.replace(/^(Tool|New): /, ''),
        price: stated(price),
        currency: locale.currency,
        ...seen,
      };
      run('savePrice', { note });
    }
    props.onDone();
  };
  return (
    <section className={styles.addCan} aria-label="A price">
      <SideBySide across={3}>
        <Choice label="Price of" value={subject} options={subjects} onChange={setSubject} />
        <TextField
          label={supply ? 'Pack' : 'Name'}
          value={name}
          most={80}
          onCommit={setName}
          hint="quart, pack of 6 …"
        />
        {supply && (
          <SupplyAmountField
            label="Size"
            unit={unit}
            units={locale.units}
            value={size}
            nullable
            least={0.01}
            onCommit={setSize}
          />
        )}
        <MoneyField label="Price" value={price} nullable currency={locale.currency} onCommit={setPrice} />
        <TextField label="Seen at" value={source} onCommit={setSource} />
        <DateField label="Seen on" value={seenOn} onCommit={setSeenOn} />
      </SideBySide>
      <p className={styles.bar}>
        <Button type="primary" onClick={save} disabled={!ready}>
          Note it
        </Button>
        <Button onClick={props.onDone}>Cancel</Button>
      </p>
    </section>
  );
}
