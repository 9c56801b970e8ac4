import { DRAWS, drawOption } from '@core/balance/draws';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { quantityUnit, shownQuantity } from '@core/kernel/quantities';
import type { UnitSystem } from '@core/kernel/units';
import type { OptionPlan } from '@core/plan/computePlan';
import { nameOfOption } from '@core/plan/nameOfOption';
import { costPerOf, type Reversible, reversibleOf, soldForOf, storageLitersOf } from '@core/plan/optionFacts';
import { overStay } from '@core/plan/overStay';
import { returnsDue } from '@core/sourcing/ledgerLists';
import { type ReactNode, useMemo, useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { dateWords } from '../../app/words';
import { LinkButton } from '../../ui/basics';
import { MoneyField, NumberField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './compare.module.css';

const reversibleWords: Readonly<Record<Reversible, string>> = {
  untouched: 'Nothing is done to it: it stays as it is.',
  comesOff: 'Comes off again: only removable film is laid.',
  forGood: 'Altered for good: it cannot be undone.',
  made: 'Made new: what it is made of is used.',
};

/** So much room, in whole units where there are many: "2.4 ft³", "68 l". */
function roomWords(liters: number, units: UnitSystem): string {
  const shown = shownQuantity(liters, 'roomL', units);
  return `${shown < 10 ? Math.max(0.1, Math.round(shown * 10) / 10) : Math.round(shown)} ${quantityUnit('roomL', units)}`;
}

/**
 * What else decides about a way: whether it can be undone, where it is kept afterwards, what is given up by altering it,
 * what it comes to for each use, and the ways out of what is paid already.
 */
export function OptionFacts(props: { option: OptionPlan }) {
  const { option } = props;
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const { id, lasts, resaleAfter, kind } = option.option;
  const money = (minor: number) => formatMoney(minor, locale.currency);
  const reversible = reversibleOf(option.model);
  const sold = soldForOf(plan, option);
  const per = costPerOf(option);
  const liters = storageLitersOf(option.model, option.count);
  const isOurs = option.model.finds.length > 0 && kind !== 'borrow';
  const perWords = [
    per.use === null ? '' : `${money(per.use)} a use`,
    per.look === null ? '' : `${money(per.look)} a look`,
    per.year === null ? '' : `${money(per.year)} a year`,
  ].filter((word) => word !== '');
  const setLasts = (change: Partial<typeof lasts>) =>
    run('editOption', { id, values: { lasts: { ...lasts, ...change } } });
  return (
    <section aria-label="What else counts" className={styles.facts}>
      <h3>What else counts</h3>
      <p>
        {reversibleWords[reversible]}{' '}
        {liters === 0
          ? 'Goes back, needs no storage.'
          : liters === null
            ? ''
            : `Kept between looks it takes about ${roomWords(liters, locale.units)}.`}
      </p>
      <WaysOutOfIt option={option} />
      {sold.forgone !== null && sold.forgone > 0 && (
        <p>
          Could be sold for {money(sold.asItIs ?? 0)} as it is, {money(sold.after ?? 0)} afterwards:{' '}
          {money(sold.forgone)} given up, in no figure above.
        </p>
      )}
      {isOurs && sold.asItIs !== null && sold.forgone === null && (
        <p>Could be sold for {money(sold.asItIs)} as it is; afterwards nobody said.</p>
      )}
      {perWords.length > 0 && <p>Comes to {perWords.join(', ')}.</p>}
      <Lasting option={option} />
      <Unfolded summary="How sure is it?">
        <HowSure option={option} />
      </Unfolded>
      <Unfolded summary="How long is it of use?">
        <SideBySide across={3}>
          {(
            [
              ['uses', 'Uses', 100_000],
              ['looks', 'Looks', 1_000],
              ['years', 'Years', 200],
            ] as const
          ).map(([key, label, most]) => (
            <NumberField<number | null>
              key={key}
              label={label}
              value={lasts[key]}
              nullable
              least={1}
              most={most}
              whole
              onCommit={(value) => setLasts({ [key]: value })}
            />
          ))}
        </SideBySide>
        {isOurs && reversible !== 'untouched' && (
          <MoneyField<number | null>
            label="Could be sold for, once this is done"
            value={resaleAfter}
            nullable
            hint="empty while nobody thought about it"
            currency={locale.currency}
            onCommit={(value) => run('editOption', { id, values: { resaleAfter: value } })}
          />
        )}
      </Unfolded>
    </section>
  );
}

/** Where something of the slot wilts before the look comes down: what each of its ways comes to over all that time. */
function Lasting(props: { option: OptionPlan }) {
  const plan = usePlan();
  const { currency } = useLocale();
  const ways = (plan.slot(props.option.slotId)?.options ?? []).flatMap((option) => {
    const stay = overStay(plan, option);
    return stay ? [{ option, stay }] : [];
  });
  if (!ways.some(({ stay }) => stay.times > 1)) return null;
  const cheapest = Math.min(...ways.map(({ stay }) => stay.costMinor));
  return (
    <>
      <p>Over the {ways[0]?.stay.daysUp} days that it is up:</p>
      <ul>
        {ways.map(({ option, stay }) => (
          <li key={option.option.id}>
            {nameOfOption(option.model)}: {formatMoney(stay.costMinor, currency)},{' '}
            {stay.lastsDays === null ? 'once, and it stays' : `${stay.times} times, ${stay.lastsDays} days each`}
            {stay.costMinor === cheapest && ways.length > 1 ? ' (the least)' : ''}
          </li>
        ))}
      </ul>
    </>
  );
}

/** Something that is worked out and drawn only once it is unfolded. */
function Unfolded(props: { summary: string; children: ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>{props.summary}</summary>
      {isOpen && props.children}
    </details>
  );
}

/** How sure its figures are. */
function HowSure(props: { option: OptionPlan }) {
  const { option } = props;
  const plan = usePlan();
  const { currency } = useLocale();
  const drawn = useMemo(() => drawOption(plan, option), [plan, option]);
  const money = (minor: number) => formatMoney(Math.round(minor), currency);
  return (
    <p>
      By itself, eight times of ten{' '}
      {drawn.cash.low === drawn.cash.high
        ? money(drawn.cash.middle)
        : `${money(drawn.cash.low)} to ${money(drawn.cash.high)}`}{' '}
      and{' '}
      {Math.round(drawn.minutes.low) === Math.round(drawn.minutes.high)
        ? formatMinutes(drawn.minutes.middle)
        : `${formatMinutes(drawn.minutes.low)} to ${formatMinutes(drawn.minutes.high)}`}
      ; reckoned from {DRAWS.toLocaleString('en-US')} draws of its prices, minutes and paint.
    </p>
  );
}

/** Of what is paid already: it costs the same whichever is chosen, but for taking it back or selling it on. */
function WaysOutOfIt(props: { option: OptionPlan }) {
  const plan = usePlan();
  const rows = useRows();
  const locale = useLocale();
  const { model } = props.option;
  const subjects = new Set([
    ...model.finds.filter(({ state }) => state === 'bought').map(({ pieceId }) => pieceId),
    ...model.offers.map(({ offer }) => offer.id).filter((id) => plan.model.orderedMs(id) !== null),
  ]);
  // The books may be long: they are read only where something of it is in them.
  if (subjects.size === 0) return null;
  const due = returnsDue(rows, plan.asOfMs).filter(({ line }) => subjects.has(line.subject.id));
  const worth = model.finds
    .map(({ pieceId }) => plan.model.piece(pieceId))
    .filter((piece) => piece !== undefined && piece.value !== null && piece.currency === locale.currency);
  const waysOut = [
    ...due.map(
      ({ what, refund, lastDay }) =>
        `take ${what} back by ${dateWords(lastDay)} for ${formatMoney(refund, locale.currency)}`,
    ),
    ...worth.map((piece) => `sell ${piece?.name} on for about ${formatMoney(piece?.value ?? 0, locale.currency)}`),
  ];
  return (
    <div className={styles.note}>
      Already paid, whichever you choose.{' '}
      {waysOut.length === 0
        ? 'No way out is known: nobody said until when it can be taken back, or what it could be sold for.'
        : `Ways out while they last: ${waysOut.join('; or ')}.`}{' '}
      <LinkButton to="../hunt/ledger">To the books</LinkButton>
    </div>
  );
}
