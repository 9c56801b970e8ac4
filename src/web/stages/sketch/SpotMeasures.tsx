import { hasRow, LEAST_GAP_MM } from '@core/arrange/checks/widthsInRow';
import { boardsToMark } from '@core/catalog/spotBoards';
import { featureKinds, spotFeatures } from '@core/catalog/spotFeatures.data';
import { spotKindOf, spotKinds } from '@core/catalog/spotKinds';
import { formatLength } from '@core/kernel/formatLength';
import type { SpotFeature, SpotRow } from '@core/model/rows';
import { Button, Checkbox } from 'antd';
import { useCommands, useLocale } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { LengthField, NumberField, TextField } from '../../ui/fields';
import styles from './sketch.module.css';

/** What a spot measures, by its kind; what nobody measured is drawn as usual. */
export function SpotMeasures(props: { spot: SpotRow }) {
  const { run } = useCommands();
  const locale = useLocale();
  const { spot } = props;
  const kind = spotKindOf(spot.kind);
  const set = (values: Partial<Omit<SpotRow, 'id' | 'version'>>) => run('editSpot', { id: spot.id, values });
  const asked = [
    ['widthMm', kind.asks.width],
    ['depthMm', kind.asks.depth],
    ['heightMm', kind.asks.height],
  ] as const;
  return (
    <>
      <div className={styles.measures}>
        <TextField label="Spot" value={spot.name} least={1} onCommit={(name) => set({ name })} />
        <Choice
          label="Kind"
          value={kind.id}
          options={spotKinds.all.map((entry) => ({ value: entry.id, label: entry.name }))}
          onChange={(id) => set({ kind: id, measures: {} })}
        />
        {asked.map(([field, label]) =>
          label === null ? null : (
            <LengthField
              key={field}
              label={label}
              value={spot[field]}
              nullable
              units={locale.units}
              onCommit={(value) => set({ [field]: value })}
            />
          ),
        )}
        {kind.measures.map((measure) => {
          const value = spot.measures[measure.id] ?? null;
          const commit = (next: number | null) => {
            const { [measure.id]: _gone, ...rest } = spot.measures;
            set({ measures: next === null ? rest : { ...rest, [measure.id]: next } });
          };
          return measure.kind === 'length' ? (
            <LengthField
              key={measure.id}
              label={measure.label}
              value={value}
              nullable
              zero
              units={locale.units}
              onCommit={commit}
            />
          ) : (
            <NumberField
              key={measure.id}
              label={measure.label}
              value={value}
              nullable
              least={measure.minimum}
              most={measure.maximum}
              whole
              hint={value === null ? `usual: ${measure.standard}` : undefined}
              onCommit={commit}
            />
          );
        })}
        {hasRow(kind.id) && (
          <LengthField
            label="Air between two things"
            value={spot.gapMm}
            nullable
            zero
            units={locale.units}
            hint={spot.gapMm === null ? `usual: ${formatLength(LEAST_GAP_MM, locale.units)}` : undefined}
            onCommit={(gapMm) => set({ gapMm })}
          />
        )}
      </div>
      <p className={styles.hint}>{kind.hint}</p>
    </>
  );
}

