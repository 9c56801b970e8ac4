import type { ProjectRow } from '@core/model/rows';
import { emptyBrief, emptyHousehold } from '@core/state/brief';
import { usualWorkshop } from '@core/state/workshop';

const dollarCountries = /^en-US/;

/** A project with every default but name and budget; currency and units follow the browser's language. */
export function defaultProject(
  id: string,
  language: string,
  timeZone: string,
): Omit<ProjectRow, 'version' | 'name' | 'budget'> {
  const american = dollarCountries.test(language);
  return {
    id,
    room: '',
    currency: american ? 'USD' : /^en-GB/.test(language) ? 'GBP' : 'EUR',
    units: american ? 'us' : 'metric',
    timeZone,
    contingencyThousandths: 10_000,
    tax: american ? { percentThousandths: 0, included: false } : { percentThousandths: 0, included: true },
    hoursOnHandMinutes: null,
    skill: 'practiced',
    hourValue: 1500,
    revealDate: null,
    standsUntil: null,
    archivedOn: null,
    school: 'untilHidden',
    eye: 'ordinary',
    household: emptyHousehold,
    brief: emptyBrief,
    workshop: usualWorkshop,
  };
}
