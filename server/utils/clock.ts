/** The server's one clock. MANTLE_NOW fixes it, for tests and screenshots. */
export function instant(): Date {
  const fixed = process.env.MANTLE_NOW
  return fixed ? new Date(fixed) : new Date()
}

/** ms that a device's clock may be ahead: stand-ins let minutes pass at once, and clocks of tablets are wrong by hours. */
export const clocksApart = 86_400_000
