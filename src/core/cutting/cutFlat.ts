import { cheapestPacks, type PackPurchase } from '../pricing/cheapestPacks';
import type { Filler, Laid, Piece } from './filler';
import { piecesOf } from './filler';
import type { CutLayout, LaidUnit, Placement, UnitOrigin } from './layout';
import { leftoversOf } from './leftovers';
import { outlineFiller } from './outlines/outlineFiller';
import { purchasesByCost } from './purchases';
import { type CutQuestion, MM_PER_M } from './question';
import { boxFiller } from './rectangles/boxFiller';
import { type Attempt, type OpenUnit, resultOf, type Supply, searchOrders, UNPLACED } from './search';
import { soundPins } from './soundPins';

/** A unit as it can be begun, with where it is from. */
interface KnownUnit extends OpenUnit {
  origin: UnitOrigin;
  widthMm: number;
  lengthMm: number;
}

/** A supply with the units that its search speaks of. */
interface Offer {
  known: KnownUnit[];
  endless: KnownUnit | null;
  /** What the bought units of it come as; null where it follows from what is used. */
  purchase: PackPurchase | null;
}

/** How far a search has come. */
export interface CutProgress {
  round: number;
  rounds: number;
  /** The best layout so far; made when it is read. */
  layout(): CutLayout;
}

/** Rounds after which a purchase that does not hold everything is given up. */
const TRIAL_ROUNDS = 30;

const nothingBought: PackPurchase = cheapestPacks(0, []);

/** Lays parts on sheets or along rolls: boxes, or true outlines where there are any. */
export class FlatCut {
  private readonly question: CutQuestion;
  private readonly pieces: Piece[];
  private readonly filler: Filler;
  private readonly isRoll: boolean;

  /** @param byOrder whether boxes are laid as each order says, and not as they sit best */
  constructor(asked: CutQuestion, isQuick: boolean, byOrder = false) {
    const question = { ...asked, pins: soundPins(asked) };
    this.question = question;
    this.pieces = piecesOf(question.parts);
    const hasOutlines = question.parts.some(({ part }) => part.outline !== null);
    this.filler =
      hasOutlines && !isQuick
        ? outlineFiller(this.pieces, question.stock.gapMm)
        : boxFiller(this.pieces, question.stock.gapMm, byOrder);
    this.isRoll = question.stock.form === 'roll';
  }

  /**
   * Searches for so many rounds; yields what it has every few of them.
   * @param rounds 1 gives the first layout, by the usual order
   */
  *search(rounds: number): Generator<CutProgress, CutLayout> {
    const { seed } = this.question;
    const tooLarge = this.pieces.flatMap((_, piece) => (this.fitsSomewhere(piece) ? [] : [piece]));
    const order = this.pieces.map((_, piece) => piece).filter((piece) => !tooLarge.includes(piece));
    let answer: { offer: Offer; best: Attempt } | null = null;
    for (const offer of this.offers(order)) {
      const pinned = new Set(offer.known.flatMap((unit) => unit.pinned.map(({ piece }) => piece)));
      const left = order.filter((piece) => !pinned.has(piece));
      const supply: Supply = { units: offer.known, endless: offer.endless };
      // Whether the parts go on it at all is asked first, and shortly: the next purchase is only a little dearer.
      if (offer.endless === null && rounds > TRIAL_ROUNDS) {
        const trial = resultOf(searchOrders(supply, this.filler, left, { rounds: TRIAL_ROUNDS, seed }, UNPLACED));
        answer = { offer, best: trial };
        if (trial.unplaced.length > 0) continue;
      }
      const search = searchOrders(supply, this.filler, left, { rounds, seed });
      let step = search.next();
      while (!step.done) {
        const { best, round } = step.value;
        yield { round, rounds, layout: () => this.layoutOf(offer, best, tooLarge, rounds) };
        step = search.next();
      }
      answer = { offer, best: step.value };
      if (step.value.unplaced.length === 0) break;
    }
    return answer
      ? this.layoutOf(answer.offer, answer.best, tooLarge, rounds)
      : {
          units: [],
          tooLarge: this.keysOf(tooLarge),
          purchase: nothingBought,
          ownedUsed: 0,
          isQuick: rounds <= 1,
          isProven: true,
        };
  }

  private keysOf(pieces: readonly number[]): string[] {
    return [...new Set(pieces.flatMap((piece) => this.pieces[piece]?.part.key ?? []))];
  }

  /** Sizes that a unit may have: of leftovers, of what is there, of what can be had. */
  private sizes(): { widthMm: number; lengthMm: number }[] {
    const { stock, offcuts, owned, packs } = this.question;
    const sizes = offcuts.map(({ widthMm, lengthMm }) => ({ widthMm, lengthMm }));
    if (!this.isRoll) return [...sizes, { widthMm: stock.widthMm, lengthMm: stock.lengthMm ?? 0 }];
    const lengths =
      stock.byTheStep || packs.length === 0 ? [Number.POSITIVE_INFINITY] : packs.map(({ size }) => size * MM_PER_M);
    return [...sizes, ...[...lengths, owned * MM_PER_M].map((lengthMm) => ({ widthMm: stock.widthMm, lengthMm }))];
  }

