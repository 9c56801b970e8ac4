import { longDate, mediumDate } from '../calendar/sayDay';
import { localDate } from '../calendar/zonedTime';
import { supplyKind, unitOfKind } from '../catalog/supplyKinds';
import { tools } from '../catalog/tools';
import { hexFromLab } from '../color/lab';
import { formatLength } from '../kernel/formatLength';
import { formatMinutes } from '../kernel/formatMinutes';
import type { UnitSystem } from '../kernel/units';
import type { LogEntryRow, StepRunRow } from '../model/rows';
import { type Plan, workedMinutes } from '../plan/computePlan';
import type { RecipePlan } from '../recipe/computeRecipe';
import type { PlannedLayer } from '../recipe/stack';
import { wrongName } from '../recipe/wentWrong';
import { lowerFirst } from '../schedule/benchWords';
import type { Step } from '../state/step';
import { supplyWords } from '../words/supplyWords';
import { type SheetBlock, type SheetDocument, type SheetSwatch, under } from './sheetDocument';

/** A layer as it was laid, from the bottom up. */
export interface MadeLayer {
  what: string;
  /** What was set on it: a ratio, a share. */
  settings: string;
  how: string;
  coats: number;
  where: string[];
}

/** A step as it was done, or as it is planned while it is not. */
export interface MadeStep {
  what: string;
  /** Local date, or null while it is not done, or nobody logged it. */
  doneOn: string | null;
  /** Hands-on: as logged, else as planned. */
  minutes: number;
  isLogged: boolean;
  /** What it took: as noted, else as planned. */
  took: string[];
  mix: string;
  wrong: string;
  note: string;
}

/** A makeover as it was made: for whoever makes it again. */
export interface MadeRecipe {
  id: string;
  name: string;
  doneOn: string | null;
  pieces: string[];
  colors: SheetSwatch[];
  layers: MadeLayer[];
  steps: MadeStep[];
  leftOut: string[];
  tools: string[];
}

/** Every makeover of what is chosen, as it was made, in the order of the slots that it is for. */
export function madeRecipes(plan: Plan): MadeRecipe[] {
  const chosen = [...new Set(plan.chosen.flatMap(({ model }) => model.option.recipeId ?? []))];
  return chosen.flatMap((id) => {
    const recipe = plan.recipes.get(id);
    const row = plan.rows.recipes.find((one) => one.id === id);
    return recipe && row ? [madeRecipe(plan, recipe, row)] : [];
  });
}

function madeRecipe(plan: Plan, recipe: RecipePlan, row: Plan['rows']['recipes'][number]): MadeRecipe {
  const { rows } = plan;
  const { units } = rows.project;
  const entries = new Map(rows.logEntries.map((entry) => [entry.id, entry]));
  const runs = new Map(
    rows.stepRuns.flatMap((run) =>
      run.recipeId === recipe.recipeId && run.state === 'done' ? [[run.stepId, run] as const] : [],
    ),
  );
  const steps = recipe.steps.filter(({ skipped }) => !skipped);
  return {
    id: row.id,
    name: row.name,
    doneOn: row.doneOn,
    pieces: row.body.pieces.flatMap(({ findId, count }) => {
      const name = rows.finds.find(({ id }) => id === findId)?.name;
      return name === undefined ? [] : [count > 1 ? `${count} × ${name}` : name];
    }),
    colors: colorsOf(recipe, rows.colorCards),
    layers: recipe.layers.map((layer) => madeLayer(recipe, layer, units)),
    steps: steps.map((step) => madeStep(plan, step, runs.get(step.id), entries)),
    leftOut: recipe.steps.filter(({ skipped }) => skipped).map(({ title }) => title),
    tools: recipe.toolIds.flatMap((id) => tools.find(id)?.name ?? []),
  };
}

