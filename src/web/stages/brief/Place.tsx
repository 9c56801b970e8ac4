import { briefFeeds } from '@core/plan/briefFeeds';
import { leftBehind } from '@core/plan/leftBehind';
import { type Household, type PetKind, petKinds } from '@core/state/brief';
import { Checkbox } from 'antd';
import { Link } from 'react-router';
import { demands } from '../../app/demands';
import { useCommands, useLocale, usePlanIfThere, useRows } from '../../app/projectStore';
import { amountWords } from '../../app/words';
import { LengthField, NumberField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { ManyOf } from '../../ui/ManyOf';
import styles from './brief.module.css';

const petWords: Record<PetKind, string> = {
  cat: 'cat',
  dog: 'dog',
  bird: 'bird',
  smallAnimal: 'small animal',
  fish: 'fish',
};

/** Who lives there and what the place demands; each entry says which warnings it feeds, and how many now. */
export function Place() {
  const rows = useRows();
  const plan = usePlanIfThere();
  const { run } = useCommands();
  const { project } = rows;
  const { household } = project;
  const feeds = plan && briefFeeds(plan);
  const behind = plan ? leftBehind(plan) : [];
  const locale = useLocale();
  const set = (values: Partial<Household>) =>
    run('editProject', { id: project.id, values: { household: { ...household, ...values } } });
  const feed = (entry: keyof Household) =>
    feeds && feeds[entry] > 0 ? (
      <Link to="../compare" className={styles.feeds}>
        warns of {feeds[entry]} {feeds[entry] === 1 ? 'way' : 'ways'} now
      </Link>
    ) : null;
  return (
    <section className={styles.sheet} aria-label="Household and place">
      <h2>Household and place</h2>
      <SideBySide across={2}>
        <div>
          <NumberField
            label="Youngest child, years"
            value={household.youngestChildYears}
            nullable
            least={0}
            most={17}
            whole
            onCommit={(youngestChildYears) => set({ youngestChildYears })}
            hint="empty: no children; feeds lead, chewed surfaces, reach"
          />
          {feed('youngestChildYears')}
        </div>
        <div>
          <ManyOf
            label="Pets"
            values={household.pets}
            onChange={(pets) => set({ pets })}
            placeholder="none"
            options={petKinds.map((kind) => ({ value: kind, label: petWords[kind] }))}
            hint="feeds spraying and drying"
          />
          {feed('pets')}
        </div>
        <div>
          <LengthField
            label="A lamp’s cord reaches a socket within"
            value={household.cordReachMm}
            nullable
            units={project.units}
            onCommit={(cordReachMm) => set({ cordReachMm })}
            hint="empty: not measured; sockets and doors are drawn in the sketch"
          />
          {feed('cordReachMm')}
        </div>
      </SideBySide>
      <div className={styles.demands}>
        {demands.map(([entry, words, about]) => (
          <div key={entry}>
            <Checkbox
              checked={household[entry] === true}
              onChange={(event) => set({ [entry]: event.target.checked } as Partial<Household>)}
            >
              {words}
            </Checkbox>
            <span className="muted small">feeds: {about}</span> {feed(entry)}
          </div>
        ))}
      </div>
      {behind.length > 0 && (
        <div>
          <h3>What stays behind when you leave</h3>
          <ul className="small" aria-label="What stays behind">
            {behind.map((entry) => (
              <li key={`${entry.optionId} ${entry.piece}`}>
                {entry.piece} ({entry.slot}): {amountWords(entry.cash, locale)} spent on it
                {entry.agreed ? ', agreed' : ', consent not noted yet'}
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}
