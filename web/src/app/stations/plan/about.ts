/** Minutes as a shop says them: `0:40`, `2:10`, to five minutes. */
export function about(minutes: number): string {
  const five = Math.max(5, Math.round(minutes / 5) * 5);
  return `${Math.floor(five / 60)}:${String(five % 60).padStart(2, '0')}`;
}
