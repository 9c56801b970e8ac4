import { climateRegions } from '@core/calendar/weather/climateRegions.data';
import { coatingHours } from '@core/calendar/weather/coatingHours';
import { hexFromLab } from '@core/color/lab';
import { formatMinutes } from '@core/kernel/formatMinutes';
import type { BenchRow } from '@core/schedule/benchJobs';
import { endOf, type Minute, type Stretch, startOf } from '@core/schedule/benchProblem';
import { againstWords } from '@core/schedule/benchWords';
import type { BenchBlock } from '@core/schedule/eveningsOf';
import { minuteOf } from '@core/schedule/workerWindows';
import { type PointerEvent, useMemo, useRef, useState } from 'react';
import { useLocale, useRows } from '../../app/projectStore';
import styles from './bench.module.css';
import { useTemperatureWords } from './benchLocale';
import { type LineScale, lineScale } from './lineScale';
import type { BenchState } from './useBench';

const DAY_WIDTH = 92;
const ROW_HEIGHT = 46;
const NAMES_WIDTH = 168;
const LEAST_WIDTH = 6;
const LEAST_DAYS = 8;
const MOST_DAYS = 120;

/** What a row says beneath its name: when it stands, when it can be used. */
export interface RowWords {
  row: BenchRow;
  words: string;
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
  const { bench, schedule } = state;
  const locale = useLocale();
  const lastMinute = Math.max(bench.problem.now, ...blocks.map(({ end }) => end));
  const windows = bench.problem.workers[0]?.windows ?? [];
  const scale = useMemo(() => {
    const days = Math.ceil((lastMinute - minuteOf(bench.from, 0, locale.timeZone)) / 1440) + 1;
    const shown = Math.min(MOST_DAYS, bench.days, Math.max(LEAST_DAYS, days));
    return lineScale({ from: bench.from, days: shown, dayWidth: DAY_WIDTH, windows, timeZone: locale.timeZone });
  }, [bench, lastMinute, windows, locale.timeZone]);
  const rowAt = new Map(rows.map(({ row }, n) => [row.id, n]));
  const drag = useBlockDrag(scale, props.onMove);
  const nowX = scale.xOf(bench.problem.now);
  return (
    <div className={styles.line}>
      <div className={styles.names} style={{ width: NAMES_WIDTH }}>
        <div className={styles.dayNames} aria-hidden="true" />
        <Outdoors scale={scale} state={state} isName />
        {rows.map(({ row, words }) => (
          <div key={row.id} className={styles.rowName} style={{ height: ROW_HEIGHT }}>
            <b>{row.name}</b>
            <small>{words}</small>
          </div>
        ))}
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by key */}
      <section className={styles.scroll} aria-label="Drying line, day by day" tabIndex={0}>
        <div style={{ width: scale.width }}>
          <div className={styles.dayNames}>
            {scale.days.map(({ date }) => (
              <span key={date} style={{ width: DAY_WIDTH }} data-today={date === bench.from || undefined}>
                {dayName(date)}
              </span>
            ))}
          </div>
          <Outdoors scale={scale} state={state} />
          <div className={styles.rows} style={{ height: rows.length * ROW_HEIGHT }}>
            {scale.days.map((day) =>
              day.windows.map((window) => (
                <span
                  key={window.start}
                  className={styles.window}
                  style={{ left: window.x, width: window.width }}
                  data-target={drag.over?.start === window.start || undefined}
                />
              )),
            )}
            {schedule.tasks.map((laid) => {
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
            })}
            {blocks.map((block) => (
              <Bar key={block.id} block={block} scale={scale} rowAt={rowAt} />
            ))}
            {blocks.flatMap((block) =>
              block.tasks.map(({ job, laid, start, end }) => {
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
                    style={{
                      left: drag.id === block.id ? left + drag.byX : left,
                      width: Math.max(LEAST_WIDTH, scale.xOf(end) - left),
                      top: at * ROW_HEIGHT + 12,
                      ...(job.color ? { background: hexFromLab(job.color) } : {}),
                    }}
                    aria-label={`${job.title}, ${rows[at]?.row.name}, ${dayName(dateOf(start, scale))} ${clock(start, locale.timeZone)}, ${formatMinutes(end - start)}`}
                    title={`${job.title}: ${clock(start, locale.timeZone)}, ${formatMinutes(endOf(laid) - startOf(laid))}`}
                    onClick={() => props.onSelect(props.selectedId === block.id ? null : block.id)}
                    {...(job.task.fixed || job.subject === null ? {} : drag.handlers(block))}
                  />
                );
              }),
            )}
            <span className={styles.now} style={{ left: nowX }} title="now" />
          </div>
        </div>
      </section>
    </div>
  );
}

