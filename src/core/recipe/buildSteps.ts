import { LEAD_TEST, laborRates, skillFactors } from '../catalog/labor.data';
import type { Finding } from '../kernel/finding';
import { commonPractice } from '../kernel/source';
import type { AllowedInterval } from '../state/joint';
import type { Place, Step, StepKind } from '../state/step';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import { techniques } from '../technique';
import type { RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import { supplyKey } from './supplyKey';
import type { ZonePlan } from './zonePlans';
import type { StackEntry, ZoneStacks } from './zoneStacks';

/** Minutes of one kind of work on one piece of a find: the parts that scale with area and skill. */
export interface RunShare {
  findId: string;
  minutes: number;
  /** Half-width of the range as a share of the minutes: (high − low) ÷ 6 ÷ usual, as in PERT. */
  spread: number;
}

export interface BuiltSteps {
  steps: Step[];
  /** Hands-on run minutes of each find, for one piece. */
  runs: RunShare[];
  /** Square meters that are scuffed, of one piece, by find. */
  scuffedM2: Map<string, number>;
}

const SANDPAPER = supplyKey('sandpaper', null, null);
/** Rinse water dries from a closed surface in about an hour (common practice, from memory). */
const DRY_AFTER_CLEANING_HOURS = 1;

const open = (fromHours: number): AllowedInterval[] => [{ fromHours, toHours: null, extraSteps: [] }];

/** The later of two joints' intervals when zones of a layer differ: the one with the longer wait decides. */
function longestWait(entries: readonly StackEntry[]): StackEntry | undefined {
  return [...entries].sort((a, b) => b.joint.waitHours - a.joint.waitHours)[0];
}

/**
 * The ordered steps of a recipe: prepare, then every layer's coats from the bottom up with what must lie between them,
 * then reassemble. Minutes are of the studio's skill and without the overhead, which is added once over a plan.
 */
export function buildSteps(
  body: RecipeBody,
  zones: readonly ZonePlan[],
  stacked: ZoneStacks,
  context: RecipeContext,
): BuiltSteps {
  const { assumptions } = context;
  const skill = assumptions.number(`skill.${context.skill}`);
  const skillSpread =
    (skillFactors[context.skill].high - skillFactors[context.skill].low) / 6 / skillFactors[context.skill].usual;
  const steps: Step[] = [];
  const runs: RunShare[] = [];
  const scuffedM2 = new Map<string, number>();
  const worked = zones.filter((zone) => (stacked.stacks.get(zone.key)?.length ?? 0) > 0);
  if (worked.length === 0) return { steps, runs, scuffedM2 };
  let lastPrep: string | null = null;
  let lastPrepWait = 0;

  const rateSpread = (key: string): number => {
    const figure = assumptions.get(key);
    if (figure.source.kind === 'you') return 0;
    const range = rateRanges[key];
    return range ? range / figure.value : 0;
  };

  const add = (
    step: Pick<Step, 'id' | 'kind' | 'title' | 'zoneKeys'> & Partial<Step>,
    wait: number,
    on: string | null,
  ): Step => {
    const edit = body.stepEdits[step.id];
    const full: Step = {
      layerId: null,
      coat: null,
      setUpMinutes: 0,
      runMinutes: 0,
      cleanUpMinutes: 0,
      people: 1,
      splittable: true,
      leastChunkMinutes: 15,
      batchKey: null,
      place: 'indoors',
      limits: null,
      drying: null,
      potLifeHours: null,
      supplies: [],
      tools: [],
      cautions: [] as Finding[],
      after: on === null ? [] : [{ stepId: on, allowed: open(wait) }],
      overruled: [],
      source: commonPractice,
      ...step,
    };
    if (edit?.runMinutes !== undefined) {
      full.runMinutes = edit.runMinutes;
      full.overruled.push('minutes');
      full.source = { kind: 'you' };
    }
    if (edit?.waitHours !== undefined && full.after.length > 0) {
      const hours = edit.waitHours;
      full.after = full.after.map((link) => ({
        ...link,
        allowed: [{ fromHours: hours, toHours: null, extraSteps: link.allowed[0]?.extraSteps ?? [] }],
      }));
      full.overruled.push('wait');
    }
    steps.push(full);
    return full;
  };

  /** Run minutes over zones; records each find's share for one piece, scaled when the stylist overruled the step. */
  const runOver = (
    stepId: string,
    some: readonly ZonePlan[],
    minutesOf: (zone: ZonePlan) => number,
    spread: number,
  ): number => {
    const total = some.reduce((sum, zone) => sum + minutesOf(zone) * zone.pieceCount, 0);
    const overruled = body.stepEdits[stepId]?.runMinutes;
    const factor = overruled !== undefined && total > 0 ? overruled / total : 1;
    for (const zone of some) {
      const minutes = minutesOf(zone) * factor;
      if (minutes > 0) runs.push({ findId: zone.findId, minutes, spread: overruled === undefined ? spread : 0 });
    }
    return total;
  };

  const prep = (
    id: string,
    kind: StepKind,
    title: string,
    some: readonly ZonePlan[],
    rateKey: string,
    waitAfter: number,
    tools: string[],
  ): void => {
    const rate = assumptions.number(rateKey);
    const runMinutes = runOver(id, some, (zone) => zone.areaM2 * rate * skill, rateSpread(rateKey) + skillSpread);
    add({ id, kind, title, zoneKeys: some.map((zone) => zone.key), runMinutes, tools }, lastPrepWait, lastPrep);
    lastPrep = id;
    lastPrepWait = waitAfter;
  };

  const scuff = (some: readonly ZonePlan[]): Step['supplies'] => {
    const sheets = assumptions.number('prepare.sandpaperSheetsPerM2');
    let amount = 0;
    for (const zone of some) {
      scuffedM2.set(zone.findId, (scuffedM2.get(zone.findId) ?? 0) + zone.areaM2);
      amount += zone.areaM2 * zone.pieceCount * sheets;
    }
    return [{ supplyKey: SANDPAPER, amount }];
  };

  const openLead = worked.filter((zone) => zone.noSand && context.pieces.get(zone.findId)?.leadTest === 'notTested');
  if (openLead.length > 0) {
    add(
      {
        id: 'leadTest',
        kind: 'leadTest',
        title: 'Test the old finish for lead',
        zoneKeys: openLead.map((zone) => zone.key),
        runMinutes: 0,
        splittable: false,
        leastChunkMinutes: LEAD_TEST.minutes,
      },
      0,
      null,
    );
  }

  let hardware = 0;
  const pieces = body.pieces.filter((piece) => worked.some((zone) => zone.pieceId === piece.id));
  for (const piece of pieces) {
    const template = furnitureTemplates.find(piece.templateId);
    if (!template) continue;
    const minutes = template.hardwareMinutes(completeMeasures(template, piece.measures));
    hardware += minutes * piece.count;
  }
  const hardwareShare = (stepId: string, half: number) => {
    const overruled = body.stepEdits[stepId]?.runMinutes;
    const total = hardware * half * skill;
    const factor = overruled !== undefined && total > 0 ? overruled / total : 1;
    for (const piece of pieces) {
      const template = furnitureTemplates.find(piece.templateId);
      const minutes = template
        ? template.hardwareMinutes(completeMeasures(template, piece.measures)) * half * skill * factor
        : 0;
      if (minutes > 0)
        runs.push({ findId: piece.findId, minutes, spread: overruled === undefined ? 0.17 + skillSpread : 0 });
    }
  };
  const isLamp = pieces.some((piece) => furnitureTemplates.find(piece.templateId)?.traits.includes('lamp'));
  if (hardware > 0) {
    const title = isLamp
      ? 'Unplug; shade and bulb off, mask fitting and cord'
      : 'Take apart, label the parts, remove knobs';
    hardwareShare('dismantle', 0.5);
    add(
      {
        id: 'dismantle',
        kind: 'dismantle',
        title,
        zoneKeys: worked.map((zone) => zone.key),
        runMinutes: hardware * 0.5 * skill,
        tools: ['screwdriver'],
      },
      0,
      null,
    );
    lastPrep = 'dismantle';
  }

  const gentle = worked.filter((zone) => zone.noSand);
  const ordinary = worked.filter((zone) => !zone.noSand);
  if (gentle.length > 0)
    prep(
      'wetClean',
      'wetClean',
      'Wash down wet, no abrasion',
      gentle,
      'labor.cleanMinutesPerM2',
      DRY_AFTER_CLEANING_HOURS,
      [],
    );
  if (ordinary.length > 0)
    prep('clean', 'clean', 'Degrease and rinse', ordinary, 'labor.cleanMinutesPerM2', DRY_AFTER_CLEANING_HOURS, []);
  const rusty = ordinary.filter((zone) => zone.substrate.prepare.includes('removeRust'));
  if (rusty.length > 0)
    prep('removeRust', 'removeRust', 'Take rust off to sound metal', rusty, 'labor.removeRustMinutesPerM2', 0, [
      'sandingBlock',
      'dustMask',
    ]);
  const scuffed = ordinary.filter((zone) => {
    const first = stacked.stacks.get(zone.key)?.[0];
    return first?.joint.verdict === 'scuff' || first?.joint.verdict === 'notKnown';
  });
  if (scuffed.length > 0) {
    prep('scuff', 'scuff', 'Scuff with P220 by hand, vacuum, wipe', scuffed, 'labor.scuffMinutesPerM2', 0, [
      'sandingBlock',
      'dustMask',
    ]);
    const step = steps.at(-1);
    if (step) step.supplies = scuff(scuffed);
  }
  const untested = worked.some((zone) =>
    stacked.stacks
      .get(zone.key)
      ?.some((entry) => entry.joint.verdict === 'notKnown' || entry.joint.ruleId === 'lead.noSand'),
  );
  if (untested) {
    add(
      {
        id: 'testPatch',
        kind: 'testPatch',
        title: 'Test patch out of sight: one coat, tape pull after 24 h',
        zoneKeys: worked.map((zone) => zone.key),
        runMinutes: 5,
        splittable: false,
        leastChunkMinutes: 5,
      },
      lastPrepWait,
      lastPrep,
    );
    const share = worked[0];
    if (share) runs.push({ findId: share.findId, minutes: 5 / share.pieceCount, spread: 0.17 });
    lastPrep = 'testPatch';
    lastPrepWait = 24;
  }

  let below: { stepId: string } | null = null;
  for (const layer of stacked.layers) {
    const on = worked.flatMap((zone) => {
      const entry = stacked.stacks.get(zone.key)?.find((candidate) => candidate.layerId === layer.id);
      return entry ? [{ zone, entry }] : [];
    });
    const coats = Math.max(0, ...on.map(({ entry }) => entry.coats.coats));
    const decisive = longestWait(on.map(({ entry }) => entry));
    if (coats === 0 || !decisive) continue;
    const technique = techniques.get(layer.coating.techniqueId);
    const scopes = [`supply:${layer.supplyKey}`];
    const rate = assumptions.number(technique.rateKey);
    const spread = rateSpread(technique.rateKey) + skillSpread;
    const needsScuffBelow = below !== null && decisive.joint.allowed[0]?.extraSteps.includes('scuff');
    let after: Step['after'] = lastPrep === null ? [] : [{ stepId: lastPrep, allowed: open(lastPrepWait) }];
    if (below !== null)
      after = [
        {
          stepId: below.stepId,
          allowed: decisive.joint.allowed.length > 0 ? decisive.joint.allowed : open(decisive.joint.waitHours),
        },
      ];
    if (needsScuffBelow && below !== null) {
      const some = on.map(({ zone }) => zone);
      const id = `scuff:${layer.id}`;
      const key = 'labor.scuffMinutesPerM2';
      const runMinutes = runOver(
        id,
        some,
        (zone) => zone.areaM2 * assumptions.number(key) * skill,
        rateSpread(key) + skillSpread,
      );
      add(
        {
          id,
          kind: 'scuff',
          title: `Scuff lightly before the ${layer.coating.name.toLowerCase()}, wipe`,
          zoneKeys: some.map((zone) => zone.key),
          runMinutes,
          tools: ['sandingBlock', 'dustMask'],
          supplies: scuff(some),
        },
        decisive.joint.waitHours,
        below.stepId,
      );
      after = [{ stepId: id, allowed: open(0) }];
    }
    const recoat = assumptions.number(`coating.${layer.coating.id}.recoatHours`, scopes);
    const handle = assumptions.number(`coating.${layer.coating.id}.handleHours`, scopes);
    const recoatIntervals = layer.coating.recoatIntervals.map((interval, index) =>
      index === 0 ? { ...interval, fromHours: recoat } : interval,
    );
    for (let coat = 1; coat <= coats; coat += 1) {
      const here = on.filter(({ entry }) => entry.coats.coats >= coat);
      const id = `coat:${layer.id}:${coat}`;
      const surface = (zone: ZonePlan) => (layer.coating.unit === 'can' ? zone.projectedAreaM2 : zone.areaM2);
      const runMinutes = runOver(
        id,
        here.map(({ zone }) => zone),
        (zone) => surface(zone) * rate * technique.detailFactor(zone.zone.detail) * skill,
        spread,
      );
      add(
        {
          id,
          kind: 'coat',
          title: coats === 1 ? layer.coating.name : `${layer.coating.name}, coat ${coat} of ${coats}`,
          zoneKeys: here.map(({ zone }) => zone.key),
          layerId: layer.id,
          coat,
          setUpMinutes: assumptions.number('session.setUpMinutes'),
          runMinutes,
          cleanUpMinutes: assumptions.number(technique.cleanUpKey(layer.coating)),
          splittable: false,
          batchKey: `${layer.supplyKey}|${technique.id}`,
          place: (layer.coating.hazard === 'spirit' || layer.coating.hazard === 'oil'
            ? 'ventilated'
            : technique.place) satisfies Place,
          limits: layer.coating.limits,
          drying: {
            untilHours: handle,
            footprintM2: Math.max(
              0.1,
              here.reduce((sum, { zone }) => sum + zone.projectedAreaM2 * zone.pieceCount, 0) / 4,
            ),
          },
          supplies: [
            {
              supplyKey: layer.supplyKey,
              amount: here.reduce(
                (sum, { zone, entry }) => sum + coatShare(entry, coat) * entry.amount * zone.pieceCount,
                0,
              ),
            },
          ],
          tools: [...technique.toolIds],
          after,
        },
        0,
        null,
      );
      after = [{ stepId: id, allowed: recoatIntervals }];
      below = { stepId: id };
    }
  }
  if (hardware > 0 && below) {
    const top = stacked.layers.at(-1);
    const handle = top ? assumptions.number(`coating.${top.coating.id}.handleHours`, [`supply:${top.supplyKey}`]) : 0;
    hardwareShare('reassemble', 0.5);
    add(
      {
        id: 'reassemble',
        kind: 'reassemble',
        title: isLamp ? 'Masking off, shade and bulb back, cord checked' : 'Knobs back, parts where their labels say',
        zoneKeys: worked.map((zone) => zone.key),
        runMinutes: hardware * 0.5 * skill,
        tools: ['screwdriver'],
      },
      handle,
      below.stepId,
    );
  }
  return { steps, runs, scuffedM2 };
}

/** The share of a layer's amount that one coat takes: the first coat also takes the absorption. */
function coatShare(entry: StackEntry, coat: number): number {
  const total = entry.absorption + entry.coats.coats - 1;
  return (coat === 1 ? entry.absorption : 1) / total;
}

/** (high − low) ÷ 6 of each labor rate, in its own unit. */
const rateRanges: Record<string, number> = Object.fromEntries(
  Object.entries(laborRates).map(([id, rate]) => [`labor.${id}MinutesPerM2`, (rate.high - rate.low) / 6]),
);
