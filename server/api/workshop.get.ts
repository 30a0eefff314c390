export default route(null, ({ db, now }) => workshopNow(db, now), { may: ['read'] })
