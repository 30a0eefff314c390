export default importRoutes.put()
