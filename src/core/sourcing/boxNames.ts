/** The name of a box as pieces hold it: "Box 4", "box 4" and "4" are one. */
export const boxNameOf = (typed: string): string => typed.trim().replace(/^box\s+(?=\S)/i, '');

/** A box as it is told: by its number, else by its name. */
export const boxWords = (name: string): string => (/^\d/.test(name) ? `Box ${name}` : name);