function colorsOf(recipe: RecipePlan, cards: Plan['rows']['colorCards']): SheetSwatch[] {
  const swatches = recipe.layers.flatMap(({ color, colorCardId }): SheetSwatch[] => {
    const card = cards.find(({ id }) => id === colorCardId);
    return color === null || !card ? [] : [{ name: card.name, hex: hexFromLab(color) }];
  });
  return [...new Map(swatches.map((swatch) => [swatch.name, swatch])).values()];
}

function madeLayer(recipe: RecipePlan, layer: PlannedLayer, units: UnitSystem): MadeLayer {
  const { technique, coating, sheet, sheen } = layer;
  const on = recipe.zones.filter(({ key }) =>
    (recipe.stacks.get(key) ?? []).some(({ layerId, coats }) => layerId === layer.id && coats.coats > 0),
  );
  const coats = Math.max(
    0,
    ...on.map(
      ({ key }) => (recipe.stacks.get(key) ?? []).find(({ layerId }) => layerId === layer.id)?.coats.coats ?? 0,
    ),
  );
  const known = coating.sheens.length > 1 ? `, ${sheen}` : '';
  return {
    what: sheet === null ? `${coating.name}${known}` : `${sheet.kind.name} in ${coating.name.toLowerCase()}`,
    settings: settingsOf(layer, units),
    how: technique.name,
    coats,
    where: [...new Set(on.map(({ zone }) => zone.name))],
  };
}

/** What was set on a technique, in words: "paint, parts: 1; water, parts: 2". */
function settingsOf({ technique, values }: Pick<PlannedLayer, 'technique' | 'values'>, units: UnitSystem): string {
  return technique.parameters
    .flatMap((parameter) => {
      const value = values[parameter.id];
      if (value === undefined || parameter.only === 'artwork') return [];
      const words =
        parameter.kind === 'choice'
          ? (parameter.choices?.find((choice) => choice.value === value)?.label ?? String(value))
          : parameter.kind === 'length'
            ? formatLength(value, units)
            : String(Math.round(value * 100) / 100);
      return [`${lowerFirst(parameter.label)}: ${words}`];
    })
    .join('; ');
}

function madeStep(
  plan: Plan,
  step: Step,
  run: StepRunRow | undefined,
  entries: ReadonlyMap<string, LogEntryRow>,
): MadeStep {
  const { timeZone, units } = plan.rows.project;
  const entry = entries.get(run?.logId ?? '');
  const noted = (entry?.amounts ?? []).filter(({ used }) => used > 0);
  const took =
    noted.length > 0
      ? noted.map(({ kindId, used }) => [supplyKind(kindId)?.name ?? kindId, used, unitOfKind(kindId)] as const)
      : step.supplies.flatMap(({ supplyKey, amount }) => {
          const supply = plan.model.supply(supplyKey);
          return amount > 0 ? [[supply.name, amount, supply.unit] as const] : [];
        });
  const { mix } = step;
  return {
    what: step.title,
    doneOn: run?.doneMs == null ? null : localDate(run.doneMs, timeZone),
    minutes: run
      ? workedMinutes(run, new Map(entry ? [[entry.id, entry.minutes]] : []))
      : step.setUpMinutes + step.runMinutes + step.cleanUpMinutes,
    isLogged: run !== undefined,
    took: took.map(([name, amount, unit]) => `${supplyWords(amount, unit, units)} ${lowerFirst(name)}`),
    mix:
      mix === null
        ? ''
        : `${supplyWords(mix.paint, 'mL', units)} paint and ${supplyWords(mix.waterMl, 'mL', units)} water`,
    wrong: entry?.wrong == null ? '' : wrongName(entry.wrong),
    note: entry?.note ?? '',
  };
}

/** What was made, recipe by recipe, as it is printed. */
export function makersSheetDocument(projectName: string, recipes: readonly MadeRecipe[]): SheetDocument {
  return {
    title: `${projectName}: how it was made`,
    fileName: `${projectName} makers sheet`,
    blocks: [
      { kind: 'heading', text: `${projectName}: how it was made`, level: 1 },
      ...(recipes.length === 0
        ? [{ kind: 'text' as const, text: 'Nothing that is chosen here is made or made over.' }]
        : recipes.flatMap(recipeBlocks)),
    ],
  };
}

