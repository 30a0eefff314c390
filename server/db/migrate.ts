import type Database from 'better-sqlite3'

export interface Migration {
  version: number
  sql: string
}

/** The file was written by a newer program; nothing in it was touched. */
export class TooNew extends Error {
  constructor(found: number, known: number) {
    super(
      `This database was written by a newer Mantle (its version is ${found}, this program knows ${known}). Nothing was changed. Update Mantle, or point MANTLE_DB to another file.`,
    )
    this.name = 'TooNew'
  }
}

/** Numbered migrations from file names such as `0001_first.sql`, in order. */
export function migrationsFrom(files: { name: string; sql: string }[]): Migration[] {
  return files
    .map(({ name, sql }) => ({ version: Number.parseInt(name, 10), sql }))
    .sort((a, b) => a.version - b.version)
}

/**
 * Applies what is missing, all of it or nothing. The version lives in SQLite's own user_version.
 * @throws TooNew before anything is written
 */
export function migrate(db: Database.Database, migrations: Migration[]): void {
  const found = db.pragma('user_version', { simple: true }) as number
  const known = migrations.at(-1)?.version ?? 0
  if (found > known) throw new TooNew(found, known)
  db.transaction(() => {
    for (const { version, sql } of migrations) {
      if (version <= found) continue
      db.exec(sql)
      db.pragma(`user_version = ${version}`)
    }
  }).immediate()
}
