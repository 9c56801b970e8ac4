import { localDay } from '@core/calendar/zonedTime';
import type { SlotRow } from '@core/model/rows';
import { boardFilters, boardOrder, boardSorts } from '@core/plan/boardOrder';
import type { OptionPlan, Plan, SlotPlan } from '@core/plan/computePlan';
import { Button } from 'antd';
import { Fragment, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { boardColumns } from '../../app/optionWords';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useLatest } from '../../app/useLatest';
import { useOnce } from '../../app/useOnce';
import { useSearchState } from '../../app/useSearchState';
import { Empty, LinkButton } from '../../ui/basics';
import { later } from '../../ui/later';
import type { AddableKind } from './AddOption';
import { BoardRow } from './BoardRow';
import { BoardTools } from './BoardTools';
import styles from './compare.module.css';
import { moveOnBoard } from './moveOnBoard';
import { SharedSupplies } from './SharedSupplies';
import { useFirstFew } from './useFirstFew';

const WhyPanel = later(
  async () => (await import('./WhyPanel')).WhyPanel,
  () => <aside className={styles.why} data-to-come />,
);
const AddOption = later(async () => (await import('./AddOption')).AddOption);

/** The board: slots down, ways across; one press chooses, the purse moves, the reasons are beside. */
export function ComparePage() {
  const plan = usePlan();
  const { run } = useCommands();
  const [lookedAt, setLookedAt] = useState<string | null>(null);
  const [sheetOpen, setSheetOpen] = useState(false);
  const [adding, setAdding] = useState<{ slot: SlotRow; kind: AddableKind } | null>(null);
  const wasAdding = useOnce(adding !== null);
  const looked = (lookedAt === null ? undefined : plan.option(lookedAt)) ?? firstOption(plan) ?? null;
  const latest = useLatest(plan);
  const choose = useCallback(
    (optionId: string) => {
      setLookedAt(optionId);
      const option = latest.current.option(optionId);
      if (option && !option.chosen)
        run('choose', { slotId: option.slotId, optionId, count: option.count, fillId: crypto.randomUUID() });
    },
    [run],
  );
  const askWhy = useCallback((optionId: string) => {
    setLookedAt(optionId);
    setSheetOpen(true);
  }, []);
  const add = useCallback((slot: SlotRow, kind: AddableKind) => setAdding({ slot, kind }), []);
  const goTo = useLatest(useNavigate());
  const propose = useCallback((slotId: string) => goTo.current(`ways?slot=${slotId}`), []);
  const closeSheet = useCallback(() => setSheetOpen(false), []);
  const [isAgainst, setAgainst] = useState(false);
  const [search, update] = useSearchState();
  const filter = boardFilters.find((known) => known === search.get('show')) ?? 'all';
  const sort = boardSorts.find((known) => known === search.get('by')) ?? 'number';
  const ordered = useMemo(() => boardOrder(plan.slots, filter, sort), [plan.slots, filter, sort]);
  const setView = useCallback(
    (key: 'show' | 'by', value: string) => update((next) => next.set(key, value), { replace: true }),
    [update],
  );
  const turnAgainst = useCallback(() => setAgainst((before) => !before), []);

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
  return (
    <main className={styles.layout}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the keys bubble up from the chips, which are buttons */}
      <section className={styles.board} onKeyDown={moveOnBoard}>
        <div className={styles.head}>
          <h2>Which way for each slot?</h2>
          <span className="muted">
            {plan.slots.filter((slot) => slot.open === 0).length} of {plan.slots.length} settled
          </span>
          <span className={styles.headActs}>
            <Button aria-pressed={isAgainst} type={isAgainst ? 'primary' : 'default'} onClick={turnAgainst}>
              Against what is chosen
            </Button>
            <LinkButton to="plans">Plans</LinkButton>
            <LinkButton to="ways">Propose ways</LinkButton>
            <LinkButton to="../balance" primary>
              Make it fit the purse
            </LinkButton>
          </span>
        </div>
        <BoardTools filter={filter} sort={sort} shown={ordered.length} onChange={setView} />
        <Rows
          slots={ordered}
          isGrouped={sort === 'number'}
          looked={looked?.option.id ?? null}
          isAgainst={isAgainst}
          onChoose={choose}
          onWhy={askWhy}
          onAdd={add}
          onPropose={propose}
        />
        <Shared />
        <WorthMeasuring />
      </section>
      {looked ? (
        <WhyPanel option={looked} onChoose={choose} sheetOpen={sheetOpen} onClose={closeSheet} />
      ) : (
        <aside className={styles.why}>
          <h2>Why?</h2>
          <p className="muted">Add a way to fill a slot; its reasons stand here, line by line.</p>
        </aside>
      )}
      {wasAdding && (
        <AddOption
          slot={adding?.slot ?? null}
          kind={adding?.kind ?? 'asFound'}
          onClose={(added) => {
            setAdding(null);
            if (added) setLookedAt(added);
          }}
        />
      )}
    </main>
  );
}

