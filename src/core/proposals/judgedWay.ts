import { likingOf } from '../balance/lookValue';
import { ciede2000 } from '../color/ciede2000';
import type { Lab } from '../color/lab';
import { severityRank, worstSeverity } from '../kernel/finding';
import type { OptionPlan } from '../plan/computePlan';
import { finishedColor } from '../plan/finishedColor';
import { costOf } from '../plan/optionFigures';
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
}

/** A way with what it is held against others by. */
export function judgedWay(name: string, finish: Finish | null, option: OptionPlan, wanted: readonly Lab[]): JudgedWay {
  const color = finishedColor(option.model);
  const isFit = (code: string) => code.startsWith('fit.');
  return {
    name,
    finish,
    option,
    cost: costOf(option),
    minutes: option.hoursAdded.likely,
    color,
    offColor: color && wanted.length > 0 ? Math.min(...wanted.map((card) => ciede2000(color, card))) : null,
    misfits: option.findings.filter(({ code }) => isFit(code)).length,
    risk: severityRank[worstSeverity(option.findings.filter(({ code }) => !isFit(code))) ?? 'note'],
    liking: likingOf(option.option),
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

/** Whether a way does what another does in everything that counts, for no more, and something of it for less. */
export function beats(winner: JudgedWay, loser: JudgedWay, isFirst: boolean): boolean {
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
