import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { perform } from '../acts/perform';
import { ciede2000 } from '../color/ciede2000';
import { following, refusal, uuid } from '../fixtures/following';
import { furnishedRoom } from '../fixtures/furnishedRoom';
import { playActs } from '../fixtures/playActs';
import { AS_OF, card, fill, find, offer, option, project, rows, slot, supply } from '../fixtures/projectRows';
import { grouped } from '../kernel/grouped';
import { Memo } from '../kernel/memo';
import { stated } from '../kernel/price';
import type { FindRow, PieceRow, ProjectRows, SlotRow } from '../model/rows';
import { computePlan, type Plan } from '../plan/computePlan';
import { newPiece } from '../sourcing/newPiece';
import { emptyBrief } from '../state/brief';
import { nameOfThought, type Proposed, proposeWays } from './proposeWays';
import { slotsToPropose } from './slotsToPropose';
import { thingsAround, thoughtsFor, unsaidFor } from './thoughts';

const TODAY = '2026-06-01';
const TEAL = card(uuid(3), 'Harbor teal', '#2f5d62');

/** Ids one after the other, far from those that tests give. */
const ids = () => {
  let made = 500_000;
  return () => {
    made += 1;
    return uuid(made);
  };
};

/** A project that wants teal, with one slot for a nightstand. */
function room(change: Partial<ProjectRows> = {}, of: Partial<SlotRow> = {}): ProjectRows {
  return rows({
    project: project({
      id: uuid(1),
      brief: { ...emptyBrief, palette: [{ colorCardId: TEAL.id, role: 'main' }] },
    }),
    slots: [slot(uuid(41), { name: 'Nightstand, left', ...of })],
    colorCards: [TEAL],
    ...change,
  });
}

const nightstand = (n: number, price: number, change: Partial<FindRow> = {}): FindRow =>
  find(uuid(n), price, { name: 'Nightstand', pieceId: uuid(n + 1000), materialId: 'pine', finishId: null, ...change });

/** A piece of the house from a line. */
const ours = (n: number, line: string, change: Partial<PieceRow> = {}): PieceRow => ({
  ...newPiece(uuid(n), line, { units: 'us', currency: 'USD', today: TODAY }),
  version: 1,
  inHouse: true,
  ...change,
});

function proposed(of: ProjectRows, house: readonly PieceRow[] = [], slotId = uuid(41)): Proposed & { plan: Plan } {
  const plan = computePlan(of, AS_OF);
  const newId = ids();
  const asked = plan.slot(slotId)?.slot;
  if (!asked) throw new Error('no such slot');
  const around = thingsAround(plan, house, TODAY, newId);
  return { plan, ...proposeWays(plan, asked, thoughtsFor(plan, asked, around, newId), new Memo()) };
}

const named = ({ ways }: Proposed) => ways.map(({ thought }) => `${thought.kind}: ${nameOfThought(thought)}`);
const finishesOf = ({ ways, left }: Proposed) =>
  [...ways, ...left].flatMap(({ thought }) => (thought.kind === 'makeover' ? [thought.finish] : []));
const whyOf = ({ left }: Proposed, words: string) =>
  left.find(({ thought }) => nameOfThought(thought).includes(words))?.why;

