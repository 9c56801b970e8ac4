import { sayDay } from '@core/calendar/sayDay';
import { localDate } from '@core/calendar/zonedTime';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import type { FindRow } from '@core/model/rows';
import { asksMoreThan } from '@core/recipe/difficulty';
import type { CardWay, DecisionCard } from '@core/sourcing/decisionCard';
import { comparisonWords, edgeColor } from '../../../app/optionWords';
import { useLocale, usePlan } from '../../../app/projectStore';
import { amountWords, dayWords, difficultyWords, type ProjectLocale } from '../../../app/words';
import { StitchedNumber } from '../../../ui/basics';
import { OneOf } from '../../../ui/Choice';
import { fitWords, WayIn } from '../DoesItFit';
import styles from './card.module.css';

const NONE = 'none';

/** The slot it is for, with its fit; another one, or none, is a tap away. */
export function SlotRow(props: { card: DecisionCard; find: FindRow; onPick: (slotId: string | null) => void }) {
  const locale = useLocale();
  const { card } = props;
  const fit = card.fits.find(({ slot }) => slot.id === card.slot?.id);
  return (
    <section className={styles.part} aria-label="Which slot">
      <div className={styles.fit}>
        {card.slot && <StitchedNumber>{card.slot.number}</StitchedNumber>}
        <div>
          <OneOf
            label="Slot"
            value={card.slot?.id ?? NONE}
            onChange={(value) => props.onPick(value === NONE ? null : value)}
            width="100%"
            options={[
              ...card.fits.map(({ slot, goesIn, open }) => ({
                value: slot.id,
                label: `${slot.number} · ${slot.name}${goesIn ? (open > 0 ? '' : ' (filled)') : ' (too large)'}`,
              })),
              { value: NONE, label: 'answers no slot' },
            ]}
          />
          <small className="muted">{fit ? fitWords(fit, locale) : 'No open slot asks for it.'}</small>
          <WayIn find={props.find} />
        </div>
      </div>
    </section>
  );
}

const wayNames = { asFound: 'As it is', makeover: 'Made over' } as const;

function WayFace(props: { way: CardWay; locale: ProjectLocale }) {
  const { plan } = props.way;
  const uses = plan.stashUsed > 0 ? ` · uses ${formatMoney(plan.stashUsed, props.locale.currency)}` : '';
  return (
    <>
      {wayNames[props.way.kind]}
      <b>{plan.refused ? 'no' : amountWords(plan.cashAdded, props.locale)}</b>
      {plan.refused ? 'refused, see why' : `${formatMinutes(plan.hoursAdded.likely)}${uses}`}
    </>
  );
}

/** As it is, made over, and new: three ways side by side, the picked one lifted. */
export function Ways(props: { card: DecisionCard; picked: CardWay | null; onPick: (kind: CardWay['kind']) => void }) {
  const { card, picked } = props;
  const plan = usePlan();
  const locale = useLocale();
  const yardstick = card.yardstick;
  if (card.slot === null) return null;
  const isOwnYardstick = card.ways.some(({ option }) => option.id === yardstick?.option.id);
  return (
    <fieldset className={styles.ways} aria-label="Ways to use it">
      {card.ways.map((way) => (
        <button
          key={way.kind}
          type="button"
          className={styles.way}
          aria-pressed={way.kind === picked?.kind}
          style={{ '--edge': edgeColor(way.plan) } as React.CSSProperties}
          onClick={() => props.onPick(way.kind)}
        >
          <WayFace way={way} locale={locale} />
        </button>
      ))}
      {yardstick && !isOwnYardstick ? (
        <div className={styles.way} style={{ '--edge': edgeColor(yardstick) } as React.CSSProperties}>
          {yardstick.option.kind === 'buyNew' ? 'New' : 'Yardstick'}
          <b>{amountWords(yardstick.cashAdded, locale)}</b>
          {formatMinutes(yardstick.hoursAdded.likely)} · {dayWords(yardstick.usableMs, plan.asOfMs, locale.timeZone)}
        </div>
      ) : (
        <div className={styles.way} style={{ '--edge': 'var(--line)' } as React.CSSProperties}>
          New
          <b>?</b>
          no yardstick yet
        </div>
      )}
    </fieldset>
  );
}

