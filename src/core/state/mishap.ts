import { type SetbackProblem, setbackProblems } from './setback';

/** What can go wrong at the bench beside a coat that has to be laid again. */
export const mishapKinds = [
  'bubbled',
  'creased',
  'tore',
  'lifted',
  'bledUnderTape',
  'brushMarks',
  'dustInIt',
  'blotched',
  'notClean',
  'sandedThrough',
  'brokeOff',
  'doesNotFit',
  'cutWrong',
  'splintered',
  'split',
  'cameLoose',
  'puckered',
  'scratched',
] as const;
export type MishapKind = (typeof mishapKinds)[number];

/** Whatever can go wrong at the bench: a coat that has to be laid again, or anything else. */
export const wrongProblems = [...setbackProblems, ...mishapKinds] as const;
export type WrongProblem = SetbackProblem | MishapKind;
