import { inSentence } from '#core/units/language'

/*
 * What can go wrong with the files of a workshop, and what to do about it. Each is one sentence or two with the path in it;
 * none of them is a fault of Mantle's.
 */

/** A known trouble. Nothing was changed. `status` is what a route answers. */
export class StorageTrouble extends Error {
  constructor(
    says: string,
    readonly status = 503,
  ) {
    super(says)
    this.name = 'Trouble'
  }
}

/** SQLite's or the system's own name of an error, as SQLITE_FULL or ENOSPC; empty without one. */
export const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : ''

const restoreIt = 'Restore a backup: npm run restore -- FILE.zip (they lie in data/backups).'

const known: [code: RegExp, status: number, says: (path: string) => string][] = [
  [
    /^(SQLITE_FULL|ENOSPC|EDQUOT)/,
    507,
    (path) =>
      `The disk that ${path} lies on is full, so this was not kept. Free some space there, then try again; what is kept already is safe.`,
  ],
  [
    /^(SQLITE_READONLY|EROFS|EACCES|EPERM)/,
    503,
    (path) =>
      `${path} cannot be written to. Give the user that runs Mantle the right to write to it and to its folder (or make the disk writable), then try again.`,
  ],
  [
    /^SQLITE_(BUSY|LOCKED)/,
    503,
    (path) =>
      `Another program is holding ${path}. Close what has it open (a database viewer, a copying program), then try again.`,
  ],
  [
    /^SQLITE_(CORRUPT|NOTADB)/,
    503,
    (path) =>
      `${path} is damaged. Stop Mantle, keep that file as it is, and ${inSentence(restoreIt)}`,
  ],
  [
    /^(EEXIST|ENOTDIR|EISDIR)/,
    503,
    (path) => `Something else lies where ${path} should be. Move it away, then try again.`,
  ],
  [
    /^(SQLITE_CANTOPEN|ENOENT)/,
    503,
    (path) => `${path} cannot be opened: it or its folder is not there. ${restoreIt}`,
  ],
  [
    /^(SQLITE_IOERR|EIO|ESTALE|ENODEV)/,
    503,
    (path) =>
      `The disk that ${path} lies on does not answer as it should. Check the disk or its cable, and make a backup to another disk: npm run backup -- FOLDER/mantle.zip`,
  ],
]

/** The file that an error of the system is about; not a folder that only was to be made, which is told by its pattern. */
const pathOf = (error: unknown): string | undefined =>
  error instanceof Error &&
  'path' in error &&
  typeof error.path === 'string' &&
  !error.path.endsWith('XXXXXX')
    ? error.path
    : undefined

/** A known trouble for an error of SQLite or of the file system; null when it is none. */
export function troubleOf(error: unknown, path: string): StorageTrouble | null {
  if (error instanceof StorageTrouble) return error
  const code = codeOf(error)
  const hit = known.find(([pattern]) => pattern.test(code))
  return hit ? new StorageTrouble(hit[2](pathOf(error) ?? path), hit[1]) : null
}

/** What to say of anything that was thrown while working on a file. */
export const sentenceOfTrouble = (error: unknown, path: string): string =>
  troubleOf(error, path)?.message ?? (error instanceof Error ? error.message : String(error))
