import { formatLength } from '@core/kernel/formatLength';
import type { OptionKind, SizeRange, SlotRow } from '@core/model/rows';
import type { OptionPlan, SlotPlan } from '@core/plan/computePlan';
import { namesOfOptions } from '@core/plan/nameOfOption';
import { sameShownFigures } from '@core/plan/sameFigures';
import { memo } from 'react';
import { chipFace } from '../../app/chipFace';
import { boardColumns, kindNames } from '../../app/optionWords';
import { useCommands, useLocale } from '../../app/projectStore';
import { StitchedNumber } from '../../ui/basics';
import type { AddableKind } from './AddOption';
import { Chip } from './Chip';
import styles from './compare.module.css';

function rangeWords(range: SizeRange, what: string, units: 'us' | 'metric'): string {
  const show = (mm: number) => formatLength(mm, units);
  if (range.minimumMm !== null && range.maximumMm !== null)
    return `${formatLength(range.minimumMm, units, false)} to ${show(range.maximumMm)} ${what}`;
  if (range.maximumMm !== null) return `at most ${show(range.maximumMm)} ${what}`;
  if (range.minimumMm !== null) return `at least ${show(range.minimumMm)} ${what}`;
  return '';
}

interface BoardRowProps {
  slot: SlotPlan;
  /** The option whose reasons are open, when it is one of this slot's. */
  lookedId: string | null;
  /** The number of the present local day. */
  today: number;
  /** Whether chips tell what would change, rather than what they come to. */
  isAgainst: boolean;
  onChoose: (optionId: string) => void;
  onWhy: (optionId: string) => void;
  onAdd: (slot: SlotRow, kind: AddableKind) => void;
  onPropose: (slotId: string) => void;
}

function sameOptions(a: readonly OptionPlan[], b: readonly OptionPlan[]): boolean {
  if (a === b) return true;
  return a.length === b.length && a.every((option, n) => sameShownFigures(option, b[n] as OptionPlan));
}

/** Whether a row would show the same; what the rest of the plan draws beside its options is not shown in it. */
function showsTheSame(before: BoardRowProps, now: BoardRowProps): boolean {
  const [a, b] = [before.slot, now.slot];
  return (
    a.slot === b.slot &&
    a.filled === b.filled &&
    a.open === b.open &&
    a.ours === b.ours &&
    sameOptions(a.options, b.options) &&
    before.lookedId === now.lookedId &&
    before.today === now.today &&
    before.isAgainst === now.isAgainst &&
    before.onChoose === now.onChoose &&
    before.onWhy === now.onWhy &&
    before.onAdd === now.onAdd &&
    before.onPropose === now.onPropose
  );
}

/** A slot of the board with the ways to fill it, column by column. */
export const BoardRow = memo(function BoardRow(props: BoardRowProps) {
  const { run } = useCommands();
  const locale = useLocale();
  const { slot, options, open, ours } = props.slot;
  const { units } = locale;
  const size = [
    rangeWords(slot.height, 'tall', units),
    rangeWords(slot.width, 'wide', units),
    rangeWords(slot.depth, 'deep', units),
  ]
    .filter((words) => words !== '')
    .join(', ');
  const chosen = options.some((option) => option.chosen);
  // Two fills beside each other are no one choice to hold the others against.
  const chosenHere = options.filter((option) => option.chosen);
  const against = props.isAgainst && chosenHere.length === 1 ? (chosenHere[0] ?? null) : null;
  const names = namesOfOptions(options.map(({ model }) => model));
  const inColumn = (kinds: readonly OptionKind[]) => options.filter(({ option }) => kinds.includes(option.kind));
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
          <button type="button" onClick={() => props.onPropose(slot.id)} aria-label={`propose ways: ${slot.name}`}>
            propose ways
          </button>
          {(chosen || slot.leftOut) && (
            <button
              type="button"
              aria-pressed={slot.locked}
              onClick={() => run('editSlot', { id: slot.id, values: { locked: !slot.locked } })}
              aria-label={`${slot.locked ? 'let go' : 'keep'}: ${slot.name}`}
              title="Balance leaves alone what is kept"
            >
              {slot.locked ? 'kept · let go' : 'keep'}
            </button>
          )}
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
      {boardColumns.map(({ title, kinds }) => {
        const here = inColumn(kinds);
        const [way] = kinds;
        return (
          <div className={styles.cell} key={title}>
            {here.map((option) => (
              <Chip
                key={option.option.id}
                isUsual={option.option.kind === way}
                {...chipFace(option, locale, props.today, names.get(option.option.id), against)}
                looked={option.option.id === props.lookedId}
                onChoose={props.onChoose}
                onWhy={props.onWhy}
              />
            ))}
            <button
              type="button"
              className={`${styles.add} ${here.length > 0 ? styles.addMore : ''}`}
              onClick={() => props.onAdd(slot, way)}
            >
              {here.length > 0 ? '+ another' : `+ ${kindNames[way].toLowerCase()}`}
              <span className="visually-hidden">
                {here.length > 0 ? `, ${kindNames[way].toLowerCase()},` : ''} for {slot.name}
              </span>
            </button>
          </div>
        );
      })}
      <button type="button" className={styles.addWay} onClick={() => props.onAdd(slot, 'makeover')}>
        + another way<span className="visually-hidden"> for {slot.name}</span>
      </button>
    </>
  );
}, showsTheSame);