  private fitsSomewhere(piece: number): boolean {
    return this.sizes().some((size) => this.filler.fits(piece, this.roomOf(size)));
  }

  private roomOf({ widthMm, lengthMm }: { widthMm: number; lengthMm: number }) {
    const { marginMm } = this.question.stock;
    return { widthMm: Math.max(0, widthMm - 2 * marginMm), lengthMm: Math.max(0, lengthMm - 2 * marginMm) };
  }

  private unit(key: string, origin: UnitOrigin, widthMm: number, lengthMm: number, weight: number): KnownUnit {
    const { marginMm } = this.question.stock;
    const pinned = this.question.pins.flatMap((pin): Laid[] => {
      if (pin.unitKey !== key) return [];
      const piece = this.pieces.findIndex(({ part, nth }) => part.key === pin.partKey && nth === pin.nth);
      const part = this.pieces[piece]?.part;
      if (!part) return [];
      const isTurned = pin.turnedDeg % 180 !== 0;
      return [
        {
          piece,
          xMm: pin.xMm - marginMm,
          yMm: pin.yMm - marginMm,
          widthMm: isTurned ? part.lengthMm : part.widthMm,
          lengthMm: isTurned ? part.widthMm : part.lengthMm,
          turnedDeg: pin.turnedDeg,
        },
      ];
    });
    return { key, origin, widthMm, lengthMm, weight, pinned, room: this.roomOf({ widthMm, lengthMm }) };
  }

  /** Leftovers of the house, the smallest first, then what is whole there. */
  private inHouse(): { known: KnownUnit[]; endless: KnownUnit | null } {
    const { stock, offcuts, owned } = this.question;
    const known = [...offcuts]
      .sort((a, b) => a.widthMm * a.lengthMm - b.widthMm * b.lengthMm || (a.id < b.id ? -1 : 1))
      .flatMap(({ id, widthMm, lengthMm, count }) =>
        Array.from({ length: count }, (_, n) =>
          this.unit(`offcut:${id}:${n}`, { kind: 'offcut', id }, widthMm, lengthMm, 0),
        ),
      );
    const house = { kind: 'house' } as const;
    const lengthMm = this.isRoll ? owned * MM_PER_M : (stock.lengthMm ?? 0);
    if (!Number.isFinite(owned)) {
      const long = this.isRoll ? Number.POSITIVE_INFINITY : lengthMm;
      return this.withBegun(known, (n) => this.unit(`house:${n}`, house, stock.widthMm, long, 1));
    }
    if (this.isRoll) {
      if (lengthMm > 0) known.push(this.unit('house:0', house, stock.widthMm, lengthMm, 0));
    } else
      for (let n = 0; n < Math.min(Math.floor(owned), this.pieces.length); n += 1)
        known.push(this.unit(`house:${n}`, house, stock.widthMm, lengthMm, 1e-3));
    return { known, endless: null };
  }

  /** Units without end: those that something was put on by hand stand by themselves, more follow. */
  private withBegun(
    known: readonly KnownUnit[],
    unit: (n: number) => KnownUnit,
  ): { known: KnownUnit[]; endless: KnownUnit } {
    const kind = unit(0).origin.kind;
    const most = Math.max(-1, ...this.question.pins.map((pin) => numberOf(pin.unitKey, kind)));
    const begun = Array.from({ length: Math.min(most + 1, this.pieces.length) }, (_, n) => unit(n));
    return {
      known: [...known, ...begun.filter(({ pinned }) => pinned.length > 0)],
      endless: { ...unit(0), pinned: [] },
    };
  }

  /** What may be had, the cheapest first: what comes after is tried only where the parts do not go on it. */
  private *offers(pieces: readonly number[]): Generator<Offer> {
    const { stock, packs } = this.question;
    const { known, endless } = this.inHouse();
    if (endless) {
      yield { known, endless, purchase: nothingBought };
      return;
    }
    if (!this.isRoll || stock.byTheStep || packs.length === 0) {
      const long = this.isRoll ? Number.POSITIVE_INFINITY : (stock.lengthMm ?? 0);
      const bought = (n: number) => this.unit(`bought:${n}`, { kind: 'bought', packId: '' }, stock.widthMm, long, 1);
      yield { ...this.withBegun(known, bought), purchase: null };
      return;
    }
    if (known.length > 0) yield { known, endless: null, purchase: nothingBought };
    for (const purchase of purchasesByCost(packs, this.leastBought(pieces, known))) {
      const rolls = purchase.packs.flatMap(({ id, count, size }) =>
        Array.from({ length: count }, () => ({ packId: id, lengthMm: size * MM_PER_M })),
      );
      // The longest first: what is short fits anywhere.
      rolls.sort((one, other) => other.lengthMm - one.lengthMm);
      const units = rolls.map(({ packId, lengthMm }, n) =>
        this.unit(`bought:${n}`, { kind: 'bought', packId }, stock.widthMm, lengthMm, 1),
      );
      yield { known: [...known, ...units], endless: null, purchase };
    }
  }

