import { formatLength } from '@core/kernel/formatLength';
import { formatMoney } from '@core/kernel/formatMoney';
import type { OptionKind, SizeRange, SlotRow } from '@core/model/rows';
import type { OptionPlan, Plan, SlotPlan } from '@core/plan/computePlan';
import { starOf } from '@core/plan/starOf';
import { Fragment, useState } from 'react';
import { Link } from 'react-router';
import { useProject } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useRim } from '../../app/useRim';
import { amountWords, supplyWords } from '../../app/words';
import { Empty, StitchedNumber } from '../../ui/basics';
import { type AddableKind, AddOption } from './AddOption';
import { Chip, kindNames } from './Chip';
import styles from './compare.module.css';
import { WhyPanel } from './WhyPanel';

/** The board's columns; scratch building joins when there is something to compute for it. */
const ways: AddableKind[] = ['own', 'asFound', 'makeover', 'buyNew'];

/** The board: slots down, ways across; one press chooses, the purse moves, the reasons are beside. */
export function ComparePage() {
  const { plan, rows, run } = useProject();
  const [lookedAt, setLookedAt] = useState<string | null>(null);
  const [sheetOpen, setSheetOpen] = useState(false);
  const [adding, setAdding] = useState<{ slot: SlotRow; kind: AddableKind } | null>(null);
  const options = plan.slots.flatMap((slot) => slot.options);
  const looked =
    options.find((option) => option.option.id === lookedAt) ??
    options.find((option) => option.chosen) ??
    options[0] ??
    null;
  const choose = (option: OptionPlan) => {
    setLookedAt(option.option.id);
    if (!option.chosen)
      run('choose', {
        slotId: option.slotId,
        optionId: option.option.id,
        count: option.count,
        fillId: crypto.randomUUID(),
      });
  };

  if (plan.slots.length === 0) {
    return (
      <main className={shell.page}>
        <Empty title="The board needs a slot">
          <p>
            Number what a spot calls for in the <Link to="../sketch">sketch</Link>; then compare the ways to fill it
            here.
          </p>
        </Empty>
      </main>
    );
  }
  const spots = [...rows.spots].sort((a, b) => a.position - b.position);
  return (
    <main className={styles.layout}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the keys bubble up from the chips, which are buttons */}
      <section className={styles.board} onKeyDown={moveOnBoard}>
        <div className={styles.head}>
          <h2>Which way for each slot?</h2>
          <span className="muted">
            {plan.slots.filter((slot) => slot.open === 0).length} of {plan.slots.length} settled
          </span>
        </div>
        <div className={styles.grid} style={{ '--ways': ways.length } as React.CSSProperties}>
          <div className={styles.ch}>Slot</div>
          {ways.map((way) => (
            <div className={styles.ch} key={way}>
              {kindNames[way]}
            </div>
          ))}
          {spots.map((spot) => {
            const slots = plan.slots.filter(({ slot }) => slot.spotId === spot.id);
            if (slots.length === 0) return null;
            return (
              <Fragment key={spot.id}>
                {spots.length > 1 && <div className={styles.spotName}>{spot.name}</div>}
                {slots.map((slot) => (
                  <BoardRow
                    key={slot.slot.id}
                    slot={slot}
                    lookedId={looked?.option.id ?? null}
                    onChoose={choose}
                    onWhy={(option) => {
                      setLookedAt(option.option.id);
                      setSheetOpen(true);
                    }}
                    onAdd={(kind) => setAdding({ slot: slot.slot, kind })}
                  />
                ))}
              </Fragment>
            );
          })}
        </div>
        <Shared plan={plan} />
      </section>
      {looked ? (
        <WhyPanel
          key={looked.option.id}
          option={looked}
          onChoose={() => choose(looked)}
          sheetOpen={sheetOpen}
          onClose={() => setSheetOpen(false)}
        />
      ) : (
        <aside className={styles.why}>
          <h2>Why?</h2>
          <p className="muted">Add a way to fill a slot; its reasons stand here, line by line.</p>
        </aside>
      )}
      <AddOption
        slot={adding?.slot ?? null}
        kind={adding?.kind ?? 'asFound'}
        onClose={(added) => {
          setAdding(null);
          if (added) setLookedAt(added);
        }}
      />
    </main>
  );
}

/** Arrow keys go from chip to chip. */
function moveOnBoard(event: React.KeyboardEvent<HTMLElement>) {
  const step = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowUp: [0, -1] }[event.key];
  const from = (event.target as HTMLElement).closest<HTMLElement>('[data-chip]');
  if (!step || !from) return;
  const [dx = 0, dy = 0] = step;
  const here = from.getBoundingClientRect();
  let best: HTMLElement | null = null;
  let bestDistance = Number.POSITIVE_INFINITY;
  for (const chip of event.currentTarget.querySelectorAll<HTMLElement>('[data-chip]')) {
    const there = chip.getBoundingClientRect();
    const along = dx !== 0 ? (there.left - here.left) * dx : (there.top - here.top) * dy;
    const across = dx !== 0 ? Math.abs(there.top - here.top) : Math.abs(there.left - here.left);
    if (along <= 4) continue;
    const distance = along + across * 3;
    if (distance < bestDistance) {
      best = chip;
      bestDistance = distance;
    }
  }
  if (best) {
    event.preventDefault();
    best.focus();
  }
}

