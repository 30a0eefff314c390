import type { fatOrigins } from '#contracts/words'
import type { FattyAcid } from '#contracts/result'
import type { SourceId } from './sources'

export type FatChemistry = 'triglyceride' | 'free-acid' | 'wax-ester' | 'rosin'
export type FatState = 'liquid' | 'soft' | 'hard'
export type FatOrigin = (typeof fatOrigins)[number]

/** A value, and where it comes from. */
export interface Known<T> {
  value: T
  source: SourceId
}

/** A fat, butter, wax or acid. Shares are fractions; saponification values mg KOH per g. */
export interface Fat {
  kind: 'fat'
  id: string
  name: string
  /** Plant or animal it comes from. */
  latin: string
  inci: string
  aliases: string[]
  sap: { low: number; typical: number; high: number; source: SourceId }
  /** The typical value by another source, where no standard lays one down. */
  second?: Known<number>
  /** Fatty acids as mass fractions; what is not named is the rest. */
  profile: Known<Partial<Record<FattyAcid, number>>>
  /** Share that takes no alkali. */
  unsaponifiables: Known<number>
  /** g/ml when melted, at about 40 °C. */
  density: Known<number>
  stateAt20: FatState
  /** °C at which it is soft enough to slip; null when liquid in any kitchen. */
  softens: Known<number> | null
  origin: FatOrigin[]
  /** What it may come from as well: only the seller knows. */
  maybe?: FatOrigin[]
  chemistry: FatChemistry
  /** Its colour in rows, pot and sheet. */
  colour: string
  /** What it is easily taken for, and how to tell. */
  mixUp?: string
  /** Why its saponification value cannot be checked against a fatty-acid profile. */
  unchecked?: string
  /** Number of the certificate its own values come from. */
  certificate?: string
  /** Of a stock that is made up of several: what it is made of, by shares of its mass; what is no fat has none. */
  parts?: { id: string; name: string; share: number; fat: Fat | null }[]
}

/** A row of the fat tables, in the units people read: per cent for profile and unsaponifiables. */
export interface FatRow {
  name: string
  latin: string
  inci: string
  also?: string[]
  sap: [low: number, typical: number, high: number, source: SourceId]
  second?: [typical: number, source: SourceId]
  acids: Partial<Record<FattyAcid, number>>
  acidsFrom?: SourceId
  unsaponifiable: [percent: number, source: SourceId]
  density?: number
  state: FatState
  softens?: number
  origin: FatOrigin[]
  maybe?: FatOrigin[]
  chemistry?: FatChemistry
  colour: string
  mixUp?: string
  unchecked?: string
}

const toFractions = (acids: FatRow['acids']) =>
  Object.fromEntries(Object.entries(acids).map(([acid, percent]) => [acid, percent / 100]))

/**
 * Turns table rows into fats. Density defaults to 0.905 g/ml, usual for melted triglycerides.
 * @example fatsFrom({}).length // 0
 */
export function fatsFrom(rows: Record<string, FatRow>): Fat[] {
  return Object.entries(rows).map(([id, row]) => {
    const [low, typical, high, source] = row.sap
    return {
      kind: 'fat',
      id,
      name: row.name,
      latin: row.latin,
      inci: row.inci,
      aliases: row.also ?? [],
      sap: { low, typical, high, source },
      second: row.second && { value: row.second[0], source: row.second[1] },
      profile: { value: toFractions(row.acids), source: row.acidsFrom ?? 'handbook' },
      unsaponifiables: { value: row.unsaponifiable[0] / 100, source: row.unsaponifiable[1] },
      density: { value: row.density ?? 0.905, source: 'handbook' },
      stateAt20: row.state,
      softens: row.softens === undefined ? null : { value: row.softens, source: 'handbook' },
      origin: row.origin,
      maybe: row.maybe,
      chemistry: row.chemistry ?? 'triglyceride',
      colour: row.colour,
      mixUp: row.mixUp,
      unchecked: row.unchecked,
    }
  })
}
