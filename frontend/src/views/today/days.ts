/** Days as a teacher says them; dates are the teacher's own, not the server's. */

export function localDay(date: Date): string {
  const two = (n: number): string => String(n).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`
}

export function dayWords(day: string, today: Date): string {
  const date = new Date(`${day}T12:00`)
  const start = new Date(today.getFullYear(), today.getMonth(), today.getDate(), 12)
  const away = Math.round((date.getTime() - start.getTime()) / 86_400_000)
  if (away === 0) return 'Today'
  if (away === 1) return 'Tomorrow'
  return date.toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' })
}

/** The hour as it stands on a timetable. */
export function hourWords(time: string): string {
  return time.slice(0, 5)
}
