import type { FindRow } from '@core/model/rows';
import { discountsOn } from '@core/pricing/discountPattern';
import { patternWords } from '@core/sourcing/patternWords';
import { useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { usePhotoQueue } from '../../../app/photoQueue';
import { useLocale, useRows } from '../../../app/projectStore';
import { SourceField } from '../../../app/SourceField';
import shell from '../../../app/shell.module.css';
import { shopOfDay, standAt } from '../../../app/shopOfDay';
import { useToday } from '../../../app/today';
import { Input } from '../../../ui/input';
import { later } from '../../../ui/later';
import { HuntNav } from '../HuntNav';
import { CardPhoto } from './CardPhoto';
import styles from './card.module.css';
import { type CardDraft, dropDraft, emptyDraft, isNamedOn, loadDraft, saveDraft } from './cardDraft';
import { SeenBefore, ThinkAgain } from './SeenBefore';

const CardAnswer = later(
  async () => (await import('./CardAnswer')).CardAnswer,
  ({ draft, known }) => isNamedOn(draft, known !== null) && <p className="muted">Working out the verdict …</p>,
);

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
  const { timeZone } = useLocale();
  const projectId = rows.project.id;
  const [draft, setDraft] = useState<CardDraft>(() => loadDraft(projectId, known));
  const [shopId, setShopId] = useState(() => (known ? known.sourceId : shopOfDay(projectId)));
  const [photo, setPhoto] = useState<File | null>(null);
  const photos = usePhotoQueue('find');
  const input = useRef<HTMLInputElement>(null);
  const today = useToday(timeZone);
  const source = rows.sources.find(({ id }) => id === shopId) ?? null;
  const set = (change: Partial<CardDraft>) =>
    setDraft((before) => {
      const next = { ...before, ...change };
      saveDraft(projectId, known?.id ?? null, next);
      return next;
    });
  const pickShop = (id: string | null) => {
    setShopId(id);
    if (!known) standAt(projectId, id);
  };
  const decided = (findId: string) => {
    if (photo) void photos.add([photo], findId);
    setPhoto(null);
    dropDraft(projectId, known?.id ?? null);
    if (known) return props.onNew();
    setDraft(emptyDraft());
    input.current?.focus();
    window.scrollTo({ top: 0 });
  };
  const isNamed = isNamedOn(draft, known !== null);
  const inForce = source ? discountsOn(source.patterns, today) : [];
  return (
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
      {/* The piece can be named before what judges it is there. */}
      <CardAnswer draft={draft} known={known} source={source} today={today} onChange={set} onDecided={decided} />
    </div>
  );
}
