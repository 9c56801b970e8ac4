import { perform } from '@core/acts/perform';
import { builds } from '@core/build';
import { type Build, isAskedFor } from '@core/build/build';
import { localDay } from '@core/calendar/zonedTime';
import { tools } from '@core/catalog/tools';
import { Memo } from '@core/kernel/memo';
import type { SlotRow } from '@core/model/rows';
import { Plan } from '@core/plan/computePlan';
import { Button } from 'antd';
import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import { chipFace } from '../../app/chipFace';
import { makeOption } from '../../app/newOption';
import { useCommands, useLocale, usePlan } from '../../app/projectStore';
import { useGradually } from '../../app/useGradually';
import { amountWords } from '../../app/words';
import { SourceTag } from '../../ui/basics';
import { Input } from '../../ui/input';
import ui from '../../ui/ui.module.css';
import styles from './compare.module.css';

type Payload = ReturnType<typeof makeOption>;

const familyNames: Readonly<Record<Build['family'], string>> = {
  boards: 'From boards',
  cloth: 'From cloth',
  prints: 'Prints and frames',
  greenery: 'Greenery',
};

/** What the slot asks for by its name first, then all else by what it is made of. */
const groupsOf = (slotName: string): { title: string; holds: (build: Build) => boolean }[] => {
  const asked = slotName.toLowerCase();
  return [
    { title: `For “${slotName}”`, holds: (build) => isAskedFor(build, asked) },
    ...Object.entries(familyNames).map(([family, title]) => ({
      title,
      holds: (build: Build) => build.family === family && !isAskedFor(build, asked),
    })),
  ];
};

/** What can be made for a slot, each with its cash, hours and day in the plan; one press adds it to the board. */
export function MakeFromScratch(props: { slot: SlotRow; onTake: (payload: Payload) => void }) {
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const { slot } = props;
  const [said, setSaid] = useState('');
  const [memo] = useState(() => new Memo());
  const wanted = useDeferredValue(said.trim().toLowerCase());
  const asked = slot.name.toLowerCase();
  const known = useMemo(() => {
    const fits = builds.all.filter(
      (build) =>
        wanted === '' ||
        isAskedFor(build, wanted) ||
        [build.name, ...build.words].some((word) => word.toLowerCase().includes(wanted)),
    );
    // What the slot itself asks for is tried first, and stands first.
    return [...fits.filter((build) => isAskedFor(build, asked)), ...fits.filter((build) => !isAskedFor(build, asked))];
  }, [wanted, asked]);
  // Each is tried out on the whole plan: a few at a time.
  const tryOut = useCallback(
    (build: Build) => {
      const payload = makeOption(slot, build);
      const outcome = perform(plan.rows, 'addOption', payload);
      if (!outcome.ok) return null;
      const tried = new Plan(outcome.after, plan.asOfMs, memo, plan.model.cutter);
      const option = tried.option(payload.option.id);
      const toolIds = tried.model.recipe(payload.recipe.id)?.toolIds ?? [];
      return option ? { build, payload, option, missing: toolIds.filter((id) => !plan.model.tool(id).isOwned) } : null;
    },
    [slot, plan, memo],
  );
  const { made: ways, isDone } = useGradually(known, tryOut);
  const missing = [...new Set(ways.flatMap((way) => way.missing))];
  const today = localDay(plan.asOfMs, locale.timeZone);
  return (
    <>
      <label className={ui.field} htmlFor="make-what">
        <span>What would you make?</span>
        <Input
          id="make-what"
          aria-label="What would you make?"
          value={said}
          onChange={(event) => setSaid(event.target.value)}
          placeholder="shelf · tray · runner · wreath; empty: everything"
          autoComplete="off"
          autoFocus
        />
      </label>
      {known.length === 0 && (
        <p role="status" className="small">
          Nothing of that is known here. Known: {builds.all.map(({ name }) => name.toLowerCase()).join(', ')}.
        </p>
      )}
      {known.length > 0 && (
        // Always there, so that nothing moves under a finger when the last one is done.
        <p role="status" className="muted small">
          {isDone ? 'Each tried on the plan as it stands.' : 'Trying each on the plan …'}
        </p>
      )}
      {groupsOf(slot.name).map(({ title, holds }) => {
        const own = ways.filter(({ build }) => holds(build));
        return own.length === 0 ? null : (
          <div key={title}>
            <h3>{title}</h3>
            <ul className={styles.proposals} aria-label={title}>
              {own.map(({ build, payload, option }) => {
                const face = chipFace(option, locale, today);
                return (
                  <li key={build.id}>
                    <button
                      type="button"
                      style={{ '--edge': face.edge } as React.CSSProperties}
                      onClick={() => props.onTake(payload)}
                    >
                      <b>{build.name}</b>
                      <span>{[face.cash, face.stash, face.time].filter((word) => word !== '').join(' · ')}</span>
                      {face.tone !== null && <small>{face.remark}</small>}
                    </button>
                  </li>
                );
              })}
            </ul>
          </div>
        );
      })}
      {missing.length > 0 && (
        <ul className={styles.tools} aria-label="Tools to buy for it">
          {missing.map((id) => (
            <li key={id} className="small">
              {tools.get(id).name}: reckoned as to buy, {amountWords(plan.model.tool(id).price, locale)}{' '}
              <Button
                size="small"
                onClick={() =>
                  run('setTool', {
                    tool: { id: crypto.randomUUID(), version: 1, toolId: id, owned: true, wear: 'good' },
                  })
                }
              >
                I have it
              </Button>
            </li>
          ))}
        </ul>
      )}
      <p className="small">
        Of usual size, or as large as the slot asks for; sizes and materials are set afterwards.{' '}
        <SourceTag>estimated</SourceTag>
      </p>
    </>
  );
}
