/** Seconds as people say them: `45 s`, `6 min 30 s`, `38 min`, `2 h 5 min`. */
export function formatDuration(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 60) return `${whole} s`;
  const minutes = Math.floor(whole / 60);
  if (minutes < 10) return whole % 60 === 0 ? `${minutes} min` : `${minutes} min ${whole % 60} s`;
  if (minutes < 120) return `${Math.round(seconds / 60)} min`;
  return `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
