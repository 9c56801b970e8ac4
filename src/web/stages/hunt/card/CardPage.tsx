import { localDate } from '@core/calendar/zonedTime';
import { Memo } from '@core/kernel/memo';
import type { FindRow } from '@core/model/rows';
import { discountsOn } from '@core/pricing/discountPattern';
import { cardsByUse } from '@core/proposals/cardsByUse';
import { readWish } from '@core/recipe/wish';
import { type CardWay, decisionCard } from '@core/sourcing/decisionCard';
import { patternWords } from '@core/sourcing/patternWords';
import { saidTagColor } from '@core/sourcing/saidTagColor';
import { Input } from 'antd';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { usePhotoQueue } from '../../../app/photoQueue';
import { useCommands, useLocale, usePlan, useRows } from '../../../app/projectStore';
import { SourceField } from '../../../app/SourceField';
import shell from '../../../app/shell.module.css';
import { shopOfDay, standAt } from '../../../app/shopOfDay';
import { HuntNav } from '../HuntNav';
import { CardPhoto } from './CardPhoto';
import styles from './card.module.css';
import { type CardDraft, dropDraft, emptyDraft, findOnCard, loadDraft, saveDraft } from './cardDraft';
import { DecideBar, type Verdict as Decision, type Said } from './DecideBar';
import { Flaws } from './Flaws';
import { PriceRow } from './PriceRow';
import { SeenBefore, ThinkAgain } from './SeenBefore';
import { SlotRow, Verdict, Ways } from './Verdict';
import { What } from './What';

const noWish = readWish('', []);

/** The decision in the shop: from the tag to a verdict, one piece after the other; over something new, or seen before. */
export function CardPage() {
  const rows = useRows();
  const [search, setSearch] = useSearchParams();
  const wanted = search.get('find');
  const find = rows.finds.find(({ id }) => id === wanted) ?? null;
  const known = find && (find.state === 'seen' || find.state === 'passed') ? find : null;
  return (
    <main className={shell.page}>
      <HuntNav />
      {wanted !== null && !known && (
        <p role="status">
          {find ? (
            <>
              {find.name} is bought or ours already:{' '}
              <Link to={`/p/${rows.project.id}/hunt?find=${find.id}`}>its page</Link>.
            </>
          ) : (
            'That find is gone.'
          )}
        </p>
      )}
      <Card
        key={known?.id ?? 'new'}
        known={known}
        onOpen={(id) => setSearch({ find: id })}
        onNew={() => setSearch({}, { replace: true })}
      />
    </main>
  );
}

