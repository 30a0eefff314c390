import { argv, env, exit, stdout } from 'node:process'
import { backup } from '../server/backup/archive'
import { countsText } from '../server/backup/say'
import { sentenceOfTrouble } from '../server/db/troubles'

/* npm run backup [-- archive.zip]: one archive with a consistent copy of the workshop, also while Mantle runs. */

const database = env.MANTLE_DB || './data/mantle.sqlite'
const now = new Date()
const stamp = now.toISOString().slice(0, 16).replace(/[T:]/g, '-')
const archive = argv[2] ?? `./data/backups/mantle-${stamp}.zip`
try {
  const { counts, missing } = await backup(database, archive, now)
  stdout.write(`${archive} holds ${countsText(counts)}, each one checked.\n`)
  if (missing.length)
    stdout.write(
      `Not everything: the files of ${missing.length} photos are not beside ${database}, so they are not in the archive either.\n`,
    )
  stdout.write('Pairings, the calendar’s address and keys stay on this machine.\n')
} catch (error) {
  stdout.write(`No backup was made. ${sentenceOfTrouble(error, archive)}\n`)
  exit(1)
}