const weekdays = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

/** "Mon 1". */
export function dayName(date: string): string {
  const day = new Date(`${date}T00:00:00Z`);
  return `${weekdays[day.getUTCDay()]} ${day.getUTCDate()}`;
}

const dateOf = (moment: Minute, scale: LineScale): string =>
  scale.days.find(({ start, end }) => start <= moment && moment < end)?.date ?? scale.days.at(-1)?.date ?? '';

/** The clock of a moment: 18:00. */
export function clock(moment: Minute, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' }).format(moment * 60_000);
}

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

/** Whether the open is good for coating, day by day, with what speaks against it where it is not. */
function Outdoors(props: { scale: LineScale; state: BenchState; isName?: boolean }) {
  const { bench } = props.state;
  const { project } = useRows();
  const words = useTemperatureWords();
  const [key] = [...bench.problem.hours.keys()];
  const { region, isSouthern, hasShelter } = project.workshop;
  const days = useMemo(() => {
    if (key === undefined) return [];
    const latitude = climateRegions[region].latitude * (isSouthern ? -1 : 1);
    return props.scale.days.map(({ date }) => {
      const hours = coatingHours(date, bench.forecast, JSON.parse(key), { latitude, hasShelter });
      const good = hours.filter(({ against }) => against.length === 0);
      // What speaks against the middle of the day tells most.
      const noon = hours[13]?.against.filter((one) => one.kind !== 'dark') ?? [];
      return { date, good, why: noon[0] ?? hours[13]?.against[0] ?? null, source: bench.forecast(date).source };
    });
  }, [key, props.scale, bench, region, isSouthern, hasShelter]);
  if (key === undefined) return null;
  if (props.isName)
    return (
      <div className={styles.outdoorsName}>
        Outdoors <small>{days[0]?.source === 'simulated' ? 'simulated weather' : ''}</small>
      </div>
    );
  return (
    <div className={styles.outdoors}>
      {days.map(({ date, good, why }) => (
        <span
          key={date}
          data-good={good.length > 0 || undefined}
          style={{ width: DAY_WIDTH }}
          title={good.length > 0 ? `${good.length} good hours` : why ? againstWords(why, words) : ''}
        >
          {good.length > 0 ? `${good[0]?.hour}–${(good.at(-1)?.hour ?? 0) + 1}` : (why?.kind ?? '')}
        </span>
      ))}
    </div>
  );
}

interface DragState {
  id: string;
  fromX: number;
  byX: number;
}

/** Dragging a block sideways; let go over other hours of work it is put there. */
function useBlockDrag(scale: LineScale, onMove: (block: BenchBlock, to: Stretch) => void) {
  const [state, setState] = useState<DragState | null>(null);
  const moved = useRef(false);
  const windowAt = (x: number) => {
    const day = scale.days[Math.floor(x / DAY_WIDTH)];
    if (!day) return null;
    // The hours of work of the day that are nearest.
    return [...day.windows].sort((a, b) => distance(a, x) - distance(b, x))[0] ?? null;
  };
  const place = (block: BenchBlock, byX: number) => windowAt(scale.xOf(block.start) + 2 + byX);
  const [over, setOver] = useState<Stretch | null>(null);
  return {
    id: state?.id ?? null,
    byX: state?.byX ?? 0,
    over,
    handlers: (block: BenchBlock) => ({
      onPointerDown: (event: PointerEvent<HTMLButtonElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        moved.current = false;
        setState({ id: block.id, fromX: event.clientX, byX: 0 });
      },
      onPointerMove: (event: PointerEvent<HTMLButtonElement>) => {
        if (!state) return;
        const byX = event.clientX - state.fromX;
        if (Math.abs(byX) > 6) moved.current = true;
        setState({ ...state, byX });
        setOver(moved.current ? place(block, byX) : null);
      },
      onPointerUp: () => {
        const target = state && moved.current ? place(block, state.byX) : null;
        setState(null);
        setOver(null);
        if (target && !(block.start >= target.start && block.start < target.end)) onMove(block, target);
      },
      onPointerCancel: () => {
        setState(null);
        setOver(null);
      },
      onClickCapture: (event: { stopPropagation(): void; preventDefault(): void }) => {
        if (moved.current) event.stopPropagation();
      },
    }),
  };
}

const distance = (window: { x: number; width: number }, x: number): number =>
  x < window.x ? window.x - x : Math.max(0, x - window.x - window.width);
