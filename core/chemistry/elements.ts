/**
 * Molar masses, g/mol. Atomic masses: IUPAC abridged standard atomic weights (C 12.011, H 1.008, O 15.999);
 * the three compounds are the rounded values that soap tables use everywhere.
 */
export const atomicMass = { carbon: 12.011, hydrogen: 1.008, oxygen: 15.999 } as const
export const molarMass = { naoh: 39.997, koh: 56.1056, water: 18.015 } as const

/** g NaOH that does the work of 1 g KOH; kept unrounded (≈ 0.712888). */
export const naohPerKoh = molarMass.naoh / molarMass.koh
