import type { AgainstPlan } from '@core/closing/againstPlan';
import type { OriginShare } from '@core/closing/saved';
import { currencyExponent } from '@core/kernel/currencies.data';
import { formatMoney } from '@core/kernel/formatMoney';
import { originNames } from '@core/sourcing/origins';
import {
  Bar,
  BarChart,
  CartesianGrid,
  ComposedChart,
  LabelList,
  Legend,
  Line,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { look } from '../../app/look';
import { monthDay } from './monthDay';

const ROW_HEIGHT = 34;

/** Names beside their color, in ink: a pale color alone could not be read. */
const inInk = (name: string) => <span style={{ color: look['ink-2'] }}>{name}</span>;
const whole = (currency: string) => (minor: number) =>
  formatMoney(Math.round(minor / 10 ** currencyExponent(currency)) * 10 ** currencyExponent(currency), currency, {
    cents: 'auto',
  });

/** Where it came from: how many, and what they would cost new. */
export function OriginsChart(props: { shares: readonly OriginShare[]; currency: string }) {
  const all = props.shares.reduce((sum, { worth }) => sum + worth, 0);
  const count = props.shares.reduce((sum, share) => sum + share.count, 0);
  const rows = props.shares.map((share) => ({
    name: originNames[share.origin],
    count: count === 0 ? 0 : Math.round((share.count / count) * 100),
    worth: all === 0 ? 0 : Math.round((share.worth / all) * 100),
  }));
  return (
    <ResponsiveContainer width="100%" height={rows.length * 46 + 50}>
      <BarChart
        data={rows}
        layout="vertical"
        margin={{ left: 0, right: 40 }}
        barGap={1}
        barCategoryGap="24%"
        accessibilityLayer={false}
      >
        <XAxis type="number" hide domain={[0, 100]} />
        <YAxis type="category" dataKey="name" width={110} stroke={look['ink-2']} fontSize={12.5} />
        <Legend formatter={inInk} />
        <Bar dataKey="count" name="of the pieces" fill={look.blueprint} isAnimationActive={false}>
          <LabelList dataKey="count" position="right" formatter={percent} fontSize={12} />
        </Bar>
        <Bar dataKey="worth" name="of what they would cost new" fill={look['line-deep']} isAnimationActive={false}>
          <LabelList dataKey="worth" position="right" formatter={percent} fontSize={12} />
        </Bar>
      </BarChart>
    </ResponsiveContainer>
  );
}

const percent = (value: unknown) => `${value} %`;

/** Planned and actual money of each slot. */
export function SlotsChart(props: { slots: AgainstPlan['slots']; currency: string }) {
  // What costs nothing in either stands in the table.
  const rows = props.slots
    .map(({ number, name, cash, stash }) => ({
      name: `${number} ${name}`,
      planned: (cash.planned ?? 0) + (stash.planned ?? 0),
      actual: (cash.actual ?? 0) + (stash.actual ?? 0),
    }))
    .filter(({ planned, actual }) => planned !== 0 || actual !== 0);
  const money = whole(props.currency);
  const hasPlan = props.slots.some(({ cash }) => cash.planned !== null);
  return (
    <ResponsiveContainer width="100%" height={rows.length * ROW_HEIGHT + 70}>
      <BarChart
        data={rows}
        layout="vertical"
        margin={{ left: 0, right: 60 }}
        barGap={1}
        barCategoryGap="24%"
        accessibilityLayer={false}
      >
        <CartesianGrid horizontal={false} stroke={look.line} />
        <XAxis type="number" tickFormatter={money} stroke={look['ink-3']} fontSize={12} />
        <YAxis
          type="category"
          dataKey="name"
          width={150}
          stroke={look['ink-2']}
          fontSize={12}
          tickFormatter={shortened}
        />
        <Legend formatter={inInk} />
        {hasPlan && (
          <Bar dataKey="planned" name="planned, cash and stash" fill={look['line-deep']} isAnimationActive={false} />
        )}
        <Bar dataKey="actual" name="came to, cash and stash" fill={look.blueprint} isAnimationActive={false}>
          <LabelList dataKey="actual" position="right" formatter={(value) => money(Number(value))} fontSize={12} />
        </Bar>
      </BarChart>
    </ResponsiveContainer>
  );
}

const MOST_NAME = 22;
const shortened = (name: string) => (name.length > MOST_NAME ? `${name.slice(0, MOST_NAME - 1)}…` : name);

const hours = (value: number) => `${Math.round(value * 10) / 10} h`;

/** Money and hours week by week, added up. */
export function OverTimeChart(props: { weeks: AgainstPlan['weeks']; currency: string }) {
  let [cash, done, planned] = [0, 0, 0];
  const rows = props.weeks.map((week) => {
    cash += week.cash;
    done += (week.minutes.actual ?? 0) / 60;
    planned += (week.minutes.planned ?? 0) / 60;
    return { week: monthDay(week.monday), cash, done, planned };
  });
  const hasPlan = planned > 0;
  // Where nothing was paid yet, hours stand alone.
  const hasCash = rows.some((row) => row.cash !== 0);
  return (
    <ResponsiveContainer width="100%" height={260}>
      <ComposedChart data={rows} margin={{ left: 0, right: 0, top: 8 }} accessibilityLayer={false}>
        <CartesianGrid vertical={false} stroke={look.line} />
        <XAxis dataKey="week" stroke={look['ink-3']} fontSize={12} />
        <YAxis
          yAxisId="cash"
          hide={!hasCash}
          tickFormatter={whole(props.currency)}
          stroke={look['ink-3']}
          fontSize={12}
          width={64}
        />
        <YAxis
          yAxisId="hours"
          orientation="right"
          tickFormatter={hours}
          stroke={look['ink-3']}
          fontSize={12}
          width={50}
        />
        <Legend formatter={inInk} />
        {hasCash && (
          <Bar
            yAxisId="cash"
            dataKey="cash"
            name="money so far"
            barSize={28}
            fill={look['line-deep']}
            isAnimationActive={false}
          />
        )}
        {hasPlan && (
          <Line
            yAxisId="hours"
            dataKey="planned"
            name="hours planned"
            stroke={look['ink-3']}
            strokeDasharray="5 4"
            dot={false}
            isAnimationActive={false}
          />
        )}
        <Line
          yAxisId="hours"
          dataKey="done"
          name="hours worked"
          stroke={look.blueprint}
          strokeWidth={2}
          isAnimationActive={false}
        />
      </ComposedChart>
    </ResponsiveContainer>
  );
}
