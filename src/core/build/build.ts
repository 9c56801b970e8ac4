import type { Consumable } from '../catalog/consumable';
import type { laborEach } from '../catalog/labor.data';
import type { StockFacts } from '../catalog/stockFacts';
import type { Turn } from '../cutting/part';
import type { MadeTrait } from '../state/madeTrait';
import type { Place, StepKind } from '../state/step';
import type { Measures } from '../surface/furnitureTemplate';
import type { Outline } from '../surface/outline';

/** One thing to set on what is made: a length in mm, a count, or one of a few. Values are plain numbers. */
export interface BuildParameter {
  id: string;
  label: string;
  kind: 'length' | 'count' | 'number' | 'choice';
  standard: number;
  minimum: number;
  maximum: number;
  /** For a choice: what each number stands for. */
  choices?: readonly { value: number; label: string }[];
}
export type BuildValues = Readonly<Record<string, number>>;

/** A material that is chosen: which kinds will do, the usual one first. */
export interface BuildMaterial {
  id: string;
  label: string;
  kindIds: readonly string[];
}

/** A material as it was chosen, with its stock where it is cut. */
export interface ChosenMaterial {
  kind: Consumable;
  stock: StockFacts | null;
}

/** A part to cut, by its finished size with allowances in it. */
export interface BuildPart {
  material: string;
  name: string;
  widthMm: number;
  lengthMm: number;
  count: number;
  turn: Turn;
  outline: Outline | null;
  /** What the blade follows, where that is more than the outline: the window of a mat. */
  lines?: Outline | null;
}

/** What is taken beside parts: pieces, meters, milliliters, grams of a kind, or of a chosen material. */
export interface BuildNeed {
  /** A chosen material's id, or null for the kind itself. */
  material: string | null;
  kindId: string;
  amount: number;
}

/** One work in the order of making; minutes are units × rate, at a practiced hand. */
export interface BuildWork {
  id: string;
  kind: Extract<StepKind, 'saw' | 'cut' | 'assemble' | 'sew' | 'drill' | 'glue' | 'arrange' | 'print'>;
  title: string;
  hint: string;
  rate: keyof typeof laborEach;
  units: number;
  /** Hours that what follows has to wait. */
  waitHours: number;
  tools: readonly string[];
  place: Place;
  /** Whether it waits until what is coated is dry: hanging it, handles, pads. */
  afterCoats: boolean;
}

/** Something to know about it: a code with its figures; sentences stand beside the codes. */
export type BuildRemark =
  | { code: 'build.tooNarrow'; part: string; widthMm: number; faceMm: number }
  | { code: 'build.sags'; spanMm: number; mostMm: number }
  | { code: 'build.fewStuds'; lengthMm: number; studs: number }
  | { code: 'build.load'; kg: number; fixings: number }
  | { code: 'build.seams'; pieces: number; wider: string }
  | { code: 'build.freshDays'; days: number; instead: string }
  | { code: 'build.lowResolution'; dpi: number }
  | { code: 'build.usableDepth'; depthMm: number; lipMm: number }
  | { code: 'build.tooSmall'; thing: string }
  | { code: 'build.flameTooNear'; thing: string; hasMm: number; leastMm: number }
  | { code: 'build.matWindow'; widthMm: number; heightMm: number; sideMm: number; topMm: number; bottomMm: number }
  | { code: 'build.printTooLarge'; widthMm: number; heightMm: number; sheetWidthMm: number; sheetHeightMm: number }
  | { code: 'build.crop'; percent: number };

/** What making one takes. */
export interface BuildPlan {
  parts: readonly BuildPart[];
  needs: readonly BuildNeed[];
  works: readonly BuildWork[];
  remarks: readonly BuildRemark[];
  traits?: readonly MadeTrait[];
}

export interface BuildQuestion {
  values: BuildValues;
  /** A material by its id, as chosen; the usual one where nobody chose. */
  material(id: string): ChosenMaterial;
}

/**
 * Something that is made from scratch. To add one: a folder with its object and a line in `build/index.ts`; menus, forms
 * and steps derive from the registry.
 */
export interface Build {
  id: string;
  name: string;
  words: readonly string[];
  family: 'boards' | 'cloth' | 'prints' | 'greenery';
  remark: string;
  difficulty: 1 | 2 | 3;
  skillAsked: string;
  /** The kind of piece that it is when it is done: how it draws itself, and which zones can be finished. */
  templateId: string;
  parameters: readonly BuildParameter[];
  materials: readonly BuildMaterial[];
  /** Measures of its template. */
  measures(values: BuildValues): Measures;
  plan(question: BuildQuestion): BuildPlan;
}

/** Values of what is made, from what was set, else from its standards, held within its limits. */
export function completeBuild(build: Build, set: BuildValues): BuildValues {
  return Object.fromEntries(
    build.parameters.map(({ id, standard, minimum, maximum }) => [
      id,
      Math.min(maximum, Math.max(minimum, set[id] ?? standard)),
    ]),
  );
}

/** Words one by one, each as if there were one of the thing. */
const singly = (text: string): string =>
  ` ${text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .map((word) => (word.length > 3 ? word.replace(/s$/, '') : word))
    .join(' ')} `;

/**
 * Whether some words ask for a thing to make: its name or what it is also called stands in them, in whole words.
 * @example a bow is asked for by “Bow for the door”, not by “Bowl for keys”
 */
export function isAskedFor({ name, words }: Pick<Build, 'name' | 'words'>, text: string): boolean {
  const asked = singly(text);
  return [name, ...words].some((word) => asked.includes(singly(word)));
}
