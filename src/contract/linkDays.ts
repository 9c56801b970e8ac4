/** How long a link may be good for, days. */
export const LONGEST_LINK_DAYS = 90;
