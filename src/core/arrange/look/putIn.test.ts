import { describe, expect, it } from 'vitest';
import { uuid } from '../../fixtures/following';
import { verdictsOf } from '../../fixtures/lookRows';
import { putIntoLook } from '../../fixtures/putIntoLook';
import { lookRoom } from './lookRoom';
import { type LookThing, meets } from './lookThing';
import { settledInFront } from './settle';

const IN = 25.4;
const wall = { kind: 'wall', widthMm: 120 * IN, heightMm: 96 * IN };
const sideboard = { kind: 'sideboard', widthMm: 66 * IN, depthMm: 18 * IN, heightMm: 58 * IN };
const middle = ({ box }: LookThing) => (box.leftMm + box.rightMm) / 2;
const heightOfMiddle = ({ box }: LookThing) => (box.footMm + box.topMm) / 2;
const asks = (look: ReturnType<typeof putIntoLook>, checkId: string) =>
  verdictsOf(look.rows()).filter((verdict) => verdict.check.id === checkId && verdict.state !== 'holds');

describe('what is put in one after the other', () => {
  it('a mat lies before the door, a rug that is wider than it in the middle', () => {
    const door = { kind: 'door' as const, name: '', xMm: 80 * IN, yMm: 0, widthMm: 32 * IN, heightMm: 80 * IN };
    const look = putIntoLook({ ...wall, features: [{ ...door, id: uuid(970) }] });
    look.say('door mat, 28 in wide', 'rug, 60 in wide');
    expect(middle(look.find('Door mat'))).toBeCloseTo(96 * IN, 0);
    expect(middle(look.find('Rug'))).toBeCloseTo(60 * IN, 0);
  });

  it('hooks hang for coats, whatever stands below, and nobody says that they float', () => {
    const look = putIntoLook(wall);
    look.say('bench, 48 in wide, 18 in tall', 'coat rack, 36 in wide, 6 in tall', 'key hooks, 16 in wide, 5 in tall');
    expect(look.find('Coat rack').box.footMm).toBeCloseTo(62 * IN, 0);
    expect(asks(look, 'gapOver')).toEqual([]);
  });

  it('a picture over a screen hangs over the screen', () => {
    const look = putIntoLook(wall);
    look.say(
      'media console, 60 in wide, 20 in tall',
      'television, 44 in wide, 26 in tall',
      'print, 20 in wide, 16 in tall',
    );
    const [screen, print] = [look.find('Television'), look.find('Print')];
    expect(print.box.footMm - screen.box.topMm).toBeCloseTo(8 * IN, 0);
    expect(asks(look, 'gapOver')).toEqual([]);
  });

  it('furniture that comes later takes onto it what belongs there', () => {
    const look = putIntoLook(wall);
    look.say('television, 44 in wide, 26 in tall', 'round pillow, 16 in wide', 'basket, 14 in wide');
    look.say('media console, 60 in wide, 20 in tall', 'bench, 40 in wide, 18 in tall');
    expect(look.find('Television').placement.onId).toBe(look.find('Media console').id);
    expect(look.find('Round pillow').placement.onId).toBe(look.find('Bench').id);
    // A basket stands on the floor, before and after.
    expect(look.find('Basket').placement.onId).toBe(null);
  });

  it('what belongs on furniture is squeezed in there before it goes to the floor', () => {
    const look = putIntoLook(wall);
    look.say('dresser, 50 in wide', 'lamp, 9 in wide, 17 in tall', 'bunny, 8 in wide, 12 in tall', 'box, 14 in wide');
    look.say('three books, 8 in wide, 10 in tall');
    expect(look.find('Books').placement.onId).toBe(look.find('Dresser').id);
    expect(asks(look, 'sameSpace')).toEqual([]);
  });

  it('a shelf on the wall carries what is small; what hangs later keeps clear of it', () => {
    const look = putIntoLook(wall);
    look.say(
      'floating shelf, 24 in wide, 8 in deep',
      'fern in a pot, 8 in wide, 10 in tall',
      'candle',
      'towel hook, 3 in wide, 5 in tall',
    );
    const shelf = look.find('Floating shelf');
    expect([look.find('Fern').placement.onId, look.find('Candle').placement.onId]).toEqual([shelf.id, shelf.id]);
    expect(meets(look.find('Towel').box, look.find('Fern').box)).toBe(false);
  });

  it('two lamps frame what comes between them, and go on doing so', () => {
    const look = putIntoLook(sideboard);
    look.say('two buffet lamps', 'ginger jar, 9 in wide, 15 in tall', 'cake stand', 'vase, 8 in wide, 12 in tall');
    const lamps = look.things().filter(({ kinds }) => kinds.has('lamp'));
    const [left = 0, right = 0] = lamps.map(middle);
    expect(left + right).toBeCloseTo(66 * IN, 0);
    const inside = look.things().filter(({ kinds }) => !kinds.has('lamp'));
    for (const one of inside)
      expect(middle(one) > Math.min(left, right) && middle(one) < Math.max(left, right)).toBe(true);
  });

  it('where a top is full what is low stands before what is tall, which goes to the wall', () => {
    const look = putIntoLook({ ...sideboard, widthMm: 30 * IN, depthMm: 16 * IN });
    look.say(
      'vase, 7 in wide, 20 in tall',
      'box, 15 in wide, 12 in tall',
      'vase, 7 in wide, 20 in tall',
      'bowl, 6 in wide, 3 in tall',
    );
    const bowl = look.find('Bowl');
    expect(look.things().every((one) => one.id === bowl.id || !meets(one.box, bowl.box))).toBe(true);
    expect(bowl.box.frontMm).toBe(0);
  });

  it('a tray on a top gathers what is small', () => {
    const look = putIntoLook(sideboard);
    look.say('wooden tray, 18 in wide, 12 in deep, 2 in tall', 'candle', 'tall vase, 14 in wide, 16 in tall');
    expect(look.find('Candle').placement.onId).toBe(look.find('Wooden tray').id);
    expect(look.find('Tall vase').placement.onId).toBe(null);
  });

  it('a mirror hangs where it shows faces, as far as its gap lets it', () => {
    const look = putIntoLook({
      kind: 'console',
      widthMm: 48 * IN,
      heightMm: 60 * IN,
      measures: { surfaceHeightMm: 32 * IN },
    });
    look.say('mirror, 30 in wide, 32 in tall');
    expect(heightOfMiddle(look.find('Mirror')) / IN + 32).toBeGreaterThanOrEqual(56.9);
    expect([...asks(look, 'mirrorHeight'), ...asks(look, 'gapOver')]).toEqual([]);
  });

  it('stockings hang from the edge of a mantel, beside each other around its middle', () => {
    const look = putIntoLook({ kind: 'mantel', widthMm: 60 * IN });
    look.say('four stockings');
    const hung = look.things();
    expect(hung.map(({ box }) => box.topMm)).toEqual([0, 0, 0, 0]);
    expect(new Set(hung.map(({ box }) => Math.round(box.leftMm))).size).toBe(4);
    expect([...asks(look, 'outsideSpot'), ...asks(look, 'sameSpace'), ...asks(look, 'gapOver')]).toEqual([]);
  });

  it('a wreath hangs on the door of its porch, over the sign that hangs there', () => {
    const look = putIntoLook({ kind: 'porch', widthMm: 100 * IN });
    look.say('welcome sign', 'wreath, 22 in wide');
    expect(middle(look.find('Wreath'))).toBeCloseTo(50 * IN, 0);
    expect(meets(look.find('Wreath').box, look.find('Welcome').box)).toBe(false);
    expect(asks(look, 'keptClear')).toEqual([]);
  });

  it.each(['alarm clock', 'mantel clock', 'framed photo, 5 in wide, 7 in tall'])(
    '%s stands on the nightstand',
    (line) => {
      const look = putIntoLook(wall);
      look.say('nightstand, 22 in wide', line);
      expect(look.things().at(-1)?.placement).toMatchObject({ stance: 'stands', onId: look.find('Nightstand').id });
    },
  );

  it.each(['wall clock', 'cork board', 'framed photo, 16 in wide, 20 in tall', 'string lights', 'map'])(
    '%s hangs',
    (line) => {
      const look = putIntoLook(wall);
      look.say(line);
      expect(look.things()[0]?.placement.stance).toBe('hangs');
    },
  );

  it('a coffee table stands before its sofa, with room for the knees, and stays there when it is moved aside', () => {
    const look = putIntoLook(wall);
    look.say('sofa', 'coffee table');
    const [sofa, table] = [look.find('Sofa'), look.find('Coffee table')];
    expect(middle(table)).toBeCloseTo(middle(sofa), 0);
    expect(sofa.box.frontMm - table.box.backMm).toBeCloseTo(16 * IN, 0);
    expect([...asks(look, 'sameSpace'), ...asks(look, 'outsideSpot')]).toEqual([]);
    const [spot] = look.rows().spots;
    if (!spot) throw new Error('no spot');
    const { xMm } = table.placement;
    const { place } = settledInFront(table, { xMm: xMm + 100, footMm: 0 }, [sofa], lookRoom(spot), 2);
    expect(place.frontMm).toBe(table.placement.frontMm);
  });

  it('two candles stand far enough apart not to melt each other', () => {
    const look = putIntoLook({ kind: 'mantel', widthMm: 60 * IN });
    look.say('two candlesticks, 12 in tall');
    expect(asks(look, 'openFlame')).toEqual([]);
  });

  it('furniture on the floor is never what is taken away for balance', () => {
    const look = putIntoLook(wall);
    look.say('piano', 'piano bench', 'table lamp', 'stack of music books');
    for (const { fixes } of asks(look, 'balance'))
      for (const { act } of fixes)
        if (act.kind === 'takeAway')
          expect(look.things().filter(({ id, kinds }) => act.ids.includes(id) && kinds.has('floorPiece'))).toEqual([]);
  });

  it('frames in a row hang with their middles level', () => {
    const look = putIntoLook(wall);
    look.say('sofa', 'print, 20 in wide, 24 in tall', 'print, 16 in wide, 20 in tall');
    const [first, second] = look.things().filter(({ placement }) => placement.stance === 'hangs');
    expect(first && second && heightOfMiddle(first) - heightOfMiddle(second)).toBeCloseTo(0, 0);
  });
});

