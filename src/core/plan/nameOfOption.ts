import type { OptionModel } from './model/optionModel';

/** A short name of an option: what it is made of. */
export function nameOfOption({ finds, offers }: Pick<OptionModel, 'finds' | 'offers'>): string {
  return [...finds.map((find) => find.name), ...offers.map(({ offer }) => offer.name)].join(' + ') || 'nothing yet';
}