describe('ways proposed for a slot', () => {
  it('come from the finds, each as found and in every finish that holds on it', () => {
    const told = proposed(room({ finds: [nightstand(11, 1200)] }));
    expect(new Set(finishesOf(told))).toEqual(new Set(['paint', 'spray', 'wash', 'stain', 'paper', 'film']));
    expect(named(told)).toContain('asFound: Nightstand');
    expect(told.ways.length).toBe(5);
    // What is shown differs in kind: no two of one finish while others are left.
    expect(new Set(told.ways.map(({ thought }) => `${thought.kind} ${thought.finish}`)).size).toBe(5);
  });

  it('take the thing that is called as the slot first, and never lose it to a cheaper one that only would do', () => {
    const basket = (n: number, name: string, price: number) =>
      nightstand(n, price, {
        name,
        templateId: 'basket',
        materialId: 'wicker',
        measures: { diameter: 300, height: 300 },
      });
    const of = room({
      slots: [slot(uuid(41), { name: 'Hamper' }), slot(uuid(42), { number: 2, name: 'Basket for pegs' })],
      finds: [basket(11, 'Wicker basket', 400), basket(12, 'Wicker hamper', 900)],
    });
    const [hamper, pegs] = [proposed(of), proposed(of, [], uuid(42))];
    expect(named(hamper)[0]).toBe('asFound: Wicker hamper');
    expect(named(pegs)[0]).toBe('asFound: Wicker basket');
    // Each of them may go to the other slot, so both stand among the ways of both.
    for (const told of [hamper, pegs])
      expect(new Set(told.ways.flatMap(({ option: { model } }) => model.finds.map(({ name }) => name))).size).toBe(2);
  });

  it('make a color once for all slots where the studio knows none', () => {
    const bare = room({
      project: project({ id: uuid(1) }),
      colorCards: [],
      slots: [slot(uuid(41), { name: 'Nightstand' }), slot(uuid(42), { number: 2, name: 'Nightstand, right' })],
      finds: [nightstand(11, 1200, { count: 2 })],
    });
    const plan = computePlan(bare, AS_OF);
    const newId = ids();
    const around = thingsAround(plan, [], TODAY, newId);
    const cards = plan.slots.flatMap(({ slot: asked }) =>
      thoughtsFor(plan, asked, around, newId).flatMap(({ payload }) => payload.colorCard ?? []),
    );
    const byName = grouped(cards, ({ name }) => name);
    expect([...byName.keys()].sort()).toEqual(['Walnut', 'White']);
    for (const same of byName.values()) expect(new Set(same.map(({ id }) => id)).size).toBe(1);
  });

  it('leave a dearer thing out where nothing else wants the cheaper one', () => {
    const told = proposed(room({ finds: [nightstand(11, 1200), nightstand(12, 1900)] }));
    const pieces = new Set(told.ways.flatMap(({ option: { model } }) => model.finds.map(({ id }) => id)));
    expect([...pieces]).toEqual([uuid(11)]);
  });

  // Common practice, no source.
  it.each([
    ['Curtains', 'Cotton curtains', 'fabric', []],
    ['Rug', 'Wool rug', 'fabric', []],
    ['Wreath', 'Faux wreath', 'fauxLeaf', []],
    ['Vase', 'Glass vase', 'glass', ['wash', 'paint', 'spray', 'paper']],
    ['Planter', 'Terracotta pot', 'terracotta', ['wash', 'paint', 'spray', 'paper']],
    ['Pumpkin', 'Foam pumpkin', 'polystyreneFoam', ['wash', 'paint', 'spray', 'paper']],
    ['Crate', 'Pine crate', 'pine', ['wash', 'paint', 'spray', 'paper', 'stain', 'film']],
  ] as const)('on a %s try only what somebody would think of: %s', (slotName, name, materialId, expected) => {
    const thing = nightstand(11, 500, { name, materialId, templateId: 'freeBox', measures: {} });
    const told = proposed(room({ slots: [slot(uuid(41), { name: slotName })], finds: [thing] }));
    expect([...new Set(finishesOf(told))].sort()).toEqual([...expected].sort());
    expect(named(told)).toContain(`asFound: ${name}`);
  });

  it.each([
    ['Rug', 'Velvet cushion'],
    ['Cushion', 'Linen runner'],
    ['Headboard', 'Wooden crib'],
    ['Sofa', 'Pine stool'],
    ['Pumpkin', 'Concrete bird bath'],
    ['Mug', 'Wine glass'],
    ['Wreath', 'Ivy garland'],
  ])('a slot for a %s is not answered by a thing of its kind that is another: %s', (slotName, name) => {
    const told = proposed(
      room({
        slots: [slot(uuid(41), { name: slotName })],
        finds: [nightstand(11, 500, { name, templateId: 'freeBox' })],
      }),
    );
    expect([...told.ways, ...told.left].filter(({ thought }) => thought.what === name)).toEqual([]);
  });

  it('are left out where a finish does not hold: nothing is stained that soaks nothing up', () => {
    const told = proposed(room({ finds: [nightstand(11, 1200, { materialId: 'polypropylene' })] }));
    for (const { thought } of [...told.ways, ...told.left]) expect(thought.finish).not.toBe('stain');
    for (const materialId of ['glass', 'ferrousMetal', 'laminate']) {
      const hard = proposed(room({ finds: [nightstand(11, 1200, { materialId })] }));
      expect([materialId, finishesOf(hard).includes('stain')]).toEqual([materialId, false]);
      expect(named(hard)).toContain('asFound: Nightstand');
    }
  });

  it('carry whole recipes: nothing in them peels or is refused', () => {
    const told = proposed(room({ finds: [nightstand(11, 1200, { finishId: 'glossyVarnish', sheen: 'gloss' })] }));
    for (const { option: way } of told.ways) {
      expect(way.refused).toBe(false);
      expect(way.findings.filter(({ code, severity }) => code.startsWith('joint.') && severity === 'stop')).toEqual([]);
    }
  });

  it('show the figures that the board shows once they are put on it', () => {
    const start = room({
      finds: [nightstand(11, 1200), nightstand(12, 2500)],
      offers: [offer(uuid(31), 8840, { name: 'Nightstand, new' })],
    });
    const told = proposed(start);
    const after = following(start, 'addOptions', { options: told.ways.map(({ thought }) => thought.payload) });
    const plan = computePlan(after, AS_OF);
    for (const { thought, option: shown } of told.ways) {
      const onBoard = plan.option(thought.payload.option.id);
      expect(onBoard?.cashAdded).toEqual(shown.cashAdded);
      expect(onBoard?.stashUsed).toBe(shown.stashUsed);
      expect(onBoard?.hoursAdded).toEqual(shown.hoursAdded);
      expect(onBoard?.usableMs).toBe(shown.usableMs);
      expect(onBoard?.comparison).toEqual(shown.comparison);
    }
    // Asked again, what is on the board is not proposed a second time.
    const again = proposed(after);
    const things = ({ option: { model } }: (typeof told.ways)[number]) =>
      [...model.finds.map(({ id }) => id), ...model.offers.map(({ offer: own }) => own.id)].join();
    const taken = new Set(told.ways.map((way) => `${nameOfThought(way.thought)} ${things(way)}`));
    for (const way of again.ways) expect(taken.has(`${nameOfThought(way.thought)} ${things(way)}`)).toBe(false);
    expect(again.left.filter(({ why }) => why.kind === 'onBoard').length).toBe(told.ways.length);
  });

  it('leave out what another does for less, and say what it costs more', () => {
    const told = proposed(room({ finds: [nightstand(11, 1200), nightstand(12, 2500)] }));
    const beaten = told.left.filter(({ why }) => why.kind === 'beaten');
    expect(beaten.length).toBeGreaterThan(0);
    for (const { option: way, why } of beaten) {
      expect(way.model.finds[0]?.id).toBe(uuid(12));
      // The same work on the same piece: only the tag differs.
      expect(why).toMatchObject({ kind: 'beaten', cost: 1300, minutes: 0, days: 0 });
    }
    for (const { option: way } of told.ways) expect(way.model.finds[0]?.id).toBe(uuid(11));
  });

  it('are beaten by nothing that is told: cost, hours, day, and a look that is no worse', () => {
    const finds = [
      nightstand(11, 1200),
      nightstand(12, 900, { finishId: 'glossyVarnish', sheen: 'gloss' }),
      nightstand(13, 3100, { color: TEAL.lab }),
    ];
    const told = proposed(room({ finds }));
    for (const { option: loser, thought } of told.ways)
      for (const { option: winner, thought: other } of [...told.ways, ...told.left]) {
        if (winner === loser || other.finish !== thought.finish || thought.kind !== other.kind) continue;
        const color = (way: typeof winner) => way.model.finds[0]?.color ?? TEAL.lab;
        const nearer =
          thought.finish !== null || ciede2000(color(winner), TEAL.lab) <= ciede2000(color(loser), TEAL.lab);
        const less =
          winner.cashAdded.likely + winner.stashUsed <= loser.cashAdded.likely + loser.stashUsed - 1 &&
          winner.hoursAdded.likely < loser.hoursAdded.likely &&
          winner.usableMs <= loser.usableMs;
        expect(less && nearer && !winner.refused).toBe(false);
      }
  });

  it('take what is on the shelf in the color that is wanted', () => {
    const shelf = supply(uuid(51), 'mineralPaint', TEAL.id, 'matt', { stash: { state: 'exact', amount: 900 } });
    const told = proposed(room({ finds: [nightstand(11, 1200)], supplies: [shelf] }));
    const way = (words: string) =>
      [...told.ways, ...told.left].find(({ thought }) => thought.how.toLowerCase().includes(words))?.option;
    // The can is there: nothing of it is bought, and what it is worth is told as stash used.
    const can = way('mineral')?.added.lines.find(({ draw }) => draw.key.startsWith('mineralPaint'));
    expect(can?.cash.likely).toBe(0);
    expect(can?.stashMicro).toBeGreaterThan(0);
    expect(way('mineral')?.cashAdded.likely).toBeLessThan(way('enamel, harbor')?.cashAdded.likely ?? 0);
  });

  it('come from the house too: a piece that the project does not know comes along', () => {
    const piece = ours(901, 'nightstand, pine');
    const start = room();
    const told = proposed(start, [piece]);
    expect(named(told)[0]).toMatch(/^own: /);
    const options = told.ways.map(({ thought }) => thought.payload);
    const after = following({ ...start, pieces: [piece] }, 'addOptions', { options });
    // One sighting for all the ways that take it.
    expect(after.finds.filter(({ pieceId }) => pieceId === piece.id).length).toBe(1);
    expect(after.options.length).toBe(told.ways.length);
  });

  it('alter what is borrowed only when its owner said so', () => {
    const lent = ours(901, 'nightstand, pine', { borrowedFrom: 'Mara' });
    expect(finishesOf(proposed(room(), [lent]))).toEqual([]);
    expect(finishesOf(proposed(room(), [{ ...lent, mayAlter: true }])).length).toBeGreaterThan(0);
  });

  it('try no finish on what nobody said the material of, on greenery and on candles', () => {
    const unsaid = ours(901, 'curio');
    const plan = computePlan(room({}, { name: 'Curio' }), AS_OF);
    const asked = plan.slots[0]?.slot as SlotRow;
    const around = thingsAround(plan, [unsaid], TODAY, ids());
    expect(unsaidFor(asked, around).map(({ name }) => name)).toEqual([unsaid.name]);
    expect(finishesOf(proposed(plan.rows, [unsaid]))).toEqual([]);
    for (const line of ['fern', 'pillar candle']) {
      const told = proposed(room({}, { name: line }), [ours(902, line)]);
      expect(named(told)).toEqual([`own: ${ours(902, line).name}`]);
    }
  });

  it('hold another kind of thing for no answer, nor what is too large', () => {
    const limits = { minimumMm: null, maximumMm: 300 };
    expect(
      named(proposed(room({ finds: [nightstand(11, 1200, { name: 'Table lamp', templateId: 'lampBase' })] }))),
    ).toEqual([]);
    expect(named(proposed(room({ finds: [nightstand(11, 1200)] }, { width: limits })))).toEqual([]);
  });

  it('make from scratch what the slot asks for by name, as large as it wants it', () => {
    const told = proposed(room({}, { name: 'Floating shelf', width: { minimumMm: 700, maximumMm: 700 } }));
    const made = told.ways.find(({ thought }) => thought.kind === 'make');
    expect(made?.thought.what).toContain('Floating shelf');
    expect(made?.option.model.recipe?.built[0]?.values.lengthMm).toBe(700);
  });

  it('take prices of the price book, and put what to compare with first where nothing is', () => {
    const note = {
      id: uuid(71),
      version: 1,
      subject: 'piece' as const,
      subjectId: 'nightstand',
      name: 'Nightstand in white',
      price: stated(6400),
      currency: '',
      source: '',
      seenOn: TODAY,
    };
    const told = proposed(room({ finds: [nightstand(11, 1200)], priceNotes: [note] }));
    expect(named(told)[0]).toBe('buyNew: Nightstand in white');
    expect(told.ways[0]?.option.comparison.kind).toBe('isYardstick');
    // In other money it is no price here.
    const foreign = proposed(room({ priceNotes: [{ ...note, currency: 'EUR' }] }));
    expect(foreign.ways).toEqual([]);
  });

  it('do not take from another slot what it has, unless there is more of it', () => {
    const shared = (count: number) =>
      room({
        finds: [nightstand(11, 1200, { count })],
        slots: [slot(uuid(41), { name: 'Nightstand, left' }), slot(uuid(42), { name: 'Nightstand, right', number: 2 })],
        options: [option(uuid(61), uuid(42), 'asFound', { parts: [{ findId: uuid(11), offerId: null, pieces: 1 }] })],
        fills: [fill(uuid(42), uuid(61))],
      });
    const one = proposed(shared(1));
    expect(one.ways).toEqual([]);
    expect(whyOf(one, 'Nightstand')).toMatchObject({ kind: 'taken', by: { number: 2 } });
    expect(named(proposed(shared(2)))).toContain('asFound: Nightstand');
  });

  it('say of what would be late, refused or unpriced why it stays out', () => {
    const soon = room({ finds: [nightstand(11, 1200)] });
    const late = proposed({ ...soon, project: { ...soon.project, revealDate: '2026-06-03' } });
    expect(late.left.some(({ why }) => why.kind === 'late')).toBe(true);
    expect(late.ways.every(({ option: { usableMs } }) => usableMs <= Date.parse('2026-06-03T04:00:00Z'))).toBe(true);
    const cot = proposed(room({ finds: [nightstand(11, 1200, { kind: 'dropSideCot' })] }));
    expect(cot.ways).toEqual([]);
    expect(cot.left.every(({ why }) => why.kind === 'refused')).toBe(true);
  });

  it('go to open slots, what counts most first; what is kept is left alone', () => {
    const plan = computePlan(
      room({
        slots: [
          slot(uuid(41), { number: 1, importance: 'nice' }),
          slot(uuid(42), { number: 2, importance: 'must' }),
          slot(uuid(43), { number: 3, locked: true }),
          slot(uuid(44), { number: 4, leftOut: true, importance: 'nice' }),
        ],
      }),
      AS_OF,
    );
    expect(slotsToPropose(plan).map(({ number }) => number)).toEqual([2, 1]);
  });

  it('are always few, different, choosable, and taken by the board, whatever went before', () => {
    const start = furnishedRoom();
    const newId = ids();
    fc.assert(
      fc.property(fc.array(fc.array(fc.nat(9999), { minLength: 6, maxLength: 12 }), { maxLength: 25 }), (throws) => {
        const state = playActs(start, throws, newId).at(-1) ?? start;
        const plan = computePlan(state, AS_OF);
        const around = thingsAround(plan, [], TODAY, newId);
        for (const { slot: asked } of plan.slots.slice(0, 2)) {
          const told = proposeWays(plan, asked, thoughtsFor(plan, asked, around, newId), new Memo());
          expect(told.ways.length).toBeLessThanOrEqual(5);
          expect(new Set(told.ways.map(({ thought }) => nameOfThought(thought) + thought.kind)).size).toBe(
            told.ways.length,
          );
          if (told.ways.length === 0) continue;
          const options = told.ways.map(({ thought }) => thought.payload);
          const outcome = perform(state, 'addOptions', { options });
          expect(outcome.ok).toBe(true);
          for (const { option: way } of told.ways) expect(way.refused).toBe(false);
        }
      }),
      { numRuns: 25 },
    );
  });
});

describe('adding several ways', () => {
  it('brings a find, a color or a recipe of several of them once, and nothing when one is refused', () => {
    const start = room();
    const piece = nightstand(11, 1200);
    const way = (n: number, slotId = uuid(41)) => ({
      option: option(uuid(n), slotId, 'asFound', { parts: [{ findId: piece.id, offerId: null, pieces: 1 }] }),
      find: piece,
      offer: null,
      recipe: null,
      colorCard: null,
    });
    const after = following(start, 'addOptions', { options: [way(61), way(62)] });
    expect([after.finds.length, after.options.length]).toEqual([1, 2]);
    expect(refusal(start, 'addOptions', { options: [way(61), way(62, uuid(99))] }).field).toBe('option.slotId');
    expect(refusal(start, 'addOptions', { options: [] }).accepted).toContain('at least one');
  });
});
