import { listed } from '@core/kernel/listed';
import { OWN_HANDS } from '@core/schedule/benchOfPlan';
import { handsWords, waitWords } from '@core/schedule/benchWords';
import type { BenchBlock, BenchDay } from '@core/schedule/eveningsOf';
import { useState } from 'react';
import { useLocale, useRows } from '../../app/projectStore';
import { dateWords } from '../../app/words';
import { Swatch } from '../../ui/Swatch';
import styles from './bench.module.css';
import { clock } from './benchTimes';

/** Day by day: what is done, in order, with what dries afterwards. On a phone this is the week. */
export function Evenings(props: {
  days: readonly BenchDay[];
  today: string;
  selectedId: string | null;
  onSelect: (id: string | null) => void;
  rowNameOf: (taskId: string) => string;
}) {
  const [isPastShown, setPastShown] = useState(false);
  const past = props.days.filter(({ date }) => date < props.today);
  return (
    <ol className={styles.evenings}>
      {past.length > 0 && (
        <li className={styles.past}>
          <button type="button" aria-expanded={isPastShown} onClick={() => setPastShown(!isPastShown)}>
            {isPastShown ? 'Hide' : 'Show'} what is behind: {past.length} {past.length === 1 ? 'day' : 'days'}
          </button>
        </li>
      )}
      {props.days
        .filter(({ date }) => isPastShown || date >= props.today)
        .map((day) => (
          <li key={day.date}>
            <h3>
              {dateWords(day.date)} <small className="muted">{handsWords(day.minutes)} of hands</small>
            </h3>
            <ol>
              {day.blocks.map((block) => (
                <BlockLine
                  key={block.id}
                  block={block}
                  rowNameOf={props.rowNameOf}
                  isChosen={block.id === props.selectedId}
                  onSelect={() => props.onSelect(block.id === props.selectedId ? null : block.id)}
                />
              ))}
            </ol>
          </li>
        ))}
    </ol>
  );
}

/** One block in a list: when, what, what dries till when. */
function BlockLine(props: {
  block: BenchBlock;
  rowNameOf: (taskId: string) => string;
  isChosen: boolean;
  onSelect: () => void;
}) {
  const { block } = props;
  const locale = useLocale();
  const { project } = useRows();
  const helper = project.workshop.helpers.find(({ id }) => id === block.workerId);
  const besideIds = new Set(block.tasks.flatMap(({ laid }) => laid.helperIds));
  const beside = project.workshop.helpers.filter(({ id }) => besideIds.has(id)).map(({ name }) => name);
  return (
    <li className={styles.block} data-chosen={props.isChosen || undefined}>
      <span className={styles.when}>{clock(block.start, locale.timeZone)}</span>
      <div>
        {block.tasks.map(({ job, start }) => (
          <p key={`${job.task.id} ${start}`}>
            {job.color && <Swatch color={job.color} />} <b>{job.title}</b>
            <small className={styles.ofRow}>
              {[props.rowNameOf(job.task.id), job.dries ? `dries ${waitWords(job.dries.handleMinutes)}` : '']
                .filter((words) => words !== '')
                .join(' · ')}
            </small>
          </p>
        ))}
        <small className="muted">
          {block.end > block.start ? handsWords(block.end - block.start) : 'takes no planned time'}
          {block.setUpMinutes + block.cleanUpMinutes > 0
            ? `, ${handsWords(block.setUpMinutes + block.cleanUpMinutes)} of it to set up and clean`
            : ''}
          {block.workerId !== null && block.workerId !== OWN_HANDS && helper ? `, ${helper.name}` : ''}
          {beside.length > 0 ? `, together with ${listed(beside)}` : ''}
        </small>
      </div>
      {block.tasks.every(({ job }) => job.task.fixed !== null) ? (
        <span className={styles.isDone}>{block.tasks.some(({ job }) => job.subject === null) ? '' : 'done'}</span>
      ) : (
        <button type="button" onClick={props.onSelect} aria-expanded={props.isChosen}>
          Move
        </button>
      )}
    </li>
  );
}
