const form = new Intl.DateTimeFormat('en-US', { timeZone: 'UTC', month: 'short', day: 'numeric' });

/** A calendar date in short: "May 2". */
export const monthDay = (date: string): string => form.format(Date.parse(`${date}T12:00:00Z`));
