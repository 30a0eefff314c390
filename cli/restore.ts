import { argv, env, exit, stdout } from 'node:process'
import { restore, Unusable } from './archive'

/* npm run restore -- archive.zip: checks the archive, then puts it in place. Stop Mantle first. */

const database = env.MANTLE_DB ?? './data/mantle.sqlite'
const archive = argv[2]
try {
  if (!archive) throw new Unusable('Name the archive: npm run restore -- archive.zip')
  const before = restore(archive, database)
  stdout.write(`${database} is restored from ${archive}.\n`)
  if (before) stdout.write(`What was there before is kept as ${before}.\n`)
} catch (error) {
  stdout.write(
    `Nothing was restored. ${error instanceof Unusable ? error.message : String(error)}\n`,
  )
  exit(1)
}