/** Whose reasons stand open before anybody asked: the first that is chosen, else the first there is. */
function firstOption(plan: Plan): OptionPlan | undefined {
  const filled = plan.slots.find((slot) => slot.filled > 0);
  const chosen = plan.chosen.find((fill) => fill.model.slot.id === filled?.slot.id);
  if (chosen) return plan.option(chosen.model.option.id);
  return plan.slots.find((slot) => plan.model.optionsOf(slot.slot.id).length > 0)?.options[0];
}

/** All slots by their spots: the first few at once, the others when there is time. */
function Rows(props: {
  slots: readonly SlotPlan[];
  /** Whether they stand by their spots; in another order each row says its own. */
  isGrouped: boolean;
  looked: string | null;
  isAgainst: boolean;
  onChoose: (optionId: string) => void;
  onWhy: (optionId: string) => void;
  onAdd: (slot: SlotRow, kind: AddableKind) => void;
  onPropose: (slotId: string) => void;
}) {
  const plan = usePlan();
  const { spots } = useRows();
  const { timeZone } = useLocale();
  const today = localDay(plan.asOfMs, timeZone);
  const lookedSlotId = props.looked === null ? undefined : plan.model.option(props.looked)?.slot.id;
  // What was pressed follows at once; the other rows follow right after, without holding the page up.
  const later = useDeferredValue(plan);
  const { slots: asked, isGrouped } = props;
  const shown = useFirstFew(asked.length);
  const groups = useMemo(() => {
    if (!isGrouped) return [{ spot: null, slots: asked }];
    const byPosition = [...spots].sort((a, b) => a.position - b.position);
    return byPosition.map((spot) => ({ spot, slots: slotsOf(asked, spot.id) })).filter(hasSlots);
  }, [spots, asked, isGrouped]);
  let drawn = 0;
  return (
    <div className={styles.grid} style={{ '--ways': boardColumns.length } as React.CSSProperties}>
      <div className={styles.ch}>Slot</div>
      {boardColumns.map(({ title }) => (
        <div className={styles.ch} key={title}>
          {title}
        </div>
      ))}
      {groups.map(({ spot, slots }) => (
        <Fragment key={spot?.id ?? 'all'}>
          {spot && spots.length > 1 && <div className={styles.spotName}>{spot.name}</div>}
          {slots.map((slot) => {
            drawn += 1;
            if (drawn > shown) return null;
            const isLooked = slot.slot.id === lookedSlotId;
            return (
              <BoardRow
                key={slot.slot.id}
                slot={isLooked ? slot : (later.slot(slot.slot.id) ?? slot)}
                lookedId={isLooked ? props.looked : null}
                today={today}
                isAgainst={props.isAgainst}
                onChoose={props.onChoose}
                onWhy={props.onWhy}
                onAdd={props.onAdd}
                onPropose={props.onPropose}
              />
            );
          })}
        </Fragment>
      ))}
    </div>
  );
}

const slotsOf = (slots: readonly SlotPlan[], spotId: string) => slots.filter(({ slot }) => slot.spotId === spotId);
const hasSlots = ({ slots }: { slots: readonly SlotPlan[] }) => slots.length > 0;

const WorthMeasuringNext = later(
  async () => (await import('../balance')).WorthMeasuringNext,
  () => <p className="muted">Looking …</p>,
);

/** What could change a choice, looked for when it is asked: it takes a worker of its own. */
function WorthMeasuring() {
  const [isAsked, setAsked] = useState(false);
  return isAsked ? (
    <WorthMeasuringNext />
  ) : (
    <Button className={styles.ask} onClick={() => setAsked(true)}>
      What is worth measuring next?
    </Button>
  );
}

/** What the choices share, once there is time for it. */
function Shared() {
  const plan = useDeferredValue<Plan | null>(usePlan(), null);
  return plan && <SharedSupplies plan={plan} />;
}
