import type { Finding } from '@core/kernel/finding';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { taxAt } from '@core/model/sourceName';
import type { OptionPlan } from '@core/plan/computePlan';
import { usualPlacingMinutes } from '@core/plan/model/optionModel';
import { nameOfOption } from '@core/plan/nameOfOption';
import { explainOption, type OptionFigure, optionFigureLabels } from '@core/plan/why/explainOption';
import { linesInForce } from '@core/pricing/ledger';
import { offerCash } from '@core/pricing/offer';
import { sentenceFor } from '@core/words/sentences';
import { Button } from 'antd';
import { memo, useState } from 'react';
import { comparisonWords, kindNames } from '../../app/optionWords';
import { PaidLine } from '../../app/PaidLine';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { SourceField } from '../../app/SourceField';
import { WhyTree } from '../../app/WhyTree';
import { amountWords, dayWords } from '../../app/words';
import { LinkButton } from '../../ui/basics';
import { DateField, MoneyField, NumberField, PriceField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { SettleBox } from '../../ui/SettleBox';
import styles from './compare.module.css';
import { Liking } from './Liking';
import { OptionFacts } from './OptionFacts';

/** The answer to "why?" for one option: its figures as receipts, what to mind, what can be done with it. */
export function WhyPanel(props: {
  option: OptionPlan;
  onChoose: (optionId: string) => void;
  /** On a narrow screen the reasons lie over the board while they are asked for. */
  sheetOpen: boolean;
  onClose: () => void;
}) {
  const plan = usePlan();
  const { run } = useCommands();
  const locale = useLocale();
  const { option } = props;
  const [figure, setFigure] = useState<OptionFigure>('cashAdded');
  const { model } = option;
  const findings = unique(option.findings);
  const worth = option.worthUpTo;
  const sentence = comparisonWords(option, locale);
  return (
    <aside
      className={`${styles.why} ${props.sheetOpen ? styles.sheet : ''}`}
      aria-label="Why"
      onKeyDown={(event) => event.key === 'Escape' && props.onClose()}
    >
      <BackToBoard onClose={props.onClose} />
      <h2>
        {model.slot.name}: {kindNames[option.option.kind].toLowerCase()}
      </h2>
      <span className="muted">{nameOfOption(model)}</span>
      <p style={{ margin: '8px 0 0' }}>
        {amountWords(option.cashAdded, locale)} now
        {option.stashUsed > 0 ? ` and ${formatMoney(option.stashUsed, locale.currency)} of the stash` : ''};{' '}
        {option.ready ? `stands in place ${dayWords(option.standsMs, plan.asOfMs, locale.timeZone)}, usable` : 'usable'}{' '}
        {dayWords(option.usableMs, plan.asOfMs, locale.timeZone)}.{' '}
        {sentence.words.charAt(0).toUpperCase() + sentence.words.slice(1)}.
        {worth.kind === 'upTo' && ` Worth up to ${formatMoney(worth.till, locale.currency)} at the till.`}
        {worth.kind === 'notEvenFree' && ' Not worth it even free, at what your hour is worth.'}
      </p>
      <div className={styles.acts}>
        <Button
          type="primary"
          disabled={option.refused || option.chosen || option.count === 0}
          onClick={() => props.onChoose(option.option.id)}
        >
          {option.chosen ? 'Chosen' : 'Choose'}
        </Button>
        {option.option.recipeId && (
          <LinkButton to={`../makeover/${option.option.recipeId}`}>Open the recipe</LinkButton>
        )}
        {model.finds[0] && <LinkButton to={`../hunt?find=${model.finds[0].id}`}>The find</LinkButton>}
      </div>
      {model.slot.quantity > 1 && option.capacity > 0 && !option.refused && (
        <HowMany key={`${option.option.id} ${option.chosen}`} option={option} />
      )}
      <Liking option={option.option} />
      <FigureChoice figure={figure} onFigure={setFigure} />
      {/* What was unfolded belongs to this figure of this option; the figure itself stays from option to option. */}
      <WhyTree key={`${option.option.id} ${figure}`} tree={explainOption(plan, option, figure)} />
      {findings.map((finding) => (
        <div key={`${finding.code}${JSON.stringify(finding.figures)}`} className={styles.note}>
          {finding.severity === 'stop' && <b>Stop. </b>}
          {finding.severity === 'refuse' && <b>Refused. </b>}
          {sentenceFor(finding, locale)}
          {finding.fix?.kind === 'noteConsent' && <NoteConsent pieceId={finding.fix.pieceId} />}
        </div>
      ))}
      <div style={{ marginTop: 16 }}>
        <NumberField
          key={option.option.id}
          label="Placing by hand, minutes"
          value={option.option.handsOnMinutes}
          nullable
          least={0}
          most={6000}
          whole
          hint={`${option.option.handsOnMinutes === null ? 'empty: ' : ''}the usual for its kind, ${formatMinutes(usualPlacingMinutes[option.option.kind])}`}
          onCommit={(handsOnMinutes) => run('editOption', { id: option.option.id, values: { handsOnMinutes } })}
        />
      </div>
      <div className={styles.acts}>
        <Button
          size="small"
          aria-pressed={option.option.yardstick}
          onClick={() => run('editOption', { id: option.option.id, values: { yardstick: !option.option.yardstick } })}
        >
          {option.option.yardstick ? 'Not the yardstick' : 'Make it the yardstick'}
        </Button>
        <Button size="small" type="text" onClick={() => run('removeOption', { id: option.option.id })}>
          Remove option
        </Button>
      </div>
      <OptionFacts key={option.option.id} option={option} />
      {model.offers[0] && <OfferFields option={option} />}
    </aside>
  );
}

/** How many of a slot's quantity an option fills: with fewer than all of them others stand beside it. */
function HowMany(props: { option: OptionPlan }) {
  const { option } = props;
  const { slot } = option.model;
  const plan = usePlan();
  const { run } = useCommands();
  const most = Math.min(option.capacity, slot.quantity);
  const beside = plan.chosen.filter(({ model }) => model.slot.id === slot.id && model.option.id !== option.option.id);
  return (
    <NumberField
      label={`How many of the ${slot.quantity}`}
      value={option.chosen ? option.count : null}
      nullable={!option.chosen}
      least={1}
      most={most}
      whole
      hint={[
        option.chosen ? '' : 'a number chooses it',
        beside.length > 0
          ? `beside it: ${beside.map(({ model, count }) => `${count} × ${nameOfOption(model)}`).join(', ')}`
          : 'with fewer, others can stand beside it',
      ]
        .filter((words) => words !== '')
        .join('; ')}
      onCommit={(count) => {
        if (count !== null)
          run('choose', { slotId: slot.id, optionId: option.option.id, count, fillId: crypto.randomUUID() });
      }}
    />
  );
}

function unique(findings: readonly Finding[]): Finding[] {
  const seen = new Set<string>();
  return findings.filter((finding) => {
    const key = `${finding.code}${JSON.stringify(finding.figures)}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** Whoever may decide about a piece agreed that it is altered for good. */
function NoteConsent(props: { pieceId: string }) {
  const { run } = useCommands();
  return (
    <div>
      <Button size="small" onClick={() => run('editPiece', { id: props.pieceId, values: { mayAlter: true } })}>
        Agreed: it may be altered for good
      </Button>
    </div>
  );
}

/** What is known of something sold new. */
function OfferFields(props: { option: OptionPlan }) {
  const rows = useRows();
  const { run } = useCommands();
  const locale = useLocale();
  const part = props.option.model.offers[0];
  if (!part) return null;
  const { offer } = part;
  const lines = linesInForce(rows.ledger).filter(
    (line) => line.subject.kind === 'offer' && line.subject.id === offer.id,
  );
  const paid = lines.find((line) => line.kind === 'payment');
  const promise = lines.find((line) => line.kind === 'promise');
  const cash = offerCash(offer, part.pieces, taxAt(rows, offer.sourceId));
  const set = (values: Record<string, unknown>) => run('editOffer', { id: offer.id, values });
  return (
    <div>
      <TextField label="What it is" value={offer.name} least={1} onCommit={(name) => set({ name })} />
      <SourceField label="Sold at" value={offer.sourceId} onCommit={(sourceId) => set({ sourceId })} />
      <PriceField label="Price" value={offer.price} currency={locale.currency} onCommit={(price) => set({ price })} />
      <MoneyField
        label="Delivery, once"
        value={offer.delivery}
        nullable
        hint="0: none; empty: not known yet"
        currency={locale.currency}
        onCommit={(delivery) => set({ delivery })}
      />
      <NumberField
        label="Pieces in a pack"
        value={offer.pieces}
        least={1}
        most={1000}
        whole
        onCommit={(pieces) => set({ pieces })}
      />
      <NumberField
        label="Assembly, minutes each"
        value={offer.assemblyMinutes}
        least={0}
        most={6000}
        whole
        onCommit={(assemblyMinutes) => set({ assemblyMinutes })}
      />
      <NumberField
        label="Arrives after, days"
        value={offer.leadDays}
        least={0}
        most={365}
        whole
        onCommit={(leadDays) => set({ leadDays })}
      />
      {offer.rented !== null && (
        <SideBySide across={2}>
          <DateField
            label="Goes back by"
            value={offer.rented.backBy}
            hint="empty: nobody said"
            onCommit={(backBy) => set({ rented: { ...offer.rented, backBy } })}
          />
          <MoneyField
            label="Deposit, comes back"
            value={offer.rented.deposit}
            currency={locale.currency}
            onCommit={(deposit) => set({ rented: { ...offer.rented, deposit } })}
          />
        </SideBySide>
      )}
      {(paid || promise) && offer.leadDays > 0 && (
        <DateField
          label="Came on"
          value={offer.arrivedOn}
          hint="empty: on its way"
          onCommit={(arrivedOn) => set({ arrivedOn })}
        />
      )}
      {paid ? (
        <PaidLine line={paid} />
      ) : (
        <SettleBox
          proposed={promise ? (promise.atLeast ? null : promise.amount) : cash.atLeast ? null : cash.likely}
          currency={locale.currency}
          promised={promise !== undefined}
          canPromise
          onSettle={(settlement) => run('orderOffer', { offerId: offer.id, ...settlement })}
        />
      )}
      {(paid || promise) && !props.option.chosen && (
        <p className="muted">It is not chosen: the money counts, the slot is filled by something else or open.</p>
      )}
      {promise && <PaidLine line={promise} />}
    </div>
  );
}

const BackToBoard = memo(function BackToBoard(props: { onClose: () => void }) {
  return (
    <Button block className={styles.closeSheet} onClick={props.onClose}>
      Back to the board
    </Button>
  );
});

/** Which figure is unfolded. By itself, since a choice on the board changes nothing of it. */
const FigureChoice = memo(function FigureChoice(props: {
  figure: OptionFigure;
  onFigure: (figure: OptionFigure) => void;
}) {
  return (
    <fieldset className={styles.figures} aria-label="Figure">
      {optionFigureLabels.map(([id, words]) => (
        <Button
          key={id}
          size="small"
          type={props.figure === id ? 'primary' : 'default'}
          aria-pressed={props.figure === id}
          onClick={() => props.onFigure(id)}
        >
          {words}
        </Button>
      ))}
    </fieldset>
  );
});
