import { argv, env, exit, stdout } from 'node:process'
import { backup, Unusable } from './archive'

/* npm run backup [-- archive.zip]: one archive with a consistent copy of everything, also while Mantle runs. */

const database = env.MANTLE_DB ?? './data/mantle.sqlite'
const stamp = new Date().toISOString().slice(0, 16).replace(/[T:]/g, '-')
const archive = argv[2] ?? `./data/backups/mantle-${stamp}.zip`
try {
  await backup(database, archive)
  stdout.write(`Everything in ${database} is in ${archive} now.\n`)
} catch (error) {
  stdout.write(`No backup was made. ${error instanceof Unusable ? error.message : String(error)}\n`)
  exit(1)
}
