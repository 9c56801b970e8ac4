import { useState } from 'react';

/** Whether something has been true at least once: a drawer is made when it is first opened, and may then close slowly. */
export function useOnce(now: boolean): boolean {
  const [ever, setEver] = useState(now);
  if (now && !ever) setEver(true);
  return ever || now;
}
