import type { LogSum } from '@core/log/logSummary';
import { Bar, BarChart, CartesianGrid, Legend, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { look } from '../../app/look';

const ROW_HEIGHT = 40;

/** Planned and actual minutes side by side, a row for each kind of work or project. */
export function LogChart(props: { sums: readonly LogSum[] }) {
  const rows = props.sums.map(({ name, expectedMinutes, actualMinutes }) => ({
    name,
    expected: Math.round(expectedMinutes),
    actual: Math.round(actualMinutes),
  }));
  return (
    <>
      <div aria-hidden="true">
        <ResponsiveContainer width="100%" height={rows.length * ROW_HEIGHT + 60}>
          <BarChart data={rows} layout="vertical" margin={{ left: 8, right: 16 }} barGap={1} accessibilityLayer={false}>
            <CartesianGrid horizontal={false} stroke={look.line} />
            <XAxis type="number" unit=" min" stroke={look['ink-3']} fontSize={12} />
            <YAxis type="category" dataKey="name" width={170} stroke={look['ink-2']} fontSize={12} />
            <Tooltip />
            <Legend />
            <Bar dataKey="expected" name="expected" fill={look['line-deep']} isAnimationActive={false} />
            <Bar dataKey="actual" name="actual" fill={look.blueprint} isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      </div>
      <table className="visually-hidden">
        <caption>Planned against actual, minutes</caption>
        <thead>
          <tr>
            <th>What</th>
            <th>Expected</th>
            <th>Actual</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, expected, actual }) => (
            <tr key={name}>
              <td>{name}</td>
              <td>{expected}</td>
              <td>{actual}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
