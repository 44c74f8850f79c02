/** Minutes in a few words, to the nearest five minutes or half hour: "12½ h". */
export function aboutHours(minutes: number): string {
  if (minutes < 90) return `${Math.max(5, Math.round(minutes / 5) * 5)} min`;
  const hours = Math.round(minutes / 30) / 2;
  return `${Math.floor(hours)}${hours % 1 ? '½' : ''} h`;
}