describe('on a floor and a table, from above', () => {
  it('a rug lies beneath all in the middle, what is small stands on tables, what is soft lies on seats', () => {
    const look = putIntoLook({ kind: 'floorArea', widthMm: 120 * IN, depthMm: 96 * IN });
    look.say('armchair', 'side table', 'mug', 'pillow, 16 in wide', 'rug, 60 in wide, 40 in deep');
    expect(look.find('Mug').placement.onId).toBe(look.find('Side table').id);
    expect(look.find('Pillow').placement.onId).toBe(look.find('Armchair').id);
    const rug = look.find('Rug');
    expect(middle(rug)).toBeCloseTo(60 * IN, 3);
    expect((rug.box.frontMm + rug.box.backMm) / 2).toBeCloseTo(48 * IN, 3);
    expect([...asks(look, 'rugBorder'), ...asks(look, 'sameSpace')]).toEqual([]);
  });

  it('napkins lie to the left of their plates, glasses over their right, in nobody’s place', () => {
    const look = putIntoLook({ kind: 'diningTable', widthMm: 84 * IN, depthMm: 42 * IN, measures: { seats: 6 } });
    look.say('six dinner plates', 'six napkins, 5 in wide', 'six glasses');
    const [plates, napkins, glasses] = ['Dinner', 'Napkin', 'Glass'].map((name) =>
      look.things().filter((thing) => thing.name.startsWith(name)),
    );
    expect([plates?.length, napkins?.length, glasses?.length]).toEqual([6, 6, 6]);
    for (const glass of glasses ?? [])
      for (const plate of plates ?? []) expect(meets(glass.box, plate.box)).toBe(false);
    for (const napkin of napkins ?? [])
      for (const plate of plates ?? []) expect(meets(napkin.box, plate.box)).toBe(false);
  });
});

describe('a lamp on a high top', () => {
  it('keeps its bulb out of the eyes of who walks by; on a low one out of those of who sits', () => {
    const on = (surfaceHeightMm: number, lampMm: number) => {
      const look = putIntoLook({ ...sideboard, measures: { surfaceHeightMm } });
      look.say(`table lamp, 12 in wide, ${lampMm / IN} in tall`);
      return verdictsOf(look.rows()).find(({ check }) => check.id === 'lampHeight');
    };
    expect(on(36 * IN, 28 * IN)).toMatchObject({ state: 'holds' });
    expect(on(36 * IN, 28 * IN)?.text.code).toBe('toldStanding');
    expect(on(36 * IN, 40 * IN)).toMatchObject({ state: 'lookAgain' });
    expect(on(28 * IN, 28 * IN)).toMatchObject({ state: 'lookAgain' });
    expect(on(26 * IN, 26 * IN)?.text.code).toBe('told');
  });
});
