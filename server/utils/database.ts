import { refreshFacts } from '../db/batches'
import { openDatabase, type Db } from '../db/connection'
import { migrationsFrom } from '../db/migrate'
import { unpackPhotos } from '../db/photos'

let opening: Promise<Db> | undefined

async function open(): Promise<Db> {
  const assets = useStorage('assets:migrations')
  const names = (await assets.getKeys()).filter((name) => name.endsWith('.sql'))
  const files = await Promise.all(
    names.map(async (name) => ({ name, sql: String(await assets.getItem(name)) })),
  )
  const db = openDatabase(process.env.MANTLE_DB ?? './data/mantle.sqlite', migrationsFrom(files))
  unpackPhotos(db)
  refreshFacts(db)
  return db
}

/** The server's one connection, opened and brought up to date on first use. */
export function database(): Promise<Db> {
  opening ??= open()
  return opening
}
