import type { LookThing } from '@core/arrange/look/lookThing';
import { type Place, withPlaces } from '@core/arrange/look/settle';
import { type AlikeVerdict, alikeTogether } from '@core/arrange/lookChecks/alike';
import { checkLook, isOpen, type LookVerdict } from '@core/arrange/lookChecks/checkLook';
import { tellOf } from '@core/arrange/lookChecks/lookCheck';
import { lookFacts } from '@core/arrange/lookChecks/lookFacts';
import { sourceTag } from '@core/kernel/source';
import type { LookRow, SpotRow } from '@core/model/rows';
import { Button } from 'antd';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useCommands, useLocale, usePlan } from '../../app/projectStore';
import { Input } from '../../ui/input';
import styles from './arrange.module.css';
import { useFix } from './useFix';
import { useTakeOneAway } from './useTakeOneAway';

const stateWords = { holds: 'holds', note: 'note', lookAgain: 'look again', stop: 'stop' } as const;

/** What the rules say of the look, what asks for something first; each with ways out that one press takes. */
export function Checks(props: {
  spot: SpotRow;
  look: LookRow;
  things: readonly LookThing[];
  /** Where things are that are in the hand just now. */
  held: readonly Place[];
  /** Told of the things that a rule asks to look at again. */
  onTroubled: (ids: ReadonlySet<string>) => void;
  onSelect: (id: string) => void;
}) {
  const { spot, look, things, held, onTroubled } = props;
  const verdicts = useVerdicts(spot, look, things, held);
  const troubled = [...new Set(verdicts.filter(isOpen).flatMap(({ about }) => about))].sort().join(' ');
  // By their ids in one word, so that nothing is drawn anew while the same things are meant.
  useEffect(() => onTroubled(new Set(troubled === '' ? [] : troubled.split(' '))), [onTroubled, troubled]);
  const { run } = useCommands();
  const takeFix = useFix(look, things);
  const alike = alikeTogether(verdicts);
  const open = alike.filter(isOpen);
  const rest = alike.filter((verdict) => !isOpen(verdict));
  const away = useTakeOneAway(look, spot, things);
  if (things.length === 0) return null;
  const unset = (checkId: string) =>
    run('editLook', { id: look.id, values: { setAside: look.setAside.filter((entry) => entry.checkId !== checkId) } });
  return (
    <section aria-label="How it stands">
      <h3>How it stands</h3>
      {open.length > 0 && (
        <p className="small muted">
          {open.length === 1 ? 'One rule asks' : `${open.length} rules ask`} for another look.
        </p>
      )}
      {open.length === 0 && <p className="small muted">Nothing asks for another look.</p>}
      <ul className={styles.checks}>
        {open.map((verdict, n) => (
          <Verdict
            key={`${verdict.check.id}-${n}`}
            verdict={verdict}
            look={look}
            onFix={takeFix}
            onSelect={props.onSelect}
          />
        ))}
        {away && (
          <li className={styles.check}>
            <h4>Take one away?</h4>
            <p>
              Without {away.thing.name}{' '}
              {away.fewer > 0
                ? `${away.fewer === 1 ? 'one remark is' : `${away.fewer} remarks are`} gone`
                : 'no remark is gone'}
              ; the look then has {Math.round(away.air * 100)} % air.
            </p>
            <div className={styles.fixes}>
              <Button size="small" onClick={() => run('takeAway', { ids: [away.thing.id] })}>
                Try without
              </Button>
            </div>
          </li>
        )}
      </ul>
      {rest.length > 0 && (
        <details className={styles.rest} open={rest.some(({ setAside }) => setAside !== null)}>
          <summary>{heldWords(rest)}</summary>
          <ul className={styles.checks}>
            {rest.map((verdict, n) => (
              <Verdict
                key={`${verdict.check.id}-rest-${n}`}
                verdict={verdict}
                look={look}
                onFix={takeFix}
                onSelect={props.onSelect}
                onUnset={() => unset(verdict.check.id)}
              />
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

/** What the rules say of a look; of what is in the hand where it is now, as far as there is time between two moves. */
function useVerdicts(
  spot: SpotRow,
  look: LookRow,
  things: readonly LookThing[],
  held: readonly Place[],
): readonly LookVerdict[] {
  const plan = usePlan();
  const judgedPlaces = useDeferredValue(held);
  const facts = useMemo(() => lookFacts(plan, spot, things), [plan, spot, things]);
  const judged = useMemo(
    () =>
      judgedPlaces.length === 0 ? facts : { ...facts, things: withPlaces(things, judgedPlaces), wantsFixes: false },
    [facts, things, judgedPlaces],
  );
  return useMemo(() => checkLook(judged, look), [judged, look]);
}

/** How many rules hold, are only notes, or are set aside. */
function heldWords(rest: readonly AlikeVerdict[]): string {
  const count = (is: (verdict: AlikeVerdict) => boolean, one: string, many: string) => {
    const n = rest.filter(is).length;
    return n === 0 ? [] : [`${n} ${n === 1 ? one : many}`];
  };
  return [
    ...count(({ state, setAside }) => setAside === null && state === 'holds', 'rule holds', 'rules hold'),
    ...count(({ state, setAside }) => setAside === null && state === 'note', 'note', 'notes'),
    ...count(({ setAside }) => setAside !== null, 'set aside', 'set aside'),
  ].join(', ');
}

function Verdict(props: {
  verdict: AlikeVerdict;
  look: LookRow;
  onFix: (act: LookVerdict['fixes'][number]['act']) => void;
  onSelect: (id: string) => void;
  onUnset?: () => void;
}) {
  const { verdict, look } = props;
  const { check, state, setAside } = verdict;
  const locale = useLocale();
  const { run } = useCommands();
  const [reason, setReason] = useState<string | null>(null);
  const first = verdict.about[0];
  const isAsking = setAside === null && (state === 'lookAgain' || state === 'stop');
  const putAside = () => {
    if (reason === null || reason.trim() === '') return;
    run('editLook', {
      id: look.id,
      values: { setAside: [...look.setAside, { checkId: check.id, reason: reason.trim() }] },
    });
  };
  return (
    <li className={styles.check}>
      <h4>
        {verdict.count > 1 ? `${verdict.count} × ` : ''}
        {tellOf(check, verdict.title, locale)}
      </h4>
      <span className={`${styles.state} ${setAside === null ? styles[state] : ''}`}>
        {setAside === null ? stateWords[state] : 'set aside'}
      </span>
      <p>
        {tellOf(check, verdict.text, locale)}{' '}
        <small className="muted" title={check.name}>
          {check.school ? `${check.school}; ` : ''}
          {sourceTag(check.source)}
        </small>
      </p>
      {setAside !== null && (
        <p>
          “{setAside}”{' '}
          <Button size="small" type="text" onClick={props.onUnset}>
            Back in force
          </Button>
        </p>
      )}
      {isAsking && (
        <div className={styles.fixes}>
          {verdict.fixes.map((fix, n) => (
            <Button key={n} size="small" onClick={() => props.onFix(fix.act)}>
              {tellOf(check, fix.say, locale)}
            </Button>
          ))}
          {first !== undefined && (
            <Button size="small" type="text" onClick={() => props.onSelect(first)}>
              Show
            </Button>
          )}
          {!check.isCaution && reason === null && (
            <Button size="small" type="text" onClick={() => setReason('')}>
              Set aside
            </Button>
          )}
        </div>
      )}
      {isAsking && !check.isCaution && reason !== null && (
        <div className={styles.reason}>
          <Input
            aria-label="Reason"
            placeholder="Why does this rule not hold here?"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            onPressEnter={putAside}
            onKeyDown={(event) => event.key === 'Escape' && setReason(null)}
            maxLength={400}
            autoFocus
          />
          <Button type="primary" onClick={putAside} disabled={reason.trim() === ''}>
            Set aside
          </Button>
          <Button type="text" onClick={() => setReason(null)}>
            Cancel
          </Button>
        </div>
      )}
    </li>
  );
}
