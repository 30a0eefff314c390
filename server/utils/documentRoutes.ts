import type { z } from 'zod'
import { idSchema } from '#contracts/batch'
import { saveSchema } from '#contracts/document'
import type { Right } from '#contracts/rights'
import type { Db } from '../db/connection'
import type { DocumentStore } from '../db/documents'

interface Kind<T> {
  store: DocumentStore<T>
  schema: z.ZodType<T>
  /** What one is called in a sentence: "formula". */
  called: string
  /** Rights of which a device needs one to change it. */
  may: readonly Right[]
  ids?: z.ZodType<string>
  /** Refuses a document that does not fit its address or the rest of the workshop. */
  beforeSave?: (db: Db, id: string, document: T) => void
  /** Refuses to delete what is in use. */
  beforeDelete?: (db: Db, id: string) => void
}

/** The five routes that every kind of document has: list, get, put, delete and restore. */
export function documentRoutes<T>(kind: Kind<T>) {
  const { store, called, may, ids = idSchema } = kind
  return {
    list: () => route(null, ({ db }) => store.list(db), { may: ['read'] }),
    get: () =>
      route(
        null,
        ({ db, id }) =>
          store.get(db, id) ?? refuse(404, `There is no such ${called}; it may be deleted.`),
        { may: ['read'], ids },
      ),
    put: () =>
      route(
        saveSchema(kind.schema),
        ({ db, id, now, caller, body }) => {
          kind.beforeSave?.(db, id, body.document)
          const saved = store.save(db, id, body.revision, body.document, now, callerName(caller))
          if (saved.kind === 'saved') return saved.stored
          if (saved.kind === 'gone')
            refuse(410, `This ${called} is deleted. Restore it or keep a copy.`)
          refuse(409, `This ${called} was changed elsewhere in the meantime.`, 'revision', {
            theirs: saved.stored,
          })
        },
        { may, ids },
      ),
    remove: () =>
      route(
        null,
        ({ db, id, now }) => {
          kind.beforeDelete?.(db, id)
          if (!store.remove(db, id, now))
            refuse(404, `There is no such ${called}; it may be deleted already.`)
          return { id }
        },
        { may, ids },
      ),
    restore: () =>
      route(
        null,
        ({ db, id }) => store.restore(db, id) ?? refuse(404, `There is no such ${called}.`),
        { may, ids },
      ),
  }
}
