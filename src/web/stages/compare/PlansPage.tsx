import { lookOfFills } from '@core/balance/program';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { Memo } from '@core/kernel/memo';
import type { Plan } from '@core/plan/computePlan';
import { planOfChoices, presentChoices, slotsInBoth, slotsToTake } from '@core/plan/namedPlans';
import { Button, Checkbox } from 'antd';
import { useMemo, useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useSearchState } from '../../app/useSearchState';
import { amountWords, dayWords } from '../../app/words';
import { Empty, LinkButton, StitchedNumber } from '../../ui/basics';
import { Choice } from '../../ui/Choice';
import { TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './plansPage.module.css';
import { SideOfPlan } from './SideOfPlan';

/** Stands for what is chosen now, beside the ids of kept plans. */
const PRESENT = 'now';

/** Whole plans kept by name, and two of them slot by slot beside each other. */
export function PlansPage() {
  const plan = usePlan();
  const rows = useRows();
  const locale = useLocale();
  const { run } = useCommands();
  const [search, update] = useSearchState();
  const [onlyDifferent, setOnlyDifferent] = useState(true);
  const [name, setName] = useState('');
  const kept = useMemo(() => [...rows.plans].sort((a, b) => a.name.localeCompare(b.name)), [rows.plans]);
  const idOf = (side: string, usual: string): string => {
    const asked = search.get(side) ?? usual;
    return asked === PRESENT || kept.some(({ id }) => id === asked) ? asked : PRESENT;
  };
  const one = idOf('one', PRESENT);
  const other = idOf('other', kept.find(({ id }) => id !== one)?.id ?? PRESENT);
  const plans = usePlans(plan, kept);
  const [left, right] = [plans.get(one) ?? plan, plans.get(other) ?? plan];
  const slots = slotsInBoth(left, right);
  const shown = onlyDifferent ? slots.filter(({ differs }) => differs) : slots;
  const options = [
    { value: PRESENT, label: 'as chosen now' },
    ...kept.map(({ id, name: label }) => ({ value: id, label })),
  ];
  const nameOf = (id: string) => options.find(({ value }) => value === id)?.label ?? '';
  const problem = nameProblem(name, kept);
  const keep = () => {
    if (name.trim() === '' || problem) return;
    const id = crypto.randomUUID();
    run('keepPlan', { row: { id, version: 1, name: name.trim(), note: '', choices: presentChoices(rows) } });
    setName('');
    update((next) => next.set('other', id));
  };
  if (rows.slots.length === 0)
    return (
      <main className={shell.page}>
        <Empty title="No slots yet">
          <p>A plan is what every slot is filled with: number the slots in the sketch first.</p>
          <LinkButton to="../sketch" primary>
            To the sketch
          </LinkButton>
        </Empty>
      </main>
    );
  return (
    <main className={styles.page}>
      <header className={styles.head}>
        <h2>Plans side by side</h2>
        <LinkButton to="../compare">Back to the board</LinkButton>
      </header>
      <section aria-label="Keep the present plan" className={styles.keep}>
        <TextField
          key={kept.length}
          label="Keep what is chosen now as"
          hint="“under 300”, “no spraying”"
          value={name}
          most={80}
          error={problem}
          onCommit={setName}
        />
        <Button type="primary" onClick={keep} disabled={name.trim() === '' || problem !== null}>
          Keep this plan
        </Button>
      </section>
      {kept.length === 0 ? (
        <p className="muted">
          No plan is kept yet: keep this one, change the board, and hold the two against each other.
        </p>
      ) : (
        <ul className={styles.kept} aria-label="Kept plans">
          {kept.map((entry) => {
            const here = plans.get(entry.id) ?? plan;
            const take = slotsToTake(rows, entry.choices, () => crypto.randomUUID());
            return (
              <li key={entry.id}>
                <TextField
                  label="Name"
                  hideLabel
                  value={entry.name}
                  least={1}
                  most={80}
                  onCommit={(next) => run('editPlan', { id: entry.id, values: { name: next } })}
                />
                <span className={styles.figures}>
                  {amountWords(here.sums.cash, locale)} to go · {formatMinutes(here.sums.minutes.likely)} · look{' '}
                  {Math.round(lookOfFills(here.chosen) * 10) / 10}
                  {overWords(here)}
                </span>
                <span className={styles.acts}>
                  <Button
                    size="small"
                    disabled={take.length === 0}
                    aria-label={`Take ${entry.name}`}
                    onClick={() => run('takeChoices', { slots: take })}
                  >
                    {take.length === 0 ? 'As chosen now' : 'Take it'}
                  </Button>
                  <Button
                    size="small"
                    aria-label={`Look at ${entry.name}`}
                    onClick={() => update((next) => next.set('other', entry.id))}
                  >
                    Beside
                  </Button>
                  <Button
                    size="small"
                    type="text"
                    aria-label={`Remove ${entry.name}`}
                    onClick={() => run('removePlan', { id: entry.id })}
                  >
                    Remove
                  </Button>
                </span>
              </li>
            );
          })}
        </ul>
      )}
      {kept.length > 0 && (
        <section aria-label="Side by side">
          <SideBySide across={2}>
            <Choice
              label="Left"
              value={one}
              options={options}
              onChange={(id) => update((next) => next.set('one', id))}
            />
            <Choice
              label="Right"
              value={other}
              options={options}
              onChange={(id) => update((next) => next.set('other', id))}
            />
          </SideBySide>
          <table className={styles.table}>
            <thead>
              <tr>
                <th scope="col">Slot</th>
                <th scope="col">{nameOf(one)}</th>
                <th scope="col">{nameOf(other)}</th>
              </tr>
            </thead>
            <tbody>
              <Totals left={left} right={right} />
              {shown.map(({ slot, one: a, other: b, differs }) => (
                <tr key={slot.id} data-differs={differs}>
                  <th scope="row">
                    <StitchedNumber>{slot.number}</StitchedNumber> {slot.name}
                  </th>
                  <SideOfPlan side={a} />
                  <SideOfPlan side={b} />
                </tr>
              ))}
            </tbody>
          </table>
          {shown.length === 0 && <p className="muted">Both fill every slot alike.</p>}
          <Checkbox checked={onlyDifferent} onChange={(event) => setOnlyDifferent(event.target.checked)}>
            Only what differs ({slots.filter(({ differs }) => differs).length} of {slots.length})
          </Checkbox>
        </section>
      )}
    </main>
  );
}

/** Why a name cannot be taken; null where it can, or nothing is typed. */
function nameProblem(name: string, kept: readonly { name: string }[]): string | null {
  const wanted = name.trim().toLowerCase();
  return kept.some((entry) => entry.name.toLowerCase() === wanted)
    ? `Name: “${name}” is a plan already; accepted: a name of its own`
    : null;
}

/** Every kept plan as it stands today; each remembers of itself what did not change. */
function usePlans(plan: Plan, kept: readonly { id: string; choices: Parameters<typeof planOfChoices>[1] }[]) {
  const [memos] = useState(() => new Map<string, Memo>());
  return useMemo(
    () =>
      new Map(
        kept.map(({ id, choices }) => {
          const memo = memos.get(id) ?? new Memo();
          memos.set(id, memo);
          return [id, planOfChoices(plan, choices, memo)];
        }),
      ),
    [plan, kept, memos],
  );
}

/** What is over in a plan, in words; nothing where it fits. */
function overWords({ purse }: Plan): string {
  const over = [
    purse.money.free.likely < 0 ? 'over the money' : '',
    (purse.hands.freeMinutes ?? 0) < 0 ? 'short of hours' : '',
    (purse.days.inHand ?? 0) < 0 ? 'late' : '',
  ].filter((word) => word !== '');
  return over.length === 0 ? '' : ` · ${over.join(', ')}`;
}

/** The sums of two plans, row by row. */
function Totals(props: { left: Plan; right: Plan }) {
  const locale = useLocale();
  const lines: { label: string; of: (plan: Plan) => string }[] = [
    { label: 'Cash to go', of: ({ sums }) => amountWords(sums.cash, locale) },
    { label: 'Free then', of: ({ purse }) => amountWords(purse.money.free, locale) },
    { label: 'Hands-on', of: ({ sums }) => formatMinutes(sums.minutes.likely) },
    { label: 'Look', of: ({ chosen }) => String(Math.round(lookOfFills(chosen) * 10) / 10) },
    {
      label: 'Ready',
      of: ({ purse: { days }, asOfMs }) =>
        days.lastUsableMs === null ? 'nothing chosen' : dayWords(days.lastUsableMs, asOfMs, locale.timeZone),
    },
  ];
  return lines.map(({ label, of }) => (
    <tr key={label} className={styles.total}>
      <th scope="row">{label}</th>
      <td>{of(props.left)}</td>
      <td>{of(props.right)}</td>
    </tr>
  ));
}
