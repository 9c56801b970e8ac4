import type { ProjectRows } from '@core/model/rows';
import type { Plan } from '@core/plan/computePlan';
import { type Context, createContext, use, useContext } from 'react';
import type { CommandQueue, QueueCommands } from './useCommandQueue';
import type { ProjectLocale } from './words';

/** What can be done to a project; the same functions as long as it is open. */
export type ProjectCommands = QueueCommands & { dismissNews(): void };

/** How saving goes, and what happened elsewhere. */
export interface ProjectStatus extends Pick<CommandQueue, 'entries' | 'isMaking' | 'offline' | 'notKept' | 'lastAct'> {
  /** Who changed the project since this page last wrote, on another tab or device; cleared by `dismissNews`. */
  news: string | null;
}

/** The plan as soon as it is there, and when it is. */
export interface ComingPlan {
  plan: Plan | null;
  isThere: Promise<void>;
}

// One provider for each concern, so that only what shows a change is drawn anew.
export const CommandsContext = createContext<ProjectCommands | null>(null);
export const RowsContext = createContext<ProjectRows | null>(null);
export const PlanContext = createContext<ComingPlan | null>(null);
export const StatusContext = createContext<ProjectStatus | null>(null);
export const LocaleContext = createContext<ProjectLocale | null>(null);

/** What a context holds; only inside the project's routes. */
function useOpen<T>(context: Context<T | null>): T {
  const value = useContext(context);
  if (value === null) throw new Error('this part of a project is used outside of one');
  return value;
}

/** What can be done to the open project. */
export const useCommands = (): ProjectCommands => useOpen(CommandsContext);
/** The rows of the open project, with what is on its way. */
export const useRows = (): ProjectRows => useOpen(RowsContext);
/** How saving goes in the open project. */
export const useStatus = (): ProjectStatus => useOpen(StatusContext);
/** The open project's units, currency and time zone. */
export const useLocale = (): ProjectLocale => useOpen(LocaleContext);

/** The plan of the open project, as of this minute; what asks for it waits until it is there, and the rest stands. */
export function usePlan(): Plan {
  const { plan, isThere } = useOpen(PlanContext);
  if (plan) return plan;
  use(isThere);
  throw new Error('the plan is told to be there, and is not');
}
/** The plan of the open project, or null while it is not there yet. */
export const usePlanIfThere = (): Plan | null => useOpen(PlanContext).plan;

/** The rows of the open project, or null where none is open: the house is used with and without one. */
export const useOpenRows = (): ProjectRows | null => useContext(RowsContext);
/** What can be done to the open project, or null where none is open. */
export const useOpenCommands = (): ProjectCommands | null => useContext(CommandsContext);
