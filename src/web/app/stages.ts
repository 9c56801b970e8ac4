import type { ProjectRows } from '@core/model/rows';
import type { Plan } from '@core/plan/computePlan';
import type { ComponentType } from 'react';

const count = (n: number, one: string, many: string) => (n === 0 ? '' : `${n} ${n === 1 ? one : many}`);

/** A page of a project, loaded when it is first opened. */
interface Page {
  path: string;
  load(): Promise<ComponentType>;
}

/** A stage of a project. */
interface Stage extends Page {
  name: string;
  /** The key that goes there, and what the key sheet says of it. */
  key: string;
  about: string;
  /** How far it is, in a word or two beside its name; empty while there is nothing to say, or no plan yet that says it. */
  figure(rows: ProjectRows, plan: Plan | null): string;
}

/** The stages of a project, from the first thought to the plan that fits. */
export const stages: readonly Stage[] = [
  {
    path: 'brief',
    load: async () => (await import('../stages/brief/BriefPage')).BriefPage,
    name: 'Brief',
    key: 'b',
    about: 'Brief',
    figure: ({ project, photos }) =>
      project.brief.beforePhoto === 'wanted' && !photos.some((photo) => photo.kind === 'before') ? 'before photo?' : '',
  },
  {
    path: 'house',
    load: async () => (await import('../stages/house/HousePage')).HouseStage,
    name: 'House',
    key: 'o',
    about: 'House: what we own',
    figure: ({ finds }) => {
      const owned = finds.filter((find) => find.state === 'owned').length;
      return owned > 0 ? `${owned} ours` : '';
    },
  },
  {
    path: 'sketch',
    load: async () => (await import('../stages/sketch/SketchPage')).SketchPage,
    name: 'Sketch',
    key: 's',
    about: 'Sketch: spots and slots',
    figure: ({ slots }) => count(slots.length, 'slot', 'slots'),
  },
  {
    path: 'hunt',
    load: async () => (await import('../stages/hunt/HuntPage')).HuntPage,
    name: 'Hunt',
    key: 'h',
    about: 'Hunt: finds',
    figure: ({ finds }) => count(finds.filter(({ archived }) => !archived).length, 'find', 'finds'),
  },
  {
    path: 'makeover',
    load: async () => (await import('../stages/makeover/MakeoverPage')).MakeoverPage,
    name: 'Makeover',
    key: 'm',
    about: 'Makeover: recipes',
    figure: ({ recipes }) => (recipes.length > 0 ? String(recipes.length) : ''),
  },
  {
    path: 'compare',
    load: async () => (await import('../stages/compare/ComparePage')).ComparePage,
    name: 'Compare',
    key: 'c',
    about: 'Compare: the board',
    figure: (_rows, plan) =>
      plan && plan.slots.length > 0 ? `${plan.slots.filter(({ open }) => open === 0).length}/${plan.slots.length}` : '',
  },
  {
    path: 'balance',
    load: async () => (await import('../stages/balance/BalancePage')).BalancePage,
    name: 'Balance',
    key: 'l',
    about: 'Balance: what fits money, hours and days',
    figure: (_rows, plan) => {
      if (!plan) return '';
      const { purse } = plan;
      const short = purse.money.free.likely < 0 || (purse.hands.freeMinutes ?? 0) < 0 || (purse.days.inHand ?? 0) < 0;
      return short ? 'over' : '';
    },
  },
  {
    path: 'bench',
    load: async () => (await import('../stages/bench/BenchPage')).BenchPage,
    name: 'Bench',
    key: 'k',
    about: 'Bench: what is done when',
    figure: ({ stepRuns }) => {
      const atHand = stepRuns.filter(({ state }) => state === 'running').length;
      return atHand > 0 ? `${atHand} at hand` : '';
    },
  },
  {
    path: 'arrange',
    load: async () => (await import('../stages/arrange/ArrangePage')).ArrangePage,
    name: 'Arrange',
    key: 'a',
    about: 'Arrange: looks to scale',
    figure: ({ looks }) => count(looks.length, 'look', 'looks'),
  },
  {
    path: 'wrap',
    load: async () => (await import('../stages/wrap/WrapPage')).WrapPage,
    name: 'Wrap',
    key: 'e',
    about: 'Wrap, the end: what it came to, what is left to do',
    figure: () => '',
  },
];

/** Pages of a project that belong to a stage and have an address of their own. */
export const furtherPages: readonly Page[] = [
  { path: 'hunt/card', load: async () => (await import('../stages/hunt/card/CardPage')).CardPage },
  { path: 'hunt/places', load: async () => (await import('../stages/hunt/PlacesPage')).PlacesPage },
  { path: 'hunt/ledger', load: async () => (await import('../stages/hunt/money/MoneyPage')).MoneyPage },
  { path: 'hunt/trips', load: async () => (await import('../stages/hunt/TripsPage')).TripsPage },
  { path: 'hunt/ads', load: async () => (await import('../stages/hunt/AdsPage')).AdsPage },
  { path: 'hunt/offers', load: async () => (await import('../stages/hunt/OffersPage')).OffersPage },
  { path: 'list', load: async () => (await import('../stages/sketch/HuntingListPage')).HuntingListPage },
  { path: 'makeover/labels', load: async () => (await import('../stages/makeover/LabelsPage')).LabelsPage },
  { path: 'makeover/cut', load: async () => (await import('../stages/makeover/cut/CutPage')).CutPage },
  { path: 'makeover/recolor', load: async () => (await import('../stages/makeover/prints/RecolorPage')).RecolorPage },
  { path: 'makeover/machine', load: async () => (await import('../stages/makeover/artwork/MachinePage')).MachinePage },
  { path: 'makeover/cut/:key', load: async () => (await import('../stages/makeover/cut/CutPage')).CutPage },
  { path: 'makeover/:recipeId', load: async () => (await import('../stages/makeover/MakeoverPage')).MakeoverPage },
  { path: 'compare/plans', load: async () => (await import('../stages/compare/PlansPage')).PlansPage },
  { path: 'compare/ways', load: async () => (await import('../stages/compare/WaysPage')).WaysPage },
  { path: 'balance/list', load: async () => (await import('../stages/balance/ShoppingListPage')).ShoppingListPage },
  { path: 'bench/hours', load: async () => (await import('../stages/bench/HoursPage')).HoursPage },
  { path: 'bench/log', load: async () => (await import('../stages/bench/LogPage')).LogPage },
  { path: 'bench/step', load: async () => (await import('../stages/bench/StepPage')).StepPage },
  { path: 'arrange/choose', load: async () => (await import('../stages/arrange/ChoosePage')).ChoosePage },
  { path: 'arrange/photo', load: async () => (await import('../stages/arrange/PhotoPage')).PhotoPage },
  { path: 'arrange/hang', load: async () => (await import('../stages/arrange/HangPage')).HangPage },
  { path: 'wrap/sheet/:which', load: async () => (await import('../stages/wrap/sheets/SheetsPage')).SheetsPage },
  { path: 'wrap/bill/:billId', load: async () => (await import('../stages/wrap/sheets/BillPage')).BillPage },
  { path: 'assumptions', load: async () => (await import('../stages/assumptions/AssumptionsPage')).AssumptionsPage },
];
