/** Minutes as a stylist says them: `1 h 50`, `0 h 15`. */
export function formatMinutes(minutes: number): string {
  const whole = Math.round(Math.abs(minutes));
  const text = `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`;
  return minutes < 0 && whole > 0 ? `−${text}` : text;
}
