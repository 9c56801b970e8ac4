import { hexFromLab } from '@core/color/lab';
import type { OptionModel } from '@core/plan/model/optionModel';
import type { BenchRow } from '@core/schedule/benchJobs';
import { endOf, type Minute, type Stretch, startOf } from '@core/schedule/benchProblem';
import { handsWords } from '@core/schedule/benchWords';
import type { BenchBlock } from '@core/schedule/eveningsOf';
import { minuteOf } from '@core/schedule/workerWindows';
import { Fragment, memo, useMemo } from 'react';
import { useLocale, usePlan } from '../../app/projectStore';
import { later } from '../../ui/later';
import styles from './bench.module.css';
import { clock, dayName } from './benchTimes';
import { type LineScale, lineScale } from './lineScale';
import { Outdoors } from './Outdoors';
import type { BenchState } from './useBench';
import { type DragHandlers, useBlockDrag } from './useBlockDrag';

const OptionPicture = later(async () => (await import('../../app/OptionPicture')).OptionPicture);

const DAY_WIDTH = 92;
const ROW_HEIGHT = 46;
const NAMES_WIDTH = 206;
const PICTURE_SIZE = 34;
const LEAST_WIDTH = 6;
const LEAST_DAYS = 8;
const MOST_DAYS = 120;

/** What a row says beneath its name: when it stands, when it can be used. */
export interface RowWords {
  row: BenchRow;
  words: string;
  /** The way that it makes; null for spots and errands. */
  model: OptionModel | null;
}

/**
 * The drying line: a row for each thing, solid where hands are at it, dashed while it dries, bars across what one session
 * does together; the weather above; the present as a tape. A session is moved by dragging it to another day.
 */
export function DryingLine(props: {
  state: BenchState;
  blocks: readonly BenchBlock[];
  rows: readonly RowWords[];
  selectedId: string | null;
  onSelect: (id: string | null) => void;
  onMove: (block: BenchBlock, to: Stretch) => void;
}) {
  const { state, blocks, rows } = props;
  const { bench } = state;
  const locale = useLocale();
  const plan = usePlan();
  const lastMinute = Math.max(bench.problem.now, ...blocks.map(({ end }) => end));
  const windows = bench.problem.workers[0]?.windows ?? [];
  const scale = useMemo(() => {
    const days = Math.ceil((lastMinute - minuteOf(bench.from, 0, locale.timeZone)) / 1440) + 1;
    const shown = Math.min(MOST_DAYS, bench.days, Math.max(LEAST_DAYS, days));
    return lineScale({ from: bench.from, days: shown, dayWidth: DAY_WIDTH, windows, timeZone: locale.timeZone });
  }, [bench, lastMinute, windows, locale.timeZone]);
  const rowAt = useMemo(() => new Map(rows.map(({ row }, n) => [row.id, n])), [rows]);
  const drag = useBlockDrag(scale, props.onMove);
  const nowX = scale.xOf(bench.problem.now);
  return (
    <div className={styles.line}>
      <div className={styles.names} style={{ width: NAMES_WIDTH }}>
        <div className={styles.dayNames} aria-hidden="true" />
        <Outdoors scale={scale} state={state} isName />
        {rows.map(({ row, words, model }) => (
          <div key={row.id} className={styles.rowName} style={{ height: ROW_HEIGHT }}>
            <span className={styles.rowPicture}>
              {model && <OptionPicture plan={plan} model={model} size={PICTURE_SIZE} />}
            </span>
            <span className={styles.rowWords}>
              <b title={row.name}>{row.name}</b>
              <small>{words}</small>
            </span>
          </div>
        ))}
      </div>
      <section className={styles.scroll} aria-label="Drying line, day by day">
        <div style={{ width: scale.width }}>
          <div className={styles.dayNames}>
            {scale.days.map(({ date }) => (
              <span key={date} style={{ width: DAY_WIDTH }} data-today={date === bench.from || undefined}>
                {dayName(date)}
              </span>
            ))}
          </div>
          <Outdoors scale={scale} state={state} />
          <div ref={drag.line} className={styles.rows} style={{ height: rows.length * ROW_HEIGHT }}>
            <Windows scale={scale} over={drag.over} />
            <DryingStretches state={state} scale={scale} rowAt={rowAt} />
            <Hands
              blocks={blocks}
              rows={rows}
              rowAt={rowAt}
              scale={scale}
              selectedId={props.selectedId}
              draggedId={drag.id}
              handlers={drag.handlers}
              onSelect={props.onSelect}
            />
            <span className={styles.now} style={{ left: nowX }} title="now" />
          </div>
        </div>
      </section>
    </div>
  );
}

