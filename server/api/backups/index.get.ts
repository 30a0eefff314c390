export default route(null, ({ db }) => backupsTold(db))
