import { isBetter } from '@core/cutting/cutStock';
import { type CutLayout, wasteOf } from '@core/cutting/layout';
import type { CutQuestion } from '@core/cutting/question';
import { Button } from 'antd';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { cuttingWorker } from '../../../app/layoutSearch';
import { WorkShare } from '../../../ui/WorkShare';
import styles from './cut.module.css';

/** Orders that a long search tries: about as long as one waits at a cutting table. */
const LONG_ROUNDS = { boxes: 400_000, outlines: 20_000 } as const;

/** Looks on for a layout that takes less, with how far it is; what it finds is kept only when asked. */
export function SearchLonger(props: { question: CutQuestion; layout: CutLayout; onKeep: (layout: CutLayout) => void }) {
  const { question, layout } = props;
  const [share, setShare] = useState<number | null>(null);
  const [found, setFound] = useState<CutLayout | null>(null);
  const [said, setSaid] = useState('');
  const asked = useRef(question);
  useEffect(() => {
    // Another question makes what was found for this one worthless.
    if (asked.current !== question) {
      asked.current = question;
      setFound(null);
      setSaid('');
    }
  }, [question]);
  const search = async () => {
    setShare(0);
    setFound(null);
    setSaid('');
    const rounds = question.parts.some(({ part }) => part.outline !== null) ? LONG_ROUNDS.outlines : LONG_ROUNDS.boxes;
    const parts = question.parts.reduce((sum, { count }) => sum + count, 0);
    const best = await cuttingWorker().search(
      question,
      Math.max(200, Math.round(rounds / Math.max(1, parts))),
      proxy((done: number) => setShare(done)),
    );
    setShare(null);
    if (asked.current !== question) return;
    const takesLess = best !== null && (isBetter(best, layout) || leavesMore(best, layout));
    if (takesLess) setFound(best);
    setSaid(
      !takesLess
        ? 'Nothing better was found.'
        : isBetter(best, layout)
          ? 'Found one that takes less.'
          : 'Found one that leaves a larger piece.',
    );
  };
  if (share !== null)
    return (
      <div className={styles.tools}>
        <WorkShare label="Searching" share={share} />
        <Button size="small" onClick={() => void cuttingWorker().stop()}>
          Stop
        </Button>
      </div>
    );
  return (
    <div className={styles.tools}>
      <Button size="small" onClick={() => void search()}>
        Look for a better one
      </Button>
      {said !== '' && (
        <span role="status" className="small">
          {said}
          {found ? ` ${Math.round(wasteOf(found.units) * 100)} % waste.` : ''}
        </span>
      )}
      {found && (
        <Button
          size="small"
          type="primary"
          onClick={() => {
            props.onKeep(found);
            setFound(null);
            setSaid('');
          }}
        >
          Keep it
        </Button>
      )}
    </div>
  );
}

/** Whether the largest leftover of a layout is larger by a tenth at least. */
function leavesMore(one: CutLayout, other: CutLayout): boolean {
  const largest = ({ units }: CutLayout) =>
    Math.max(0, ...units.flatMap(({ leftovers }) => leftovers.map(({ widthMm, lengthMm }) => widthMm * lengthMm)));
  return one.units.length <= other.units.length && largest(one) > largest(other) * 1.1;
}