/** Hours of work, day by day; those that something would be put into stand out. */
function Windows(props: { scale: LineScale; over: Stretch | null }) {
  return props.scale.days.map((day) =>
    day.windows.map((window) => (
      <span
        key={window.start}
        className={styles.window}
        style={{ left: window.x, width: window.width }}
        data-target={props.over?.start === window.start || undefined}
      />
    )),
  );
}

/** What dries, dashed behind the hands that laid it. */
const DryingStretches = memo(function DryingStretches(props: {
  state: BenchState;
  scale: LineScale;
  rowAt: ReadonlyMap<string, number>;
}) {
  const { scale, rowAt } = props;
  const { bench, schedule } = props.state;
  return schedule.tasks.map((laid) => {
    const job = bench.jobs.get(laid.taskId);
    const at = rowAt.get(job?.task.rowId ?? '');
    if (!job?.dries || at === undefined || job.step?.skipped) return null;
    const left = scale.xOf(endOf(laid));
    const width = scale.xOf(endOf(laid) + job.dries.handleMinutes) - left;
    return (
      <span
        key={laid.taskId}
        className={styles.drying}
        style={{ left, width, top: at * ROW_HEIGHT + 15 }}
        title={`${job.title}: dries`}
      />
    );
  });
});

/** Hands at work, solid, in the color that they lay, with a bar across what one session does together. */
const Hands = memo(function Hands(props: {
  blocks: readonly BenchBlock[];
  rows: readonly RowWords[];
  rowAt: ReadonlyMap<string, number>;
  scale: LineScale;
  selectedId: string | null;
  draggedId: string | null;
  handlers: (block: BenchBlock) => DragHandlers;
  onSelect: (id: string | null) => void;
}) {
  const { blocks, rows, rowAt, scale } = props;
  const { timeZone } = useLocale();
  return blocks.map((block) => (
    <Fragment key={block.id}>
      <Bar block={block} scale={scale} rowAt={rowAt} />
      {block.tasks.map(({ job, laid, start, end }) => {
        const at = rowAt.get(job.task.rowId);
        if (at === undefined || job.step?.skipped) return null;
        const left = scale.xOf(start);
        return (
          <button
            key={`${job.task.id} ${start}`}
            type="button"
            data-inline
            className={styles.hands}
            data-fixed={job.task.fixed !== null || undefined}
            data-chosen={props.selectedId === block.id || undefined}
            data-moment={end === start || undefined}
            data-dragged={props.draggedId === block.id || undefined}
            style={{
              left,
              width: Math.max(LEAST_WIDTH, scale.xOf(end) - left),
              top: at * ROW_HEIGHT + 12,
              ...(job.color ? { background: hexFromLab(job.color) } : {}),
            }}
            aria-label={`${job.title}, ${rows[at]?.row.name}, ${dayName(dateOf(start, scale))} ${clock(start, timeZone)}, ${handsWords(end - start)}`}
            title={`${job.title}: ${clock(start, timeZone)}, ${handsWords(endOf(laid) - startOf(laid))}`}
            onClick={() => props.onSelect(props.selectedId === block.id ? null : block.id)}
            {...(job.task.fixed || job.subject === null ? {} : props.handlers(block))}
          />
        );
      })}
    </Fragment>
  ));
});

const dateOf = (moment: Minute, scale: LineScale): string =>
  scale.days.find(({ start, end }) => start <= moment && moment < end)?.date ?? scale.days.at(-1)?.date ?? '';

/** A bar across the rows that one session is at together. */
function Bar(props: { block: BenchBlock; scale: LineScale; rowAt: ReadonlyMap<string, number> }) {
  const { block, scale, rowAt } = props;
  const rows = block.tasks.flatMap(({ job }) => rowAt.get(job.task.rowId) ?? []);
  const [top, bottom] = [Math.min(...rows), Math.max(...rows)];
  if (rows.length < 2 || top === bottom) return null;
  const first = block.tasks[0];
  return (
    <span
      className={styles.bar}
      style={{
        left: scale.xOf(block.start),
        width: Math.max(2, scale.xOf(block.end) - scale.xOf(block.start)),
        top: top * ROW_HEIGHT + 6,
        height: (bottom - top) * ROW_HEIGHT + 34,
        ...(first?.job.color ? { borderColor: hexFromLab(first.job.color) } : {}),
      }}
      title="one session: one set-up, one clean-up"
    />
  );
}
