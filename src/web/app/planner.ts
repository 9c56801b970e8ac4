import { Memo } from '@core/kernel/memo';
import type { ProjectRows } from '@core/model/rows';
import { Plan } from '@core/plan/computePlan';
import { PlanModel } from '@core/plan/model/planModel';
import { warming } from '@core/plan/warming';
import { inStretches } from './inStretches';
import { LayoutSearch } from './layoutSearch';

/** Makes the plan of rows at a moment. */
export type PlanOf = (rows: ProjectRows, nowMs: number) => Plan;

/**
 * Plans one open project. What is chosen is computed once first, a few ways at a time, so that the page never stands
 * still; every plan after that finds it in the memory and computes only what was touched.
 */
export class Planner {
  private readonly memo = new Memo();
  private readonly layouts = new LayoutSearch(() => this.tell());
  private isWarm = false;

  private readonly ready: (planOf: PlanOf) => void;

  /** @param ready is told how plans are made: once what is chosen was computed, and anew when layouts were found */
  constructor(ready: (planOf: PlanOf) => void) {
    this.ready = ready;
  }

  /**
   * Begins with rows, or goes on with those that came instead.
   * @returns stops it until it is begun again
   */
  begin(rows: ProjectRows): () => void {
    this.layouts.start();
    const stopWarming = this.isWarm
      ? () => {}
      : inStretches(warming(new PlanModel(rows, this.memo, this.layouts.cutter)), (isDone) => {
          this.isWarm = isDone;
          this.tell();
        });
    return () => {
      stopWarming();
      this.layouts.stop();
    };
  }

  private tell(): void {
    const { cutter } = this.layouts;
    if (this.isWarm) this.ready((rows, nowMs) => new Plan(rows, nowMs, this.memo, cutter));
  }
}