/** What a way comes to against the yardstick; where the find is all there is, it is its own, and that says nothing. */
function worthWords({ plan }: CardWay, currency: string): string {
  return plan.comparison.kind === 'isYardstick'
    ? 'nothing to hold it against yet'
    : comparisonWords(plan, { currency }).words;
}

/** The verdict in one line, for the foot of the card: "made over earns $31 an hour · worth up to $46 · $62 left". */
export function shortVerdict(card: DecisionCard, way: CardWay | null, currency: string): string {
  const money = (minor: number) => formatMoney(minor, currency, { cents: 'auto' });
  const free = card.purseAfter.money.free.likely;
  const worth = way?.plan.worthUpTo;
  return [
    way ? `${wayNames[way.kind].toLowerCase()}: ${worthWords(way, currency)}` : 'answers no slot',
    worth?.kind === 'upTo' ? `worth up to ${money(worth.till)}` : '',
    card.advice.kind === 'wait' ? 'better wait' : '',
    free < 0 ? `${money(-free)} over` : `${money(free)} left`,
  ]
    .filter((word) => word !== '')
    .join(' · ');
}

/** Whether words say what a way does: "earns $31 an hour", beside "nothing to compare with". */
const isAct = (words: string) => /^(?:earns|costs|saves) /.test(words);

/** What to do, in a sentence: what an hour earns, up to what price, whether to wait, and what is left in the purse. */
export function Verdict(props: { card: DecisionCard; way: CardWay | null }) {
  const { card, way } = props;
  const plan = usePlan();
  const locale = useLocale();
  const money = (minor: number) => formatMoney(minor, locale.currency, { cents: 'auto' });
  const today = localDate(plan.asOfMs, locale.timeZone);
  const { free } = card.purseAfter.money;
  const left =
    free.likely < 0
      ? `${money(-free.likely)} over the budget afterwards`
      : `${free.atLeast ? 'at most ' : ''}${money(free.likely)} left afterwards`;
  const said = way ? worthWords(way, locale.currency) : null;
  const worth = way?.plan.worthUpTo;
  const { advice } = card;
  const difficulty = way?.plan.model.recipe?.difficulty;
  const isHard = difficulty !== undefined && asksMoreThan(difficulty, plan.rows.project.skill);
  return (
    <section className={styles.part} aria-label="Verdict">
      {way && said && (
        <p className={styles.verdict} role="status">
          {wayNames[way.kind]}
          {isAct(said) ? ' it ' : ': '}
          <u>{said}</u>.{' '}
          {way.plan.stashUsed > 0 && way.plan.cashAdded.likely <= card.till.likely ? 'Paint is in the stash. ' : ''}
          Usable {dayWords(way.plan.usableMs, plan.asOfMs, locale.timeZone)}.
        </p>
      )}
      {difficulty && difficulty.level > 1 && (
        <p className={isHard ? styles.warn : 'small'}>
          {isHard ? 'Harder than you are used to: it ' : 'It '}
          {difficultyWords[difficulty.level]} ({difficulty.because.join('; ')}).
        </p>
      )}
      {way?.plan.refused && <p className={styles.warn}>It cannot be used so: look at the board for why.</p>}
      {worth?.kind === 'upTo' && (
        <p className="small">
          Worth up to {money(worth.till)} at the till
          {worth.tag !== null && worth.tag !== worth.till && <>, {money(worth.tag)} on this tag</>}.
        </p>
      )}
      {worth?.kind === 'notEvenFree' && <p className="small">Not worth it, not even for nothing.</p>}
      {advice.kind === 'wait' && (
        <p className="small">
          <b>Wait until {sayDay(advice.day, today)}</b>: {money(advice.till)} then, and it is still there with{' '}
          {Math.round(advice.chance * 100)} in 100. On average that gains {money(advice.gain)}; if it is gone, the next
          best way is taken.
        </p>
      )}
      {advice.kind === 'buy' && advice.best !== null && (
        <p className="small">
          Buy now: waiting until {sayDay(advice.best.day, today)} for {money(advice.best.till)} would{' '}
          {advice.best.gain < 0 ? `lose ${money(-advice.best.gain)}` : `gain only ${money(advice.best.gain)}`} on
          average.
        </p>
      )}
      <p className="small">{left}.</p>
    </section>
  );
}
