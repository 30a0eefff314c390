import { blind, openSniffing } from '../../db/sniffings'

/** The round of noses that is open, by codes alone; null when none is. */
export default route(
  null,
  ({ db }) => {
    const open = openSniffing(db)
    return { open: open && blind(open) }
  },
  { may: ['read'] },
)
