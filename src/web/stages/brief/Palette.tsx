import { hexFromLab, type Lab } from '@core/color/lab';
import { paletteShares, wishedShares } from '@core/plan/paletteShares';
import { cardsByUse } from '@core/proposals/cardsByUse';
import { type PaletteRole, paletteRoles } from '@core/state/brief';
import { Button } from 'antd';
import { useState } from 'react';
import { newColorCard } from '../../app/newOption';
import { useCommands, usePlanIfThere, useRows } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { ColorCardPicker } from '../../ui/ColorCardPicker';
import { TextField } from '../../ui/fields';
import { later } from '../../ui/later';
import styles from './brief.module.css';

const PaletteFromPhoto = later(async () => (await import('./PaletteFromPhoto')).PaletteFromPhoto);

const roleOptions = paletteRoles.map((role) => ({ value: role, label: role }));

/** The palette with its roles, and how much of what is chosen shows each of its colors. */
export function Palette() {
  const rows = useRows();
  const plan = usePlanIfThere();
  const { run } = useCommands();
  const { palette } = rows.project.brief;
  const [fromPhoto, setFromPhoto] = useState(false);
  const cards = new Map(rows.colorCards.map((card) => [card.id, card]));
  const { shares, otherM2 } = plan ? paletteShares(plan) : { shares: [], otherM2: 0 };
  const total = shares.reduce((sum, share) => sum + share.areaM2, 0) + otherM2;
  const set = (next: typeof palette, fresh: { id: string; version: number; name: string; lab: Lab }[] = []) =>
    run('setPalette', { palette: next, cards: fresh });
  const nextRole = (): PaletteRole =>
    paletteRoles.find((role) => !palette.some((entry) => entry.role === role)) ?? 'accent';
  const add = (colorCardId: string) => {
    if (!palette.some((entry) => entry.colorCardId === colorCardId))
      set([...palette, { colorCardId, role: nextRole() }]);
  };
  return (
    <section className={styles.sheet} aria-label="Palette">
      <h2>Palette</h2>
      {palette.length === 0 && (
        <p className="muted">
          Two or three colors are enough: a ground, a main color, an accent. Pick, type, or take them from a photo.
        </p>
      )}
      <ul className={styles.palette}>
        {palette.map((entry) => {
          const card = cards.get(entry.colorCardId);
          const share = shares.find((candidate) => candidate.colorCardId === entry.colorCardId);
          const wished = wishedShares[entry.role];
          return card ? (
            <li key={entry.colorCardId}>
              <span className={styles.chip} style={{ background: hexFromLab(card.lab) }} aria-hidden="true" />
              <TextField
                label={`Name of ${card.name}`}
                hideLabel
                value={card.name}
                least={1}
                most={80}
                onCommit={(name) => run('editColorCard', { id: card.id, values: { name } })}
              />
              <Choice
                label={`Role of ${card.name}`}
                hideLabel
                value={entry.role}
                options={roleOptions}
                onChange={(role) =>
                  set(palette.map((other) => (other.colorCardId === entry.colorCardId ? { ...other, role } : other)))
                }
              />
              <span className="muted small">
                {total > 0 && share ? `${Math.round(share.share * 100)} % of what is chosen` : ''}
                {wished === undefined ? '' : `${total > 0 ? ', ' : ''}wished ${wished * 100} %`}
              </span>
              <Button
                size="small"
                type="text"
                aria-label={`Take ${card.name} out of the palette`}
                onClick={() => set(palette.filter((other) => other.colorCardId !== entry.colorCardId))}
              >
                ×
              </Button>
            </li>
          ) : null;
        })}
      </ul>
      {total > 0 && (
        <div className={styles.shares} role="img" aria-label="Shares of the palette among what is chosen">
          {shares.map((share) => {
            const card = cards.get(share.colorCardId);
            return (
              <i
                key={share.colorCardId}
                style={{ width: `${share.share * 100}%`, background: card ? hexFromLab(card.lab) : 'none' }}
              />
            );
          })}
          {otherM2 > 0 && <i className={styles.otherShare} style={{ width: `${(otherM2 / total) * 100}%` }} />}
        </div>
      )}
      <ColorCardPicker
        label="Add a color"
        cards={cardsByUse(rows).filter((card) => !palette.some((entry) => entry.colorCardId === card.id))}
        value={null}
        onPick={add}
        onMake={(name, lab) => {
          const card = newColorCard(name, lab);
          set([...palette, { colorCardId: card.id, role: nextRole() }], [card]);
        }}
      />
      <Button onClick={() => setFromPhoto(true)}>Take colors from a photo</Button>
      {fromPhoto && (
        <PaletteFromPhoto
          onClose={() => setFromPhoto(false)}
          onKeep={(kept) => {
            const made = kept.map((entry) => ({ card: newColorCard(entry.name, entry.lab), role: entry.role }));
            set(
              [...palette, ...made.map(({ card, role }) => ({ colorCardId: card.id, role }))],
              made.map(({ card }) => card),
            );
            setFromPhoto(false);
          }}
        />
      )}
    </section>
  );
}
