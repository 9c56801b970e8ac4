import { type FactorAt, type FavoriteWork, type PastProject, perHourOf } from '@core/closing/studioHistory';
import { currencyExponent } from '@core/kernel/currencies.data';
import { formatMoney } from '@core/kernel/formatMoney';
import { workName } from '@core/log/logSummary';
import {
  Bar,
  BarChart,
  CartesianGrid,
  LabelList,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { look } from '../../app/look';

const MOST_NAME = 24;
const shortened = (name: string) => (name.length > MOST_NAME ? `${name.slice(0, MOST_NAME - 1)}…` : name);
const inInk = (name: string) => <span style={{ color: look['ink-2'] }}>{name}</span>;

/** A bar for each of some things, with what it stands for beside it. */
function NamedBars(props: { bars: readonly { name: string; value: number; label: string }[]; height: number }) {
  return (
    <ResponsiveContainer width="100%" height={props.bars.length * props.height + 40}>
      <BarChart
        data={props.bars}
        layout="vertical"
        margin={{ left: 0, right: 70 }}
        barCategoryGap="30%"
        accessibilityLayer={false}
      >
        <XAxis type="number" hide />
        <YAxis
          type="category"
          dataKey="name"
          width={170}
          stroke={look['ink-2']}
          fontSize={12}
          tickFormatter={shortened}
        />
        <ReferenceLine x={0} stroke={look['ink-3']} />
        <Bar dataKey="value" fill={look.blueprint} isAnimationActive={false}>
          <LabelList dataKey="label" position="right" fontSize={12} />
        </Bar>
      </BarChart>
    </ResponsiveContainer>
  );
}

/** What an hour earned in each project; of two currencies nobody compares the bars by their length. */
export function HoursEarnedChart(props: { projects: readonly PastProject[] }) {
  const bars = props.projects.flatMap(({ name, currency, closing }) => {
    const perHour = perHourOf(closing);
    if (perHour === null) return [];
    const value = perHour / 10 ** currencyExponent(currency);
    return [{ name, value, label: formatMoney(perHour, currency, { cents: 'auto' }) }];
  });
  return <NamedBars bars={bars} height={38} />;
}

/** Hours by kind of work. */
export function WorksChart(props: { works: readonly FavoriteWork[] }) {
  const bars = props.works.map(({ work, minutes }) => {
    const value = Math.round(minutes / 6) / 10;
    return { name: workName(work), value, label: `${value} h` };
  });
  return <NamedBars bars={bars} height={30} />;
}

/** Strokes that are told apart without their color. */
const strokes = ['0', '6 4', '2 3', '10 3 2 3', '1 4', '8 6'];

/** Factors month by month: over 1 it takes longer than the tables say. */
export function FactorsChart(props: { months: readonly FactorAt[]; works: readonly string[] }) {
  const works = props.works.filter((work) => props.months.some(({ factors }) => factors[work] !== undefined));
  const rows = props.months.map(({ month, factors }) => ({ month, ...factors }));
  return (
    <ResponsiveContainer width="100%" height={280}>
      <LineChart data={rows} margin={{ left: 0, right: 20, top: 8 }} accessibilityLayer={false}>
        <CartesianGrid vertical={false} stroke={look.line} />
        <XAxis dataKey="month" stroke={look['ink-3']} fontSize={12} />
        <YAxis
          stroke={look['ink-3']}
          fontSize={12}
          width={56}
          domain={['auto', 'auto']}
          tickFormatter={(value) => `×${Math.round(Number(value) * 100) / 100}`}
        />
        <ReferenceLine y={1} stroke={look['ink-3']} />
        <Legend formatter={inInk} />
        {works.map((work, n) => (
          <Line
            key={work}
            dataKey={(row: Record<string, number>) => row[work]}
            name={workName(work)}
            stroke={n % 2 === 0 ? look.blueprint : look.ink}
            strokeDasharray={strokes[n % strokes.length] ?? '0'}
            strokeWidth={2}
            dot={{ r: 3 }}
            connectNulls
            isAnimationActive={false}
          />
        ))}
      </LineChart>
    </ResponsiveContainer>
  );
}
