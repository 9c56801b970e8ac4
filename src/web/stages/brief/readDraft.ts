import { problemsOfSchema } from '@core/acts/problems';
import { currencyExponent } from '@core/kernel/currencies.data';
import { parseMoney } from '@core/kernel/parseMoney';
import { projectEntity } from '@core/model/entities';
import type { ProjectRow } from '@core/model/rows';
import { defaultProject } from './projectDefaults';

/** A project as its form has it: as it was typed. */
export interface Draft {
  name: string;
  room: string;
  budget: string;
  currency: string;
  units: 'us' | 'metric';
  contingency: string;
  taxPercent: string;
  taxIncluded: boolean;
  hours: string;
  skill: ProjectRow['skill'];
  timeIsFree: boolean;
  hourValue: string;
  revealDate: string;
}

const decimal = (text: string) => Number(text.trim().replace(',', '.'));

/** The draft as a project row; what cannot be read comes back as errors by form field. */
export function readDraft(
  draft: Draft,
  id: string,
): { project: ProjectRow } | { errors: { name: keyof Draft; errors: string[] }[] } {
  const errors: { name: keyof Draft; errors: string[] }[] = [];
  const money = (field: keyof Draft, label: string): number => {
    const text = String(draft[field]).trim();
    const read = parseMoney(text, draft.currency);
    if (read.ok) return read.value;
    const exponent = currencyExponent(draft.currency);
    errors.push({
      name: field,
      errors: [`${label}: “${text}”; accepted: an amount like ${exponent === 0 ? '640' : '640 or 12.50'}`],
    });
    return 0;
  };
  const thousandths = (field: keyof Draft, label: string, most: number): number => {
    const value = decimal(String(draft[field]));
    if (Number.isFinite(value) && value >= 0 && value <= most && draft[field] !== '') return Math.round(value * 1000);
    errors.push({ name: field, errors: [`${label}: “${draft[field]}”; accepted: a percentage from 0 to ${most}`] });
    return 0;
  };
  const budget = money('budget', 'Budget');
  const hourValue = draft.timeIsFree ? null : money('hourValue', 'An hour is worth');
  const contingency = thousandths('contingency', 'Kept back', 100);
  const tax = thousandths('taxPercent', 'Tax', 50);
  const hours = draft.hours.trim() === '' ? null : decimal(draft.hours);
  if (hours !== null && !(hours >= 0 && hours <= 10_000))
    errors.push({ name: 'hours', errors: [`Hours on hand: “${draft.hours}”; accepted: hours from 0 to 10000`] });
  const project: ProjectRow = {
    ...defaultProject(id, navigator.language, Intl.DateTimeFormat().resolvedOptions().timeZone),
    version: 1,
    name: draft.name.trim(),
    room: draft.room.trim(),
    budget,
    currency: draft.currency,
    units: draft.units,
    contingencyThousandths: contingency,
    tax: { percentThousandths: tax, included: draft.taxIncluded },
    hoursOnHandMinutes: hours === null || !Number.isFinite(hours) ? null : Math.round(hours * 60),
    skill: draft.skill,
    hourValue,
    revealDate: draft.revealDate === '' ? null : draft.revealDate,
  };
  const parsed = projectEntity.row.safeParse(project);
  if (!parsed.success) {
    for (const error of problemsOfSchema(parsed.error, project)) {
      const name = (error.field.split('.')[0] ?? 'name') as keyof Draft;
      if (!errors.some((known) => known.name === name))
        errors.push({ name, errors: [`“${String(error.value ?? '')}”; accepted: ${error.accepted}`] });
    }
  }
  return errors.length > 0 ? { errors } : { project };
}
