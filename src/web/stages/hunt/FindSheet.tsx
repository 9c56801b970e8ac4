import type { PayloadOf } from '@core/acts';
import { substrates } from '@core/catalog/substrates';
import type { FindRow } from '@core/model/rows';
import { sourceName, taxAt } from '@core/model/sourceName';
import { linesInForce } from '@core/pricing/ledger';
import { receiptOf } from '@core/pricing/receipt';
import { keptFields } from '@core/sourcing/newPiece';
import { pieceKindOf } from '@core/sourcing/pieceKindOf';
import { usualMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';
import { Button } from 'antd';
import { Link } from 'react-router';
import { PaidLine } from '../../app/PaidLine';
import { PaletteFit } from '../../app/PaletteFit';
import { useCommands, useLocale, useRows } from '../../app/projectStore';
import { SourceField } from '../../app/SourceField';
import { FinishField, MaterialField } from '../../app/SurfaceFields';
import { useMayDo } from '../../app/useMayDo';
import { Choice } from '../../ui/Choice';
import { LabField } from '../../ui/ColorCardPicker';
import { LengthField, NumberField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { PieceDrawing } from '../../ui/PieceDrawing';
import { SettleBox } from '../../ui/SettleBox';
import { DoesItFit } from './DoesItFit';
import { FindPictures } from './FindPictures';
import styles from './hunt.module.css';
import { InspectionChecks } from './InspectionChecks';
import { PriceStoryEditor } from './PriceStoryEditor';
import { SortOut } from './SortOut';

/** The sheen with another finish: the one that its name says, else to be looked at anew where the last name said it. */
function sheenAfter(find: FindRow, finishId: string | null): FindRow['sheen'] {
  const said = (id: string | null) => substrates.find(id ?? '')?.sheen ?? null;
  return said(finishId) ?? (said(find.finishId) === null ? find.sheen : 'unknown');
}

/** Everything about one find, each field saved when it is left. */
export function FindSheet(props: { find: FindRow }) {
  const rows = useRows();
  const { run } = useCommands();
  const mayDo = useMayDo();
  const locale = useLocale();
  const { find } = props;
  const template = furnitureTemplates.find(find.templateId);
  const set = (values: PayloadOf<'editFind'>['values']) => run('editFind', { id: find.id, values });
  const fallback = substrates.find(find.finishId ?? find.materialId)?.usualColor ?? '#cccccc';
  const till = receiptOf(find.story, locale.currency, taxAt(rows, find.sourceId)).total;
  const lines = linesInForce(rows.ledger).filter((line) => line.subject.id === find.pieceId);
  const promise = lines.find((line) => line.kind === 'promise');
  // What was paid for, or made over, is a record: it is put away, not removed.
  const hasHistory =
    lines.length > 0 ||
    rows.recipes.some(({ doneOn, body }) => doneOn !== null && body.pieces.some((piece) => piece.findId === find.id));
  const paid = lines.find((line) => line.kind === 'payment') ?? promise;
  const bought = find.state === 'bought' || find.state === 'promised' || find.state === 'owned';
  return (
    <div>
      {!find.sorted && <SortOut find={find} />}
      <div className={styles.sheet}>
        <FindPictures find={find} />
        <div className={styles.head}>
          <div>
            <SideBySide across={2}>
              <TextField label="What is it" value={find.name} least={1} onCommit={(name) => set({ name })} />
              <SourceField label="Seen at" value={find.sourceId} onCommit={(sourceId) => set({ sourceId })} />
              <Choice
                label="Kind of piece"
                value={find.templateId}
                options={furnitureTemplates.all.map((entry) => ({ value: entry.id, label: entry.name }))}
                onChange={(templateId) =>
                  set({
                    templateId,
                    measures: usualMeasures(furnitureTemplates.get(templateId), locale.units),
                    kind: furnitureTemplates.get(templateId).traits.includes('lamp')
                      ? 'lamp'
                      : find.kind === 'lamp'
                        ? 'ordinary'
                        : find.kind,
                    cordCondition: furnitureTemplates.get(templateId).traits.includes('lamp') ? 'unknown' : 'none',
                  })
                }
              />
              <Choice
                label="For safety: is it one of these?"
                value={find.kind}
                options={[
                  { value: 'ordinary', label: 'none of these' },
                  { value: 'lamp', label: 'a lamp' },
                  { value: 'toyOrCot', label: 'a cot, a toy or chewed on' },
                  { value: 'tableware', label: 'for food or drink' },
                  { value: 'candle', label: 'a candle' },
                  { value: 'dropSideCot', label: 'a drop-side cot' },
                  { value: 'oldCot', label: 'a cot over ten years old' },
                  { value: 'childSeatOrHelmet', label: 'a child seat or helmet' },
                  { value: 'spaceHeater', label: 'a heater, halogen lamp or gas item' },
                ]}
                onChange={(kind) => set({ kind })}
              />
            </SideBySide>
          </div>
          <PieceDrawing
            templateId={find.templateId}
            measures={find.measures}
            name={find.name}
            colorOf={() => find.color}
            label={`${find.name}, as it is`}
            size={130}
          />
        </div>
        {template && (
          <SideBySide across={3}>
            {template.measures.map((measure) =>
              measure.kind === 'length' ? (
                <LengthField
                  key={measure.id}
                  label={measure.label}
                  value={find.measures[measure.id] ?? measure.standard}
                  units={locale.units}
                  onCommit={(value) => set({ measures: { ...find.measures, [measure.id]: value } })}
                />
              ) : (
                <NumberField
                  key={measure.id}
                  label={measure.label}
                  value={find.measures[measure.id] ?? measure.standard}
                  least={measure.minimum}
                  most={measure.maximum}
                  whole
                  onCommit={(value) => set({ measures: { ...find.measures, [measure.id]: value } })}
                />
              ),
            )}
          </SideBySide>
        )}
      </div>
      <div className={styles.sheet}>
        <h3>Does it fit?</h3>
        <DoesItFit find={find} />
      </div>
      <div className={styles.sheet}>
        <h3>Price, from tag to till</h3>
        <PriceStoryEditor
          tax={taxAt(rows, find.sourceId)}
          story={find.story}
          usable={find.count}
          counted={find.counted}
          onChange={set}
        />
      </div>
      <div className={styles.sheet}>
        <details>
          <summary>
            Inspect it: {find.inspected.length} {find.inspected.length === 1 ? 'check' : 'checks'} done
          </summary>
          <InspectionChecks find={find} onChange={(inspected) => set({ inspected })} />
        </details>
      </div>
      <div className={styles.sheet}>
        <h3>What it is made of</h3>
        <SideBySide across={3}>
          <MaterialField value={find.materialId} onChange={(materialId) => set({ materialId })} />
          <FinishField
            label="Present finish"
            value={find.finishId}
            onChange={(finishId) => set({ finishId, sheen: sheenAfter(find, finishId) })}
          />
          {(substrates.find(find.finishId ?? '')?.sheen ?? null) === null && (
            <Choice
              label="Sheen"
              value={find.sheen}
              options={[
                { value: 'unknown', label: 'not looked' },
                { value: 'matt', label: 'matt' },
                { value: 'satin', label: 'satin' },
                { value: 'gloss', label: 'gloss' },
              ]}
              onChange={(sheen) => set({ sheen })}
            />
          )}
          <Choice
            label="How old"
            value={find.era}
            options={[
              { value: 'unknown', label: 'unknown' },
              { value: 'old', label: 'before 1978 (UK: 1992)' },
              { value: 'recent', label: 'newer' },
            ]}
            onChange={(era) => set({ era })}
          />
          {find.finishId !== null && (
            <Choice
              label="Lead test"
              value={find.leadTest}
              options={[
                { value: 'notTested', label: 'not tested' },
                { value: 'negative', label: 'negative' },
                { value: 'positive', label: 'positive' },
              ]}
              onChange={(leadTest) => set({ leadTest })}
            />
          )}
          {find.kind === 'lamp' && (
            <Choice
              label="Cord"
              value={find.cordCondition}
              options={[
                { value: 'unknown', label: 'not checked' },
                { value: 'sound', label: 'checked, sound' },
                { value: 'damaged', label: 'damaged' },
                { value: 'none', label: 'has none' },
              ]}
              onChange={(cordCondition) => set({ cordCondition })}
            />
          )}
          <div>
            <LabField
              label="Color now"
              value={find.color}
              fallbackHex={fallback}
              onChange={(color) => set({ color })}
            />
            <PaletteFit color={find.color} />
          </div>
          {(find.freshDays !== null || pieceKindOf(find.name)?.id === 'stems') && (
            <NumberField
              label="Stays fresh, days"
              value={find.freshDays}
              nullable
              least={1}
              most={365}
              whole
              hint="empty: it lasts"
              onCommit={(freshDays) => set({ freshDays })}
            />
          )}
          {find.freshDays !== null && (
            <TextField
              label="What takes its place then"
              value={find.standIn}
              most={120}
              onCommit={(standIn) => set({ standIn })}
            />
          )}
          <Choice
            label="Are there more of it?"
            value={find.plenty === null ? 'usual' : find.plenty ? 'plenty' : 'oneOfAKind'}
            options={[
              { value: 'usual', label: 'as usual at such a place' },
              { value: 'oneOfAKind', label: 'the only one' },
              { value: 'plenty', label: 'plenty on the shelf' },
            ]}
            onChange={(value) => set({ plenty: value === 'usual' ? null : value === 'plenty' })}
          />
          <NumberField
            label="Small repairs, minutes"
            value={find.repairMinutes}
            least={0}
            most={6000}
            whole
            onCommit={(repairMinutes) => set({ repairMinutes })}
          />
        </SideBySide>
        <TextField label="Note" value={find.note} most={2000} onCommit={(note) => set({ note })} />
      </div>
      {paid && <PaidLine line={paid} />}
      {(!bought || find.state === 'promised') && (
        <SettleBox
          proposed={promise ? (promise.atLeast ? null : promise.amount) : till.atLeast ? null : till.likely}
          currency={locale.currency}
          promised={promise !== undefined}
          canPromise
          onSettle={(settlement) => run('buyFind', { findId: find.id, ...settlement })}
        />
      )}
      <p style={{ display: 'flex', gap: 8, flexWrap: 'wrap' }}>
        {(find.state === 'seen' || find.state === 'passed') && (
          <Link to={`/p/${rows.project.id}/hunt/card?find=${find.id}`}>Decide on the card</Link>
        )}
        {!bought && <Button onClick={() => set({ state: 'owned' })}>It is ours already</Button>}
        {!find.inHouse && (find.state === 'bought' || find.state === 'owned') && (
          <Button
            onClick={() =>
              run('keepFind', { findId: find.id, values: keptFields(find, sourceName(rows.sources, find.sourceId)) })
            }
          >
            Keep it in the house
          </Button>
        )}
        {find.inHouse && <Link to={`../house?tab=pieces&piece=${find.pieceId}`}>Its page in the house</Link>}
        {find.state === 'seen' && <Button onClick={() => set({ state: 'passed' })}>Pass</Button>}
        {find.state === 'passed' && <Button onClick={() => set({ state: 'seen' })}>Look at it again</Button>}
        {find.archived ? (
          <Button onClick={() => set({ archived: false })}>Bring it back</Button>
        ) : hasHistory ? (
          <Button type="text" onClick={() => run('archiveFind', { id: find.id })}>
            Put it away
          </Button>
        ) : (
          mayDo('removeFind') && (
            <Button type="text" onClick={() => run('removeFind', { id: find.id })}>
              Remove find
            </Button>
          )
        )}
      </p>
    </div>
  );
}
