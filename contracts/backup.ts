import { z } from 'zod'
import type { Thumbnail } from './thumbnail'

/** When and where archives are made by themselves. */
export const backupPlanSchema = z.strictObject({
  on: z.boolean(),
  /** Folder on the computer Mantle runs on; a stick, a second disk, a folder that is copied elsewhere. */
  folder: z.string().trim().min(1, 'Name a folder.').max(400),
  /** Time of day by the workshop's clock. */
  at: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time is written like 09:00.'),
})
export type BackupPlan = z.infer<typeof backupPlanSchema>

/** Names of archives: nothing that leads out of their folder. */
export const archiveNameSchema = z
  .string()
  .max(120)
  .regex(/^[\w-]+\.zip$/, 'There is no archive of this name.')

/** An archive as it lies in its folder. */
export interface ArchiveFile {
  name: string
  madeAt: string
  bytes: number
  /** What it holds, by kind; null for an archive without a manifest. */
  counts: Record<string, number> | null
  /** Photos that were missing already when it was made. */
  missing: number
  /** Made by the plan, and let go by it. */
  daily: boolean
}

export interface Backups {
  plan: BackupPlan
  /** Newest first. */
  archives: ArchiveFile[]
  /** Why the plan could not be kept the last time; empty when it could. */
  problem: string
  /** Something is being backed up or put back. */
  busy: boolean
  /** When what the last restore replaced was set aside; null when nothing is. */
  undoable: string | null
}

/** One thing that a restore would change: how many entries of a kind of one batch, or a document. */
export interface RecordDifference {
  kind:
    | 'batch'
    | 'entries'
    | 'run'
    | 'formula'
    | 'version'
    | 'material'
    | 'mould'
    | 'goal'
    | 'scent'
    | 'supplier'
    | 'colour'
    | 'trial'
    | 'lot'
    | 'design'
    | 'gift'
    | 'soap'
    | 'note'
    | 'import'
    | 'shortWord'
    | 'lesson'
    | 'ribbon'
    | 'path'
    | 'makingDay'
    | 'blend'
    | 'order'
    | 'market'
    | 'move'
    | 'photo'
  name: string
  number: number | null
  thumbnail: Thumbnail | null
  /** For entries: the kind of event. */
  event: string
  count: number
  /** There before and after, but another one. */
  changed: boolean
}

export interface RestorePreview {
  name: string
  madeAt: string
  counts: Record<string, number> | null
  gone: RecordDifference[]
  back: RecordDifference[]
  /** Photos in it, and those it should have had. */
  photos: number
  missing: number
}
