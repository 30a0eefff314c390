import { trials } from '../../../../db/documents'

/** A photo of a trial day: of a pot in the round, or of a sample beside the plain one. */
export default photoRoute(['bench', 'rack'], (db, trialId) =>
  trials.get(db, trialId)
    ? { trialId }
    : refuse(404, 'There is no such trial day; it may be deleted.'),
)
