import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  renameSync,
  rmSync,
  statSync,
  writeSync,
} from 'node:fs'
import { dirname } from 'node:path'

/** The folder of the photos: beside the database and called after it, so that the demo's are never mixed with one's own. */
export const photosOf = (database: string): string => `${database.replace(/\.sqlite$/, '')}-photos`

/** Makes a folder and those above it. Node's own way of doing so never comes back from a place like /proc. */
export function makeFolder(folder: string): void {
  if (existsSync(folder)) {
    if (statSync(folder).isDirectory()) return
    throw Object.assign(new Error('not a folder'), { code: 'ENOTDIR', path: folder })
  }
  const above = dirname(folder)
  if (above !== folder) makeFolder(above)
  mkdirSync(folder)
}

/** Makes what was written to a file last, whatever happens to the power. */
export function flush(file: string): void {
  const handle = openSync(file, 'r')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

/** Writes a file so that it is there whole after a power cut, or not at all. */
export function writeWhole(file: string, bytes: Uint8Array): void {
  const part = `${file}.part`
  try {
    const handle = openSync(part, 'w')
    try {
      writeSync(handle, bytes)
      fsyncSync(handle)
    } finally {
      closeSync(handle)
    }
    renameSync(part, file)
  } catch (error) {
    rmSync(part, { force: true })
    throw error
  }
  // The folder too: a file that was renamed has to be found under its new name.
  flush(dirname(file))
}
