import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { readProjectFile } from '../formats/project/read';
import { Memo } from '../kernel/memo';
import { computePlan, Plan } from './computePlan';
import { cutInFull } from './model/cutPurchase';
import { PlanModel } from './model/planModel';
import { warming } from './warming';

const demo = (name: string) => {
  const path = fileURLToPath(new URL(`../../../demo/${name}.project.json`, import.meta.url));
  const read = readProjectFile(JSON.parse(readFileSync(path, 'utf8')));
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  return read.file;
};

describe.each(['1-attic-bedroom', '2-market-stall', '3-dining-nook'])('opening %s in small pieces', (name) => {
  const file = demo(name);
  const asOf = Date.parse(file.asOf);

  it('computes each choice before the plan asks for it: the plan finds the very same ones', () => {
    const memo = new Memo();
    const model = new PlanModel(file, memo, cutInFull);
    let pauses = 0;
    for (const _ of warming(model)) pauses += 1;
    expect(pauses).toBeGreaterThanOrEqual(file.fills.length);
    const plan = new Plan(file, asOf, memo, cutInFull);
    for (const { optionId } of file.fills) expect(plan.model.option(optionId)).toBe(model.option(optionId));
  });

  it('changes nothing: the plan says what it says without it', () => {
    const memo = new Memo();
    for (const _ of warming(new PlanModel(file, memo, cutInFull)));
    const warmed = new Plan(file, asOf, memo, cutInFull);
    const cold = computePlan(file, asOf);
    expect(warmed.purse).toEqual(cold.purse);
    const cashOf = (plan: Plan) => plan.slots.flatMap(({ options }) => options.map(({ cashAdded }) => cashAdded));
    expect(cashOf(warmed)).toEqual(cashOf(cold));
  });

  it('may be left half done: what is missing is computed when it is asked for', () => {
    const memo = new Memo();
    const work = warming(new PlanModel(file, memo, cutInFull));
    for (let n = 0; n < 3; n += 1) work.next();
    expect(new Plan(file, asOf, memo, cutInFull).purse).toEqual(computePlan(file, asOf).purse);
  });
});
