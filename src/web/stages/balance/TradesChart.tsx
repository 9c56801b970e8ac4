import type { TradedAgainst } from '@core/balance/frontier';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { look } from '../../app/look';

interface ChartPoint {
  cash: number;
  /** Minutes, or look value. */
  value: number;
}

/** What money is traded against, as the chart shows it. */
interface Side {
  title: string;
  /** The narrowest stretch between two marks. */
  step: number;
  ticks(ends: readonly [number, number]): number[];
  tick(value: number): string;
  limit(value: number): string;
  /** Whether what lies above the limit is beyond it. */
  isMost: boolean;
}

/** Round ends around some values, so that all of them and the limits are in sight. */
function ends(values: readonly number[], step: number): [number, number] {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const air = Math.max(step, (high - low) * 0.08);
  return [Math.max(0, Math.floor((low - air) / step) * step), Math.ceil((high + air) / step) * step];
}

/** Whole hours to mark: few enough to be read. */
function hourTicks([low, high]: readonly [number, number]): number[] {
  const step = [1, 2, 4, 5, 10, 20, 50].find((hours) => (high - low) / 60 / hours <= 7) ?? 100;
  const first = Math.ceil(low / 60 / step) * step;
  return Array.from({ length: Math.floor((high / 60 - first) / step) + 1 }, (_, n) => (first + n * step) * 60);
}

/** Whole look values to mark: few enough to be read. */
function lookTicks([low, high]: readonly [number, number]): number[] {
  const step = [1, 2, 5, 10, 20, 50].find((value) => (high - low) / value <= 8) ?? 100;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.floor((high - first) / step) + 1 }, (_, n) => first + n * step);
}

const sides: Readonly<Record<TradedAgainst, Side>> = {
  hours: {
    title: 'Cash to go against hands-on time',
    step: 60,
    ticks: hourTicks,
    tick: (minutes) => `${Math.round(minutes / 60)} h`,
    limit: (minutes) => `hours left ${formatMinutes(minutes).replace(' h 00', ' h')}`,
    isMost: true,
  },
  look: {
    title: 'Cash to go against look value',
    step: 1,
    ticks: lookTicks,
    tick: (value) => String(Math.round(value)),
    limit: (value) => `look kept at ${Math.round(value)}`,
    isMost: false,
  },
};

/**
 * The frontier as a chart: cash to go across, hands-on time or look value up; what is beyond a limit is hatched, the plan now stands as a
 * flag, and each trade is a chip to press.
 */
