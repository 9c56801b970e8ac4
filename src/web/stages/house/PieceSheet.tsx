import { substrates } from '@core/catalog/substrates';
import { type PieceRow, seasons, slotRoles } from '@core/model/rows';
import { pieceKindOf } from '@core/sourcing/pieceKindOf';
import type { Placement } from '@core/sourcing/placements';
import { furnitureTemplates } from '@core/surface/templates';
import { Button, Checkbox } from 'antd';
import { PiecePicture } from '../../app/cutOut/PiecePicture';
import { useHouse } from '../../app/houseStore';
import { usePiecePhotos } from '../../app/piecePhotos';
import { FinishField, MaterialField } from '../../app/SurfaceFields';
import { WeightField } from '../../app/WeightField';
import { dayOf, placementWords } from '../../app/words';
import { Choice } from '../../ui/Choice';
import { LabField } from '../../ui/ColorCardPicker';
import { DateField, MoneyField, NumberField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { ManyOf } from '../../ui/ManyOf';
import { PieceFace } from '../../ui/PieceFace';
import { photoAddress } from '../../ui/photoAddress';
import styles from './house.module.css';
import { InsideAndOutline } from './InsideAndOutline';
import { PhotoColors } from './PhotoColors';
import { PieceLengths } from './PieceLengths';
import { seasonWords } from './words';

/** Its overall size. */
const outer = [
  ['widthMm', 'Width'],
  ['depthMm', 'Depth'],
  ['heightMm', 'Height'],
] as const;

/** Everything about one piece, each field saved when it is left. */
export function PieceSheet(props: {
  piece: PieceRow;
  placements: readonly Placement[];
  onGone: () => void;
  /** The next piece to be sorted out, when that is what is going on. */
  onNext: (() => void) | null;
}) {
  const house = useHouse();
  const { run, locale, today } = house;
  const { piece } = props;
  const photos = usePiecePhotos(house, { units: locale.units, currency: locale.currency, today });
  const set = (values: Partial<Omit<PieceRow, 'id' | 'version'>>) => run('editPiece', { id: piece.id, values });
  const fallback = substrates.find(piece.finishId ?? piece.materialId)?.usualColor ?? '#cccccc';
  const rename = (name: string) => {
    // A piece that waits to be sorted out learns from its name what it usually does.
    const kind = piece.sorted ? null : pieceKindOf(name);
    set(
      kind && piece.roles.length === 0
        ? { name, roles: [...kind.roles], templateId: kind.templateId, kind: kind.care, fragile: kind.fragile }
        : { name },
    );
  };
  return (
    <aside className={styles.sheet} aria-label={piece.name}>
      <div className={styles.sheetHead}>
        {piece.photoId === null ? (
          <PieceFace piece={piece} size={84} />
        ) : (
          <a href={photoAddress(piece.photoId, 'full')} target="_blank" rel="noreferrer" aria-label="The whole photo">
            <PieceFace piece={piece} size={84} />
          </a>
        )}
        <div>
          <h2>{piece.name}</h2>
          <p className="muted small">
            {piece.seenOn === null ? 'Nobody noted seeing it' : `Seen ${dayOf(piece.seenOn)}`}
            {piece.lastUsedOn === null ? '' : ` · used ${dayOf(piece.lastUsedOn)}`}
            {piece.uses > 0 ? ` · ${piece.uses} ${piece.uses === 1 ? 'use' : 'uses'}` : ''}
          </p>
          <p className={styles.buttons}>
            {piece.seenOn !== today && (
              <Button size="small" onClick={() => set({ seenOn: today })}>
                Seen today
              </Button>
            )}
            {!piece.sorted && (
              <Button
                size="small"
                type="primary"
                onClick={() => {
                  set({ sorted: true });
                  props.onNext?.();
                }}
              >
                {props.onNext ? 'Sorted, next one' : 'Sorted out'}
              </Button>
            )}
          </p>
        </div>
      </div>
      {props.placements.map((placement) => (
        <p key={placement.placeId} className={styles.promised}>
          Promised: {placementWords(placement)}
          {placement.count > 1 ? `, ${placement.count} of them` : ''}
        </p>
      ))}
      <SideBySide across={2}>
        <TextField key={`name ${piece.id}`} label="What is it" value={piece.name} least={1} onCommit={rename} />
        <Choice
          label="Kind of piece"
          value={piece.templateId}
          options={furnitureTemplates.all.map((entry) => ({ value: entry.id, label: entry.name }))}
          onChange={(templateId) => set({ templateId })}
        />
      </SideBySide>
      <SideBySide across={4}>
        <PieceLengths piece={piece} asked={outer} onChange={set} />
        <NumberField
          label="How many"
          value={piece.count}
          least={1}
          most={1000}
          whole
          onCommit={(count) => set({ count })}
        />
      </SideBySide>
      <Checkbox checked={!piece.counted} onChange={(event) => set({ counted: !event.target.checked })}>
        not counted: at least so many
      </Checkbox>
      <SideBySide across={2}>
        <TextField
          label="Stands at"
          value={piece.standsAt}
          hint="empty while it is stored"
          onCommit={(standsAt) => set({ standsAt })}
        />
        <SideBySide across={2}>
          <TextField label="Box" value={piece.box} most={60} onCommit={(box) => set({ box })} />
          <TextField label="Shelf" value={piece.shelf} most={60} onCommit={(shelf) => set({ shelf })} />
        </SideBySide>
      </SideBySide>
      <SideBySide across={2}>
        <LabField label="Color" value={piece.color} fallbackHex={fallback} onChange={(color) => set({ color })} />
        <LabField
          label="Second color"
          unknown="none"
          value={piece.accent}
          fallbackHex={fallback}
          onChange={(accent) => set({ accent })}
        />
      </SideBySide>
      <PiecePicture piece={piece} photoId={piece.photoId} queue={photos} onChange={set} />
      {piece.photoId !== null && (
        <PhotoColors
          photoId={piece.photoId}
          onColor={(color) => set({ color })}
          onAccent={(accent) => set({ accent })}
        />
      )}
      <ManyOf
        label="What it can do"
        values={piece.roles}
        onChange={(roles) => set({ roles })}
        placeholder="height, light, riser …"
        options={slotRoles.map((role) => ({ value: role, label: role }))}
      />
      <SideBySide across={2}>
        <TextField label="Style words" value={piece.style} most={200} onCommit={(style) => set({ style })} />
        <Choice
          label="Season"
          value={piece.season}
          options={seasons.map((season) => ({ value: season, label: seasonWords[season] }))}
          onChange={(season) => set({ season })}
        />
      </SideBySide>
      <details>
        <summary>Material, weight and care</summary>
        <SideBySide across={2}>
          <MaterialField value={piece.materialId} onChange={(materialId) => set({ materialId })} />
          <FinishField label="Present finish" value={piece.finishId} onChange={(finishId) => set({ finishId })} />
          <WeightField label="Weight" grams={piece.weightG} onCommit={(weightG) => set({ weightG })} />
          <WeightField
            label="What it carries"
            grams={piece.carriesG}
            hint="as a riser, a shelf, a tray"
            onCommit={(carriesG) => set({ carriesG })}
          />
          <TextField
            label="Protected by"
            value={piece.protection}
            most={120}
            hint="tissue, its own carton …"
            onCommit={(protection) => set({ protection })}
          />
          {piece.finishId !== null && (
            <Choice
              label="How old is the finish"
              value={piece.era}
              options={[
                { value: 'unknown', label: 'unknown' },
                { value: 'old', label: 'before 1978 (UK: 1992)' },
                { value: 'recent', label: 'newer' },
              ]}
              onChange={(era) => set({ era })}
            />
          )}
          {piece.kind === 'lamp' && (
            <Choice
              label="Cord"
              value={piece.cordCondition}
              options={[
                { value: 'unknown', label: 'not checked' },
                { value: 'sound', label: 'checked, sound' },
                { value: 'damaged', label: 'damaged: have it checked' },
                { value: 'none', label: 'has none' },
              ]}
              onChange={(cordCondition) => set({ cordCondition })}
            />
          )}
        </SideBySide>
        <Checkbox checked={piece.fragile} onChange={(event) => set({ fragile: event.target.checked })}>
          fragile
        </Checkbox>
      </details>
      <InsideAndOutline piece={piece} onChange={set} />
      <details>
        <summary>Story, value and use</summary>
        <SideBySide across={2}>
          <NumberField
            label="In the house since"
            value={piece.sinceYear}
            nullable
            least={1000}
            most={2200}
            whole
            onCommit={(sinceYear) => set({ sinceYear })}
          />
          <NumberField
            label="Uses"
            value={piece.uses}
            least={0}
            most={100_000}
            whole
            onCommit={(uses) => set({ uses })}
          />
          <DateField label="Last used" value={piece.lastUsedOn} onCommit={(lastUsedOn) => set({ lastUsedOn })} />
          <MoneyField
            label="What one is worth"
            value={piece.value}
            nullable
            currency={piece.currency || locale.currency}
            onCommit={(value) => set({ value, currency: piece.currency || locale.currency })}
          />
        </SideBySide>
        <TextField label="Story" value={piece.story} most={2000} onCommit={(story) => set({ story })} />
      </details>
      <details open={piece.borrowedFrom !== ''}>
        <summary>Borrowed</summary>
        <SideBySide across={2}>
          <TextField
            label="Borrowed from"
            value={piece.borrowedFrom}
            onCommit={(borrowedFrom) => set({ borrowedFrom })}
          />
          <DateField label="Back by" value={piece.backBy} onCommit={(backBy) => set({ backBy })} />
        </SideBySide>
        {piece.borrowedFrom !== '' && (
          <>
            <Checkbox checked={piece.mayAlter} onChange={(event) => set({ mayAlter: event.target.checked })}>
              {piece.borrowedFrom} said yes to altering it
            </Checkbox>
            <p className={styles.buttons}>
              <Button
                size="small"
                onClick={() => {
                  run('giveBack', { id: piece.id });
                  props.onGone();
                }}
              >
                Given back
              </Button>
            </p>
          </>
        )}
      </details>
      <Button
        type="text"
        size="small"
        onClick={() => {
          run('removePieces', { ids: [piece.id] });
          props.onGone();
        }}
      >
        Remove from the house
      </Button>
    </aside>
  );
}
