import type { PieceRow, SlotRow } from '@core/model/rows';
import { USUAL_COLOR, wantedCards } from '@core/proposals/finishTries';
import { slotsToPropose } from '@core/proposals/slotsToPropose';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useCommands, useLocale, usePlan } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { Empty, LinkButton, StitchedNumber } from '../../ui/basics';
import type { ToldSlot, ToldWay } from '../../workers/proposals.worker';
import { ProposedChip } from './ProposedChip';
import { useProposals } from './useProposals';
import styles from './waysPage.module.css';
import { leftWords } from './waysWords';

/** Ways that nobody had to think of: for one slot or all open ones, with their figures; the stylist strikes out. */
export function WaysPage() {
  const plan = usePlan();
  const [search] = useSearchParams();
  const asked = plan.slot(search.get('slot') ?? '')?.slot;
  const open = slotsToPropose(plan);
  // The slots that were asked for when the page was opened; what is added meanwhile changes nothing of the question.
  const [slots] = useState<readonly SlotRow[]>(asked ? [asked] : open);
  if (slots.length === 0)
    return (
      <main className={shell.page}>
        <Empty title={plan.slots.length === 0 ? 'No slots yet' : 'Every slot is settled'}>
          <p>
            {plan.slots.length === 0
              ? 'Ways are proposed for what a spot calls for: number it in the sketch first.'
              : 'Ways are proposed for open slots. Open one again on the board, or ask for a single slot there.'}
          </p>
          <LinkButton to={plan.slots.length === 0 ? '../sketch' : '../compare'} primary>
            {plan.slots.length === 0 ? 'To the sketch' : 'To the board'}
          </LinkButton>
        </Empty>
      </main>
    );
  return <Ways slots={slots} isOne={asked !== undefined} />;
}

function Ways(props: { slots: readonly SlotRow[]; isOne: boolean }) {
  const { slots, isOne } = props;
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const navigate = useNavigate();
  const slotIds = useMemo(() => slots.map(({ id }) => id), [slots]);
  const { told, isSearching, isStopped, houseProblem, problem, stop, again } = useProposals(plan, slotIds, locale);
  /** Ways that were struck out, or taken beside those that are proposed. */
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const turn = (way: ToldWay) =>
    setTurned((before) => {
      const after = new Set(before);
      if (!after.delete(way.face.optionId)) after.add(way.face.optionId);
      return after;
    });
  const taken = told.flatMap(({ ways, left }) => [
    ...ways.filter(({ face }) => !turned.has(face.optionId)),
    ...left.filter(({ face }) => turned.has(face.optionId)),
  ]);
  const put = (to: string) => {
    const pieces = new Map(taken.flatMap(({ piece }): [string, PieceRow][] => (piece ? [[piece.id, piece]] : [])));
    run('addOptions', { options: taken.map(({ payload }) => payload) }, [...pieces.values()]);
    navigate(to);
  };
  const lacksPalette =
    plan.rows.project.brief.palette.length === 0 && slots.some(({ colorCardIds }) => colorCardIds.length === 0);
  const [usual] = wantedCards(plan.rows, { colorCardIds: [] });
  const many = taken.length === 1 ? 'it' : `${taken.length} ways`;
  return (
    <main className={styles.page}>
      <header className={styles.head}>
        <h2>{isOne ? `Ways for ${slots[0]?.number} · ${slots[0]?.name}` : 'Ways for every open slot'}</h2>
        <p className="muted">
          From the house, what was seen, what can be made and what is sold new, in every finish that holds. Strike out
          what you do not want; nothing is chosen yet.
        </p>
        {lacksPalette && (
          <p className="small">
            No palette and no slot’s color is said yet: finishes are tried in{' '}
            {usual ? usual.name : USUAL_COLOR.name.toLowerCase()}. <Link to="../brief">Say the palette</Link>, and they
            are tried in that.
          </p>
        )}
        <p role="status" aria-live="polite" className="small">
          {isSearching
            ? `Trying ${slots.length === 1 ? '' : `slot ${Math.min(slots.length, told.length + 1)} of ${slots.length} `}on the plan …`
            : isStopped
              ? `Stopped after ${told.length} of ${slots.length}.`
              : `Tried on the plan as it stands.`}{' '}
          {isSearching && (
            <Button size="small" onClick={stop}>
              Stop
            </Button>
          )}
          {!isSearching && (isStopped || problem !== null) && (
            <Button size="small" onClick={again}>
              Try again
            </Button>
          )}
        </p>
        {houseProblem !== null && (
          <p role="alert" className={styles.trouble}>
            The house could not be asked ({houseProblem}); what the project knows already is proposed.
          </p>
        )}
        {problem !== null && (
          <p role="alert" className={styles.trouble}>
            No ways could be worked out: {problem}
          </p>
        )}
      </header>
      {told.map((slot) => (
        <SlotWays key={slot.slotId} told={slot} turned={turned} onTurn={turn} isOne={isOne} />
      ))}
      <footer className={styles.foot}>
        <Button type="primary" size="large" disabled={taken.length === 0} onClick={() => put('../compare')}>
          Put {taken.length === 0 ? 'them' : many} on the board
        </Button>
        <Button size="large" disabled={taken.length === 0} onClick={() => put('../balance')}>
          … and let Balance choose
        </Button>
        <LinkButton to="../compare">Back to the board</LinkButton>
      </footer>
    </main>
  );
}

