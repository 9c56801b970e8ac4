import { hangingHeightMm } from '@core/arrange/hanging/hangingHeight';
import { baseHeightMm, isSeenFromAbove, levelUnder, lookRoom, namedLevels } from '@core/arrange/look/lookRoom';
import { lookThings } from '@core/arrange/look/lookThings';
import type { Place } from '@core/arrange/look/settle';
import type { LookRow, SpotRow } from '@core/model/rows';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useCommands, usePlan } from '../../app/projectStore';
import { Segments } from '../../ui/basics';
import { Choice } from '../../ui/Choice';
import { later } from '../../ui/later';
import styles from './arrange.module.css';
import { Changes } from './Changes';
import { LookBar } from './LookBar';
import { LookCanvas } from './LookCanvas';
import { Tray } from './Tray';

// What knows the rules, how large things are and where they belong comes after the look itself.
const Checks = later(async () => (await import('./Checks')).Checks);
const ThingPanel = later(async () => (await import('./ThingPanel')).ThingPanel);
const AddThing = later(async () => (await import('./AddThing')).AddThing);

const NOTHING: readonly Place[] = [];
const NONE: ReadonlySet<string> = new Set();

/** One look: the spot to scale, what is said of it, what is in it and what could be. */
export function LookSheet(props: {
  spot: SpotRow;
  look: LookRow;
  looks: readonly LookRow[];
  onOpen: (lookId: string) => void;
}) {
  const { spot, look } = props;
  const plan = usePlan();
  const { run } = useCommands();
  const planned = isSeenFromAbove(spot);
  const [isAbove, setIsAbove] = useState(planned);
  const [levelMm, setLevelMm] = useState(0);
  const [isPresent, setIsPresent] = useState(false);
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const [held, setHeld] = useState<readonly Place[]>(NOTHING);
  const [troubled, setTroubled] = useState(NONE);
  const things = useMemo(() => lookThings(plan, look), [plan, look]);
  const selected = things.find(({ id }) => id === selectedId) ?? null;
  const baseMm = baseHeightMm(spot);
  const room = lookRoom(spot);
  const levels = namedLevels(spot);
  const shown = isAbove ? things.filter(({ box }) => levelUnder(room, box) === levelMm) : things;
  // From above one board is seen at a time: the one of what is looked at.
  const select = (id: string | null) => {
    setSelectedId(id);
    const found = things.find((thing) => thing.id === id);
    if (found) setLevelMm(levelUnder(room, found.box));
  };
  const takeAway = (ids: readonly string[]) => {
    run('takeAway', { ids: [...ids] });
    setSelectedId(null);
  };
  return (
    <div className={styles.work}>
      <div className={styles.main}>
        <div className={styles.views}>
          <LookBar spot={spot} looks={props.looks} look={look} onOpen={props.onOpen} />
          <span className={styles.toggles}>
            <Segments
              label="Seen from"
              value={isAbove ? 'above' : 'front'}
              options={[
                { value: 'front', label: 'Front' },
                { value: 'above', label: 'From above' },
              ]}
              onChange={(value) => setIsAbove(value === 'above')}
            />
            <Segments
              label="Colors"
              value={isPresent ? 'now' : 'done'}
              options={[
                { value: 'done', label: 'As it will be' },
                { value: 'now', label: 'As it is' },
              ]}
              onChange={(value) => setIsPresent(value === 'now')}
            />
          </span>
        </div>
        {isAbove && levels.length > 1 && (
          <Choice
            label="Which board"
            value={String(levelMm)}
            options={levels.map(({ footMm, name }) => ({ value: String(footMm), label: name }))}
            onChange={(mm) => setLevelMm(Number(mm))}
            width={220}
          />
        )}
        <div className={styles.frame}>
          <LookCanvas
            spot={spot}
            things={shown}
            isAbove={isAbove}
            isPresent={isPresent}
            baseMm={baseMm}
            selectedId={selectedId}
            troubledIds={troubled}
            heights={[hangingHeightMm - baseMm]}
            onSelect={select}
            onPlaces={(places) => run('movePieces', { places: [...places] })}
            onRemove={(id) => takeAway([id])}
            onHeld={setHeld}
          />
        </div>
        <Tray things={things} selectedId={selectedId} onSelect={select} />
        {things.length > 0 && (
          <p className={styles.toLadder}>
            {things.some(({ placement }) => placement.stance === 'hangs') && (
              <Link to={`hang?look=${look.id}`}>Where the nails go: the sheet for the ladder</Link>
            )}
            {props.looks.length > 1 && (
              <Link
                to={`choose?${new URLSearchParams({ spot: spot.id, a: look.id, b: (props.looks.find(({ id }) => id !== look.id) ?? look).id })}`}
              >
                Two looks for somebody to choose
              </Link>
            )}
            {!planned && <Link to={`photo?look=${look.id}`}>See it in the room’s picture</Link>}
          </p>
        )}
        <Changes look={look} things={things} />
      </div>
      <aside className={styles.aside} aria-label="About this look">
        {selected && (
          <ThingPanel
            key={selected.id}
            thing={selected}
            things={things}
            spot={spot}
            baseMm={baseMm}
            onTakeAway={() => takeAway([selected.id])}
            onClose={() => setSelectedId(null)}
          />
        )}
        <Checks look={look} things={things} held={held} onTroubled={setTroubled} onSelect={select} spot={spot} />
        <AddThing spot={spot} look={look} things={things} onAdded={setSelectedId} />
      </aside>
    </div>
  );
}
