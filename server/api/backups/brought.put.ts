/** Bytes of an archive that somebody brings. */
const most = 8 * 1024 ** 3

/** An archive from elsewhere, as its bytes: it lies in the folder then like the others. */
export default route(
  null,
  async ({ db, event }) => ({ name: await takeArchive(event, db, instant(), most) }),
  { bytes: 0 },
)
