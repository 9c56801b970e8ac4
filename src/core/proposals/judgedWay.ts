import { likingOf } from '../balance/lookValue';
import { ciede2000 } from '../color/ciede2000';
import type { Lab } from '../color/lab';
import { severityRank, worstSeverity } from '../kernel/finding';
import type { OptionPlan } from '../plan/computePlan';
import { finishedColor } from '../plan/finishedColor';
import { costOf } from '../plan/optionFigures';
import { pluralsOf } from '../sourcing/lineNumbers';
import { headPhrase } from '../sourcing/pieceKindOf';
import { SAME_COLOR } from '../sourcing/rankedPieces';
import type { Finish } from './finishTries';

/** A color this much farther from what is wanted (ΔE00) is no worse to the eye ("noticed side by side"). */
const NO_WORSE = 2;

/** A way as it is held against others: thought of, or on the board already. */
export interface JudgedWay {
  name: string;
  finish: Finish | null;
  option: OptionPlan;
  cost: number;
  minutes: number;
  /** ΔE00 to the nearest color that the slot wants; null where either is not known. */
  offColor: number | null;
  color: Lab | null;
  misfits: number;
  risk: number;
  liking: number;
  /** Whether its thing is called as the slot calls it: a hamper for “Hamper”, where a basket would do. */
  isNamed: boolean;
  /** The finds that it takes, and whether any of them would serve another open slot as well. */
  findIds: readonly string[];
  isWantedElsewhere: boolean;
}

/** What a thing is held against beside its figures. */
export interface Wanted {
  /** Colors that the slot wants. */
  colors: readonly Lab[];
  slotName: string;
  /** Finds that serve other open slots as well. */
  elsewhere: ReadonlySet<string>;
}

/** The noun that some words name a thing by: "Nightstand, left" → "nightstand", "Basket for pegs" → "basket". */
const nounOf = (name: string): string =>
  headPhrase(name.split(',')[0] ?? '')
    .split(' ')
    .at(-1) ?? '';

/** Whether a thing is called by the noun that a slot is called by, be it one of them or several. */
export function isNamedAs(slotName: string, thing: string): boolean {
  const [a, b] = [nounOf(slotName), nounOf(thing)];
  return a !== '' && (a === b || pluralsOf(a).includes(b) || pluralsOf(b).includes(a));
}

/** A way with what it is held against others by. */
export function judgedWay(name: string, finish: Finish | null, option: OptionPlan, wanted: Wanted): JudgedWay {
  const { finds } = option.model;
  const color = finishedColor(option.model);
  const isFit = (code: string) => code.startsWith('fit.');
  return {
    name,
    finish,
    option,
    cost: costOf(option),
    minutes: option.hoursAdded.likely,
    color,
    offColor:
      color && wanted.colors.length > 0 ? Math.min(...wanted.colors.map((card) => ciede2000(color, card))) : null,
    misfits: option.findings.filter(({ code }) => isFit(code)).length,
    risk: severityRank[worstSeverity(option.findings.filter(({ code }) => !isFit(code))) ?? 'note'],
    liking: likingOf(option.option),
    isNamed: finds.some((find) => isNamedAs(wanted.slotName, find.name)),
    findIds: finds.map(({ id }) => id),
    isWantedElsewhere: finds.some(({ id }) => wanted.elsewhere.has(id)),
  };
}

/** Whether one way would look no worse than another in the same place: as near to the color, in the same kind of finish. */
function looksNoWorse(winner: JudgedWay, loser: JudgedWay): boolean {
  const [a, b] = [winner.finish, loser.finish];
  const isOpaque = (finish: Finish | null) => finish === 'paint' || finish === 'spray';
  // What has the right color already needs no paint; a wash, a stain or a paper is a look of its own.
  const isSameKind = a === b || (isOpaque(a) && isOpaque(b)) || (a === null && isOpaque(b));
  if (!isSameKind || winner.liking < loser.liking || winner.misfits > loser.misfits) return false;
  if (loser.offColor !== null) return winner.offColor !== null && winner.offColor <= loser.offColor + NO_WORSE;
  if (winner.color === null || loser.color === null) return winner.color === loser.color;
  return ciede2000(winner.color, loser.color) <= SAME_COLOR;
}

/** Whether two ways take the same things. */
export const sameFinds = (a: Pick<JudgedWay, 'findIds'>, b: Pick<JudgedWay, 'findIds'>): boolean =>
  a.findIds.length === b.findIds.length && a.findIds.every((id) => b.findIds.includes(id));

/** Whether a way does what another does in everything that counts, for no more, and something of it for less. */
export function beats(winner: JudgedWay, loser: JudgedWay, isFirst: boolean): boolean {
  if (loser.isNamed && !winner.isNamed) return false;
  // What serves another slot as well may be gone there: then the other thing is not beaten.
  if (winner.isWantedElsewhere && !sameFinds(winner, loser)) return false;
  if (winner.option.cashAdded.atLeast && !loser.option.cashAdded.atLeast) return false;
  const no = [
    winner.cost - loser.cost,
    winner.minutes - loser.minutes,
    winner.option.usableMs - loser.option.usableMs,
    winner.risk - loser.risk,
    loser.option.count - winner.option.count,
  ];
  if (no.some((more) => more > 0) || !looksNoWorse(winner, loser)) return false;
  return isFirst || no.some((more) => more < 0);
}
