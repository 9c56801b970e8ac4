import { formatMoney } from '@core/kernel/formatMoney';
import { sourceName } from '@core/model/sourceName';
import { saidOfOrder } from '@core/proposals/optionDrafts';
import { readQuickLine, saysSomething } from '@core/sourcing/quickLine';
import { sameLook } from '@core/sourcing/sameLook';
import { Checkbox } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { buyNewOption } from '../../app/newOption';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { SourceField } from '../../app/SourceField';
import shell from '../../app/shell.module.css';
import { useSearchState } from '../../app/useSearchState';
import { amountWords } from '../../app/words';
import { Empty } from '../../ui/basics';
import { Choice } from '../../ui/Choice';
import { MoneyField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { HuntNav } from './HuntNav';
import hunt from './hunt.module.css';
import { LineEntry } from './LineEntry';
import money from './money/money.module.css';

/** The same look at several prices: for each piece that serves, delivered, with tax; the dream beside the real ones. */
export function OffersPage() {
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const [search, update] = useSearchState();
  const slots = [...rows.slots].sort((a, b) => a.number - b.number);
  const open = plan.slots.filter((slot) => slot.open > 0).map(({ slot }) => slot.id);
  const slot =
    slots.find(({ id }) => id === search.get('slot')) ?? slots.find(({ id }) => open.includes(id)) ?? slots[0] ?? null;
  const offers = slot === null ? [] : sameLook(plan, slot.id);
  const offerOf = (optionId: string) =>
    rows.offers.find(({ id }) => id === rows.options.find((option) => option.id === optionId)?.parts[0]?.offerId);
  return (
    <main className={shell.page}>
      <HuntNav />
      {slot === null ? (
        <Empty title="No slot yet">
          <p>
            Offers are compared for a slot: <Link to={`/p/${rows.project.id}/sketch`}>number one in the sketch</Link>.
          </p>
        </Empty>
      ) : (
        <>
          <Choice
            label="The same look for"
            value={slot.id}
            options={slots.map(({ id, number, name, quantity }) => ({
              value: id,
              label: `${number} · ${name}${quantity > 1 ? `, ${quantity} of them` : ''}`,
            }))}
            onChange={(id) => update((next) => next.set('slot', id))}
          />
          <NewOffer key={slot.id} slotId={slot.id} />
          {offers.length === 0 ? (
            <p className="muted">No offer yet: say one above, or send a find to this slot.</p>
          ) : (
            <ul className={money.lines} aria-label="Offers, the cheapest first">
              {offers.map((entry) => {
                const offer = offerOf(entry.optionId);
                return (
                  <li key={entry.optionId} className={money.line}>
                    <b>{entry.name}</b>
                    <b>
                      {entry.each === null
                        ? 'none serves'
                        : entry.each.atLeast && entry.each.likely === 0
                          ? 'price unknown'
                          : `${amountWords(entry.each, locale)} each`}
                    </b>
                    <small>
                      {[
                        sourceName(rows.sources, entry.sourceId),
                        `${amountWords(entry.total, locale)} for ${entry.bought}${entry.bought > entry.usable ? `, of which ${entry.usable === 1 ? '1 serves' : `${entry.usable} serve`}` : ''}, delivered, with tax`,
                        entry.dream ? 'the dream' : '',
                        entry.more === null
                          ? ''
                          : `${formatMoney(entry.more, locale.currency)} more each than the cheapest`,
                      ]
                        .filter((word) => word !== '')
                        .join(' · ')}
                    </small>
                    {offer && (
                      <span className={money.acts}>
                        <Checkbox
                          checked={offer.dream}
                          onChange={(event) =>
                            run('editOffer', { id: offer.id, values: { dream: event.target.checked } })
                          }
                        >
                          only a dream: never in a saving
                        </Checkbox>
                      </span>
                    )}
                  </li>
                );
              })}
            </ul>
          )}
          <p>
            <Link to={`/p/${rows.project.id}/compare`}>See them on the board</Link>
          </p>
        </>
      )}
    </main>
  );
}

/** One more offer, said in a line: "white lamp, pack of 2, $29". */
function NewOffer(props: { slotId: string }) {
  const { run } = useCommands();
  const { currency, units } = useLocale();
  const [line, setLine] = useState('');
  const [sourceId, setSourceId] = useState<string | null>(null);
  const [delivery, setDelivery] = useState<number | null>(0);
  const read = saysSomething(line) ? readQuickLine(line, currency, units) : null;
  // What the line says of delivery stands before the field.
  const said = read && { delivery, ...saidOfOrder(read) };
  const add = () => {
    if (!read || !said) return;
    run(
      'addOption',
      buyNewOption(
        props.slotId,
        read.name,
        read.tag ?? { state: 'unknown' },
        { sourceId, ...said },
        read.templateId ?? 'freeBox',
      ),
    );
    setLine('');
  };
  return (
    <section className={hunt.sheet} aria-label="Another offer">
      <LineEntry
        label="Another offer: what and its price"
        placeholder="white lamp, pack of 2, $29, shipping $6, comes in 9 days"
        value={line}
        send="Add offer"
        isReady={read !== null}
        isMain
        onType={setLine}
        onSend={add}
      />
      <SideBySide across={2}>
        <SourceField label="Sold at" value={sourceId} onCommit={setSourceId} />
        <MoneyField
          label="Delivery, once"
          value={said ? said.delivery : delivery}
          nullable
          hint="0: none; empty: not known yet"
          currency={currency}
          onCommit={setDelivery}
        />
      </SideBySide>
    </section>
  );
}
