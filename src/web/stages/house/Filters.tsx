import { hexFromLab } from '@core/color/lab';
import { formatLength } from '@core/kernel/formatLength';
import { parseLength } from '@core/kernel/parseLength';
import { seasons, slotRoles } from '@core/model/rows';
import { furnitureTemplates } from '@core/surface/templates';
import { Button } from 'antd';
import { useHouse } from '../../app/houseStore';
import { Choice, OneOf } from '../../ui/Choice';
import { DateField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { TypedField } from '../../ui/TypedField';
import styles from './house.module.css';
import { usePieceQuery } from './useStash';
import { seasonWords } from './words';

type LengthKey = 'minHeight' | 'maxHeight' | 'maxWidth' | 'maxDepth' | 'holdsWidth' | 'holdsDepth' | 'holdsHeight';

/** What a piece shall be: how tall, how wide, what it does, which color, whether it is free. */
export function Filters() {
  const { locale, rows, today } = useHouse();
  const { query, set } = usePieceQuery();
  const length = (key: LengthKey, label: string) => (
    <TypedField
      label={label}
      value={query[key] ?? null}
      suffix={locale.units === 'us' ? 'in' : 'cm'}
      show={(mm) => (mm === null ? '' : formatLength(mm, locale.units, false))}
      read={(text) => {
        if (text === '') return { ok: true, value: null };
        const read = parseLength(text, locale.units);
        return read.ok
          ? { ok: true, value: Math.round(read.value * 100) / 100 }
          : {
              ok: false,
              reason: `${label}: “${text}”; accepted: a length like ${locale.units === 'us' ? '34 1/2' : '80'}`,
            };
      }}
      onCommit={(mm) => set({ [key]: mm ?? undefined })}
    />
  );
  const any = { value: '', label: 'any' };
  const yearAgo = `${Number(today.slice(0, 4)) - 1}${today.slice(4)}`.replace('-02-29', '-02-28');
  return (
    <section aria-label="What it shall be" className={styles.filterBox}>
      <SideBySide across={2}>
        {length('minHeight', 'Taller than')}
        {length('maxHeight', 'At most tall')}
        {length('maxWidth', 'At most wide')}
        {length('maxDepth', 'At most deep')}
        <Choice<string>
          label="What it does in the look"
          value={query.role ?? ''}
          options={[any, ...slotRoles.map((role) => ({ value: role, label: role }))]}
          onChange={(role) => set({ role })}
        />
        <Choice<string>
          label="Season"
          value={query.season ?? ''}
          options={[any, ...seasons.slice(1).map((season) => ({ value: season, label: seasonWords[season] }))]}
          onChange={(season) => set({ season })}
        />
        <Choice<string>
          label="Kind"
          value={query.templateId ?? ''}
          options={[any, ...furnitureTemplates.all.map((entry) => ({ value: entry.id, label: entry.name }))]}
          onChange={(templateId) => set({ templateId })}
        />
        <Choice<string>
          label="Only"
          value={query.only ?? ''}
          options={[
            { value: '', label: 'all' },
            { value: 'unsorted', label: 'to sort out' },
            { value: 'stored', label: 'stored' },
            { value: 'standing', label: 'standing' },
            { value: 'borrowed', label: 'borrowed' },
            { value: 'fragile', label: 'fragile' },
          ]}
          onChange={(only) => set({ only })}
        />
        <Choice<string>
          label="Last used"
          value={query.unusedSince ?? ''}
          options={[
            { value: '', label: 'whenever' },
            { value: yearAgo, label: 'not for a year' },
            ...(query.unusedSince !== undefined && query.unusedSince !== yearAgo
              ? [{ value: query.unusedSince, label: `not since ${query.unusedSince}` }]
              : []),
          ]}
          onChange={(unusedSince) => set({ unusedSince })}
        />
      </SideBySide>
      <details
        open={query.holdsWidth !== undefined || query.holdsDepth !== undefined || query.holdsHeight !== undefined}
      >
        <summary>Room inside for</summary>
        <SideBySide across={3}>
          {length('holdsWidth', 'Long side')}
          {length('holdsDepth', 'Short side')}
          {length('holdsHeight', 'Height')}
        </SideBySide>
      </details>
      <div className={styles.field}>
        <span>Near a color</span>
        <div className={styles.near}>
          <input
            type="color"
            aria-label="Near this color"
            value={query.near === undefined ? '#7f8c8d' : `#${query.near}`}
            onChange={(event) => set({ near: event.target.value.slice(1) })}
          />
          <OneOf
            label="Near a color card"
            value={null}
            placeholder="a color card"
            options={rows.colorCards.map((card) => ({ value: card.id, label: card.name }))}
            onChange={(id) => {
              const card = rows.colorCards.find((entry) => entry.id === id);
              if (card) set({ near: hexFromLab(card.lab).slice(1) });
            }}
          />
          {query.near !== undefined && (
            <Button size="small" type="text" onClick={() => set({ near: undefined })} aria-label="Any color">
              ×
            </Button>
          )}
        </div>
      </div>
      <SideBySide across={2}>
        <DateField
          label="Free from"
          value={query.freeFrom ?? null}
          onCommit={(date) => set({ freeFrom: date ?? undefined })}
        />
        <DateField
          label="Free until"
          value={query.freeUntil ?? null}
          onCommit={(date) => set({ freeUntil: date ?? undefined })}
        />
      </SideBySide>
    </section>
  );
}
