import { readFileSync } from 'node:fs'
import type { Fault } from '#contracts/faults'

/** A JSON file (or standard input for `-`) as a value, or what is wrong with it. */
export function readJson(file: string): { value: unknown } | { errors: Fault[] } {
  let text: string
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8')
  } catch {
    return { errors: [{ path: '', says: `The file ${file} cannot be read.` }] }
  }
  try {
    return { value: JSON.parse(text.replace(/^\uFEFF/, '')) as unknown }
  } catch {
    return { errors: [{ path: '', says: 'This is not JSON: check commas, quotes and brackets.' }] }
  }
}
