import { archiveNameSchema } from '#contracts/backup'

/** What going back to this archive would change. */
export default route(null, ({ db, params }) =>
  previewOf(db, parsed(archiveNameSchema, params.name)),
)
