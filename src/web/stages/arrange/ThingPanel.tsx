import { identityOf } from '@core/arrange/look/lookCost';
import { lookRoom } from '@core/arrange/look/lookRoom';
import type { LookThing } from '@core/arrange/look/lookThing';
import { carriedAlong, fallen, placeOf, placesToStand, type Rest } from '@core/arrange/look/settle';
import { formatLength } from '@core/kernel/formatLength';
import { formatMoney } from '@core/kernel/formatMoney';
import type { LookPieceRow, SpotRow, Stance } from '@core/model/rows';
import { namesOfOptions } from '@core/plan/nameOfOption';
import { Button } from 'antd';
import { Link } from 'react-router';
import { useCommands, useLocale, usePlan } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { LengthField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './arrange.module.css';
import { ThingPicture } from './ThingPicture';

const stanceNames: Readonly<Record<Stance, string>> = {
  stands: 'stands',
  lies: 'lies',
  leans: 'leans',
  hangs: 'hangs',
};

/** One thing of the look: what it is, where it is in figures, how it is held up, what it stands on. */
export function ThingPanel(props: {
  thing: LookThing;
  things: readonly LookThing[];
  spot: SpotRow;
  baseMm: number;
  onTakeAway: () => void;
  onClose: () => void;
}) {
  const { thing, things, spot, baseMm } = props;
  const { placement, size, slot, model, box } = thing;
  const plan = usePlan();
  const locale = useLocale();
  const { units, currency } = locale;
  const { run } = useCommands();
  const room = lookRoom(spot);
  const edit = (values: Partial<LookPieceRow>) => run('editLookPieces', { edits: [{ id: placement.id, values }] });
  const moveTo = (to: Partial<ReturnType<typeof placeOf>>) =>
    run('movePieces', { places: carriedAlong(things, thing, { ...placeOf(thing), ...to }) });
  const hangs = placement.stance === 'hangs';
  const others = things.filter(({ id }) => id !== thing.id);
  const places = placesToStand(thing, things, spot, room);
  const keyOf = ({ onId, footMm }: Rest) => `${onId ?? ''}@${Math.round(footMm)}`;
  const stand = (key: string) => {
    const to = places.find((place) => keyOf(place) === key);
    if (!to) return;
    const { onId, footMm, middleMm } = to;
    // On a board of the spot it stays over where it was.
    moveTo({ onId, footMm, ...(onId === null ? {} : { xMm: middleMm - size.widthMm / 2 }) });
  };
  const layers = things.map((other) => other.placement.layer);
  const options = slot ? plan.model.optionsOf(slot.id) : [];
  const names = namesOfOptions(options);
  const center = (box.footMm + box.topMm) / 2 + baseMm;
  const option = model ? plan.option(model.option.id) : undefined;
  return (
    <section className={styles.panel} aria-label={thing.name}>
      <div className={styles.panelHead}>
        <div>
          <h3>{thing.name}</h3>
          <p className="small muted">
            {slot ? `Slot ${slot.number}. ` : ''}
            {formatLength(size.widthMm, units)} wide, {formatLength(size.heightMm, units)} tall,{' '}
            {formatLength(size.depthMm, units)} deep{thing.isMeasured ? '' : ', usual'}
            {thing.isFound ? '' : '; nothing is chosen for it yet'}
            {option ? `; ${formatMoney(option.cashAdded.likely, currency)}` : ''}
          </p>
        </div>
        <Button type="text" size="small" aria-label="Close" onClick={props.onClose}>
          ×
        </Button>
      </div>
      <SideBySide across={2}>
        <LengthField
          label="From the left"
          value={placement.xMm}
          units={units}
          zero
          onCommit={(xMm) => moveTo({ xMm })}
        />
        <LengthField
          label="From the right"
          value={Math.max(0, room.widthMm - box.rightMm)}
          units={units}
          zero
          onCommit={(right) => moveTo({ xMm: room.widthMm - right - size.widthMm })}
        />
        {hangs ? (
          <LengthField
            label="Center from the floor"
            value={center}
            units={units}
            onCommit={(height) => moveTo({ footMm: height - baseMm - size.heightMm / 2 })}
          />
        ) : (
          <Choice
            label="Stands on"
            value={keyOf(placement)}
            options={places.map((place) => ({ value: keyOf(place), label: place.name }))}
            onChange={stand}
          />
        )}
        <LengthField
          label="From the front edge"
          value={Math.max(0, placement.frontMm)}
          units={units}
          zero
          onCommit={(frontMm) => moveTo({ frontMm })}
        />
        <Choice
          label="How"
          value={placement.stance}
          options={(Object.keys(stanceNames) as Stance[]).map((value) => ({ value, label: stanceNames[value] }))}
          onChange={(stance) =>
            edit({
              stance,
              ...(stance === 'hangs'
                ? {
                    onId: null,
                    footMm: Math.max(placement.footMm, 100),
                    frontMm: Math.max(0, room.depthMm - size.depthMm),
                  }
                : fallen({ ...thing, placement: { ...placement, stance } }, box, others, room, 0)),
            })
          }
        />
        {options.length > 1 && (
          <Choice
            label="In this look"
            value={placement.optionId ?? ''}
            options={[
              { value: '', label: 'what is chosen' },
              ...options.map(({ option: way }) => ({ value: way.id, label: names.get(way.id) ?? '' })),
            ]}
            onChange={(id) => edit({ optionId: id === '' ? null : id })}
          />
        )}
      </SideBySide>
      <details>
        <summary className="small">Its name and size in this look</summary>
        <TextField label="Called" value={placement.name} most={120} onCommit={(name) => edit({ name })} />
        <SideBySide across={3}>
          {(['widthMm', 'heightMm', 'depthMm'] as const).map((field, n) => (
            <LengthField
              key={field}
              label={['Width', 'Height', 'Depth'][n] ?? ''}
              value={size[field]}
              units={units}
              onCommit={(mm) => edit({ size: { ...size, [field]: mm } })}
            />
          ))}
        </SideBySide>
        {placement.size !== null && (
          <Button size="small" type="text" onClick={() => edit({ size: null })}>
            Its own size again
          </Button>
        )}
      </details>
      {thing.piece && <ThingPicture piece={thing.piece} photoId={thing.photoId} />}
      <div className={styles.buttons}>
        <Button size="small" onClick={() => edit({ turned: !placement.turned })}>
          Turn
        </Button>
        <Button size="small" onClick={() => moveTo({ layer: Math.max(...layers) + 1 })}>
          To the front
        </Button>
        <Button size="small" onClick={() => moveTo({ layer: Math.max(0, Math.min(...layers) - 1) })}>
          Behind
        </Button>
        {slot === null && thing.piece === null && (
          <Button
            size="small"
            onClick={() =>
              run('placePieces', {
                rows: [
                  {
                    ...placement,
                    id: crypto.randomUUID(),
                    version: 1,
                    xMm: Math.min(box.rightMm + 20, Math.max(0, room.widthMm - size.widthMm)),
                    layer: Math.max(...layers) + 1,
                  },
                ],
              })
            }
          >
            One more
          </Button>
        )}
        <Button size="small" onClick={props.onTakeAway}>
          Take away
        </Button>
        {slot && <Link to={`../compare?slot=${slot.id}`}>Its ways</Link>}
      </div>
      {things.filter((other) => identityOf(other) === identityOf(thing)).length > 1 && (
        <p className="small muted">One of several alike in this look.</p>
      )}
    </section>
  );
}