  /** Meters of a roll that the area of the parts asks for at least, beyond what is there. */
  private leastBought(pieces: readonly number[], known: readonly KnownUnit[]): number {
    const area = pieces.reduce((sum, piece) => {
      const part = this.pieces[piece]?.part;
      return sum + (part && part.outline === null ? part.widthMm * part.lengthMm : 0);
    }, 0);
    const there = known.reduce((sum, unit) => sum + unit.room.widthMm * unit.room.lengthMm, 0);
    const { widthMm } = this.roomOf({ widthMm: this.question.stock.widthMm, lengthMm: 0 });
    return Math.max(1e-3, (area - there) / Math.max(1, widthMm) / MM_PER_M);
  }

  private layoutOf(offer: Offer, { units, unplaced }: Attempt, tooLarge: readonly number[], rounds: number): CutLayout {
    const { stock, packs, parts } = this.question;
    const taken = new Set(offer.known.map(({ key }) => key));
    /** A name for one more of the units without end: the first number that none has. */
    const nameOf = ({ origin }: KnownUnit): string => {
      let n = 0;
      while (taken.has(`${origin.kind}:${n}`)) n += 1;
      taken.add(`${origin.kind}:${n}`);
      return `${origin.kind}:${n}`;
    };
    const laid = units.map(({ unit, filled }) => {
      const known = offer.known[unit] ?? offer.endless;
      if (!known) throw new Error('a layout speaks of a unit that was not offered');
      const isEndless = offer.known[unit] === undefined;
      const key = isEndless ? nameOf(known) : known.key;
      return this.laidUnit({ ...known, key }, filled.laid, filled.usedMm);
    });
    const bought = laid.filter(({ origin }) => origin.kind === 'bought');
    const house = laid.filter(({ origin }) => origin.kind === 'house');
    const meters = (list: readonly LaidUnit[]) => list.reduce((sum, { usedMm }) => sum + usedMm, 0) / MM_PER_M;
    const purchase =
      bought.length === 0
        ? nothingBought
        : (offer.purchase ?? cheapestPacks(this.isRoll ? meters(bought) : bought.length, packs));
    const area = parts.reduce(
      (sum, { part, count }) => sum + (part.outline ? 0 : part.widthMm * part.lengthMm * count),
      0,
    );
    const there = laid.reduce(
      (sum, unit) => sum + (unit.origin.kind === 'bought' ? 0 : unit.widthMm * unit.lengthMm),
      0,
    );
    const room = this.roomOf({ widthMm: stock.widthMm, lengthMm: stock.lengthMm ?? 0 });
    return {
      units: laid,
      tooLarge: this.keysOf([...tooLarge, ...unplaced]),
      purchase,
      ownedUsed: this.isRoll ? meters(house) : house.length,
      isQuick: rounds <= 1,
      isProven:
        bought.length === 0 ||
        (!this.isRoll && bought.length <= Math.ceil((area - there) / Math.max(1, room.widthMm * room.lengthMm) - 1e-9)),
    };
  }

  private laidUnit(unit: KnownUnit, laid: readonly Laid[], usedMm: number): LaidUnit {
    const { marginMm, gapMm, leastOffcutMm } = this.question.stock;
    const placed: Placement[] = [...unit.pinned, ...laid].flatMap(
      ({ piece, xMm, yMm, widthMm, lengthMm, turnedDeg }) => {
        const of = this.pieces[piece];
        return of
          ? [
              {
                partKey: of.part.key,
                nth: of.nth,
                xMm: xMm + marginMm,
                yMm: yMm + marginMm,
                widthMm,
                lengthMm,
                turnedDeg,
              },
            ]
          : [];
      },
    );
    const reach = Math.max(usedMm, ...unit.pinned.map(({ yMm, lengthMm }) => yMm + lengthMm));
    // A roll is cut off behind the last part; the rest stays on it.
    const used =
      this.isRoll && unit.origin.kind !== 'offcut' ? Math.min(unit.lengthMm, reach + 2 * marginMm) : unit.lengthMm;
    const room = {
      xMm: marginMm,
      yMm: marginMm,
      widthMm: unit.room.widthMm,
      lengthMm: Math.max(0, used - 2 * marginMm),
    };
    return {
      key: unit.key,
      origin: unit.origin,
      widthMm: unit.widthMm,
      lengthMm: Number.isFinite(unit.lengthMm) ? unit.lengthMm : used,
      usedMm: used,
      placed,
      leftovers: leftoversOf(room, placed, gapMm, leastOffcutMm),
    };
  }
}

/** The number of a unit of some origin by its key; -1 for any other. */
function numberOf(key: string, kind: UnitOrigin['kind']): number {
  const match = /^(\w+):(\d+)$/.exec(key);
  return match?.[1] === kind ? Number(match[2]) : -1;
}
