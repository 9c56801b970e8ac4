import type { Command } from '@contract/command';
import { fetchList, type SlotAgain, slotsAgain, storedPieceIds } from '@core/closing/again';
import { nextName } from '@core/kernel/nextName';
import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox } from 'antd';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiError, api } from '../../app/api';
import { copyOnce } from '../../app/copyOnce';
import { fillWithPiece } from '../../app/fillWithPiece';
import { usePlan } from '../../app/projectStore';
import { localToday } from '../../app/today';
import { LinkButton } from '../../ui/basics';
import { AsPattern } from './AsPattern';
import styles from './wrap.module.css';

/** What became of a start: the new project, what fills its slots again, and what does not, with why. */
interface Started {
  projectId: string;
  kept: number;
  open: readonly { name: string; because: string }[];
}

/** Again next season: the same spots and slots, those filled again that are ticked; what is fetched from where. */
export function Again() {
  const plan = usePlan();
  const navigate = useNavigate();
  const ids = [...new Set(storedPieceIds(plan.rows).values())].sort().join(',');
  const became = useQuery({
    queryKey: ['pieces', 'became', ids],
    queryFn: () => api.pieces({ ids, limit: 200 }),
    enabled: ids !== '',
  });
  const slots = useMemo(
    () => slotsAgain(plan, new Map((became.data?.pieces ?? []).map((piece) => [piece.id, piece]))),
    [plan, became.data],
  );
  const [said, setSaid] = useState<ReadonlyMap<string, boolean>>(new Map());
  const [busy, setBusy] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [started, setStarted] = useState<Started | null>(null);
  const isKept = (one: SlotAgain) => one.piece !== null && (said.get(one.slot.id) ?? one.worn === '');
  const kept = slots.filter(isKept);
  const swaps = slots.filter((one) => !isKept(one));
  const { project } = plan.rows;
  const start = async () => {
    setProblem(null);
    setBusy('Copying the spots …');
    try {
      setStarted(await startAgain(project.id, nextName(project.name, 'next season'), kept, setBusy));
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'It could not be started.');
    } finally {
      setBusy(null);
    }
  };
  // Whether what was bought new is in the house is not known yet: nothing is said of it too soon.
  if (became.isLoading) return <p aria-busy="true">Looking what lies in the house …</p>;
  if (started)
    return (
      <section className={styles.page} aria-label="Started">
        <p className={styles.lead} role="status">
          {started.kept} {started.kept === 1 ? 'slot is' : 'slots are'} filled again,{' '}
          {started.open.length + swaps.length} {started.open.length + swaps.length === 1 ? 'is' : 'are'} open.
        </p>
        {started.open.length > 0 && (
          <ul className={styles.plain}>
            {started.open.map(({ name, because }) => (
              <li key={name}>
                {name}: {because}
              </li>
            ))}
          </ul>
        )}
        <p>
          <Button type="primary" onClick={() => void navigate(`/p/${started.projectId}/brief`)}>
            To the next season
          </Button>
        </p>
      </section>
    );
  return (
    <div className={styles.page}>
      <p className={styles.lead}>
        {kept.length} of {slots.length} slots can be filled as they were; {swaps.length}{' '}
        {swaps.length === 1 ? 'is' : 'are'} open for a swap.
      </p>
      <div className={styles.charts}>
        <section className={styles.endGroup} aria-label="Slot by slot">
          <h3>As it was, or something else</h3>
          <ul className={styles.ends}>
            {slots.map((one) => (
              <li key={one.slot.id} className={styles.again}>
                <Checkbox
                  checked={isKept(one)}
                  disabled={one.piece === null}
                  aria-label={`As it was: ${one.slot.name}`}
                  onChange={(event) => setSaid(new Map([...said, [one.slot.id, event.target.checked]]))}
                />
                <div className={styles.thingWords}>
                  <b>
                    {one.slot.number} {one.slot.name}
                  </b>
                  <small>
                    {[
                      one.filledWith,
                      one.worn,
                      one.because === '' ? (isKept(one) ? one.place : 'something else') : one.because,
                    ]
                      .filter((words) => words !== '')
                      .join(' · ')}
                  </small>
                </div>
              </li>
            ))}
          </ul>
        </section>
        <section className={styles.endGroup} aria-label="What is fetched from where">
          <h3>What is fetched from where</h3>
          {kept.length === 0 ? (
            <p className="muted">Nothing: every slot is chosen anew. What was put away in the house can come again.</p>
          ) : (
            <ul className={styles.sums}>
              {fetchList(slots, isKept).map(({ place, names }) => (
                <li key={place}>
                  <b>{place}</b>
                  <span>{names.join(', ')}</span>
                </li>
              ))}
            </ul>
          )}
        </section>
      </div>
      <p className={styles.storeActs}>
        <Button type="primary" disabled={busy !== null} onClick={() => void start()}>
          Start the next season
        </Button>
        <LinkButton to="../brief">Copy it in another way, or archive it</LinkButton>
      </p>
      <AsPattern />
      {busy !== null && <p role="status">{busy}</p>}
      {problem && (
        <p role="alert" className={styles.warned}>
          {problem}
        </p>
      )}
    </div>
  );
}

/** So often a command is sent until somebody answers, with a pause before each further time, ms. */
const MOST_TRIES = 4;
const PAUSE_MS = 1500;

/** Has a command done, once: where nobody answers it is sent again under its key. */
async function answered(command: Command): Promise<void> {
  for (let tries = 1; ; tries += 1) {
    try {
      await api.command(command);
      return;
    } catch (error) {
      if (tries === MOST_TRIES || !(error instanceof ApiError && error.gone)) throw error;
      await new Promise((done) => setTimeout(done, PAUSE_MS));
    }
  }
}

/**
 * Copies a project for its next season and fills the slots that stay as they were, one after the other; a piece that is
 * promised elsewhere then leaves its slot open, and why is told.
 */
async function startAgain(
  projectId: string,
  name: string,
  kept: readonly SlotAgain[],
  say: (words: string) => void,
): Promise<Started> {
  const made = await copyOnce(projectId, { kind: 'nextSeason', name });
  const snapshot = await api.snapshot(made.projectId, null);
  const open: { name: string; because: string }[] = [];
  let filled = 0;
  for (const { slot, piece, count } of kept) {
    say(`${slot.name} …`);
    const rows = snapshot?.rows;
    const there = rows?.slots.find((row) => row.number === slot.number && row.name === slot.name);
    if (!rows || !there || !piece) {
      open.push({ name: slot.name, because: 'the slot did not come along' });
      continue;
    }
    try {
      await answered({
        key: crypto.randomUUID(),
        projectId: made.projectId,
        kind: 'usePiece',
        payload: fillWithPiece(rows, there, piece, count, localToday(rows.project.timeZone)),
        expect: {},
      });
      filled += 1;
    } catch (error) {
      open.push({ name: slot.name, because: error instanceof Error ? error.message : 'it could not be filled' });
    }
  }
  return { projectId: made.projectId, kept: filled, open };
}
