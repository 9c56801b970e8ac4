import { sayDay } from '@core/calendar/sayDay';
import { localDate } from '@core/calendar/zonedTime';
import { sourceKinds } from '@core/catalog/sourceKinds';
import { type AdTrouble, readAdList } from '@core/formats/ads/read';
import { formatLength } from '@core/kernel/formatLength';
import { formatMoney } from '@core/kernel/formatMoney';
import type { AdRow } from '@core/model/rows';
import { newSource, sourceNamed } from '@core/plan/newSource';
import { adRow, findOfAd, type JudgedAd, judgedAds } from '@core/sourcing/ads';
import type { AdList } from '@core/sourcing/listedAd';
import { SIMULATED_FEED, simulatedAds } from '@core/sourcing/simulatedAds';
import { Button } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { distanceWords } from '../../app/words';
import { Empty, StitchedNumber } from '../../ui/basics';
import { fitWords } from './DoesItFit';
import { HuntNav } from './HuntNav';
import hunt from './hunt.module.css';

/** The seed of the simulated list: the same for all, so that two people see the same ads. */
const SEED = 20_260;
/** So many ads are drawn at once; more are a press away. */
const PAGE = 40;

/** Second-hand ads: read from a list, judged by the slots they answer, followed until their price falls. */
export function AdsPage() {
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const [troubles, setTroubles] = useState<readonly AdTrouble[]>([]);
  const [said, setSaid] = useState<string | null>(null);
  const [shown, setShown] = useState(PAGE);
  const today = localDate(plan.asOfMs, locale.timeZone);
  const judged = useMemo(() => judgedAds(plan, today, locale), [plan, today, locale]);
  const take = (list: AdList) => {
    const known = new Map(rows.ads.filter(({ feed }) => feed === list.feed).map((ad) => [ad.number, ad]));
    const ads = list.ads.map((ad) => adRow(crypto.randomUUID(), ad, list.feed, list.onDate));
    const priceOf = (ad: AdRow | undefined) => ad?.prices.at(-1)?.price ?? null;
    const fell = ads.filter((ad) => {
      const [now, last] = [priceOf(ad), priceOf(known.get(ad.number))];
      return now !== null && last !== null && now < last;
    }).length;
    const fresh = ads.filter(({ number }) => !known.has(number)).length;
    run('importAds', { feed: list.feed, ads });
    setSaid(`${ads.length} ads of “${list.feed}”: ${fresh} new, ${fell} cheaper than before.`);
  };
  const read = async (file: File) => {
    setSaid(null);
    const reading = readAdList(await file.text(), {
      feed: file.name.replace(/\.\w+$/, ''),
      onDate: today,
      currency: locale.currency,
    });
    setTroubles(reading.troubles);
    if (reading.ok) take(reading.list);
  };
  const keep = ({ ad }: JudgedAd) => {
    const known = sourceNamed(rows.sources, ad.feed);
    const source = known ?? newSource(crypto.randomUUID(), ad.feed, sourceKinds.get('ad'));
    if (!known) run('addSource', { row: source });
    const ids = { findId: crypto.randomUUID(), pieceId: crypto.randomUUID() };
    run('takeAd', { adId: ad.id, find: findOfAd(ids, ad, source.id, today, locale) });
    void navigate(`/p/${rows.project.id}/hunt?find=${ids.findId}`);
  };
  return (
    <main className={shell.page}>
      <HuntNav />
      <p className={hunt.quick}>
        <input
          ref={input}
          type="file"
          accept=".json,.csv,application/json,text/csv"
          aria-label="List of ads, JSON or CSV"
          className="visually-hidden"
          tabIndex={-1}
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) void read(file);
            event.target.value = '';
          }}
        />
        <Button type="primary" onClick={() => input.current?.click()}>
          Read a list, JSON or CSV
        </Button>
        <Button
          onClick={() => {
            setTroubles([]);
            take(simulatedAds(SEED, today, locale.currency));
          }}
        >
          Read today’s simulated ads
        </Button>
      </p>
      {said && <p role="status">{said}</p>}
      {troubles.length > 0 && (
        <div role="alert" className={hunt.sheet}>
          <b>Not all of it could be read:</b>
          <ul>
            {troubles.map(({ where, value, accepted }) => (
              <li key={`${where}${accepted}`}>
                {where}: “{value}”; accepted: {accepted}
              </li>
            ))}
          </ul>
        </div>
      )}
      {judged.length === 0 ? (
        <Empty title="No ads yet">
          <p>
            Read a list in the open format, or the simulated one: it is invented, and stands in for real ads. Each ad is
            held against your slots; what you follow is looked at again each time, and says when its price fell.
          </p>
        </Empty>
      ) : (
        <>
          <ul className={hunt.ads} aria-label="Ads">
            {judged.slice(0, shown).map((entry) => (
              <AdLine key={entry.ad.id} entry={entry} today={today} onKeep={() => keep(entry)} />
            ))}
          </ul>
          {judged.length > shown && (
            <Button onClick={() => setShown(shown + PAGE)}>{judged.length - shown} more</Button>
          )}
        </>
      )}
    </main>
  );
}

function AdLine(props: { entry: JudgedAd; today: string; onKeep: () => void }) {
  const { ad, price, fit } = props.entry;
  const { run } = useCommands();
  const rows = useRows();
  const locale = useLocale();
  const navigate = useNavigate();
  const isFind = rows.finds.some(({ id }) => id === ad.sightingId);
  const size = [ad.widthMm, ad.depthMm, ad.heightMm]
    .flatMap((mm) => (mm === null ? [] : [formatLength(mm, locale.units)]))
    .join(' × ');
  const far = ad.distanceM === null ? '' : distanceWords(ad.distanceM, locale.units);
  return (
    <li className={hunt.ad} data-gone={ad.gone || undefined}>
      <div>
        <b>{ad.title}</b>
        <small>
          {[
            ad.feed === SIMULATED_FEED ? 'simulated' : ad.feed,
            ad.place,
            far,
            size,
            ad.postedOn === '' ? '' : `since ${sayDay(ad.postedOn, props.today)}`,
            ad.text,
          ]
            .filter((word) => word !== '')
            .join(' · ')}
        </small>
        {fit && (
          <small className={hunt.answers}>
            <StitchedNumber>{fit.slot.number}</StitchedNumber> {fit.slot.name}: {fitWords(fit, locale)}
          </small>
        )}
      </div>
      <div className={hunt.asks}>
        <b>{price.now === null ? 'no price' : formatMoney(price.now, ad.currency, { cents: 'auto' })}</b>
        {price.fell > 0 && <small>price fell by {formatMoney(price.fell, ad.currency, { cents: 'auto' })}</small>}
        {ad.gone && <small>gone</small>}
      </div>
      <div className={hunt.quick}>
        {isFind ? (
          <Button size="small" onClick={() => void navigate(`/p/${rows.project.id}/hunt?find=${ad.sightingId}`)}>
            Its find
          </Button>
        ) : (
          !ad.gone && (
            <Button size="small" aria-label={`Keep as a find: ${ad.title}`} onClick={props.onKeep}>
              Keep as a find
            </Button>
          )
        )}
        <Button
          size="small"
          type="text"
          aria-pressed={ad.followed}
          aria-label={`${ad.followed ? 'Stop following' : 'Follow'}: ${ad.title}`}
          onClick={() => run('editAd', { id: ad.id, values: { followed: !ad.followed } })}
        >
          {ad.followed ? 'Followed' : 'Follow'}
        </Button>
      </div>
    </li>
  );
}
