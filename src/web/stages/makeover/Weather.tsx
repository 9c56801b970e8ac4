import { dewPointC, dryingFactor } from '@core/calendar/climate';
import { climateOf } from '@core/recipe/recipeContext';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { temperatureWords } from '../../app/words';
import { SourceTag } from '../../ui/basics';
import { NumberField, QuantityField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './makeover.module.css';

/** The air while working and drying: waits follow it, and it may forbid spraying. */
export function Weather() {
  const rows = useRows();
  const plan = usePlan();
  const { run } = useCommands();
  const locale = useLocale();
  const [open, setOpen] = useState(false);
  const climate = climateOf(plan.assumptions);
  const set = (key: string, value: number) =>
    run('setOverride', { override: { id: crypto.randomUUID(), version: 1, key, scope: 'project', value, note: '' } });
  const own = rows.overrides.filter((row) => row.key.startsWith('climate.'));
  const factor = dryingFactor(climate, true);
  return (
    <div className={styles.weather}>
      <button type="button" data-inline aria-expanded={open} onClick={() => setOpen(!open)}>
        Air {temperatureWords(climate.airC, locale.units)}, {Math.round(climate.humidityPercent)} %
        {Math.abs(factor - 1) > 0.02 ? `: water paint dries ${Math.round(factor * 10) / 10} × as long` : ''}
      </button>
      {open && (
        <div className={styles.editor}>
          <SideBySide across={3}>
            <QuantityField
              label="Air"
              kind="celsius"
              units={locale.units}
              value={climate.airC}
              digits={1}
              least={-10}
              most={45}
              onCommit={(value) => set('climate.airC', value)}
            />
            <NumberField
              label="Humidity, %"
              value={climate.humidityPercent}
              digits={0}
              least={1}
              most={100}
              onCommit={(value) => set('climate.humidityPercent', value)}
            />
            <QuantityField
              label="Surface"
              kind="celsius"
              units={locale.units}
              value={climate.surfaceC}
              nullable
              digits={1}
              least={-10}
              most={60}
              hint="empty: as the air"
              onCommit={(value) =>
                value === null
                  ? run('resetOverrides', {
                      ids: own.filter((row) => row.key === 'climate.surfaceC').map((row) => row.id),
                    })
                  : set('climate.surfaceC', value)
              }
            />
          </SideBySide>
          <p className="small">
            Dew point {temperatureWords(dewPointC(climate.airC, climate.humidityPercent), locale.units)}. Waits are the
            label’s at 21 °C (70 °F) and 50 %, scaled: <SourceTag>modelling choice</SourceTag>
          </p>
          {own.length > 0 && (
            <Button size="small" onClick={() => run('resetOverrides', { ids: own.map((row) => row.id) })}>
              Back to 21 °C and 50 %
            </Button>
          )}
        </div>
      )}
    </div>
  );
}
