import { notes } from '../../../../db/documents'

/** A photo of a note or an old page. */
export default photoRoute(['rack', 'bench', 'formulas'], (db, noteId) =>
  notes.get(db, noteId) ? { noteId } : refuse(404, 'There is no such note; it may be deleted.'),
)
