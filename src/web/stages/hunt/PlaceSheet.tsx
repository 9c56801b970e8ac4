import type { PayloadOf } from '@core/acts';
import { openingHoursWords, parseOpeningHours } from '@core/calendar/openingHours';
import { sourceKinds } from '@core/catalog/sourceKinds';
import type { SourceRow } from '@core/model/rows';
import { usualOf } from '@core/plan/newSource';
import { readPatternLine } from '@core/sourcing/patternLine';
import { patternWords } from '@core/sourcing/patternWords';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands, useLocale } from '../../app/projectStore';
import { useMayDo } from '../../app/useMayDo';
import { Choice } from '../../ui/Choice';
import { MoneyField, NumberField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { TypedField } from '../../ui/TypedField';
import { DistanceField } from './DistanceField';
import styles from './hunt.module.css';
import { LineEntry } from './LineEntry';

/** Everything about one place, each field saved when it is left. */
export function PlaceSheet(props: { source: SourceRow; today: string }) {
  const { source, today } = props;
  const { run } = useCommands();
  const mayDo = useMayDo();
  const set = (values: PayloadOf<'editSource'>['values']) => run('editSource', { id: source.id, values });
  const { tax, returns } = source;
  const taxKind =
    tax === null ? 'project' : tax.percentThousandths === 0 ? 'none' : tax.included ? 'included' : 'added';
  return (
    <div>
      <div className={styles.sheet}>
        <SideBySide across={2}>
          <TextField label="Name" value={source.name} least={1} onCommit={(name) => set({ name })} />
          <Choice
            label="Kind of place"
            value={source.kind}
            options={sourceKinds.all.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(kind) => set({ kind, ...usualOf(sourceKinds.get(kind)) })}
          />
        </SideBySide>
        <Discounts source={source} today={today} onChange={(patterns) => set({ patterns })} />
      </div>
      <div className={styles.sheet}>
        <SideBySide across={3}>
          <Choice
            label="Takes things back"
            value={returns.state}
            options={[
              { value: 'unknown', label: 'not asked yet' },
              { value: 'within', label: 'within some days' },
              { value: 'final', label: 'never: final sale' },
            ]}
            onChange={(state) =>
              set({ returns: state === 'within' ? { state, days: 30, restockingThousandths: 0 } : { state } })
            }
          />
          {returns.state === 'within' && (
            <>
              <NumberField
                label="Days, the last one included"
                value={returns.days}
                least={0}
                most={3650}
                whole
                onCommit={(days) => set({ returns: { ...returns, days } })}
              />
              <NumberField
                label="Keeps for restocking"
                suffix="%"
                value={returns.restockingThousandths / 1000}
                least={0}
                most={100}
                onCommit={(percent) =>
                  set({ returns: { ...returns, restockingThousandths: Math.round(percent * 1000) } })
                }
              />
            </>
          )}
          <Choice
            label="Tax there"
            value={taxKind}
            options={[
              { value: 'project', label: 'as in the project' },
              { value: 'none', label: 'none' },
              { value: 'added', label: 'added, own rate' },
              { value: 'included', label: 'in the price, own rate' },
            ]}
            onChange={(kind) =>
              set({
                tax:
                  kind === 'project'
                    ? null
                    : {
                        percentThousandths: kind === 'none' ? 0 : tax?.percentThousandths || 8_000,
                        included: kind === 'included',
                      },
              })
            }
          />
          {tax !== null && tax.percentThousandths > 0 && (
            <NumberField
              label="Rate"
              suffix="%"
              value={tax.percentThousandths / 1000}
              least={0}
              most={50}
              onCommit={(percent) => set({ tax: { ...tax, percentThousandths: Math.round(percent * 1000) } })}
            />
          )}
          <NumberField
            label="Minutes there, one way"
            value={source.minutesOneWay}
            nullable
            least={0}
            most={1440}
            whole
            onCommit={(minutesOneWay) => set({ minutesOneWay })}
          />
          <DistanceField
            label="Distance, one way"
            value={source.distanceM}
            onCommit={(distanceM) => set({ distanceM })}
          />
        </SideBySide>
        <Delivers source={source} onChange={(delivers) => set({ delivers })} />
        <TypedField
          label="Open"
          value={source.hours}
          show={openingHoursWords}
          read={(text) => {
            const hours = parseOpeningHours(text);
            return hours === null
              ? { ok: false, reason: `“${text}” is not understood. Write it like: Mon-Fri 9-18, Sat 10-16` }
              : { ok: true, value: hours };
          }}
          hint="Mon-Fri 9-18, Sat 10-16; empty: not known"
          onCommit={(hours) => set({ hours })}
        />
        <TextField label="Note" value={source.note} most={1000} onCommit={(note) => set({ note })} />
        {mayDo('removeSource') && (
          <p>
            <Button type="text" onClick={() => run('removeSource', { id: source.id })}>
              Remove place
            </Button>
          </p>
        )}
      </div>
    </div>
  );
}

/** What a place sends an order for, if it sends any. */
function Delivers(props: { source: SourceRow; onChange: (delivers: SourceRow['delivers']) => void }) {
  const { onChange } = props;
  const { currency } = useLocale();
  const { delivers } = props.source;
  return (
    <SideBySide across={3}>
      <Choice
        label="Sends things"
        value={delivers === null ? 'no' : 'yes'}
        options={[
          { value: 'no', label: 'no, or not asked yet' },
          { value: 'yes', label: 'yes, an order at a time' },
        ]}
        onChange={(sends) => onChange(sends === 'yes' ? { amount: 0, taxed: true, freeFrom: null } : null)}
      />
      {delivers && (
        <>
          <MoneyField
            label="An order is sent for"
            value={delivers.amount}
            currency={currency}
            onCommit={(amount) => onChange({ ...delivers, amount })}
          />
          <MoneyField
            label="Free from, goods"
            value={delivers.freeFrom}
            currency={currency}
            nullable
            hint="empty: never"
            onCommit={(freeFrom) => onChange({ ...delivers, freeFrom })}
          />
        </>
      )}
    </SideBySide>
  );
}

/** What a place takes off, said line by line; what a new line would mean is told while it is typed. */
function Discounts(props: { source: SourceRow; today: string; onChange: (patterns: SourceRow['patterns']) => void }) {
  const { source, today } = props;
  const [line, setLine] = useState('');
  const read = line.trim() === '' ? null : readPatternLine(line, today);
  const add = () => {
    if (!read) return;
    props.onChange([...source.patterns, { id: crypto.randomUUID(), ...read }]);
    setLine('');
  };
  return (
    <section aria-label="What it takes off">
      <h3>What it takes off</h3>
      {source.patterns.length === 0 ? (
        <p className="muted small">Nothing noted yet.</p>
      ) : (
        <ul className={styles.checks}>
          {source.patterns.map((pattern) => {
            const words = patternWords(pattern, today);
            return (
              <li key={pattern.id} className={styles.check}>
                <span>{words}</span>
                <Button
                  size="small"
                  type="text"
                  aria-label={`Remove: ${words}`}
                  onClick={() => props.onChange(source.patterns.filter(({ id }) => id !== pattern.id))}
                >
                  ×
                </Button>
              </li>
            );
          })}
        </ul>
      )}
      <LineEntry
        label="Another discount, as one says it"
        placeholder="frames half off every other week, next from Sunday"
        value={line}
        send="Add discount"
        isReady={read !== null}
        onType={setLine}
        onSend={add}
      />
      <p className="small muted" aria-live="polite">
        {line.trim() === ''
          ? 'How much, of what, and when: “25 % off on Tuesdays”, “half off blue tags this week”, “clearance 30, 50, 75 % from Dec 26”.'
          : read === null
            ? 'How much is off? Say it like “half off” or “30 %”.'
            : `Understood: ${patternWords({ id: '', ...read }, today)}`}
      </p>
    </section>
  );
}