export function TradesChart(props: {
  points: readonly (ChartPoint & { fits: boolean })[];
  against: TradedAgainst;
  present: ChartPoint;
  /** What is left to pay, and the most minutes or the least look. */
  limits: { cash: number | null; value: number | null };
  chosen: number;
  currency: string;
  onChoose: (n: number) => void;
}) {
  const { points, present, limits, chosen } = props;
  const side = sides[props.against];
  const money = (minor: number) => formatMoney(Math.round(minor / 100) * 100, props.currency, { cents: 'auto' });
  const span =
    Math.max(...points.map(({ cash }) => cash), present.cash) -
    Math.min(...points.map(({ cash }) => cash), present.cash);
  const x = ends([...points, present].map(({ cash }) => cash).concat(limits.cash ?? []), span > 20_000 ? 5000 : 1000);
  const y = ends([...points, present].map(({ value }) => value).concat(limits.value ?? []), side.step);
  const all = points.map((point, n) => ({ ...point, n }));
  return (
    <div style={{ width: '100%', height: 300 }}>
      <ResponsiveContainer>
        <ComposedChart data={all} margin={{ top: 8, right: 16, bottom: 22, left: 12 }} accessibilityLayer={false}>
          <title>{side.title}</title>
          <defs>
            <pattern id="beyond" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line x1="0" y1="0" x2="0" y2="7" stroke={look.line} strokeWidth="2" />
            </pattern>
          </defs>
          <CartesianGrid stroke={look['plaster-deep']} />
          {limits.cash !== null && limits.cash < x[1] && (
            <ReferenceArea
              x1={Math.max(limits.cash, x[0])}
              x2={x[1]}
              y1={y[0]}
              y2={y[1]}
              fill="url(#beyond)"
              fillOpacity={1}
            />
          )}
          {limits.value !== null && (
            <ReferenceArea
              x1={x[0]}
              x2={x[1]}
              y1={side.isMost ? Math.min(y[1], Math.max(limits.value, y[0])) : y[0]}
              y2={side.isMost ? y[1] : Math.min(y[1], Math.max(limits.value, y[0]))}
              fill="url(#beyond)"
              fillOpacity={1}
            />
          )}
          <XAxis
            dataKey="cash"
            type="number"
            domain={x}
            tickFormatter={money}
            stroke={look['ink-3']}
            fontSize={12}
            label={{ value: 'cash to go', position: 'insideBottom', offset: -14, fontSize: 12, fill: look['ink-2'] }}
          />
          <YAxis
            dataKey="value"
            type="number"
            domain={y}
            ticks={side.ticks(y)}
            tickFormatter={side.tick}
            stroke={look['ink-3']}
            fontSize={12}
            width={44}
          />
          {limits.cash !== null && (
            <ReferenceLine
              x={limits.cash}
              stroke={look.ink}
              strokeDasharray="4 3"
              label={{
                value: `money left ${money(limits.cash)}`,
                position: limits.cash < x[0] + (x[1] - x[0]) / 3 ? 'insideBottomLeft' : 'insideBottomRight',
                fontSize: 12,
                fill: look['ink-2'],
              }}
            />
          )}
          {limits.value !== null && (
            <ReferenceLine
              y={limits.value}
              stroke={look.ink}
              strokeDasharray="4 3"
              label={{
                value: side.limit(limits.value),
                position: 'insideTopLeft',
                fontSize: 12,
                fill: look['ink-2'],
              }}
            />
          )}
          <Line
            dataKey="value"
            type="stepAfter"
            stroke={look.blueprint}
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
          <Scatter
            data={all}
            dataKey="value"
            isAnimationActive={false}
            cursor="pointer"
            onClick={(_point, n) => props.onChoose(n)}
            shape={(point: { cx?: number; cy?: number; n?: number; fits?: boolean }) => (
              <Chip x={point.cx ?? 0} y={point.cy ?? 0} isChosen={point.n === chosen} fits={point.fits ?? true} />
            )}
          />
          <Scatter
            data={[present]}
            dataKey="value"
            isAnimationActive={false}
            shape={(point: { cx?: number; cy?: number }) => <Flag x={point.cx ?? 0} y={point.cy ?? 0} />}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}

/** A trade, cut like a paint chip; its corner of tape says that it is the one that is shown. */
function Chip(props: { x: number; y: number; isChosen: boolean; fits: boolean }) {
  const size = props.isChosen ? 10 : 7;
  const { x, y } = props;
  return (
    <g>
      <circle cx={x} cy={y} r={size + 2} fill="transparent" />
      <path
        d={`M${x - size} ${y - size}h${size * 1.5}l${size / 2} ${size / 2}v${size * 1.5}h${-size * 2}z`}
        fill={props.isChosen ? look.tape : look.sheet}
        stroke={look.ink}
        strokeWidth={props.isChosen ? 2 : 1.5}
        strokeDasharray={props.fits ? undefined : '2 2'}
      />
    </g>
  );
}

/** Where the plan now stands. */
function Flag(props: { x: number; y: number }) {
  const { x, y } = props;
  return (
    <g pointerEvents="none">
      <path d={`M${x} ${y}v-28h24l-6 6 6 6h-24`} fill={look.brick} />
      <circle cx={x} cy={y} r={4} fill={look.brick} />
      <text
        x={x + 28}
        y={y - 16}
        fontSize={12}
        fontWeight={700}
        fill={look.ink}
        stroke={look.sheet}
        strokeWidth={3}
        paintOrder="stroke"
      >
        the plan now
      </text>
    </g>
  );
}
