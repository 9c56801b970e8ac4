import { consumables } from '@core/catalog/consumables';
import { supplyKind } from '@core/catalog/supplyKinds';
import type { CutLayout, LaidUnit, Placement } from '@core/cutting/layout';
import type { Pin } from '@core/cutting/question';
import { soundPins } from '@core/cutting/soundPins';
import { formatLength } from '@core/kernel/formatLength';
import type { UnitSystem } from '@core/kernel/units';
import { packWords } from '@core/plan/model/packWords';
import type { SupplyPool } from '@core/plan/model/pools';
import { partsOfSupplyKey } from '@core/recipe/supplyKey';
import { supplyWords } from '@core/words/supplyWords';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useCommands, useLocale, usePlan, useRows } from '../../../app/projectStore';
import shell from '../../../app/shell.module.css';
import { amountWords } from '../../../app/words';
import { Empty, LinkButton } from '../../../ui/basics';
import { Swatch } from '../../../ui/Swatch';
import { CutFiles } from './CutFiles';
import styles from './cut.module.css';
import { type CutStockView, chosenStocks, recipeStocks } from './cutStocks';
import { layoutWords, unitWords } from './layoutWords';
import { SearchLonger } from './SearchLonger';
import { type Move, UnitDrawing } from './UnitDrawing';
import { WhereItGoes } from './WhereItGoes';

/** Sheets, rolls and boards of the plan with what is cut from each. */
export function CutPage() {
  const plan = usePlan();
  const { key } = useParams();
  const [search] = useSearchParams();
  const recipeId = search.get('recipe');
  const joint = chosenStocks(plan);
  const wanted = key === undefined ? null : decodeURIComponent(key);
  const own = recipeId === null ? [] : recipeStocks(plan, recipeId);
  const jointView = joint.find(({ supply }) => supply.key === wanted) ?? (wanted === null ? joint[0] : undefined);
  const ownView = own.find(({ supply }) => supply.key === wanted);
  // A makeover that is chosen is shown as it is cut: with all others of its stock.
  const isInPlan = jointView?.total.parts.some(({ part }) => part.key.startsWith(`${recipeId}|`)) ?? false;
  const view = ownView && !isInPlan ? ownView : jointView;
  const isAlone = view !== undefined && view === ownView;
  if (!view)
    return (
      <main className={shell.page}>
        <Empty title="Nothing to cut yet">
          <p>
            Lay paper or film on a piece in a <Link to="../makeover">makeover</Link>, or make something from boards or
            cloth, and choose it on the <Link to="../compare">board</Link>: its parts are laid out here, all that is cut
            from one stock together.
          </p>
        </Empty>
      </main>
    );
  return (
    <main className={shell.page}>
      <h1>Cut</h1>
      <ul className={styles.stocks} aria-label="What is cut from">
        {joint.map(({ supply, layout }) => (
          <li key={supply.key}>
            <LinkButton
              to={`../makeover/cut/${encodeURIComponent(supply.key)}`}
              primary={supply.key === view.supply.key && !isAlone}
            >
              {supply.name} · {unitWords(layout.units.length, supply.cut?.form ?? 'sheet')}
            </LinkButton>
          </li>
        ))}
      </ul>
      {isAlone && (
        <p className="muted">
          This makeover by itself: it is not chosen. Chosen, it is laid out together with all else that is cut from the
          same stock.
        </p>
      )}
      <Stock key={`${view.supply.key} ${isAlone}`} view={view} mayMove={!isAlone} />
    </main>
  );
}