function rangeWords(range: SizeRange, what: string, units: 'us' | 'metric'): string {
  const show = (mm: number) => formatLength(mm, units);
  if (range.minimumMm !== null && range.maximumMm !== null)
    return `${formatLength(range.minimumMm, units, false)} to ${show(range.maximumMm)} ${what}`;
  if (range.maximumMm !== null) return `at most ${show(range.maximumMm)} ${what}`;
  if (range.minimumMm !== null) return `at least ${show(range.minimumMm)} ${what}`;
  return '';
}

function BoardRow(props: {
  slot: SlotPlan;
  lookedId: string | null;
  onChoose: (option: OptionPlan) => void;
  onWhy: (option: OptionPlan) => void;
  onAdd: (kind: AddableKind) => void;
}) {
  const { rows, run } = useProject();
  const { slot, options, open } = props.slot;
  const { units } = rows.project;
  const size = [
    rangeWords(slot.height, 'tall', units),
    rangeWords(slot.width, 'wide', units),
    rangeWords(slot.depth, 'deep', units),
  ]
    .filter((words) => words !== '')
    .join(', ');
  const chosen = options.some((option) => option.chosen);
  const ours = starOf(rows, slot);
  const inWay = (way: OptionKind) =>
    options.filter((option) => option.option.kind === way || (way === 'makeover' && option.option.kind === 'make'));
  return (
    <>
      <div className={styles.slot}>
        <StitchedNumber>{slot.number}</StitchedNumber>
        <div style={{ minWidth: 0 }}>
          <h3>
            {slot.name}
            {slot.quantity > 1 ? `, ${slot.quantity}` : ''}
          </h3>
          <small>
            {[
              size,
              slot.importance === 'must' ? 'a must' : slot.importance === 'nice' ? 'nice to have' : '',
              ours === null ? '' : `ours: ${ours}`,
              slot.leftOut ? 'left out' : open > 0 && chosen ? `${open} still open` : open > 0 ? 'open' : '',
            ]
              .filter((words) => words !== '')
              .join(' · ')}
          </small>
          {chosen || slot.leftOut ? (
            <button
              type="button"
              onClick={() => run('clearChoice', { slotId: slot.id })}
              aria-label={`open again: ${slot.name}`}
            >
              open again
            </button>
          ) : (
            slot.importance !== 'must' &&
            slot.star === null && (
              <button
                type="button"
                onClick={() => run('leaveOut', { slotId: slot.id })}
                aria-label={`leave out: ${slot.name}`}
              >
                leave out
              </button>
            )
          )}
        </div>
      </div>
      {ways.map((way) => {
        const here = inWay(way);
        return (
          <div className={styles.cell} key={way}>
            {here.map((option) => (
              <Chip
                key={option.option.id}
                option={option}
                looked={option.option.id === props.lookedId}
                onChoose={() => props.onChoose(option)}
                onWhy={() => props.onWhy(option)}
              />
            ))}
            <button
              type="button"
              className={`${styles.add} ${here.length > 0 ? styles.addMore : ''}`}
              onClick={() => props.onAdd(way)}
            >
              {here.length > 0 ? '+ another' : `+ ${kindNames[way].toLowerCase()}`}
              <span className="visually-hidden">
                {here.length > 0 ? `, ${kindNames[way].toLowerCase()},` : ''} for {slot.name}
              </span>
            </button>
          </div>
        );
      })}
      <button type="button" className={styles.addWay} onClick={() => props.onAdd('makeover')}>
        + another way<span className="visually-hidden"> for {slot.name}</span>
      </button>
    </>
  );
}

/** What chosen options have in common, told once: cells do not add up to the purse. */
function Shared(props: { plan: Plan }) {
  const rim = useRim();
  const { plan } = props;
  if (plan.supplies.length === 0) return null;
  return (
    <section className={styles.shared} aria-label="Shared supplies">
      <h3>Shared by what is chosen</h3>
      {plan.supplies.map((line) => (
        <p key={line.key}>
          <b>{line.name}</b>: {supplyWords(line.need, line.unit, rim.units)},{' '}
          {line.packs.length === 0
            ? 'from the stash'
            : `${line.packs.map((pack) => `${pack.count} × ${pack.name}`).join(' + ')}, ${amountWords(line.cash, rim)}`}
          {line.optionIds.length > 1 ? `, shared by ${line.optionIds.length}` : ''}
          {line.togetherPerHour !== null
            ? `; together they ${line.togetherPerHour >= 0 ? 'earn' : 'cost'} ${formatMoney(Math.round(Math.abs(line.togetherPerHour) / 100) * 100, rim.currency, { cents: 'auto' })} an hour`
            : ''}
          {line.left > 0.5 && line.unit === 'mL' ? `; ${supplyWords(line.left, line.unit, rim.units)} left over` : ''}
        </p>
      ))}
    </section>
  );
}
