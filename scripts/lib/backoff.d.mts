export function restartsWithBackoff(now?: () => number): { next(): number | null };
