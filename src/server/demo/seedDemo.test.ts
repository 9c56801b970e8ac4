import { fileURLToPath } from 'node:url';
import { lookThings } from '@core/arrange/look/lookThings';
import { cutOutBox } from '@core/arrange/look/thingView';
import { withFinds } from '@core/model/finds';
import { computePlan } from '@core/plan/computePlan';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { studioScope } from '../persistence/scope';
import { freshStudio, HOST } from '../test/studio';
import { seedDemo } from './seedDemo';

const { own, studio } = await freshStudio();
const folder = fileURLToPath(new URL('../../../demo', import.meta.url));
const NOW = Date.parse('2026-10-03T08:00:00Z');
await seedDemo(own.database, studioScope(studio.studioId, 'demo'), folder, {
  nowMs: () => NOW,
  newId: () => crypto.randomUUID(),
});

const picture = async (id: string) => {
  const answer = await studio.app.request(`http://${HOST}/api/photos/${id}/full`, { headers: { host: HOST } });
  return answer.status === 200 ? sharp(Buffer.from(await answer.arrayBuffer())).metadata() : null;
};

describe('the demo', async () => {
  const { projects } = (await studio.send('GET', '/api/projects')).json as { projects: { id: string; name: string }[] };
  const attic = projects.find(({ name }) => name === 'Attic bedroom');
  const rows = await studio.rows(attic?.id ?? '');

  it('has five projects, dated from now', () => {
    expect(projects).toHaveLength(5);
    expect(Date.parse(rows.project.revealDate ?? '')).toBeGreaterThan(NOW);
  });

  it('has a before photo of its own, with every look of its spot standing in it', async () => {
    const [before, ...more] = rows.photos;
    expect(more).toEqual([]);
    const inIt = rows.looks.filter(({ photo }) => photo?.photoId === before?.id);
    expect(inIt.length).toBeGreaterThanOrEqual(2);
    expect((await picture(before?.id ?? ''))?.width).toBe(before?.widthPx);
  });

  it('has photographed pieces that are cut out, each in a look and in proportion to what was measured', async () => {
    const cut = rows.pieces.filter(({ cutOut }) => cutOut !== null);
    expect(cut.length).toBeGreaterThanOrEqual(2);
    const plan = computePlan(withFinds(rows), NOW);
    const things = plan.rows.looks.flatMap((look) => lookThings(plan, look));
    for (const { id, name, cutOut, photoId } of cut) {
      expect(cutOut?.photoId).toBe(photoId);
      const taken = await picture(photoId ?? '');
      const thing = things.find(({ piece }) => piece?.id === id);
      expect([name, thing?.cutOut?.photoId]).toEqual([name, photoId]);
      const box = cutOutBox(cutOut?.rings ?? []);
      const seen = (box.width * (taken?.width ?? 0)) / (box.height * (taken?.height ?? 1));
      const measured = (thing?.size.widthMm ?? 0) / (thing?.size.heightMm ?? 1);
      expect(Math.abs(Math.log(seen / measured)), name).toBeLessThan(Math.log(1.25));
    }
  });
});
