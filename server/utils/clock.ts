/** The server's one clock. MANTLE_NOW fixes it, for tests and screenshots. */
export function instant(): Date {
  const fixed = process.env.MANTLE_NOW
  return fixed ? new Date(fixed) : new Date()
}
