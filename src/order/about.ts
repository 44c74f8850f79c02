/** A time without false precision: "about 25 min", "about 3 h". */
export function about(minutes: number): string {
  if (minutes < 1) return 'under 1 min';
  if (minutes < 10) return `${Math.round(minutes)} min`;
  if (minutes < 90) return `about ${5 * Math.round(minutes / 5)} min`;
  const hours = minutes / 60;
  return hours < 10 ? `about ${(Math.round(hours * 2) / 2).toString()} h` : `about ${Math.round(hours)} h`;
}