/** Doors, sockets and obstacles, and the clearing and cleaning that belongs to the spot. */
export function PlaceDetails(props: { spot: SpotRow }) {
  const { run } = useCommands();
  const locale = useLocale();
  const { spot } = props;
  const setFeatures = (features: SpotFeature[]) => run('editSpot', { id: spot.id, values: { features } });
  const setTasks = (tasks: SpotRow['tasks']) => run('editSpot', { id: spot.id, values: { tasks } });
  const feature = (id: string, change: Partial<SpotFeature>) =>
    setFeatures(spot.features.map((entry) => (entry.id === id ? { ...entry, ...change } : entry)));
  const task = (id: string, change: Partial<SpotRow['tasks'][number]>) =>
    setTasks(spot.tasks.map((entry) => (entry.id === id ? { ...entry, ...change } : entry)));
  const drying = spot.tasks.filter((entry) => !entry.done);
  return (
    <div className={styles.details}>
      <details>
        <summary>
          Doors, sockets, obstacles, boards {spot.features.length > 0 ? `(${spot.features.length})` : ''}
        </summary>
        {spot.features.map((entry) => (
          <fieldset key={entry.id} className={styles.feature} aria-label={entry.name || spotFeatures[entry.kind].name}>
            <Choice
              label="What"
              value={entry.kind}
              options={featureKinds.map((value) => ({ value, label: spotFeatures[value].name }))}
              onChange={(kind) => feature(entry.id, { kind })}
            />
            <TextField label="Called" value={entry.name} most={80} onCommit={(name) => feature(entry.id, { name })} />
            <LengthField
              label="From the left"
              value={entry.xMm}
              zero
              units={locale.units}
              onCommit={(xMm) => feature(entry.id, { xMm })}
            />
            <LengthField
              label="Up"
              value={entry.yMm}
              zero
              units={locale.units}
              onCommit={(yMm) => feature(entry.id, { yMm })}
            />
            <LengthField
              label="Width"
              value={entry.widthMm}
              units={locale.units}
              onCommit={(widthMm) => feature(entry.id, { widthMm })}
            />
            <LengthField
              label="Height"
              value={entry.heightMm}
              units={locale.units}
              onCommit={(heightMm) => feature(entry.id, { heightMm })}
            />
            <Button
              type="text"
              size="small"
              aria-label={`Remove ${entry.name || spotFeatures[entry.kind].name}`}
              onClick={() => setFeatures(spot.features.filter((other) => other.id !== entry.id))}
            >
              ×
            </Button>
          </fieldset>
        ))}
        <p>
          {featureKinds.map((kind) => (
            <Button
              key={kind}
              size="small"
              onClick={() =>
                setFeatures([
                  ...spot.features,
                  ...(kind === 'board'
                    ? boardsToMark(spot, () => crypto.randomUUID())
                    : [{ id: crypto.randomUUID(), kind, name: '', xMm: 0, yMm: 0, ...spotFeatures[kind].usual }]),
                ])
              }
            >
              + {spotFeatures[kind].name}
            </Button>
          ))}
        </p>
      </details>
      <details>
        <summary>
          Clear and clean first{' '}
          {spot.tasks.length > 0 ? `(${spot.tasks.length - drying.length} of ${spot.tasks.length} done)` : ''}
        </summary>
        {spot.tasks.map((entry) => (
          <fieldset key={entry.id} className={styles.task} aria-label={entry.name}>
            <Checkbox
              checked={entry.done}
              onChange={(event) => task(entry.id, { done: event.target.checked })}
              aria-label={`${entry.name}, done`}
            />
            <TextField label="Task" value={entry.name} least={1} onCommit={(name) => task(entry.id, { name })} />
            <NumberField
              label="Minutes"
              value={entry.minutes}
              least={0}
              most={6000}
              whole
              onCommit={(minutes) => task(entry.id, { minutes })}
            />
            <NumberField
              label="Dries, hours"
              value={entry.dryHours}
              least={0}
              most={720}
              onCommit={(dryHours) => task(entry.id, { dryHours })}
            />
            <Button
              type="text"
              size="small"
              aria-label={`Remove ${entry.name}`}
              onClick={() => setTasks(spot.tasks.filter((other) => other.id !== entry.id))}
            >
              ×
            </Button>
          </fieldset>
        ))}
        <p>
          {[
            ['Clear everything off', 15, 0],
            ['Wash the surface', 20, 1],
            ['Shampoo the carpet', 60, 12],
            ['Scrub and seal the grout', 60, 24],
          ].map(([name, minutes, dryHours]) => (
            <Button
              key={String(name)}
              size="small"
              onClick={() =>
                setTasks([
                  ...spot.tasks,
                  {
                    id: crypto.randomUUID(),
                    name: String(name),
                    minutes: Number(minutes),
                    dryHours: Number(dryHours),
                    done: false,
                  },
                ])
              }
            >
              + {String(name).toLowerCase()}
            </Button>
          ))}
        </p>
      </details>
    </div>
  );
}
