import { Memo } from '@core/kernel/memo';
import type { FindRow, SourceRow } from '@core/model/rows';
import { cardsByUse } from '@core/proposals/cardsByUse';
import { readWish } from '@core/recipe/wish';
import { type CardWay, decisionCard } from '@core/sourcing/decisionCard';
import { saidTagColor } from '@core/sourcing/saidTagColor';
import { useDeferredValue, useMemo, useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../../app/projectStore';
import styles from './card.module.css';
import type { CardDraft } from './cardDraft';
import { DecideBar, type Verdict as Decision, type Said } from './DecideBar';
import { Flaws } from './Flaws';
import { findOnCard } from './findOnCard';
import { PriceRow } from './PriceRow';
import { SlotRow, Verdict, Ways } from './Verdict';
import { What } from './What';

const noWish = readWish('', []);

/** What the card says of the piece on it, and what is decided. */
export function CardAnswer(props: {
  draft: CardDraft;
  /** The find that the card lies over; null for something new. */
  known: FindRow | null;
  source: SourceRow | null;
  today: string;
  onChange: (change: Partial<CardDraft>) => void;
  /** The piece is decided, under this id. */
  onDecided: (findId: string) => void;
}) {
  const { draft, known, source, today, onChange } = props;
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const [memo] = useState(() => new Memo());
  const [idFor] = useState(keptIds);
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
    props.onDecided(find.id);
  };
  // The color of a tag that the shop marks down by is understood: the price says so.
  const patterns = source?.patterns ?? [];
  const noted = said.flatMap(({ as, text }) =>
    as === null && saidTagColor(text, patterns) === null ? [text.trim()] : [],
  );
  return (
    <>
      {isNamed && noted.length > 0 && <p className="small muted">noted: {noted.join(', ')}</p>}
      {isNamed && card && (
        <div className={styles.body}>
          <div>
            <PriceRow
              story={find.story}
              till={card.till}
              chips={chips}
              draft={draft}
              today={today}
              onChange={onChange}
            />
            <What find={find} onChange={(over) => onChange({ over: { ...draft.over, ...over } })} />
          </div>
          <div className={styles.flaws}>
            <Flaws find={find} onChange={(inspected) => onChange({ over: { ...draft.over, inspected } })} />
          </div>
          <div className={styles.answer}>
            <SlotRow card={card} find={find} onPick={(id) => onChange({ slotId: id })} />
            <Ways card={card} picked={way} onPick={(kind) => onChange({ way: kind })} />
            <Verdict card={card} way={way} />
          </div>
        </div>
      )}
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