/** The ways of one slot: what is proposed, ticked, and beneath what was thought of beside it, with why. */
function SlotWays(props: {
  told: ToldSlot;
  turned: ReadonlySet<string>;
  onTurn: (way: ToldWay) => void;
  isOne: boolean;
}) {
  const { told, turned, onTurn } = props;
  const plan = usePlan();
  const locale = useLocale();
  const slot = plan.slot(told.slotId)?.slot;
  if (!slot) return null;
  const beside = told.left.filter(({ why }) => why.kind !== 'onBoard');
  const already = told.left.length - beside.length;
  const label = `Ways for ${slot.name}`;
  return (
    <section aria-label={label} className={styles.slot}>
      {!props.isOne && (
        <h3>
          <StitchedNumber>{slot.number}</StitchedNumber> {slot.name}
          {slot.quantity > 1 ? `, ${slot.quantity}` : ''}
        </h3>
      )}
      {told.ways.length === 0 ? (
        <p className="muted">
          {told.left.length === 0
            ? 'Nothing in the house, among the finds or in the price book answers it, and nothing to make is called so. Note a find or a price, or give the slot a role or a plainer name.'
            : already === told.left.length
              ? 'All that comes to mind is on the board already.'
              : 'Nothing that is better than what is on the board.'}
        </p>
      ) : (
        <ul className={styles.ways} aria-label={`${label}, proposed`}>
          {told.ways.map((way) => (
            <ProposedChip
              key={way.face.optionId}
              way={way}
              isTaken={!turned.has(way.face.optionId)}
              onTurn={() => onTurn(way)}
            />
          ))}
        </ul>
      )}
      {beside.length > 0 && (
        <details className={styles.beside}>
          <summary>
            {beside.length} more {beside.length === 1 ? 'was' : 'were'} thought of
          </summary>
          <ul className={styles.left}>
            {beside.map((way) => {
              const words = leftWords(way.why, locale);
              return (
                <li key={way.face.optionId}>
                  <label>
                    <input
                      type="checkbox"
                      disabled={!words.mayTake}
                      checked={turned.has(way.face.optionId)}
                      onChange={() => onTurn(way)}
                    />
                    <span>
                      {way.name}{' '}
                      <small>{[way.face.cash, way.face.stash, way.face.time].filter(Boolean).join(' · ')}</small>
                      <small>{words.why}</small>
                    </span>
                  </label>
                </li>
              );
            })}
          </ul>
        </details>
      )}
      {told.unsaid.length > 0 && (
        <p className="small">
          Nobody said what {told.unsaid.join(', ')} {told.unsaid.length === 1 ? 'is' : 'are'} made of: say it, and
          finishes are tried on {told.unsaid.length === 1 ? 'it' : 'them'}.
        </p>
      )}
    </section>
  );
}
