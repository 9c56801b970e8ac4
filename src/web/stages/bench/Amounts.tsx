import type { BenchJob } from '@core/schedule/benchJobs';
import { expectedAmounts } from '@core/schedule/logOfStep';
import { supplyWords } from '@core/words/supplyWords';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { SupplyAmountField } from '../../ui/fields';

/** How much was used of what, beside what was expected. */
export function Amounts({ job, entryId }: { job: BenchJob; entryId: string }) {
  const plan = usePlan();
  const rows = useRows();
  const locale = useLocale();
  const { run } = useCommands();
  const entry = rows.logEntries.find(({ id }) => id === entryId);
  const expected = expectedAmounts(plan, job);
  if (!entry) return null;
  return (
    <>
      {expected.map(({ kindId, supplyKey, expected: amount }) => {
        const pool = plan.model.supply(supplyKey);
        const used = entry.amounts.find((one) => one.kindId === kindId)?.used ?? null;
        return (
          <SupplyAmountField<number | null>
            key={kindId}
            label={`Used: ${pool.name}`}
            value={used}
            unit={pool.unit}
            units={locale.units}
            nullable
            least={0}
            hint={`planned ${supplyWords(amount, pool.unit, locale.units)}`}
            onCommit={(value) =>
              run('editLogEntry', {
                id: entry.id,
                values: {
                  amounts: [
                    ...entry.amounts.filter((one) => one.kindId !== kindId),
                    ...(value === null ? [] : [{ kindId, expected: amount, used: value }]),
                  ],
                },
              })
            }
          />
        );
      })}
    </>
  );
}
