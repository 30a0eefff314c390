/** The server's one clock. MANTLE_NOW fixes it, for tests and screenshots. */
export function instant(): Date {
  const fixed = process.env.MANTLE_NOW
  return fixed ? new Date(fixed) : new Date()
}

/** The calendar day of an instant in a time zone, as 2026-11-23. */
export function dayIn(timeZone: string, at: Date): string {
  return new Intl.DateTimeFormat('en-CA', { timeZone, dateStyle: 'short' }).format(at)
}
