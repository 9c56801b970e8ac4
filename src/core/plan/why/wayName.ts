import type { TripPool } from '../model/pools';

/** What is paid for a way that things come by: a trip with its fees, or an order that is sent. */
export const wayName = ({ name, sentBy }: Pick<TripPool, 'name' | 'sentBy'>): string =>
  sentBy === null ? `${name}: the way, parking and fees` : name;