/** The steps of all makeovers as rows for a spreadsheet. */
export const makersTable = (recipes: readonly MadeRecipe[]): { fields: string[]; rows: string[][] } => ({
  fields: ['Makeover', 'Step', 'Done on', 'Minutes', 'Logged', 'Took', 'Mixed', 'Went wrong', 'Note'],
  rows: recipes.flatMap(({ name, steps }) =>
    steps.map((step) => [
      ...[name, step.what, step.doneOn ?? '', String(Math.round(step.minutes)), step.isLogged ? 'yes' : 'no'],
      ...[step.took.join('; '), step.mix, step.wrong, step.note],
    ]),
  ),
});

function recipeBlocks(recipe: MadeRecipe): SheetBlock[] {
  const isLogged = recipe.steps.some((step) => step.isLogged);
  const facts = [
    { name: 'Pieces', value: recipe.pieces.join(', ') },
    {
      name: recipe.doneOn === null ? 'Not done yet' : 'Done on',
      value: recipe.doneOn === null ? '' : longDate(recipe.doneOn),
    },
    { name: 'Hands-on', value: formatMinutes(recipe.steps.reduce((sum, { minutes }) => sum + minutes, 0)) },
    { name: 'Tools', value: recipe.tools.join(', ') },
  ].filter(({ value }) => value !== '');
  return [
    { kind: 'heading', text: recipe.name, level: 2 },
    { kind: 'facts', facts },
    ...(recipe.colors.length === 0 ? [] : [{ kind: 'swatches' as const, swatches: recipe.colors }]),
    ...under({ kind: 'heading', text: 'Layers, from the bottom up', level: 3 }, layerTable(recipe)),
    ...under({ kind: 'heading', text: 'Steps', level: 3 }, stepTable(recipe)),
    ...(recipe.leftOut.length === 0
      ? []
      : [{ kind: 'text' as const, text: `Left out: ${recipe.leftOut.join(', ')}.`, isSmall: true }]),
    ...(isLogged
      ? []
      : [{ kind: 'text' as const, text: 'Nothing of it was logged: hours and amounts as planned.', isSmall: true }]),
  ];
}

function layerTable({ name, layers }: MadeRecipe): SheetBlock[] {
  if (layers.length === 0) return [];
  return [
    {
      kind: 'table',
      name: `Layers of ${name}`,
      columns: [
        { name: 'What', share: 4 },
        { name: 'How', share: 4 },
        { name: 'Coats', share: 1.3, isFigure: true },
        { name: 'Where', share: 4 },
      ],
      rows: layers.map(({ what, how, settings, coats, where }) => [
        what,
        settings === '' ? how : `${how} (${settings})`,
        String(coats),
        where.join(', '),
      ]),
    },
  ];
}

function stepTable({ name, steps }: MadeRecipe): SheetBlock[] {
  if (steps.length === 0) return [];
  const more = ({ mix, wrong, note }: MadeStep) =>
    [mix === '' ? '' : `mixed: ${mix}`, wrong === '' ? '' : `went wrong: ${wrong.toLowerCase()}`, note].filter(
      (words) => words !== '',
    );
  return [
    {
      kind: 'table',
      name: `Steps of ${name}`,
      columns: [
        { name: 'Step', share: 5 },
        { name: 'Done', share: 2.4 },
        { name: 'Hands-on', share: 2, isFigure: true },
        { name: 'Took', share: 4.6 },
      ],
      rows: steps.map((step) => [
        [step.what, ...more(step)].join('\n'),
        step.doneOn === null ? '' : mediumDate(step.doneOn),
        `${step.isLogged ? '' : 'about '}${formatMinutes(step.minutes)}`,
        step.took.join('\n'),
      ]),
    },
  ];
}