function Stock(props: { view: CutStockView; mayMove: boolean }) {
  const rows = useRows();
  const locale = useLocale();
  const { run } = useCommands();
  const { view } = props;
  const { supply, layout, question, cut } = view;
  const [selected, setSelected] = useState<string | null>(null);
  const [current, setCurrent] = useState(0);
  const [refused, setRefused] = useState('');
  const numbers = new Map(view.total.parts.map(({ part }, n) => [part.key, { part, number: n + 1 }]));
  const { kindId, colorCardId, sheen } = partsOfSupplyKey(supply.key);
  const kept = rows.layouts.find(
    (row) => row.kindId === kindId && row.colorCardId === colorCardId && row.sheen === sheen,
  );
  const pins = soundPins(question);
  const pinned = new Set(pins.map(({ partKey, nth }) => `${partKey} ${nth}`));
  const savePins = (next: readonly Pin[]) =>
    run('saveLayout', {
      layout: { id: kept?.id ?? crypto.randomUUID(), version: 1, kindId, colorCardId, sheen, pins: [...next] },
    });
  const without = (place: Placement) => pins.filter((pin) => pin.partKey !== place.partKey || pin.nth !== place.nth);
  const move = (unit: LaidUnit, { place, xMm, yMm, turnedDeg }: Move) => {
    const round = (mm: number) => Math.round(mm * 10) / 10;
    const pin: Pin = {
      unitKey: unit.key,
      partKey: place.partKey,
      nth: place.nth,
      turnedDeg,
      ...within(unit, question.stock.marginMm, place, turnedDeg, round(xMm), round(yMm)),
    };
    const next = [...without(place), pin];
    if (soundPins({ ...question, pins: next }).length < next.length) {
      setRefused(
        'There it would lie over another part that was laid by hand, or beyond the edge: it stays where it was.',
      );
      return;
    }
    setRefused('');
    savePins(next);
  };
  const keepAll = (better: CutLayout) =>
    savePins(
      better.units.flatMap((unit) =>
        unit.placed.map(({ partKey, nth, xMm, yMm, turnedDeg }) => ({
          unitKey: unit.key,
          partKey,
          nth,
          xMm,
          yMm,
          turnedDeg,
        })),
      ),
    );
  const isAlong = question.stock.form !== 'sheet';
  const isWood = (consumables.find(kindId)?.thicknessMm ?? 0) > 0;
  const mayMove = props.mayMove && question.stock.form !== 'board';
  const shown = Math.min(current, layout.units.length - 1);
  return (
    <>
      <h2>
        {supply.color && <Swatch color={supply.color} />} {supply.name}
      </h2>
      <p>
        {layoutWords(layout, view.total.parts, question.stock.form)}{' '}
        {cut.purchase.packs.length > 0
          ? `To buy: ${boughtWords(cut.purchase, supply, locale.units)}, ${amountWords(cut.purchase.cash, locale)}.`
          : 'Nothing to buy.'}
      </p>
      {layout.tooLarge.length > 0 && (
        <p role="alert">
          {layout.tooLarge.map((key) => numbers.get(key)?.part.name ?? '').join(', ')}:{' '}
          {layout.tooLarge.length === 1 ? 'it is' : 'they are'} larger than any {supplyKind(kindId)?.name.toLowerCase()}{' '}
          there is. Take a larger one, or cover the piece in strips.
        </p>
      )}
      <div className={styles.tools}>
        {question.stock.form !== 'board' && mayMove && (
          <SearchLonger question={question} layout={layout} onKeep={keepAll} />
        )}
        {pins.length > 0 && mayMove && (
          <Button size="small" onClick={() => savePins([])}>
            Let go of what was laid by hand
          </Button>
        )}
      </div>
      <CutFiles view={view} shown={shown} />
      {refused !== '' && <p role="alert">{refused}</p>}
      <div className={styles.table}>
        <section aria-label="Sheets">
          {layout.units.length > 1 && (
            <div className={styles.pager}>
              <Button
                size="small"
                disabled={shown === 0}
                onClick={() => setCurrent(shown - 1)}
                aria-label="The one before"
              >
                ←
              </Button>
              <span className="small">
                {shown + 1} of {layout.units.length}
              </span>
              <Button
                size="small"
                disabled={shown >= layout.units.length - 1}
                onClick={() => setCurrent(shown + 1)}
                aria-label="The next one"
              >
                →
              </Button>
            </div>
          )}
          <div className={styles.units} data-along={isAlong || undefined}>
            {layout.units.map((unit, n) => {
              const label = `${n + 1}: ${originWords(unit)}, ${formatLength(unit.widthMm, locale.units)} × ${formatLength(unit.lengthMm, locale.units)}`;
              return (
                <figure key={unit.key} data-current={n === shown || undefined} onPointerDown={() => setCurrent(n)}>
                  <UnitDrawing
                    unit={unit}
                    form={question.stock.form}
                    parts={numbers}
                    color={supply.color}
                    isWood={isWood}
                    units={locale.units}
                    label={label}
                    selected={selected}
                    pinned={pinned}
                    onSelect={setSelected}
                    onMove={mayMove ? (moved) => move(unit, moved) : null}
                    onLetGo={mayMove ? (place) => savePins(without(place)) : null}
                  />
                  <figcaption className="muted small">{label}</figcaption>
                </figure>
              );
            })}
          </div>
        </section>
        <section aria-label="Where each part goes">
          <h3>Where each part goes</h3>
          <WhereItGoes view={view} numbers={numbers} selected={selected} onSelect={setSelected} />
        </section>
      </div>
    </>
  );
}

/** What is bought: packs, or of what is cut off the bolt its length. */
const boughtWords = (purchase: CutStockView['cut']['purchase'], supply: SupplyPool, units: UnitSystem): string =>
  supply.cut?.byTheStep
    ? `${supplyWords(purchase.size, supply.unit, units)} off the bolt`
    : packWords(supply, purchase);

/** A place inside a unit: what was pulled beyond its edge lies at the edge. */
function within(
  unit: LaidUnit,
  marginMm: number,
  place: Placement,
  turnedDeg: Placement['turnedDeg'],
  xMm: number,
  yMm: number,
): { xMm: number; yMm: number } {
  const isTurned = (turnedDeg - place.turnedDeg) % 180 !== 0;
  const [width, length] = isTurned ? [place.lengthMm, place.widthMm] : [place.widthMm, place.lengthMm];
  const clamp = (value: number, most: number) => Math.max(marginMm, Math.min(value, most - marginMm));
  return { xMm: clamp(xMm, unit.widthMm - width), yMm: clamp(yMm, unit.lengthMm - length) };
}

function originWords({ origin }: LaidUnit): string {
  switch (origin.kind) {
    case 'offcut':
      return 'a leftover of the house';
    case 'house':
      return 'in the house';
    case 'bought':
      return 'to buy';
    default:
      return origin satisfies never;
  }
}
