import { argv, env, exit, stdout } from 'node:process'
import { openArchive } from '../server/backup/opened'
import { restore, undoRestore, unfinishedRestore, type Restored } from '../server/backup/restore'
import { countsText } from '../server/backup/say'
import { takeDatabase } from '../server/db/lock'
import { migrationFiles } from '../server/db/migrationFiles'
import { sentenceOfTrouble, StorageTrouble } from '../server/db/troubles'

/*
 * npm run restore -- archive.zip: checks the archive whole, then puts it in place. What was there gets a safety copy.
 * npm run restore -- --undo: takes the last restore back.
 */

const database = env.MANTLE_DB || './data/mantle.sqlite'
const asked = argv[2]
const migrations = migrationFiles()

function tellSafety({ safety }: Restored): void {
  if (safety)
    stdout.write(
      `What was there before is kept as ${safety}; npm run restore -- --undo brings it back.\n`,
    )
}

async function undo(): Promise<void> {
  const undone = await undoRestore(database, migrations, new Date())
  stdout.write(`${database} is again as it was before the restore (${undone.back}).\n`)
  tellSafety(undone)
}

async function fromArchive(archive: string): Promise<void> {
  const opened = await openArchive(archive, database, migrations.at(-1)!.version)
  try {
    const restored = await restore(opened, archive, database, migrations, new Date())
    const { manifest } = opened
    stdout.write(
      `${database} is restored from ${archive}${manifest ? `: ${countsText(manifest.counts)}` : ''}.\n`,
    )
    if (!manifest)
      stdout.write(
        'That archive is of an older Mantle and carries no seal; only the sums of the zip were checked.\n',
      )
    if (manifest?.missing.length)
      stdout.write(`${manifest.missing.length} photos were missing already when it was made.\n`)
    tellSafety(restored)
  } finally {
    opened.close()
  }
}

try {
  if (!asked)
    throw new StorageTrouble(
      'Name the archive: npm run restore -- archive.zip (or --undo for the last restore).',
    )
  const release = takeDatabase(database)
  const unfinished = unfinishedRestore(database)
  if (unfinished) stdout.write(`${unfinished}\n`)
  await (asked === '--undo' ? undo() : fromArchive(asked))
  release()
} catch (error) {
  stdout.write(`Nothing was restored. ${sentenceOfTrouble(error, database)}\n`)
  exit(1)
}
