import { asUsual, type OwnStock, stockFacts } from '@core/catalog/stockFacts';
import { supplyKind } from '@core/catalog/supplyKinds';
import { formatLength } from '@core/kernel/formatLength';
import type { UnitSystem } from '@core/kernel/units';
import type { SupplyRow } from '@core/model/rows';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { LengthField, NumberField } from '../ui/fields';
import { SideBySide } from '../ui/layout';
import styles from './stock.module.css';

/** Size and print of something that is cut, and what is left of it on the shelf. Nothing for what is not cut. */
export function StockFields(props: {
  supply: Pick<SupplyRow, 'kindId' | 'stock' | 'offcuts'>;
  units: UnitSystem;
  onChange: (change: Partial<Pick<SupplyRow, 'stock' | 'offcuts'>>) => void;
}) {
  const { supply, units } = props;
  const cut = supplyKind(supply.kindId)?.cut;
  if (!cut) return null;
  const stock = supply.stock ?? asUsual;
  const facts = stockFacts(cut, supply.stock);
  const set = (change: Partial<OwnStock>) => {
    const next = { ...stock, ...change };
    const isUsual = Object.entries(asUsual).every(([name, value]) => next[name as keyof OwnStock] === value);
    props.onChange({ stock: isUsual ? null : next });
  };
  const isPrinted = cut.form !== 'board';
  return (
    <fieldset className={styles.stock}>
      <legend>What it is cut from</legend>
      <SideBySide across={3}>
        <LengthField
          label={cut.form === 'board' ? 'Face' : 'Width'}
          value={facts.widthMm}
          units={units}
          onCommit={(widthMm) => set({ widthMm: widthMm === cut.widthMm ? null : widthMm })}
        />
        {facts.lengthMm !== null && (
          <LengthField
            label="Length"
            value={facts.lengthMm}
            units={units}
            onCommit={(lengthMm) => set({ lengthMm: lengthMm === cut.lengthMm ? null : lengthMm })}
          />
        )}
        {isPrinted && (
          <LengthField
            label="Pattern repeats every"
            hint="empty: nothing has to meet"
            value={stock.repeatMm}
            units={units}
            nullable
            onCommit={(repeatMm) => set({ repeatMm })}
          />
        )}
        {isPrinted && cut.form === 'sheet' && (
          <NumberField
            label="Motifs on a sheet"
            hint="empty: not counted"
            value={stock.motifs}
            nullable
            whole
            least={1}
            most={500}
            onCommit={(motifs) => set({ motifs })}
          />
        )}
      </SideBySide>
      {isPrinted && (
        <p>
          <Checkbox checked={stock.isDirectional} onChange={(event) => set({ isDirectional: event.target.checked })}>
            Its print has a way up
          </Checkbox>
          {stock.repeatMm !== null && (
            <Checkbox checked={stock.isHalfDrop} onChange={(event) => set({ isHalfDrop: event.target.checked })}>
              Half drop: every other strip begins half a repeat lower
            </Checkbox>
          )}
        </p>
      )}
      <Leftovers {...props} isBoard={cut.form === 'board'} faceMm={facts.widthMm} />
    </fieldset>
  );
}

/** Leftovers on the shelf, by size; what is used first when something is cut. */
function Leftovers(props: {
  supply: Pick<SupplyRow, 'offcuts'>;
  units: UnitSystem;
  isBoard: boolean;
  faceMm: number;
  onChange: (change: Partial<Pick<SupplyRow, 'offcuts'>>) => void;
}) {
  const { offcuts } = props.supply;
  const [widthMm, setWidth] = useState<number | null>(null);
  const [lengthMm, setLength] = useState<number | null>(null);
  const width = props.isBoard ? props.faceMm : widthMm;
  const ready = width !== null && lengthMm !== null;
  return (
    <>
      <h4>Leftovers on the shelf</h4>
      {offcuts.length === 0 && (
        <p className="muted small">None. What a finished makeover leaves comes here by itself.</p>
      )}
      <ul>
        {offcuts.map((offcut) => {
          const words = props.isBoard
            ? formatLength(offcut.lengthMm, props.units)
            : `${formatLength(offcut.widthMm, props.units)} × ${formatLength(offcut.lengthMm, props.units)}`;
          return (
            <li key={offcut.id}>
              <span>
                {offcut.count > 1 ? `${offcut.count} × ` : ''}
                {words}
              </span>
              <Button
                size="small"
                type="text"
                aria-label={`Leftover ${words} is gone`}
                onClick={() =>
                  props.onChange({
                    offcuts: offcuts.flatMap((entry) =>
                      entry.id !== offcut.id ? [entry] : entry.count > 1 ? [{ ...entry, count: entry.count - 1 }] : [],
                    ),
                  })
                }
              >
                gone
              </Button>
            </li>
          );
        })}
      </ul>
      <div className={styles.add}>
        {!props.isBoard && (
          <LengthField label="A leftover, wide" value={widthMm} units={props.units} nullable onCommit={setWidth} />
        )}
        <LengthField
          label={props.isBoard ? 'A leftover board, long' : 'and long'}
          value={lengthMm}
          units={props.units}
          nullable
          onCommit={setLength}
        />
        <Button
          size="small"
          disabled={!ready || offcuts.length >= 80}
          onClick={() => {
            if (width === null || lengthMm === null) return;
            props.onChange({ offcuts: [...offcuts, { id: crypto.randomUUID(), widthMm: width, lengthMm, count: 1 }] });
            setWidth(null);
            setLength(null);
          }}
        >
          Add it
        </Button>
      </div>
    </>
  );
}
