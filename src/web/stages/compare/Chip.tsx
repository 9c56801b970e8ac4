import { hexFromLab } from '@core/color/lab';
import { worstSeverity } from '@core/kernel/finding';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import type { OptionPlan } from '@core/plan/computePlan';
import { nameOfOption } from '@core/plan/nameOfOption';
import { sentenceFor } from '@core/words/sentences';
import { useProject } from '../../app/projectStore';
import { useRim } from '../../app/useRim';
import { amountWords, dayWords, type Rim } from '../../app/words';
import styles from './compare.module.css';

export const kindNames = {
  own: 'Own',
  asFound: 'As found',
  makeover: 'Makeover',
  make: 'Make',
  buyNew: 'Buy new',
} as const;

/** The color an option's piece will have. */
export function edgeColor(option: OptionPlan): string {
  const { recipe, finds, offers } = option.model;
  const painted = recipe
    ? [...recipe.stacks.values()]
        .flat()
        .filter((entry) => entry.coats.hiding !== null || entry.leaves.color !== null)
        .at(-1)?.leaves.color
    : null;
  const color = painted ?? finds[0]?.color ?? offers[0]?.offer.color ?? null;
  return color ? hexFromLab(color) : '#d8d6cc';
}

/** What the option comes to against the yardstick, in a few words. */
export function comparisonWords(option: OptionPlan, rim: Rim): { words: string; good: boolean | null } {
  const { comparison } = option;
  const money = (minor: number) => formatMoney(Math.abs(minor), rim.currency, { cents: 'auto' });
  const round = (minor: number) =>
    formatMoney(Math.round(Math.abs(minor) / 100) * 100, rim.currency, { cents: 'auto' });
  switch (comparison.kind) {
    case 'noYardstick':
      return { words: 'nothing to compare with', good: null };
    case 'isYardstick':
      return { words: 'the yardstick', good: null };
    case 'unknownPrice':
      return { words: 'a price is unknown', good: null };
    case 'perHour':
      return comparison.perHour >= 0
        ? { words: `earns ${round(comparison.perHour)} an hour`, good: option.beatsYardstick }
        : { words: `costs ${round(comparison.perHour)} an hour`, good: false };
    case 'sameTime':
      return comparison.deltaCost >= 0
        ? { words: `saves ${money(comparison.deltaCost)}`, good: true }
        : { words: `${money(comparison.deltaCost)} more`, good: false };
    case 'cheaperAndQuicker':
      return { words: 'cheaper and quicker', good: true };
    case 'savesTime':
      return {
        words: `saves ${formatMinutes(-comparison.deltaMinutes)} for ${money(comparison.deltaCost)}`,
        good: option.beatsYardstick,
      };
    default:
      return comparison satisfies never;
  }
}

/** The one thing a chip must not hide: a refusal, a stop, a misfit. */
function remark(option: OptionPlan, rim: Rim): { words: string; tone: 'warn' | 'look' } | null {
  if (option.refused) return { words: 'refused: see why', tone: 'warn' };
  const fit = option.findings.find((finding) => finding.code.startsWith('fit.'));
  const worst = worstSeverity(option.findings.filter((finding) => !finding.code.startsWith('fit.')));
  if (worst === 'stop' && option.findings.some((finding) => finding.code.startsWith('joint.')))
    return { words: 'would peel: see the layers', tone: 'warn' };
  if (fit) return { words: sentenceFor(fit, rim), tone: 'look' };
  if (option.findings.some((finding) => finding.code === 'caution.lamp.wiring'))
    return { words: 'have the cord checked', tone: 'look' };
  if (option.count < option.model.slot.quantity)
    return { words: `${option.count} of ${option.model.slot.quantity} asked`, tone: 'look' };
  return null;
}

/** An option as a paint chip: one press chooses it; "why" opens its reasons without choosing. */
export function Chip(props: { option: OptionPlan; looked: boolean; onChoose: () => void; onWhy: () => void }) {
  const { plan } = useProject();
  const rim = useRim();
  const { option } = props;
  const note = remark(option, rim);
  const against = comparisonWords(option, rim);
  const name = nameOfOption(option.model);
  const cash = amountWords(option.cashAdded, rim);
  return (
    <div
      className={`${styles.chip} ${option.chosen ? styles.on : ''} ${props.looked ? styles.looked : ''}`}
      style={{ '--edge': edgeColor(option) } as React.CSSProperties}
    >
      <button
        type="button"
        className={styles.chipMain}
        aria-pressed={option.chosen}
        disabled={option.refused || option.count === 0}
        onClick={props.onChoose}
        data-chip
        onKeyDown={(event) => {
          if (event.key === 'w') {
            event.preventDefault();
            props.onWhy();
          }
        }}
      >
        <span className="visually-hidden">
          {kindNames[option.option.kind]}: {name}, cash added{' '}
        </span>
        <span className={styles.way} aria-hidden="true">
          {kindNames[option.option.kind]} · {name}
        </span>
        <b>
          {option.cashAdded.low === option.cashAdded.high
            ? cash
            : `${option.cashAdded.atLeast ? 'at least ' : 'about '}${formatMoney(option.cashAdded.likely, rim.currency, { cents: 'auto' })}`}
          {option.stashUsed > 0 && <span>uses {formatMoney(option.stashUsed, rim.currency)}</span>}
        </b>
        {formatMinutes(option.hoursAdded.likely)} · {dayWords(option.usableMs, plan.asOfMs, rim.timeZone)}
        {note ? (
          <em className={styles[note.tone]}>{note.words}</em>
        ) : (
          <em className={against.good ? styles.earn : undefined}>{against.words}</em>
        )}
      </button>
      <button
        type="button"
        className={styles.whyButton}
        onClick={props.onWhy}
        aria-label={`Why: ${kindNames[option.option.kind]}, ${name}`}
      >
        why
      </button>
    </div>
  );
}
