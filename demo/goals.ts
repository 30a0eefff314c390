/** What the Slate Shed has promised, days ahead. */
export const demoGoals: { what: string; ahead: number; formula: string; bars: number }[] = [
  { what: 'Ferry market, Advent', ahead: 19, formula: 'Fir & Smoke', bars: 12 },
  { what: 'Hostel, spring opening', ahead: 96, formula: 'Hostel Bar', bars: 60 },
  { what: 'Ferry market, Easter', ahead: 132, formula: 'Market Rose', bars: 30 },
]
