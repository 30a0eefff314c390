import { notesOfImport } from '../../../db/journal'

/** All pages or rows of an import, in their order. */
export default route(null, ({ db, id }) => notesOfImport(db, id), { may: ['read'] })
