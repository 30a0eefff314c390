import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { migrationsFrom, type Migration } from './migrate'

/** The migrations as they lie on disk: for the command line, the demo and tests. The server carries its own copy. */
export function migrationFiles(): Migration[] {
  const folder = join(import.meta.dirname, 'migrations')
  return migrationsFrom(
    readdirSync(folder)
      .filter((name) => name.endsWith('.sql'))
      .map((name) => ({ name, sql: readFileSync(join(folder, name), 'utf8') })),
  )
}
