export default route(null, ({ db }) => roomTold(db), { may: ['read'] })
