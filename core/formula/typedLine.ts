import { findMaterials } from '../materials/find'
import type { Library, Material } from '../materials/library'
import { readAmount, type Amount } from '../units/readAmount'

/** What a typed line such as `castor 5%` or `120 g shea` may mean. */
export interface TypedLine {
  /** The name without the amount. */
  name: string
  amount: Amount | null
  /** Likeliest first. */
  matches: Material[]
}

/**
 * Reads one typed line.
 * @returns null when there is no name in it
 */
export function readTypedLine(text: string, library: Library): TypedLine | null {
  const read = readAmount(text)
  const name = (read?.rest ?? text).trim()
  if (!name) return null
  return { name, amount: read?.amount ?? null, matches: findMaterials(library, name) }
}

/** A name as an id: `Fir & smoke` becomes `fir-and-smoke`. */
export function idFrom(name: string): string {
  return (
    name
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .toLowerCase()
      .replace(/&/g, ' and ')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '') || 'unnamed'
  )
}
