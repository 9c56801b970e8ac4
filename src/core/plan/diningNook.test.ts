import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { SVGPathData } from 'svg-pathdata';
import { describe, expect, it } from 'vitest';
import { validateLayout } from '../cutting/validateLayout';
import { readSvg } from '../formats/artwork/readSvg';
import { cutDrawing } from '../formats/cutting/cutDrawing';
import { writeCutSvg } from '../formats/cutting/writeSvg';
import { readProjectFile } from '../formats/project/read';
import { boxOf } from '../surface/outline';
import { computePlan } from './computePlan';
import { cutPurchaseOf, cutQuestionOf } from './model/cutPurchase';

const path = fileURLToPath(new URL('../../../demo/3-dining-nook.project.json', import.meta.url));
const read = readProjectFile(JSON.parse(readFileSync(path, 'utf8')));
if (!read.ok) throw new Error(JSON.stringify(read.errors));
const plan = computePlan(read.file, Date.parse(read.file.asOf));
const cut = plan.sums.lines.flatMap(({ pool, drawn }) => {
  const question = pool.kind === 'supply' ? cutQuestionOf(pool, drawn) : null;
  const purchase = pool.kind === 'supply' ? cutPurchaseOf(pool, drawn) : null;
  return pool.kind === 'supply' && question && purchase ? [{ name: pool.name, question, layout: purchase.layout }] : [];
});

describe('the demo of what is cut', () => {
  it('plans each of its things to the end: nothing of a recipe is refused or would not hold', () => {
    expect(plan.rows.recipes.length).toBeGreaterThanOrEqual(10);
    for (const { id, name } of plan.rows.recipes) {
      const bad = (plan.model.recipe(id)?.findings ?? []).filter(
        ({ severity, code }) => ['refuse', 'stop'].includes(severity) && !code.startsWith('caution.'),
      );
      expect([name, bad.map(({ code }) => code)]).toEqual([name, []]);
    }
  });

  it('has each of them on the board against buying new, with cash and hours', () => {
    const made = plan.slots.filter(({ options }) => options.some(({ option }) => option.recipeId !== null));
    expect(made.length).toBeGreaterThanOrEqual(9);
    for (const { slot, options } of made) {
      const own = options.find(({ option }) => option.recipeId !== null);
      expect([slot.name, options.some(({ option }) => option.kind === 'buyNew')]).toEqual([slot.name, true]);
      expect([slot.name, (own?.hoursAdded.likely ?? 0) > 0]).toEqual([slot.name, true]);
      expect(['noYardstick', 'unknownPrice']).not.toContain(own?.comparison.kind);
    }
  });

  it('cuts from paper, film, cloth, boards and prints', () => {
    const forms = new Set(cut.map(({ question }) => question.stock.form));
    expect(forms).toEqual(new Set(['sheet', 'roll', 'board']));
    expect(cut.length).toBeGreaterThanOrEqual(9);
  });

  it.each(cut)('$name: its layout has everything on it, passes the check, and is in full', ({ question, layout }) => {
    expect(validateLayout(question, layout)).toEqual([]);
    expect([layout.tooLarge, layout.isQuick]).toEqual([[], false]);
  });

  it.each(cut)('$name: its file opens at true size, every part where it lies', ({ question, layout }) => {
    for (const unit of cutDrawing(layout, question.parts, (_, n) => `${n + 1}`)) {
      const svg = writeCutSvg(unit);
      const drawing = readSvg(svg);
      expect(drawing.widthMm).toBeCloseTo(unit.widthMm, 1);
      expect(drawing.heightMm).toBeCloseTo(unit.lengthMm, 1);
      const boxes = [...svg.matchAll(/<path[^>]* d="([^"]+)"/g)].map((match) =>
        new SVGPathData(match[1] ?? '').getBounds(),
      );
      expect(boxes).toHaveLength(unit.parts.length);
      unit.parts.forEach(({ lines }, n) => {
        const wanted = boxOf(lines);
        expect(boxes[n]?.minX).toBeCloseTo(wanted?.left ?? Number.NaN, 1);
        expect(boxes[n]?.maxY).toBeCloseTo(wanted?.bottom ?? Number.NaN, 1);
      });
    }
  });
});