function Card(props: { known: FindRow | null; onOpen: (id: string) => void; onNew: () => void }) {
  const { known } = props;
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const projectId = rows.project.id;
  const [draft, setDraft] = useState<CardDraft>(() => loadDraft(projectId, known));
  const [shopId, setShopId] = useState(() => (known ? known.sourceId : shopOfDay(projectId)));
  const [memo] = useState(() => new Memo());
  const [idFor] = useState(keptIds);
  const [photo, setPhoto] = useState<File | null>(null);
  const photos = usePhotoQueue('find');
  const input = useRef<HTMLInputElement>(null);
  const today = localDate(plan.asOfMs, locale.timeZone);
  const source = rows.sources.find(({ id }) => id === shopId) ?? null;
  const set = (change: Partial<CardDraft>) =>
    setDraft((before) => {
      const next = { ...before, ...change };
      saveDraft(projectId, known?.id ?? null, next);
      return next;
    });
  const { find, chips, isNamed, said } = useMemo(() => {
    const seenAt = rows.sources.find(({ id }) => id === known?.sourceId) ?? null;
    return findOnCard(draft, known && { find: known, seenAt }, source, today, locale);
  }, [draft, known, rows.sources, source, today, locale]);
  // Typing stays quick; the verdict follows.
  const asked = useDeferredValue(find);
  const slotId = draft.slotId;
  const card = useMemo(() => {
    if (!isNamed) return null;
    let made = 0;
    const findId = asked.id;
    return decisionCard(
      plan,
      {
        find: asked,
        slotId,
        wish: noWish,
        colorCard: cardsByUse(plan.rows)[0] ?? null,
        newId: () => idFor(`${findId} ${made++}`),
      },
      memo,
    );
  }, [plan, asked, slotId, isNamed, memo, idFor]);
  const way: CardWay | null = card?.ways.find(({ kind }) => kind === draft.way) ?? card?.best ?? null;
  const pickShop = (id: string | null) => {
    setShopId(id);
    if (!known) standAt(projectId, id);
  };
  const decide = (verdict: Decision, words: Said) => {
    if (!card) return;
    const open = card.slot && card.fits.find(({ slot }) => slot.id === card.slot?.id)?.open;
    const count = Math.min(open ?? 0, way?.plan.capacity ?? 0);
    const isChosen = verdict === 'buy' && card.slot !== null && way !== null && !way.plan.refused && count > 0;
    run('decideFind', {
      verdict,
      find: { ...find, ...words, because: words.because === '' ? find.because : words.because },
      ways: verdict === 'pass' ? [] : card.ways.filter(({ isKept }) => !isKept).map(keptRows),
      choice:
        isChosen && card.slot
          ? { slotId: card.slot.id, optionId: way.option.id, count, fillId: crypto.randomUUID() }
          : null,
      payment:
        verdict === 'buy'
          ? {
              how: 'payment',
              paid: card.till.likely,
              atLeast: card.till.atLeast,
              ledgerId: crypto.randomUUID(),
              reversalId: crypto.randomUUID(),
              atMs: Date.now(),
            }
          : null,
    });
    if (photo) void photos.add([photo], find.id);
    setPhoto(null);
    dropDraft(projectId, known?.id ?? null);
    if (known) return props.onNew();
    setDraft(emptyDraft());
    input.current?.focus();
    window.scrollTo({ top: 0 });
  };
  // The color of a tag that the shop marks down by is understood: the price says so.
  const patterns = source?.patterns ?? [];
  const noted = said.flatMap(({ as, text }) =>
    as === null && saidTagColor(text, patterns) === null ? [text.trim()] : [],
  );
  const inForce = source ? discountsOn(source.patterns, today) : [];
  return (
    <>
      <div className={styles.card}>
        {known && <SeenBefore find={known} today={today} onNew={props.onNew} />}
        <div className={styles.shop}>
          <SourceField label="Where are you" value={source?.id ?? null} onCommit={pickShop} />
          <CardPhoto photo={photo} onPick={setPhoto} />
        </div>
        {inForce.length > 0 && (
          <p className={`${styles.today} small`}>
            Today: {inForce.map(({ pattern }) => patternWords(pattern, today)).join(' · ')}
          </p>
        )}
        <Input
          ref={(element) => {
            input.current = element?.input ?? null;
          }}
          size="large"
          aria-label={known ? 'What its tag says now' : 'What is it, and its tag'}
          placeholder={known ? 'as noted; or what its tag says now, $18' : 'nightstand, pine, $24'}
          value={draft.line}
          onChange={(event) => set({ line: event.target.value })}
          autoComplete="off"
          enterKeyHint="done"
          onPressEnter={() => input.current?.blur()}
        />
        {!isNamed && (
          <p className="muted">
            Say what it is and what its tag says: the verdict stands here at once. Then buy, think or pass, and the next
            piece.
          </p>
        )}
        {!isNamed && <ThinkAgain sourceId={shopId} today={today} onOpen={props.onOpen} />}
        {isNamed && noted.length > 0 && <p className="small muted">noted: {noted.join(', ')}</p>}
        {isNamed && card && (
          <div className={styles.body}>
            <div>
              <PriceRow story={find.story} till={card.till} chips={chips} draft={draft} today={today} onChange={set} />
              <What find={find} onChange={(over) => set({ over: { ...draft.over, ...over } })} />
            </div>
            <div className={styles.flaws}>
              <Flaws find={find} onChange={(inspected) => set({ over: { ...draft.over, inspected } })} />
            </div>
            <div className={styles.answer}>
              <SlotRow card={card} find={find} onPick={(id) => set({ slotId: id })} />
              <Ways card={card} picked={way} onPick={(kind) => set({ way: kind })} />
              <Verdict card={card} way={way} />
            </div>
          </div>
        )}
      </div>
      <DecideBar card={card} way={way} today={today} reason={draft.reason} onDecide={decide} />
    </>
  );
}

const keptRows = ({ option, recipe, colorCard }: CardWay) => ({ option, recipe, colorCard });

/** Ids for what is proposed: the same again each time it is computed, so that nothing is drawn anew. */
function keptIds(): (key: string) => string {
  const ids = new Map<string, string>();
  return (key) => {
    const id = ids.get(key) ?? crypto.randomUUID();
    ids.set(key, id);
    return id;
  };
}
