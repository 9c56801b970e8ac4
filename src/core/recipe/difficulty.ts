import type { Skill } from '../catalog/labor.data';
import type { ZoneStacks } from './stack';
import type { ZonePlan } from './zonePlans';

/** What a recipe asks of a hand: 1 a first piece, 2 practice, 3 a steady hand and patience; and why. */
export interface Difficulty {
  level: 1 | 2 | 3;
  because: string[];
}

/** The most that each skill is at home with. */
const atHome: Readonly<Record<Skill, Difficulty['level']>> = { beginner: 1, practiced: 2, professional: 3 };

/** Whether a recipe asks for more than a skill is at home with. */
export const asksMoreThan = ({ level }: Difficulty, skill: Skill): boolean => level > atHome[skill];

/** Straight lines are a beginner's piece, carving and weave are not; each technique says what it asks. */
export function difficultyOf(zones: readonly ZonePlan[], stacked: ZoneStacks): Difficulty {
  const because: string[] = [];
  let level = 1;
  const raise = (to: number, reason: string) => {
    level = Math.max(level, to);
    if (!because.includes(reason)) because.push(reason);
  };
  for (const { technique } of [...stacked.layers, ...stacked.works])
    if (technique.difficulty > 1 || technique.skillAsked !== 'a first piece')
      raise(technique.difficulty, `${technique.name.toLowerCase()}: ${technique.skillAsked}`);
  const worked = zones.filter((zone) => (stacked.stacks.get(zone.key)?.length ?? 0) > 0);
  if (worked.some((zone) => zone.zone.detail === 'spindles' || zone.zone.detail === 'weave'))
    raise(2, 'open work and weave: drips hide where you do not look');
  if (worked.some((zone) => zone.isCarved)) raise(2, 'carving: the brush has to get into every groove');
  if (worked.some((zone) => zone.noSand)) raise(2, 'no sanding while lead is open');
  if (worked.some((zone) => zone.works.includes('strip'))) raise(3, 'stripping an old finish');
  return { level: level >= 3 ? 3 : level === 2 ? 2 : 1, because };
}
