import { hangingHeightMm } from '@core/arrange/hanging/hangingHeight';
import { baseHeightMm, isSeenFromAbove, levelUnder, lookRoom, namedLevels } from '@core/arrange/look/lookRoom';
import { lookThings } from '@core/arrange/look/lookThings';
import { type Place, withPlaces } from '@core/arrange/look/settle';
import { checkLook, isOpen } from '@core/arrange/lookChecks/checkLook';
import { lookFacts } from '@core/arrange/lookChecks/lookFacts';
import type { LookRow, SpotRow } from '@core/model/rows';
import { Segmented } from 'antd';
import { lazy, Suspense, useDeferredValue, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useCommands, usePlan } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import styles from './arrange.module.css';
import { Changes } from './Changes';
import { Checks } from './Checks';
import { LookBar } from './LookBar';
import { LookCanvas } from './LookCanvas';
import { Tray } from './Tray';

// What knows how large things are and where they belong comes after the look itself.
const ThingPanel = lazy(async () => ({ default: (await import('./ThingPanel')).ThingPanel }));
const AddThing = lazy(async () => ({ default: (await import('./AddThing')).AddThing }));

const NOTHING: readonly Place[] = [];

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
  const things = useMemo(() => lookThings(plan, look), [plan, look]);
  // What is in the hand is judged where it is now, as far as there is time between two moves.
  const judgedPlaces = useDeferredValue(held);
  const facts = useMemo(() => lookFacts(plan, spot, things), [plan, spot, things]);
  const judged = useMemo(
    () =>
      judgedPlaces.length === 0 ? facts : { ...facts, things: withPlaces(things, judgedPlaces), wantsFixes: false },
    [facts, things, judgedPlaces],
  );
  const verdicts = useMemo(() => checkLook(judged, look), [judged, look]);
  const troubled = useMemo(() => new Set(verdicts.filter(isOpen).flatMap(({ about }) => about)), [verdicts]);
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
            <Segmented
              aria-label="Seen from"
              value={isAbove ? 'above' : 'front'}
              options={[
                { value: 'front', label: 'Front' },
                { value: 'above', label: 'From above' },
              ]}
              onChange={(value) => setIsAbove(value === 'above')}
            />
            <Segmented
              aria-label="Colors"
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
          <Suspense fallback={null}>
            <ThingPanel
              key={selected.id}
              thing={selected}
              things={things}
              spot={spot}
              baseMm={baseMm}
              onTakeAway={() => takeAway([selected.id])}
              onClose={() => setSelectedId(null)}
            />
          </Suspense>
        )}
        <Checks look={look} things={things} verdicts={verdicts} onSelect={select} spot={spot} />
        <Suspense fallback={null}>
          <AddThing spot={spot} look={look} things={things} onAdded={setSelectedId} />
        </Suspense>
      </aside>
    </div>
  );
}
