import { coatings } from '@core/catalog/coatings';
import { takenBy } from '@core/plan/takenBy';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useLocale, usePlan } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { dayWords } from '../../app/words';
import { Empty } from '../../ui/basics';
import { later } from '../../ui/later';
import { Workbench } from '../../ui/layout';
import { Findings } from './Findings';
import { Layers } from './Layers';
import { MorePieces } from './MorePieces';
import styles from './makeover.module.css';
import { PieceColumn } from './PieceColumn';
import { Coats, Stack } from './Stack';
import { Steps } from './Steps';
import { StudioRecipes } from './StudioRecipes';
import { useRecipe } from './useRecipe';

// What the layers come to stands beneath them, and comes after them.
const Supplies = later(async () => (await import('./Supplies')).Supplies);
const ToolList = later(async () => (await import('./ToolList')).ToolList);
const DoneBox = later(async () => (await import('./DoneBox')).DoneBox);

const recipeParts = ['Piece', 'Layers', 'Steps'] as const;
type Part = (typeof recipeParts)[number];

/** One recipe: the piece and its zones, its layers, its steps. */
export function RecipePage(props: { recipeId: string }) {
  const plan = usePlan();
  const locale = useLocale();
  const recipe = useRecipe(props.recipeId);
  const [zoneKey, setZoneKey] = useState<string | null>(null);
  /** On a phone one part is a page; on a desk all three stand side by side. */
  const [part, setPart] = useState<Part>('Layers');
  if (!recipe)
    return (
      <main className={shell.page}>
        <Empty title="This recipe is not here any more">
          <Link to="../makeover">All makeovers</Link>
        </Empty>
      </main>
    );
  const { row, plan: computed } = recipe;
  const zone =
    computed.zones.find((candidate) => candidate.key === zoneKey) ??
    computed.zones.find((candidate) => (computed.stacks.get(candidate.key)?.length ?? 0) > 0) ??
    computed.zones.find((candidate) => candidate.zone.included) ??
    computed.zones[0];
  const needs = takenBy(computed, recipe.made);
  const using = plan.slots.flatMap((slot) => slot.options).find((option) => option.option.recipeId === row.id);
  return (
    <main className={styles.parts} data-part={part}>
      <nav className={styles.jump} aria-label="Parts of the recipe">
        {recipeParts.map((name) => (
          <Button
            key={name}
            type={name === part ? 'primary' : 'default'}
            aria-pressed={name === part}
            onClick={() => {
              setPart(name);
              window.scrollTo({ top: 0 });
            }}
          >
            {name}
          </Button>
        ))}
      </nav>
      <Workbench leftWidth={290} rightWidth={372} isJoined>
        <section className={styles.column} aria-label="Piece and zones" data-of="Piece">
          <h2>{row.name}</h2>
          {row.body.pieces.map((piece) => (
            <PieceColumn key={piece.id} piece={piece} recipe={recipe} zone={zone} onZone={setZoneKey} />
          ))}
          <MorePieces recipe={recipe} />
        </section>
        <section className={styles.column} aria-label="Layers" data-of="Layers">
          <h2>{zone ? `${zone.zone.letter} · ${zone.zone.name}` : 'Layers'}</h2>
          <span className="muted">from the material up; every joint is checked</span>
          <Layers recipe={recipe} />
          <StudioRecipes recipe={recipe} />
          <Findings recipe={recipe} />
          {zone?.zone.included ? (
            <>
              <h3>Layers of {zone.zone.letter}</h3>
              <Stack zone={zone} recipe={recipe} />
              <Coats zone={zone} recipe={recipe} />
            </>
          ) : (
            <p className="muted">This zone stays as it is.</p>
          )}
          {row.body.dropped.length > 0 && (
            <p className="small">
              Dropped:{' '}
              {row.body.dropped
                .map((entry) => coatings.find(entry.split(':')[1]?.split('@')[0] ?? '')?.name ?? entry)
                .join(', ')}{' '}
              <Button size="small" onClick={() => recipe.setBody({ dropped: [] })}>
                Propose again
              </Button>
            </p>
          )}
          <Supplies needs={needs} recipe={recipe} />
          <ToolList recipe={recipe} />
          {needs.size > 0 && <DoneBox recipe={row} computed={computed} made={recipe.made} />}
          {using && (
            <p>
              Stands in place {dayWords(using.standsMs, plan.asOfMs, locale.timeZone)}, usable{' '}
              {dayWords(using.usableMs, plan.asOfMs, locale.timeZone)}. <Link to="../compare">Back to the board</Link>
            </p>
          )}
        </section>
        <section className={styles.column} aria-label="Steps" data-of="Steps">
          <Steps recipe={recipe} />
        </section>
      </Workbench>
    </main>
  );
}
