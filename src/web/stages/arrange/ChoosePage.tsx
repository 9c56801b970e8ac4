import { lookCost } from '@core/arrange/look/lookCost';
import { lookThings } from '@core/arrange/look/lookThings';
import { looksOf } from '@core/arrange/lookChecks/lookFacts';
import { formatMoney } from '@core/kernel/formatMoney';
import type { LookRow } from '@core/model/rows';
import { Button } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { fileName, saveBlob } from '../../app/saveFile';
import shell from '../../app/shell.module.css';
import { BigChoice, Empty, LinkButton } from '../../ui/basics';
import { Choice } from '../../ui/Choice';
import { TextField } from '../../ui/fields';
import { Input } from '../../ui/input';
import { choiceImage } from './choiceImage';
import styles from './choose.module.css';
import { LookPicture } from './LookPicture';

/** Two looks side by side for somebody else to choose: on paper or over the shoulder; the answer is noted by hand. */
export function ChoosePage() {
  const rows = useRows();
  const plan = usePlan();
  const { run } = useCommands();
  const { currency } = useLocale();
  const [search, setSearch] = useSearchParams();
  const [problem, setProblem] = useState('');
  const pictures = useRef(new Map<string, SVGSVGElement>());
  const spot = rows.spots.find(({ id }) => id === search.get('spot')) ?? null;
  const looks = spot ? looksOf(plan, spot.id) : [];
  const find = (key: string, other: number) => looks.find(({ id }) => id === search.get(key)) ?? looks[other] ?? null;
  const [a, b] = [find('a', 0), find('b', 1)];
  const shown = useMemo(() => {
    const all = plan.rows.looks.map((row) => lookThings(plan, row));
    return [a, b].flatMap((look) => {
      if (!look) return [];
      const things = lookThings(plan, look);
      return [{ look, things, cost: lookCost(plan, things, all) }];
    });
  }, [plan, a, b]);
  if (!spot || !a || !b || a.id === b.id)
    return (
      <main className={shell.page}>
        <h1>Which of the two?</h1>
        <Empty title="Two looks of a spot are needed">
          <p>Copy a look, change what is in question, and show both to whoever has a say.</p>
          <LinkButton to="../arrange" primary>
            To the looks
          </LinkButton>
        </Empty>
      </main>
    );
  const facts = ({ things, cost }: (typeof shown)[number]) =>
    `${things.length === 1 ? 'One piece' : `${things.length} pieces`}, ${formatMoney(cost.shared, currency)}${cost.open > 0 ? `, ${cost.open} not found yet` : ''}`;
  const titleOf = (look: LookRow, n: number) => `${n === 0 ? 'A' : 'B'}: ${look.name}`;
  const savePicture = async () => {
    setProblem('');
    try {
      const two = shown.flatMap((one, n) => {
        const svg = pictures.current.get(one.look.id);
        return svg ? [{ svg, title: titleOf(one.look, n), facts: facts(one), note: one.look.note }] : [];
      });
      const heading = `${rows.project.name}, ${spot.name}: which of the two?`;
      saveBlob(`${fileName(`${spot.name} ${a.name} or ${b.name}`)}.png`, await choiceImage(heading, two));
    } catch {
      setProblem('The picture could not be made here. Print the sheet instead, or try again.');
    }
  };
  const set = (key: string, id: string) => setSearch({ spot: spot.id, a: a.id, b: b.id, [key]: id });
  return (
    <main className={shell.page}>
      <div className={styles.head}>
        <h1>Which of the two?</h1>
        <p>
          {rows.project.name}, {spot.name}
        </p>
        <span className={styles.noPrint}>
          <Button onClick={() => window.print()}>Print the sheet</Button>{' '}
          <Button onClick={() => void savePicture()}>Save it as a picture</Button>{' '}
          <Link to={`../arrange?${new URLSearchParams({ spot: spot.id, look: a.id })}`}>Back to the looks</Link>
        </span>
      </div>
      {problem && <p role="alert">{problem}</p>}
      <div className={styles.two}>
        {shown.map((one, n) => {
          const { look, things } = one;
          return (
            <section key={look.id} className={styles.one} aria-label={look.name}>
              <h2>{titleOf(look, n)}</h2>
              {looks.length > 2 && (
                <div className={styles.noPrint}>
                  <Choice
                    label={n === 0 ? 'Left' : 'Right'}
                    value={look.id}
                    options={looks.map((entry) => ({ value: entry.id, label: entry.name }))}
                    onChange={(id) => set(n === 0 ? 'a' : 'b', id)}
                  />
                </div>
              )}
              <LookPicture
                spot={spot}
                things={things}
                label={`${look.name}, to scale`}
                className={styles.picture}
                svgRef={(svg) => {
                  if (svg) pictures.current.set(look.id, svg);
                  else pictures.current.delete(look.id);
                }}
              />
              <p className={styles.cost}>{facts(one)}</p>
              <p className={styles.onPaper}>{look.note}</p>
              <div className={styles.noPrint}>
                <TextField
                  label={`What to say of ${look.name}`}
                  value={look.note}
                  most={1000}
                  onCommit={(note) => run('editLook', { id: look.id, values: { note } })}
                />
              </div>
              <p className={styles.tick}>☐ this one</p>
              <Votes look={look} />
            </section>
          );
        })}
      </div>
      <NoteVote a={a} b={b} />
    </main>
  );
}

/** What others have said of a look. */
function Votes(props: { look: LookRow }) {
  const { look } = props;
  const { run } = useCommands();
  if (look.votes.length === 0) return null;
  return (
    <ul className={`${styles.votes} ${styles.noPrint}`} aria-label={`Who said what of ${look.name}`}>
      {look.votes.map(({ by, isFor, note }, n) => (
        <li key={n}>
          <b>{by}</b> {isFor ? 'takes it' : 'takes the other'}
          {note === '' ? '' : `: “${note}”`}
          <Button
            type="text"
            size="small"
            aria-label={`Remove what ${by} said`}
            onClick={() => run('editLook', { id: look.id, values: { votes: look.votes.filter((_, k) => k !== n) } })}
          >
            ×
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** Notes by hand what somebody answered. */
function NoteVote(props: { a: LookRow; b: LookRow }) {
  const { a, b } = props;
  const { run } = useCommands();
  const [by, setBy] = useState('');
  const [note, setNote] = useState('');
  const [choice, setChoice] = useState<'a' | 'b' | null>(null);
  const taken = choice === 'a' ? a : b;
  const isReady = by.trim() !== '' && choice !== null;
  const keep = () => {
    if (!isReady) return;
    run('editLook', {
      id: taken.id,
      values: { votes: [...taken.votes, { by: by.trim(), isFor: true, note: note.trim() }] },
    });
    setBy('');
    setNote('');
    setChoice(null);
  };
  return (
    <section className={`${styles.note} ${styles.noPrint}`} aria-label="Note an answer">
      <h3>Note an answer</h3>
      <Input
        aria-label="Who"
        placeholder="Who"
        value={by}
        onChange={(event) => setBy(event.target.value)}
        maxLength={80}
      />
      <BigChoice
        label="Takes"
        value={choice}
        across={2}
        choices={[
          { value: 'a', title: a.name },
          { value: 'b', title: b.name },
        ]}
        onChange={setChoice}
      />
      <Input
        aria-label="What was said"
        placeholder="What was said"
        value={note}
        onChange={(event) => setNote(event.target.value)}
        onPressEnter={keep}
        maxLength={400}
      />
      <Button type="primary" onClick={keep} disabled={!isReady}>
        Note it
      </Button>
    </section>
  );
}
